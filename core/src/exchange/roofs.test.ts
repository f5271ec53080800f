import { newScene } from "../scene";
import { inMetric } from "../units";
import { isBuilding, newBuilding, outlineOf, ROOFS, validateElement, type Building, type RoofKind } from "../world";
import { fromGeoJson, toGeoJson } from ".";

const square = (x: number, y: number, size: number) =>
  [
    [x, y],
    [x + size, y],
    [x + size, y + size],
    [x, y + size],
    [x, y],
  ].map(([east, north]) => [east / 111_320, north / 110_574]);
const feature = (properties: Record<string, unknown>, ring = square(0, 0, 10)) => ({
  type: "Feature",
  properties,
  geometry: { type: "Polygon", coordinates: [ring] },
});
const read = (...features: object[]) => {
  const { elements, notes } = fromGeoJson({ type: "FeatureCollection", features }, undefined, (at, i) => `${at} ${i}`);
  return { buildings: elements.filter(isBuilding), notes: notes.map(inMetric) };
};

describe("roofs of real ground", () => {
  // OpenStreetMap's Simple 3D Buildings, from memory: height counts to the top of the roof, levels do not.
  it("are taken from roof:shape, their height from roof:height or roof:levels, under the height of the whole", () => {
    const [hipped, gabled, across, plain] = read(
      feature({ building: "yes", height: 12, "roof:shape": "hipped", "roof:height": "3 m" }),
      feature({ building: "yes", "building:levels": 3, "roof:shape": "gabled", "roof:levels": 1 }),
      feature({ building: "yes", height: 9, "roof:shape": "gabled", "roof:orientation": "across" }),
      feature({ building: "yes", height: 9 }),
    ).buildings;
    expect([hipped.height, hipped.roof]).toEqual([9, { kind: "hip", rise: 3 }]);
    expect([gabled.height, gabled.roof]).toEqual([9, { kind: "gable", rise: 3 }]);
    expect([across.height, across.roof]).toEqual([6.5, { kind: "gable", rise: 2.5, turned: true }]);
    expect([plain.height, plain.roof]).toEqual([9, { kind: "flat" }]);
  });

  it("are told of where they are not known, cannot be read, or cannot stand", () => {
    const slanted = [
      [0, 0],
      [20, 0],
      [14, 9],
      [0, 6],
      [0, 0],
    ].map(([x, y]) => [x / 111_320, y / 110_574]);
    const { buildings, notes } = read(
      feature({ building: "yes", "roof:shape": "onion" }),
      feature({ building: "yes", height: "tall", "roof:shape": "flat" }),
      feature({ building: "yes", "roof:shape": "sawtooth" }, slanted),
    );
    expect(buildings.map(({ roof }) => roof.kind)).toEqual(["flat", "flat", "flat"]);
    expect(notes).toEqual([
      "Feature 1 has roof:shape=onion, which is not known here; it was taken as flat.",
      "Feature 2 has height=tall, which is no measure; it was left out.",
      "Feature 3 takes no saw-tooth roof on its outline; a flat one was taken.",
    ]);
  });

  it("come back as they were written, with heights, storeys and foot", () => {
    const kinds = (Object.keys(ROOFS) as RoofKind[]).filter((kind) => kind !== "flat");
    const houses = kinds.map((kind, i): Building =>
      newBuilding({
        id: kind,
        name: kind,
        footprint: [
          [0, 0],
          [12, 0],
          [12, 8],
          [0, 8],
        ].map(([x, y]) => ({ x: x + 20 * i, y })),
        base: 1.5,
        height: 7.5,
        storeys: 2,
        roof: { kind, rise: 2.2, ...(kind === "gable" ? { turned: true } : {}) },
      }),
    );
    expect(houses.map(validateElement)).toEqual(houses.map(() => null));
    const { elements, notes } = fromGeoJson(
      toGeoJson({ ...newScene("There and back"), elements: houses }),
      { longitude: 0, latitude: 0, north: 0 },
      (at) => houses[at].id,
    );
    expect(notes).toEqual([]);
    elements.filter(isBuilding).forEach((back, i) => {
      const { base, height, storeys, roof } = houses[i];
      // A cone over a rectangle is a pyramid, and a spire a cone, in no words but their own.
      expect(back).toMatchObject({ base, height: expect.closeTo(height, 9), storeys, roof });
      outlineOf(back).forEach(([x, y], k) => {
        const [px, py] = outlineOf(houses[i])[k];
        expect(Math.hypot(x - px, y - py)).toBeLessThan(1e-3);
      });
    });
    expect(elements).toHaveLength(kinds.length);
  });

  it("of parts stand for the building that they are parts of", () => {
    const { buildings, notes } = read(
      feature({ building: "yes", height: 20 }, square(0, 0, 20)),
      feature({ "building:part": "yes", height: 6 }, square(1, 1, 8)),
      feature({ "building:part": "yes", height: 20, min_height: 6 }, square(11, 11, 8)),
      feature({ building: "yes", height: 5 }, square(40, 0, 10)),
    );
    expect(buildings.map(({ base, height }) => [base, height])).toEqual([
      [0, 6],
      [6, 14],
      [0, 5],
    ]);
    expect(notes).toEqual(["Feature 1 is a building whose parts are in the file; they stand for it."]);
  });
});
