// Makes the demo scenes: a corner of Kestrel Quay, an invented harbour quarter. Run: node demo/make.mjs
import { readFileSync, writeFileSync } from "node:fs";
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
const photo = (name, file) => {
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

write("2-from-the-crane", {
  title: "The quarter from the harbour crane",
  elements: quarter,
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
