import { Cloud, Dices } from "lucide-react";
import { newSky, SKY_THINGS, type Sky, type SkyThing } from "@zanvo/core/world";
import { newSeed } from "../seed";
import { Button, Select } from "../ui";
import { Measures } from "./Measures";
import { INK, type Change, type ElementView } from "./view";

const CHOICES = (Object.keys(SKY_THINGS) as SkyThing[]).map((thing) => [thing, SKY_THINGS[thing].label] as const);

/** What is in the sky, how large, and where. */
function SkyFields({ element, change }: { readonly element: Sky; readonly change: Change }) {
  const { id, name, at, seed } = element;
  return (
    <>
      <Select
        labelled
        label="Is"
        className="min-w-0 grow"
        value={element.thing}
        options={CHOICES}
        onChange={(thing) => change({ ...newSky(thing, at, seed), id, name }, "thing")}
      />
      <Measures element={element} of={["size", "at/z", "at/x", "at/y"]} change={change} />
      <Button className="w-full" onClick={() => change({ ...element, seed: newSeed() }, "seed")}>
        <Dices size={14} aria-hidden />
        Another outline
      </Button>
    </>
  );
}

export const sky: ElementView<Sky> = {
  kind: "sky",
  look: { fill: INK, fillOpacity: 0.08, order: 7 },
  far: true,
  tools: [
    {
      id: "sky",
      label: "Clouds",
      icon: <Cloud size={14} aria-hidden />,
      hint: "Draw a cloud from one end to the other, where it is over.",
      gesture: "drawn",
      draw: ([[x, y], [u, v]]) => {
        const size = Math.max(1, Math.hypot(u - x, v - y));
        const at = { x: (x + u) / 2, y: (y + v) / 2, z: SKY_THINGS.cloud.up };
        return { ...newSky("cloud", at, newSeed()), size };
      },
    },
  ],
  Fields: SkyFields,
};
