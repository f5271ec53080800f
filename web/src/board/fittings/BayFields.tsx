import { measureOf } from "@zanvo/core/fields";
import { distance2, type Vec3 } from "@zanvo/core/geometry";
import {
  elevationOf,
  frontOn,
  kindOf,
  leafWays,
  OPENS,
  outlineOf,
  turns,
  type Building,
  type Opening,
  type OwnBay,
} from "@zanvo/core/world";
import { EdgePoints } from "../../elements/EdgePoints";
import { Button, Check, MeasureField, optionsOf, Select } from "../../ui";
import type { ChangeBuilding } from "./change";
import type { ChosenBay } from "./createFittings";
import { HeadChoice } from "./HeadChoice";
import { changedBay, openingIn, ownOf } from "./ownBays";
import { useSpoken } from "../../stores";

interface BayFieldsProps {
  readonly building: Building;
  readonly side: number;
  readonly bay: ChosenBay;
  readonly change: ChangeBuilding;
}

const OPENINGS = [
  ["window", "a window"],
  ["door", "a door"],
  ["none", "nothing"],
] as const;

/** A window stands out by so much at first, m (common practice). */
const STANDS_OUT = 0.6;

/** Which way the opened leaves of a door run, in the world. */
function leavesOf(building: Building, side: number, door: Opening): readonly (readonly [string, Vec3])[] {
  const corners = outlineOf(building);
  const [p, q] = [corners[side], corners[(side + 1) % corners.length]];
  const long = distance2(p, q);
  const [ux, uy] = [(q[0] - p[0]) / long, (q[1] - p[1]) / long];
  const ways = leafWays(door);
  return ways.map(([along, behind], leaf) => [
    ways.length === 1 ? "Its leaf" : leaf === 0 ? "Its left leaf" : "Its right leaf",
    [along * ux - behind * uy, along * uy + behind * ux, 0],
  ]);
}

/** What one bay has: by its rule, or of its own. */
export function BayFields({ building, side, bay, change }: BayFieldsProps) {
  const spoken = useSpoken();
  const front = frontOn(building, side);
  if (!front) return null;
  const { floors, bays } = elevationOf(building, side);
  const its = openingIn(building, side, bay);
  const [floor, cell] = [floors[bay.storey], bays[bay.bay]];
  if (!floor || !cell) return null;
  const put = (part: Partial<OwnBay> | null, what: string) =>
    change(changedBay(building, side, bay, part), `bay ${bay.bay} ${bay.storey} ${what}`);
  const measure = (key: string) => measureOf(kindOf(building).schema, `fronts/*/own/*/${key}`);
  const field = (key: "width" | "height" | "sill" | "by", value: number) => (
    <MeasureField key={key} measure={measure(key)} value={value} onChange={(to) => put({ [key]: to }, key)} />
  );
  return (
    <section
      aria-label={`Bay ${bay.bay + 1}, storey ${bay.storey + 1}`}
      className="space-y-1.5 rounded border border-accent p-1.5"
    >
      <p className="font-medium">
        Bay {bay.bay + 1}, storey {bay.storey + 1}
      </p>
      <Select
        labelled
        label="Has"
        className="min-w-0 grow"
        value={its?.kind ?? "none"}
        options={OPENINGS}
        onChange={(opening) => spoken(() => put({ opening }, "opening"))}
      />
      {its && (
        <>
          {its.kind === "window" && (
            <HeadChoice value={its.look.head ?? "flat"} onChange={(head) => spoken(() => put({ head }, "head"))} />
          )}
          {field("width", its.to - its.from)}
          {field("height", its.high - its.low)}
          {field("sill", its.low - floor.low)}
          {field("by", (its.from + its.to - cell.from - cell.to) / 2)}
          {its.kind === "door" && (
            <>
              <Select
                labelled
                label="Opens"
                className="min-w-0 grow"
                value={its.look.opens ?? "inwards"}
                options={optionsOf(OPENS)}
                onChange={(opens) => spoken(() => put({ opens: opens === "inwards" ? undefined : opens }, "opens"))}
              />
              {turns(its.look) ? (
                <MeasureField
                  measure={measure("open")}
                  value={its.look.open ?? 0}
                  onChange={(open) => put({ open }, "open")}
                />
              ) : (
                <MeasureField
                  measure={measure("clear")}
                  value={its.look.clear ?? 0}
                  onChange={(clear) => put({ clear }, "clear")}
                />
              )}
              {turns(its.look) && its.look.open && (
                <EdgePoints label="Points of its leaves" ways={leavesOf(building, side, its)} />
              )}
            </>
          )}
          {its.kind === "window" && its.look.head !== "circle" && (
            <Check
              label="Stands out, as a bay window"
              checked={Boolean(its.look.out)}
              onChange={(on) => spoken(() => put({ out: on ? STANDS_OUT : 0, square: undefined }, "out"))}
            />
          )}
          {its.kind === "window" && its.look.out ? (
            <>
              <MeasureField measure={measure("out")} value={its.look.out} onChange={(out) => put({ out }, "out")} />
              <Check
                label="Its cheeks are square to the wall"
                checked={its.look.square ?? false}
                onChange={(square) => spoken(() => put({ square: square || undefined }, "square"))}
              />
            </>
          ) : null}
          {building.rooms && its.kind === "window" && (
            <Check
              label="Nothing is seen through the glass"
              checked={its.look.opaque ?? false}
              onChange={(opaque) => spoken(() => put({ opaque }, "glass"))}
            />
          )}
          {its.kind === "door" && (
            <Check
              label="Steps up to it"
              checked={ownOf(front, bay)?.steps ?? false}
              onChange={(on) => spoken(() => put({ steps: on || undefined }, "steps"))}
            />
          )}
          {bay.storey > 0 && (
            <Check
              label="A balcony before it"
              checked={ownOf(front, bay)?.balcony ?? false}
              onChange={(on) => spoken(() => put({ balcony: on || undefined }, "balcony"))}
            />
          )}
        </>
      )}
      {ownOf(front, bay) && (
        <Button className="w-full" onClick={() => spoken(() => put(null, "rule"))}>
          As its rule has it
        </Button>
      )}
    </section>
  );
}
