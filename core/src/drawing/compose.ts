import { balloonRing, panelRing, type Shot } from "../scene";
import { cutTo, type Cut } from "./cut";
import { drawnOn, type Layer, type Shapes } from "./layer";
import { LAYER_KINDS, type LayerContext, type LayerKind, type LayerPart } from "./layers";
import { loose } from "./loose";
import { stopped, stopsIn } from "./stopped";

/** What a drawing is composed of, where that is not everything. */
export interface Composition {
  /** The kinds of layer that are wanted, by id. */
  readonly only?: readonly string[];
  readonly kinds?: readonly LayerKind[];
}

/** How strongly a kind of layer is drawn in a shot: its own strength times that of what it is part of. */
export function strengthOf(
  kind: LayerKind,
  shot: Pick<Shot, "show">,
  kinds: readonly LayerKind[] = LAYER_KINDS,
): number {
  const own = shot.show?.[kind.id] ?? kind.strength;
  const whole = kinds.find(({ id }) => id === kind.partOf);
  return whole ? own * strengthOf(whole, shot, kinds) : own;
}

/** How much wider than usual a kind's lines are drawn: by the pen that a shot has for it. */
const widened = (kind: LayerKind, { pens }: Pick<Shot, "pens">): number => {
  const pen = pens?.[kind.id];
  return pen === undefined ? 1 : pen / kind.style.width;
};

function layerOf(
  kind: LayerKind,
  { id = kind.id, label = kind.label, style, ...shapes }: LayerPart,
  strength: number,
  wider: number,
) {
  const plain = { ...kind.style, ...style };
  const own = { ...plain, width: plain.width * wider };
  return { id, label, ...shapes, style: { ...own, opacity: Math.min(1, own.opacity * strength) } };
}

/** What is drawn of a part: as far as masses, the panel and what lies over it let it; loosely where that is wanted. */
function finished(kind: LayerKind, context: LayerContext, part: LayerPart): Shapes {
  const { shot } = context;
  const seen = stopsIn(kind, shot) ? stopped(context, part) : part;
  const drawn = shot.hand && kind.loose ? loose(seen, shot.hand, shot.frame, kind.loose) : seen;
  return kind.reach === "desk" ? drawn : cutTo(drawn, cutOf(kind, context));
}

/** Where a kind of layer of a shot is kept. */
function cutOf({ reach }: LayerKind, { shot, over = [] }: LayerContext): Cut {
  const outside = [...over, ...(shot.balloons ?? []).map((balloon) => balloonRing(shot, balloon))];
  return shot.panel && reach !== "rim" ? { within: panelRing(shot), outside } : { outside };
}

/** The last layers of a kind, and what they were made from. */
interface Made {
  readonly from: readonly unknown[];
  readonly layers: readonly Layer[];
}

/**
 * A composer of layers: from the bottom up, those of every kind that the shot shows, without empty ones. It keeps what
 * it made last, so that with every turn of the view, and with every part of the visible edges that comes in, only
 * what depends on the change is worked out again.
 */
export function composer({ only, kinds = LAYER_KINDS }: Composition = {}): (context: LayerContext) => Layer[] {
  const wanted = [...kinds].filter(({ id }) => !only || only.includes(id)).sort((a, b) => a.order - b.order);
  const last = new Map<LayerKind, Made>();
  return (context) =>
    wanted.flatMap((kind) => {
      const { orientations, shot, view, pins, visible, within, lines, elements, lights, over } = context;
      const strength = strengthOf(kind, shot, kinds);
      const ofEdges = kind.ofEdges || stopsIn(kind, shot);
      const own = [
        ...(kind.ofLights ? [lights] : []),
        ...(kind.ofLines ? [lines.sheet, lines.world] : []),
        ...(kind.ofElements ? [elements] : []),
      ];
      const from = [orientations, shot, view, pins, within, over, ofEdges ? visible : null, ...own];
      const made = last.get(kind);
      if (made?.from.every((one, i) => one === from[i])) return made.layers;
      const parts = strength > 0 ? kind.compute(context) : [];
      const layers = [parts]
        .flat()
        .map((part) => layerOf(kind, { ...part, ...finished(kind, context, part) }, strength, widened(kind, shot)))
        .filter(drawnOn);
      last.set(kind, { from, layers });
      return layers;
    });
}

/** The layers of one shot, from the bottom up. */
export const compose = (context: LayerContext, composition?: Composition): Layer[] => composer(composition)(context);
