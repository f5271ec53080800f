import { toldBy } from "@zanvo/core/problem";
import type { Orientation, Shot, Sightings } from "@zanvo/core/scene";
import { sceneMeasure } from "@zanvo/core/schema";
import { buildingOfSightings, sightedLevel, viewOfSightings } from "@zanvo/core/vanishing";
import { newId } from "../../id";
import { Button, MeasureField } from "../../ui";
import { freeName } from "../../document";
import { useStores, type Stores } from "../../stores";

/** What one would read off a street corner at eye level, in the middle of a panel. */
function beginning(shot: Shot): Sightings {
  const { frame } = shot;
  const y = sightedLevel(shot);
  return {
    x: frame.x + frame.width / 2,
    top: y - 0.3 * frame.height,
    bottom: y + 0.08 * frame.height,
    left: { upper: 20 },
    right: { upper: 25 },
    parts: { heightToWidth: 0.7, leftToRight: 1 },
  };
}

const withSightings = (stores: Stores, sightings: Sightings | undefined) =>
  stores.onShot((before) => ({ ...before, sightings }));

interface NotesProps {
  readonly sightings: Sightings;
  readonly put: (change: Partial<Sightings>, key: string) => void;
}

/** Where the near corner stands, mm on the sheet. */
function CornerFields({ sightings, put }: NotesProps) {
  return (
    <>
      <h4>Near corner</h4>
      {(["x", "top", "bottom"] as const).map((key) => (
        <MeasureField
          key={key}
          measure={sceneMeasure(`shots/*/sightings/${key}`)}
          value={sightings[key]}
          onChange={(to) => put({ [key]: to }, key)}
        />
      ))}
    </>
  );
}

/** How the edges to one side tilt. */
function SideFields({ sightings, put, side }: NotesProps & { readonly side: "left" | "right" }) {
  const { upper, lower } = sightings[side];
  const measure = (which: "upper" | "lower") => sceneMeasure(`shots/*/sightings/${side}/${which}`);
  const tilt = (which: "upper" | "lower", to: number) =>
    put({ [side]: { ...sightings[side], [which]: to } }, `${side} ${which}`);
  return (
    <section aria-label={`Sightings, ${side}`} className="space-y-1.5">
      <h4>Edges to the {side}</h4>
      <MeasureField measure={measure("upper")} value={upper} onChange={(to) => tilt("upper", to)} />
      {lower === undefined ? (
        <Button className="w-full" onClick={() => tilt("lower", 6)}>
          Sight the lower edge, too
        </Button>
      ) : (
        <MeasureField measure={measure("lower")} value={lower} onChange={(to) => tilt("lower", to)} />
      )}
    </section>
  );
}

/** How the parts of what is seen compare. */
function PartFields({ sightings: { parts = { heightToWidth: 1, leftToRight: 1 } }, put }: NotesProps) {
  return (
    <>
      <h4>Parts</h4>
      {(["heightToWidth", "leftToRight"] as const).map((key) => (
        <MeasureField
          key={key}
          measure={sceneMeasure(`shots/*/sightings/parts/${key}`)}
          value={parts[key]}
          onChange={(to) => put({ parts: { ...parts, [key]: to } }, key)}
        />
      ))}
    </>
  );
}

/** Takes the view of what was noted, and raises its building where that is wanted. */
function take(stores: Stores, main: Orientation, shot: Shot, sightings: Sightings, raise: boolean): void {
  try {
    const seen = { ...viewOfSightings(main, shot, sightings), sightings };
    const named = () => freeName("Building", stores.useDocument.getState().scene.elements);
    const block = raise ? { ...buildingOfSightings(main, seen, sightings), id: newId(), name: named() } : null;
    const recipe = stores.onShot(() => seen);
    stores.edit((scene) => {
      recipe(scene);
      if (block) scene.elements.push(block);
    });
    if (block) stores.choose([block.id]);
    stores.say(
      block ? "The view is taken, and the building stands in it." : "The view has the points of what you saw.",
    );
  } catch (wrong) {
    stores.say(toldBy(wrong));
  }
}

/** A view from a pencil held at arm's length: the near corner, tilts of edges, and how its parts compare. */
export function LifeFields({ main, shot }: { readonly main: Orientation; readonly shot: Shot }) {
  const stores = useStores();
  const { edit } = stores;
  const { sightings } = shot;
  if (!sightings)
    return (
      <>
        <p className="text-pencil">
          Hold a pencil at arm’s length: note where the near corner stands, how its edges tilt, and how its parts
          compare. Do not stand in traffic or on tracks, and do not look into the sun.
        </p>
        <Button className="w-full" onClick={() => edit(withSightings(stores, beginning(shot)))}>
          Note what I see
        </Button>
      </>
    );
  const put: NotesProps["put"] = (change, key) =>
    edit(withSightings(stores, { ...sightings, ...change }), `sighting ${key}`);
  return (
    <>
      <CornerFields sightings={sightings} put={put} />
      <SideFields sightings={sightings} put={put} side="left" />
      <SideFields sightings={sightings} put={put} side="right" />
      <PartFields sightings={sightings} put={put} />
      <Button primary className="w-full" onClick={() => take(stores, main, shot, sightings, false)}>
        Take this view
      </Button>
      <Button className="w-full" onClick={() => take(stores, main, shot, sightings, true)}>
        Take it, and raise the building
      </Button>
      <Button className="w-full" onClick={() => edit(withSightings(stores, undefined))}>
        Put the notes away
      </Button>
    </>
  );
}
