import { FORMAT, VERSION, type Orientation, type Scene, type Shot } from "../scene";
import { inCurvedSystem, type CurvedSystem } from "./systems";

/** The tilt at which all three points stand equally far from the middle: asin(1 / sqrt 3), in degrees. */
const EVEN = (Math.asin(1 / Math.sqrt(3)) * 180) / Math.PI;

/** Systems worth having on paper before one knows the picture. */
const READY: readonly (Omit<CurvedSystem, "id"> & { readonly within?: number })[] = [
  { name: "Five points, looking ahead", law: "stereographic", covers: 180, within: 180, turn: 90, pitch: 0, roll: 0 },
  {
    name: "Five points, down on the city",
    law: "stereographic",
    covers: 180,
    within: 180,
    turn: 90,
    pitch: -90,
    roll: 0,
  },
  {
    name: "Five points, up between towers",
    law: "stereographic",
    covers: 180,
    within: 180,
    turn: 90,
    pitch: 90,
    roll: 0,
  },
  {
    name: "Six points, looking down a little",
    law: "stereographic",
    covers: 200,
    within: 200,
    turn: 50,
    pitch: -15,
    roll: 0,
  },
  {
    name: "Six points, down, all three alike",
    law: "stereographic",
    covers: 200,
    within: 200,
    turn: 45,
    pitch: -EVEN,
    roll: 0,
  },
  {
    name: "Six points, up, all three alike",
    law: "stereographic",
    covers: 200,
    within: 200,
    turn: 45,
    pitch: EVEN,
    roll: 0,
  },
  {
    name: "Six points, tilted and rolled",
    law: "stereographic",
    covers: 220,
    within: 220,
    turn: 58,
    pitch: -24,
    roll: 18,
  },
  { name: "Four points, a panorama around", law: "cylindrical", covers: 220, turn: 45, pitch: 0, roll: 0 },
  { name: "Four points, a panorama up and over", law: "cylindrical-lying", covers: 220, turn: 90, pitch: 0, roll: 0 },
  { name: "Six points, the whole world unwrapped", law: "equirectangular", covers: 360, turn: 45, pitch: 0, roll: 0 },
];

/** One pair of directions for all of them. */
const STREETS: Orientation = { id: "main", name: "Streets", heading: 0 };

/** Blank grids to trace, one shot each, on a shot's sheet and in its panel; nothing stands in them. */
export function blankGrids(shot: Pick<Shot, "sheet" | "frame">): Scene {
  const bundles = ["main-left", "main-right", "upright"].map((pin) => ({ pin, spacing: 9, strength: 0.8 }));
  return {
    format: FORMAT,
    version: VERSION,
    title: "Blank grids",
    orientations: [STREETS],
    elements: [],
    shots: READY.map(({ within, ...system }, i) => {
      const id = `grid-${i + 1}`;
      const set = inCurvedSystem(
        {
          id,
          name: system.name,
          sheet: shot.sheet,
          frame: shot.frame,
          eye: { x: 0, y: 0, z: 1.6 },
          gaze: { heading: 0, pitch: 0, roll: 0 },
          bundles,
          lens: { law: system.law, distance: 1, centre: { x: 0, y: 0 } },
        },
        STREETS,
        { id, ...system },
      );
      return { ...set, lens: { ...set.lens, within } };
    }),
  };
}
