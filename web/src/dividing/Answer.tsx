import { toldBy } from "@zanvo/core/problem";
import type { Told } from "@zanvo/core/units";
import { useStores } from "../stores";

/** What a piece of work tells, or why it has no answer. */
function answered(work: () => Told | null): { readonly told: Told | null; readonly wrong: boolean } {
  try {
    return { told: work(), wrong: false };
  } catch (error) {
    return { told: toldBy(error), wrong: true };
  }
}

/** What a division comes to, or why it has no answer. */
export function Answer({ work }: { readonly work: () => Told | null }) {
  const { useMeasures } = useStores();
  const measures = useMeasures();
  const { told, wrong } = answered(work);
  if (told === null) return null;
  return wrong ? (
    <p role="alert" className="text-accent">
      {measures(told)}
    </p>
  ) : (
    <p className="text-pencil">{measures(told)}</p>
  );
}
