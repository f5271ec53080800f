import { Button, MeasureField } from "../ui";
import { nearCorner } from "@zanvo/core/construct";
import { measureOf } from "@zanvo/core/fields";
import { asCrate, kindOf, resizeBlock, type Block } from "@zanvo/core/world";
import { LEAST } from "../board/desk/raise";
import { BlockHandles } from "../board/desk/BlockHandles";
import { RoofFields } from "./RoofFields";
import { Measures } from "./Measures";
import { INK, type Change, type ElementView } from "./view";
import { useStores } from "../stores";

/** Dimensions and place of a block. */
function BlockFields({ element: block, change }: { readonly element: Block; readonly change: Change }) {
  const { useShot } = useStores();
  const { eye } = useShot();
  const resize = (dimension: "length" | "width" | "height") => (size: number) =>
    change(resizeBlock(block, { [dimension]: size }, ...nearCorner(block, [eye.x, eye.y, eye.z])), dimension);
  return (
    <>
      {(["length", "width", "height"] as const).map((side) => (
        <MeasureField
          key={side}
          measure={{ ...measureOf(kindOf(block).schema, side), min: LEAST }}
          value={block[side]}
          onChange={resize(side)}
        />
      ))}
      <Measures element={block} of={["heading", "origin/z", "origin/x", "origin/y"]} change={change} />
      <RoofFields element={block} change={change} />
      <Button className="w-full" onClick={() => change(asCrate(block), "lean")}>
        Let it lean
      </Button>
    </>
  );
}

export const block: ElementView<Block> = {
  kind: "block",
  look: { fill: INK, order: 4 },
  // Blocks are raised in the picture.
  tools: [],
  Fields: BlockFields,
  Handles: BlockHandles,
};
