import { useStores } from "../../stores";
import { Check, NumberField, Select, type Option } from "../../ui";
import type { FileChoices } from "./createHandOver";

const INK: readonly Option<FileChoices["ink"]>[] = [
  ["colour", "Colour"],
  ["grey", "Grey"],
  ["black", "Black, 1 bit"],
];

/** The longest side that a picture may have, px, and the shortest. */
const [MOST, LEAST] = [32_767, 16];

/** How pictures of dots are made: how fine, or of just how many dots, with which ink, on paper or without. */
export function DotsFields() {
  const { useShot, useHandOver, chooseHandOver } = useStores();
  const { dpi, size, ink, transparent, toPanel } = useHandOver();
  const { sheet, frame } = useShot();
  const { width, height } = toPanel ? frame : sheet;
  const [across, down] = [width, height].map((mm) => Math.max(LEAST, Math.round((mm / 25.4) * dpi)));
  return (
    <>
      {!size && (
        <>
          <NumberField
            label="Resolution"
            unit="dpi"
            digits={0}
            value={dpi}
            min={36}
            max={1e6}
            step={10}
            onChange={(value) => chooseHandOver({ dpi: Math.round(value) })}
          />
          <p className="measure text-pencil">
            {across.toLocaleString("en")} × {down.toLocaleString("en")} px
          </p>
        </>
      )}
      <Check
        label="Just so many pixels"
        checked={size !== null}
        onChange={(on) => chooseHandOver({ size: on ? { width: across, height: down } : null })}
      />
      {size &&
        (["width", "height"] as const).map((side) => (
          <NumberField
            key={side}
            label={side === "width" ? "Pixels across" : "Pixels down"}
            unit=""
            digits={0}
            value={size[side]}
            min={LEAST}
            max={MOST}
            step={10}
            onChange={(to) => chooseHandOver({ size: { ...size, [side]: Math.round(to) } })}
          />
        ))}
      <Select labelled label="Ink" value={ink} options={INK} onChange={(next) => chooseHandOver({ ink: next })} />
      <Check
        label="No paper under the lines"
        checked={transparent}
        onChange={(on) => chooseHandOver({ transparent: on })}
      />
      <Check label="Crop to the panel" checked={toPanel} onChange={(on) => chooseHandOver({ toPanel: on })} />
    </>
  );
}
