// Makes the demo scenes: a corner of Kestrel Quay, an invented harbour quarter. Run: node demo/make.mjs
import { readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { core, root } from "./core.mjs";
import { quarter as wholeQuarter } from "./quarter.mjs";

const LEFT = -58;
const CORNER = [2.2, 15];
const radians = (d) => (d * Math.PI) / 180;
const round = (v) => Math.round(v * 1e9) / 1e9;

/** A block in the streets' own measure: l metres along the left street, r along the right one, from the corner. */
const block = (id, name, l, r, length, width, height, z = 0) => {
  const [a, b] = [radians(LEFT), radians(LEFT + 90)];
  return {
    id,
    kind: "block",
    name,
    origin: {
      x: round(CORNER[0] + l * Math.sin(a) + r * Math.sin(b)),
      y: round(CORNER[1] + l * Math.cos(a) + r * Math.cos(b)),
      z,
    },
    heading: LEFT,
    length,
    width,
    height,
  };
};

/** A scene file. */
const write = (file, scene) =>
  writeFileSync(
    new URL(`${file}.zanvo.json`, import.meta.url),
    `${JSON.stringify(
      {
        format: "zanvo-scene",
        version: 1,
        place: "Kestrel Quay",
        orientations: [{ id: "main", name: "Main streets", heading: LEFT + 90 }],
        ...scene,
      },
      null,
      file.startsWith("5") ? 0 : 2,
    )}\n`,
  );
const bundles = (left, right, upright) => [
  { pin: "main-left", spacing: 14, strength: left },
  { pin: "main-right", spacing: 14, strength: right },
  { pin: "upright", spacing: 14, strength: upright },
];

const quarter = [
  block("fish-hall", "Fish hall", 0, 0, 15, 24, 7.5),
  block("fish-hall-office", "Fish hall office", 15, 0, 6, 11, 10.5),
  block("chandlery", "Chandlery", 21, 0, 9, 12, 8.6),
  block("net-loft", "Net loft", 33, 0, 12, 12, 11.4),
  block("customs-house", "Customs house", 45, 0, 18, 14, 14),
  block("ice-house", "Ice house", 66, -1.5, 14, 16, 9),
  block("clock-tower", "Clock tower", 18, 15, 5, 5, 26),
  block("tram-depot", "Tram depot", 2, 28, 14, 26, 6.4),
  block("observatory", "Observatory", 0, 60, 16, 16, 17),
  block("gantry", "Coal gantry", -12, 14, 12, 2.4, 1.6, 5.2),
  block("gantry-house", "Gantry house", -20, 10.5, 8, 9, 8.4),
  block("rope-store", "Rope store", -24, 21, 12, 17, 12.5),
  block("ferry-office", "Ferry office", -23, 42, 11, 12, 9.2),
  block("lodgings", "Lodgings", -25, 54, 13, 20, 15),
  block("lock-house", "Lock keeper's house", 24, -19, 9, 7, 5.2),
  block("lock-cottages", "Lock cottages", 38, -20, 22, 8, 6),
  block("kiosk", "Tram shelter", 6.5, -3.6, 4.2, 1.7, 2.7),
];

const a3 = { sheet: { width: 420, height: 297, paper: "A3" }, frame: { x: 15, y: 15, width: 390, height: 267 } };

/**
 * A photo that `photos.mjs` made, with the edges that were traced in it, if any; the server takes the file itself in
 * when it puts the demo up.
 */
const photo = (name, file, more = {}) => {
  const {
    width,
    height,
    lens,
    edges = {},
  } = JSON.parse(readFileSync(new URL(`photos/${file}.json`, import.meta.url), "utf8"));
  const set = (id, title) => ({ id, name: title, role: id, edges: edges[id] ?? [] });
  return {
    id: file,
    name,
    picture: "0".repeat(64),
    width,
    height,
    focal35: lens,
    sets: [set("left", "Left"), set("right", "Right"), set("upright", "Uprights")],
    ...more,
    "x-photo": `${file}.jpg`,
  };
};

write("1-quay-street", {
  title: "Quay street, the corner",
  elements: quarter,
  references: [
    photo("The corner", "the-corner"),
    photo("Up the clock tower", "up-the-tower"),
    photo("Facing the gantry house", "facing-the-house"),
    photo("Tilted, through an old lens", "tilted-and-bowed"),
  ],
  shots: [
    {
      id: "s1",
      name: "Morning at the corner",
      ...a3,
      eye: { x: 0, y: 0, z: 1.6 },
      gaze: { heading: 0, pitch: 0, roll: 0 },
      lens: { law: "rectilinear", distance: 270, centre: { x: 210, y: 196 } },
      bundles: bundles(0.4, 0.4, 0.22),
    },
  ],
});

/** The corner's photo as it lies in the panel of an A3 sheet, and the camera that took it. */
const CORNER_PHOTO = (() => {
  const { width, height, focalLength, centre, eye } = JSON.parse(
    readFileSync(new URL("photos/the-corner.json", import.meta.url), "utf8"),
  );
  const { x, y, width: w, height: h } = a3.frame;
  const scale = Math.min(w / width, h / height);
  const at = {
    x: x + (w - scale * width) / 2,
    y: y + (h - scale * height) / 2,
    width: scale * width,
    height: scale * height,
  };
  return {
    at,
    width,
    eye,
    distance: round(focalLength * scale),
    centre: { x: round(at.x + centre[0] * scale), y: round(at.y + centre[1] * scale) },
  };
})();
const PHOTO_HEADING = 2;

/** Where the photo's camera sees a place, mm of the sheet: it looks level. */
const seenInPhoto = ([x, y, z]) => {
  const { eye, distance, centre } = CORNER_PHOTO;
  const h = radians(PHOTO_HEADING);
  const [dx, dy] = [x - eye[0], y - eye[1]];
  const [right, ahead] = [dx * Math.cos(h) - dy * Math.sin(h), dx * Math.sin(h) + dy * Math.cos(h)];
  return [round(centre.x + (distance * right) / ahead), round(centre.y - (distance * (z - eye[2])) / ahead)];
};

/** A place in the streets' own measure, as `block` has it, at a height. */
const spot = (l, r, z) => {
  const { x, y } = block("", "", l, r, 1, 1, 1).origin;
  return [x, y, z];
};

/** A place of the sheet under the photo, px of the photo. */
const onPhoto = ([x, y]) => {
  const { at, width } = CORNER_PHOTO;
  return [round(((x - at.x) * width) / at.width), round(((y - at.y) * width) / at.width)];
};

/** An upright plane that faces the left street, its x to the right, from the far end of a wall. */
const facade = (name, l, r) => {
  const [x, y] = spot(l, r, 0);
  return { name, origin: { x, y, z: 0 }, heading: LEFT + 180, tilt: 90 };
};
const FISH_HALL_FRONT = [spot(0, 0, 0), spot(15, 0, 0), spot(15, 0, 7.5), spot(0, 0, 7.5)];
const FISH_WALL = facade("Fish hall, wall 3", 15, 0);
const TOWER_WALL = facade("Clock tower, wall 3", 23, 15);
const rectangle = (id, weight, plane, x, y, width, height) => ({
  id,
  kind: "polyline",
  weight,
  points: [
    [x, y],
    [x + width, y],
    [x + width, y + height],
    [x, y + height],
  ],
  closed: true,
  plane,
});

write("2-from-the-crane", {
  title: "The quarter from the harbour crane",
  elements: quarter,
  references: [
    photo("The corner", "the-corner", {
      quads: [
        {
          id: "fish-hall",
          corners: FISH_HALL_FRONT.map(seenInPhoto).map(onPhoto),
          columns: "6",
          rows: "3.5 2 2",
          school: "diagonals",
        },
      ],
    }),
  ],
  lines: [
    rectangle("sign", "medium", FISH_WALL, 3, 4.6, 9, 2),
    rectangle("sign-inside", "light", FISH_WALL, 3.3, 4.9, 8.4, 1.4),
    { id: "clock", kind: "circle", weight: "heavy", centre: [2.5, 22.6], radius: 1.7, plane: TOWER_WALL },
    { id: "clock-inside", kind: "circle", weight: "light", centre: [2.5, 22.6], radius: 1.35, plane: TOWER_WALL },
    { id: "hour", kind: "ruled", weight: "medium", from: [2.5, 22.6], to: [3.2, 23.1], plane: TOWER_WALL },
    { id: "minute", kind: "ruled", weight: "medium", from: [2.5, 22.6], to: [2.3, 23.8], plane: TOWER_WALL },
  ],
  shots: [
    {
      id: "s1",
      name: "Crane driver's window",
      ...a3,
      eye: { x: -14, y: -34, z: 34 },
      gaze: { heading: 8, pitch: 0, roll: 0 },
      lens: { law: "rectilinear", distance: 300, centre: { x: 210, y: 40 } },
      bundles: bundles(0.3, 0.3, 0.15),
    },
    {
      id: "s2",
      name: "The fish hall, divided",
      ...a3,
      eye: { x: CORNER_PHOTO.eye[0], y: CORNER_PHOTO.eye[1], z: CORNER_PHOTO.eye[2] },
      gaze: { heading: PHOTO_HEADING, pitch: 0, roll: 0 },
      lens: { law: "rectilinear", distance: CORNER_PHOTO.distance, centre: CORNER_PHOTO.centre },
      bundles: bundles(0.2, 0.2, 0.1),
      under: { reference: "the-corner", strength: 0.75, at: CORNER_PHOTO.at },
      show: { buildings: 0, bundles: 0, hidden: 0, "own-lines": 0 },
      lines: [
        {
          id: "colonnade",
          kind: "quad",
          weight: "medium",
          corners: [spot(0, 0, 0), spot(0, 24, 0), spot(0, 24, 7.5), spot(0, 0, 7.5)].map(seenInPhoto),
          columns: "9",
          school: "marks",
        },
        {
          id: "bays",
          kind: "quad",
          weight: "medium",
          corners: FISH_HALL_FRONT.map(seenInPhoto),
          columns: "6",
          school: "diagonals",
        },
      ],
    },
  ],
});

write("3-under-the-gantry", {
  title: "Under the coal gantry",
  elements: quarter,
  shots: [
    {
      id: "s1",
      name: "Splash page",
      sheet: {
        width: 279.4,
        height: 431.8,
        paper: "Comic board 11 x 17 in",
        live: { x: 12.7, y: 25.4, width: 254, height: 381 },
      },
      frame: { x: 12.7, y: 25.4, width: 254, height: 381 },
      eye: { x: 6.5, y: 9, z: 0.5 },
      gaze: { heading: 30, pitch: 0, roll: 0 },
      lens: { law: "rectilinear", distance: 230, centre: { x: 150, y: 352 } },
      bundles: bundles(0.3, 0.3, 0.15),
    },
  ],
});

write("4-from-the-kite-balloon", {
  title: "The quarter from a kite balloon",
  elements: quarter,
  shots: [
    {
      id: "s1",
      name: "Over the clock tower",
      ...a3,
      eye: { x: 4, y: 12, z: 46 },
      gaze: { heading: 14, pitch: -52, roll: 9 },
      lens: { law: "stereographic", distance: 66.75, centre: { x: 210, y: 148.5 }, within: 180 },
      bundles: bundles(0.35, 0.35, 0.25),
    },
    {
      id: "s2",
      name: "All round, by the fish hall",
      ...a3,
      eye: { x: 18, y: 28.8, z: 1.6 },
      gaze: { heading: 2, pitch: 0, roll: 0 },
      lens: { law: "equirectangular", distance: 62, centre: { x: 210, y: 148.5 } },
      bundles: bundles(0.35, 0.35, 0.2),
    },
  ],
});

write("5-the-whole-quarter", wholeQuarter(a3));

/** A building on the plan from its south-west corner, m, with the front that faces the street on one of its sides. */
const fronted = (id, name, [x, y], [wide, deep], height, side, { front, ...more }) => ({
  id,
  kind: "building",
  name,
  footprint: [
    { x, y },
    { x: x + wide, y },
    { x: x + wide, y: y + deep },
    { x, y: y + deep },
  ],
  base: 0,
  height,
  roof: { kind: "flat", rise: 0.8 },
  ...more,
  fronts: [{ side, ...front }],
});
const pane = { reveal: 0.18, frame: 0.06, across: 2, up: 2, ledge: 0.1 };

const { readFont, typeset } = await core("typesetting");
const { newFixture, newFurniture, newSign, newSteps } = await core("world");

/** A sign that says something in a typeface that ships. */
const lettered = (id, name, text, [typeface, file], rest) => {
  const font = readFont(readFileSync(join(root, "node_modules/@fontsource", file)));
  const { letters, width: line, small } = typeset(text, [font]);
  return { ...newSign({ text, typeface, letters, line, small, ...rest }), id, name };
};
const OSWALD = ["Oswald, narrow", "oswald/files/oswald-latin-600-normal.woff"];
const LOBSTER = ["Lobster, a script", "lobster/files/lobster-latin-400-normal.woff"];
const SLAB = ["Alfa Slab", "alfa-slab-one/files/alfa-slab-one-latin-400-normal.woff"];
const furnished = (id, name, thing, [x, y], heading, z = 0.01, change = {}) => ({
  ...newFurniture(thing, { x, y, z }, heading),
  id,
  name,
  ...change,
});
const fixed = (id, name, thing, [x, y, z], heading, change = {}) => ({
  ...newFixture(thing, { x, y, z }, heading),
  id,
  name,
  ...change,
});

write("6-chandlers-row", {
  title: "Chandlers' Row",
  orientations: [{ id: "main", name: "Chandlers' Row", heading: 90 }],
  elements: [
    {
      id: "row",
      kind: "street",
      name: "Chandlers' Row",
      path: [
        { x: 0.5, y: -30 },
        { x: 0.5, y: 90 },
      ],
      carriageway: 5,
      kerb: 0.12,
      pavement: 2,
      slabs: 1,
    },
    fronted("chandlery", "Rope chandlery", [-13, 5], [9, 12], 10, 1, {
      storeys: 3,
      groundFloor: 4,
      front: {
        bays: "shop 3.2, door 1.6, shop 3.2, shop 3.2",
        awning: { out: 1.1, drop: 0.5, over: 2.4 },
        own: [
          { bay: 2, storey: 1, opening: "door", width: 1.3, height: 2.2, balcony: true },
          { bay: 1, storey: 0, open: 55 },
        ],
        door: { width: 0.95, height: 2.7, panels: 4, fanlight: 0.5, reveal: 0.18, lintel: 0.15 },
        window: { width: 1.1, height: 1.7, sill: 0.8, ...pane, head: "segmental", lintel: 0.22 },
      },
      dress: { courses: 0.18, cornice: 0.5, pattern: "stretcher", hint: true },
      rooms: { wall: 0.35, slab: 0.3 },
    }),
    fronted("pub", "The Lantern, corner pub", [-12, 17], [8, 9], 7.6, 1, {
      storeys: 2,
      groundFloor: 4,
      roof: { kind: "hip", rise: 2.6, overhang: 0.3 },
      front: {
        bays: "window 2.4, double 2.4, window 2.4",
        door: { width: 1.6, height: 2.9, panels: 4, fanlight: 0.6, reveal: 0.2 },
        window: { width: 1.3, height: 1.9, sill: 0.8, ...pane, head: "round", lintel: 0.2 },
      },
      dress: { plinth: 0.7, courses: 0.2, quoins: true },
    }),
    fronted("net-loft", "Net loft", [-13.5, 26], [9.5, 14], 11, 1, {
      storeys: 3,
      roof: { kind: "gable", rise: 3 },
      front: {
        bays: "gate 3.6, 2.4, gate 3.6, 2.4",
        window: { width: 0.9, height: 1.3, sill: 0.9, reveal: 0.1, up: 2, shutters: true },
      },
      dress: { pattern: "boards" },
    }),
    fronted("customs-house", "Customs house", [5, 13], [14, 20], 12.5, 3, {
      storeys: 3,
      groundFloor: 4.5,
      front: {
        bays: "2.4 x3, double 2.8, 2.4 x3",
        own: [{ bay: 3, storey: 0, sill: 0.68, height: 3.2, steps: true }],
        door: { width: 1.6, height: 3.3, panels: 6, fanlight: 0.9, reveal: 0.25, lintel: 0.3 },
        window: { width: 1.2, height: 2, sill: 0.85, ...pane, reveal: 0.25, up: 3, lintel: 0.3 },
      },
      dress: { plinth: 0.9, courses: 0.25, cornice: 0.8, quoins: true },
    }),
    fronted("sail-store", "Sail store", [5.5, 33], [12, 16], 9, 3, {
      storeys: 2,
      roof: { kind: "gable", rise: 3 },
      front: {
        bays: "3 x2, gate 4, 3 x2",
        window: { width: 1.2, height: 2.2, sill: 0.9, ...pane, head: "pointed", lintel: 0.2 },
      },
      dress: { plinth: 0.6, pattern: "stone", hint: true },
    }),
    lettered("rope-sign", "Sign of the chandlery", "ROPE & TWINE", OSWALD, {
      at: { x: -4, y: 7.25, z: 3.36 },
      heading: 90,
      capital: 0.36,
      raised: 0.03,
      board: { width: 3.2, height: 0.56, depth: 0.06 },
    }),
    lettered("pub-sign", "Sign of The Lantern", "The Lantern", LOBSTER, {
      at: { x: -2.6, y: 24.6, z: 4.2 },
      heading: 180,
      capital: 0.38,
      both: true,
      board: { width: 2.5, height: 0.75, depth: 0.05 },
    }),
    lettered("customs-sign", "Sign of the customs house", "CUSTOMS", SLAB, {
      at: { x: 5, y: 23, z: 7.75 },
      heading: -90,
      capital: 0.7,
    }),
    fixed("pub-lantern", "Lantern of the pub", "lantern", [-4, 19.2, 2.7], 90),
    fixed("customs-flag", "Flag of the customs house", "flag", [5, 24.4, 5.6], -90),
    fixed("pub-pipe", "Drainpipe of the pub", "drainpipe", [-4, 17.2, 0], 90, { height: 7.4 }),
    {
      ...newSteps({
        foot: { x: -2.6, y: 44.5, z: 0.12 },
        heading: -90,
        plan: "spiral",
        open: true,
        rails: true,
        eye: 0.12,
        width: 0.9,
        count: 22,
        riser: 0.18,
        tread: 0.27,
      }),
      id: "loft-stairs",
      name: "Stairs to the net loft",
    },
    furnished("counter", "Counter", "counter", [-8.6, 12.6], 180, 0.01, { width: 4.5 }),
    furnished("rope-shelf", "Rope shelf", "shelf", [-9.6, 16.45], 180, 0.01, { width: 1.6, height: 2.4 }),
    furnished("twine-shelf", "Twine shelf", "shelf", [-7.8, 16.45], 180, 0.01, { width: 1.6, height: 2.4 }),
    furnished("table", "Packing table", "table", [-8.8, 8.4], 180),
    furnished("chair", "Chair", "chair", [-9, 9.3], 160),
    furnished("bench", "Bench", "bench", [-4.7, 7], -90),
    furnished("carpet", "Mat", "carpet", [-5.4, 9.2], 90, 0.01, { width: 1.4, depth: 1.6 }),
    furnished("chart", "Chart of the harbour", "picture", [-11.6, 16.63], 180, 1.4, { width: 1.4, height: 0.9 }),
  ],
  shots: [
    {
      id: "s1",
      name: "Down the row",
      ...a3,
      eye: { x: 2.2, y: -3.5, z: 1.65 },
      gaze: { heading: -16, pitch: 0, roll: 0 },
      lens: { law: "rectilinear", distance: 290, centre: { x: 215, y: 190 } },
      bundles: bundles(0, 0, 0),
    },
    {
      id: "s2",
      name: "The chandlery from its steps",
      ...a3,
      eye: { x: 1.5, y: 4, z: 1.65 },
      gaze: { heading: -48, pitch: 0, roll: 0 },
      lens: { law: "rectilinear", distance: 300, centre: { x: 210, y: 205 } },
      bundles: bundles(0, 0, 0),
    },
    {
      id: "s3",
      name: "In the chandlery",
      ...a3,
      eye: { x: -12.2, y: 6, z: 1.65 },
      gaze: { heading: 48, pitch: 0, roll: 0 },
      lens: { law: "rectilinear", distance: 250, centre: { x: 210, y: 150 } },
      bundles: bundles(0, 0, 0),
    },
    {
      id: "s4",
      name: "Up to the customs house",
      ...a3,
      eye: { x: -1.2, y: 12.5, z: 1.65 },
      gaze: { heading: 32, pitch: 0, roll: 0 },
      lens: { law: "rectilinear", distance: 270, centre: { x: 190, y: 200 } },
      bundles: bundles(0, 0, 0),
    },
  ],
});
