import { Copy, Trash2 } from "lucide-react";
import { nearCorner } from "@zanvo/core/construct";
import { resizeBlock, type Block, type Element } from "@zanvo/core/world";
import { Button, NumberField } from "../../ui";
import { edit, useShot } from "../board";
import { deleteElement, duplicateElement, replaceElement } from "../desk/blocks";
import { LEAST } from "../desk/raise";
import { BuildingFields, RoofFields } from "./BuildingFields";
import { BridgeFields, CanalFields, SkylineFields, SquareFields } from "./PlaceFields";
import { StepsFields } from "./StepsFields";
import { StreetFields } from "./StreetFields";

type Change = (next: Element, what: string) => void;

/** Dimensions and place of a block. */
function BlockFields({ block, change }: { readonly block: Block; readonly change: Change }) {
  const { eye } = useShot();
  const resize = (dimension: "length" | "width" | "height") => (size: number) =>
    change(resizeBlock(block, { [dimension]: size }, ...nearCorner(block, [eye.x, eye.y, eye.z])), dimension);
  const move = (axis: "x" | "y" | "z") => (to: number) =>
    change({ ...block, origin: { ...block.origin, [axis]: to } }, axis);
  const size = { unit: "m", digits: 2, min: LEAST, max: 10000, step: 0.1 } as const;
  const place = { unit: "m", digits: 2, min: -1e5, max: 1e5, step: 0.1 } as const;
  return (
    <>
      <NumberField label="Length" {...size} value={block.length} onChange={resize("length")} />
      <NumberField label="Width" {...size} value={block.width} onChange={resize("width")} />
      <NumberField label="Height" {...size} value={block.height} onChange={resize("height")} />
      <NumberField
        label="Heading"
        unit="°"
        value={block.heading}
        min={-360}
        max={360}
        onChange={(heading) => change({ ...block, heading }, "heading")}
      />
      <NumberField label="Base over the ground" {...place} value={block.origin.z} onChange={move("z")} />
      <NumberField label="East of the origin" {...place} value={block.origin.x} onChange={move("x")} />
      <NumberField label="North of the origin" {...place} value={block.origin.y} onChange={move("y")} />
      <RoofFields element={block} change={change} />
    </>
  );
}

/** Measures of any kind of thing. */
function FieldsOf({ element, change }: { readonly element: Element; readonly change: Change }) {
  switch (element.kind) {
    case "block":
      return <BlockFields block={element} change={change} />;
    case "building":
      return <BuildingFields building={element} change={change} />;
    case "steps":
      return <StepsFields steps={element} change={change} />;
    case "street":
      return <StreetFields street={element} change={change} />;
    case "canal":
      return <CanalFields canal={element} change={change} />;
    case "bridge":
      return <BridgeFields bridge={element} change={change} />;
    case "square":
      return <SquareFields square={element} change={change} />;
    case "skyline":
      return <SkylineFields skyline={element} change={change} />;
  }
}

/** Name and measures of the chosen building, whatever its kind. */
export function ChosenFields({ element }: { readonly element: Element }) {
  const change: Change = (next, what) => edit(replaceElement(next), `${what} ${element.id}`);
  return (
    <section aria-label="Chosen building" className="space-y-1.5 border-t border-hair pt-2">
      <input
        className="h-7 w-full rounded border border-hair bg-transparent px-1.5 font-medium"
        aria-label="Name of the building"
        maxLength={200}
        value={element.name}
        onChange={(event) => change({ ...element, name: event.target.value }, "name")}
        onKeyDown={(event) => event.stopPropagation()}
      />
      <FieldsOf element={element} change={change} />
      <div className="flex gap-2 pt-1">
        <Button className="grow" title="Ctrl+D" onClick={() => duplicateElement(element)}>
          <Copy size={14} aria-hidden />
          Duplicate
        </Button>
        <Button className="grow" title="Delete" onClick={() => deleteElement(element.id)}>
          <Trash2 size={14} aria-hidden />
          Delete
        </Button>
      </div>
    </section>
  );
}
