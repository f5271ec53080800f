import { Button } from "../../ui";
import { useStores } from "../../stores";

/** Says that what is drawn is not up to date, for as long as what works it out has to be started anew. */
export function StaleDrawing() {
  const { useTrouble, lookAgain } = useStores();
  const { stale, gaveUp } = useTrouble();
  if (!stale) return null;
  return (
    <div
      role="alert"
      className="flex items-center gap-2 rounded border border-hair bg-slip px-2 py-1"
      onPointerDown={(event) => event.stopPropagation()}
    >
      <span>
        {gaveUp
          ? "Out of date: the hidden lines cannot be worked out now."
          : "Out of date: the hidden lines are being worked out."}
      </span>
      {gaveUp && <Button onClick={lookAgain}>Try again</Button>}
    </div>
  );
}
