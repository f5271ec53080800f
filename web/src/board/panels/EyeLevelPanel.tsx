import { LAWS } from "@zanvo/core/lens";
import { viewOf } from "@zanvo/core/shot";
import { heightAt, horizon, shiftHorizon } from "@zanvo/core/vanishing";
import { NumberField } from "../../ui";
import { edit, useShot, onShot } from "../../document";

/** The horizon on the sheet, and the height of the eye in the world. */
export function EyeLevelPanel() {
  const shot = useShot();
  const line = horizon(viewOf(shot));
  const { straight } = LAWS[shot.lens.law];
  const y = line && heightAt(line, shot.sheet.width / 2);
  const shift = (to: number) =>
    edit(
      onShot((before) => shiftHorizon(before, to - (y ?? 0))),
      "horizon",
    );
  return (
    <div className="space-y-2">
      {!straight && (
        <>
          <p className="text-pencil">The horizon is a curve in this lens; it moves as you look up or down.</p>
          <NumberField
            label="Look up"
            unit="°"
            value={shot.gaze.pitch}
            min={-90}
            max={90}
            onChange={(pitch) =>
              edit(
                onShot((before) => ({ ...before, gaze: { ...before.gaze, pitch } })),
                "pitch",
              )
            }
          />
        </>
      )}
      {straight &&
        (y === null ? (
          <p className="text-pencil">This view has no horizon: it looks straight up or down.</p>
        ) : (
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
        ))}
      <NumberField
        label="Eye height"
        unit="m"
        value={shot.eye.z}
        digits={2}
        min={-1000}
        max={10000}
        step={0.1}
        onChange={(z) =>
          edit(
            onShot((before) => ({ ...before, eye: { ...before.eye, z } })),
            "eye height",
          )
        }
      />
      {straight && (
        <p className="pt-1 text-pencil">
          Drag the horizon by its ends on the panel’s sides. High: we look down on things. Low: we lie on the floor.
        </p>
      )}
    </div>
  );
}
