import { ToldError } from "@zanvo/core/problem";
import { measureAlong, nearCorner } from "@zanvo/core/construct";
import { add, scale, type Vec2, type Vec3 } from "@zanvo/core/geometry";
import { project, viewOf } from "@zanvo/core/shot";
import { blockAxes, blockCorner, resizeBlock, type Block } from "@zanvo/core/world";
import { metres, mm, sentence, shortMetres } from "@zanvo/core/units";
import { Handle } from "./Handle";
import { LEAST } from "./raise";
import { replaceElement } from "../../document/elements";
import { useStores } from "../../stores";

type Dimension = "length" | "width" | "height";

/** Handles on a chosen block: up from the near corner for its height, out along both streets for length and width. */
export function BlockHandles({ element: block }: { readonly element: Block }) {
  const { useShot, drag, edit } = useStores();
  const shot = useShot();
  const view = viewOf(shot);
  const [u, v] = nearCorner(block, view.eye);
  const foot = blockCorner(block, u, v);
  const [l, w] = blockAxes(block);
  const ways: Record<Dimension, Vec3> = {
    length: scale(l, u ? -1 : 1),
    width: scale(w, v ? -1 : 1),
    height: [0, 0, 1],
  };

  return (Object.keys(ways) as Dimension[]).map((dimension) => {
    const end = add(foot, scale(ways[dimension], block[dimension]));
    const [from, at] = [project(view, foot), project(view, end)];
    if (!from || !at) return null;
    const resized = (to: Vec2): Block => {
      const size = measureAlong(view, foot, ways[dimension], to);
      if (size === null || size < LEAST) throw new ToldError(sentence`At least ${shortMetres(LEAST)}.`);
      return resizeBlock(block, { [dimension]: Math.min(size, 1e4) }, u, v);
    };
    return (
      <Handle
        key={dimension}
        at={at}
        label={sentence`${dimension} of ${block.name}, ${metres(block[dimension])}`}
        className={dimension === "height" ? "cursor-ns-resize" : "cursor-move"}
        onDrag={(to) => {
          const next = resized(to);
          drag(replaceElement(next));
          return sentence`${metres(next[dimension])} · ${mm(Math.hypot(to[0] - from[0], to[1] - from[1]))} on paper`;
        }}
        onNudge={([dx, dy]) => edit(replaceElement(resized([at[0] + dx, at[1] + dy])), `${dimension} ${block.id}`)}
      >
        <span className="block size-2.5 rotate-45 border border-[#fffdf8] bg-accent" />
      </Handle>
    );
  });
}
