import fc from "fast-check";
import geodesic from "geographiclib-geodesic";
import type { BufferGeometry } from "three";
import { Vector3, type Mesh } from "three";
import { OBJLoader } from "three/examples/jsm/loaders/OBJLoader.js";
import { newScene, type Scene } from "../scene";
import { between, block, plainGeoJson } from "../../testing";
import {
  areaTwice,
  build,
  built,
  cornersOf,
  DEFAULT_CANAL,
  DEFAULT_SKYLINE,
  DEFAULT_STREET,
  outlineOf,
  volumeOf,
  type Building,
  type Element,
  type Street,
} from "../world";
import { inMetric } from "../units";
import { fromGeoJson, toEarth, toGeoJson, toObj, toWorld } from ".";

const scene = (elements: Element[], more: Partial<Scene> = {}): Scene => ({
  ...newScene("Kestrel Quay"),
  elements,
  ...more,
});
const shed: Building = {
  id: "s",
  kind: "building",
  name: "Fish\nhall",
  footprint: [
    { x: 0, y: 0 },
    { x: 24, y: 0 },
    { x: 24, y: 9 },
    { x: 0, y: 9 },
  ],
  base: 0.5,
  height: 6,
  storeys: 2,
  roof: { kind: "saw-tooth", rise: 2 },
};
const ell: Building = {
  ...shed,
  id: "l",
  name: "Ell",
  footprint: [
    [40, 0],
    [52, 0],
    [52, 5],
    [45, 5],
    [45, 11],
    [40, 11],
  ].map(([x, y]) => ({ x, y })),
  base: 0,
  roof: { kind: "flat" },
};

describe("masses as OBJ", () => {
  it("have the same volumes as three's loader reads them, an object each", () => {
    const elements = [block("Loft", -9, 20, 6, 8, 9, 30), shed, ell];
    const group = new OBJLoader().parse(toObj(scene(elements)));
    expect(group.children.map(({ name }) => name)).toEqual(["Loft", "Fish hall", "Ell"]);
    group.children.forEach((child, i) => {
      const at = ((child as Mesh).geometry as BufferGeometry).getAttribute("position");
      let six = 0;
      for (let n = 0; n < at.count; n += 3) {
        const [a, b, c] = [0, 1, 2].map((k) => new Vector3().fromBufferAttribute(at, n + k));
        six += a.dot(b.cross(c));
      }
      expect(six / 6).toBeCloseTo(
        build([elements[i]]).reduce((sum, solid) => sum + volumeOf(solid), 0),
        1,
      );
    });
  });
});

describe("the ground on the Earth", () => {
  it(
    "has lengths within a thousandth of the geodesic's (GeographicLib, WGS 84) over 2 km, and comes back to " +
      "where it was",
    () => {
      const earth = geodesic.Geodesic.WGS84;
      fc.assert(
        fc.property(
          between(-80, 80),
          between(-179, 179),
          between(0, 360),
          between(-1500, 1500),
          between(-1500, 1500),
          between(-1500, 1500),
          between(-1500, 1500),
          (latitude, longitude, north, x, y, u, v) => {
            const ground = { latitude, longitude, north };
            const length = Math.hypot(u - x, v - y);
            fc.pre(length > 5);
            const [p, q] = [toEarth(ground, [x, y]), toEarth(ground, [u, v])];
            const { s12 } = earth.Inverse(p[1], p[0], q[1], q[0]);
            expect(Math.abs(s12! / length - 1)).toBeLessThan(0.001);
            const back = toWorld(ground, p);
            expect(Math.hypot(back[0] - x, back[1] - y)).toBeLessThan(1e-5);
          },
        ),
        { numRuns: 300, endOnFailure: true },
      );
      // North of the origin, where true north has the world's heading 30: (sin 30, cos 30).
      const [x, y] = toWorld({ latitude: 52, longitude: 4, north: 30 }, [4, 52.01]);
      expect(Math.atan2(x, y) * (180 / Math.PI)).toBeCloseTo(30, 6);
    },
  );
});

describe("masses as GeoJSON", () => {
  const polygon = (
    ring: readonly (readonly unknown[])[],
    properties: object = {},
    holes: readonly (readonly number[])[][] = [],
  ) => ({ type: "Feature", properties, geometry: { type: "Polygon", coordinates: [ring, ...holes] } });
  const square = (lon: number, lat: number, d = 0.0002) => [
    [lon, lat],
    [lon + d, lat],
    [lon + d, lat + d],
    [lon, lat + d],
    [lon, lat],
  ];
  const collection = (...features: unknown[]) => ({ type: "FeatureCollection", features });
  const id = (feature: number, part: number) => `${feature} ${part}`;

  it("come back with footprint, foot, height and storeys", () => {
    const ground = { latitude: 51.9, longitude: 4.1, north: 12 };
    const back = fromGeoJson(
      plainGeoJson(toGeoJson(scene([shed, ell, block("Loft", -9, 20, 6, 8, 9, 30, 1)], { ground }))),
      ground,
      id,
    );
    expect(back.notes).toEqual([]);
    const [one, other, loft] = back.elements as Building[];
    expect([one.height, one.base, one.storeys, other.base, loft.base, loft.height]).toEqual([6, 0.5, 2, 0, 1, 9]);
    const area = (points: readonly (readonly [number, number])[]) => areaTwice(points) / 2;
    expect([one, other, loft].map((element) => area(cornersOf(element)))).toEqual([
      expect.closeTo(216, 2),
      expect.closeTo(90, 2),
      expect.closeTo(48, 2),
    ]);
    one.footprint.forEach(({ x, y }, i) =>
      expect(Math.hypot(x - shed.footprint[i].x, y - shed.footprint[i].y)).toBeLessThan(1e-3),
    );
  });

  it("read the usual keys for heights, with units, and lay all around the middle where no origin was picked", () => {
    const { elements, ground, notes } = fromGeoJson(
      collection(
        polygon(square(4.1, 51.9), { height: "12.5 m", name: "Ice house" }),
        polygon(square(4.101, 51.9), { "building:levels": "4" }),
        polygon(square(4.102, 51.9), { height: "30 ft", min_height: 3 }),
        polygon(square(4.103, 51.9)),
      ),
      undefined,
      id,
    );
    expect((elements as Building[]).map(({ height, base, name }) => [Number(height.toFixed(3)), base, name])).toEqual([
      [12.5, 0, "Ice house"],
      [12, 0, "Building 2"],
      [6.144, 3, "Building 3"],
      [9, 0, "Building 4"],
    ]);
    expect([ground.longitude, ground.latitude]).toEqual([expect.closeTo(4.1016, 6), expect.closeTo(51.9001, 6)]);
    expect(notes).toEqual([]);
  });

  it("bring lines in as streets, and hand them out again", () => {
    const street: Element = {
      id: "q",
      kind: "street",
      name: "Quay street",
      path: [
        { x: 0, y: 0 },
        { x: 40, y: 5 },
        { x: 70, y: 30 },
      ],
      ...DEFAULT_STREET,
      carriageway: 7.5,
    };
    const ground = { latitude: 51.9, longitude: 4.1, north: 0 };
    const {
      elements: [back],
      notes,
    } = fromGeoJson(toGeoJson(scene([street], { ground })), ground, id);
    expect([notes, back]).toMatchObject([[], { kind: "street", name: "Quay street", carriageway: 7.5 }]);
    (back as Street).path.forEach(({ x, y }, i) =>
      expect(Math.hypot(x - (street as Street).path[i].x, y - (street as Street).path[i].y)).toBeLessThan(1e-3),
    );
    const hairpin = {
      type: "Feature",
      properties: {},
      geometry: {
        type: "LineString",
        coordinates: [
          [4.1, 51.9],
          [4.1001, 51.9],
          [4.1, 51.90001],
        ],
      },
    };
    // However sharply it bends, it is laid as it is.
    const bent = fromGeoJson(collection(hairpin), ground, id);
    expect(bent.notes).toEqual([]);
    expect(bent.elements.map(({ kind }) => kind)).toEqual(["street"]);
  });

  it("give streets the width that is usual for their class, unless the file tells it or their lanes; joined", () => {
    const line = (properties: object, coordinates: readonly (readonly [number, number])[]) => ({
      type: "Feature",
      properties,
      geometry: { type: "LineString", coordinates },
    });
    const east = (lat: number) =>
      [
        [4.1, lat],
        [4.101, lat],
      ] as const;
    const { elements, notes } = fromGeoJson(
      collection(
        line({ highway: "primary" }, east(51.9)),
        line({ highway: "residential" }, east(51.901)),
        line({ highway: "residential", width: "4.2 m" }, east(51.902)),
        line({ highway: "tertiary", lanes: "4" }, east(51.903)),
        line({ highway: "footway" }, east(51.904)),
        line({ highway: "primary_link" }, east(51.905)),
        line({ highway: "a lane of its own" }, east(51.906)),
        line({ waterway: "river" }, east(51.907)),
        line({ highway: "residential" }, [
          [4.1005, 51.8995],
          [4.1005, 51.9015],
        ]),
      ),
      undefined,
      id,
    );
    expect(notes).toEqual([]);
    const streets = elements.filter((one): one is Street => one.kind === "street");
    expect(streets.map(({ carriageway, pavement, lanes = 2 }) => [carriageway, pavement, lanes])).toEqual([
      [9.75, 3, 3],
      [5.5, 2.2, 2],
      [4.2, 2.2, 2],
      [12, 2.2, 4],
      [2, 0, 1],
      [4.5, 3, 1],
      [6, 2.2, 2],
      [5.5, 2.2, 2],
    ]);
    expect(elements.find(({ kind }) => kind === "canal")).toMatchObject({ width: 25 });
    // The last one crosses two: their pavements are parted, and those beside it run on from one to the other.
    const pavements = built(streets).solids.filter(({ part }) => part?.startsWith("paving"));
    expect(pavements).toHaveLength(6);
  });

  it("leave out areas that are ground and not built, and say what they are", () => {
    const area = (properties: Record<string, unknown>) => polygon(square(4.1, 51.9), properties);
    const { elements, notes } = fromGeoJson(
      collection(
        area({ landuse: "industrial" }),
        area({ natural: "bare_rock" }),
        area({ building: "yes", landuse: "retail" }),
        area({}),
      ),
      undefined,
      id,
    );
    expect(notes.map(inMetric)).toEqual([
      "Feature 1 is landuse=industrial, which is no building; it was left out.",
      "Feature 2 is natural=bare_rock, which is no building; it was left out.",
    ]);
    expect(elements).toHaveLength(2);
  });

  it("are read by other programs for canals and squares as well; skylines have no place on a map", () => {
    const ground = { latitude: 51.9, longitude: 4.1, north: 0 };
    const canal: Element = {
      id: "c",
      kind: "canal",
      name: "Ferry canal",
      path: [
        { x: 0, y: 0 },
        { x: 90, y: 5 },
      ],
      ...DEFAULT_CANAL,
      width: 8,
    };
    const square: Element = {
      id: "q",
      kind: "square",
      name: "Clock square",
      footprint: [
        { x: 0, y: 20 },
        { x: 30, y: 20 },
        { x: 20, y: 50 },
      ],
      heading: 0,
      kerb: 0.12,
    };
    const skyline: Element = {
      id: "k",
      kind: "skyline",
      name: "Gasworks",
      path: [
        { x: 0, y: 300 },
        { x: 90, y: 300 },
      ],
      ...DEFAULT_SKYLINE,
      seed: 1,
    };
    const { elements, notes } = fromGeoJson(
      plainGeoJson(toGeoJson(scene([canal, square, skyline], { ground }))),
      ground,
      id,
    );
    expect([notes, elements]).toMatchObject([
      [],
      [
        { kind: "square", name: "Clock square" },
        { kind: "canal", name: "Ferry canal", width: 8 },
      ],
    ]);
    expect(elements).toHaveLength(2);
    expect(areaTwice(outlineOf(elements[0])) / 2).toBeCloseTo(450, 1);
  });

  it("tell of heights in positions, and of what is more than can be looked at", () => {
    const high = {
      type: "Feature",
      properties: {},
      geometry: { type: "Polygon", coordinates: [square(4.1, 51.9).map((p) => [...p, 7])] },
    };
    const { elements, notes } = fromGeoJson(
      collection(polygon(square(4.1, 51.9)), high, polygon(square(4.1, 51.9))),
      undefined,
      id,
      { most: 2 },
    );
    expect(elements).toHaveLength(2);
    expect(notes.map(inMetric)).toEqual([
      "Only the first 2 of 3 features were taken.",
      "Feature 2 has heights in its positions; they were left out, since its foot and eaves come from its properties.",
    ]);
    // Where the document holds only the first of them, the number is told beside it.
    expect(
      fromGeoJson(collection(polygon(square(4.1, 51.9))), undefined, id, { most: 1, count: 420_000 }).notes.map(
        inMetric,
      ),
    ).toEqual(["Only the first 1 of 420,000 features were taken."]);
    const round = Array.from({ length: 12_002 }, (_, i) => {
      const t = (2 * Math.PI * (i % 12_001)) / 12_001;
      return [4.1 + 0.01 * Math.cos(t), 51.9 + 0.01 * Math.sin(t)];
    });
    expect(fromGeoJson(collection(polygon(round)), undefined, id).notes.map(inMetric)).toEqual([
      "Feature 1 has 12,001 corners; up to 12,000 can be taken.",
    ]);
  });

  it("leave out what cannot be used, with the feature's number and why, and take the rest", () => {
    const { elements, notes } = fromGeoJson(
      collection(
        polygon(square(4.1, 51.9)),
        { type: "Feature", geometry: { type: "Point", coordinates: [4, 51] }, properties: {} },
        polygon(square(151.2, 33.8).map(([a, b]) => [b, a])),
        polygon([
          [4.1, 51.9],
          [4.1002, 51.9002],
          [4.1002, 51.9],
          [4.1, 51.9002],
          [4.1, 51.9],
        ]),
        polygon([
          [4.1, 51.9],
          [4.1001, 51.9],
        ]),
        polygon(square(4.1004, 51.9), {}, [square(4.10055, 51.90005, 0.0001)]),
        polygon(square(155_000, 463_000, 10)),
        polygon(square(9, 51.9)),
        7,
        polygon([
          [4.1, 51.9],
          [4.1001, "51.9"],
          [4.1, 51.9],
          [4.1, 51.9],
        ]),
      ),
      { longitude: 4.1, latitude: 51.9, north: 0 },
      id,
    );
    expect(elements.map(({ id: own }) => own)).toEqual(["0 0", "5 0"]);
    expect(notes.map(inMetric)).toEqual([
      "Feature 2 is a Point, not a polygon.",
      "Feature 3 has latitude before longitude; RFC 7946 puts longitude first.",
      "Feature 5 has a ring of fewer than four positions.",
      "Feature 7 is not in degrees: save it in WGS 84, as RFC 7946 wants.",
      "Feature 9 is no feature.",
      "Feature 10 has a position that is no pair of numbers.",
      "Feature 4 crosses itself: its sides 1 and 3 cut each other.",
      "Feature 6 has holes that it cannot stand around; its outline was taken without them.",
      "Feature 8 lies more than 50 km from the origin; it was left out.",
    ]);
    expect(() =>
      fromGeoJson(
        { ...collection(), crs: { type: "name", properties: { name: "urn:ogc:def:crs:EPSG::28992" } } },
        undefined,
        id,
      ),
    ).toThrow("crs: is urn:ogc:def:crs:EPSG::28992; save the file in WGS 84 degrees");
    expect(() => fromGeoJson([1], undefined, id)).toThrow("is no GeoJSON");
    expect(() => fromGeoJson({ type: "Topology" }, undefined, id)).toThrow("type: must be FeatureCollection");
  });
});
