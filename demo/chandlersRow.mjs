// Chandlers' Row: a street of dressed fronts, with a room and signs.
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { core, root } from "./core.mjs";
import { house } from "./house.mjs";
import { a3, bundles } from "./sheets.mjs";

/** A house with the front that faces the street on one of its sides. */
export const fronted = (id, name, place, size, height, side, { front, ...more }) => ({
  ...house(id, name, place, size, height, { kind: "flat", rise: 0.8 }, more),
  fronts: [{ side, ...front }],
});
export const pane = { reveal: 0.18, frame: 0.06, across: 2, up: 2, ledge: 0.1 };

const { readFont, typeset } = await core("typesetting");
const { newFixture, newFurniture, newSign, newSteps } = await core("world");

/** A sign that says something in a typeface that ships. */
export const lettered = (id, name, text, [typeface, file], rest) => {
  const font = readFont(readFileSync(join(root, "node_modules/@fontsource", file)));
  const { letters, width: line, small } = typeset(text, [font]);
  return { ...newSign({ text, typeface, letters, line, small, ...rest }), id, name };
};
export const OSWALD = ["Oswald, narrow", "oswald/files/oswald-latin-600-normal.woff"];
const LOBSTER = ["Lobster, a script", "lobster/files/lobster-latin-400-normal.woff"];
const SLAB = ["Alfa Slab", "alfa-slab-one/files/alfa-slab-one-latin-400-normal.woff"];
export const furnished = (id, name, thing, [x, y], heading, z = 0.01, change = {}) => ({
  ...newFurniture(thing, { x, y, z }, heading),
  id,
  name,
  ...change,
});
export const fixed = (id, name, thing, [x, y, z], heading, change = {}) => ({
  ...newFixture(thing, { x, y, z }, heading),
  id,
  name,
  ...change,
});

export const chandlersRow = {
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
        window: {
          width: 1.1,
          height: 1.7,
          sill: 0.8,
          ...pane,
          head: "segmental",
          lintel: 0.26,
          voussoirs: 9,
          keystone: true,
        },
      },
      dress: { courses: 0.18, cornice: 0.5, pattern: "stretcher", hint: true },
      rooms: { wall: 0.35, slab: 0.3 },
    }),
    fronted("pub", "The Lantern, corner pub", [-12, 17], [8, 9], 7.6, 1, {
      storeys: 2,
      groundFloor: 4,
      roof: { kind: "hip", rise: 2.6, overhang: 0.3, cover: "slates" },
      front: {
        bays: "bay 2.9, double 2.2, bay 2.9",
        door: { width: 1.6, height: 2.9, panels: 4, fanlight: 0.6, reveal: 0.2 },
        window: { width: 1.1, height: 1.9, sill: 0.8, ...pane, head: "round" },
      },
      dress: { plinth: 0.7, courses: 0.2, quoins: true },
    }),
    fronted("net-loft", "Net loft", [-13.5, 26], [9.5, 14], 11, 1, {
      storeys: 3,
      roof: { kind: "gable", rise: 3, cover: "pantiles", hint: true },
      front: {
        bays: "gate 3.6, 2.4, gate 3.6, 2.4",
        own: [{ bay: 0, storey: 0, opens: "outwards", open: 75 }],
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
      dress: { plinth: 0.9, courses: 0.25, cornice: 0.8, out: 0.14, pilasters: 0.45 },
    }),
    fronted("sail-store", "Sail store", [5.5, 33], [12, 16], 9, 3, {
      storeys: 2,
      roof: { kind: "gable", rise: 3, cover: "slates", hint: true },
      front: {
        bays: "3 x2, gate 4, 3 x2",
        window: {
          width: 1.2,
          height: 2.2,
          sill: 0.9,
          ...pane,
          head: "pointed",
          lintel: 0.24,
          voussoirs: 11,
          imposts: true,
        },
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
      at: { x: 5, y: 23, z: 7.68 },
      heading: -90,
      capital: 0.55,
    }),
    fixed("pub-lantern", "Lantern of the pub", "lantern", [-4, 21.5, 3.3], 90),
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
};
