// The kits that ship: buildings of Kestrel Quay, to be put into any scene.
import { chandlersRow, fixed, fronted, furnished, lettered, OSWALD, pane } from "./chandlersRow.mjs";
import { core } from "./core.mjs";

const { kitOfThings } = await core("kits");

/** Things of Chandlers' Row, by their ids. */
const inTheRow = (...ids) => ids.map((id) => chandlersRow.elements.find((one) => one.id === id));

/** A house between two others, with steps up to its door. */
const terraceHouse = [
  fronted("house", "Terrace house", [0, 0], [5.4, 9], 6.2, 0, {
    storeys: 2,
    groundFloor: 3.3,
    roof: { kind: "gable", rise: 2.4, cover: "slates" },
    chimneys: [{ x: 4.9, y: 4.5, side: 0.7, rise: 3.2 }],
    front: {
      bays: "door 1.6, bay 3",
      own: [{ bay: 0, storey: 0, steps: true, sill: 0.34 }],
      door: { width: 0.9, height: 2.05, panels: 4, fanlight: 0.35, reveal: 0.14, lintel: 0.18 },
      window: { width: 1.05, height: 1.55, sill: 0.85, ...pane },
    },
    dress: { plinth: 0.34, courses: 0.14, pattern: "stretcher", hint: true },
  }),
];

const slab = (id, name, [x, y, z], [length, width, height]) => ({
  id,
  kind: "block",
  name,
  origin: { x, y, z },
  heading: 0,
  length,
  width,
  height,
});

const post = (id, x) => slab(id, "Post", [x, 0.1, 0], [0.1, 0.1, 2.5]);

/** A roof on posts before a wall, with a bench under it. */
const tramShelter = [
  slab("roof", "Roof", [-2.3, -0.3, 2.5], [1.9, 4.6, 0.14]),
  slab("back", "Back wall", [-2, 1.1, 0], [0.12, 4, 2.5]),
  post("post-1", -2),
  post("post-2", -0.05),
  post("post-3", 1.9),
  furnished("bench", "Bench", "bench", [0, 0.75], 180, 0),
  lettered("sign", "Sign of the shelter", "TRAM", OSWALD, {
    at: { x: 0, y: -0.34, z: 2.66 },
    heading: 180,
    capital: 0.26,
    board: { width: 1.5, height: 0.42, depth: 0.05 },
  }),
];

/** A store with gates to the quay, and a pipe down its corner. */
const warehouse = [
  fronted("warehouse", "Warehouse", [0, 0], [18, 22], 12, 0, {
    storeys: 4,
    groundFloor: 3.9,
    roof: { kind: "gable", rise: 4, overhang: 0.3 },
    front: {
      bays: "2.6, gate 3.6, 2.6, gate 3.6, 2.6",
      window: { width: 1.2, height: 1.5, sill: 0.9, ...pane, head: "segmental", lintel: 0.25, up: 3 },
    },
    dress: { plinth: 0.6, courses: 0.2, quoins: true, pattern: "english", hint: true },
  }),
  fixed("pipe", "Drainpipe", "drainpipe", [0.5, 0, 0], 180, { height: 11.6 }),
];

const KITS = [
  ["1-warehouse", "Warehouse", warehouse],
  ["2-net-loft", "Net loft", inTheRow("net-loft")],
  ["3-chandlery", "Chandlery", inTheRow("chandlery", "rope-sign")],
  ["4-terrace-house", "Terrace house", terraceHouse],
  ["5-tram-shelter", "Tram shelter", tramShelter],
  ["6-customs-house", "Customs house", inTheRow("customs-house", "customs-sign", "customs-flag")],
  ["7-corner-pub", "Corner pub", inTheRow("pub", "pub-sign", "pub-lantern", "pub-pipe")],
];

/** What stands without a front of its own faces south. */
const SOUTH = 180;

export const kits = KITS.map(([file, title, things]) => ({ file, ...kitOfThings(things, title, SOUTH) }));
