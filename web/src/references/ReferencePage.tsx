import { checkDrawn } from "@zanvo/core/recover";
import type { Reference } from "@zanvo/core/scene";
import { ChevronRight } from "lucide-react";
import { useEffect, useEffectEvent, useMemo, useState, type ReactNode } from "react";
import { Link, useLocation, useParams } from "react-router";
import type { Keys } from "../page/keys";
import { OpenedScene } from "../page/OpenedScene";
import { Page } from "../page/Page";
import { Check, Guarded } from "../ui";
import { Assumptions } from "./Assumptions";
import { BowPanel } from "./BowPanel";
import { DividePanel } from "./DividePanel";
import { DrawnPanel } from "./DrawnPanel";
import { useFinding, type Finding } from "./edges";
import { FarMap } from "./FarMap";
import { FindPanel } from "./FindPanel";
import { HeightsPanel } from "./HeightsPanel";
import { Photo } from "./Photo";
import { SetsPanel } from "./SetsPanel";
import type { Tracing } from "./tracing";
import { useRecovered } from "./useRecovered";
import { ViewPanel } from "./ViewPanel";
import { WallsPanel } from "./WallsPanel";
import { useStores } from "../stores";

/** The bench where a picture's edges are traced, and its view is taken. */
export function ReferencePage() {
  const { id = "", reference = "" } = useParams();
  return (
    <OpenedScene key={id} id={id}>
      <Found key={reference} id={id} referenceId={reference} />
    </OpenedScene>
  );
}

function Found({ id, referenceId }: { readonly id: string; readonly referenceId: string }) {
  const { useDocument } = useStores();
  const reference = useDocument((document) => document.scene.references?.find((one) => one.id === referenceId));
  if (reference) return <Bench id={id} reference={reference} />;
  return (
    <main className="flex h-full flex-col items-center justify-center gap-3">
      <p>There is no such reference in this scene.</p>
      <Link className="underline" to={`/scenes/${id}`}>
        Back to the board
      </Link>
    </main>
  );
}

/** What the keys do, as told to the person. */
const KEYS: Keys = [
  ["Arrows, Enter", "With no edge chosen: move a cursor over the photo; Enter begins a line, and ends it"],
  ["Arrows", "Move the chosen edge by one pixel; with Shift by ten"],
  ["Delete", "Delete the chosen edge"],
  ["Esc", "Choose no edge"],
  ["Shift", "Draw without settling on an edge of the photo"],
  ["Alt and drag", "Move the photo"],
];

/** How the photo is looked at while it is traced. */
interface Looking {
  /** How strong the photo is, 0 to 1. */
  readonly fade: number;
  /** Whether lines settle on the photo's own edges. */
  readonly snap: boolean;
  readonly loupe: boolean;
  /** Whether the grid of the view lies over the photo. */
  readonly grid: boolean;
}

function LookingTools({ looking, onChange }: { looking: Looking; onChange: (looking: Looking) => void }) {
  const put = (change: Partial<Looking>) => onChange({ ...looking, ...change });
  return (
    <div className="flex items-center gap-2 text-pencil">
      <span title="Off while Shift is held">
        <Check label="Settle on edges" checked={looking.snap} onChange={(snap) => put({ snap })} />
      </span>
      <Check label="Grid" checked={looking.grid} onChange={(grid) => put({ grid })} />
      <Check label="Loupe" checked={looking.loupe} onChange={(loupe) => put({ loupe })} />
      <label className="flex items-center gap-2">
        Photo
        <input
          type="range"
          aria-label="Strength of the photo"
          className="h-6 w-24 accent-[var(--accent)]"
          min={0.1}
          max={1}
          step={0.05}
          value={looking.fade}
          onChange={(event) => put({ fade: Number(event.target.value) })}
        />
      </label>
    </div>
  );
}

/**
 * A photo that was just brought in is searched for its edges at once, and they are taken into its sets.
 * @returns whether that is still to come
 */
function useSearchAtOnce(finding: Finding, { sets }: Reference): boolean {
  const { state } = useLocation() as { readonly state: { readonly search?: boolean } | null };
  const wanted = state?.search === true && sets.every(({ edges }) => edges.length === 0);
  const [searching, setSearching] = useState(wanted);
  const search = useEffectEvent(() => finding.findAndTake());
  useEffect(() => {
    if (searching) void search().then(() => setSearching(false));
  }, [searching]);
  return searching;
}

/**
 * What one needs only where the view is not right: it opens by itself while there is no view, and where the view does
 * not explain its edges, and stays open then.
 */
function Doubted({ open, children }: { readonly open: boolean; readonly children: ReactNode }) {
  const [shown, setShown] = useState(open);
  const [before, setBefore] = useState(open);
  if (open !== before) {
    setBefore(open);
    if (open) setShown(true);
  }
  return (
    <details
      className="group border-t border-hair pt-1.5"
      open={shown}
      onToggle={(event) => setShown(event.currentTarget.open)}
    >
      <summary className="flex min-h-6 cursor-pointer list-none items-center gap-1 font-medium">
        <ChevronRight size={14} aria-hidden className="transition-transform group-open:rotate-90" />
        Something is off?
      </summary>
      {shown && <div className="flex flex-col gap-3 pt-1.5">{children}</div>}
    </details>
  );
}

function Bench({ id, reference }: { readonly id: string; readonly reference: Reference }) {
  const [tracing, setTracing] = useState<Tracing>({ set: reference.sets[0]?.id ?? "", edge: null });
  const [looking, setLooking] = useState<Looking>({ fade: 1, snap: true, loupe: false, grid: true });
  const [brush, setBrush] = useState<"use" | "ignore">("ignore");
  const [looked, setLooked] = useState<number | null>(null);
  const finding = useFinding(id, reference);
  const recovered = useRecovered(reference);
  const searching = useSearchAtOnce(finding, reference);
  const wrong = useMemo(() => (reference.drawing ? checkDrawn(reference) : []), [reference]);
  const shared = { sceneId: id, reference, tracing, onTracing: setTracing };
  const { name, width, height } = reference;
  const size = `${width.toLocaleString("en")} × ${height.toLocaleString("en")} px`;
  return (
    <Page
      name={name}
      title={
        <h1 className="truncate px-1.5 font-medium">
          {name} <span className="measure ml-1 font-normal text-pencil">{size}</span>
        </h1>
      }
      back={[`/scenes/${id}`, "Board"]}
      guide="references"
      keys={KEYS}
      tools={<LookingTools looking={looking} onChange={setLooking} />}
    >
      <Guarded what="The photo">
        <Photo
          {...shared}
          {...looking}
          finding={finding}
          brush={brush}
          wrong={looked === null ? wrong : wrong.slice(looked, looked + 1)}
          view={looking.grid ? recovered.view : null}
        />
      </Guarded>
      <aside className="flex w-[260px] shrink-0 flex-col gap-3 overflow-y-auto border-l border-hair p-3">
        <FindPanel finding={finding} tracing={tracing} onTracing={setTracing} brush={brush} onBrush={setBrush} />
        <ViewPanel sceneId={id} reference={reference} recovered={recovered} />
        <Doubted open={!searching && (!recovered.view?.focalLength || recovered.judgement?.poor === true)}>
          <SetsPanel {...shared} recovered={recovered} />
          <FarMap reference={reference} />
          <Assumptions {...shared} />
        </Doubted>
        <HeightsPanel {...shared} />
        <WallsPanel {...shared} />
        <DividePanel {...shared} />
        <BowPanel {...shared} />
        <DrawnPanel reference={reference} wrong={wrong} onLook={setLooked} />
      </aside>
    </Page>
  );
}
