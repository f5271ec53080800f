// The Observatory hill end of Kestrel Quay: round things, arches, columns and domes.
import { core } from "./core.mjs";
import { house } from "./house.mjs";
import { a3, bundles } from "./sheets.mjs";

const { newArches, newColumns, newTurned } = await core("world");

const turned = (id, name, form, [x, y, z = 0], change = {}) => ({
  ...newTurned(form, { x, y, z }, change.heading ?? 0),
  id,
  name,
  ...change,
});
const columns = (id, name, order, [x, y, z = 0], heading, change = {}) => ({
  ...newColumns(order, { x, y, z }, heading),
  id,
  name,
  ...change,
});
const arches = (id, name, [x, y, z = 0], heading, change = {}) => ({
  ...newArches({ x, y, z }, heading),
  id,
  name,
  ...change,
});
const WINDOWS = { every: 3.4, width: 1.2, height: 2, sill: 1.1 };

/** The customs house: a portico before its hall, and a rotunda over it. */
const customsHouse = [
  house(
    "customs",
    "Customs house",
    [-14, 34],
    [28, 18],
    9.6,
    { kind: "flat", rise: 0.9 },
    { storeys: 2, windows: WINDOWS },
  ),
  columns("portico", "Portico", "ionic", [0, 29.6], 180, {
    height: 7.6,
    count: 6,
    gap: 2.25,
    middle: 1.3,
    entablature: true,
    pediment: 0.2,
    depth: 4.4,
    steps: 5,
  }),
  turned("rotunda-foot", "Foot of the rotunda", "cylinder", [0, 43, 10.4], { radius: 7, height: 1.2 }),
  columns("rotunda", "Rotunda", "corinthian", [0, 43, 11.6], 180, {
    stand: "ring",
    height: 5.4,
    count: 16,
    radius: 6,
    entablature: true,
    gap: undefined,
  }),
  turned("drum", "Drum of the rotunda", "cylinder", [0, 43, 11.6], { radius: 5.1, height: 6.75 }),
  turned("dome", "Dome of the customs house", "dome", [0, 43, 18.35], {
    radius: 5.6,
    height: 5.2,
    ribs: 16,
    lantern: 1.5,
  }),
];

/** The fish market: an arcade around a hall under a barrel roof. */
const fishMarket = [
  house("market", "Fish market", [-44, 21.2], [20, 26], 7.4, { kind: "barrel", rise: 4, turned: true }),
  arches("market-south", "Arcade of the fish market", [-34, 18.6], 180, {
    count: 6,
    span: 2.7,
    pier: 0.6,
    springing: 2.9,
    height: 5.4,
    thickness: 0.6,
    voussoirs: 0.3,
    keystone: true,
    imposts: 0.07,
  }),
  arches("market-east", "Side arcade of the fish market", [-20.8, 34], 90, {
    arch: "segmental",
    count: 8,
    span: 2.7,
    pier: 0.6,
    springing: 3.2,
    rise: 0.8,
    height: 5.4,
    thickness: 0.6,
    voussoirs: 0.3,
  }),
];

export const roundThings = {
  title: "Customs Square",
  orientations: [{ id: "main", name: "Customs Square", heading: 0 }],
  elements: [
    {
      id: "square",
      kind: "square",
      name: "Customs Square",
      footprint: [
        { x: -52, y: 0 },
        { x: 46, y: 0 },
        { x: 46, y: 90 },
        { x: -52, y: 90 },
      ],
      heading: 0,
      kerb: 0,
    },
    ...customsHouse,
    ...fishMarket,
    turned("gasholder", "Gasholder", "tank", [35, 52], { radius: 9.5, height: 13 }),
    turned("observatory", "Observatory", "cylinder", [26, 27], { radius: 4.4, height: 8.4 }),
    turned("observatory-dome", "Dome of the observatory", "dome", [26, 27, 8.4], {
      radius: 4.6,
      height: 4.6,
      ribs: 10,
    }),
    turned("lighthouse", "Lighthouse", "lighthouse", [-30, 74], { radius: 3.4, height: 31, top: 2 }),
    turned("chimney", "Chimney of the gas works", "chimney", [40, 85], { radius: 1.7, height: 34, top: 0.95 }),
    turned("vase-left", "Vase", "vase", [-9.4, 22.5], { radius: 0.7, height: 1.7 }),
    turned("vase-right", "Vase", "vase", [9.4, 22.5], { radius: 0.7, height: 1.7 }),
  ],
  shots: [
    {
      id: "s1",
      name: "Across Customs Square",
      ...a3,
      eye: { x: -13, y: -4, z: 1.65 },
      gaze: { heading: 14, pitch: 0, roll: 0 },
      lens: { law: "rectilinear", distance: 300, centre: { x: 190, y: 215 } },
      bundles: bundles(0, 0, 0),
    },
    {
      id: "s2",
      name: "From the signal mast",
      ...a3,
      eye: { x: -28, y: -22, z: 27 },
      gaze: { heading: 24, pitch: -17, roll: 0 },
      lens: { law: "rectilinear", distance: 330, centre: { x: 210, y: 140 } },
      bundles: bundles(0, 0, 0),
    },
    {
      id: "s3",
      name: "In a round lens",
      ...a3,
      eye: { x: 3, y: 12, z: 1.65 },
      gaze: { heading: -10, pitch: 16, roll: 0 },
      lens: { law: "stereographic", distance: 150, centre: { x: 210, y: 160 } },
      bundles: bundles(0, 0, 0),
    },
  ],
};
