import { measureOf, type Measure } from "@zanvo/core/fields";
import { distance2, type Vec3 } from "@zanvo/core/geometry";
import {
  elevationOf,
  frontOn,
  kindOf,
  leafWays,
  OPENS,
  cornersOf,
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
  const corners = cornersOf(building);
  const [p, q] = [corners[side], corners[(side + 1) % corners.length]];
  const long = distance2(p, q);
  const [ux, uy] = [(q[0] - p[0]) / long, (q[1] - p[1]) / long];
  const ways = leafWays(door);
  return ways.map(([along, behind], leaf) => [
    ways.length === 1 ? "Its leaf" : leaf === 0 ? "Its left leaf" : "Its right leaf",
    [along * ux - behind * uy, along * uy + behind * ux, 0],
  ]);
}

interface OwnProps {
  readonly its: Opening;
  readonly put: (part: Partial<OwnBay>, what: string) => void;
  readonly measure: (key: string) => Measure;
}

/** The window of a bay: its head, whether it stands out, and its glass. */
function OwnWindow({ its: { look }, put, measure, rooms }: OwnProps & { readonly rooms: boolean }) {
  const spoken = useSpoken();
  return (
    <>
      <HeadChoice value={look.head ?? "flat"} onChange={(head) => spoken(() => put({ head }, "head"))} />
      {look.head !== "circle" && (
        <Check
          label="Stands out, as a bay window"
          checked={Boolean(look.out)}
          onChange={(on) => spoken(() => put({ out: on ? STANDS_OUT : 0, square: undefined }, "out"))}
        />
      )}
      {look.out ? (
        <>
          <MeasureField measure={measure("out")} value={look.out} onChange={(out) => put({ out }, "out")} />
          <Check
            label="Its cheeks are square to the wall"
            checked={look.square ?? false}
            onChange={(square) => spoken(() => put({ square: square || undefined }, "square"))}
          />
        </>
      ) : null}
      {rooms && (
        <Check
          label="Nothing is seen through the glass"
          checked={look.opaque ?? false}
          onChange={(opaque) => spoken(() => put({ opaque }, "glass"))}
        />
      )}
    </>
  );
}

interface OwnDoorProps extends OwnProps {
  readonly ways: ReturnType<typeof leavesOf>;
  readonly own: OwnBay | undefined;
}

/** The door of a bay: how it opens, how far, and whether steps lead up to it. */
function OwnDoor({ its: { look }, put, measure, ways, own }: OwnDoorProps) {
  const spoken = useSpoken();
  const far = turns(look) ? "open" : "clear";
  return (
    <>
      <Select
        labelled
        label="Opens"
        className="min-w-0 grow"
        value={look.opens ?? "inwards"}
        options={optionsOf(OPENS)}
        onChange={(opens) => spoken(() => put({ opens: opens === "inwards" ? undefined : opens }, "opens"))}
      />
      <MeasureField
        key={far}
        measure={measure(far)}
        value={look[far] ?? 0}
        onChange={(to) => put({ [far]: to }, far)}
      />
      {turns(look) && look.open ? <EdgePoints label="Points of its leaves" ways={ways} /> : null}
      <Check
        label="Steps up to it"
        checked={own?.steps ?? false}
        onChange={(on) => spoken(() => put({ steps: on || undefined }, "steps"))}
      />
    </>
  );
}

interface OwnOpeningProps extends OwnProps, Omit<BayFieldsProps, "change"> {
  /** The height of its floor, and the middle of its bay, m of its wall. */
  readonly floor: number;
  readonly middle: number;
}

/** The opening of a bay: its measures, and what belongs to a window or a door. */
function OwnOpening({ building, side, bay, its, put, measure, floor, middle }: OwnOpeningProps) {
  const spoken = useSpoken();
  const front = frontOn(building, side);
  const own = front && ownOf(front, bay);
  const sizes = { width: its.to - its.from, height: its.high - its.low, sill: its.low - floor };
  const all = { ...sizes, by: (its.from + its.to) / 2 - middle };
  return (
    <>
      {(["width", "height", "sill", "by"] as const).map((key) => (
        <MeasureField key={key} measure={measure(key)} value={all[key]} onChange={(to) => put({ [key]: to }, key)} />
      ))}
      {its.kind === "window" ? (
        <OwnWindow its={its} put={put} measure={measure} rooms={building.rooms !== undefined} />
      ) : (
        <OwnDoor its={its} put={put} measure={measure} ways={leavesOf(building, side, its)} own={own} />
      )}
      {bay.storey > 0 && (
        <Check
          label="A balcony before it"
          checked={own?.balcony ?? false}
          onChange={(on) => spoken(() => put({ balcony: on || undefined }, "balcony"))}
        />
      )}
    </>
  );
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
  const middle = (cell.from + cell.to) / 2;
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
      {its && <OwnOpening {...{ building, side, bay, its, put, measure }} floor={floor.low} middle={middle} />}
      {ownOf(front, bay) && (
        <Button className="w-full" onClick={() => spoken(() => put(null, "rule"))}>
          As its rule has it
        </Button>
      )}
    </section>
  );
}
