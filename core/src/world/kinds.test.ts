import fc from "fast-check";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { between, plainGeoJson } from "../../testing";
import { readScene, writeScene } from "../document";
import { fromGeoJson, toGeoJson } from "../exchange";
import { newScene } from "../scene";
import {
  asBuilding,
  boxOf,
  build,
  built,
  CANOPY,
  centroid,
  DEFAULT_BASIN,
  DEFAULT_BRIDGE,
  DEFAULT_CANAL,
  DEFAULT_SKYLINE,
  DEFAULT_SQUARE,
  DEFAULT_STEPS,
  DEFAULT_STREET,
  DEFAULT_WALLS,
  DETAIL_KINDS,
  validateElement,
  faceNamed,
  KINDS,
  kindOf,
  moved,
  newArches,
  newColumns,
  newFixture,
  newTurned,
  newFurniture,
  newPerson,
  newPlant,
  newBoat,
  newSky,
  newStreetFurniture,
  newVehicle,
  PLATFORM,
  scaled,
  outlineOf,
  placed,
  placesOf,
  turned,
  withoutPlace,
  withPlace,
  volumeOf,
  type Element,
} from ".";

const path = [
  { x: 0, y: 0 },
  { x: 40, y: 5 },
];
const footprint = [
  { x: 0, y: 0 },
  { x: 12, y: 0 },
  { x: 12, y: 9 },
  { x: 0, y: 9 },
];
const base = { id: "e", name: "Ferry stage" };

/** One of each kind, as a person would lay it. */
const SAMPLES: { readonly [K in Element["kind"]]: Extract<Element, { kind: K }> } = {
  block: { ...base, kind: "block", origin: { x: 1, y: 2, z: 0 }, heading: 20, length: 8, width: 6, height: 7 },
  building: {
    ...base,
    kind: "building",
    footprint,
    base: 0,
    height: 9,
    storeys: 3,
    roof: { kind: "flat" },
    windows: { every: 3, width: 1, height: 1.2, sill: 0.9 },
    doors: [{ x: 6, y: 0, width: 1, height: 2.1 }],
  },
  street: { ...base, kind: "street", path, ...DEFAULT_STREET, rails: true, bed: "sleepers", crossings: [20] },
  turned: { ...base, ...newTurned("dome", { x: 3, y: 2, z: 0.5 }, 20), ribs: 8 },
  columns: { ...base, ...newColumns("doric", { x: 3, y: 2, z: 0 }, 30), count: 2, pediment: 0.2 },
  arches: { ...base, ...newArches({ x: 3, y: 2, z: 0 }, 30), keystone: true, imposts: 0.06 },
  crate: {
    ...base,
    kind: "crate",
    middle: { x: 4, y: 5, z: 0.2 },
    ...{ heading: 30, tilt: 12, roll: -7, length: 3, width: 2, height: 1.4 },
  },
  fixture: { ...base, ...newFixture("canopy", { x: 2, y: 3, z: 2.5 }, 40) },
  furniture: { ...base, ...newFurniture("chair", { x: 2, y: 3, z: 0.5 }, 40) },
  "street-furniture": {
    ...base,
    ...newStreetFurniture("pole", [
      { x: 2, y: 3 },
      { x: 90, y: 3 },
    ]),
  },
  plant: {
    ...base,
    ...newPlant(
      "round",
      [
        { x: 2, y: 3 },
        { x: 30, y: 3 },
      ],
      7,
    ),
  },
  crowd: {
    ...base,
    kind: "crowd",
    ...{ number: 2, spacing: 1, children: 0, walking: 50, heading: 20, seed: 4 },
    footprint: [
      { x: 0, y: 0 },
      { x: 8, y: 0 },
      { x: 8, y: 6 },
    ],
    people: [
      { x: 4, y: 1, pose: "standing", heading: 30, height: 1.7 },
      { x: 6, y: 2, pose: "walking", heading: 200, height: 1.2, age: 7, kept: true },
    ],
  },
  vehicle: {
    ...base,
    ...newVehicle("car", [
      { x: 2, y: 3 },
      { x: 30, y: 3 },
    ]),
  },
  boat: { ...base, ...newBoat("sailing", { x: 2, y: 3, z: -1 }, 40) },
  sky: { ...base, ...newSky("cloud", { x: 2, y: 300, z: 400 }, 4) },
  person: { ...base, ...newPerson({ x: 2, y: 3, z: 0.5 }, 40) },
  sign: {
    ...base,
    kind: "sign",
    text: "I",
    typeface: "Plain",
    letters: ["M0 0L100 0L100 1000L0 1000Z"],
    ...{ line: 100, small: 700, at: { x: 3, y: 2, z: 2.6 }, heading: 70, capital: 0.3, raised: 0.05 },
    board: { width: 3, height: 0.5, depth: 0.08 },
  },
  steps: { ...base, kind: "steps", foot: { x: 3, y: 4, z: 0 }, heading: 75, count: 9, ...DEFAULT_STEPS },
  canal: { ...base, kind: "canal", path, ...DEFAULT_CANAL },
  basin: { ...base, kind: "basin", footprint, ...DEFAULT_BASIN },
  bridge: { ...base, kind: "bridge", path, ...DEFAULT_BRIDGE },
  rails: { ...base, kind: "rails", path, gauge: 1.435, bed: "sleepers", points: [{ at: 5, radius: 60, long: 20 }] },
  platform: { ...base, kind: "platform", path, ...PLATFORM, canopy: CANOPY },
  wall: { ...base, kind: "wall", path, of: "fence", ...DEFAULT_WALLS.fence, gates: [{ at: 20, width: 2 }] },
  ground: { ...base, kind: "ground", footprint, height: 1, spots: [{ x: 6, y: 4, z: 2.5 }] },
  square: { ...base, kind: "square", footprint, heading: 10, ...DEFAULT_SQUARE },
  skyline: { ...base, kind: "skyline", path, ...DEFAULT_SKYLINE, seed: 7 },
};

/** A place of what it is built to: of its first solid, or of what is drawn. */
function firstPlace(element: Element) {
  const { solids, details } = built([element]);
  return solids.length > 0 ? solids[0].vertices[0] : details[0].a;
}

const volume = (element: Element) => build([element]).reduce((sum, solid) => sum + volumeOf(solid), 0);

const rounded = (_key: string, value: unknown) => (typeof value === "number" ? Number(value.toFixed(6)) + 0 : value);

/** Whether a scene with it is read back as it was. */
const fits = (element: Element): boolean =>
  readScene(writeScene({ ...newScene("Kinds"), elements: [element] })).elements[0].kind === element.kind;

describe.each(KINDS.map((kind) => [kind.kind, kind] as const))("the kind %s", (name, kind) => {
  const element = SAMPLES[name as Element["kind"]];

  it("is declared once, in full, and its sample fits its schema", () => {
    expect(KINDS.filter((other) => other.kind === name || other.word === kind.word)).toEqual([kind]);
    expect(kindOf(element)).toBe(kind);
    expect(fits(element)).toBe(true);
    expect(kind.word).toMatch(/^[A-Z][a-z]+( [a-z]+)?$/);
    expect(validateElement(element)).toBeNull();
    for (const { value, limits, told, usual } of kindOf(element).figures?.(element) ?? []) {
      expect(value).toBeGreaterThan(0);
      expect(limits[0]).toBeLessThan(limits[1]);
      expect(told).toContain(element.name);
      expect(usual).not.toBe("");
    }
  });

  it("is built to closed solids whose faces have names of their own or none, and to details of known kinds", () => {
    const solids = build([element]);
    const world = built([element]);
    // Rails, and what else lies flat on the ground, have details only.
    expect(solids.length + world.details.length).toBeGreaterThan(0);
    for (const solid of solids) {
      expect(solid.id).toBe(element.id);
      expect(volumeOf(solid)).toBeGreaterThan(0);
      const names = solid.faces.flatMap((face) => face.name ?? []);
      expect(new Set(names).size).toBe(names.length);
    }
    for (const detail of world.details) {
      expect(DETAIL_KINDS.map(({ id }) => id)).toContain(detail.kind);
      if (detail.on) expect(world.solids.includes(detail.on.solid)).toBe(true);
      // What lies on a round surface lies on no face by number.
      if (detail.on?.round) expect(detail.on.face).toBe(-1);
      else if (detail.on) expect(detail.on.face).toBeGreaterThanOrEqual(0);
    }
  });

  it("takes its outline with it when it is moved, and back", () => {
    const [here, first] = [outlineOf(element), firstPlace(element)];
    fc.assert(
      fc.property(
        fc.double({ min: -500, max: 500, noNaN: true }),
        fc.double({ min: -500, max: 500, noNaN: true }),
        (dx, dy) => {
          const there = moved(element, dx, dy);
          outlineOf(there).forEach(([x, y], i) => {
            const [px, py] = here[i];
            expect(Math.hypot(x - px - dx, y - py - dy)).toBeLessThan(1e-6);
          });
          expect(boxOf(there).origin.x - boxOf(element).origin.x).toBeCloseTo(dx, 6);
          expect(firstPlace(there)[1] - first[1]).toBeCloseTo(dy, 6);
          // What it holds besides its places stays.
          expect(Object.keys(there).sort()).toEqual(Object.keys(element).sort());
        },
      ),
    );
  });

  it("takes its outline with it when it is turned, and back", () => {
    // What is in the sky has a circle around it, whose corners do not turn with it: its middle does.
    const places = (of: Element) => (of.kind === "sky" ? [centroid(outlineOf(of))] : outlineOf(of));
    const [here, size] = [places(element), volume(element)];
    fc.assert(
      fc.property(between(-360, 360), (by) => {
        const about = [3, -2] as const;
        const there = turned(element, by, about);
        const [c, s] = [Math.cos((by * Math.PI) / 180), Math.sin((by * Math.PI) / 180)];
        places(there).forEach(([x, y], i) => {
          const [px, py] = here[i];
          const [dx, dy] = [px - about[0], py - about[1]];
          expect(Math.hypot(x - about[0] - c * dx - s * dy, y - about[1] + s * dx - c * dy)).toBeLessThan(1e-6);
        });
        expect(volume(there)).toBeCloseTo(size, 5);
      }),
      { numRuns: 30 },
    );
  });

  it("has one place more or less, but never fewer than it needs", () => {
    const count = placesOf(element).length;
    const more = withPlace(element, 0);
    if (more === element) return expect(withoutPlace(element, 0)).toBeNull();
    expect(placesOf(more)).toHaveLength(count + 1);
    const [[ax, ay], [x, y], [bx, by]] = placesOf(more);
    expect([x, y]).toEqual([expect.closeTo((ax + bx) / 2, 9), expect.closeTo((ay + by) / 2, 9)]);
    expect(withoutPlace(more, 1)).toEqual(element);
    let least: Element | null = element;
    for (let i = 0; i < count && least; i++) least = withoutPlace(least, 0);
    expect(least).toBeNull();
  });

  it("has every measure as many times as large when it is scaled, about a place that stays, and back", () => {
    const here = outlineOf(element);
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 5, noNaN: true }), (times) => {
        const about = [3, -2] as const;
        const large = scaled(element, times, about);
        outlineOf(large).forEach(([x, y], i) => {
          const [px, py] = here[i];
          expect(Math.hypot(x - 3 - times * (px - 3), y + 2 - times * (py + 2))).toBeLessThan(1e-6);
        });
        const [[z, height], [z0, height0]] = [large, element].map((one) => kindOf(one).span(one));
        expect([z, height]).toEqual([expect.closeTo(times * z0, 6), expect.closeTo(times * height0, 6)]);
        const back = scaled(large, 1 / times, about);
        expect(JSON.parse(JSON.stringify(back), rounded)).toEqual(JSON.parse(JSON.stringify(element), rounded));
      }),
    );
  });

  it("follows each of its places to where that is put", () => {
    placesOf(element).forEach(([x, y], place) => {
      const there = placed(element, place, [x - 1.5, y - 2.5]);
      expect(fits(there)).toBe(true);
      const near = placesOf(there).map(([px, py]) => Math.hypot(px - x + 1.5, py - y + 2.5));
      expect(Math.min(...near)).toBeLessThan(1e-9);
    });
  });

  it("comes back from GeoJSON as it was, and from what other programs read of it as the kind that it is", () => {
    const ground = { longitude: 4, latitude: 52, north: 0 };
    const written = toGeoJson({ ...newScene("Map"), elements: [element], ground });
    const whole = fromGeoJson(written, ground, () => element.id);
    expect([whole.notes, whole.elements]).toEqual([[], [element]]);
    // Without the members of our own, and a geometry that a map has none of.
    const { elements, notes } = fromGeoJson(plainGeoJson(written), ground, () => "f");
    expect(notes).toEqual([]);
    const { read, write } = kindOf(element).geoJson;
    if (!write(element)) return expect(elements).toEqual([]);
    // What has no reader of its own comes back as the kind that takes any line or area.
    expect(elements).toHaveLength(1);
    if (read) expect(elements[0].kind).toBe(name);
    expect(elements[0].name).toBe(element.name);
    const [mine, theirs] = [boxOf(element), boxOf(elements[0])];
    if (read) expect(Math.abs(theirs.length - mine.length)).toBeLessThan(1e-3);
    return undefined;
  });
});

it("every face of a block is known by its name, and a block made a building keeps its ground", () => {
  const [solid] = build([SAMPLES.block]);
  expect(solid.faces[faceNamed(solid, "top")].normal[2]).toBeCloseTo(1, 9);
  expect(solid.faces[faceNamed(solid, "bottom")].normal[2]).toBeCloseTo(-1, 9);
  for (const wall of [0, 1, 2, 3])
    expect(Math.abs(solid.faces[faceNamed(solid, `wall ${wall}`)].normal[2])).toBeLessThan(1e-9);
  expect(faceNamed(solid, "roof")).toBe(-1);
  expect(outlineOf(asBuilding(SAMPLES.block))).toHaveLength(4);
});

it("is named nowhere but in its own folder of the core, and in its own file of the web", () => {
  const root = join(__dirname, "../../..");
  const literal = new RegExp(`kind(: | === | !== )"(${KINDS.map(({ kind }) => kind).join("|")})"`);
  const sources = ["core", "raster", "pdf", "files", "store", "server", "web", "cli"].flatMap((name) =>
    readdirSync(join(root, name, "src"), { recursive: true, encoding: "utf8" }).map((file) => join(name, "src", file)),
  );
  const naming = sources
    .filter((file) => /(?<!\.test)\.tsx?$/.test(file))
    .filter((file) => !/^(core\/src\/world\/kinds|web\/src\/elements)\//.test(file))
    .filter((file) => literal.test(readFileSync(join(root, file), "utf8")));
  expect(naming).toEqual([]);
});
