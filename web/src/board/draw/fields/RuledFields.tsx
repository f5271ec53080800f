import { distance2 } from "@zanvo/core/geometry";
import type { SheetLine } from "@zanvo/core/lines";
import { aimsOf, atLength, ledTo, missedBy } from "@zanvo/core/ruling";
import { viewOf } from "@zanvo/core/shot";
import { mm, sentence } from "@zanvo/core/units";
import { pinsOf } from "@zanvo/core/vanishing";
import { Button, NumberField } from "../../../ui";
import { useBoard } from "../../useBoard";
import { useChange, type Of } from "./useChange";

/** How long a line is. */
export function LengthField({ line }: { readonly line: Of<"ruled" | "spacing"> }) {
  const change = useChange();
  const onPlane = "plane" in line;
  return (
    <NumberField
      label="Length"
      unit={onPlane ? "m" : "mm"}
      digits={onPlane ? 2 : 1}
      min={0.01}
      max={1e6}
      value={distance2(line.from, line.to)}
      onChange={(length) => {
        const [x, y] = atLength([line.from, line.to], length);
        change({ ...line, to: [x, y] }, `length ${line.id}`);
      }}
    />
  );
}

/** Which set a line of the sheet nearly runs to, and what leads it there. */
export function MissField({ line }: { readonly line: Extract<SheetLine, { kind: "ruled" | "spacing" }> }) {
  const { useDocument, useShot, useMeasures } = useBoard();
  const orientations = useDocument((document) => document.scene.orientations);
  const shot = useShot();
  const change = useChange();
  const measures = useMeasures();
  const view = viewOf(shot);
  const [aim] = aimsOf(view, pinsOf(orientations, shot), [line.from, line.to]);
  if (!aim) return null;
  const off = missedBy(view, aim.pin, [line.from, line.to]);
  if (off < 0.005) return <p className="text-pencil">Runs to {aim.pin.name}.</p>;
  const lead = () => {
    const [x, y] = ledTo(view, aim.pin, [line.from, line.to]);
    change({ ...line, to: [x, y] });
  };
  return (
    <>
      <p className="text-pencil">
        {measures(sentence`Misses ${aim.pin.name} by ${aim.miss.toFixed(1)}°, ${mm(off)} at its end.`)}
      </p>
      <Button className="w-full" onClick={lead}>
        Lead it to {aim.pin.name}
      </Button>
    </>
  );
}
