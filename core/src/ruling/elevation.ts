import { along, type Rect } from "../geometry";
import { axesOf, inWorld, type OwnPlane } from "../lines";
import type { Shot } from "../scene";

/** Scales that elevations are drawn to, 1 to so many (ISO 5455 (from memory)). */
export const SCALES = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000] as const;

/** How much of the panel an elevation may fill. */
const FILLED = 0.9;

/** The largest scale at which an area of so many m fits a panel of so many mm. */
const scaleFor = (area: Rect, { width, height }: Rect): number =>
  SCALES.find((scale) => {
    const mm = 1000 / scale;
    return area.width * mm <= FILLED * width && area.height * mm <= FILLED * height;
  }) ?? SCALES[SCALES.length - 1];

/** An elevation: a shot that faces a plane squarely, and the scale at which all of the plane is drawn in it. */
export interface Elevation {
  readonly shot: Shot;
  readonly scale: number;
}

/**
 * A shot that faces a plane squarely, so that in the straight lens all of the plane is drawn to one scale: the picture
 * is as much smaller as the picture distance is than that of the plane.
 * @param base whose sheet and panel it is drawn on
 * @param area what of the plane is to be in the panel, m
 * @param depth how far before the plane the eye stands, m
 */
export function elevationOf(base: Shot, plane: OwnPlane, area: Rect, depth: number, id: string): Elevation {
  const scale = scaleFor(area, base.frame);
  const { frame } = base;
  const axes = axesOf(plane);
  const middle = inWorld(axes, [area.x + area.width / 2, area.y + area.height / 2]);
  const [x, y, z] = along(middle, axes.normal, depth);
  return {
    scale,
    shot: {
      id,
      name: `${plane.name} flat, 1 : ${scale}`.slice(0, 200),
      sheet: base.sheet,
      frame,
      eye: { x, y, z },
      gaze: { heading: plane.heading - 90, pitch: plane.tilt - 90, roll: 0 },
      lens: {
        law: "rectilinear",
        distance: (1000 * depth) / scale,
        centre: { x: frame.x + frame.width / 2, y: frame.y + frame.height / 2 },
      },
      bundles: [],
      show: { bundles: 0 },
    },
  };
}
