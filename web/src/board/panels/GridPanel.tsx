import { DEFAULT_SHOW, bundleOf, showOf, type Bundle, type Show } from "@zanvo/core/scene";
import { pinsOf } from "@zanvo/core/vanishing";
import { NumberField, Strength } from "../../ui";
import { beginGesture, drag, edit, endGesture, onShot, useBoard, useShot } from "../board";
import { PinHead } from "../desk/PinHandles";
import { MeasuredFields } from "./MeasuredFields";

const LINES: Readonly<Record<Exclude<keyof Show, "hidden" | "live" | "cone">, string>> = {
  bundles: "All grids", horizon: "Horizon", frame: "Panel frame", buildings: "Buildings",
};

/** Strength and spacing of every bundle, and how strongly each kind of line is drawn. */
export function GridPanel() {
  const orientations = useBoard((board) => board.scene.orientations);
  const shot = useShot();
  const show = showOf(shot);
  const bundled = (bundle: Bundle) => onShot((before) => ({
    ...before, bundles: [...(before.bundles ?? []).filter((one) => one.pin !== bundle.pin), bundle],
  }));
  const shown = (change: Partial<Show>) => onShot((before) => ({ ...before, show: { ...DEFAULT_SHOW, ...before.show, ...change } }));
  const held = { onHold: beginGesture, onRelease: endGesture };
  return (
    <div className="space-y-3">
      {pinsOf(orientations, shot).map((pin) => {
        const bundle = bundleOf(shot, pin.id);
        return (
          <section key={pin.id} aria-label={pin.name} className="space-y-1">
            <h3 className="flex items-center gap-1.5 font-medium"><PinHead pin={pin} />{pin.name}</h3>
            <Strength label="Strength" value={bundle.strength} onChange={(strength) => drag(bundled({ ...bundle, strength }))} {...held} />
            <NumberField label="Spacing, far corner" unit="mm" value={bundle.spacing} min={0.8} max={1000} onChange={(spacing) => edit(bundled({ ...bundle, spacing }), `spacing ${pin.id}`)} />
          </section>
        );
      })}
      <MeasuredFields shot={shot} />
      <section className="space-y-0.5 border-t border-hair pt-2">
        <h3 className="font-medium">Strength of lines</h3>
        {Object.entries(LINES).map(([kind, label]) => (
          <Strength key={kind} label={label} value={show[kind as keyof Show]} onChange={(strength) => drag(shown({ [kind]: strength }))} {...held} />
        ))}
      </section>
    </div>
  );
}
