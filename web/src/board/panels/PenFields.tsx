import { LAYER_KINDS } from "@zanvo/core/drawing";
import { useStores } from "../../stores";
import { Button, Fold, Select, type Option } from "../../ui";
import { PENS, PEN_SETS, penOf, withPen } from "./pens";

/** The pen of each kind of line, and sets of pens. */
export function PenFields() {
  const { useShot, onShot, edit } = useStores();
  const { pens } = useShot();
  const options: readonly Option<string>[] = [["", "Usual"], ...PENS.map((pen) => [pen, `${pen} mm`] as const)];
  const take = (next: typeof pens, what: string) =>
    edit(
      onShot((before) => ({ ...before, pens: next })),
      what,
    );
  return (
    <Fold title="Pens">
      <div className="flex gap-1">
        {PEN_SETS.map(({ label, pens: set }) => (
          <Button key={label} className="grow" onClick={() => take(set, "pens")}>
            {label}
          </Button>
        ))}
      </div>
      {LAYER_KINDS.flatMap((kind) =>
        penOf(kind) === null
          ? []
          : [
              <Select
                key={kind.id}
                labelled
                label={kind.label}
                value={pens?.[kind.id] === undefined ? "" : String(pens[kind.id])}
                options={options}
                onChange={(to) => take(withPen(pens, kind.id, to), `pen ${kind.id}`)}
              />,
            ],
      )}
      <p className="text-pencil">Farther outlines keep their proportion: they are drawn thinner than near ones.</p>
    </Fold>
  );
}
