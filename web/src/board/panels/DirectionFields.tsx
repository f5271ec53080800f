import { Plus, X } from "lucide-react";
import type { Orientation } from "@zanvo/core/scene";
import { Button, Fold, IconButton, NumberField } from "../../ui";
import { edit } from "../board";

/** Turned by this much a new pair is plain to see, degrees. */
const TURN = 30;

function add(orientations: readonly Orientation[]): void {
  let n = orientations.length + 1;
  while (orientations.some(({ name }) => name === `Directions ${n}`)) n++;
  const heading = (orientations.at(-1)?.heading ?? 0) + TURN;
  edit((scene) => void scene.orientations.push({ id: `o${crypto.randomUUID().slice(0, 8)}`, name: `Directions ${n}`, heading }));
}

/** Every pair of level directions of the scene: turned streets and turned blocks have points of their own, on one horizon. */
export function DirectionFields({ orientations }: { readonly orientations: readonly Orientation[] }) {
  const change = (id: string, what: Partial<Orientation>) => edit((scene) => {
    const one = scene.orientations.find((orientation) => orientation.id === id);
    if (one) Object.assign(one, what);
  }, `direction ${id}`);
  return (
    <Fold title="Directions">
      {orientations.map(({ id, name, heading }) => (
        <section key={id} aria-label={name} className="space-y-1 rounded border border-hair p-1.5">
          <div className="flex gap-1">
            <input
              className="h-7 w-full min-w-0 rounded border border-hair bg-transparent px-1.5"
              aria-label="Name of the directions"
              maxLength={200}
              value={name}
              onChange={(event) => change(id, { name: event.target.value })}
            />
            {orientations.length > 1 && (
              <IconButton label={`Remove ${name}`} onClick={() => edit((scene) => { scene.orientations = scene.orientations.filter((one) => one.id !== id); })}><X size={15} /></IconButton>
            )}
          </div>
          <NumberField label="Heading" unit="°" value={heading} min={-360} max={360} onChange={(to) => change(id, { heading: to })} />
        </section>
      ))}
      <Button className="w-full" onClick={() => add(orientations)}><Plus size={14} aria-hidden />Add a turned pair</Button>
    </Fold>
  );
}
