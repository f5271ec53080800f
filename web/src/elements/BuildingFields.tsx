import { MeasureField } from "../ui";
import { measureOf } from "@zanvo/core/fields";
import { boxOf, kindOf, moved, requireValid, type Building } from "@zanvo/core/world";
import { FootFields, OnRoofFields, OpeningFields } from "./BuildingParts";
import { CurvedWallFields } from "./CurvedWallFields";
import { Measures, measuresOf } from "./Measures";
import { Parts } from "./Parts";
import { RoofFields } from "./RoofFields";
import type { Change } from "./view";
import { YardFields } from "./YardFields";

/** A storey where a building does not say how many it has (common practice), m. */
const STOREY = 3;

/**
 * Measures of a building on any footprint: its foot, its walls, storeys, set-backs and roof, openings, and where it
 * stands.
 */
export function BuildingFields({ element: building, change }: { readonly element: Building; readonly change: Change }) {
  const { height, storeys, setbacks = [], footprint } = building;
  const { x, y } = boxOf(building).origin;
  const floors = storeys ?? Math.max(1, Math.round(height / STOREY));
  const measure = (path: string) => measureOf(kindOf(building).schema, path);
  const set = (part: Partial<Building>, what: string) => change(requireValid({ ...building, ...part }), what);
  return (
    <>
      <p className="measure text-pencil">{footprint.length} corners on the plan</p>
      <Measures element={building} of={["height"]} change={change} />
      <MeasureField
        measure={measure("storeys")}
        value={floors}
        onChange={(to) => set({ storeys: to, height: (height / floors) * to }, "storeys")}
      />
      <Measures element={building} of={["base"]} change={change} />
      <MeasureField
        measure={measure("footprint/*/x")}
        value={x}
        onChange={(to) => change(moved(building, to - x, 0), "x")}
      />
      <MeasureField
        measure={measure("footprint/*/y")}
        value={y}
        onChange={(to) => change(moved(building, 0, to - y), "y")}
      />
      <Parts
        name="Set-back"
        add="Set back another part"
        parts={setbacks}
        fields={["inset", "height"]}
        measure={measuresOf(building, "setbacks")}
        fresh={() => ({ inset: 1.5, height: 4 })}
        onChange={(to, what) => set({ setbacks: [...to] }, what)}
      />
      <YardFields building={building} set={set} />
      {!building.round && <CurvedWallFields building={building} set={set} />}
      <RoofFields element={building} change={change} />
      <OnRoofFields building={building} set={set} change={change} />
      <OpeningFields building={building} set={set} change={change} />
      <FootFields building={building} set={set} change={change} />
    </>
  );
}
