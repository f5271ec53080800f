import { measureOf } from "@zanvo/core/fields";
import { kindOf, PATTERNS, requireValid, type Building, type Dress, type PatternId } from "@zanvo/core/world";
import { Check, MeasureField, Select } from "../../ui";
import type { ChangeBuilding } from "./change";
import { useSpoken } from "../../stores";

/** Bands that all walls can have, and how high each is at first, m. */
const BANDS = [
  ["plinth", "A plinth", 0.6],
  ["courses", "String courses", 0.15],
  ["cornice", "A cornice", 0.4],
] as const;

/** Bands stand out by so much, and pilasters are so wide, at first (common practice), m. */
const [STAND_OUT, PILASTER] = [0.12, 0.4] as const;

/** What walls can be made of, none first. */
const MADE_OF: readonly (readonly [PatternId | "", string])[] = [
  ["", "nothing drawn"],
  ...(Object.keys(PATTERNS) as PatternId[]).map((id) => [id, PATTERNS[id].label] as const),
];

interface DressFieldsProps {
  readonly building: Building;
  readonly change: ChangeBuilding;
}

/** The dress of all walls of a building: bands that run around its corners, quoins, and what it is made of. */
export function DressFields({ building, change }: DressFieldsProps) {
  const spoken = useSpoken();
  const { dress = {} } = building;
  const put = (part: Partial<Dress>, what: string) => {
    const next = { ...dress, ...part };
    // Without a band, none stands out.
    if (BANDS.every(([key]) => next[key] === undefined)) delete next.out;
    const any = Object.values(next).some((value) => value !== undefined);
    change(requireValid({ ...building, dress: any ? next : undefined }), `dress ${what}`);
  };
  /** The measure of something that the walls have. */
  const measured = (key: "plinth" | "courses" | "cornice" | "out" | "pilasters") =>
    dress[key] !== undefined && (
      <MeasureField
        measure={measureOf(kindOf(building).schema, `dress/${key}`)}
        value={dress[key]}
        onChange={(to) => put({ [key]: to }, key)}
      />
    );
  return (
    <>
      {BANDS.map(([key, label, first]) => (
        <div key={key}>
          <Check
            label={label}
            checked={dress[key] !== undefined}
            onChange={(on) => spoken(() => put({ [key]: on ? first : undefined }, key))}
          />
          {measured(key)}
        </div>
      ))}
      {BANDS.some(([key]) => dress[key] !== undefined) && (
        <Check
          label="Bands stand out of the walls"
          checked={dress.out !== undefined}
          onChange={(on) => spoken(() => put({ out: on ? STAND_OUT : undefined }, "out"))}
        />
      )}
      {measured("out")}
      <Check
        label="Pilasters between its bays"
        checked={dress.pilasters !== undefined}
        onChange={(on) => spoken(() => put({ pilasters: on ? PILASTER : undefined }, "pilasters"))}
      />
      {measured("pilasters")}
      <Check
        label="Quoins"
        checked={dress.quoins ?? false}
        onChange={(on) => spoken(() => put({ quoins: on || undefined }, "quoins"))}
      />
      <Select
        labelled
        label="Made of"
        className="min-w-0 grow"
        value={dress.pattern ?? ""}
        options={MADE_OF}
        onChange={(pattern) =>
          spoken(() => put(pattern ? { pattern } : { pattern: undefined, hint: undefined }, "pattern"))
        }
      />
      {dress.pattern && (
        <Check
          label="A hint of it at the edges"
          checked={dress.hint ?? false}
          onChange={(on) => spoken(() => put({ hint: on || undefined }, "hint"))}
        />
      )}
    </>
  );
}
