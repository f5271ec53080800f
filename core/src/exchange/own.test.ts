import { readFileSync } from "node:fs";
import { join } from "node:path";
import { readScene } from "../document";
import { newScene, type Scene } from "../scene";
import { inMetric } from "../units";
import { outlineOf, type Element } from "../world";
import { fromGeoJson, toEarth, toGeoJson } from ".";

const demo = readScene(readFileSync(join(__dirname, "../../../demo/5-the-whole-quarter.zanvo.json"), "utf8"));
/** Ids by their place in the file: those of the scene that it was written from. */
const idsOf =
  ({ elements }: Scene) =>
  (feature: number) =>
    elements[feature]?.id ?? `new ${feature}`;

it("a whole scene that was written comes back as it was, with the rules of its rows", () => {
  const there = JSON.parse(JSON.stringify(toGeoJson(demo))) as object;
  const back = fromGeoJson(there, undefined, idsOf(demo));
  expect(back.notes).toEqual([]);
  expect(back.elements).toEqual(demo.elements);
  expect(back.rows).toEqual(demo.rows);
});

it("on another origin, north and all, everything lies at the same place of the Earth", () => {
  const from = { longitude: 4.1, latitude: 51.9, north: 12 };
  const to = { longitude: 4.103, latitude: 51.902, north: -20 };
  const scene = { ...demo, ground: from };
  const { elements, rows, notes } = fromGeoJson(toGeoJson(scene), to, idsOf(demo));
  expect([notes, rows]).toEqual([[], []]);
  const near = demo.elements.filter((one) => outlineOf(one).every(([x, y]) => Math.hypot(x, y) < 500));
  expect(near.length).toBeGreaterThan(100);
  for (const one of near) {
    const other = elements.find(({ id }) => id === one.id)!;
    outlineOf(one).forEach((at, i) => {
      const [a, b] = [toEarth(from, at), toEarth(to, outlineOf(other)[i])];
      // A hundred-millionth of a degree is a millimetre; flat maps of two origins differ by some of them.
      expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeLessThan(1e-6);
    });
  }
});

it("a feature that was moved in another program lies where that put it; one that lies is read as any other", () => {
  const shed: Element = {
    id: "s",
    kind: "building",
    name: "Ice shed",
    footprint: [
      { x: 0, y: 0 },
      { x: 9, y: 0 },
      { x: 9, y: 6 },
      { x: 0, y: 6 },
    ],
    base: 0,
    height: 5,
    roof: { kind: "gable", rise: 2 },
    chimneys: [{ x: 2, y: 2, side: 0.6, rise: 2.5 }],
  };
  const ground = { longitude: 4, latitude: 52, north: 0 };
  const written = toGeoJson({ ...newScene("Map"), elements: [shed], ground }) as {
    features: { properties: { zanvo: unknown }; geometry: { coordinates: number[][][] } }[];
  };
  const [feature] = written.features;
  const moved = structuredClone(written);
  moved.features[0].geometry.coordinates = feature.geometry.coordinates.map((ring) =>
    ring.map(([lon, lat]) => [lon + 1e-4, lat]),
  );
  const [there] = fromGeoJson(moved, ground, () => "s").elements;
  // 1e-4 degrees of longitude at 52 degrees north are 6.87 m.
  expect(outlineOf(there)[0][0]).toBeCloseTo(6.867, 2);
  expect(there).toMatchObject({ height: 5, roof: { kind: "gable" } });
  expect(there).not.toHaveProperty("chimneys");
  for (const bad of [{ ...shed, height: -1 }, { kind: "dragon" }, "no element", null]) {
    const changed = structuredClone(written);
    changed.features[0].properties.zanvo = bad;
    expect(fromGeoJson(changed, ground, () => "s").elements[0]).not.toHaveProperty("chimneys");
  }
});

it("parks, water, paths, trams and walls come in as what they are", () => {
  const square = [
    [4, 52],
    [4.001, 52],
    [4.001, 52.001],
    [4, 52.001],
    [4, 52],
  ];
  const area = (properties: object) => ({
    type: "Feature",
    properties,
    geometry: { type: "Polygon", coordinates: [square] },
  });
  const line = (properties: object) => ({
    type: "Feature",
    properties,
    geometry: { type: "LineString", coordinates: square.slice(0, 3) },
  });
  const features = [
    area({ leisure: "park" }),
    area({ landuse: "grass" }),
    area({ natural: "water" }),
    area({ water: "dock", waterway: "dock" }),
    area({ landuse: "residential" }),
    line({ railway: "tram" }),
    line({ railway: "rail", gauge: "1000" }),
    line({ highway: "footway" }),
    line({ barrier: "hedge" }),
    line({ barrier: "wall", height: "2.4" }),
  ];
  const { elements, notes } = fromGeoJson({ type: "FeatureCollection", features }, undefined, (n) => `f${n}`);
  expect(elements.map(({ id, kind }) => `${id} ${kind}`)).toEqual([
    "f0 square",
    "f1 square",
    "f2 basin",
    "f3 basin",
    "f5 rails",
    "f6 rails",
    "f7 street",
    "f8 wall",
    "f9 wall",
  ]);
  expect(elements[0]).toMatchObject({ surface: "lawn" });
  expect(elements[4]).not.toHaveProperty("bed");
  expect(elements[5]).toMatchObject({ bed: "sleepers", gauge: 1 });
  expect(elements[6]).toMatchObject({ carriageway: 2, pavement: 0 });
  expect(elements[7]).toMatchObject({ of: "hedge" });
  expect(elements[8]).toMatchObject({ height: 2.4 });
  expect(notes.map(inMetric)).toEqual(["Feature 5 is landuse=residential, which is no building; it was left out."]);
});
