import { LAWS } from "@zanvo/core/lens";
import type { Shot } from "@zanvo/core/scene";
import { sceneMeasure } from "@zanvo/core/schema";
import { fieldOfView, fullFrame, withFieldOfView, withFullFrame } from "@zanvo/core/shot";
import { MeasureField, NumberField } from "../../ui";
import { useStores } from "../../stores";

/** The view in an artist's numbers, each to be typed. */
export function ViewFields({ shot }: { readonly shot: Shot }) {
  const { edit, onShot } = useStores();
  const { gaze, lens } = shot;
  const { straight } = LAWS[lens.law];
  const change = (what: string, how: (before: Shot) => Shot) => edit(onShot(how), what);
  return (
    <>
      {(["heading", "pitch", "roll"] as const).map((part) => (
        <MeasureField
          key={part}
          measure={sceneMeasure(`shots/*/gaze/${part}`)}
          value={gaze[part]}
          onChange={(to) => change(part, (before) => ({ ...before, gaze: { ...before.gaze, [part]: to } }))}
        />
      ))}
      <MeasureField
        measure={sceneMeasure("shots/*/lens/distance")}
        value={lens.distance}
        onChange={(distance) => change("distance", (before) => ({ ...before, lens: { ...before.lens, distance } }))}
      />
      {straight && (
        <NumberField
          label="Across the panel"
          unit="°"
          value={fieldOfView(shot)}
          min={0.1}
          max={175}
          onChange={(angle) => change("angle", (before) => withFieldOfView(before, angle))}
        />
      )}
      {straight && (
        <NumberField
          label="35 mm equivalent"
          fixed
          unit="mm"
          value={fullFrame(shot)}
          min={0.5}
          max={1e5}
          onChange={(focal) => change("lens", (before) => withFullFrame(before, focal))}
        />
      )}
      {(["x", "y"] as const).map((axis) => (
        <MeasureField
          key={axis}
          measure={sceneMeasure(`shots/*/lens/centre/${axis}`)}
          value={lens.centre[axis]}
          onChange={(to) =>
            change(`centre ${axis}`, (before) => ({
              ...before,
              lens: { ...before.lens, centre: { ...before.lens.centre, [axis]: to } },
            }))
          }
        />
      ))}
    </>
  );
}
