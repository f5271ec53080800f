import { radians } from "../../../geometry";
import { metres, sentence } from "../../../units";
import { bulgeOf, type OutlinePoint } from "../../round";
import type { ElementError } from "../kind";
import type { Arches } from "./schema";

/** What stands over the crown of an arch at the least, m. */
const CROWN = 0.05;
/** A horseshoe goes on by so much of a turn below its middle, on each side, radians. */
const BELOW = radians(30);
/** The arcs at the sides of a basket arch turn by so much, radians. */
const SIDE = radians(60);

/** What a segmental and a basket arch rise by, as parts of their span, where nothing is said (common practice). */
const RISES = { segmental: 1 / 6, basket: 1 / 3 } as const;

type Arch = Pick<Arches, "arch" | "span" | "rise">;

/** How far an arch rises over its springing, m. */
export function riseOfArch({ arch, span, rise }: Arch): number {
  switch (arch) {
    case "round":
      return span / 2;
    case "pointed":
      return (Math.sqrt(3) / 2) * span;
    case "horseshoe":
      return (span / 2) * (Math.tan(BELOW) + 1 / Math.cos(BELOW));
    default:
      return rise ?? RISES[arch] * span;
  }
}

/** How far an arch reaches beyond its span on each side, m: a horseshoe is wider over its springing. */
export const beyondSpan = ({ arch, span }: Arch): number =>
  arch === "horseshoe" ? (span / 2) * (1 / Math.cos(BELOW) - 1) : 0;

/**
 * The radius of the side arcs of a basket arch: three arcs that go on into each other, the outer two turning by sixty
 * degrees. With half the span a and the rise b, (b - (1 - sin 60) / cos 60 a) / (sin 60 + cos 60 - 1) * cos 60
 * (geometry).
 */
const basketSide = (half: number, rise: number): number => {
  const [s, c] = [Math.sin(SIDE), Math.cos(SIDE)];
  return (c * rise - (1 - s) * half) / (s + c - 1);
};

/** The intrados of an arch from its left springing to its right one, over the middle of its span; by the last, none. */
export function intrados(arch: Arch): readonly OutlinePoint[] {
  const half = arch.span / 2;
  const rise = riseOfArch(arch);
  const last: OutlinePoint = { at: [half, 0] };
  // From left to right over its middle an arch turns to the right.
  switch (arch.arch) {
    case "round":
      return [{ at: [-half, 0], bulge: -1 }, last];
    case "segmental":
      return [{ at: [-half, 0], bulge: -rise / half }, last];
    case "horseshoe":
      return [{ at: [-half, 0], bulge: -bulgeOf(Math.PI + 2 * BELOW) }, last];
    case "pointed": {
      const bulge = -bulgeOf(Math.PI / 3);
      return [{ at: [-half, 0], bulge }, { at: [0, rise], bulge }, last];
    }
    case "basket": {
      const side = basketSide(half, rise);
      const x = half - side + side * Math.cos(SIDE);
      const y = side * Math.sin(SIDE);
      const bulge = -bulgeOf(SIDE);
      return [
        { at: [-half, 0], bulge },
        { at: [-x, y], bulge: -bulgeOf(Math.PI - 2 * SIDE) },
        { at: [x, y], bulge },
        last,
      ];
    }
  }
}

/** How wide a wall with arches is, m. */
export const widthOfArches = ({ count, span, pier }: Pick<Arches, "count" | "span" | "pier">): number =>
  count * span + (count + 1) * pier;

/** How deep a wall with arches is, m: under groin vaults, their bays and piers. */
export const thicknessOf = ({ vaults, span, pier, thickness }: Arches): number =>
  vaults === undefined ? thickness : vaults * span + (vaults + 1) * pier;

/** The middles of the rows of groin vaults, m behind the front. */
export const rowsOf = ({ vaults = 0, span, pier }: Arches): readonly number[] =>
  Array.from({ length: vaults }, (_, row) => pier + span / 2 + row * (span + pier));

/** The middles of the arches along the wall, m from its own. */
export const middlesOf = ({ count, span, pier }: Arches): readonly number[] =>
  Array.from({ length: count }, (_, i) => (i - (count - 1) / 2) * (span + pier));

/** The outline of the wall, from the left of its foot on: m along it from its middle, and up. */
export function outlineOfArches(arches: Arches): readonly OutlinePoint[] {
  const { span, springing, height } = arches;
  const wide = widthOfArches(arches) / 2;
  const openings = middlesOf(arches).flatMap((middle): OutlinePoint[] => [
    { at: [middle - span / 2, 0] },
    ...intrados(arches).map(({ at: [x, y], bulge }) => ({
      at: [middle + x, springing + y] as const,
      ...(bulge ? { bulge } : {}),
    })),
    { at: [middle + span / 2, 0] },
  ]);
  return [{ at: [-wide, 0] }, ...openings, { at: [wide, 0] }, { at: [wide, height] }, { at: [-wide, height] }];
}

/** No vault has more bays than these. */
const MAX_BAYS = 100;

/** Why a wall cannot have arches as it is said to, and the field; null where it can. */
export function validateArches(arches: Arches): ElementError | null {
  const { arch, count, span, rise, springing, height, pier, imposts = 0, voussoirs = 0, vaults } = arches;
  if (vaults !== undefined && arch === "horseshoe")
    return { field: "vaults", message: "do not go with horseshoe arches: their barrels do not meet in groins." };
  if (vaults !== undefined && vaults * count > MAX_BAYS)
    return { field: "vaults", message: `are too many: ${MAX_BAYS} bays are the most.` };
  if (arch === "segmental" && rise !== undefined && rise > span / 2)
    return { field: "rise", message: "is more than half the span: a segmental arch is less than a half circle." };
  if (arch === "basket") {
    const side = basketSide(span / 2, riseOfArch(arches));
    if (side <= 0 || riseOfArch(arches) >= span / 2)
      return {
        field: "rise",
        message: sentence`of a basket arch of this span is between ${metres(0.27 * (span / 2))} and
          ${metres(span / 2)}.`,
      };
  }
  const top = springing + riseOfArch(arches);
  if (top + CROWN > height)
    return { field: "height", message: sentence`is less than its arches reach: they rise to ${metres(top)}.` };
  if (2 * beyondSpan(arches) >= pier)
    return { field: "pier", message: "is so narrow that arches run into each other." };
  if (2 * imposts >= span) return { field: "imposts", message: "close the arch." };
  if (2 * (voussoirs + beyondSpan(arches)) > pier)
    return {
      field: "voussoirs",
      message: "of neighbouring arches run into each other: piers are too narrow for them.",
    };
  return voussoirs > 0 && top + voussoirs > height
    ? { field: "voussoirs", message: "reach over the top of the wall." }
    : null;
}
