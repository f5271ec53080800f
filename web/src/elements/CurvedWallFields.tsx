import { measureOf } from "@zanvo/core/fields";
import { AlongWallSchema, cornersOf, type Building } from "@zanvo/core/world";
import { Button, Fold } from "../ui";
import { useSpoken } from "../stores";
import { measuresOf } from "./Measures";
import { Parts, type Derived } from "./Parts";

interface CurvedWallProps {
  readonly building: Building;
  /** Changes parts of a building. @throws Error with why it cannot stand so */
  readonly set: (part: Partial<Building>, what: string) => void;
}

/** A wall bows out, and corners are rounded, by so much at first, m. */
const [BOW, RADIUS] = [1.5, 1.5] as const;

/** A side or a corner of a footprint, which is counted from one where it is shown. */
function numbered<K extends string>(label: string, key: K, count: number): Derived<Readonly<Record<K, number>>> {
  return {
    key,
    measure: { ...measureOf(AlongWallSchema, "wall"), label, max: count },
    read: (part) => part[key] + 1,
    write: (_part, to) => ({ [key]: to - 1 }) as Record<K, number>,
  };
}

/** The first number that no part has yet. */
const free = (taken: readonly number[]): number => {
  const all = Array.from({ length: taken.length + 1 }, (_, i) => i);
  return all.find((i) => !taken.includes(i)) ?? 0;
};

/** Walls of a building that bow, and corners that are round. */
export function CurvedWallFields({ building, set }: CurvedWallProps) {
  const spoken = useSpoken();
  const { bows = [], corners = [] } = building;
  const n = cornersOf(building).length;
  const some = <T,>(parts: readonly T[]) => (parts.length > 0 ? [...parts] : undefined);
  return (
    <Fold title="Bows and round corners">
      <Parts
        name="Bow"
        add="Let a wall bow out"
        parts={bows}
        fields={["rise"]}
        derived={[numbered("Wall", "side", n)]}
        measure={measuresOf(building, "bows")}
        fresh={() => ({ side: free(bows.map(({ side }) => side)), rise: BOW })}
        onChange={(to, what) => set({ bows: some(to) }, what)}
      />
      <Parts
        name="Round corner"
        add="Round a corner"
        parts={corners}
        fields={["radius"]}
        derived={[numbered("Corner", "corner", n)]}
        measure={measuresOf(building, "corners")}
        fresh={() => ({ corner: free(corners.map(({ corner }) => corner)), radius: RADIUS })}
        onChange={(to, what) => set({ corners: some(to) }, what)}
      />
      {corners.length < n && (
        <Button
          className="w-full"
          onClick={() =>
            spoken(() => {
              const radius = corners[0]?.radius ?? RADIUS;
              set({ corners: Array.from({ length: n }, (_, corner) => ({ corner, radius })) }, "corners");
            })
          }
        >
          Round every corner
        </Button>
      )}
    </Fold>
  );
}
