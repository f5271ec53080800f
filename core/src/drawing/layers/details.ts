import { DETAIL_KINDS, type DetailKind } from "../../world";
import { STYLES } from "../style";
import { detailEnds } from "../detailLines";
import { stretchesByDepth } from "../depth";
import { stretchLines } from "../stretches";
import { layerKind, type LayerPart } from "./kind";

/** What the strength of a kind of detail is called in a shot's `show`. */
export const detailSwitch = (kind: DetailKind): string => `details-${kind}`;

/** What is drawn on surfaces: in one part, and those kinds that are weaker than the rest each in one of its own. */
export const details = layerKind({
  id: "details",
  label: "Details",
  order: 80,
  style: STYLES.detail,
  strength: 1,
  partOf: "buildings",
  ofEdges: true,
  loose: "past corners",
  compute: (context) => {
    const { view, shot, visible } = context;
    // Which of them there is room for is told once all are known.
    if (!visible.whole) return [];
    const strengths = DETAIL_KINDS.map(({ id }) => shot.show?.[detailSwitch(id)] ?? 1);
    const endsOf = detailEnds(context, (kind) => strengths[kind] > 0);
    const ofKind = (wanted: (kind: number) => boolean, named: Pick<LayerPart, "id" | "label">, strength: number) => {
      const ends = endsOf(wanted);
      const { id = "details", label = "Details" } = named;
      if (!shot.depth) return [{ ...named, style: { opacity: strength }, ...stretchLines(view, ends) }];
      const stretches = { ...ends, solid: new Uint32Array(ends.ends.length / 6) };
      const width = STYLES.detail.width;
      return stretchesByDepth(context, stretches, { id, label, widths: [width, width, width] }, { strength });
    };
    return [
      ...ofKind((kind) => strengths[kind] === 1, {}, 1),
      ...DETAIL_KINDS.flatMap(({ id, label }, i) =>
        strengths[i] === 1 ? [] : ofKind((kind) => kind === i, { id: detailSwitch(id), label }, strengths[i]),
      ),
    ];
  },
});
