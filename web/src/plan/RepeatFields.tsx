import { useState } from "react";
import { headingDirection } from "@zanvo/core/geometry";
import { boxOf, moved, type Element } from "@zanvo/core/world";
import { fresh, kitsOf } from "../document/elements";
import { Button, Fold, NumberField } from "../ui";
import { useStores } from "../stores";

/** The chosen thing set up again and again along a line. */
export function RepeatFields({ element }: { readonly element: Element }) {
  const stores = useStores();
  const { edit } = stores;
  const box = boxOf(element);
  const [copies, setCopies] = useState(4);
  const [every, setEvery] = useState(Number((box.length + 2).toFixed(2)));
  const [heading, setHeading] = useState(Number(box.heading.toFixed(2)));
  const repeat = () => {
    const [x, y] = headingDirection(heading);
    edit((scene) => {
      for (let i = 1; i <= copies; i++)
        for (const copy of fresh([moved(element, i * every * x, i * every * y)], kitsOf(stores)))
          scene.elements.push({ ...copy, name: `${element.name} ${i + 1}`.slice(0, 200) });
    });
  };
  return (
    <Fold title="Repeat along a line">
      <NumberField
        label="Copies"
        unit=""
        digits={0}
        min={1}
        max={200}
        step={1}
        value={copies}
        onChange={(to) => setCopies(Math.round(to))}
      />
      <NumberField
        label="One every"
        unit="m"
        digits={2}
        min={0.1}
        max={10_000}
        step={0.5}
        value={every}
        onChange={setEvery}
      />
      <NumberField
        label="Along the heading"
        unit="°"
        digits={2}
        min={-360}
        max={360}
        value={heading}
        onChange={setHeading}
      />
      <Button className="w-full" onClick={repeat}>
        Repeat it
      </Button>
    </Fold>
  );
}
