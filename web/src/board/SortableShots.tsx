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
import { GripVertical } from "lucide-react";
import { useStores, type Stores } from "../stores";
import { ShotFrame, type PlacedShot } from "./ShotFrame";

function move(stores: Stores, { active, over }: DragEndEvent): void {
  if (!over || active.id === over.id) return;
  stores.edit((scene) => {
    const at = (id: unknown) => scene.shots.findIndex((shot) => shot.id === id);
    const to = at(over.id);
    const [shot] = scene.shots.splice(at(active.id), 1);
    scene.shots.splice(to, 0, shot);
  });
}

/** One shot, dragged by its grip to another place. */
function Sortable({ shot, ...placed }: PlacedShot) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: shot.id });
  return (
    <ShotFrame
      {...placed}
      shot={shot}
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      grip={
        <button
          type="button"
          {...attributes}
          {...listeners}
          aria-label={`Move ${shot.name}`}
          className="flex h-full w-6 cursor-grab touch-none items-center justify-center text-pencil"
        >
          <GripVertical size={14} />
        </button>
      }
    />
  );
}

/** Shots that are put in order by dragging, or by keys. */
export function SortableShots({ placed }: { readonly placed: readonly PlacedShot[] }) {
  const stores = useStores();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={(event) => move(stores, event)}>
      <SortableContext items={placed.map(({ shot }) => shot.id)} strategy={horizontalListSortingStrategy}>
        {placed.map((one) => (
          <Sortable key={one.shot.id} {...one} />
        ))}
      </SortableContext>
    </DndContext>
  );
}
