import { lineSpacingOf } from "../../scene";
import { areasByDistance, type FaceAreas } from "../../visibility";
import { bandsOf } from "../depth";
import { firstWay, normalOf, wayOnPlane } from "../facePlanes";
import { hatchLines } from "../hatched";
import { NO_LINES, type Shapes } from "../layer";
import { areasOnPaper } from "../paperAreas";
import { HatchBook, hatchTowards } from "../pencil";
import type { LayerContext, LayerPart } from "./kind";

/** Hatching is drawn with this pen, mm (ISO 128-2 (from memory)). */
const PEN = 0.18;

/** A kind of area: what its part of a layer is called, how it is filled, and how its hatching is turned, degrees. */
interface Toned extends Pick<LayerPart, "id" | "label" | "style"> {
  /** Which rings are of it. */
  readonly keep: (areas: FaceAreas, ring: number) => boolean;
  /** Once for each time that it is hatched. */
  readonly turns: readonly number[];
}

/** Directions are told apart to this many decimals. */
const DECIMALS = 4;

/** Areas by the direction in which they are hatched, as rings by number. */
function byDirection({ orientations }: LayerContext, areas: FaceAreas, keep: (ring: number) => boolean, turn: number) {
  const way = firstWay(orientations);
  const normals = new Map<number, string>();
  const round = new Set<number>();
  areas.surface.forEach((surface, ring) => {
    const key = normalOf(areas, ring).join(" ");
    if ((normals.get(surface) ?? key) !== key) round.add(surface);
    normals.set(surface, key);
  });
  const groups = new Map<string, { readonly direction: ReturnType<typeof wayOnPlane>; readonly rings: Set<number> }>();
  areas.surface.forEach((surface, ring) => {
    if (!keep(ring)) return;
    // Facets of a round surface share their lines: uprights.
    const direction = round.has(surface) ? ([0, 0, 1] as const) : wayOnPlane(normalOf(areas, ring), way, turn);
    const key = direction.map((k) => (k + 0).toFixed(DECIMALS)).join(" ");
    const group = groups.get(key) ?? { direction, rings: new Set() };
    groups.set(key, group);
    group.rings.add(ring);
  });
  return [...groups.values()];
}

/** Areas hatched at a fixed angle, or along the sets; never closer than the shot's least gap. */
function hatched(context: LayerContext, areas: FaceAreas, keep: (ring: number) => boolean, turns: readonly number[]) {
  const { shot, view } = context;
  const hatch = shot.tone!.hatch!;
  const spacing = Math.max(hatch.spacing, lineSpacingOf(shot).gap);
  if (!hatch.follows) {
    const drawn = areasOnPaper(view, areas, keep);
    const lines = turns.flatMap((turn) => [...hatchLines(drawn, hatch.angle + turn, spacing)]);
    return { lines: Float64Array.from(lines) };
  }
  // Between one spacing and two: the mean is what was asked for.
  const least = Math.max(spacing / Math.SQRT2, lineSpacingOf(shot).gap);
  const out = new HatchBook();
  for (const turn of turns)
    for (const { direction, rings } of byDirection(context, areas, keep, hatch.angle + turn)) {
      const own = areasOnPaper(view, areas, (ring) => rings.has(ring));
      hatchTowards(own, view, direction, least, out);
    }
  return out.shapes();
}

/** Areas by depth, where a shot's haze takes something of them, and what is left of their strength. */
function hazed({ view, shot, visible: { areas } }: LayerContext) {
  if (!shot.depth?.faint) return [{ id: "", label: "", areas, left: 1 }];
  const bands = bandsOf(shot, view.distance, [1, 1, 1]);
  const parts = areasByDistance(
    areas,
    view.eye,
    bands.slice(0, -1).map(({ ends }) => ends),
  );
  return bands.map(({ id, label, style }, i) => ({ id, label, areas: parts[i], left: style.opacity ?? 1 })).reverse();
}

/**
 * An area as a shot wants it: flat or hatched, fainter with depth where that has a haze.
 * @param opacity of the whole kind of layer, which haze takes from
 */
export function tonedParts(
  context: LayerContext,
  { id, label, style = {}, keep, turns }: Toned,
  opacity: number,
): readonly LayerPart[] {
  const isHatched = context.shot.tone?.hatch !== undefined;
  return hazed(context).map((band): LayerPart => {
    const own = (ring: number) => keep(band.areas, ring);
    const shapes: Shapes = isHatched
      ? hatched(context, band.areas, own, turns)
      : { lines: NO_LINES, areas: areasOnPaper(context.view, band.areas, own) };
    const pen = isHatched ? { width: PEN, opacity: 0.9 * band.left } : { opacity: opacity * band.left };
    return { id: `${id}${band.id}`, label: `${label}${band.label}`, ...shapes, style: { ...style, ...pen } };
  });
}
