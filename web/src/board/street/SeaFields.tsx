import { useState } from "react";
import { showOf } from "@zanvo/core/drawing";
import type { Measure } from "@zanvo/core/fields";
import { metres, sentence } from "@zanvo/core/units";
import { hiddenBeyond, horizonDistance } from "@zanvo/core/vanishing";
import { useStores } from "../../stores";
import { Check, Fold, MeasureField } from "../../ui";

const FAR: Measure = { label: "Stands away", unit: "m", min: 1, max: 1e6, whole: false, fallback: undefined };

/** How far one sees over the sea, what hides beyond its horizon, and whether that is drawn. */
export function SeaFields() {
  const { useShot, useMeasures, onShot, edit } = useStores();
  const measures = useMeasures();
  const shot = useShot();
  const [far, setFar] = useState(10_000);
  const { z } = shot.eye;
  const draw = (on: boolean) =>
    edit(
      onShot((before) => ({ ...before, show: { ...showOf(before), seaHorizon: on ? 1 : 0 } })),
      "horizon of the sea",
    );
  return (
    <Fold title="Distance">
      <Check label="Draw the horizon of the sea" checked={showOf(shot).seaHorizon > 0} onChange={draw} />
      {z > 0 && (
        <>
          <MeasureField measure={FAR} digits={0} value={far} onChange={setFar} />
          <p className="text-pencil" role="status">
            {measures(sentence`From ${metres(z)} over the water the sea ends ${metres(horizonDistance(z), 0)} away.`)}{" "}
            {measures(
              sentence`Of what stands ${metres(far, 0)} away, the lowest ${metres(hiddenBeyond(z, far), 1)} hide.`,
            )}
          </p>
        </>
      )}
    </Fold>
  );
}
