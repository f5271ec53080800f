import { contains, type Vec2 } from "../geometry";
import { lineSpacingOf } from "../scene";
import { projectMany } from "../shot";
import { DETAIL, type VisibleEdges } from "../visibility";
import { isDense, LEVELS } from "../world";
import type { LayerContext } from "./layers/kind";
import { endsWhere, type Ends } from "./stretches";
import { thinned, type DrawnItems } from "./thinning";
import { edgesOfClass, smallIn } from "./visibleLines";

/** What a drawing of details is worked out from. */
type DetailContext = Pick<LayerContext, "view" | "visible" | "shot">;

/** Things that are drawn on surfaces: of each its kind's place among `DETAIL_KINDS`, and the solid that it is on. */
interface DetailItems extends DrawnItems {
  readonly kind: Uint8Array;
  readonly solid: Uint32Array;
  /** The derivatives at the ends of lines, where some are curved. */
  readonly bends?: Float64Array;
}

/** Things that are drawn on surfaces, sorted once, as the stretches are. */
const sorted = new WeakMap<VisibleEdges, DetailItems>();

function detailItems(visible: VisibleEdges): DetailItems {
  let items = sorted.get(visible);
  if (!items) sorted.set(visible, (items = byItem(visible)));
  return items;
}

/** The lines of details, item by item. */
function byItem(visible: VisibleEdges): DetailItems {
  const { ends, bends, solid, own } = edgesOfClass(visible, DETAIL);
  const lines = new Map<number, number[]>();
  own.forEach((place, i) => {
    const item = visible.item[place];
    const known = lines.get(item);
    if (known) known.push(i);
    else lines.set(item, [i]);
  });
  const numbers = [...lines.keys()];
  const all = [...lines.values()];
  const placeOf = new Map(numbers.map((number, i) => [number, i]));
  const firsts = all.map(([first]) => first);
  const starts = new Uint32Array(all.length + 1);
  all.forEach((some, i) => (starts[i + 1] = starts[i] + some.length));
  const order = all.flat();
  const sortedBy = (rows: Float64Array) => {
    const inOrder = new Float64Array(rows.length);
    order.forEach((i, k) => inOrder.set(rows.subarray(6 * i, 6 * i + 6), 6 * k));
    return inOrder;
  };
  return {
    ends: sortedBy(ends),
    bends: bends && sortedBy(bends),
    starts,
    // Of a thing of which only lines behind others are seen, nothing is drawn.
    needs: Int32Array.from(numbers, (number, i) =>
      number % LEVELS === 0 ? -1 : (placeOf.get(number - (number % LEVELS)) ?? i),
    ),
    rank: Uint8Array.from(firsts, (i) => visible.rank[own[i]]),
    kind: Uint8Array.from(firsts, (i) => visible.detail[own[i]]),
    dense: Uint8Array.from(numbers, (number, i) =>
      Number(number % LEVELS === 0 && isDense(visible.detail[own[firsts[i]]])),
    ),
    solid: Uint32Array.from(firsts, (i) => solid[i]),
  };
}

/**
 * What is drawn on surfaces, none of it nearer to another than the shot's least gap.
 * @param shown whether a kind of detail is drawn at all
 * @returns the lines of those kinds that are wanted
 */
export function detailEnds(
  context: DetailContext,
  shown: (kind: number) => boolean,
): (wanted: (kind: number) => boolean) => Ends {
  const { view, visible, shot } = context;
  const items = detailItems(visible);
  const { ends, bends, starts, kind, solid } = items;
  const small = smallIn(context);
  const kept = thinned(view, items, lineSpacingOf(shot).gap, (i) => !small[solid[i]] && shown(kind[i]));
  return (wanted) => {
    const isDrawn = new Uint8Array(ends.length / 6);
    for (let i = 0; i < kept.length; i++) if (kept[i] && wanted(kind[i])) isDrawn.fill(1, starts[i], starts[i + 1]);
    return endsWhere({ ends, bends }, (line) => isDrawn[line] === 1);
  };
}

/** A kind of detail of which some are left out, since they would clot: how many there are in the panel, and where. */
export interface ThinnedKind {
  readonly kind: number;
  readonly all: number;
  readonly left: number;
  /** Where the first that is left out would be, on paper, mm. */
  readonly at: Vec2;
}

/** What of the details in the panel is left out of the drawing, kind by kind; of a thing, by its outline. */
export function thinnedKinds(context: DetailContext, shown: (kind: number) => boolean): readonly ThinnedKind[] {
  const { view, visible, shot } = context;
  const items = detailItems(visible);
  const { ends, starts, kind, solid, needs } = items;
  const small = smallIn(context);
  const places = [...kind.keys()].map((i): Vec2 | null => {
    if (needs[i] >= 0 || small[solid[i]] || !shown(kind[i])) return null;
    const [ax, ay, bx, by] = projectMany(view, ends.subarray(6 * starts[i], 6 * starts[i] + 6));
    const at: Vec2 = [(ax + bx) / 2, (ay + by) / 2];
    return contains(shot.frame, at) ? at : null;
  });
  const kept = thinned(view, items, lineSpacingOf(shot).gap, (i) => places[i] !== null);
  const kinds = new Map<number, { all: number; left: number; at: Vec2 }>();
  places.forEach((at, i) => {
    if (!at) return;
    const out = !kept[i];
    const now = kinds.get(kind[i]) ?? { all: 0, left: 0, at };
    kinds.set(kind[i], { all: now.all + 1, left: now.left + Number(out), at: out && now.left === 0 ? at : now.at });
  });
  return [...kinds].flatMap(([id, one]) => (one.left > 0 ? [{ kind: id, ...one }] : []));
}
