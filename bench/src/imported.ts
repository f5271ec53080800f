import { fromGeoJson } from "@zanvo/core/exchange";
import { built } from "@zanvo/core/world";
import { medians, row } from "./timing";

/** Degrees of latitude, and of longitude at the equator, for a metre: as good as this is asked for here. */
const DEGREE = 1 / 111_320;
/** Blocks lie between streets this far apart, m. */
const BLOCK = 60;

/** A file of so many buildings in the blocks of a grid of streets that all cross, as other programs write them. */
function fileOf(buildings: number): object {
  const across = Math.ceil(Math.sqrt(buildings / 5));
  const at = (x: number, y: number) => [x * DEGREE, y * DEGREE];
  const far = across * BLOCK;
  const streets = Array.from({ length: across + 1 }, (_, i) => i * BLOCK).flatMap((d) => [
    [at(d, 0), at(d, far)],
    [at(0, d), at(far, d)],
  ]);
  const houses = Array.from({ length: buildings }, (_, n) => {
    const [i, k, own] = [Math.floor(n / 5) % across, Math.floor(n / 5 / across), n % 5];
    const [x, y] = [i * BLOCK + 9 + (own % 3) * 14, k * BLOCK + 9 + Math.floor(own / 3) * 20];
    return [at(x, y), at(x + 12, y), at(x + 12, y + 10 + own), at(x, y + 10 + own), at(x, y)];
  });
  const feature = (properties: object, geometry: object) => ({ type: "Feature", properties, geometry });
  return {
    type: "FeatureCollection",
    features: [
      ...houses.map((ring, n) =>
        feature(
          { building: "yes", "building:levels": 2 + (n % 4), "roof:shape": n % 2 ? "gabled" : "hipped" },
          { type: "Polygon", coordinates: [ring] },
        ),
      ),
      ...streets.map((line) => feature({ highway: "residential" }, { type: "LineString", coordinates: line })),
    ],
  };
}

/** A file of 500 buildings with their streets, which all meet: read, and built. */
export function importing(): void {
  const file = fileOf(500);
  const id = (feature: number, part: number) => `${feature} ${part}`;
  const { elements } = fromGeoJson(file, undefined, id);
  const [read, build] = medians([() => void fromGeoJson(file, undefined, id), () => void built(elements)], 3);
  row(
    `a file of 500 buildings and ${elements.length - 500} streets that cross`,
    `read in ${read.toFixed(0)} ms, built in ${build.toFixed(0)} ms`,
    "under 2,000 ms together",
  );
}
