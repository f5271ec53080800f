import { linesOfQuad, spacedOnPlane, spacedOnSheet } from "../../dividing";
import type { Vec2 } from "../../geometry";
import type { OwnLine, SheetLine, WorldLine } from "../../lines";
import { orNothing } from "../../problem";
import { type View } from "../../shot";
import { pinsOf, type Pin } from "../../vanishing";
import type { Shapes } from "../layer";
import { byWeight, partsByWeight, ruledShapes, runLines, seenStretches, together } from "../ownLines";
import { STYLES } from "../style";
import { segmentLines } from "../stretches";
import { layerKind, type LayerContext, type LayerPart } from "./kind";

type Of<L extends OwnLine, K extends OwnLine["kind"]> = Extract<L, { readonly kind: K }>;
type SheetSpacing = Of<SheetLine, "spacing">;

/** A tick reaches so far to either side where nothing is said: mm on a sheet, of its line on a plane. */
const REACH = 3;
const PART = 0.04;
/** How strong the light lines of a division by hand are. */
const LIGHT = 0.6;

/** The way a tick crosses a line at a place: plumb as it is seen there, or level where the line itself runs so. */
function acrossAt(view: View, at: Vec2, [from, to]: readonly [Vec2, Vec2], upright: Pin | undefined): Vec2 {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const point = upright?.point.at;
  const [ux, uy] = point ? [at[0] - point[0], at[1] - point[1]] : [0, 1];
  const size = Math.hypot(ux, uy);
  if (view.law.straight && size > 0 && Math.abs(dx * uy - dy * ux) > 0.3 * size * Math.hypot(dx, dy))
    return [ux / size, uy / size];
  const length = Math.hypot(dx, dy) || 1;
  return [-dy / length, dx / length];
}

function sheetSpacing(view: View, pins: readonly Pin[], line: SheetSpacing): Shapes[] {
  const upright = pins.find(({ role, opposite }) => role === "upright" && !opposite);
  const { places } = spacedOnSheet(view, pins, line);
  const reach = line.reach ?? REACH;
  const ticks = places.flatMap((at) => {
    const [ux, uy] = acrossAt(view, at, [line.from, line.to], upright);
    return [at[0] - reach * ux, at[1] - reach * uy, at[0] + reach * ux, at[1] + reach * uy];
  });
  return [ruledShapes(view, line.from, line.to), { lines: Float64Array.from(ticks) }];
}

/** A spacing on a plane as runs: the line, and a tick at each place square to it. */
function worldSpacing(line: WorldLine): readonly (readonly Vec2[])[] {
  if (line.kind !== "spacing") return [];
  const { from, to, reach } = line;
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const long = Math.hypot(dx, dy) || 1;
  const half = reach ?? PART * long;
  const [ux, uy] = [(-dy / long) * half, (dx / long) * half];
  const ticks = orNothing(() =>
    spacedOnPlane(line).places.map(([x, y]): readonly Vec2[] => [
      [x - ux, y - uy],
      [x + ux, y + uy],
    ]),
  );
  return [[from, to], ...ticks];
}

/** The light lines by which quadrilaterals are divided by hand, where they are drawn so. */
function drawnByHand(lines: readonly SheetLine[]): LayerPart[] {
  const drawn = lines.flatMap((line) => (line.kind === "quad" ? linesOfQuad(line).light : []));
  if (drawn.length === 0) return [];
  return [
    {
      id: "divisions-by-hand",
      label: "Divisions, light lines",
      style: { width: STYLES.bundle.width, opacity: LIGHT },
      lines: Float64Array.from(drawn.flatMap(runLines)),
    },
  ];
}

function sheetShapes(view: View, pins: readonly Pin[], line: SheetLine): Shapes[] {
  if (line.kind === "spacing") {
    const whole = ruledShapes(view, line.from, line.to);
    const spaced = orNothing(() => sheetSpacing(view, pins, line));
    return spaced.length > 0 ? spaced : [whole];
  }
  if (line.kind !== "quad") return [];
  const { outline, divisions: within } = linesOfQuad(line);
  return [{ lines: Float64Array.from([outline, ...within].flatMap(runLines)) }];
}

const DIVISIONS = { id: "divisions", label: "Divisions" };

/** What is divided: steps along lines, and quadrilaterals with their columns and rows. */
export const divisions = layerKind({
  ...DIVISIONS,
  id: "divisions",
  order: 112,
  style: STYLES.own,
  strength: 1,
  reach: "rim",
  construction: true,
  ofEdges: true,
  ofLines: true,
  compute: (context: LayerContext) => {
    const { view, visible, orientations, shot } = context;
    const own = byWeight(context, ({ kind }) => kind === "spacing" || kind === "quad");
    const pins = own.some(({ sheet }) => sheet.length > 0) ? pinsOf(orientations, shot) : [];
    const parts = partsByWeight(DIVISIONS, own, ({ sheet, world }) =>
      together([
        ...sheet.flatMap((line) => sheetShapes(view, pins, line)),
        segmentLines(
          view,
          world.flatMap((line) => seenStretches(visible, view, line, worldSpacing)),
        ),
      ]),
    );
    return [...drawnByHand(context.lines.sheet), ...parts];
  },
});
