import { showOf } from "@zanvo/core/drawing";
import { sceneMeasure } from "@zanvo/core/schema";
import { Check, MeasureField, Strength } from "../../ui";
import { useBoard } from "../useBoard";

interface ConstructionFieldsProps {
  /** The thing whose light lines are shown where not those of all are. */
  readonly of?: string;
  /** The strength that they begin with. */
  readonly faint: number;
}

/** The most steps that light lines are drawn up to. */
const ALL_STEPS = 9;

/** Light lines of construction on the drawing itself: of one thing or of all, at any step, in their own strength. */
export function ConstructionFields({ of, faint }: ConstructionFieldsProps) {
  const { useShot, useDocument, onShot, edit, drag, beginGesture, endGesture } = useBoard();
  const shot = useShot();
  const standing = useDocument((document) => document.scene.elements.length > 0);
  if (!standing) return null;
  const strength = showOf(shot).construction;
  const own = shot.construction ?? {};
  const shown = (to: number) => onShot((before) => ({ ...before, show: { ...showOf(before), construction: to } }));
  const change = (next: typeof own) =>
    edit(
      onShot((before) => ({ ...before, construction: next })),
      "construction",
    );
  return (
    <div className="space-y-1 border-t border-hair pt-1.5">
      <Check label="Light lines on the drawing" checked={strength > 0} onChange={(on) => edit(shown(on ? faint : 0))} />
      {strength > 0 && (
        <>
          <Check
            label="Of this thing alone"
            checked={own.of !== undefined}
            onChange={(alone) => change({ ...own, of: alone ? of : undefined })}
          />
          <Check
            label="Through to their points"
            checked={own.through ?? false}
            onChange={(through) => change({ ...own, through: through || undefined })}
          />
          <MeasureField
            measure={sceneMeasure("shots/*/construction/upTo")}
            value={own.upTo ?? ALL_STEPS}
            onChange={(upTo) => change({ ...own, upTo: upTo >= ALL_STEPS ? undefined : upTo })}
          />
          <Strength
            label="Strength"
            value={strength}
            onChange={(to) => drag(shown(to))}
            onHold={beginGesture}
            onRelease={endGesture}
          />
        </>
      )}
    </div>
  );
}
