import { measureOf } from "@zanvo/core/fields";
import { elevationOf, frontOn, kindOf, type Building, type OwnBay } from "@zanvo/core/world";
import { Button, Check, MeasureField, Select } from "../../ui";
import type { ChosenBay } from "./createFittings";
import { HeadChoice } from "./HeadChoice";
import { changedBay, ownOf } from "./ownBays";

interface BayFieldsProps {
  readonly building: Building;
  readonly side: number;
  readonly bay: ChosenBay;
  readonly change: (building: Building, what: string) => void;
}

const OPENINGS = [
  ["window", "a window"],
  ["door", "a door"],
  ["none", "nothing"],
] as const;

/** What one bay has: by its rule, or of its own. */
export function BayFields({ building, side, bay, change }: BayFieldsProps) {
  const front = frontOn(building, side);
  if (!front) return null;
  const { openings, floors, bays } = elevationOf(building, side);
  const its = openings.find(({ index, storey }) => index === bay.bay && storey === bay.storey);
  const [floor, cell] = [floors[bay.storey], bays[bay.bay]];
  if (!floor || !cell) return null;
  const put = (part: Partial<OwnBay> | null, what: string) =>
    change(changedBay(building, side, bay, part), `bay ${bay.bay} ${bay.storey} ${what}`);
  const measure = (key: string) => measureOf(kindOf(building).schema, `fronts/*/own/*/${key}`);
  const field = (key: "width" | "height" | "sill" | "by", value: number) => (
    <MeasureField key={key} measure={measure(key)} value={value} onChange={(to) => put({ [key]: to }, key)} />
  );
  return (
    <section
      aria-label={`Bay ${bay.bay + 1}, storey ${bay.storey + 1}`}
      className="space-y-1.5 rounded border border-accent p-1.5"
    >
      <p className="font-medium">
        Bay {bay.bay + 1}, storey {bay.storey + 1}
      </p>
      <Select
        labelled
        label="Has"
        className="min-w-0 grow"
        value={its?.kind ?? "none"}
        options={OPENINGS}
        onChange={(opening) => put({ opening }, "opening")}
      />
      {its && (
        <>
          {its.kind === "window" && (
            <HeadChoice value={its.look.head ?? "flat"} onChange={(head) => put({ head }, "head")} />
          )}
          {field("width", its.to - its.from)}
          {field("height", its.high - its.low)}
          {its.kind === "window" && field("sill", its.low - floor.low)}
          {field("by", (its.from + its.to - cell.from - cell.to) / 2)}
          {bay.storey > 0 && (
            <Check
              label="A balcony before it"
              checked={ownOf(front, bay)?.balcony ?? false}
              onChange={(on) => put({ balcony: on || undefined }, "balcony")}
            />
          )}
        </>
      )}
      {ownOf(front, bay) && (
        <Button className="w-full" onClick={() => put(null, "rule")}>
          As its rule has it
        </Button>
      )}
    </section>
  );
}
