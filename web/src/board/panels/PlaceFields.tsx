import { Dices } from "lucide-react";
import {
  DEFAULT_BRIDGE,
  DEFAULT_LOCK,
  DEFAULT_RIDGES,
  DEFAULT_SKYLINE,
  DEFAULT_SQUARE,
  type Bridge,
  type Canal,
  type Element,
  type Skyline,
  type Square,
} from "@zanvo/core/world";
import { Button, Check, Choice, NumberField } from "../../ui";
import { SIZE } from "./measures";
import { Parts } from "./Parts";
import { checkedElement } from "./StreetFields";

type Change = (next: Element, what: string) => void;

/** Measures of a canal and its locks. */
export function CanalFields({ canal, change }: { readonly canal: Canal; readonly change: Change }) {
  const set = (part: Partial<Canal>, what: string) => change(checkedElement({ ...canal, ...part }), what);
  const { width, quay, depth, coping, locks = [] } = canal;
  return (
    <>
      <NumberField label="Width of the water" {...SIZE} value={width} onChange={(to) => set({ width: to }, "width")} />
      <NumberField label="Quay walls" {...SIZE} max={100} value={quay} onChange={(to) => set({ quay: to }, "quay")} />
      <NumberField
        label="Water under the ground"
        {...SIZE}
        max={100}
        value={depth}
        onChange={(to) => set({ depth: to }, "depth")}
      />
      <NumberField
        label="Walls over the ground"
        {...SIZE}
        min={0}
        max={100}
        value={coping}
        onChange={(to) => set({ coping: to }, "coping")}
      />
      <Parts
        name="Lock"
        add="A lock"
        parts={locks}
        fields={[
          { key: "at", label: "Along the canal", min: 0, max: 1e5 },
          { key: "length", label: "Length of its chamber", min: 1 },
          { key: "fall", label: "Fall of the water" },
        ]}
        fresh={() => ({
          at: locks.length ? locks[locks.length - 1].at + locks[locks.length - 1].length + width : width,
          ...DEFAULT_LOCK,
        })}
        onChange={(to, what) => set({ locks: [...to] }, what)}
      />
    </>
  );
}

/** Measures of a bridge. */
export function BridgeFields({ bridge, change }: { readonly bridge: Bridge; readonly change: Change }) {
  const set = (part: Partial<Bridge>, what: string) => change(checkedElement({ ...bridge, ...part }), what);
  const { width, level, thickness, arch, parapet } = bridge;
  return (
    <>
      <NumberField label="Width" {...SIZE} value={width} onChange={(to) => set({ width: to }, "width")} />
      <NumberField
        label="Deck over the ground"
        {...SIZE}
        min={-1000}
        value={level}
        onChange={(to) => set({ level: to }, "level")}
      />
      <NumberField
        label="Thickness of the deck"
        {...SIZE}
        value={thickness}
        onChange={(to) => set({ thickness: to }, "thickness")}
      />
      <NumberField
        label="Rise of its arch"
        {...SIZE}
        min={0}
        max={100}
        value={arch}
        onChange={(to) => set({ arch: to }, "arch")}
      />
      <Check
        label="Parapets"
        checked={parapet !== undefined}
        onChange={(on) => set({ parapet: on ? DEFAULT_BRIDGE.parapet : undefined }, "parapet")}
      />
      {parapet && (
        <NumberField
          label="Height of the parapets"
          {...SIZE}
          max={50}
          value={parapet.height}
          onChange={(height) => set({ parapet: { ...parapet, height } }, "parapet height")}
        />
      )}
      {parapet && (
        <NumberField
          label="Thickness of the parapets"
          {...SIZE}
          max={50}
          value={parapet.thickness}
          onChange={(thickness) => set({ parapet: { ...parapet, thickness } }, "parapet thickness")}
        />
      )}
    </>
  );
}

/** Measures of a paved square. */
export function SquareFields({ square, change }: { readonly square: Square; readonly change: Change }) {
  const set = (part: Partial<Square>, what: string) => change(checkedElement({ ...square, ...part }), what);
  const { kerb, slabs, heading } = square;
  return (
    <>
      <NumberField
        label="Kerb"
        {...SIZE}
        min={0}
        max={100}
        step={0.01}
        value={kerb}
        onChange={(to) => set({ kerb: to }, "kerb")}
      />
      <Check
        label="Slab joints"
        checked={slabs !== undefined}
        onChange={(on) => set({ slabs: on ? DEFAULT_SQUARE.slabs : undefined }, "slabs")}
      />
      {slabs !== undefined && (
        <NumberField
          label="Joints every"
          {...SIZE}
          min={0.1}
          value={slabs}
          onChange={(to) => set({ slabs: to }, "slabs")}
        />
      )}
      {slabs !== undefined && (
        <NumberField
          label="Joints along the heading"
          unit="°"
          min={-360}
          max={360}
          value={heading}
          onChange={(to) => set({ heading: to }, "heading")}
        />
      )}
    </>
  );
}

/** Measures of a skyline: rows of blocks, or ridges of hills. */
export function SkylineFields({ skyline, change }: { readonly skyline: Skyline; readonly change: Change }) {
  const set = (part: Partial<Skyline>, what: string) => change(checkedElement({ ...skyline, ...part }), what);
  const { of, rows, behind, widths, heights } = skyline;
  return (
    <>
      <Choice
        label="What closes the view"
        value={of}
        options={{ blocks: "Blocks", ridges: "Ridges" }}
        onChange={(to) =>
          set(
            to === "ridges"
              ? { of: to, ...DEFAULT_RIDGES }
              : {
                  of: to,
                  behind: DEFAULT_SKYLINE.behind,
                  widths: DEFAULT_SKYLINE.widths,
                  heights: DEFAULT_SKYLINE.heights,
                },
            "of",
          )
        }
      />
      <Button className="w-full" onClick={() => set({ seed: crypto.getRandomValues(new Uint32Array(1))[0] }, "seed")}>
        <Dices size={14} aria-hidden />
        Roll it again
      </Button>
      <NumberField
        label="Seed"
        unit=""
        digits={0}
        min={0}
        max={4294967295}
        step={1}
        value={skyline.seed}
        onChange={(to) => set({ seed: Math.round(to) }, "seed typed")}
      />
      <NumberField
        label="Rows"
        unit=""
        digits={0}
        min={1}
        max={12}
        step={1}
        value={rows}
        onChange={(to) => set({ rows: Math.round(to) }, "rows")}
      />
      <NumberField label="From row to row" {...SIZE} value={behind} onChange={(to) => set({ behind: to }, "behind")} />
      <NumberField
        label="Widths from"
        {...SIZE}
        value={widths.least}
        onChange={(least) => set({ widths: { ...widths, least } }, "widths least")}
      />
      <NumberField
        label="Widths to"
        {...SIZE}
        value={widths.most}
        onChange={(most) => set({ widths: { ...widths, most } }, "widths most")}
      />
      <NumberField
        label="Heights from"
        {...SIZE}
        value={heights.least}
        onChange={(least) => set({ heights: { ...heights, least } }, "heights least")}
      />
      <NumberField
        label="Heights to"
        {...SIZE}
        value={heights.most}
        onChange={(most) => set({ heights: { ...heights, most } }, "heights most")}
      />
    </>
  );
}
