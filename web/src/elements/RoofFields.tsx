import { toldBy } from "@zanvo/core/problem";
import { measureOf } from "@zanvo/core/fields";
import {
  asBuilding,
  COVERS,
  kindOf,
  mayTurnRidge,
  requireValid,
  ROOFS,
  slopeOf,
  validateBuilding,
  whyInvalid,
  type Block,
  type Building,
  type CoverId,
  type RoofKind,
} from "@zanvo/core/world";
import { addSlope } from "../document/slopes";
import { Button, Check, Fold, Select, MeasureField } from "../ui";
import type { Change } from "./view";
import { useStores, type Stores } from "../stores";

/** Gives the slope of a roof points of its own. */
function addRoofSlope(stores: Stores, building: Building): void {
  const slope = slopeOf(building);
  if (slope) addSlope(stores, slope, `Roof of ${building.name}`, building.name);
}

/** Does what may be refused, and says why it was. */
function attempt(stores: Stores, work: () => void): void {
  try {
    work();
  } catch (wrong) {
    stores.say(toldBy(wrong));
  }
}

/** What roofs can be laid with, nothing first. */
const LAID_WITH: readonly (readonly [CoverId | "", string])[] = [
  ["", "nothing drawn"],
  ...(Object.keys(COVERS) as CoverId[]).map((id) => [id, COVERS[id].label] as const),
];

const KINDS = Object.keys(ROOFS) as RoofKind[];
/** The rise that a roof is given at first, and the height of a parapet (common practice), m. */
const RISE = 2.5;
const PARAPET = 0.9;
/** How far eaves reach out at first (common practice), m. */
const OVERHANG = 0.4;

/** What rises over the eaves: the roof, or the parapet of a flat one. */
function RiseFields({ element, change }: { readonly element: Block | Building; readonly change: Change }) {
  const stores = useStores();
  const building = asBuilding(element);
  const { kind, rise } = building.roof;
  const rising = measureOf(kindOf(building).schema, "roof/rise");
  const roof = (to: Building["roof"], what: string) => change(requireValid({ ...building, roof: to }), what);
  if (kind !== "flat")
    return (
      <MeasureField
        measure={rising}
        value={rise ?? RISE}
        onChange={(to) => roof({ ...building.roof, rise: to }, "rise")}
      />
    );
  return (
    <>
      {element.kind === "building" && (
        <Check
          label="Parapet"
          checked={rise !== undefined}
          onChange={(on) => attempt(stores, () => roof(on ? { kind, rise: PARAPET } : { kind }, "parapet"))}
        />
      )}
      {rise !== undefined && (
        <MeasureField
          measure={{ ...rising, label: "Height of the parapet" }}
          value={rise}
          onChange={(to) => roof({ kind, rise: to }, "rise")}
        />
      )}
    </>
  );
}

/** The roofs that cannot stand on a building, each with the reason. */
function MisfitRoofs({ building, withRoof }: { building: Building; withRoof: (to: RoofKind) => Building }) {
  const { useMeasures } = useStores();
  const measures = useMeasures();
  const misfits = KINDS.flatMap((one) => {
    const invalid = one === building.roof.kind ? null : validateBuilding(withRoof(one));
    return invalid ? [{ one, why: measures(whyInvalid(invalid)) }] : [];
  });
  if (misfits.length === 0) return null;
  return (
    <Fold title={`${misfits.length} roofs do not fit here`}>
      <ul className="list-disc pl-4 text-pencil">
        {misfits.map(({ one, why }) => (
          <li key={one}>{why}</li>
        ))}
      </ul>
    </Fold>
  );
}

/** How far the eaves of a hip or gable roof reach out, if they do. */
function OverhangFields({ building, change }: { readonly building: Building; readonly change: Change }) {
  const stores = useStores();
  const { overhang } = building.roof;
  const set = (to: number | undefined) =>
    change(requireValid({ ...building, roof: { ...building.roof, overhang: to } }), "overhang");
  return (
    <>
      <Check
        label="Overhanging eaves"
        checked={overhang !== undefined}
        onChange={(on) => attempt(stores, () => set(on ? OVERHANG : undefined))}
      />
      {overhang !== undefined && (
        <MeasureField measure={measureOf(kindOf(building).schema, "roof/overhang")} value={overhang} onChange={set} />
      )}
    </>
  );
}

/** What the slopes of a roof are laid with, whole or as a hint. */
function CoverFields({ building, change }: { readonly building: Building; readonly change: Change }) {
  const stores = useStores();
  const { cover, hint } = building.roof;
  const set = (part: Partial<Building["roof"]>) =>
    attempt(stores, () => change(requireValid({ ...building, roof: { ...building.roof, ...part } }), "cover"));
  return (
    <>
      <Select
        labelled
        label="Laid with"
        value={cover ?? ""}
        options={LAID_WITH}
        onChange={(to) => set(to === "" ? { cover: undefined, hint: undefined } : { cover: to })}
      />
      {cover && (
        <Check
          label="A hint of it at the edges"
          checked={hint ?? false}
          onChange={(on) => set({ hint: on || undefined })}
        />
      )}
    </>
  );
}

/** The roof of a block or a building; a block that is given one becomes a building. */
export function RoofFields({ element, change }: { readonly element: Block | Building; readonly change: Change }) {
  const stores = useStores();
  const building = asBuilding(element);
  const { kind, rise, turned, cover, hint } = building.roof;
  const withRoof = (to: RoofKind): Building => ({
    ...building,
    roof: {
      kind: to,
      ...(to === "flat" ? {} : { rise: rise ?? RISE }),
      ...(cover && ROOFS[to].sloped ? { cover, ...(hint && { hint }) } : {}),
    },
  });
  return (
    <>
      <Select
        labelled
        label="Roof"
        value={kind}
        options={KINDS.map((one) => [one, ROOFS[one].name, validateBuilding(withRoof(one)) !== null])}
        onChange={(to) => attempt(stores, () => change(requireValid(withRoof(to)), "roof"))}
      />
      <MisfitRoofs building={building} withRoof={withRoof} />
      <RiseFields element={element} change={change} />
      {mayTurnRidge(building) && (
        <Check
          label="Ridge across"
          checked={turned ?? false}
          onChange={(on) =>
            change(requireValid({ ...building, roof: { ...building.roof, turned: on || undefined } }), "turned")
          }
        />
      )}
      {(kind === "hip" || kind === "gable") && !building.courtyards?.length && (
        <OverhangFields building={building} change={change} />
      )}
      {ROOFS[kind].sloped && !building.round && <CoverFields building={building} change={change} />}
      {slopeOf(building) && (
        <Button className="w-full" onClick={() => addRoofSlope(stores, building)}>
          Give its slope points of its own
        </Button>
      )}
    </>
  );
}
