import { Plus, X } from "lucide-react";
import type { Orientation, Slope } from "@zanvo/core/scene";
import { sceneMeasure } from "@zanvo/core/schema";
import { newId } from "../../id";
import { Button, Choice, IconButton, MeasureField } from "../../ui";
import { freeName } from "../../document";
import { useStores, type Stores } from "../../stores";

/** Turned by this much a new pair is plain to see, degrees. */
const TURN = 30;

function add(stores: Stores, orientations: readonly Orientation[]): void {
  const heading = (orientations.at(-1)?.heading ?? 0) + TURN;
  stores.edit(
    (scene) =>
      void scene.orientations.push({
        id: `o${newId().slice(0, 8)}`,
        name: freeName("Directions", orientations),
        heading,
      }),
  );
}

/** A common pitch of a tiled roof, degrees (common practice). */
const ROOF = 35;

function addSlope(stores: Stores, orientation: Orientation): void {
  const slopes = orientation.slopes ?? [];
  const slope: Slope = {
    id: `slope${newId().slice(0, 8)}`,
    name: slopes.length ? `Slope ${slopes.length + 1}` : "Roofs",
    axis: "across",
    rise: ROOF,
  };
  stores.edit((scene) => {
    const one = scene.orientations.find(({ id }) => id === orientation.id);
    if (one) one.slopes = [...(one.slopes ?? []), slope];
  });
}

/** One slope of an orientation: roofs, ramps and stairs, with a point above and a point below the horizon. */
function SlopeRow({ of, slope }: { readonly of: string; readonly slope: Slope }) {
  const { edit } = useStores();
  const change = (what: Partial<Slope> | null) =>
    edit(
      (scene) => {
        const one = scene.orientations.find(({ id }) => id === of);
        if (one)
          one.slopes = one.slopes?.flatMap((each) =>
            each.id === slope.id ? (what ? [{ ...each, ...what }] : []) : [each],
          );
      },
      what ? `slope ${slope.id}` : undefined,
    );
  return (
    <section aria-label={slope.name} className="space-y-1 border-t border-hair pt-1">
      <div className="flex gap-1">
        <input
          className="h-7 w-full min-w-0 rounded border border-hair bg-transparent px-1.5"
          aria-label="Name of the slope"
          maxLength={200}
          value={slope.name}
          onChange={(event) => change({ name: event.target.value })}
        />
        <IconButton label={`Remove ${slope.name}`} onClick={() => change(null)}>
          <X size={15} />
        </IconButton>
      </div>
      <Choice
        label="Rises"
        value={slope.axis}
        options={{ along: "Along", across: "Across" }}
        onChange={(axis) => change({ axis })}
      />
      <MeasureField
        measure={sceneMeasure("orientations/*/slopes/*/rise")}
        value={slope.rise}
        onChange={(rise) => change({ rise })}
      />
    </section>
  );
}

/**
 * Every pair of level directions of the scene: turned streets and turned blocks have points of their own, on one
 * horizon.
 */
export function DirectionFields({ orientations }: { readonly orientations: readonly Orientation[] }) {
  const stores = useStores();
  const { edit } = stores;
  const change = (id: string, what: Partial<Orientation>) =>
    edit((scene) => {
      const one = scene.orientations.find((orientation) => orientation.id === id);
      if (one) Object.assign(one, what);
    }, `direction ${id}`);
  return (
    <>
      {orientations.map(({ id, name, heading, slopes }) => (
        <section key={id} aria-label={name} className="space-y-1 rounded border border-hair p-1.5">
          <div className="flex gap-1">
            <input
              className="h-7 w-full min-w-0 rounded border border-hair bg-transparent px-1.5"
              aria-label="Name of the directions"
              maxLength={200}
              value={name}
              onChange={(event) => change(id, { name: event.target.value })}
            />
            {orientations.length > 1 && (
              <IconButton
                label={`Remove ${name}`}
                onClick={() =>
                  edit((scene) => {
                    scene.orientations = scene.orientations.filter((one) => one.id !== id);
                  })
                }
              >
                <X size={15} />
              </IconButton>
            )}
          </div>
          <MeasureField
            measure={sceneMeasure("orientations/*/heading")}
            value={heading}
            onChange={(to) => change(id, { heading: to })}
          />
          {slopes?.map((slope) => (
            <SlopeRow key={slope.id} of={id} slope={slope} />
          ))}
          <Button className="w-full" onClick={() => addSlope(stores, { id, name, heading, slopes })}>
            <Plus size={14} aria-hidden />
            Add a slope
          </Button>
        </section>
      ))}
      <Button className="w-full" onClick={() => add(stores, orientations)}>
        <Plus size={14} aria-hidden />
        Add a turned pair
      </Button>
    </>
  );
}
