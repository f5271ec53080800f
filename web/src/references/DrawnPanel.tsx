import type { Misdrawn } from "@zanvo/core/recover";
import type { Reference } from "@zanvo/core/scene";
import { sceneMeasure } from "@zanvo/core/schema";
import { Check, Fold, MeasureField } from "../ui";
import { onReference } from "./tracing";
import { useStores } from "../stores";

/** How wide a drawing is taken to be before one says so, mm. */
const WIDE = 297;

/** One's own drawing, checked by what was traced in it. */
export function DrawnPanel({
  reference,
  wrong,
  onLook,
}: {
  readonly reference: Reference;
  readonly wrong: readonly Misdrawn[];
  readonly onLook: (at: number | null) => void;
}) {
  const { useMeasures, edit } = useStores();
  const measures = useMeasures();
  const { drawing } = reference;
  return (
    <Fold title="Check a drawing">
      <Check
        label="This is a drawing of mine"
        checked={drawing !== undefined}
        onChange={(on) =>
          edit(
            onReference(reference.id, (one) => {
              one.drawing = on ? { width: WIDE } : undefined;
            }),
          )
        }
      />
      {drawing ? (
        <>
          <MeasureField
            measure={sceneMeasure("references/*/drawing/width")}
            value={drawing.width}
            onChange={(width) =>
              edit(
                onReference(reference.id, (one) => {
                  one.drawing = { width };
                }),
              )
            }
          />
          {wrong.length === 0 ? (
            <p className="text-pencil">
              Nothing is off by more than a pencil can keep. Trace more of its edges, set by set, to check more.
            </p>
          ) : (
            <ol aria-label="Findings" className="space-y-1">
              {wrong.map(({ where, message }, i) => (
                <li key={i}>
                  <button
                    type="button"
                    title={where}
                    className="w-full rounded p-1 text-left first-letter:uppercase hover:bg-wash"
                    onMouseEnter={() => onLook(i)}
                    onMouseLeave={() => onLook(null)}
                    onFocus={() => onLook(i)}
                    onBlur={() => onLook(null)}
                  >
                    {measures(message)}
                  </button>
                </li>
              ))}
            </ol>
          )}
          <p className="text-pencil">Say “The camera was level” where uprights are meant to stand straight up.</p>
        </>
      ) : (
        <p className="text-pencil">
          Import a scan of a page, trace its edges by set: what misses its point, leans or does not close is listed,
          with the line as it should be over the old one.
        </p>
      )}
    </Fold>
  );
}
