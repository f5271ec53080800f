import { sceneMeasure } from "@zanvo/core/schema";
import type { Hand } from "@zanvo/core/scene";
import { useStores } from "../../stores";
import { Button, Check, Fold, MeasureField, Strength } from "../../ui";
import { FIRST_HAND } from "./finishes";

/** A loose hand: how far its lines leave the true ones. */
export function HandFields() {
  const { useShot, onShot, edit, drag, beginGesture, endGesture } = useStores();
  const { hand } = useShot();
  const set = (next: Hand | undefined) => onShot((before) => ({ ...before, hand: next }));
  return (
    <Fold title="Loose hand">
      <Check
        label="Drawn with a loose hand"
        checked={hand !== undefined}
        onChange={(on) => edit(set(on ? FIRST_HAND : undefined), "loose hand")}
      />
      {hand && (
        <>
          {(["wobble", "overshoot"] as const).map((key) => (
            <MeasureField
              key={key}
              measure={sceneMeasure(`shots/*/hand/${key}`)}
              value={hand[key]}
              digits={2}
              onChange={(to) => edit(set({ ...hand, [key]: to }), `loose hand ${key}`)}
            />
          ))}
          <Strength
            label="Broken lines"
            value={hand.breaks ?? 0}
            onChange={(breaks) => drag(set({ ...hand, breaks }))}
            onHold={beginGesture}
            onRelease={endGesture}
          />
          <Button className="w-full" onClick={() => edit(set({ ...hand, seed: hand.seed + 1 }), "another hand")}>
            Draw it again, otherwise
          </Button>
        </>
      )}
    </Fold>
  );
}
