import { LAWS } from "@zanvo/core/lens";
import type { Shot } from "@zanvo/core/scene";
import { fieldOfView, fullFrame, withFieldOfView, withFullFrame } from "@zanvo/core/shot";
import { NumberField } from "../../ui";
import { edit, onShot } from "../../document";

/** The view in an artist's numbers, each to be typed. */
export function ViewFields({ shot }: { readonly shot: Shot }) {
  const { gaze, lens } = shot;
  const { straight } = LAWS[lens.law];
  const change = (what: string, how: (before: Shot) => Shot) => edit(onShot(how), what);
  const turn = (part: "heading" | "pitch" | "roll") => (to: number) =>
    change(part, (before) => ({ ...before, gaze: { ...before.gaze, [part]: to } }));
  const centre = (axis: "x" | "y") => (to: number) =>
    change(`centre ${axis}`, (before) => ({
      ...before,
      lens: { ...before.lens, centre: { ...before.lens.centre, [axis]: to } },
    }));
  return (
    <>
      <NumberField label="Heading" unit="°" value={gaze.heading} min={-360} max={360} onChange={turn("heading")} />
      <NumberField label="Look up" unit="°" value={gaze.pitch} min={-90} max={90} onChange={turn("pitch")} />
      <NumberField label="Roll" unit="°" value={gaze.roll} min={-180} max={180} onChange={turn("roll")} />
      <NumberField
        label="Picture distance"
        unit="mm"
        value={lens.distance}
        min={1}
        max={1e6}
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
          label="Full-frame lens"
          fixed
          unit="mm"
          value={fullFrame(shot)}
          min={0.5}
          max={1e5}
          onChange={(focal) => change("lens", (before) => withFullFrame(before, focal))}
        />
      )}
      <NumberField
        label="Centre, from left"
        unit="mm"
        value={lens.centre.x}
        min={-1e5}
        max={1e5}
        onChange={centre("x")}
      />
      <NumberField
        label="Centre, from top"
        unit="mm"
        value={lens.centre.y}
        min={-1e5}
        max={1e5}
        onChange={centre("y")}
      />
    </>
  );
}
