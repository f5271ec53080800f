import { distance2, headingAlong, seededRandom, type Vec2 } from "../geometry";
import { kindOf, type Element } from "./kinds";
import { alongLine, isCrowd, middleLine, widthOfWay, type Crowd, type Someone } from "./kinds/crowd";
import { heightAt } from "./kinds/person";
import { cornersOf } from "./outline";
import { footOn } from "./path";
import { boxesMeet, boxOnPlan, isWithin, sideOf, type PlanBox } from "./polygon";

/** Nobody stands nearer to what stands there than this, m. */
const CLEAR = 0.3;
/** A place for each is looked for so often at the most. */
const TRIES = 60;
/** Heights of grown people are between these, m (common practice), in steps that are not seen. */
const [SHORT, TALL, STEP] = [1.55, 1.85, 0.01] as const;
/** People who stand about face so far to each side of the way to their neighbours, degrees. */
const LOOKS = 40;

/** An area that nobody stands in. */
interface Taken {
  readonly ring: readonly Vec2[];
  readonly box: PlanBox;
}

/** What takes the ground of an area: what stands there, and water. */
export function takenFrom(footprint: readonly Vec2[], elements: readonly Element[]): readonly Taken[] {
  const around = boxOnPlan(footprint, CLEAR);
  return elements.flatMap((element): readonly Taken[] => {
    if (element.hidden || isCrowd(element)) return [];
    const kind = kindOf(element);
    // What is dug, such as a canal, reaches under the ground.
    if (!kind.stands && kind.span(element)[0] > -CLEAR) return [];
    const ring = kind.outline(element);
    const box = boxOnPlan(ring, CLEAR);
    return boxesMeet(box, around) ? [{ ring, box }] : [];
  });
}

/** How far a place is from the nearest side of a ring, m. */
const offRing = (at: Vec2, ring: readonly Vec2[]): number =>
  Math.min(
    ...ring.map((_, i) => {
      const { p, u, long } = sideOf(ring, i);
      const s = Math.min(long, Math.max(0, (at[0] - p[0]) * u[0] + (at[1] - p[1]) * u[1]));
      return distance2(at, [p[0] + s * u[0], p[1] + s * u[1]]);
    }),
  );

/** Whether a place is free of all that takes the ground. */
export const isFree = (at: Vec2, taken: readonly Taken[]): boolean =>
  taken.every(({ ring, box: [x0, y0, x1, y1] }) => {
    if (at[0] < x0 || at[0] > x1 || at[1] < y0 || at[1] > y1) return true;
    return !isWithin(at, ring) && offRing(at, ring) >= CLEAR;
  });

const rounded = (value: number, step: number = STEP): number => Number((step * Math.round(value / step)).toFixed(4));

/** How someone is, by chance and by the rule of their crowd; walkers go along a heading, one way or the other. */
function look({ children, walking }: Crowd, heading: number, chance: () => number): Omit<Someone, "x" | "y"> {
  const isChild = 100 * chance() < children;
  const age = isChild ? 4 + Math.floor(11 * chance()) : undefined;
  const height = rounded(
    age === undefined ? SHORT + (TALL - SHORT) * ((chance() + chance()) / 2) : heightAt(age) * (0.95 + 0.1 * chance()),
  );
  const walks = 100 * chance() < walking;
  const [pick, side, off] = [chance(), chance(), chance()];
  const pose = walks ? (pick < 0.07 ? "running" : pick < 0.16 ? "carrying" : "walking") : "standing";
  const wear = age !== undefined && age < 10 ? "trousers" : side < 0.3 ? "coat" : side < 0.55 ? "skirt" : "trousers";
  const faces = walks ? heading + (off < 0.5 ? 0 : 180) + 24 * (pick - 0.5) : 360 * off;
  return {
    pose,
    ...(wear === "trousers" ? {} : { wear }),
    heading: rounded(((faces % 360) + 360) % 360, 1),
    height,
    ...(age === undefined ? {} : { age }),
  };
}

/** Those who stand about turn to whoever stands next to them, more or less. */
function turnedToNeighbours(people: readonly Someone[], chance: () => number): readonly Someone[] {
  return people.map((one) => {
    if (one.pose !== "standing" || one.kept) return one;
    const others = people.filter((other) => other !== one && distance2([one.x, one.y], [other.x, other.y]) < 2.5);
    const [next] = others.sort((p, q) => distance2([one.x, one.y], [p.x, p.y]) - distance2([one.x, one.y], [q.x, q.y]));
    if (!next) return one;
    const way = (Math.atan2(next.x - one.x, next.y - one.y) * 180) / Math.PI + 2 * LOOKS * (chance() - 0.5);
    return { ...one, heading: rounded((way + 360) % 360, 1) };
  });
}

/** Where the ground of a crowd is, and along which heading one walks there. */
interface CrowdGround {
  readonly holds: (at: Vec2) => boolean;
  readonly headingAt: (at: Vec2) => number;
}

function groundOf(crowd: Crowd): CrowdGround {
  const [line, area] = [middleLine(crowd), cornersOf(crowd)];
  if (!line) return { holds: (at) => isWithin(at, area), headingAt: () => crowd.heading };
  return {
    holds: (at) => footOn(at, line).off <= widthOfWay(crowd) / 2,
    headingAt: (at) => {
      const { after } = footOn(at, line);
      return headingAlong([line[after + 1][0] - line[after][0], line[after + 1][1] - line[after][1]]);
    },
  };
}

/**
 * A crowd rolled anew by its rule: those who are kept stay, and nobody stands within what takes the ground, outside the
 * area, or nearer to another than is said. Where there is no room for all, there are fewer.
 */
export function rolledCrowd(asked: Crowd, elements: readonly Element[]): Crowd {
  const crowd = alongLine(asked);
  const [area, ground] = [cornersOf(crowd), groundOf(crowd)];
  const [x0, y0, x1, y1] = boxOnPlan(area);
  const others = elements.filter(({ id }) => id !== crowd.id);
  const taken = takenFrom(area, others);
  const crowds = others.flatMap((one): readonly Someone[] => (isCrowd(one) && !one.hidden ? one.people : []));
  const roll = seededRandom(crowd.seed);
  const chance = () => roll(1e6) / 1e6;
  const people: Someone[] = crowd.people.filter(({ kept }) => kept);
  const isApart = (at: Vec2) => [...people, ...crowds].every((one) => distance2([one.x, one.y], at) >= crowd.spacing);
  for (let tries = TRIES * crowd.number; tries > 0 && people.length < crowd.number; tries--) {
    const at: Vec2 = [x0 + (x1 - x0) * chance(), y0 + (y1 - y0) * chance()];
    if (ground.holds(at) && isFree(at, taken) && isApart(at)) {
      const own = look(crowd, ground.headingAt(at), chance);
      people.push({ x: Number(at[0].toFixed(3)), y: Number(at[1].toFixed(3)), ...own });
    }
  }
  return { ...crowd, people: [...turnedToNeighbours(people, chance)] };
}
