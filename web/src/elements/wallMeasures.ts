import { measureOf } from "@zanvo/core/fields";
import { alongWall, AlongWallSchema, cornersOf, placeAtWall, type AlongWall, type Building } from "@zanvo/core/world";
import type { Derived } from "./Parts";

/** Where a part stands by its wall: which one, how far along it, and, of what stands inside, how far in from it. */
export function wallMeasures(
  building: Building,
  inside = false,
): readonly Derived<{ readonly x: number; readonly y: number }>[] {
  const corners = cornersOf(building);
  const keys: readonly (keyof AlongWall & string)[] = inside ? ["wall", "along", "inwards"] : ["wall", "along"];
  return keys.map((key) => {
    const measure = measureOf(AlongWallSchema, key);
    return {
      key,
      measure: key === "wall" ? { ...measure, max: corners.length } : measure,
      read: (part) => alongWall(corners, part)[key],
      write: (part, to) => placeAtWall(corners, { ...alongWall(corners, part), [key]: to }),
    };
  });
}
