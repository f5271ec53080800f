import { measureOf } from "@zanvo/core/fields";
import { kindOf, requireValid, type Building } from "@zanvo/core/world";
import { Check, MeasureField } from "../../ui";
import { useBoard } from "../useBoard";
import type { ChangeBuilding } from "./change";
import { useSpoken } from "../../stores";

/** Walls and floors at first, m. */
const FIRST = { wall: 0.3, slab: 0.3 } as const;

interface RoomFieldsProps {
  readonly building: Building;
  readonly change: ChangeBuilding;
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
        onChange={(on) => spoken(() => put(on ? FIRST : undefined, "on"))}
      />
      {rooms && (
        <>
          {field("wall", rooms.wall)}
          {field("slab", rooms.slab)}
          {field("across", rooms.across ?? 1)}
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
