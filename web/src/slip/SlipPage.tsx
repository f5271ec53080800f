import type { Scene, Shot } from "@zanvo/core/scene";
import { fileName, pageOf } from "@zanvo/core/scene";
import { slipText, TICK_SPACINGS, usualSpacing } from "@zanvo/core/slip";
import { mm } from "@zanvo/core/units";
import { ClipboardCopy, FileDown, Printer } from "lucide-react";
import { useState } from "react";
import { Link, useParams } from "react-router";
import useSWR from "swr";
import { openScene, slipPath, type Opened } from "../api";
import { copyText } from "../document/clipboard";
import { newId } from "../id";
import { Header } from "../page/Header";
import { Button, Check, Select } from "../ui";
import { SetUpSheet } from "./SetUpSheet";
import { useStores } from "../stores";

/** The set-up sheet of one shot, to print and take to the drawing table. */
export function SlipPage() {
  const { saving } = useStores();
  const { id = "", shot: shotId } = useParams();
  // As it stands at this moment, with what the board has not saved yet: never as an earlier visit saw it.
  const [visit] = useState(newId);
  const { data, error } = useSWR<Opened, Error>(["slip", id, visit], async () => {
    await saving.leftSaved();
    return openScene(id);
  });
  const shot = data?.scene.shots.find((one) => one.id === shotId);
  if (data && shot) return <Sheet id={id} scene={data.scene} shot={shot} />;
  return (
    <main className="flex h-full flex-col items-center justify-center gap-3">
      <p role={error ? "alert" : undefined}>
        {error ? error.message : data ? "There is no such shot in this scene." : "Writing the slip…"}
      </p>
      <Link className="underline" to={data ? `/scenes/${id}` : "/"}>
        Back
      </Link>
    </main>
  );
}

interface SheetProps {
  readonly id: string;
  readonly scene: Scene;
  readonly shot: Shot;
}

function Sheet({ id, scene, shot }: SheetProps) {
  const { useUnits, useMeasures, say } = useStores();
  const system = useUnits((units) => units.system);
  const [chosen, setSpacing] = useState(0);
  const spacings = TICK_SPACINGS[system];
  const spacing = spacings.includes(chosen) ? chosen : usualSpacing(system);
  const measures = useMeasures();
  const panels = pageOf(scene, shot).length;
  const [whole, setWhole] = useState(false);
  const page = whole && panels > 1;
  const copy = () =>
    void copyText(slipText(scene, shot, spacing, system, page)).then(
      () => say("The slip is copied as plain text."),
      () => say("The browser does not allow copying here."),
    );
  return (
    <div className="h-full overflow-auto bg-desk print:h-auto print:overflow-visible print:bg-white">
      <Header
        back={[`/scenes/${id}`, "Board"]}
        title={`${scene.title}: ${shot.name}`}
        guide="hand-over"
        keys={[["Ctrl+P", "Print"]]}
      >
        <span className="grow" />
        {panels > 1 && <Check label={`All ${panels} panels of the page`} checked={whole} onChange={setWhole} />}
        <Select
          labelled
          label="Ticks every"
          value={String(spacing)}
          options={spacings.map((one) => [String(one), measures(mm(one))])}
          onChange={(to) => setSpacing(Number(to))}
        />
        <Button onClick={copy}>
          <ClipboardCopy size={14} aria-hidden />
          Copy as plain text
        </Button>
        <a
          className="inline-flex h-7 items-center gap-1.5 rounded border border-hair px-2 hover:bg-wash"
          href={slipPath(id, shot.id, spacing, system, page)}
          download={`${fileName(`${scene.title} ${page ? "page" : shot.name} set-up sheet`)}.pdf`}
        >
          <FileDown size={14} aria-hidden />
          Save as PDF
        </a>
        <Button primary onClick={() => window.print()}>
          <Printer size={14} aria-hidden />
          Print
        </Button>
      </Header>
      <main className="mx-auto my-6 w-[210mm] bg-white p-[12mm] text-[#26251f] print:m-0 print:w-auto print:p-0">
        <SetUpSheet scene={scene} shot={shot} spacing={spacing} page={page} />
      </main>
    </div>
  );
}
