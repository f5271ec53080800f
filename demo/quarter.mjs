// The whole quarter of Kestrel Quay, laid out by rule: rows of houses around eight blocks, streets between them, and
// what stands out.
import { core } from "./core.mjs";

const {
  circle,
  DEFAULT_BRIDGE,
  DEFAULT_CANAL,
  DEFAULT_RIDGES,
  DEFAULT_ROW,
  DEFAULT_SKYLINE,
  DEFAULT_STREET,
  DEFAULT_WINDOWS,
  DEFAULT_LAWN,
  DEFAULT_WALLS,
  fillRow,
  rowBoundaries,
} = await core("world");

const HEADING = 32;
const radians = (d) => (d * Math.PI) / 180;
const round = (v) => Math.round(v * 1e4) / 1e4;
/** A place p metres along the tram street and q to the right of it. */
const at = (p, q) => {
  const [a, b] = [radians(HEADING), radians(HEADING + 90)];
  return { x: round(p * Math.sin(a) + q * Math.sin(b)), y: round(p * Math.cos(a) + q * Math.cos(b)) };
};
const rectangle = (p, q, length, width) => [at(p, q), at(p + length, q), at(p + length, q + width), at(p, q + width)];
const building = (id, name, footprint, height, roof, more = {}) => ({
  id,
  kind: "building",
  name,
  footprint,
  base: 0,
  height,
  roof,
  ...more,
});
const street = (id, name, path, more = {}) => ({
  id,
  kind: "street",
  name,
  path: path.map(([p, q]) => at(p, q)),
  ...DEFAULT_STREET,
  ...more,
});
const drum = (p, q, radius) => {
  const { x, y } = at(p, q);
  return circle([x, y], radius).map(([cx, cy]) => ({ x: round(cx), y: round(cy) }));
};

/** Blocks by their corners: p and q from and to; the fourth is the square. */
const BLOCKS = [
  ["Rope walk", 6, 54, 8, 56],
  ["Net yards", 66, 112, 8, 56],
  ["Coal wharf", -46, -6, 8, 56],
  ["Chandlers", 66, 112, -56, -8],
  ["Sail lofts", -46, -6, -56, -8],
  ["Ferry steps", 6, 54, 68, 112],
  ["Tar alley", -46, -6, 68, 112],
];
/** One more is a lot that is built up around its rim, with towers at its corners. */
const COURT = ["Lamp court", 66, 112, 68, 112];
const rows = [];
BLOCKS.forEach(([name, p0, p1, q0, q1], b) => {
  const deep = 10.5;
  // Round the block with the lots to the right of the way; the sides along q keep clear of the corner lots.
  [
    [[p0, q1], [p1, q1], "east"],
    [[p1, q1 - deep - 0.6], [p1, q0 + deep + 0.6], "north"],
    [[p1, q0], [p0, q0], "west"],
    [[p0, q0 + deep + 0.6], [p0, q1 - deep - 0.6], "south"],
  ].forEach(([from, to, side], i) => {
    rows.push({
      ...DEFAULT_ROW,
      id: `row-${b + 1}-${i + 1}`,
      name: `${name}, ${side} side`,
      from: at(...to),
      to: at(...from),
      seed: 100 + 10 * b + i,
      depth: deep,
      alleys: 8,
      fronts: { least: 6, most: 10 },
      storeys: { least: 2, most: b % 3 ? 4 : 5 },
      fitted: { shops: 35 },
      // The houses that face the hill stand behind forecourts, with yards at their backs.
      ...(name === "Ferry steps" && side === "east"
        ? { front: { depth: 2.5, of: "railing" }, yards: { depth: 5, of: "wall" } }
        : {}),
    });
  });
});
{
  const [name, p0, p1, q0, q1] = COURT;
  rows.push({
    ...DEFAULT_ROW,
    id: "lot-1",
    name,
    lot: [at(p0, q0), at(p1, q0), at(p1, q1), at(p0, q1)],
    seed: 177,
    depth: 10.5,
    alleys: 0,
    fronts: { least: 6, most: 9 },
    storeys: { least: 3, most: 4 },
    fitted: { shops: 35 },
    towers: { storeys: 2, roof: "pyramid" },
  });
}
/** A stack a third along the ridge of a house. */
const chimney = ({ footprint: [a, b, c, d], roof }) => ({
  x: round((3 * (a.x + d.x) + 2 * (b.x + c.x)) / 10),
  y: round((3 * (a.y + d.y) + 2 * (b.y + c.y)) / 10),
  side: 0.9,
  rise: round(roof.rise + 1),
});
const houses = rows.flatMap((row) =>
  fillRow(row, [], (n) => `${row.id}-${n + 1}`).map((house) => ({
    ...house,
    ...(house.doors ? { doors: house.doors.map((door) => ({ ...door, x: round(door.x), y: round(door.y) })) } : {}),
    ...(["gable", "hip"].includes(house.roof.kind) && Number(house.id.split("-").at(-1)) % 2
      ? { chimneys: [chimney(house)] }
      : {}),
    height: round(house.height),
    footprint: house.footprint.map(({ x, y }) => ({ x: round(x), y: round(y) })),
    roof: { ...house.roof, rise: round(house.roof.rise) },
  })),
);

/** What stands before houses and behind them. */
const boundaries = rows.flatMap((row) =>
  rowBoundaries(
    row,
    houses.filter((house) => house.row === row.id),
    (n) => `${row.id}-wall-${n}`,
  ).map((wall) => ({ ...wall, path: wall.path.map(({ x, y }) => ({ x: round(x), y: round(y) })) })),
);

/** What stands out. */
const LANDMARKS = [
  building(
    "clock-tower",
    "Clock tower",
    rectangle(27, -35, 6, 6),
    24,
    { kind: "spire", rise: 9 },
    { setbacks: [{ inset: 0.6, height: 5 }] },
  ),
  building(
    "fish-hall",
    "Fish hall",
    rectangle(-92, 14, 16, 42),
    7,
    { kind: "saw-tooth", rise: 2.2 },
    {
      group: "Fish trade",
      passages: [
        { ...at(-76, 28), width: 4, height: 4.4 },
        { ...at(-76, 42), width: 4, height: 4.4 },
      ],
    },
  ),
  building("observatory", "Observatory", drum(136, -30, 9), 11, { kind: "dome", rise: 9 }, { round: true }),
  building(
    "custom-house",
    "Customs house",
    rectangle(-94, -52, 18, 26),
    9,
    { kind: "flat" },
    {
      storeys: 2,
      courtyards: [rectangle(-89, -46, 8, 14)],
      windows: { ...DEFAULT_WINDOWS, every: 3, height: 1.9 },
      passages: [{ ...at(-76, -39), width: 4, height: 5, arch: true }],
      boxes: [{ ...at(-91.5, -39), length: 3, width: 3, rise: 2.6 }],
    },
  ),
  building(
    "ice-house",
    "Ice house",
    rectangle(126, 10, 14, 30),
    6.5,
    { kind: "barrel", rise: 4 },
    { group: "Fish trade" },
  ),
  building("lock-house", "Lock keeper's house", rectangle(-50.5, -72, 5, 8), 3.2, { kind: "hip", rise: 2 }),
  building("tram-shelter", "Tram shelter", rectangle(14, -16, 5, 2.4), 2.6, { kind: "shed", rise: 0.6 }),
  building("water-tower", "Water tower", drum(128, 78, 4), 16, { kind: "cone", rise: 3 }, { round: true }),
];
const STREETS = [
  street(
    "tram-street",
    "Tram street",
    [
      [-53, 0],
      [150, 0],
    ],
    {
      carriageway: 8,
      pavement: 3,
      rails: true,
      bed: "plates",
      dashes: undefined,
      junctions: { crossings: true, stopLines: "right" },
    },
  ),
  street(
    "lamp-street",
    "Lamp street",
    [
      [-53, 62],
      [150, 62],
    ],
    {
      driveways: [
        { at: 84, width: 3.4, side: "right" },
        { at: 136, width: 3.4, side: "left" },
      ],
      junctions: { crossings: true },
      ends: { last: "turning head" },
    },
  ),
  street(
    "chandlers-lane",
    "Chandlers' lane",
    [
      [-49, -62],
      [60, -62],
      [150, -50],
    ],
    { pavement: 1.6 },
  ),
  street(
    "quay-walk",
    "Quay walk",
    [
      [-51, -62],
      [-51, 98],
      [-72, 165],
    ],
    { carriageway: 4, pavement: 1.5, bend: 80, dashes: undefined, lanes: 1, ends: { last: "gate" } },
  ),
  street(
    "bell-lane",
    "Bell lane",
    [
      [0, -62],
      [0, 124],
    ],
    { carriageway: 5, ends: { last: "gate" } },
  ),
  street(
    "net-lane",
    "Net lane",
    [
      [60, -62],
      [60, 188],
    ],
    { carriageway: 5, junctions: { radius: 4 }, ends: { last: "turning head" } },
  ),
];
/** The canal with its lock and bridges, the square, and what closes the views. */
const along = (id, kind, name, path, more) => ({ id, kind, name, path: path.map(([p, q]) => at(p, q)), ...more });
const PLACES = [
  along(
    "ferry-canal",
    "canal",
    "Ferry canal",
    [
      [-62, -150],
      [-62, 100],
      [-84, 170],
    ],
    { ...DEFAULT_CANAL, bend: 90, width: 12, locks: [{ at: 66, length: 24, fall: 1.2 }] },
  ),
  along(
    "tram-bridge",
    "bridge",
    "Tram bridge",
    [
      [-53, 0],
      [-71, 0],
    ],
    { ...DEFAULT_BRIDGE, width: 9, level: 0.25, arch: 0.7 },
  ),
  along(
    "lamp-bridge",
    "bridge",
    "Lamp bridge",
    [
      [-53, 62],
      [-71, 62],
    ],
    { ...DEFAULT_BRIDGE, width: 4, level: 0.6, arch: 1.2 },
  ),
  {
    id: "clock-square",
    kind: "square",
    name: "Clock square",
    footprint: rectangle(6, -56, 48, 48),
    kerb: 0.12,
    slabs: 3,
    heading: HEADING,
  },
  along(
    "gasworks-side",
    "skyline",
    "Gasworks side",
    [
      [210, -140],
      [210, 200],
    ].reverse(),
    { ...DEFAULT_SKYLINE, rows: 3, behind: 45, seed: 7 },
  ),
  along(
    "quay-hills",
    "skyline",
    "Quay hills",
    [
      [-900, -1100],
      [-900, 1300],
    ],
    { ...DEFAULT_SKYLINE, ...DEFAULT_RIDGES, of: "ridges", rows: 2, behind: 500, seed: 12 },
  ),
];

/** Down to the canal by the square, and up to the observatory. */
const STEPS = [
  {
    id: "ferry-steps",
    kind: "steps",
    name: "Ferry steps",
    foot: { ...at(-57, -21), z: -3 },
    heading: HEADING + 90,
    width: 2,
    count: 19,
    riser: 0.166,
    tread: 0.3,
  },
  {
    id: "observatory-steps",
    kind: "steps",
    name: "Observatory steps",
    foot: { ...at(121.4, -30), z: 0 },
    heading: HEADING,
    width: 4,
    count: 6,
    riser: 0.165,
    tread: 0.32,
  },
];

/** Signal hill: a lane cut into it between walls, a terrace at its top, and a look-out with steps at its foot. */
const raised = (id, name, places, more) => ({
  id,
  kind: "ground",
  name,
  footprint: places.map(([p, q]) => at(p, q)),
  height: 0,
  ...more,
});
const corners = (p0, q0, p1, q1) => [
  [p0, q0],
  [p1, q0],
  [p1, q1],
  [p0, q1],
];
const UP = HEADING + 90;
const HILL = [
  raised(
    "signal-hill",
    "Signal hill",
    [
      [22, 132],
      [104, 132],
      [122, 176],
      [104, 226],
      [30, 230],
      [4, 182],
    ],
    {
      spots: [
        [38, 160, 4.5],
        [80, 158, 4],
        [92, 186, 6.5],
        [62, 214, 6],
        [30, 192, 7.5],
      ].map(([p, q, z]) => ({ ...at(p, q), z })),
      contours: 1,
    },
  ),
  raised("signal-terrace", "Signal terrace", corners(42, 176, 84, 206), { height: 5.28 }),
  raised("signal-cutting", "Signal lane's slope", corners(53, 132, 67, 176), { slope: { heading: UP, grade: 12 } }),
  raised("look-out", "Look-out", corners(30, 132, 48, 146), { height: 3 }),
  {
    id: "signal-green",
    kind: "square",
    name: "Signal green",
    footprint: corners(66, 116, 104, 130).map(([p, q]) => at(p, q)),
    heading: HEADING,
    ...DEFAULT_LAWN,
  },
  {
    id: "green-hedge",
    kind: "wall",
    name: "Hedge of the green",
    path: [
      [66, 117],
      [104, 117],
      [104, 129.5],
    ].map(([p, q]) => at(p, q)),
    ...DEFAULT_WALLS.hedge,
    of: "hedge",
    gates: [{ at: 19, width: 3 }],
  },
  building("signal-house", "Signal house", rectangle(45, 192, 9, 9), 6, { kind: "hip", rise: 2.4 }, { storeys: 2 }),
  building("signal-mast-house", "Mast house", drum(76, 198, 3), 9, { kind: "cone", rise: 3 }, { round: true }),
  ...[
    [68.5, 138, 7, 8],
    [68.5, 150, 7, 9],
    [44.5, 152, 7, 8],
    [44, 164, 7.5, 8],
  ].map(([p, q, wide, deep], i) =>
    building(
      `hill-house-${i + 1}`,
      `Hill house ${i + 1}`,
      rectangle(p, q, wide, deep),
      6 + (i % 2),
      { kind: "gable", rise: 2.4 },
      {
        storeys: 2,
        windows: { ...DEFAULT_WINDOWS },
        doors: [{ ...at(p < 60 ? p + wide : p, q + deep / 2), width: 0.95, height: 2.1 }],
      },
    ),
  ),
  {
    id: "look-out-steps",
    kind: "steps",
    name: "Look-out steps",
    foot: { ...at(39, 126.6), z: 0 },
    heading: UP,
    width: 4,
    count: 18,
    riser: 0.1667,
    tread: 0.3,
  },
];

/** The scene, without what every scene has. */
export function quarter(a3) {
  const shot = (id, name, eye, gaze, lens, more = {}) => ({
    id,
    name,
    ...a3,
    eye,
    gaze: { pitch: 0, roll: 0, ...gaze },
    lens: { law: "rectilinear", distance: 270, centre: { x: 210, y: 148.5 }, ...lens },
    show: { live: 0.6, frame: 1, horizon: 1, bundles: 0.3, buildings: 1, hidden: 0 },
    ...more,
  });
  const eyeAt = (p, q, z) => ({ ...at(p, q), z });
  return {
    title: "Kestrel Quay, the whole quarter",
    elements: [...LANDMARKS, ...STREETS, ...PLACES, ...STEPS, ...HILL, ...houses, ...boundaries],
    rows,
    shots: [
      shot(
        "s1",
        "The corner of the square",
        eyeAt(50, -5, 1.65),
        { heading: 62 },
        { centre: { x: 210, y: 196 }, distance: 220 },
      ),
      shot("s2", "Along the canal", eyeAt(-62, 140, 4.5), { heading: HEADING - 90 }, { distance: 300 }),
      shot("s3", "Up the clock tower", eyeAt(14, -22, 1.6), { heading: 2, pitch: 38 }, { distance: 230 }),
      shot("s4", "Down from the crane", eyeAt(-100, 70, 46), { heading: 12, pitch: -18 }, { distance: 300 }),
      shot(
        "s5",
        "Running, rolled",
        eyeAt(60, 0, 1.5),
        { heading: HEADING + 180, pitch: 6, roll: 14 },
        { distance: 200 },
      ),
      shot("s6", "Sweep from the roofs", eyeAt(52, 0, 19), { heading: 20 }, { law: "cylindrical", distance: 110 }),
      shot(
        "s7",
        "Disc over the square",
        eyeAt(30, -20, 42),
        { heading: 40, pitch: -60, roll: 8 },
        { law: "stereographic", distance: 66.75, within: 180 },
      ),
      shot(
        "s8",
        "The whole world, tram stop",
        eyeAt(20, -1, 1.65),
        { heading: 0 },
        { law: "equirectangular", distance: 62 },
      ),
      shot("s9", "Up Signal hill", eyeAt(59, 92, 7), { heading: UP + 3, pitch: -4 }, { distance: 250 }),
    ],
  };
}
