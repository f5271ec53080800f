import { cross, degrees, dot, headingAlong, norm, scale, unit, type Vec2, type Vec3 } from "../geometry";
import { towardsSun, type Caster, type Light } from "../light";
import type { Shot } from "../scene";
import { project, unproject, viewOf, type View } from "../shot";
import { offSheet, type OffSheet } from "./pins";
import { vanishingPoint } from "./point";

/** A point by which shadows are drawn by hand: where it is on the desk, and which edge of the sheet it is beyond. */
export interface LightPoint {
  /** `rays`: through it run the rays; `foot`: through it run the shadows of uprights on level ground. */
  readonly kind: "rays" | "foot";
  readonly id: string;
  readonly name: string;
  readonly at: Vec2 | null;
  readonly offSheet: OffSheet | null;
}

/** What a light is called. */
export const lightName = ({ name, kind }: Light): string => name || NAMES[kind];

const NAMES: Readonly<Record<Light["kind"], string>> = { sun: "Sun", lamp: "Lamp", overcast: "Covered sky" };

/** Whether a sun stands behind the eye, so that the point of its rays lies below the horizon. */
export const isBehind = (view: View, light: Light): boolean =>
  light.kind === "sun" && view.law.straight && dot(towardsSun(light), view.forward) < 0;

/** A sun lower than this is none that is set by its point, degrees: its point would be on the horizon. */
const LEAST_HEIGHT = 0.05;

/**
 * The points of a light: of a sun the vanishing point of its rays, and straight under or over it on the horizon that of
 * the shadows of uprights; of a lamp its picture, and that of its foot on the ground.
 */
export function lightPoints(shot: Shot, light: Caster): readonly [rays: LightPoint, foot: LightPoint] {
  const view = viewOf(shot);
  const places = (): readonly [Vec2 | null, Vec2 | null] => {
    if (light.kind === "lamp") {
      const { x, y, z } = light.at;
      return [project(view, [x, y, z]), project(view, [x, y, 0])];
    }
    const [x, y, z] = towardsSun(light);
    return [vanishingPoint(view, [x, y, z]).at, z > 1 - 1e-12 ? null : vanishingPoint(view, [x, y, 0]).at];
  };
  const [rays, foot] = places();
  const point = (kind: LightPoint["kind"], name: string, at: Vec2 | null): LightPoint => ({
    ...{ kind, name, at, id: `${light.id}-${kind}` },
    offSheet: at && offSheet(shot.sheet, ...at),
  });
  const of = lightName(light);
  return [
    point("rays", light.kind === "sun" ? `${of}: point of its rays` : of, rays),
    point("foot", light.kind === "sun" ? `${of}: point of shadows on the ground` : `Foot of ${of}`, foot),
  ];
}

/**
 * The point of the shadows that lines of one direction cast on planes of one normal by a sun: where the plane through
 * its rays and those lines meets the planes. Null where they run beside the rays.
 */
export function shadowPoint(view: View, towards: Vec3, along: Vec3, normal: Vec3): Vec2 | null {
  const way = cross(cross(towards, along), normal);
  return norm(way) < 1e-12 ? null : vanishingPoint(view, way).at;
}

/**
 * Where a sun stands whose rays have their point at a place of the desk: above the horizon it stands before the eye,
 * below it behind; in a curved lens it is where it is seen. Null on the horizon.
 */
export function sunFromPoint(view: View, at: Vec2): { readonly heading: number; readonly height: number } | null {
  const way = unproject(view, at);
  const isUnder = view.law.straight && way[2] < 0;
  const [x, y, z] = unit(isUnder ? scale(way, -1) : way);
  const height = degrees(Math.asin(z));
  return height < LEAST_HEIGHT ? null : { heading: headingAlong([x, y]), height };
}
