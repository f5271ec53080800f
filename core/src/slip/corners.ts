import { fromEdge } from "../vanishing";
import { contains, distance2, type Vec2, type Vec3 } from "../geometry";
import type { Scene, Shot } from "../scene";
import { project, type View } from "../shot";
import { mm, sentence, type Sentence, type Told } from "../units";
import { kindOf, type Element } from "../world";

/** An upright edge of a building on the sheet: where it stands and where it ends, mm. */
export interface Corner {
  readonly name: string;
  readonly foot: Vec2;
  readonly head: Vec2;
}

/** The corners of a building that a drawing is begun with: the nearest one, and its neighbours to both sides. */
export interface BuildingCorners {
  readonly name: string;
  readonly corners: readonly Corner[];
}

/** So many buildings are laid out by number; the rest follows from the points. */
const MAX_BUILDINGS = 12;
/** A nearest corner drawn less high than this, mm, needs no numbers. */
const LEAST = 5;

const lengthOf = ({ foot, head }: Corner): number => distance2(foot, head);

/** An upright edge as it is drawn; null where the eye does not see both ends. */
function cornerAt(view: View, [x, y]: Vec2, [base, height]: readonly [number, number], name: string): Corner | null {
  const [foot, head] = [base, base + height].map((z) => project(view, [x, y, z] as Vec3));
  return foot && head ? { name, foot, head } : null;
}

function cornersOf(view: View, element: Element): BuildingCorners | null {
  const { outline, span } = kindOf(element);
  const ring = outline(element);
  const far = ([x, y]: Vec2) => Math.hypot(x - view.eye[0], y - view.eye[1]);
  const near = ring.reduce((best, corner, i) => (far(corner) < far(ring[best]) - 1e-9 ? i : best), 0);
  const at = (i: number, name: string) => cornerAt(view, ring[(i + ring.length) % ring.length], span(element), name);
  const nearest = at(near, "near corner");
  if (!nearest) return null;
  // The outline runs counter-clockwise as seen from above: what follows on the near corner lies to its right.
  const beside = [at(near - 1, "left corner"), at(near + 1, "right corner")];
  return { name: element.name, corners: [nearest, ...beside.filter((one) => one !== null)] };
}

/**
 * The corners of all buildings that a shot shows, those that are drawn highest first.
 * @returns at most twelve, and how many more there are
 */
export function buildingCorners(
  { elements }: Pick<Scene, "elements">,
  { frame }: Pick<Shot, "frame">,
  view: View,
): { readonly buildings: readonly BuildingCorners[]; readonly more: number } {
  const all = elements
    .filter((element) => kindOf(element).stands && !element.hidden)
    .flatMap((element) => cornersOf(view, element) ?? [])
    .filter(({ corners }) => corners.some(({ foot, head }) => contains(frame, foot) || contains(frame, head)))
    .filter(({ corners }) => lengthOf(corners[0]) >= LEAST)
    .sort((a, b) => lengthOf(b.corners[0]) - lengthOf(a.corners[0]));
  return { buildings: all.slice(0, MAX_BUILDINGS), more: Math.max(0, all.length - MAX_BUILDINGS) };
}

const joined = (parts: readonly Sentence[]): Sentence => parts.reduce((all, part) => sentence`${all}; ${part}`);

/** How buildings are laid out by hand: the foot of each corner from the sheet's edges, and how high it is drawn. */
export function cornerSteps(scene: Pick<Scene, "elements">, shot: Shot, view: View): Told[] {
  const { buildings, more } = buildingCorners(scene, shot, view);
  const steps = buildings.map(({ name, corners }): Told => {
    const told = corners.map(
      (corner) => sentence`${corner.name} ${fromEdge(shot.sheet, ...corner.foot)}, ${mm(lengthOf(corner))} high`,
    );
    return sentence`${name}: ${joined(told)}.`;
  });
  const others = more === 1 ? "building is" : "buildings are";
  const rest = `${more} more ${others} drawn less high: lay them out by the points.`;
  return more ? [...steps, rest] : steps;
}
