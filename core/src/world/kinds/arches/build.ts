import { add, headingDirection, scale, type Vec2, type Vec3 } from "../../../geometry";
import { rectangleAround } from "../../around";
import type { Detail, DetailItem } from "../../details";
import { bendBetween, piecesOfOutline, roundSolid, type PlaneFrame } from "../../round";
import { loft, ring } from "../../shapes";
import type { Solid } from "../../solid";
import { intrados, middlesOf, outlineOfArches, rowsOf, thicknessOf, validateArches } from "./outline";
import type { Arches } from "./schema";
import { groinVault } from "./vaults";

/** Imposts are so high, as parts of how deep the stones of the arch are, or so high where it has none, m. */
const [IMPOST_BY_STONE, IMPOST] = [0.6, 0.25] as const;
/** Stones are about so wide on the intrados, as parts of their depth, and a keystone rises by so much more. */
const [STONE, KEY] = [0.6, 0.2] as const;

/** The wall's plane: its foot's middle, along it to the left of who faces with it, and up; it is extruded forwards. */
function frameOfArches({ at, heading }: Arches): PlaneFrame & { readonly out: Vec3 } {
  const [fx, fy] = headingDirection(heading);
  return { origin: [at.x, at.y, at.z], x: [-fy, fx, 0], y: [0, 0, 1], out: [fx, fy, 0] };
}

/** The exact solid of the wall, and its imposts; none where it cannot stand. */
export function buildArches(arches: Arches): Solid[] {
  if (validateArches(arches)) return [];
  const { id, thickness } = arches;
  const { origin, x, y, out } = frameOfArches(arches);
  const frame = { origin, x, y };
  const wall =
    arches.vaults === undefined
      ? roundSolid(id, { kind: "extruded", frame, outline: outlineOfArches(arches), from: -thickness, to: 0 })
      : groinVault(arches, ([s, behind, up], isPlace) => {
          const way = add(add(scale(x, s), scale(out, -behind)), scale(y, up));
          return isPlace ? add(origin, way) : way;
        });
  return [wall, ...impostsOf(arches)];
}

/** The bands at the springing, around both sides of every opening. */
function impostsOf(arches: Arches): Solid[] {
  const { id, imposts = 0, span, springing, voussoirs = 0, at, heading, pier, count } = arches;
  if (imposts <= 0) return [];
  const high = Math.min(springing / 2, voussoirs > 0 ? IMPOST_BY_STONE * voussoirs : IMPOST);
  const facing = headingDirection(heading);
  const middles = middlesOf(arches);
  const deep = thicknessOf(arches);
  // The piers behind one another, from their backs to their fronts.
  const rows = rowsOf(arches);
  const piers = [...rows, null].map((row, j): Vec2 => [
    row === null ? -deep - imposts : -row + span / 2 - imposts,
    j === 0 ? imposts : -rows[j - 1] - span / 2 + imposts,
  ]);
  return Array.from({ length: count + 1 }, (_, i) => {
    const left = i === 0 ? middles[0] - span / 2 - pier : middles[i - 1] + span / 2 - imposts;
    const right = i === count ? middles[count - 1] + span / 2 + pier : middles[i] - span / 2 + imposts;
    const z = at.z + springing;
    return piers.map((behind) => {
      const corners = rectangleAround([at.x, at.y], facing, [left, right], behind);
      return loft(id, [ring(corners, z - high), ring(corners, z)], null);
    });
  }).flat();
}

/** The stones of the arches, on the front of the wall and on its back: joints, and the arc around them. */
export function archesDetails(arches: Arches, [wall]: readonly Solid[]): Detail[] {
  const { voussoirs = 0, springing } = arches;
  if (!wall || voussoirs <= 0) return [];
  const { origin, x, out } = frameOfArches(arches);
  const faces = [
    { on: { solid: wall, face: 1 }, deep: 0 },
    { on: { solid: wall, face: 0 }, deep: -thicknessOf(arches) },
  ];
  return faces.flatMap(({ on, deep }) =>
    middlesOf(arches).flatMap((middle) => {
      const place = ([s, up]: Vec2): Vec3 => [
        origin[0] + (middle + s) * x[0] + deep * out[0],
        origin[1] + (middle + s) * x[1] + deep * out[1],
        origin[2] + springing + up,
      ];
      const way = ([s, up]: Vec2): Vec3 => [s * x[0], s * x[1], up];
      return stonesOf(arches, voussoirs).map(({ a, b, along, item }): Detail => {
        const [p, q] = [place(a), place(b)];
        const bend = along ? { bend: bendBetween(p, way(along[0]), q, way(along[1])) } : {};
        return { kind: "dressing", a: p, b: q, ...bend, on, item };
      });
    }),
  );
}

/** A line of an arch's stones, in its plane; of an arc, which way it runs at its ends. */
interface StoneLine {
  readonly a: Vec2;
  readonly b: Vec2;
  readonly along?: readonly [Vec2, Vec2];
  readonly item: DetailItem;
}

/** The lines of the stones of one arch, over the middle of its span and its springing. */
function stonesOf(arches: Arches, deep: number): readonly StoneLine[] {
  const pieces = piecesOfOutline(intrados(arches), false);
  return pieces.flatMap(({ arc }, p): StoneLine[] => {
    if (!arc) return [];
    const { centre, radius, start, sweep } = arc;
    const long = radius * Math.abs(sweep);
    const isWhole = pieces.length !== 2;
    // A whole arch has an odd number of stones, so that one is at its crown.
    const about = Math.max(1, Math.round(long / (STONE * deep)));
    const count = isWhole && about % 2 === 0 ? about + 1 : about;
    const hasKey = arches.keystone === true && isWhole && (pieces.length === 1 || p === 1);
    const keyAt = (i: number) => hasKey && (i === (count - 1) / 2 || i === (count + 1) / 2);
    const on = (turn: number, far: number): Vec2 => [
      centre[0] + far * Math.cos(turn),
      centre[1] + far * Math.sin(turn),
    ];
    const turnAt = (i: number) => start + (i / count) * sweep;
    const rim = Array.from({ length: count }, (_, i): StoneLine => {
      const [from, to] = [turnAt(i), turnAt(i + 1)];
      const far = radius + deep * (hasKey && i === (count - 1) / 2 ? 1 + KEY : 1);
      const tangent = (turn: number): Vec2 => [Math.sin(turn), -Math.cos(turn)];
      return { a: on(from, far), b: on(to, far), along: [tangent(from), tangent(to)], item: { index: 0 } };
    });
    // The first joint of an arc that goes on from another is the last of that.
    const joints = Array.from({ length: count + 1 }, (_, i) => i)
      .slice(p > 0 && isWhole ? 1 : 0)
      .map((i): StoneLine => {
        const far = radius + deep * (keyAt(i) ? 1 + KEY : 1);
        return { a: on(turnAt(i), radius), b: on(turnAt(i), far), item: { index: i } };
      });
    return [...rim, ...joints];
  });
}
