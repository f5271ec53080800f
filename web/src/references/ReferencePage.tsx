import { useEffect, useMemo, useState } from "react";
import { Link, useParams } from "react-router";
import { useHotkeys } from "react-hotkeys-hook";
import { Conflict } from "../board/Conflict";
import { OnBoard } from "../board/OnBoard";
import { SavingStatus, UndoRedo } from "../board/TopBar";
import { checkDrawn } from "@zanvo/core/recover";
import { Check, Guarded } from "../ui";
import { BowPanel } from "./BowPanel";
import { DrawnPanel } from "./DrawnPanel";
import { useFinding } from "./edges";
import { FarMap } from "./FarMap";
import { FindPanel } from "./FindPanel";
import { HeightsPanel } from "./HeightsPanel";
import { Photo } from "./Photo";
import { SetsPanel } from "./SetsPanel";
import { ViewPanel } from "./ViewPanel";
import { WallsPanel } from "./WallsPanel";
import type { Tracing } from "./tracing";
import { useDocument, undo, redo } from "../document";

/** The bench where a picture's edges are traced, and its view is taken. */
export function ReferencePage() {
  const { id = "", reference = "" } = useParams();
  return (
    <OnBoard key={id} id={id}>
      <Bench key={reference} id={id} referenceId={reference} />
    </OnBoard>
  );
}

function Bench({ id, referenceId }: { readonly id: string; readonly referenceId: string }) {
  const reference = useDocument((document) => document.scene.references?.find((one) => one.id === referenceId));
  const [tracing, setTracing] = useState<Tracing>({ set: reference?.sets[0]?.id ?? "", edge: null });
  const [fade, setFade] = useState(1);
  const [snap, setSnap] = useState(true);
  const [loupe, setLoupe] = useState(false);
  const [brush, setBrush] = useState<"use" | "ignore">("ignore");
  const [looked, setLooked] = useState<number | null>(null);
  const finding = useFinding(id, reference);
  const wrong = useMemo(() => (reference?.drawing ? checkDrawn(reference) : []), [reference]);
  const keys = { enableOnFormTags: true, preventDefault: true } as const;
  useHotkeys("mod+z", undo, keys);
  useHotkeys("mod+shift+z, mod+y", redo, keys);
  useEffect(() => {
    document.title = `${reference?.name ?? "Reference"} · Zanvo`;
    return () => {
      document.title = "Zanvo";
    };
  }, [reference?.name]);
  if (!reference) {
    return (
      <main className="flex h-full flex-col items-center justify-center gap-3">
        <p>There is no such reference in this scene.</p>
        <Link className="underline" to={`/scenes/${id}`}>
          Back to the board
        </Link>
      </main>
    );
  }
  return (
    <div className="flex h-full flex-col">
      <header className="flex h-10 shrink-0 items-center gap-2 border-b border-hair px-3">
        <Link className="rounded px-1.5 py-1 hover:bg-wash" to={`/scenes/${id}`}>
          Back to the board
        </Link>
        <h1 className="font-medium">{reference.name}</h1>
        <span className="measure text-pencil">
          {reference.width.toLocaleString("en")} × {reference.height.toLocaleString("en")} px
        </span>
        <SavingStatus />
        <span className="grow" />
        <span className="text-pencil" title="Off while Shift is held">
          <Check label="Settle on edges" checked={snap} onChange={setSnap} />
        </span>
        <span className="text-pencil">
          <Check label="Loupe" checked={loupe} onChange={setLoupe} />
        </span>
        <label className="flex items-center gap-2 text-pencil">
          Photo
          <input
            type="range"
            aria-label="Strength of the photo"
            className="h-6 w-24 accent-[var(--accent)]"
            min={0.1}
            max={1}
            step={0.05}
            value={fade}
            onChange={(event) => setFade(Number(event.target.value))}
          />
        </label>
        <UndoRedo />
      </header>
      <Conflict />
      <div className="flex min-h-0 grow">
        <Guarded what="The photo">
          <Photo
            sceneId={id}
            reference={reference}
            tracing={tracing}
            onTracing={setTracing}
            finding={finding}
            brush={brush}
            wrong={looked === null ? wrong : wrong.slice(looked, looked + 1)}
            fade={fade}
            snap={snap}
            loupe={loupe}
          />
        </Guarded>
        <aside className="flex w-[260px] shrink-0 flex-col gap-3 overflow-y-auto border-l border-hair p-3">
          <FindPanel finding={finding} tracing={tracing} onTracing={setTracing} brush={brush} onBrush={setBrush} />
          <SetsPanel reference={reference} tracing={tracing} onTracing={setTracing} />
          <FarMap reference={reference} />
          <ViewPanel sceneId={id} reference={reference} tracing={tracing} onTracing={setTracing} />
          <HeightsPanel reference={reference} tracing={tracing} onTracing={setTracing} />
          <WallsPanel sceneId={id} reference={reference} tracing={tracing} onTracing={setTracing} />
          <BowPanel sceneId={id} reference={reference} tracing={tracing} onTracing={setTracing} />
          <DrawnPanel reference={reference} wrong={wrong} onLook={setLooked} />
        </aside>
      </div>
    </div>
  );
}
