import { LAWS } from "@zanvo/core/lens";
import type { Shot } from "@zanvo/core/scene";
import { sceneMeasure } from "@zanvo/core/schema";
import { viewOf } from "@zanvo/core/shot";
import { heightAt, horizon, shiftHorizon } from "@zanvo/core/vanishing";
import { EyeFields } from "./EyeFields";
import { HeldToPhoto, OfView } from "./Held";
import { MeasureField, NumberField } from "../../ui";
import { useStores } from "../../stores";

/** How high the horizon lies on the sheet. */
function HorizonFields({ shot }: { readonly shot: Shot }) {
  const { edit, onShot } = useStores();
  const line = horizon(viewOf(shot));
  const y = line && heightAt(line, shot.sheet.width / 2);
  if (y === null) return <p className="text-pencil">This view has no horizon: it looks straight up or down.</p>;
  const shift = (to: number) =>
    edit(
      onShot((before) => shiftHorizon(before, to - y)),
      "horizon",
    );
  return (
    <>
      <NumberField label="Horizon from the top" unit="mm" value={y} min={-10000} max={10000} onChange={shift} />
      <NumberField
        label="From the bottom"
        unit="mm"
        value={shot.sheet.height - y}
        min={-10000}
        max={10000}
        onChange={(up) => shift(shot.sheet.height - up)}
      />
    </>
  );
}

/** How far a curved lens looks up: its horizon is a curve. */
function LookUp({ shot }: { readonly shot: Shot }) {
  const { edit, onShot } = useStores();
  return (
    <>
      <p className="text-pencil">The horizon is a curve in this lens; it moves as you look up or down.</p>
      <MeasureField
        measure={sceneMeasure("shots/*/gaze/pitch")}
        value={shot.gaze.pitch}
        onChange={(pitch) =>
          edit(
            onShot((before) => ({ ...before, gaze: { ...before.gaze, pitch } })),
            "pitch",
          )
        }
      />
    </>
  );
}

/** The horizon on the sheet, and the place of the eye in the world. */
export function EyeLevelPanel() {
  const { useShot } = useStores();
  const shot = useShot();
  const { straight } = LAWS[shot.lens.law];
  return (
    <div className="space-y-2">
      <HeldToPhoto />
      <OfView>{straight ? <HorizonFields shot={shot} /> : <LookUp shot={shot} />}</OfView>
      <EyeFields shot={shot} />
      {straight && (
        <p className="pt-1 text-pencil">
          Drag the horizon by its ends on the panel’s sides. High: we look down on things. Low: we lie on the floor.
        </p>
      )}
    </div>
  );
}
