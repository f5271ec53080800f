import { Suspense } from "react";
import { Guarded, lazily } from "../ui";
import { useStores } from "../stores";

const Questions = lazily(async () => (await import("./Questions")).Questions);

/** What only a person can decide about saving: nothing is lost meanwhile. */
export function Conflict() {
  const { useSaving } = useStores();
  const asked = useSaving(({ state, others }) => state === "conflict" || state === "gone" || others.length > 0);
  return asked ? (
    <Guarded what="A question about saving">
      <Suspense fallback={null}>
        <Questions />
      </Suspense>
    </Guarded>
  ) : null;
}
