import { Dices } from "lucide-react";
import type { Building, Row } from "@zanvo/core/world";
import { edit } from "../board/board";
import { replaceElement } from "../board/desk/blocks";
import { Button, Check, NumberField } from "../ui";
import { changeRow, reroll } from "./rows";

/** The rule of the row that the chosen house was laid in. */
export function RowFields({ row, house }: { readonly row: Row; readonly house: Building }) {
  const size = { unit: "m", digits: 1, min: 0.5, max: 1000, step: 0.5 } as const;
  const storeys = { unit: "", digits: 0, min: 1, max: 100, step: 1 } as const;
  const { fronts, storeys: floors } = row;
  return (
    <section aria-label="Row" className="space-y-1.5 border-t border-hair pt-2">
      <h2 className="text-sm font-semibold">{row.name}</h2>
      <Check label="Keep this house when the row is rolled again" checked={house.kept ?? false} onChange={(kept) => edit(replaceElement({ ...house, kept: kept || undefined }))} />
      <Button className="w-full" onClick={() => reroll(row.id)}><Dices size={14} aria-hidden />Roll the others again</Button>
      <NumberField label="Fronts from" {...size} value={fronts.least} onChange={(least) => changeRow(row.id, { fronts: { ...fronts, least } })} />
      <NumberField label="Fronts to" {...size} value={fronts.most} onChange={(most) => changeRow(row.id, { fronts: { ...fronts, most } })} />
      <NumberField label="Depth of the lots" {...size} value={row.depth} onChange={(depth) => changeRow(row.id, { depth })} />
      <NumberField label="Storeys from" {...storeys} value={floors.least} onChange={(least) => changeRow(row.id, { storeys: { ...floors, least: Math.round(least) } })} />
      <NumberField label="Storeys to" {...storeys} value={floors.most} onChange={(most) => changeRow(row.id, { storeys: { ...floors, most: Math.round(most) } })} />
      <NumberField label="Alleys of 100 gaps" unit="" digits={0} min={0} max={100} step={5} value={row.alleys} onChange={(alleys) => changeRow(row.id, { alleys })} />
    </section>
  );
}
