import { centroid, cornersOf, DEFAULT_DOOR, DEFAULT_WINDOWS, type Building } from "@zanvo/core/world";
import { Check, Fold } from "../ui";
import { Measures, measuresOf } from "./Measures";
import { Parts } from "./Parts";
import type { Change } from "./view";
import { wallMeasures } from "./wallMeasures";
import { useSpoken } from "../stores";

/** Changes parts of a building. @throws Error with why it cannot stand so */
interface PartsOf {
  readonly building: Building;
  readonly set: (part: Partial<Building>, what: string) => void;
  readonly change: Change;
}

const round = (value: number) => Number(value.toFixed(2));

/** The middle of a building, and of its first side, on the plan. */
function places(building: Building) {
  const [x, y] = centroid(cornersOf(building));
  const [a, b] = building.footprint;
  return { middle: { x: round(x), y: round(y) }, front: { x: round((a.x + b.x) / 2), y: round((a.y + b.y) / 2) } };
}

/** Chimneys and boxes on a building's roof. */
export function OnRoofFields({ building, set }: PartsOf) {
  const { chimneys = [], boxes = [], roof } = building;
  return (
    <Fold title="On the roof">
      <Parts
        name="Chimney"
        add="A chimney"
        parts={chimneys}
        fields={["side", "rise"]}
        derived={wallMeasures(building, true)}
        measure={measuresOf(building, "chimneys")}
        fresh={() => ({
          x: places(building).middle.x,
          y: places(building).middle.y + 1,
          side: 0.9,
          rise: (roof.rise ?? 0) + 1.2,
        })}
        onChange={(to, what) => set({ chimneys: [...to] }, what)}
      />
      <Parts
        name="Box"
        add="A box for a lift or stairs"
        parts={boxes}
        fields={["length", "width", "rise"]}
        derived={wallMeasures(building, true)}
        measure={measuresOf(building, "boxes")}
        fresh={() => ({ ...places(building).middle, length: 3, width: 2.4, rise: 2.6 })}
        onChange={(to, what) => set({ boxes: [...to] }, what)}
      />
    </Fold>
  );
}

/** Windows, doors and passages of a building. */
export function OpeningFields({ building, set, change }: PartsOf) {
  const { windows, doors = [], passages = [] } = building;
  return (
    <Fold title="Windows, doors and passages">
      <Check
        label="Windows in every storey"
        checked={windows !== undefined}
        onChange={(on) => set({ windows: on ? DEFAULT_WINDOWS : undefined }, "windows")}
      />
      {windows && (
        <Measures
          element={building}
          of={["windows/every", "windows/width", "windows/height", "windows/sill"]}
          change={change}
        />
      )}
      {windows && doors.length > 0 && (
        <Check
          label="None in the walls beside the first door’s"
          checked={windows.party ?? false}
          onChange={(party) => set({ windows: { ...windows, party: party || undefined } }, "party")}
        />
      )}
      <Parts
        name="Door"
        add="A door"
        parts={doors}
        fields={["width", "height"]}
        derived={wallMeasures(building)}
        measure={measuresOf(building, "doors")}
        fresh={() => ({ ...places(building).front, ...DEFAULT_DOOR })}
        onChange={(to, what) => set({ doors: [...to] }, what)}
      />
      <Parts
        name="Passage"
        add="A passage through it"
        parts={passages}
        fields={["width", "height"]}
        derived={wallMeasures(building)}
        measure={measuresOf(building, "passages")}
        fresh={() => ({
          ...places(building).front,
          width: 3,
          height: Math.min(3.6, round(building.height * 0.7)),
          arch: true,
        })}
        more={(part, put) => (
          <Check label="Arched" checked={part.arch ?? false} onChange={(arch) => put({ arch: arch || undefined })} />
        )}
        onChange={(to, what) => set({ passages: [...to] }, what)}
      />
    </Fold>
  );
}

/** The ground that a building stands on: level, sloping, or stepped. */
export function FootFields({ building, set, change }: PartsOf) {
  const spoken = useSpoken();
  const { slope } = building;
  const put = (to: Building["slope"]) => spoken(() => set({ slope: to }, "slope"));
  return (
    <Fold title="The ground under it">
      <Check
        label="The ground rises"
        checked={slope !== undefined}
        onChange={(on) => put(on ? { heading: 0, grade: 6 } : undefined)}
      />
      {slope && <Measures element={building} of={["slope/heading", "slope/grade"]} change={change} />}
      {slope && (
        <Check
          label="In level steps"
          checked={slope.steps !== undefined}
          onChange={(on) => put({ ...slope, steps: on ? 4 : undefined })}
        />
      )}
      {slope?.steps !== undefined && <Measures element={building} of={["slope/steps"]} change={change} />}
    </Fold>
  );
}
