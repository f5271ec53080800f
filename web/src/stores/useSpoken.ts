import { toldBy } from "@zanvo/core/problem";
import { useStores } from "./useStores";

/** Does something, and says why it cannot be done where it cannot: for what has no field of its own to say it in. */
export function useSpoken(): (act: () => void) => void {
  const { say } = useStores();
  return (act) => {
    try {
      act();
    } catch (wrong) {
      say(toldBy(wrong));
    }
  };
}
