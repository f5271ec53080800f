import { kindOf, requireValid, type Building, type Front } from "@zanvo/core/world";
import { frontOn, windowOf, withFront } from "@zanvo/core/world";
import { measureOf } from "@zanvo/core/fields";
import { Check, MeasureField } from "../../ui";
import { HeadChoice } from "./HeadChoice";

type Window = NonNullable<Front["window"]>;
type Length = "width" | "height" | "sill" | "reveal" | "frame" | "across" | "up" | "ledge" | "lintel";

/** Measures that every window has, and what one has of those where none is said. */
const ALWAYS: readonly (readonly [Length, number])[] = [
  ["width", 1],
  ["height", 1],
  ["sill", 0.9],
  ["reveal", 0],
  ["across", 1],
  ["up", 1],
];
/** What can be had or not, and how much of it at first, m. */
const AT_WILL: readonly (readonly [Length, string, number])[] = [
  ["frame", "A frame", 0.06],
  ["ledge", "A band under it", 0.08],
  ["lintel", "A lintel, or an arch", 0.2],
];

interface LookFieldsProps {
  readonly building: Building;
  readonly side: number;
  readonly change: (building: Building, what: string) => void;
}

/** The windows of a front: their sizes, their heads, and what they are made of. */
export function LookFields({ building, side, change }: LookFieldsProps) {
  const front = frontOn(building, side);
  if (!front) return null;
  const window = windowOf(front, building);
  const put = (part: Partial<Window>, what: string) =>
    change(requireValid(withFront(building, { ...front, window: { ...window, ...part } })), `window ${what}`);
  const measure = (key: Length) => measureOf(kindOf(building).schema, `fronts/*/window/${key}`);
  return (
    <>
      <HeadChoice value={window.head ?? "flat"} onChange={(head) => put({ head }, "head")} />
      {ALWAYS.map(([key, none]) => (
        <MeasureField
          key={key}
          measure={measure(key)}
          value={window[key] ?? none}
          onChange={(to) => put({ [key]: to }, key)}
        />
      ))}
      {AT_WILL.map(([key, label, first]) => (
        <div key={key}>
          <Check
            label={label}
            checked={window[key] !== undefined}
            onChange={(on) => put({ [key]: on ? first : undefined }, key)}
          />
          {window[key] !== undefined && (
            <MeasureField measure={measure(key)} value={window[key]} onChange={(to) => put({ [key]: to }, key)} />
          )}
        </div>
      ))}
      <Check
        label="Shutters"
        checked={window.shutters ?? false}
        onChange={(on) => put({ shutters: on || undefined }, "shutters")}
      />
    </>
  );
}
