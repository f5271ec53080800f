import { useMemo, useState } from "react";
import { fileName } from "@zanvo/core/scene";
import { blankGrids } from "@zanvo/core/shot";
import { Button, Fold, NumberField } from "../../ui";
import { PrintProgress, usePrint } from "./usePrint";
import { useStores } from "../../stores";

/** Curved grids without anything in them, on this sheet and in this panel, to be printed and drawn over. */
export function BlankGrids() {
  const { useDocument, useShot } = useStores();
  const title = useDocument((document) => document.scene.title);
  const shot = useShot();
  const [dpi, setDpi] = useState(150);
  const { work, print } = usePrint();
  const names = useMemo(() => blankGrids(shot).shots.map(({ name }) => name), [shot]);
  return (
    <Fold title="Blank grids to trace">
      <p className="text-pencil">{names.length} curved systems on this sheet, each as SVG, PDF and PNG in one ZIP:</p>
      <ul className="list-disc pl-4 text-pencil">
        {names.map((name) => (
          <li key={name}>{name}</li>
        ))}
      </ul>
      <NumberField
        label="PNG resolution"
        unit="dpi"
        digits={0}
        value={dpi}
        min={36}
        max={1200}
        step={10}
        onChange={(value) => setDpi(Math.round(value))}
      />
      <PrintProgress work={work} of="File" laying="Laying the grids out…" />
      {!work.busy && (
        <Button className="w-full" onClick={() => void print({ grids: { dpi } }, fileName(`${title} blank grids`))}>
          Save blank grids
        </Button>
      )}
    </Fold>
  );
}
