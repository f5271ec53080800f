import { wrap } from "@zanvo/core/geometry";
import {
  asBuilding,
  boxOf,
  validateBuilding,
  moved,
  ROOFS,
  slopeOf,
  type Block,
  type Building,
  type RoofKind,
  requireValid,
} from "@zanvo/core/world";
import { toldBy } from "@zanvo/core/problem";
import { newId } from "../id";
import { Button, Check, NumberField, say } from "../ui";
import { LEAST } from "../board/desk/raise";
import { FootFields, OnRoofFields, OpeningFields } from "./BuildingParts";
import { PLACE, SIZE } from "./measures";
import { Parts } from "./Parts";
import type { Change } from "./view";
import { YardFields } from "./YardFields";
import { edit } from "../document";

/**
 * Adds the slope of a roof to the directions that run with it, so that it has points of its own; directions are added
 * where none do.
 */
function addSlope(building: Building): void {
  const slope = slopeOf(building);
  if (!slope) return;
  edit((scene) => {
    const off = (heading: number) => Math.abs(wrap(slope.heading - heading, -90, 180));
    const own = scene.orientations.find(({ heading }) => Math.min(off(heading), off(heading + 90)) < 0.5);
    const orientation = own ?? {
      id: `o${newId().slice(0, 8)}`,
      name: `As ${building.name}`.slice(0, 200),
      heading: slope.heading,
    };
    if (!own) scene.orientations.push(orientation);
    const axis = off(orientation.heading) < 0.5 ? "along" : "across";
    orientation.slopes = [
      ...(orientation.slopes ?? []),
      { id: newId(), name: `Roof of ${building.name}`.slice(0, 200), axis, rise: Number(slope.rise.toFixed(3)) },
    ];
  });
  say(`The roof’s slope of ${slope.rise.toFixed(1)}° has points of its own now: see Points.`);
}

/** The roof of a block or a building; a block that is given one becomes a building. */
export function RoofFields({ element, change }: { readonly element: Block | Building; readonly change: Change }) {
  const building = asBuilding(element);
  const { kind, rise, turned } = building.roof;
  const fits = (to: RoofKind) =>
    validateBuilding({ ...building, roof: { kind: to, ...(to === "flat" ? {} : { rise: rise ?? 2.5 }) } }) === null;
  const roof = (to: Building["roof"], what: string) => change(requireValid({ ...building, roof: to }), what);
  return (
    <>
      <label className="flex items-center justify-between gap-2">
        <span className="text-pencil">Roof</span>
        <select
          aria-label="Roof"
          className="h-7 rounded border border-hair bg-slip px-1"
          value={kind}
          onChange={(event) => {
            const to = event.target.value as RoofKind;
            try {
              roof({ kind: to, ...(to === "flat" ? {} : { rise: rise ?? 2.5 }) }, "roof");
            } catch (wrong) {
              say(toldBy(wrong));
            }
          }}
        >
          {(Object.keys(ROOFS) as RoofKind[]).map((one) => (
            <option key={one} value={one} disabled={!fits(one)}>
              {ROOFS[one].name}
            </option>
          ))}
        </select>
      </label>
      {kind !== "flat" && (
        <NumberField
          label="Rise of the roof"
          unit="m"
          digits={2}
          min={LEAST}
          max={1000}
          step={0.1}
          value={rise ?? 2.5}
          onChange={(to) => roof({ kind, rise: to, turned }, "rise")}
        />
      )}
      {kind === "flat" && element.kind === "building" && (
        <Check
          label="Parapet"
          checked={rise !== undefined}
          onChange={(on) => {
            try {
              roof(on ? { kind, rise: 0.9 } : { kind }, "parapet");
            } catch (wrong) {
              say(toldBy(wrong));
            }
          }}
        />
      )}
      {kind === "flat" && rise !== undefined && (
        <NumberField
          label="Height of the parapet"
          unit="m"
          digits={2}
          min={LEAST}
          max={50}
          step={0.1}
          value={rise}
          onChange={(to) => roof({ kind, rise: to }, "rise")}
        />
      )}
      {ROOFS[kind].needs === "rectangle" && (
        <Check
          label="Ridge across"
          checked={turned ?? false}
          onChange={(on) => roof({ kind, rise, turned: on || undefined }, "turned")}
        />
      )}
      {slopeOf(building) && (
        <Button className="w-full" onClick={() => addSlope(building)}>
          Give its slope points of its own
        </Button>
      )}
    </>
  );
}

/**
 * Measures of a building on any footprint: its foot, its walls, storeys, set-backs and roof, openings, and where it
 * stands.
 */
export function BuildingFields({ element: building, change }: { readonly element: Building; readonly change: Change }) {
  const { height, storeys, setbacks = [], base, footprint } = building;
  const { x, y } = boxOf(building).origin;
  const set = (part: Partial<Building>, what: string) => change(requireValid({ ...building, ...part }), what);
  return (
    <>
      <p className="measure text-pencil">{footprint.length} corners on the plan</p>
      <NumberField
        label="Height to the eaves"
        {...SIZE}
        value={height}
        onChange={(to) => set({ height: to }, "height")}
      />
      <NumberField
        label="Storeys"
        unit=""
        digits={0}
        min={1}
        max={300}
        step={1}
        value={storeys ?? Math.max(1, Math.round(height / 3))}
        onChange={(to) =>
          set(
            {
              storeys: Math.round(to),
              height: (height / (storeys ?? Math.max(1, Math.round(height / 3)))) * Math.round(to),
            },
            "storeys",
          )
        }
      />
      <NumberField label="Foot over the ground" {...PLACE} value={base} onChange={(to) => set({ base: to }, "base")} />
      <NumberField
        label="East of the origin"
        {...PLACE}
        value={x}
        onChange={(to) => change(moved(building, to - x, 0), "x")}
      />
      <NumberField
        label="North of the origin"
        {...PLACE}
        value={y}
        onChange={(to) => change(moved(building, 0, to - y), "y")}
      />
      <Parts
        name="Set-back"
        add="Set back another part"
        parts={setbacks}
        fields={[
          { key: "inset", label: "Set back by", min: LEAST },
          { key: "height", label: "Height", min: LEAST },
        ]}
        fresh={() => ({ inset: 1.5, height: 4 })}
        onChange={(to, what) => set({ setbacks: [...to] }, what)}
      />
      <YardFields building={building} set={set} />
      <RoofFields element={building} change={change} />
      <OnRoofFields building={building} set={set} />
      <OpeningFields building={building} set={set} />
      <FootFields building={building} set={set} />
    </>
  );
}
