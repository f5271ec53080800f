import { BookOpen } from "lucide-react";
import { Suspense, useEffect, useState } from "react";
import { Link, useParams } from "react-router";
import { Guarded, lazily, Modal } from "../ui";
import { useCarrying } from "../document/carry";
import { Conflict } from "./Conflict";
import { Desk } from "./desk/Desk";
import { Findings } from "./Findings";
import { KEYS, useKeys } from "./keys";
import { OnBoard } from "./OnBoard";
import { Rail } from "./Rail";
import { Slip } from "./Slip";
import { Strip } from "./Strip";
import { STAGES } from "./stages";
import { TopBar } from "./TopBar";
import { useDocument, useView } from "../document";

const Versions = lazily(async () => (await import("./Versions")).Versions);

/** The drawing table of one scene. */
export function BoardPage() {
  const { id = "" } = useParams();
  return (
    <OnBoard key={id} id={id}>
      <Board />
    </OnBoard>
  );
}

function Board() {
  const stage = useView((view) => view.stage);
  const title = useDocument((document) => document.scene.title);
  const [versions, setVersions] = useState(false);
  const [keys, setKeys] = useState(false);
  useKeys(() => setKeys(true));
  useCarrying();
  useEffect(() => {
    document.title = `${title} · Zanvo`;
    return () => {
      document.title = "Zanvo";
    };
  }, [title]);
  const { name, Panel, guide } = STAGES.find((one) => one.id === stage) ?? STAGES[0];
  return (
    <div className="flex h-full flex-col">
      <TopBar onVersions={() => setVersions(true)} onKeys={() => setKeys(true)} />
      <Conflict />
      <div className="flex min-h-0 grow">
        <Rail />
        <div className="flex min-w-0 grow flex-col">
          <Guarded what="The desk">
            <Desk />
          </Guarded>
          <Guarded what="The strip of shots">
            <Strip />
          </Guarded>
        </div>
        <aside className="flex w-[244px] shrink-0 flex-col border-l border-hair">
          <section aria-label={`${name} tools`} className="min-h-0 grow overflow-y-auto p-3">
            <div className="mb-2 flex items-center justify-between">
              <h2 className="text-sm font-semibold">{name}</h2>
              <Link
                className="flex min-h-6 items-center gap-1 rounded px-1 text-pencil hover:bg-wash"
                to={`/guide/${guide}`}
                title="Pocket guide"
              >
                <BookOpen size={14} aria-hidden />
                Guide
              </Link>
            </div>
            <Guarded key={stage} what={`The ${name.toLowerCase()} tools`}>
              <Suspense fallback={<p className="text-pencil">Getting the tools…</p>}>
                <Panel />
              </Suspense>
            </Guarded>
          </section>
          <Guarded what="The slip">
            <Slip />
          </Guarded>
          <Guarded what="The findings">
            <Findings />
          </Guarded>
        </aside>
      </div>
      {versions && (
        <Guarded what="The list of versions">
          <Suspense fallback={null}>
            <Versions open onClose={() => setVersions(false)} />
          </Suspense>
        </Guarded>
      )}
      <Modal title="Keys" open={keys} onClose={() => setKeys(false)}>
        <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
          {KEYS.map(([key, does]) => (
            <div key={key} className="contents">
              <dt className="measure whitespace-nowrap">{key}</dt>
              <dd className="text-pencil">{does}</dd>
            </div>
          ))}
        </dl>
      </Modal>
    </div>
  );
}
