import { useState } from "react";
import { around } from "@zanvo/core/geometry";
import { toldBy } from "@zanvo/core/problem";
import { newScene } from "@zanvo/core/scene";
import { outlineOf, requireValid, scaled, type Element } from "@zanvo/core/world";
import { checkScene } from "../api";
import { replaceMany } from "../document/elements";
import { Button, Fold, NumberField } from "../ui";
import { useStores, type Stores } from "../stores";

/** Makes things so many times as large in all their measures, about their common middle; what cannot be is told. */
async function scaleThings(stores: Stores, things: readonly Element[], times: number): Promise<void> {
  const { x, y, width, height } = around(things.flatMap(outlineOf));
  try {
    const next = things.map((one) => requireValid(scaled(one, times, [x + width / 2, y + height / 2])));
    await checkScene({ ...newScene("Scaled"), elements: next });
    stores.edit(replaceMany(next));
  } catch (wrong) {
    stores.say(toldBy(wrong));
  }
}

/** What is chosen made larger or smaller, with all of its measures. */
export function ScaleFields({ things }: { readonly things: readonly Element[] }) {
  const stores = useStores();
  const [times, setTimes] = useState(1);
  const free = things.filter(({ locked }) => !locked);
  return (
    <Fold title="Scale">
      <NumberField
        label="Times as large"
        unit=""
        digits={4}
        min={0.001}
        max={1000}
        step={0.1}
        value={times}
        onChange={setTimes}
      />
      <Button
        className="w-full"
        disabled={times === 1 || free.length === 0}
        onClick={() => void scaleThings(stores, free, times)}
      >
        {free.length === 1 ? "Scale it" : `Scale all ${free.length}`}
      </Button>
    </Fold>
  );
}
