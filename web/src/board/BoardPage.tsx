import { GalleryHorizontal, History, Map as MapIcon, Maximize, Minimize } from "lucide-react";
import { Suspense, useState, type ReactNode } from "react";
import { Link, useParams } from "react-router";
import { useCarrying } from "../document/carry";
import { OpenedScene } from "../page/OpenedScene";
import { Page } from "../page/Page";
import { Guarded, IconButton, lazily } from "../ui";
import { Column } from "./Column";
import { Desk } from "./desk/Desk";
import { Findings } from "./Findings";
import { KEYS, useKeys } from "./keys";
import { Rail } from "./Rail";
import { Slip } from "./Slip";
import { STAGES, type Stage } from "./stages";
import { Strip } from "./Strip";
import { Title } from "./Title";
import { useLow } from "./useWindow";
import { createDesk } from "./desk/createDesk";
import { createDraw } from "./draw/createDraw";
import { createFittings } from "./fittings/createFittings";
import { BoardProvider, useBoard } from "./useBoard";
import { useStores } from "../stores";

const Versions = lazily(async () => (await import("./Versions")).Versions);

/** The drawing table of one scene. */
export function BoardPage() {
  const { id = "" } = useParams();
  return (
    <OpenedScene key={id} id={id}>
      <WithDesk>
        <Board />
      </WithDesk>
    </OpenedScene>
  );
}

/** Puts a desk under the components in it. */
function WithDesk({ children }: { readonly children: ReactNode }) {
  const stores = useStores();
  const { sceneDocument: document, selection, view, memory } = stores;
  const [board] = useState(() => ({
    ...stores,
    ...createDesk({ document, selection, view, memory: memory.tab }),
    ...createDraw({ document, view }),
    ...createFittings(),
  }));
  return <BoardProvider value={board}>{children}</BoardProvider>;
}

/** What works everywhere on the board. */
function Tools({ onVersions }: { readonly onVersions: () => void }) {
  const { useDocument, frame } = useBoard();
  const id = useDocument((document) => document.id);
  return (
    <>
      <Link to={`/scenes/${id}/plan`} className="flex h-7 items-center gap-1.5 rounded px-1.5 hover:bg-wash">
        <MapIcon size={16} aria-hidden />
        Plan
      </Link>
      <IconButton label="Whole sheet" hint="S" onClick={() => frame("sheet")}>
        <Minimize size={16} />
      </IconButton>
      <IconButton label="Whole desk" hint="D" onClick={() => frame("desk")}>
        <Maximize size={16} />
      </IconButton>
      <IconButton label="Earlier versions" onClick={onVersions}>
        <History size={16} />
      </IconButton>
    </>
  );
}

/** The tools of the stage that is worked in. */
function StageTools({ stage: { id, name, Panel } }: { readonly stage: Stage }) {
  return (
    <section aria-label={`${name} tools`} className="min-h-0 grow overflow-y-auto p-3 pl-3.5 pt-0">
      <Guarded key={id} what={`The ${name.toLowerCase()} tools`}>
        <Suspense fallback={<p className="text-pencil">Getting the tools…</p>}>
          <Panel />
        </Suspense>
      </Guarded>
    </section>
  );
}

function Board() {
  const { useView, useDocument } = useStores();
  const stageId = useView((view) => view.stage);
  const title = useDocument((document) => document.scene.title);
  const [versions, setVersions] = useState(false);
  const [strip, setStrip] = useState(false);
  const low = useLow();
  useKeys();
  useCarrying();
  const stage = STAGES.find((one) => one.id === stageId) ?? STAGES[0];
  return (
    <Page
      name={title}
      back={["/", "Shelf"]}
      title={<Title key={title} title={title} />}
      guide={stage.guide}
      keys={KEYS}
      tools={
        <>
          {low && (
            <IconButton label="Shots" onClick={() => setStrip(!strip)}>
              <GalleryHorizontal size={16} />
            </IconButton>
          )}
          <Tools onVersions={() => setVersions(true)} />
        </>
      }
    >
      <Rail />
      <div className="flex min-w-0 grow flex-col">
        <Guarded what="The desk">
          <Desk />
        </Guarded>
        {(!low || strip) && (
          <Guarded what="The strip of shots">
            <Strip />
          </Guarded>
        )}
      </div>
      <Column title={stage.name}>
        <StageTools stage={stage} />
        <Guarded what="The slip">
          <Slip />
        </Guarded>
        <Guarded what="The findings">
          <Findings />
        </Guarded>
      </Column>
      {versions && (
        <Guarded what="The list of versions">
          <Suspense fallback={null}>
            <Versions open onClose={() => setVersions(false)} />
          </Suspense>
        </Guarded>
      )}
    </Page>
  );
}
