import { toldBy } from "@zanvo/core/problem";
import type { Orientation, Shot, Sightings } from "@zanvo/core/scene";
import { buildingOfSightings, sightedLevel, viewOfSightings } from "@zanvo/core/vanishing";
import { newId } from "../../id";
import { Button, Fold, NumberField, say } from "../../ui";
import { useDocument, edit, choose, onShot, freeName } from "../../document";

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

const withSightings = (sightings: Sightings | undefined) => onShot((before) => ({ ...before, sightings }));
const TILT = { unit: "°", min: 0, max: 89 } as const;

/** A view from a pencil held at arm's length: the near corner, tilts of edges, and how its parts compare. */
export function LifeFields({ main, shot }: { readonly main: Orientation; readonly shot: Shot }) {
  const elements = useDocument((document) => document.scene.elements);
  const { sightings: s } = shot;
  if (!s) {
    return (
      <Fold title="From life">
        <p className="text-pencil">
          Hold a pencil at arm’s length: note where the near corner stands, how its edges tilt, and how its parts
          compare. Do not stand in traffic or on tracks, and do not look into the sun.
        </p>
        <Button className="w-full" onClick={() => edit(withSightings(beginning(shot)))}>
          Note what I see
        </Button>
      </Fold>
    );
  }
  const put = (change: Partial<Sightings>, key: string) => edit(withSightings({ ...s, ...change }), `sighting ${key}`);
  const take = (raise: boolean) => {
    try {
      const seen = { ...viewOfSightings(main, shot, s), sightings: s };
      const block = raise
        ? { ...buildingOfSightings(main, seen, s), id: newId(), name: freeName("Building", elements) }
        : null;
      const recipe = onShot(() => seen);
      edit((scene) => {
        recipe(scene);
        if (block) scene.elements.push(block);
      });
      if (block) choose([block.id]);
      say(block ? "The view is taken, and the building stands in it." : "The view has the points of what you saw.");
    } catch (wrong) {
      say(toldBy(wrong));
    }
  };
  return (
    <Fold title="From life">
      <h4>Near corner</h4>
      <NumberField
        label="Corner, from the left"
        unit="mm"
        value={s.x}
        min={-1e5}
        max={1e5}
        onChange={(x) => put({ x }, "x")}
      />
      <NumberField
        label="Its top, from the top"
        unit="mm"
        value={s.top}
        min={-1e5}
        max={1e5}
        onChange={(top) => put({ top }, "top")}
      />
      <NumberField
        label="Its foot, from the top"
        unit="mm"
        value={s.bottom}
        min={-1e5}
        max={1e5}
        onChange={(bottom) => put({ bottom }, "bottom")}
      />
      {(["left", "right"] as const).map((side) => (
        <section key={side} aria-label={`Sightings, ${side}`} className="space-y-1.5">
          <h4>Edges to the {side}</h4>
          <NumberField
            label="Upper, tilt"
            {...TILT}
            value={s[side].upper}
            onChange={(upper) => put({ [side]: { ...s[side], upper } }, `${side} upper`)}
          />
          {s[side].lower === undefined ? (
            <Button className="w-full" onClick={() => put({ [side]: { ...s[side], lower: 6 } }, `${side} lower`)}>
              Sight the lower edge, too
            </Button>
          ) : (
            <NumberField
              label="Lower, tilt"
              {...TILT}
              value={s[side].lower}
              onChange={(lower) => put({ [side]: { ...s[side], lower } }, `${side} lower`)}
            />
          )}
        </section>
      ))}
      <h4>Parts</h4>
      <NumberField
        label="Height ÷ width"
        unit=""
        digits={2}
        value={s.parts?.heightToWidth ?? 1}
        min={0.01}
        max={100}
        step={0.1}
        onChange={(heightToWidth) =>
          put({ parts: { heightToWidth, leftToRight: s.parts?.leftToRight ?? 1 } }, "height")
        }
      />
      <NumberField
        label="Left part ÷ right"
        unit=""
        digits={2}
        value={s.parts?.leftToRight ?? 1}
        min={0.01}
        max={100}
        step={0.1}
        onChange={(leftToRight) => put({ parts: { heightToWidth: s.parts?.heightToWidth ?? 1, leftToRight } }, "parts")}
      />
      <Button primary className="w-full" onClick={() => take(false)}>
        Take this view
      </Button>
      <Button className="w-full" onClick={() => take(true)}>
        Take it, and raise the building
      </Button>
      <Button className="w-full" onClick={() => edit(withSightings(undefined))}>
        Put the notes away
      </Button>
    </Fold>
  );
}
