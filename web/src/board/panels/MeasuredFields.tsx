import { Plus, X } from "lucide-react";
import { depthSet, roomPlanes, ROOMS, type RoomId, type RoomSize } from "@zanvo/core/grid";
import type { Measured, Orientation, Shot } from "@zanvo/core/scene";
import { sceneMeasure } from "@zanvo/core/schema";
import { Button, Check, IconButton, MeasureField, NumberField, optionsOf, Select, Strength } from "../../ui";
import { useStores, type Stores } from "../../stores";

const PLANES: Readonly<Record<Measured["plane"], string>> = {
  level: "Ground or level",
  left: "Wall to the left point",
  right: "Wall to the right point",
};
const FIRST: Measured = { plane: "level", at: 0, every: 1, heavy: 5, strength: 0.6 };

/** How far a fading grid reaches at first, m. */
const FADE = 40;

const withPlanes = (stores: Stores, change: (planes: Measured[]) => Measured[]) =>
  stores.onShot((shot: Shot) => ({ ...shot, measured: change(shot.measured ?? []) }));

const planeMeasure = (key: "at" | "every" | "heavy" | "fade") => sceneMeasure(`shots/*/measured/*/${key}`);

/** What the lines of a plane are: where, how far apart, and which are heavier. */
function Spacing({ plane, put }: { readonly plane: Measured; readonly put: (change: Partial<Measured>) => void }) {
  return (
    <>
      <MeasureField
        measure={planeMeasure("at")}
        label={plane.plane === "level" ? undefined : "Across from the eye"}
        value={plane.at}
        onChange={(at) => put({ at })}
      />
      <MeasureField measure={planeMeasure("every")} value={plane.every} onChange={(every) => put({ every })} />
      <MeasureField measure={planeMeasure("heavy")} value={plane.heavy} onChange={(heavy) => put({ heavy })} />
    </>
  );
}

/** One plane in squares: where it lies, how wide they are, and which lines are heavier. */
function Plane({ plane, index }: { readonly plane: Measured; readonly index: number }) {
  const stores = useStores();
  const { edit, drag, beginGesture, endGesture } = stores;
  const changed = (change: Partial<Measured>) =>
    withPlanes(stores, (planes) => planes.map((one, i) => (i === index ? { ...one, ...change } : one)));
  const put = (change: Partial<Measured>) => edit(changed(change), `squares ${index}`);
  return (
    <section aria-label={`Squares ${index + 1}`} className="space-y-1 rounded border border-hair p-1.5">
      <div className="flex gap-1">
        <Select
          label="Plane"
          className="min-w-0 grow"
          value={plane.plane}
          options={optionsOf(PLANES)}
          onChange={(to) => edit(changed({ plane: to }))}
        />
        <IconButton
          label={`Remove squares ${index + 1}`}
          onClick={() => edit(withPlanes(stores, (planes) => planes.filter((_, i) => i !== index)))}
        >
          <X size={15} />
        </IconButton>
      </div>
      <Spacing plane={plane} put={put} />
      <Check
        label="Numbers in metres"
        checked={plane.numbered ?? false}
        onChange={(numbered) => edit(changed({ numbered }))}
      />
      <Check
        label="Fades with distance"
        checked={plane.fade !== undefined}
        onChange={(on) => edit(changed({ fade: on ? FADE : undefined }))}
      />
      {plane.fade !== undefined && (
        <MeasureField measure={planeMeasure("fade")} value={plane.fade} onChange={(fade) => put({ fade })} />
      )}
      <Strength
        label="Strength"
        value={plane.strength}
        onChange={(strength) => drag(changed({ strength }))}
        onHold={beginGesture}
        onRelease={endGesture}
      />
    </section>
  );
}

/** The room that bounded planes make: what kind it is, and its measures. */
function roomIn(planes: readonly Measured[], depth: "left" | "right"): { id: RoomId; size: RoomSize } | null {
  const extent = planes.find((plane) => plane.extent)?.extent;
  if (!extent) return null;
  const across = depth === "left" ? extent.right : extent.left;
  const walls = planes.filter(({ plane }) => plane !== "level").length;
  const id = walls > 2 ? "room" : planes.filter(({ plane }) => plane === "level").length > 1 ? "corridor" : "street";
  return { id, size: { width: across.to - across.from, height: extent.up.to, depth: extent[depth].to } };
}

/** Planes that end at one another: a corridor, a room or a street about the eye, and its measures. */
function RoomFields({ main, shot }: { readonly main: Orientation; readonly shot: Shot }) {
  const { edit, onShot } = useStores();
  const room = roomIn(shot.measured ?? [], depthSet(main, shot));
  const lay = (id: RoomId, size?: RoomSize, key?: string) =>
    edit(
      onShot((before) => ({ ...before, measured: roomPlanes(main, before, id, size) })),
      key,
    );
  return (
    <>
      <div role="group" aria-label="Lay out a whole" className="flex gap-1">
        {(Object.keys(ROOMS) as RoomId[]).map((id) => (
          <Button key={id} className="grow" on={room?.id === id} onClick={() => lay(id)}>
            {ROOMS[id].name}
          </Button>
        ))}
      </div>
      {room &&
        (["width", "height", "depth"] as const).map((side) => (
          <NumberField
            key={side}
            label={{ width: "Room across", height: "Room up", depth: "Room away" }[side]}
            unit="m"
            digits={2}
            min={0.5}
            max={1000}
            step={0.1}
            value={room.size[side]}
            onChange={(to) => lay(room.id, { ...room.size, [side]: to }, "room")}
          />
        ))}
    </>
  );
}

/** True squares on the ground, on any level, and on walls. */
export function MeasuredFields({ shot }: { readonly shot: Shot }) {
  const stores = useStores();
  const { useDocument, edit } = stores;
  const [main] = useDocument((document) => document.scene.orientations);
  return (
    <section className="space-y-1.5 border-t border-hair pt-2">
      <h3 className="font-medium">Measured squares</h3>
      {main && <RoomFields main={main} shot={shot} />}
      {shot.measured?.map((plane, i) => (
        <Plane key={i} plane={plane} index={i} />
      ))}
      <Button className="w-full" onClick={() => edit(withPlanes(stores, (planes) => [...planes, FIRST]))}>
        <Plus size={14} aria-hidden />
        Lay out squares
      </Button>
    </section>
  );
}
