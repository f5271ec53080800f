import { measureOf } from "@zanvo/core/fields";
import { DEFAULT_ROOMS, floorsOf, kindOf, requireValid, type Building } from "@zanvo/core/world";
import { Check, IconButton, MeasureField, Select } from "../../ui";
import { Trash2 } from "lucide-react";
import { useBoard } from "../useBoard";
import type { ChangeBuilding } from "./change";
import { useSpoken } from "../../stores";

interface RoomFieldsProps {
  readonly building: Building;
  readonly change: ChangeBuilding;
}

type Rooms = NonNullable<Building["rooms"]>;

interface DrawnRoomsProps {
  readonly rooms: Rooms;
  readonly building: Building;
  readonly put: (next: Rooms, what: string) => void;
}

/** The rooms of a building that were drawn on the plan: each is in one storey, or in all. */
function DrawnRooms({ rooms, building, put }: DrawnRoomsProps) {
  const spoken = useSpoken();
  const { drawn } = rooms;
  if (!drawn) return <p className="text-pencil">On the plan, rooms can be drawn one by one.</p>;
  const storeys = floorsOf(building, building.height, true).map((_, i) => [String(i), `Storey ${i + 1}`] as const);
  const change = (next: NonNullable<Rooms["drawn"]>) =>
    spoken(() => put({ ...rooms, drawn: next.length ? next : undefined }, "drawn"));
  return (
    <ul aria-label="Rooms that are drawn" className="space-y-1">
      {drawn.map(({ footprint, storey }, i) => (
        <li key={i} className="flex items-center gap-1">
          <Select
            labelled
            label={`Room ${i + 1} in`}
            className="min-w-0 grow"
            value={storey === undefined ? "all" : String(storey)}
            options={[["all", "all storeys"], ...storeys]}
            onChange={(to) => change(drawn.with(i, to === "all" ? { footprint } : { footprint, storey: Number(to) }))}
          />
          <IconButton label={`Delete room ${i + 1}`} onClick={() => change(drawn.toSpliced(i, 1))}>
            <Trash2 size={14} />
          </IconButton>
        </li>
      ))}
    </ul>
  );
}

/** The rooms behind the walls of a building, and whether this shot leaves its near walls out. */
export function RoomFields({ building, change }: RoomFieldsProps) {
  const { edit, onShot, useShot } = useBoard();
  const shot = useShot();
  const spoken = useSpoken();
  const { rooms, id } = building;
  const put = (next: Building["rooms"], what: string) =>
    change(requireValid({ ...building, rooms: next }), `rooms ${what}`);
  const field = (key: "wall" | "slab" | "across", value: number) =>
    rooms && (
      <MeasureField
        measure={measureOf(kindOf(building).schema, `rooms/${key}`)}
        value={value}
        onChange={(to) => put({ ...rooms, [key]: to }, key)}
      />
    );
  return (
    <>
      <Check
        label="Rooms behind its walls"
        checked={rooms !== undefined}
        onChange={(on) => spoken(() => put(on ? DEFAULT_ROOMS : undefined, "on"))}
      />
      {rooms && (
        <>
          {field("wall", rooms.wall)}
          {field("slab", rooms.slab)}
          {!rooms.drawn && field("across", rooms.across ?? 1)}
          <DrawnRooms rooms={rooms} building={building} put={put} />
          <Check
            label="Leave its near walls out in this shot"
            checked={shot.cutaway === id}
            onChange={(on) => edit(onShot((before) => ({ ...before, cutaway: on ? id : undefined })))}
          />
        </>
      )}
    </>
  );
}
