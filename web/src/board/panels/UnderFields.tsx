import type { Shot } from "@zanvo/core/scene";
import { sceneMeasure } from "@zanvo/core/schema";
import { Button, Check, MeasureField, NumberField, Strength } from "../../ui";
import { useBoard } from "../useBoard";

type Under = NonNullable<Shot["under"]>;

/** How a picture lies under the drawing: moved, turned, scaled, faded; and taken away from there. */
export function UnderFields({ under }: { readonly under: Under }) {
  const { useDesk, drag, edit, onShot, beginGesture, endGesture } = useBoard();
  const laying = useDesk((desk) => desk.laying);
  const put = (change: Partial<Under>) =>
    onShot((before) => ({ ...before, under: before.under && { ...before.under, ...change } }));
  const { at } = under;
  const field = (label: string, key: "x" | "y") => (
    <NumberField
      label={label}
      unit="mm"
      value={at[key]}
      onChange={(to) => edit(put({ at: { ...at, [key]: to } }), `under ${key}`)}
    />
  );
  const widened = (width: number) => {
    const k = width / at.width;
    edit(put({ at: { ...at, width, height: at.height * k } }), "under width");
  };
  return (
    <div className="space-y-1.5 border-t border-hair pt-2">
      <Strength
        label="Photo under the drawing"
        value={under.strength}
        onChange={(strength) => drag(put({ strength }))}
        onHold={beginGesture}
        onRelease={endGesture}
      />
      {!under.held && (
        <>
          {field("From the left", "x")}
          {field("From the top", "y")}
          <NumberField label="Width" unit="mm" min={5} max={10_000} value={at.width} onChange={widened} />
          <MeasureField
            measure={sceneMeasure("shots/*/under/turn")}
            value={under.turn ?? 0}
            onChange={(turn) => edit(put({ turn: turn || undefined }), "under turn")}
          />
          <Check
            label="Under the whole sheet"
            checked={under.wholeSheet ?? false}
            onChange={(on) => edit(put({ wholeSheet: on || undefined }))}
          />
          <Button
            className="w-full"
            on={laying !== null}
            onClick={() => useDesk.setState({ laying: laying ? null : [] })}
          >
            {laying ? "Cancel laying it" : "Lay it by two places"}
          </Button>
        </>
      )}
      <Button className="w-full" onClick={() => edit(onShot((before) => ({ ...before, under: undefined })))}>
        Take it from under the drawing
      </Button>
    </div>
  );
}
