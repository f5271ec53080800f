import type { Vec2 } from "../../../geometry";
import { isTangledBetween, partsClearOf } from "../../bends";
import { curvesOf } from "../../curves";
import { beside, lengthOf, pathOf, ribbon, stretch } from "../../path";
import { areaTwice, crossingOf } from "../../polygon";
import { prism } from "../../shapes";
import { asPart, solidOf, type Solid } from "../../solid";
import type { Driveway } from "../kind";
import type { Street } from "./schema";

export type Side = "left" | "right";
export const SIDES = ["right", "left"] as const;

/** The kerb of a driveway keeps so much of its height. */
const LOWERED = 0.25;
/** A driveway may lie in a carriageway by so much, m: that of its own street it touches. */
const TOUCHING = 1e-4;
/** Areas below this are none, m^2. */
const NO_AREA = 1e-6;

/** The lines between which a pavement lies: m to the right of the middle line, the kerb first. */
export const linesOf = ({ carriageway, pavement }: Street, side: Side): readonly [near: number, far: number] => {
  const sign = side === "right" ? 1 : -1;
  return [(sign * carriageway) / 2, sign * (carriageway / 2 + pavement)];
};

/** From where to where driveways lower the kerb of a side, in the order of the path. */
export const drivewaysOn = ({ driveways = [] }: Street, side: Side): (readonly [number, number])[] =>
  driveways
    .filter((one) => one.side === side)
    .map(({ at, width }) => [at - width / 2, at + width / 2] as const)
    .sort((a, b) => a[0] - b[0]);

/** What a piece of a pavement is called: which side it is on, and how many driveways lie before it. */
const pavementPart = (side: Side, before: number): string => `pavement ${side} ${before}`;

/** The pieces of a pavement between its driveways: their rings on the plan by the parts that they are. */
function slabs(street: Street, side: Side): readonly { readonly part: string; readonly ring: readonly Vec2[] }[] {
  const path = pathOf(street);
  const [near, far] = linesOf(street, side);
  const ways = drivewaysOn(street, side);
  const ends = [0, ...ways.flat(), lengthOf(path)];
  return [...ways.keys(), ways.length].map((i) => ({
    part: pavementPart(side, i),
    ring: ribbon(ways.length === 0 ? path : stretch(path, ends[2 * i], ends[2 * i + 1]), near, far),
  }));
}

/** The quadrilaterals of a driveway, one for each straight part of its pavement: low, low, high, high. */
function ramps(street: Street, side: Side, [from, to]: readonly [number, number]): readonly (readonly Vec2[])[] {
  const part = stretch(pathOf(street), from, to);
  if (part.length < 2) return [];
  const [low, high] = linesOf(street, side).map((by) => beside(part, by));
  return part.slice(1).map((_, i) => [low[i], low[i + 1], high[i + 1], high[i]]);
}

/** A quadrilateral of a driveway, counter-clockwise. */
const counterClockwise = (ring: readonly Vec2[], side: Side) => (side === "right" ? [...ring].reverse() : ring);

/** Half the width of a street with its pavements, m. */
const halfOf = ({ carriageway, pavement }: Street): number => carriageway / 2 + pavement;

/** Whether a street bends so sharply for its width that its sides cross, or crosses itself. */
export const isTangled = (street: Street): boolean =>
  isTangledBetween(pathOf(street), halfOf(street), -halfOf(street)) ||
  (street.pavement > 0 &&
    SIDES.some((side) => slabs(street, side).some(({ ring }) => areaTwice(ring) <= 0 || crossingOf(ring) !== null)));

/** The ground that a street takes: its carriageway and pavements. */
export const streetRibbon = (street: Street): readonly Vec2[] =>
  ribbon(pathOf(street), halfOf(street), -halfOf(street));

const hasPavements = ({ pavement, kerb }: Street): boolean => pavement > 0 && kerb > 0;

/** Whether a driveway lies where a bend leaves no room for it: turned inside out, or in a carriageway. */
export function isCramped(street: Street, { at, width, side }: NonNullable<Street["driveways"]>[number]): boolean {
  if (street.pavement === 0) return false;
  const path = pathOf(street);
  return ramps(street, side, [at - width / 2, at + width / 2]).some((quadrilateral) => {
    const ring = counterClockwise(quadrilateral, side);
    if (areaTwice(ring) <= NO_AREA || crossingOf(ring)) return true;
    const around = [...ring, ring[0]];
    const [clear] = partsClearOf(around, path, street.carriageway / 2 - TOUCHING);
    return clear?.length !== around.length;
  });
}

/** A driveway over a pavement rises from the lowered kerb to the pavement's far side. */
function ramp(id: string, ring: readonly Vec2[], side: Side, kerb: number): Solid {
  const heights = [LOWERED * kerb, LOWERED * kerb, kerb, kerb];
  const vertices = [
    ...ring.map(([x, y]) => [x, y, 0] as const),
    ...ring.map(([x, y], i) => [x, y, heights[i]] as const),
  ];
  const walls = [0, 1, 2, 3].map((k) => [k, (k + 1) % 4, ((k + 1) % 4) + 4, k + 4]);
  const loops = [[3, 2, 1, 0], [4, 5, 6, 7], ...walls];
  // To the right of the path the corners run clockwise.
  return solidOf(id, vertices, side === "right" ? loops.map((loop) => [...loop].reverse()) : loops);
}

/** The driveways of a street. */
export const drivewaysOf = (street: Street): readonly Driveway[] =>
  !hasPavements(street)
    ? []
    : SIDES.flatMap((side) =>
        drivewaysOn(street, side).map((way): Driveway => {
          const parts = ramps(street, side, way);
          return {
            rings: parts.map((ring) => counterClockwise(ring, side)),
            solids: () => parts.map((ring) => ramp(street.id, ring, side, street.kerb)),
          };
        }),
      );

/** The pavements of a street that meets no other and does not bend too sharply, as low solids between driveways. */
export const pavementSolids = (street: Street): Solid[] =>
  !hasPavements(street)
    ? []
    : SIDES.flatMap((side) =>
        slabs(street, side).map(({ part, ring }) =>
          asPart(prism(street.id, ring, [], [0, street.kerb], curvesOf), part),
        ),
      );
