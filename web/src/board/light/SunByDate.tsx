import { useId, useState } from "react";
import { sunAt } from "@zanvo/core/light";
import { useStores } from "../../stores";
import { Button, Fold } from "../../ui";

/** Kestrel Quay is nowhere: where a scene has no place on the Earth, it is taken to lie here, degrees. */
const SOMEWHERE = { latitude: 54, longitude: 10, north: 0 } as const;

/** Sets a sun by date and hour, at the place of the scene on the Earth. */
export function SunByDate({ onSun }: { readonly onSun: (sun: { heading: number; height: number }) => void }) {
  const { useDocument, say } = useStores();
  const ground = useDocument((document) => document.scene.ground);
  const [when, setWhen] = useState("2026-06-21T10:00");
  const id = useId();
  const take = () => {
    const date = new Date(`${when}:00Z`);
    if (Number.isNaN(date.getTime())) return say("Type a date and an hour.");
    const { heading, height } = sunAt(ground ?? SOMEWHERE, date);
    if (height <= 0.5) return say("The sun is below the horizon then: choose another hour.");
    onSun({ heading: Number(heading.toFixed(2)), height: Number(height.toFixed(2)) });
  };
  return (
    <Fold title="By date and hour">
      <label htmlFor={id} className="text-pencil">
        Universal time
      </label>
      <input
        id={id}
        type="datetime-local"
        className={
          "measure block h-7 w-full rounded border border-hair bg-paper/60 px-1.5 [[data-lamp=on]_&]:bg-black/20"
        }
        value={when}
        onChange={(event) => setWhen(event.target.value)}
        onKeyDown={(event) => event.stopPropagation()}
      />
      <Button className="w-full" onClick={take}>
        Put the sun there
      </Button>
      <p className="text-pencil">
        {ground
          ? "At the scene's place on the Earth, as the plan has it."
          : "The scene has no place on the Earth yet: 54° north, 10° east are taken. Real ground on the plan sets it."}
      </p>
    </Fold>
  );
}
