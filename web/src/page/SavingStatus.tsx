import type { Saving } from "../document/saving";
import { useStores } from "../stores";

const SAYS: Readonly<Record<Saving["state"], string>> = {
  saved: "Saved",
  waiting: "Saving…",
  saving: "Saving…",
  "out-of-reach": "Not saved: server out of reach, trying again",
  busy: "Not saved: the server is busy, trying again",
  full: "Not saved: the disk is full, trying again",
  refused: "Not saved",
  conflict: "Not saved: changed elsewhere",
  gone: "Not saved: deleted elsewhere",
};
const QUIET: ReadonlySet<Saving["state"]> = new Set(["saved", "waiting", "saving"]);

/** How the document stands to what the server has. */
export function SavingStatus() {
  const { useSaving } = useStores();
  const { state, reason, revision, unkept } = useSaving();
  return (
    <span
      role="status"
      aria-label="Saving"
      data-revision={revision}
      className={QUIET.has(state) && !unkept ? "text-pencil" : "text-accent"}
    >
      {SAYS[state]}
      {state === "refused" && reason ? `: ${reason}` : ""}
      {unkept && state !== "saved" ? ` (not kept in the browser either: ${unkept})` : ""}
    </span>
  );
}
