import { Plus, X } from "lucide-react";
import type { PickedArc, Shot } from "@zanvo/core/scene";
import { viewOf } from "@zanvo/core/shot";
import { arcTold } from "@zanvo/core/slip";
import { pickedArcs, pinsOf } from "@zanvo/core/vanishing";
import { Button, IconButton, Select } from "../../ui";
import { useStores, type Stores } from "../../stores";

const withArcs = (stores: Stores, change: (arcs: readonly PickedArc[]) => PickedArc[]) =>
  stores.onShot((before) => ({ ...before, arcs: change(before.arcs ?? []) }));

/** Lines that one wants to draw by compass: the point each runs to, and foot and opening for it. */
export function ArcFields({ shot }: { readonly shot: Shot }) {
  const stores = useStores();
  const { useDocument, useMeasures, edit } = stores;
  const orientations = useDocument((document) => document.scene.orientations);
  const measures = useMeasures();
  const pins = pinsOf(orientations, shot).filter(({ opposite }) => !opposite);
  const view = viewOf(shot);
  const picked = pickedArcs(view, pins, shot.arcs);
  const told = (i: number) => {
    const found = picked.find(({ at }) => at === i);
    return found ? arcTold(shot, found.arc) : "passes no place but its own point: drag its number away from there";
  };
  const add = () => {
    const { centre, distance } = view;
    // A little off the middle, and off the lines there are already.
    const n = (shot.arcs ?? []).length + 1;
    const [x, y] = [centre[0] + distance * 0.3 * Math.cos(2.4 * n), centre[1] + distance * 0.3 * Math.sin(2.4 * n)];
    edit(withArcs(stores, (arcs) => [...arcs, { pin: arcs.at(-1)?.pin ?? pins[0].id, through: { x, y } }]));
  };
  return (
    <section aria-label="Lines to draw by compass" className="space-y-1.5">
      {shot.arcs?.map(({ pin }, i) => (
        <div key={i} className="space-y-0.5">
          <div className="flex items-center gap-1">
            <span className="measure w-5 text-center">{i + 1}</span>
            <Select
              label={`Line ${i + 1} runs to`}
              className="min-w-0 grow"
              value={pin}
              options={[
                ...pins.map(({ id, name }) => [id, name] as const),
                ...(pins.some(({ id }) => id === pin) ? [] : [[pin, "a point that is gone"] as const]),
              ]}
              onChange={(to) =>
                edit(withArcs(stores, (arcs) => arcs.map((arc, k) => (k === i ? { ...arc, pin: to } : arc))))
              }
            />
            <IconButton
              label={`Leave line ${i + 1} out`}
              onClick={() => edit(withArcs(stores, (arcs) => arcs.filter((_, k) => k !== i)))}
            >
              <X size={14} />
            </IconButton>
          </div>
          <p className="measure text-[11px] text-pencil">{measures(told(i))}</p>
        </div>
      ))}
      <Button className="w-full" disabled={pins.length === 0} onClick={add}>
        <Plus size={14} aria-hidden />
        Pick a line to draw by compass
      </Button>
    </section>
  );
}
