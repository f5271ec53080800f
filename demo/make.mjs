// Makes the demo scenes: a corner of Kestrel Quay, an invented harbour quarter. Run: node demo/make.mjs
import { readFileSync, writeFileSync } from "node:fs";
import { chandlersRow } from "./chandlersRow.mjs";
import { tramStreet } from "./tramStreet.mjs";
import { kits } from "./kits.mjs";
import { a3, bundles } from "./sheets.mjs";
import { roundThings } from "./roundThings.mjs";
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

write("6-chandlers-row", chandlersRow);
write("7-customs-square", roundThings);
write("8-capstan-street", tramStreet);

for (const { file, ...kit } of kits) write(`kits/${file}`, kit);
