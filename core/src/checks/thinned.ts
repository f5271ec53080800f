import { detailSwitch, showOf, thinnedKinds } from "../drawing";
import { lineSpacingOf, type Shot } from "../scene";
import { viewOf } from "../shot";
import { mm, sentence } from "../units";
import type { VisibleEdges } from "../visibility";
import { DETAIL_KINDS } from "../world";
import type { Finding } from "./finding";

/** Details that are left out of the drawing, since they would come nearer to each other than the least gap. */
export function thinnedDetails(shot: Shot, visible: VisibleEdges): Finding[] {
  const show = showOf(shot);
  if (show.buildings * (show.details ?? 1) === 0) return [];
  const { gap } = lineSpacingOf(shot);
  const shown = (kind: number) => (shot.show?.[detailSwitch(DETAIL_KINDS[kind].id)] ?? 1) > 0;
  return thinnedKinds({ view: viewOf(shot), visible, shot }, shown).map(({ kind, all, left, at }): Finding => {
    const { id, label } = DETAIL_KINDS[kind];
    return {
      id: `thinned-${id}`,
      severity: "note",
      where: label,
      at,
      value: left,
      unit: "",
      message: sentence`${left} of ${all} ${left === 1 ? "is" : "are"} left out here: drawn, lines would come nearer
        than ${mm(gap)} to each other.`,
    };
  });
}
