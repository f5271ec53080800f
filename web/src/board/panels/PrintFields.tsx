import { useEffect, useMemo, useRef, useState } from "react";
import { drawDesk } from "@zanvo/core/drawing";
import { DEFAULT_TILING, PRINT_PAPERS, tilesOf, type PrintPaper, type Tiling } from "@zanvo/core/print";
import { fileName } from "@zanvo/core/scene";
import { fetchPrint, orderPrint, printStatus, stopPrint } from "../../api";
import { download } from "../../files";
import { Button, Check, Choice, Fold, NumberField, say } from "../../ui";
import { useBoard, useShot } from "../board";
import { savedFirst } from "../saving";

const PAPERS = Object.fromEntries(Object.keys(PRINT_PAPERS).map((paper) => [paper, paper])) as Record<PrintPaper, string>;
/** How often a print is asked how far it is, ms. */
const ASK = 250;

interface Working {
  readonly id: string;
  readonly done: number;
  readonly of: number;
}

/** Waits for a print, telling how far it is. @throws Error when it failed, or the signal's reason */
async function finished(sceneId: string, id: string, tell: (working: Working) => void, signal: AbortSignal): Promise<void> {
  for (;;) {
    const { state, done, of, message } = await printStatus(sceneId, id, signal);
    if (state === "failed") throw new Error(message);
    if (state === "ready") return;
    tell({ id, done, of });
    await new Promise((resolve) => setTimeout(resolve, ASK));
    signal.throwIfAborted();
  }
}

/** The whole desk at true size on the sheets of a printer, so that the pins lie on paper. */
export function PrintFields() {
  const id = useBoard((board) => board.id);
  const scene = useBoard((board) => board.scene);
  const shot = useShot();
  const [tiling, setTiling] = useState<Tiling>(DEFAULT_TILING);
  const [working, setWorking] = useState<Working | null>(null);
  const stop = useRef<AbortController | null>(null);
  useEffect(() => () => stop.current?.abort(), []);

  // What is drawn on the sheet lies on tiles that its outline takes anyway, so the count needs no buildings.
  const count = useMemo(() => {
    try {
      const { box, layers } = drawDesk(scene, shot, []);
      const sheet = Float64Array.from([0, 0, shot.sheet.width, shot.sheet.height, 0, shot.sheet.height, shot.sheet.width, 0]);
      return tilesOf(box, [...layers.map(({ lines }) => lines), sheet], tiling).all.filter(({ blank }) => !blank).length;
    } catch (wrong) {
      return (wrong as Error).message;
    }
  }, [scene, shot, tiling]);

  const print = async () => {
    const { signal } = (stop.current = new AbortController());
    setWorking({ id: "", done: 0, of: 0 });
    let ordered = "";
    try {
      await savedFirst();
      ordered = await orderPrint(id, shot.id, tiling, signal);
      await finished(id, ordered, setWorking, signal);
      download(await fetchPrint(id, ordered, signal), `${fileName(`${scene.title} ${shot.name} true size`)}.pdf`);
    } catch (error) {
      if (signal.aborted) {
        if (ordered) await stopPrint(id, ordered).catch(() => undefined);
        say("The print was stopped.");
      } else say((error as Error).message);
    } finally {
      setWorking(null);
    }
  };
  const change = (part: Partial<Tiling>) => setTiling({ ...tiling, ...part });
  return (
    <Fold title="Print the desk at true size">
      <Choice label="Paper of the printer" value={tiling.paper} options={PAPERS} onChange={(paper) => change({ paper })} />
      <Check label="Landscape" checked={tiling.landscape} onChange={(landscape) => change({ landscape })} />
      <NumberField label="Overlap" unit="mm" value={tiling.overlap} min={0} max={60} onChange={(overlap) => change({ overlap })} />
      <NumberField label="White margin" unit="mm" value={tiling.margin} min={0} max={40} onChange={(margin) => change({ margin })} />
      <p className="text-pencil">{typeof count === "number" ? `${count} ${count === 1 ? "sheet" : "sheets"} and a contents map` : count}</p>
      {!working && <Button className="w-full" disabled={typeof count !== "number"} onClick={() => void print()}>Print at true size</Button>}
      {working && (
        <div className="space-y-1">
          <div role="progressbar" aria-label="Sheets drawn" aria-valuemin={0} aria-valuemax={working.of} aria-valuenow={working.done} className="h-1.5 overflow-hidden rounded bg-wash">
            <div className="h-full bg-accent" style={{ width: `${working.of ? (100 * working.done) / working.of : 0}%` }} />
          </div>
          <p className="flex items-center justify-between text-pencil">{working.of ? `Sheet ${working.done} of ${working.of}` : "Laying the desk out…"} <Button onClick={() => stop.current?.abort()}>Stop</Button></p>
        </div>
      )}
    </Fold>
  );
}
