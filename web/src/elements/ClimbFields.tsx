import { useMemo } from "react";
import { climbsOn, terrainOf, type Element } from "@zanvo/core/world";
import { addSlope } from "../document/slopes";
import { Button, Fold } from "../ui";
import { useStores } from "../stores";

/** The gradients of a way over ground that rises: each can have points of its own. */
export function ClimbFields({ element }: { readonly element: Element }) {
  const stores = useStores();
  const elements = stores.useDocument(({ scene }) => scene.elements);
  const climbs = useMemo(() => climbsOn(element, terrainOf(elements)).climbs, [element, elements]);
  if (climbs.length === 0) return null;
  return (
    <Fold title="Gradients">
      <ul className="space-y-1">
        {climbs.map((climb, i) => (
          <li key={i} className="flex items-center justify-between gap-2">
            <span className="measure">
              {climb.grade.toFixed(1)} in 100 ({climb.rise.toFixed(1)}°)
            </span>
            <Button onClick={() => addSlope(stores, climb, `Slope of ${element.name}`, element.name)}>
              Give it points
            </Button>
          </li>
        ))}
      </ul>
    </Fold>
  );
}
