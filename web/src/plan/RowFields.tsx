import { Dices } from "lucide-react";
import type { NumberPath } from "@zanvo/core/fields";
import { sceneMeasure } from "@zanvo/core/schema";
import { BOUNDARIES, ROOFS, type Building, type RoofKind, type Row } from "@zanvo/core/world";
import { replaceElement } from "../document/elements";
import { Button, Check, MeasureField, Select } from "../ui";
import { changeRow, reroll } from "./rows";
import { RowKits } from "./RowKits";
import { useStores } from "../stores";

export interface RuleProps {
  readonly row: Row;
  readonly set: (change: Partial<Row>) => void;
}

const ENDS = ["least", "most"] as const;
const rowMeasure = (path: NumberPath<Row>) => sceneMeasure(`rows/*/${path}`);
const KINDS = Object.keys(ROOFS) as RoofKind[];

/** From where to where the fronts and the storeys of a row are rolled. */
function Ranges({ row: { fronts, storeys, depth }, set }: RuleProps) {
  return (
    <>
      {ENDS.map((end) => (
        <MeasureField
          key={end}
          measure={rowMeasure(`fronts/${end}`)}
          value={fronts[end]}
          onChange={(to) => set({ fronts: { ...fronts, [end]: to } })}
        />
      ))}
      <MeasureField measure={rowMeasure("depth")} value={depth} onChange={(to) => set({ depth: to })} />
      {ENDS.map((end) => (
        <MeasureField
          key={end}
          measure={rowMeasure(`storeys/${end}`)}
          value={storeys[end]}
          onChange={(to) => set({ storeys: { ...storeys, [end]: to } })}
        />
      ))}
    </>
  );
}

/** Towers at the ends or corners of a row. */
function TowerFields({ row: { lot, towers }, set }: RuleProps) {
  return (
    <>
      <Check
        label={lot ? "Towers at its corners" : "Towers at its ends"}
        checked={towers !== undefined}
        onChange={(on) => set({ towers: on ? { storeys: 1, roof: "pyramid" } : undefined })}
      />
      {towers && (
        <>
          <MeasureField
            measure={rowMeasure("towers/storeys")}
            value={towers.storeys}
            onChange={(more) => set({ towers: { ...towers, storeys: more } })}
          />
          <Select
            labelled
            label="Roof of the towers"
            value={towers.roof}
            options={KINDS.map((kind) => [kind, ROOFS[kind].name])}
            onChange={(roof) => set({ towers: { ...towers, roof } })}
          />
        </>
      )}
    </>
  );
}

/** How deep forecourts and yards are at first (common practice), m. */
const COURTS = { front: { depth: 2.5, of: "railing" }, yards: { depth: 6, of: "wall" } } as const;

/** What lies before the houses of a row and behind them. */
function CourtFields({ row, set }: RuleProps) {
  const fields = (part: "front" | "yards", label: string, bounded: string) => {
    const court = row[part];
    return (
      <>
        <Check
          label={label}
          checked={court !== undefined}
          onChange={(on) => set({ [part]: on ? COURTS[part] : undefined })}
        />
        {court && (
          <>
            <MeasureField
              measure={rowMeasure(`${part}/depth`)}
              value={court.depth}
              onChange={(depth) => set({ [part]: { ...court, depth } })}
            />
            <Select
              labelled
              label={bounded}
              value={court.of}
              options={BOUNDARIES.map((of) => [of, of[0].toUpperCase() + of.slice(1)])}
              onChange={(of) => set({ [part]: { ...court, of } })}
            />
          </>
        )}
      </>
    );
  };
  return (
    <>
      {fields("front", "Forecourts", "Before them")}
      {!row.lot && fields("yards", "Yards behind", "Around them")}
    </>
  );
}

/** The kinds of roof that are rolled: one of them is left at least. */
function RoofKinds({ row: { roofs }, set }: RuleProps) {
  const put = (kind: RoofKind, on: boolean) => {
    const next = on ? [...roofs, kind] : roofs.filter((one) => one !== kind);
    if (next.length) set({ roofs: next });
  };
  return (
    <fieldset className="flex flex-wrap gap-x-3">
      <legend className="text-pencil">Roofs among them</legend>
      {KINDS.map((kind) => (
        <Check key={kind} label={ROOFS[kind].name} checked={roofs.includes(kind)} onChange={(on) => put(kind, on)} />
      ))}
    </fieldset>
  );
}

/** The rule of the row that the chosen house was laid in. */
export function RowFields({ row, house }: { readonly row: Row; readonly house: Building }) {
  const stores = useStores();
  const { edit } = stores;
  const set = (change: Partial<Row>) => changeRow(stores, row.id, change);
  return (
    <section aria-label="Row" className="space-y-1.5 border-t border-hair pt-2">
      <h2 className="text-sm font-semibold">{row.name}</h2>
      <Check
        label="Keep this house when the row is rolled again"
        checked={house.kept ?? false}
        onChange={(kept) => edit(replaceElement({ ...house, kept: kept || undefined }))}
      />
      <Button className="w-full" onClick={() => reroll(stores, row.id)}>
        <Dices size={14} aria-hidden />
        Roll the others again
      </Button>
      <MeasureField measure={rowMeasure("seed")} value={row.seed} onChange={(seed) => set({ seed })} />
      <Ranges row={row} set={set} />
      <CourtFields row={row} set={set} />
      <TowerFields row={row} set={set} />
      <Check label="Windows and doors" checked={!row.blind} onChange={(on) => set({ blind: !on || undefined })} />
      {!row.blind && (
        <Check
          label="Fronts of their own, rolled with the row"
          checked={row.fitted !== undefined}
          onChange={(on) => set({ fitted: on ? { shops: 40 } : undefined })}
        />
      )}
      {row.fitted && !row.blind && (
        <MeasureField
          measure={rowMeasure("fitted/shops")}
          value={row.fitted.shops}
          onChange={(shops) => set({ fitted: { shops } })}
        />
      )}
      <RowKits row={row} set={set} />
      <RoofKinds row={row} set={set} />
      <MeasureField measure={rowMeasure("alleys")} value={row.alleys} onChange={(alleys) => set({ alleys })} />
    </section>
  );
}
