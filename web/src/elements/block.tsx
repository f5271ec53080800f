import { nearCorner } from "@zanvo/core/construct";
import { resizeBlock, type Block } from "@zanvo/core/world";
import { LEAST } from "../board/desk/raise";
import { NumberField } from "../ui";
import { RoofFields } from "./BuildingFields";
import { Measures } from "./Measures";
import { INK, type Change, type ElementView } from "./view";
import { useShot } from "../document";

/** Dimensions and place of a block. */
function BlockFields({ element: block, change }: { readonly element: Block; readonly change: Change }) {
  const { eye } = useShot();
  const resize = (dimension: "length" | "width" | "height") => (size: number) =>
    change(resizeBlock(block, { [dimension]: size }, ...nearCorner(block, [eye.x, eye.y, eye.z])), dimension);
  const size = { unit: "m", digits: 2, min: LEAST, max: 10000, step: 0.1 } as const;
  return (
    <>
      <NumberField label="Length" {...size} value={block.length} onChange={resize("length")} />
      <NumberField label="Width" {...size} value={block.width} onChange={resize("width")} />
      <NumberField label="Height" {...size} value={block.height} onChange={resize("height")} />
      <Measures element={block} of={["heading", "origin/z", "origin/x", "origin/y"]} change={change} />
      <RoofFields element={block} change={change} />
    </>
  );
}

export const block: ElementView<Block> = {
  kind: "block",
  look: { fill: INK, order: 4 },
  // Blocks are raised in the picture.
  tools: [],
  Fields: BlockFields,
};
