import type { Vec3 } from "../geometry";
import type { VisibleEdges } from "../visibility";
import { compose } from "./compose";
import { bandsOf, cutsOf, partOfStretch, type Band } from "./depth";
import type { Layer } from "./layer";
import { LAYER_KINDS, type LayerContext, type LayerKind } from "./layers";

/** What the layers of a file are told apart by. */
export const GROUPINGS = ["kind", "depth", "thing", "panel"] as const;
export type Grouping = (typeof GROUPINGS)[number];

/** No more things than these, the nearest, have a layer of their own. */
const MAX_THINGS = 200;

/** Kinds of layer that are drawn of the things themselves, and all others. */
const OF_THINGS = LAYER_KINDS.filter(
  (kind: LayerKind) => kind.ofEdges && !kind.ofLines && !kind.ofLights && !kind.ofAreas,
);
const FIRST = Math.min(...OF_THINGS.map(({ order }) => order));
const idsOf = (kinds: readonly LayerKind[]): string[] => kinds.map(({ id }) => id);
const OTHERS = LAYER_KINDS.filter((kind) => !OF_THINGS.includes(kind));
const UNDER = idsOf(OTHERS.filter(({ order }) => order < FIRST));
const OVER = idsOf(OTHERS.filter(({ order }) => order >= FIRST));

/** A part of some visible edges: which of them, and from where to where along each. */
interface Part {
  readonly of: number;
  readonly from: number;
  readonly to: number;
}

function partsOf(visible: VisibleEdges, parts: readonly Part[]): VisibleEdges {
  const { ends, bends, solid, edgeClass, detail, item, rank } = visible;
  const cut = parts.map(({ of, from, to }) =>
    partOfStretch(ends.subarray(6 * of, 6 * of + 6), bends?.subarray(6 * of, 6 * of + 6), from, to),
  );
  return {
    ...visible,
    ends: Float64Array.from(cut.flatMap((one) => one.ends)),
    ...(bends ? { bends: Float64Array.from(cut.flatMap((one) => one.bends)) } : {}),
    solid: Uint32Array.from(parts, ({ of }) => solid[of]),
    edgeClass: Uint8Array.from(parts, ({ of }) => edgeClass[of]),
    detail: Uint8Array.from(parts, ({ of }) => detail[of]),
    item: Uint32Array.from(parts, ({ of }) => item[of]),
    rank: Uint8Array.from(parts, ({ of }) => rank[of]),
  };
}

/** Visible edges by the band of depth that each part of them lies in. */
function byBand(visible: VisibleEdges, eye: Vec3, bands: readonly Band[]): readonly VisibleEdges[] {
  const radii = bands.slice(0, -1).map(({ ends }) => ends);
  const parts: Part[][] = bands.map(() => []);
  for (let of = 0; of < visible.edgeClass.length; of++) {
    const stretch = visible.ends.subarray(6 * of, 6 * of + 6);
    const cuts = cutsOf(stretch, eye, radii);
    for (let k = 1; k < cuts.length; k++) {
      const t = (cuts[k - 1] + cuts[k]) / 2;
      const far = Math.hypot(...[0, 1, 2].map((c) => stretch[c] + t * (stretch[c + 3] - stretch[c]) - eye[c]));
      const band = radii.findIndex((radius) => far < radius);
      parts[band < 0 ? radii.length : band].push({ of, from: cuts[k - 1], to: cuts[k] });
    }
  }
  return parts.map((own) => partsOf(visible, own));
}

/** A group of a drawing: what it is called, and what is seen of it. */
interface Group {
  readonly name: string;
  readonly visible: VisibleEdges;
}

/** The bands of depth of a shot, the farthest first. */
function depthGroups({ shot, view, visible }: LayerContext): readonly Group[] {
  const bands = bandsOf(shot, view.distance, [1, 1, 1]);
  const parts = byBand(visible, view.eye, bands);
  const names = bands.map(({ label }) =>
    label === "" ? "Near" : label.replace(/^, ./, (start) => start[2].toUpperCase()),
  );
  return bands.map((_, i) => ({ name: names[i], visible: parts[i] })).reverse();
}

/** The things of a scene, the farthest first; those beyond the nearest few hundred together. @param of by solid */
function thingGroups({ elements, view, visible }: LayerContext, of: readonly string[]): readonly Group[] {
  const parts = new Map<string, Part[]>();
  const near = new Map<string, number>();
  for (let i = 0; i < visible.edgeClass.length; i++) {
    // What is drawn on the open ground is of no thing.
    const id = of[visible.solid[i]] ?? "";
    const own = parts.get(id);
    if (own) own.push({ of: i, from: 0, to: 1 });
    else parts.set(id, [{ of: i, from: 0, to: 1 }]);
    const far = Math.hypot(...[0, 1, 2].map((c) => visible.ends[6 * i + c] - view.eye[c]));
    near.set(id, Math.min(near.get(id) ?? Infinity, far));
  }
  const names = new Map(elements.map(({ id, name }) => [id, name]));
  const sorted = [...parts].sort(([a], [b]) => near.get(b)! - near.get(a)!);
  const apart = sorted.slice(-MAX_THINGS);
  const rest = sorted.slice(0, -MAX_THINGS).flatMap(([, own]) => own);
  return [
    ...(rest.length > 0 ? [{ name: "Farther things", visible: partsOf(visible, rest) }] : []),
    ...apart.map(([id, own]) => ({ name: names.get(id) || "On the ground", visible: partsOf(visible, own) })),
  ];
}

/**
 * The layers of a shot with those of one group after each other, and the name of the group on each: a band of depth, a
 * thing, or the panel. What is not drawn of things keeps to its own kind.
 * @param of the ids of the elements that the solids are of, by number
 */
export function groupedLayers(context: LayerContext, of: readonly string[], by: Grouping): Layer[] {
  if (by === "kind") return compose(context);
  if (by === "panel") return compose(context).map((layer) => ({ ...layer, group: context.shot.name }));
  const groups = by === "depth" ? depthGroups(context) : thingGroups(context, of);
  const drawn = groups.flatMap(({ name, visible }, i) =>
    compose({ ...context, visible }, { only: idsOf(OF_THINGS) }).map((layer) => ({
      ...layer,
      id: `group-${i + 1}-${layer.id}`,
      group: name,
    })),
  );
  return [...compose(context, { only: UNDER }), ...drawn, ...compose(context, { only: OVER })];
}
