import { Dices } from "lucide-react";
import { ROOFS, type Building, type RoofKind, type Row } from "@zanvo/core/world";
import { Button, Check, NumberField } from "../ui";
import { changeRow, reroll } from "./rows";
import { edit } from "../document";
import { replaceElement } from "../document/elements";

/** The rule of the row that the chosen house was laid in. */
export function RowFields({ row, house }: { readonly row: Row; readonly house: Building }) {
  const size = { unit: "m", digits: 1, min: 0.5, max: 1000, step: 0.5 } as const;
  const storeys = { unit: "", digits: 0, min: 1, max: 100, step: 1 } as const;
  const { fronts, storeys: floors } = row;
  /** Takes a kind of roof in among those that are rolled, or out, as long as one is left. */
  const roofs = (kind: RoofKind, on: boolean) => {
    const next = on ? [...row.roofs, kind] : row.roofs.filter((one) => one !== kind);
    if (next.length) changeRow(row.id, { roofs: next });
  };
  return (
    <section aria-label="Row" className="space-y-1.5 border-t border-hair pt-2">
      <h2 className="text-sm font-semibold">{row.name}</h2>
      <Check
        label="Keep this house when the row is rolled again"
        checked={house.kept ?? false}
        onChange={(kept) => edit(replaceElement({ ...house, kept: kept || undefined }))}
      />
      <Button className="w-full" onClick={() => reroll(row.id)}>
        <Dices size={14} aria-hidden />
        Roll the others again
      </Button>
      <NumberField
        label="Seed"
        unit=""
        digits={0}
        min={0}
        max={4294967295}
        step={1}
        value={row.seed}
        onChange={(to) => changeRow(row.id, { seed: Math.round(to) })}
      />
      <NumberField
        label="Fronts from"
        {...size}
        value={fronts.least}
        onChange={(least) => changeRow(row.id, { fronts: { ...fronts, least } })}
      />
      <NumberField
        label="Fronts to"
        {...size}
        value={fronts.most}
        onChange={(most) => changeRow(row.id, { fronts: { ...fronts, most } })}
      />
      <NumberField
        label="Depth of the lots"
        {...size}
        value={row.depth}
        onChange={(depth) => changeRow(row.id, { depth })}
      />
      <NumberField
        label="Storeys from"
        {...storeys}
        value={floors.least}
        onChange={(least) => changeRow(row.id, { storeys: { ...floors, least: Math.round(least) } })}
      />
      <NumberField
        label="Storeys to"
        {...storeys}
        value={floors.most}
        onChange={(most) => changeRow(row.id, { storeys: { ...floors, most: Math.round(most) } })}
      />
      <Check
        label={row.lot ? "Towers at its corners" : "Towers at its ends"}
        checked={row.towers !== undefined}
        onChange={(on) => changeRow(row.id, { towers: on ? { storeys: 1, roof: "pyramid" } : undefined })}
      />
      {row.towers && (
        <NumberField
          label="Storeys more"
          unit=""
          digits={0}
          min={0}
          max={50}
          step={1}
          value={row.towers.storeys}
          onChange={(more) => changeRow(row.id, { towers: { ...row.towers!, storeys: Math.round(more) } })}
        />
      )}
      {row.towers && (
        <label className="flex items-center justify-between gap-2">
          <span className="text-pencil">Roof of the towers</span>
          <select
            aria-label="Roof of the towers"
            className="h-7 rounded border border-hair bg-slip px-1"
            value={row.towers.roof}
            onChange={(event) =>
              changeRow(row.id, { towers: { ...row.towers!, roof: event.target.value as RoofKind } })
            }
          >
            {(Object.keys(ROOFS) as RoofKind[]).map((one) => (
              <option key={one} value={one}>
                {ROOFS[one].name}
              </option>
            ))}
          </select>
        </label>
      )}
      <Check
        label="Windows and doors"
        checked={!row.blind}
        onChange={(on) => changeRow(row.id, { blind: !on || undefined })}
      />
      <fieldset className="flex flex-wrap gap-x-3">
        <legend className="text-pencil">Roofs among them</legend>
        {(Object.keys(ROOFS) as RoofKind[]).map((one) => (
          <Check
            key={one}
            label={ROOFS[one].name}
            checked={row.roofs.includes(one)}
            onChange={(on) => roofs(one, on)}
          />
        ))}
      </fieldset>
      <NumberField
        label="Alleys of 100 gaps"
        unit=""
        digits={0}
        min={0}
        max={100}
        step={5}
        value={row.alleys}
        onChange={(alleys) => changeRow(row.id, { alleys })}
      />
    </section>
  );
}
