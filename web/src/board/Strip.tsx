import { Copy, Trash2 } from "lucide-react";
import { Suspense } from "react";
import { Button, IconButton, lazily } from "../ui";
import { DeskMap } from "./desk/DeskMap";
import { ShotFrame, type PlacedShot } from "./ShotFrame";
import { addShot } from "../document/shots";
import { useStores, type Stores } from "../stores";

// Fetched where there are shots to be put in order.
const SortableShots = lazily(async () => (await import("./SortableShots")).SortableShots);

function removeShot(stores: Stores, id: string): void {
  const { shots } = stores.useDocument.getState().scene;
  const at = shots.findIndex((shot) => shot.id === id);
  stores.edit((scene) => void scene.shots.splice(at, 1));
  stores.go({ shotId: (shots[at + 1] ?? shots[at - 1]).id });
}

/** The map of the desk, and every shot of the scene in its order. */
export function Strip() {
  const stores = useStores();
  const { useDocument, useView } = stores;
  const shots = useDocument((document) => document.scene.shots);
  const shotId = useView((view) => view.shotId);
  const chosen = shots.find((shot) => shot.id === shotId);
  const placed = shots.map((shot, i): PlacedShot => ({
    shot,
    number: i + 1,
    chosen: shot.id === shotId,
    beside: shot.page !== undefined && shot.page === chosen?.page,
  }));
  const still = placed.map((one) => <ShotFrame key={one.shot.id} {...one} />);
  return (
    <footer className="flex h-[58px] shrink-0 items-center gap-2 border-t border-hair px-2">
      <DeskMap />
      <ol aria-label="Shots" className="flex min-w-0 items-center gap-1.5 overflow-x-auto py-1">
        {shots.length > 1 ? (
          <Suspense fallback={still}>
            <SortableShots placed={placed} />
          </Suspense>
        ) : (
          still
        )}
      </ol>
      <Button onClick={() => addShot(stores)}>
        <Copy size={14} aria-hidden />
        New shot from this one
      </Button>
      {chosen && shots.length > 1 && (
        <IconButton label={`Delete ${chosen.name}`} onClick={() => removeShot(stores, chosen.id)}>
          <Trash2 size={15} />
        </IconButton>
      )}
    </footer>
  );
}
