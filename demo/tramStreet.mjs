// Capstan Street: a tram street with trees, people and traffic, and the boat quay at its end.
import { core } from "./core.mjs";
import { fronted, pane } from "./chandlersRow.mjs";
import { a3, bundles } from "./sheets.mjs";

const { CROWD, newBoat, newPerson, newPlant, newSky, newStreetFurniture, newVehicle, rolledCrowd } =
  await core("world");

const named = (id, name, rest, change = {}) => ({ ...rest, id, name, ...change });
const line = (...places) => places.map(([x, y]) => ({ x, y }));

/** Houses along one side of the street, whose fronts look at it. */
function terrace(side, names) {
  const west = side === "west";
  let y = -6;
  return names.map(([name, wide, height, storeys], i) => {
    const place = west ? [-25, y] : [5, y];
    y += wide + (i === 1 ? 6 : 0);
    return fronted(`${side}-${i}`, name, place, [10, wide], height, west ? 1 : 3, {
      storeys,
      groundFloor: 3.8,
      front: {
        bays: wide > 11 ? "window 1, shop 1.4, door 1, window 1" : "window 1, door 1, window 1",
        window: { width: 1.1, height: 1.7, sill: 0.9, ...pane },
        door: { width: 1, height: 2.3, panels: 4, reveal: 0.2 },
      },
      dress: { plinth: 0.5, cornice: 0.4 },
    });
  });
}

const standing = [
  {
    id: "street",
    kind: "street",
    name: "Capstan Street",
    path: line([-5, -40], [-5, 74]),
    carriageway: 12,
    kerb: 0.12,
    pavement: 4,
    slabs: 1,
  },
  ...terrace("west", [
    ["Sailmaker", 12, 11.4, 3],
    ["Lamp shop", 9, 9.6, 3],
    ["Harbour savings bank", 14, 12.4, 3],
    ["Compass maker", 9, 10.2, 3],
    ["Grain merchant", 12, 11.2, 3],
  ]),
  ...terrace("east", [
    ["Tea rooms", 9, 9.6, 3],
    ["Rope walk office", 12, 11, 3],
    ["Post house", 12, 12, 3],
    ["Tide clock maker", 9, 9.8, 3],
    ["Net merchant", 14, 11.4, 3],
  ]),
  {
    id: "rails",
    kind: "rails",
    name: "Tram tracks",
    path: line([-6.6, -40], [-6.6, 74]),
    gauge: 1.435,
  },
  {
    id: "quay",
    kind: "canal",
    name: "Boat quay",
    path: line([-90, 96], [90, 96]),
    width: 30,
    depth: 1.4,
    coping: 0.4,
    quay: 3,
  },
  named("tram", "Tram to the sands", newVehicle("tram", line([-6.6, 16], [-6.6, 50])), { cars: 2 }),
  named("trees-west", "Limes, west side", newPlant("round", line([-12.4, 0], [-12.4, 60]), 11), {
    height: 7.5,
    spread: 4.6,
    clear: 2.6,
  }),
  named("trees-east", "Limes, east side", newPlant("round", line([2.4, 4], [2.4, 60]), 47), {
    height: 7.5,
    spread: 4.6,
    clear: 2.6,
  }),
  named("lamps", "Lamps", newStreetFurniture("lantern", line([-11.6, 4], [-11.6, 60])), { every: 16 }),
  named("masts", "Tram masts", newStreetFurniture("mast", line([1.6, 60], [1.6, -12])), { every: 24, wires: 3 }),
  named("parked", "Parked cars", newVehicle("car", line([-0.4, 16], [-0.4, 40])), { every: 6.5 }),
  named("van", "Baker's van", newVehicle("van", line([-0.5, 9]), 0)),
  named("cart", "Handcart", newVehicle("handcart", line([3.9, -2.2]), 200)),
  named("bicycle", "Bicycle", newVehicle("bicycle", line([-14.4, 2.4]), 170)),
  named("gull", "The Gull", newBoat("sailing", { x: -7, y: 92, z: -1.4 }, 80)),
  named("tern", "The Tern", newBoat("fishing", { x: 12, y: 97, z: -1.4 }, 275)),
  named("clouds", "Clouds", newSky("bank", { x: 260, y: 1500, z: 420 }, 5), { size: 700 }),
  named("birds", "Gulls", newSky("birds", { x: -10, y: 60, z: 17 }, 8), { size: 14 }),
];

const people = [
  named("reader", "A reader", newPerson({ x: -12.2, y: -1.2, z: 0.12 }, 150), { wear: "coat", height: 1.78 }),
  named("porter", "A porter", newPerson({ x: 3.6, y: 1.2, z: 0.12 }, 195, "carrying")),
  named("girl", "A girl", newPerson({ x: -7.6, y: 6.5, z: 0 }, 20, "running"), {
    age: 10,
    height: 1.38,
    wear: "skirt",
  }),
];

const crowds = [
  ["crowd-west", "West pavement", line([-14.6, 4], [-11.4, 4], [-11.4, 58], [-14.6, 58]), 26],
  ["crowd-east", "East pavement", line([1.4, 5], [4.6, 5], [4.6, 58], [1.4, 58]), 24],
].reduce(
  (all, [id, name, footprint, number], i) => [
    ...all,
    rolledCrowd(
      { ...CROWD, id, name, kind: "crowd", footprint, number, heading: 0, seed: 21 + i, spacing: 1, people: [] },
      [...standing, ...people, ...all],
    ),
  ],
  [],
);

export const tramStreet = {
  title: "Capstan Street",
  orientations: [{ id: "main", name: "Capstan Street", heading: 0 }],
  elements: [...standing, ...people, ...crowds],
  shots: [
    {
      id: "s1",
      name: "Down the tram street",
      ...a3,
      eye: { x: -3.4, y: -11, z: 1.65 },
      gaze: { heading: -3, pitch: 0, roll: 0 },
      lens: { law: "rectilinear", distance: 330, centre: { x: 200, y: 190 } },
      bundles: bundles(0, 0, 0),
    },
    {
      id: "s2",
      name: "From a window of the bank",
      ...a3,
      eye: { x: -10.5, y: 20, z: 8.5 },
      gaze: { heading: 12, pitch: -12, roll: 0 },
      lens: { law: "rectilinear", distance: 300, centre: { x: 200, y: 150 } },
      bundles: bundles(0, 0, 0),
    },
    {
      id: "s3",
      name: "Boats at the quay",
      ...a3,
      eye: { x: -2, y: 73, z: 1.9 },
      gaze: { heading: 6, pitch: 0, roll: 0 },
      lens: { law: "rectilinear", distance: 300, centre: { x: 200, y: 140 } },
      bundles: bundles(0, 0, 0),
    },
  ],
};
