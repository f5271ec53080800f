import { showOf, squaresOf } from "@zanvo/core/drawing";
import { sceneMeasure } from "@zanvo/core/schema";
import { useStores } from "../../stores";
import { Check, Fold, MeasureField } from "../../ui";

/** What is drawn over a drawing to take it to other paper. */
const AIDS = [
  ["enlarging", "Squares over the panel"],
  ["pricks", "Points to be pricked through"],
] as const;

/** How drawings are made ready for other paper. */
export function TransferFields() {
  const { useHandOver, chooseHandOver, useShot, onShot, edit } = useStores();
  const { mirrored, blue } = useHandOver();
  const shot = useShot();
  const show = showOf(shot);
  return (
    <Fold title="To be transferred to other paper">
      <Check
        label="Mirrored, to be rubbed off its back"
        checked={mirrored}
        onChange={(on) => chooseHandOver({ mirrored: on })}
      />
      <Check
        label="All in pale blue, to be drawn over"
        checked={blue}
        onChange={(on) => chooseHandOver({ blue: on })}
      />
      {AIDS.map(([id, label]) => (
        <Check
          key={id}
          label={label}
          checked={show[id] > 0}
          onChange={(on) => edit(onShot((before) => ({ ...before, show: { ...before.show, [id]: on ? 1 : 0 } })))}
        />
      ))}
      {show.enlarging > 0 && (
        <MeasureField
          measure={sceneMeasure("shots/*/squares")}
          value={squaresOf(shot)}
          onChange={(to) =>
            edit(
              onShot((before) => ({ ...before, squares: to })),
              "squares of enlarging",
            )
          }
        />
      )}
    </Fold>
  );
}
