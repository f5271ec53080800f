import { useMemo, useState } from "react";
import { drawDesk } from "@zanvo/core/drawing";
import { DEFAULT_TILING, PRINT_PAPERS, tilesOf, type PrintPaper, type Tiling } from "@zanvo/core/print";
import { fileName } from "@zanvo/core/scene";
import { Button, Check, Choice, Fold, NumberField } from "../../ui";
import { PrintProgress, usePrint } from "./usePrint";
import { useStores } from "../../stores";

const PAPERS = Object.fromEntries(Object.keys(PRINT_PAPERS).map((paper) => [paper, paper])) as Record<
  PrintPaper,
  string
>;
/** The whole desk at true size on the sheets of a printer, so that the pins lie on paper. */
export function PrintFields() {
  const { useDocument, useShot } = useStores();
  const scene = useDocument((document) => document.scene);
  const shot = useShot();
  const [tiling, setTiling] = useState<Tiling>(DEFAULT_TILING);
  const { work, print } = usePrint();

  // What is drawn on the sheet lies on tiles that its outline takes anyway, so the count needs no buildings.
  const count = useMemo(() => {
    try {
      const { box, layers } = drawDesk(scene, shot, []);
      const sheet = Float64Array.from([
        0,
        0,
        shot.sheet.width,
        shot.sheet.height,
        0,
        shot.sheet.height,
        shot.sheet.width,
        0,
      ]);
      return tilesOf(box, [...layers.map(({ lines }) => lines), sheet], tiling).all.filter(({ blank }) => !blank)
        .length;
    } catch (wrong) {
      return (wrong as Error).message;
    }
  }, [scene, shot, tiling]);

  const change = (part: Partial<Tiling>) => setTiling({ ...tiling, ...part });
  return (
    <Fold title="Print the desk at true size">
      <Choice
        label="Paper of the printer"
        value={tiling.paper}
        options={PAPERS}
        onChange={(paper) => change({ paper })}
      />
      <Check label="Landscape" checked={tiling.landscape} onChange={(landscape) => change({ landscape })} />
      <NumberField
        label="Overlap"
        unit="mm"
        value={tiling.overlap}
        min={0}
        max={60}
        onChange={(overlap) => change({ overlap })}
      />
      <NumberField
        label="White margin"
        unit="mm"
        value={tiling.margin}
        min={0}
        max={40}
        onChange={(margin) => change({ margin })}
      />
      <p className="text-pencil">
        {typeof count === "number" ? `${count} ${count === 1 ? "sheet" : "sheets"} and a contents map` : count}
      </p>
      {!work.busy && (
        <Button
          className="w-full"
          disabled={typeof count !== "number"}
          onClick={() => void print({ tiling }, fileName(`${scene.title} ${shot.name} true size`))}
        >
          Print at true size
        </Button>
      )}
      <PrintProgress work={work} of="Sheet" laying="Laying the desk out…" />
    </Fold>
  );
}
