import { measureOf, type Measure } from "@zanvo/core/fields";
import {
  doorOf,
  frontOn,
  kindOf,
  requireValid,
  windowOf,
  withFront,
  type Building,
  type Front,
  type Head,
} from "@zanvo/core/world";
import { Check, MeasureField } from "../../ui";
import type { ChangeBuilding } from "./change";
import { HeadChoice } from "./HeadChoice";
import { useSpoken } from "../../stores";

type Window = NonNullable<Front["window"]>;
type Door = NonNullable<Front["door"]>;
/** Measures of a thing that it may have, by name. */
type Lengths<T> = { readonly [K in keyof T]-?: NonNullable<T[K]> extends number ? K : never }[keyof T] & string;

interface MadeOfProps<T> {
  readonly look: T & Pick<Window, "head" | "lintel" | "keystone" | "imposts">;
  /** Measures that it always has, and how large they are where nothing is said. */
  readonly always: readonly (readonly [Lengths<T>, number])[];
  /** What can be had or not, what it is called, and how much of it there is at first, m. */
  readonly atWill: readonly (readonly [Lengths<T>, string, number])[];
  readonly measure: (key: string) => Measure;
  readonly put: (part: Readonly<Record<string, number | boolean | Head | undefined>>, what: string) => void;
}

/** Stones that a lintel or an arch can have. */
const STONES = [
  ["keystone", "A keystone"],
  ["imposts", "Imposts under its ends"],
] as const;

/** What windows or doors are made of. */
function MadeOf<T extends object>({ look, always, atWill, measure, put }: MadeOfProps<T>) {
  const spoken = useSpoken();
  const value = (key: Lengths<T>): number | undefined => {
    const one: unknown = look[key];
    return typeof one === "number" ? one : undefined;
  };
  const field = (key: Lengths<T>, at: number) => (
    <MeasureField key={key} measure={measure(key)} value={at} onChange={(to) => put({ [key]: to }, key)} />
  );
  return (
    <>
      <HeadChoice value={look.head ?? "flat"} onChange={(head) => spoken(() => put({ head }, "head"))} />
      {always.map(([key, none]) => field(key, value(key) ?? none))}
      {atWill.map(([key, label, first]) => {
        const at = value(key);
        return (
          <div key={key}>
            <Check
              label={label}
              checked={at !== undefined}
              onChange={(on) => spoken(() => put({ [key]: on ? first : undefined }, key))}
            />
            {at !== undefined && field(key, at)}
          </div>
        );
      })}
      {look.lintel !== undefined &&
        STONES.map(([key, label]) => (
          <Check
            key={key}
            label={label}
            checked={look[key] ?? false}
            onChange={(on) => spoken(() => put({ [key]: on || undefined }, key))}
          />
        ))}
    </>
  );
}

interface LookFieldsProps {
  readonly building: Building;
  readonly side: number;
  readonly change: ChangeBuilding;
}

/** The windows of a front: their sizes, their heads, and what they are made of. */
export function WindowFields({ building, side, change }: LookFieldsProps) {
  const spoken = useSpoken();
  const front = frontOn(building, side);
  if (!front) return null;
  const window = windowOf(front, building);
  const put = (part: Partial<Window>, what: string) =>
    change(requireValid(withFront(building, { ...front, window: { ...window, ...part } })), `window ${what}`);
  return (
    <>
      <MadeOf<Window>
        look={window}
        always={[
          ["width", 1],
          ["height", 1],
          ["sill", 0.9],
          ["reveal", 0],
          ["across", 1],
          ["up", 1],
        ]}
        atWill={[
          ["frame", "A frame", 0.06],
          ["ledge", "A band under it", 0.08],
          ["lintel", "A lintel, or an arch", 0.2],
          ["voussoirs", "Its stones one by one", 11],
        ]}
        measure={(key) => measureOf(kindOf(building).schema, `fronts/*/window/${key}`)}
        put={put}
      />
      <Check
        label="Shutters"
        checked={window.shutters ?? false}
        onChange={(on) => spoken(() => put({ shutters: on || undefined }, "shutters"))}
      />
      {building.rooms && (
        <Check
          label="Nothing is seen through the glass"
          checked={window.opaque ?? false}
          onChange={(on) => spoken(() => put({ opaque: on || undefined }, "glass"))}
        />
      )}
    </>
  );
}

/** The doors of a front: their sizes, their heads, and what they are made of; double ones have a width of their own. */
export function DoorFields({ building, side, change }: LookFieldsProps) {
  const front = frontOn(building, side);
  if (!front) return null;
  const door = doorOf(front);
  return (
    <MadeOf<Door>
      look={door}
      always={[
        ["width", 1],
        ["height", 2.1],
        ["reveal", 0],
        ["panels", 0],
      ]}
      atWill={[
        ["frame", "A frame around it", 0.06],
        ["fanlight", "A light over it", 0.4],
        ["lintel", "A lintel over it, or an arch", 0.2],
        ["voussoirs", "Its stones one by one", 11],
      ]}
      measure={(key) => measureOf(kindOf(building).schema, `fronts/*/door/${key}`)}
      put={(part, what) =>
        change(requireValid(withFront(building, { ...front, door: { ...door, ...part } })), `door ${what}`)
      }
    />
  );
}
