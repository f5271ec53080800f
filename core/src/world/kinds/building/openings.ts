import type { Vec2, Vec3 } from "../../../geometry";
import type { Detail, DetailItem, DetailKind } from "../../details";
import { cornersOf } from "../../outline";
import { boxOnPlan, sideOf } from "../../polygon";
import { OUTLINE_ONLY } from "../../resolution";
import type { Solid } from "../../solid";
import type { Surroundings } from "../kind";
import { railsOf } from "./attached";
import { bayPanes } from "./bayWindows";
import { tierPart, tiersUp } from "./build";
import { lineOnArc, type WallArc } from "./curvedWalls";
import { dressOfWall, type DressedWall } from "./dress";
import type { Dress } from "./dressSchema";
import type { Floor } from "./floors";
import { END, type Opening } from "./front";
import { outlineOfOpening } from "./heads";
import { LINE_PARTS, linesOfOpening, type LinePart } from "./openingLines";
import { cutThrough, keyOf } from "./hollow";
import { roofingOf } from "./roofing";
import { openingOnRound, roundLength, windowOnRound } from "./roundTiers";
import { roundFrame } from "./roundWindows";
import type { Building } from "./schema";
import { fittedTiers, MAX_WINDOWS, faceOf, placeIn, windowsIn, type Over, type Taken, type Wall } from "./wallOpenings";

/** What a line of an opening is drawn as. */
const KINDS: Readonly<Record<Exclude<LinePart, "outline">, DetailKind>> = {
  reveal: "reveal",
  glazing: "glazing",
  leaf: "glazing",
  dressing: "dressing",
};

/**
 * Adds the lines of an opening in a wall to others. One that is cut through has its outline and its reveal as edges,
 * and what is in it hangs in the air.
 * @param z the height of the foot that it is measured from, m
 * @param cut what it is drawn as where it is cut through
 */
function frame(
  opening: Opening,
  wall: Wall,
  z: number,
  on: Detail["on"],
  cut: DetailItem | undefined,
  out: Detail[],
): void {
  const at = placeIn(wall, z);
  const item = cut ?? { index: opening.index };
  const through = outlineOfOpening(opening.look.head ?? "flat", opening).map(([s, up]) => at([s, up, 0]));
  for (const { part, a, b } of linesOfOpening(opening)) {
    if (cut && (part === "outline" || part === "reveal" || part === "leaf")) continue;
    const isBehind = a[2] > 0 || b[2] > 0;
    out.push({
      kind: part === "outline" ? opening.kind : KINDS[part],
      a: at(a),
      b: at(b),
      on: cut && part === "glazing" ? undefined : on,
      item,
      ...(part === "outline" ? {} : { level: LINE_PARTS.indexOf(part) }),
      ...(isBehind && !cut ? { through } : {}),
    });
  }
}

/** Adds the lines of an opening in a round stretch of wall to others: those that lie in its face. */
function frameOnArc(opening: Opening, round: WallArc, z: number, solid: Solid, out: Detail[]): void {
  const item = { index: opening.index };
  for (const { part, a, b } of linesOfOpening(opening)) {
    if (a[2] > 0 || b[2] > 0 || part === "leaf") continue;
    const kind = part === "outline" ? opening.kind : KINDS[part];
    const line = [[a[0], a[1]] as const, [b[0], b[1]] as const] as const;
    out.push(...lineOnArc(solid, round, line, z, { kind, item }));
  }
}

/** How large an opening is from corner to corner, m. */
const diagonalOf = ({ from, to, low, high }: Opening): number => Math.hypot(to - from, high - low);

/** Adds the lines of a wall's dress to others. */
function dressed(
  dress: Dress,
  { p, u, round }: Wall,
  wall: DressedWall,
  z: number,
  on: NonNullable<Detail["on"]>,
  out: Detail[],
): void {
  const at = ([s, up]: Vec2): Vec3 => [p[0] + s * u[0], p[1] + s * u[1], z + up];
  const items = new Map<string, DetailItem>();
  for (const { of, thing, index, a, b } of dressOfWall(dress, wall)) {
    const key = `${thing} ${index}`;
    const item = items.get(key) ?? { index };
    items.set(key, item);
    const kind = of === "band" ? "dressing" : "masonry";
    if (round) out.push(...lineOnArc(on.solid, round, [a, b], z, { kind, item }));
    else out.push({ kind, a: at(a), b: at(b), on, item });
  }
}

/** Windows around a drum, as if its wall were one: none in a facet that a door or a passage is in. */
function roundWindows(
  ring: readonly Vec2[],
  windows: NonNullable<Building["windows"]>,
  room: { floors: readonly Floor[]; over: Over },
  solid: Solid,
  z: number,
  taken: readonly (readonly Taken[])[],
): readonly (readonly Detail[])[] {
  const sides = ring.map((_, side) => sideOf(ring, side));
  const starts = sides.map((_, side) => sides.slice(0, side).reduce((sum, { long }) => sum + long, 0));
  const polygon = sides.reduce((sum, { long }) => sum + long, 0);
  // A true circle is longer than the polygon that stands for it.
  const round = roundLength(solid) ?? polygon;
  const faces = sides.map(({ p, u }) => ({ solid, face: faceOf(solid, { p, u }) }));
  if (!solid.shape && faces.some(({ face }) => face < 0)) return [];
  // Straightened, it is a wall without ends, whose windows are spread evenly all around.
  const bays = Math.floor(round / Math.max(windows.every, windows.width + END));
  if (bays < 1) return [];
  const wall: Wall = { side: null, p: ring[0], u: [1, 0], long: round + 2 * END, taken: [] };
  const barred = taken.flatMap((own, side) =>
    own.map(({ top }) => {
      const [from, to] = [starts[side], starts[side] + sides[side].long].map((s) => (s * round) / polygon);
      return { from, to, top };
    }),
  );
  return windowsIn(wall, { ...windows, every: round / bays - 1e-9 }, { ...room, taken: barred }).map((one) => {
    const window = { ...one, from: one.from - END, to: one.to - END };
    return solid.shape ? windowOnRound(solid, window, round, z) : roundFrame(ring, window, z, faces);
  });
}

/** Whether a building has lines on its walls or roofs. */
export const hasFineDetails = ({ windows, doors = [], fronts = [], dress, roof }: Building): boolean =>
  windows !== undefined || doors.length > 0 || fronts.length > 0 || dress !== undefined || roof.cover !== undefined;

/** Whether a building is so small that only its outline is drawn. */
function isOutlineOnly(building: Building, least: number): boolean {
  if (least === 0) return false;
  const [x0, y0, x1, y1] = boxOnPlan(cornersOf(building));
  const heights = tiersUp(building).map(({ z, height }) => z + height - building.base);
  // Its roof included, it is hardly higher than it is wide besides.
  const high = Math.max(...heights) + Math.hypot(x1 - x0, y1 - y0);
  return Math.hypot(x1 - x0, y1 - y0, high) < OUTLINE_ONLY * least;
}

/** Windows and doors of a building, drawn on its walls: those that can be told apart. */
export function openingsOf(building: Building, solids: readonly Solid[], around: Surroundings = {}): Detail[] {
  const { windows, dress } = building;
  const { rises, leastLength = 0 } = around;
  if (!hasFineDetails(building) || isOutlineOnly(building, leastLength)) return [];
  const tiers = fittedTiers(building, tiersUp(building), rises);
  // Into one list: a town has hundreds of thousands of lines.
  const out: Detail[] = tiers.length > 0 ? railsOf(building) : [];
  tiers.forEach(({ points, z, height, floors, walls, barred, clear }, tier) => {
    const solid = solids.find(({ part }) => part === tierPart(tier));
    if (!solid) return;
    if (building.round && windows) {
      const all = roundWindows(points, windows, { floors, over: () => clear }, solid, z, barred);
      for (const lines of all.slice(0, MAX_WINDOWS)) out.push(...lines);
    }
    const cuts = building.rooms && cutThrough(solid);
    for (const { wall, openings, ground } of walls) {
      if (building.round && solid.shape)
        out.push(...openings.flatMap((opening) => openingOnRound(solid, wall, opening, z)));
      const { round } = wall;
      const face = round ? -1 : faceOf(solid, wall);
      if (face < 0 && !round) continue;
      const on = { solid, face };
      for (const opening of openings.filter((one) => diagonalOf(one) >= leastLength))
        if (round) frameOnArc(opening, round, z, solid, out);
        else frame(opening, wall, z, on, cuts?.get(keyOf(wall, opening)), out);
      if (dress)
        dressed(
          dress,
          wall,
          { long: wall.long, height, ground, floors, openings, side: wall.side ?? 0, leastLength },
          z,
          on,
          out,
        );
    }
  });
  for (const { wall, opening, on } of tiers.length > 0 ? bayPanes(building, solids) : [])
    frame(opening, wall, building.base, on, undefined, out);
  if (tiers.length > 0) out.push(...roofingOf(building, tierPart(tiers.length - 1), solids, leastLength));
  return out;
}
