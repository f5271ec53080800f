import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from "@dnd-kit/core";
import {
  horizontalListSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
} from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { Copy, GripVertical, PencilLine, Trash2 } from "lucide-react";
import { useState } from "react";
import type { Shot } from "@zanvo/core/scene";
import { newId } from "../id";
import { Button, IconButton } from "../ui";
import { DeskMap } from "./desk/DeskMap";
import { Thumb } from "./Thumb";
import { freeName } from "../document";
import { useStores, type Stores } from "../stores";

/** A copy of a shot put behind it, with a name and a sheet of its own, and chosen. */
function addShot(stores: Stores): void {
  const { shots } = stores.useDocument.getState().scene;
  const from = stores.currentShot();
  // The copy has a sheet for itself; panels of one page come by splitting one.
  const shot: Shot = { ...from, id: newId(), name: freeName("Shot", shots), page: undefined, backOf: undefined };
  stores.edit((scene) => void scene.shots.splice(shots.indexOf(from) + 1, 0, shot));
  stores.go({ shotId: shot.id });
}

function removeShot(stores: Stores, id: string): void {
  const { shots } = stores.useDocument.getState().scene;
  const at = shots.findIndex((shot) => shot.id === id);
  stores.edit((scene) => void scene.shots.splice(at, 1));
  stores.go({ shotId: (shots[at + 1] ?? shots[at - 1]).id });
}

const rename = (stores: Stores, id: string, name: string): void =>
  stores.edit((scene) => {
    const shot = scene.shots.find((one) => one.id === id);
    if (shot && name) shot.name = name;
  });

function move(stores: Stores, { active, over }: DragEndEvent): void {
  if (!over || active.id === over.id) return;
  stores.edit((scene) => {
    const at = (id: unknown) => scene.shots.findIndex((shot) => shot.id === id);
    const to = at(over.id);
    const [shot] = scene.shots.splice(at(active.id), 1);
    scene.shots.splice(to, 0, shot);
  });
}

/** One shot on the strip: pressed it is laid on the desk, dragged by its grip it changes its place. */
function Frame({
  shot,
  number,
  chosen,
  beside,
}: {
  readonly shot: Shot;
  readonly number: number;
  readonly chosen: boolean;
  readonly beside: boolean;
}) {
  const stores = useStores();
  const { go } = stores;
  const [renaming, setRenaming] = useState(false);
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: shot.id });
  return (
    <li
      ref={setNodeRef}
      aria-label={shot.name}
      className={
        "flex h-11 shrink-0 items-center rounded border " +
        `${beside ? "border-dashed border-pencil" : "border-hair"} ` +
        `${chosen ? "bg-wash" : ""}`
      }
      title={beside ? "On the page that lies on the desk" : undefined}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-label={`Move ${shot.name}`}
        className="flex h-full w-6 cursor-grab touch-none items-center justify-center text-pencil"
      >
        <GripVertical size={14} />
      </button>
      {renaming ? (
        <input
          className="mr-1 w-36 rounded border border-accent bg-transparent px-1 outline-none"
          aria-label="Name of the shot"
          autoFocus
          maxLength={200}
          defaultValue={shot.name}
          onFocus={(event) => event.target.select()}
          onBlur={(event) => {
            rename(stores, shot.id, event.target.value.trim());
            setRenaming(false);
          }}
          onKeyDown={(event) => {
            event.stopPropagation();
            if (event.key === "Enter" || event.key === "Escape") {
              if (event.key === "Escape") event.currentTarget.value = shot.name;
              event.currentTarget.blur();
            }
          }}
        />
      ) : (
        <button
          type="button"
          aria-current={chosen || undefined}
          className="flex h-full max-w-60 items-center gap-1.5 pr-2"
          onClick={() => go({ shotId: shot.id })}
          onDoubleClick={() => setRenaming(true)}
        >
          <Thumb shot={shot} turn={number} />
          <span className="truncate">
            <span className="measure mr-1 text-pencil">{number}</span> {shot.name}
          </span>
        </button>
      )}
      {chosen && !renaming && (
        <IconButton label={`Rename ${shot.name}`} onClick={() => setRenaming(true)}>
          <PencilLine size={14} />
        </IconButton>
      )}
    </li>
  );
}

/** The map of the desk, and every shot of the scene in its order. */
export function Strip() {
  const stores = useStores();
  const { useDocument, useView } = stores;
  const shots = useDocument((document) => document.scene.shots);
  const shotId = useView((view) => view.shotId);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const chosen = shots.find((shot) => shot.id === shotId);
  return (
    <footer className="flex h-[58px] shrink-0 items-center gap-2 border-t border-hair px-2">
      <DeskMap />
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={(event) => move(stores, event)}>
        <SortableContext items={shots.map((shot) => shot.id)} strategy={horizontalListSortingStrategy}>
          <ol aria-label="Shots" className="flex min-w-0 items-center gap-1.5 overflow-x-auto py-1">
            {shots.map((shot, i) => (
              <Frame
                key={shot.id}
                shot={shot}
                number={i + 1}
                chosen={shot.id === shotId}
                beside={shot.page !== undefined && shot.page === chosen?.page}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
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
