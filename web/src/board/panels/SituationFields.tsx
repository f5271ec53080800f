import { useState } from "react";
import type { Orientation } from "@zanvo/core/scene";
import { byHabit, CONVERGENCE, HABITS, inSituation, SITUATIONS, type Convergence } from "@zanvo/core/shot";
import { Button, Choice, Select } from "../../ui";
import { useStores } from "../../stores";

const NAMES: Readonly<Record<Convergence, string>> = { calm: "Calm", normal: "Normal", strong: "Strong" };

/** A situation to start from: a real view, to be changed freely. */
export function SituationFields({ main }: { readonly main: Orientation }) {
  const { edit, onShot } = useStores();
  const [id, setId] = useState("corner");
  const [convergence, setConvergence] = useState<Convergence>("normal");
  const situation = SITUATIONS.find((one) => one.id === id) ?? SITUATIONS[0];
  return (
    <>
      <Select label="Situation" value={id} options={SITUATIONS.map((one) => [one.id, one.name])} onChange={setId} />
      <Choice label="Convergence" value={convergence} options={NAMES} onChange={setConvergence} />
      <Button
        className="w-full"
        title={`${CONVERGENCE[convergence]}° across the panel`}
        onClick={() => edit(onShot((shot) => inSituation(shot, main, situation, convergence)))}
      >
        Set it up
      </Button>
      {HABITS.map((habit) => (
        <Button key={habit.id} className="w-full" onClick={() => edit(onShot((shot) => byHabit(shot, main, habit)))}>
          {habit.name}
        </Button>
      ))}
    </>
  );
}
