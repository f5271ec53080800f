import { DETAIL_KINDS, type DetailKind } from "../../world";
import { STYLES } from "../style";
import { detailEnds } from "../detailLines";
import { stretchLines } from "../stretches";
import { layerKind } from "./kind";

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
  compute: (context) => {
    const { view, shot, visible } = context;
    // Which of them there is room for is told once all are known.
    if (!visible.whole) return [];
    const strengths = DETAIL_KINDS.map(({ id }) => shot.show?.[detailSwitch(id)] ?? 1);
    const endsOf = detailEnds(context, (kind) => strengths[kind] > 0);
    const ofKind = (wanted: (kind: number) => boolean) => stretchLines(view, endsOf(wanted));
    return [
      ofKind((kind) => strengths[kind] === 1),
      ...DETAIL_KINDS.flatMap(({ id, label }, i) =>
        strengths[i] === 1
          ? []
          : [{ id: detailSwitch(id), label, style: { opacity: strengths[i] }, ...ofKind((kind) => kind === i) }],
      ),
    ];
  },
});
