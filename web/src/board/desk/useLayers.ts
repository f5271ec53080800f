import { useMemo, useState } from "react";
import { composer, contextOf, ownLinesOf, type Layer, type LayerContext } from "@zanvo/core/drawing";
import type { Scene, Shot } from "@zanvo/core/scene";
import { NOTHING_VISIBLE, type VisibleEdges } from "@zanvo/core/visibility";

/** What of a scene its layers are made from. */
type Drawn = Pick<Scene, "orientations" | "lines" | "lights"> & Partial<Pick<Scene, "elements">>;

/** A shot that stays the same object for as long as no more than its own lines change. */
function useWithoutLines(shot: Shot): Shot {
  const [kept, keep] = useState(shot);
  if (kept === shot) return kept;
  const keys = new Set([...Object.keys(kept), ...Object.keys(shot)] as (keyof Shot)[]);
  keys.delete("lines");
  if ([...keys].every((key) => kept[key] === shot[key])) return kept;
  keep(shot);
  return shot;
}

/**
 * The layers of a shot, from the bottom up, as every file has them.
 * @param change what is different on the screen: which pins are shown, and how far beyond the panel is drawn
 * @param only the kinds of layer that are wanted, the same list each time; all of them where nothing is said
 */
export function useLayers(
  { orientations, lines, lights, elements }: Drawn,
  shot: Shot,
  visible: VisibleEdges,
  change?: Partial<LayerContext>,
  only?: readonly string[],
): Layer[] {
  const compose = useMemo(() => composer({ only }), [only]);
  const bare = useWithoutLines(shot);
  const context = useMemo(
    () => contextOf({ orientations, lights }, bare, NOTHING_VISIBLE),
    [orientations, lights, bare],
  );
  const own = useMemo(() => ownLinesOf({ lines }, { lines: shot.lines }), [lines, shot.lines]);
  return useMemo(
    () => compose({ ...context, elements: elements ?? context.elements, lines: own, visible, ...change }),
    [compose, context, elements, own, visible, change],
  );
}
