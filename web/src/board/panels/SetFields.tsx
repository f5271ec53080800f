import { LAWS } from "@zanvo/core/lens";
import { bundleOf, type Bundle } from "@zanvo/core/scene";
import { alongside, pinsOf, type Pin } from "@zanvo/core/vanishing";
import type { Block } from "@zanvo/core/world";
import { sceneMeasure } from "@zanvo/core/schema";
import { newId } from "../../id";
import { Button, Check, Choice, MeasureField, Strength } from "../../ui";
import { useChosenBox } from "../desk/blocks";
import { PinHead } from "../desk/PinHead";
import { useStores, type Stores } from "../../stores";

const EVEN = { angle: "In angle", edge: "At the edge" } as const;

/** One set's bundle: whether it is shown, how strongly, how far apart its lines are, and what they are even in. */
function SetRow({ pin }: { readonly pin: Pin }) {
  const { useShot, onShot, edit, drag, beginGesture, endGesture } = useStores();
  const shot = useShot();
  const { straight } = LAWS[shot.lens.law];
  const bundle = bundleOf(shot, pin.id);
  const bundled = (change: Partial<Bundle>) =>
    onShot((before) => ({
      ...before,
      bundles: [
        ...(before.bundles ?? []).filter((one) => one.pin !== pin.id),
        { ...bundleOf(before, pin.id), ...change },
      ],
    }));
  return (
    <section aria-label={pin.name} className="space-y-1">
      <h3 className="flex items-center gap-1.5 font-medium">
        <PinHead pin={pin} />
        <Check
          label={pin.name}
          checked={!bundle.off}
          onChange={(on) => edit(bundled({ off: on ? undefined : true }))}
        />
      </h3>
      {!bundle.off && (
        <>
          <Strength
            label="Strength"
            value={bundle.strength}
            onChange={(strength) => drag(bundled({ strength }))}
            onHold={beginGesture}
            onRelease={endGesture}
          />
          <MeasureField
            measure={sceneMeasure("shots/*/bundles/*/spacing")}
            value={bundle.spacing}
            onChange={(spacing) => edit(bundled({ spacing }), `spacing ${pin.id}`)}
          />
          {straight && pin.point.at && (
            <Choice
              label={`${pin.name}, even`}
              value={bundle.even ?? "angle"}
              options={EVEN}
              onChange={(even) => edit(bundled({ even: even === "angle" ? undefined : even }))}
            />
          )}
        </>
      )}
    </section>
  );
}

/** Directions for a building that is turned like none of those there are. */
function addFor(stores: Stores, block: Block): void {
  stores.edit(
    (scene) =>
      void scene.orientations.push({
        id: `o${newId().slice(0, 8)}`,
        name: `As ${block.name}`.slice(0, 200),
        heading: block.heading,
      }),
  );
}

/** Every set of parallels, or those of the chosen building. */
export function SetFields() {
  const stores = useStores();
  const { useDocument, useView, useShot, go } = stores;
  const orientations = useDocument((document) => document.scene.orientations);
  const sets = useView((view) => view.sets);
  const shot = useShot();
  const chosen = useChosenBox();
  const own = chosen && orientations.filter((one) => alongside(one, chosen));
  const listed = pinsOf(sets === "chosen" && own ? own : orientations, shot).filter(({ opposite }) => !opposite);
  // A pin keeps the look of its place among all sets.
  const all = new Map(pinsOf(orientations, shot).map((pin) => [pin.id, pin]));
  return (
    <>
      <Choice
        label="Sets shown"
        value={sets}
        options={{ all: "All sets", chosen: "Of the building" }}
        onChange={(next) => go({ sets: next })}
      />
      {sets === "chosen" && !chosen && (
        <p className="text-pencil">No building is chosen: press one under Masses. All sets are shown.</p>
      )}
      {sets === "chosen" && chosen && own?.length === 0 && (
        <>
          <p className="text-pencil">{chosen.name} is turned like none of the directions.</p>
          <Button className="w-full" onClick={() => addFor(stores, chosen)}>
            Add its directions
          </Button>
        </>
      )}
      {listed.map(({ id }) => (
        <SetRow key={id} pin={all.get(id)!} />
      ))}
    </>
  );
}
