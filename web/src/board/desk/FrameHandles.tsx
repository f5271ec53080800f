import type { Vec2 } from "@zanvo/core/geometry";
import type { Shot } from "@zanvo/core/scene";
import { mm, sentence } from "@zanvo/core/units";
import { Handle } from "./Handle";
import { useOtherPanels } from "./useOtherPanels";
import { useStores } from "../../stores";

const SIDES = ["left", "right", "top", "bottom"] as const;
type Side = (typeof SIDES)[number];
/** The least a panel measures, and how near an edge catches on another panel's, in mm. */
const LEAST = 5;
const CATCH = 2;

/** A shot whose panel has one side elsewhere, kept on the sheet. */
function withSide(shot: Shot, side: Side, to: number): Shot {
  const { frame, sheet } = shot;
  const [at, size, most] =
    side === "left" || side === "right"
      ? (["x", "width", sheet.width] as const)
      : (["y", "height", sheet.height] as const);
  const [start, end] = [frame[at], frame[at] + frame[size]];
  const first = side === "left" || side === "top";
  const [from, until] = first
    ? [Math.min(Math.max(to, 0), end - LEAST), end]
    : [start, Math.max(Math.min(to, most), start + LEAST)];
  return { ...shot, frame: { ...frame, [at]: from, [size]: until - from } };
}

/** The sides of the panel, each to be dragged; they catch on the sides of the page's other panels. */
export function FrameHandles() {
  const { useShot, onShot, drag, edit } = useStores();
  const shot = useShot();
  const others = useOtherPanels();
  const { x, y, width, height } = shot.frame;
  const middles: Readonly<Record<Side, Vec2>> = {
    left: [x, y + height / 2],
    right: [x + width, y + height / 2],
    top: [x + width / 2, y],
    bottom: [x + width / 2, y + height],
  };
  return SIDES.map((side) => {
    const across = side === "left" || side === "right";
    const edges = others.flatMap(({ frame }) =>
      across ? [frame.x, frame.x + frame.width] : [frame.y, frame.y + frame.height],
    );
    const put = (to: number) => onShot((before) => withSide(before, side, to));
    const pick = ([px, py]: Vec2) => (across ? px : py);
    const now = pick(middles[side]);
    return (
      <Handle
        key={side}
        at={middles[side]}
        label={sentence`panel, ${side} side, ${mm(now)} from the ${across ? "left" : "top"}`}
        className={across ? "cursor-ew-resize" : "cursor-ns-resize"}
        onDrag={(to, alt) => {
          const wanted = Math.round(pick(to) * 2) / 2;
          const caught = alt ? undefined : edges.find((edge) => Math.abs(edge - wanted) < CATCH);
          drag(put(caught ?? wanted));
          return sentence`${mm(caught ?? wanted)} from the
            ${across ? "left" : "top"}${caught === undefined ? "" : ", in line"}`;
        }}
        onNudge={(by) => edit(put(now + pick(by)), `panel ${side}`)}
      >
        <span
          className={`block rounded-sm border border-[#fffdf8] bg-[#2b2a27] ${across ? "h-5 w-[5px]" : "h-[5px] w-5"}`}
        />
      </Handle>
    );
  });
}
