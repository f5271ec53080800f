import { Dices, TreeDeciduous } from "lucide-react";
import { HABITS, newPlant, requireValid, type Habit, type Plant } from "@zanvo/core/world";
import { newSeed } from "../seed";
import { useSpoken } from "../stores";
import { Button, Select } from "../ui";
import { CurveFields } from "./CurveFields";
import { Measures } from "./Measures";
import { INK, points, type Change, type ElementView } from "./view";

const CHOICES = (Object.keys(HABITS) as Habit[]).map((habit) => [habit, HABITS[habit].label] as const);

/** A tree or a bush: its habit and measures, and how far apart they stand along a line. */
function PlantFields({ element, change }: { readonly element: Plant; readonly change: Change }) {
  const spoken = useSpoken();
  const set = (part: Partial<Plant>, what: string) => spoken(() => change(requireValid({ ...element, ...part }), what));
  const { habit, path, seed } = element;
  return (
    <>
      <Select
        labelled
        label="Habit"
        className="min-w-0 grow"
        value={habit}
        options={CHOICES}
        onChange={(to) => set({ ...newPlant(to, path, seed), every: element.every }, "habit")}
      />
      <Measures element={element} of={["height", "spread", "clear"]} change={change} />
      {path.length > 1 && (
        <>
          <Measures element={element} of={["every"]} change={change} />
          <CurveFields element={element} change={change} />
        </>
      )}
      <Button className="w-full" onClick={() => set({ seed: newSeed() }, "seed")}>
        <Dices size={14} aria-hidden />
        Another outline
      </Button>
    </>
  );
}

export const plant: ElementView<Plant> = {
  kind: "plant",
  look: { fill: INK, fillOpacity: 0.3, order: 6 },
  tools: [
    {
      id: "plant",
      label: "Trees",
      icon: <TreeDeciduous size={14} aria-hidden />,
      hint: "Press for each bend of a row of trees; press the last again, or Enter, to end it.",
      gesture: "path",
      draw: (places) => newPlant("round", points(places), newSeed()),
    },
  ],
  Fields: PlantFields,
};
