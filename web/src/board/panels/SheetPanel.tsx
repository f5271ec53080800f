import { sentence, mm } from "@zanvo/core/units";
import { templateOf } from "@zanvo/core/beginnings";
import { ToldError, toldBy } from "@zanvo/core/problem";
import { useState } from "react";
import {
  frameOn,
  GUTTER,
  onSheet,
  pageOf,
  pageOnSheet,
  PAPERS,
  sheetOf,
  splitPanel,
  withPaper,
  type Sheet,
  type Shot,
} from "@zanvo/core/scene";
import { sceneMeasure } from "@zanvo/core/schema";
import { createScene, deleteScene } from "../../api";
import { newId } from "../../id";
import { Button, Fold, MeasureField, NumberField, Select, useWork } from "../../ui";
import { ToolsFields } from "./ToolsFields";
import { freeName } from "../../document";
import { BeginFields } from "./BeginFields";
import { PageFields, PageSketch, ShapeFields } from "../page";
import { HeldToPhoto, OfView } from "./Held";
import { useStores, type Stores } from "../../stores";

/** The sheet of the current shot exchanged, with all panels that lie on it. */
const changeSheet = (stores: Stores, next: Sheet): void =>
  stores.edit((scene) => {
    const page = pageOf(stores.useDocument.getState().scene, stores.currentShot());
    const placed = new Map(
      pageOnSheet(page, withPaper(stores.currentShot().sheet, next)).map((shot) => [shot.id, shot]),
    );
    scene.shots = scene.shots.map((shot) => placed.get(shot.id) ?? shot);
  });

/** The current panel split in two, both on one page. */
function split(stores: Stores, how: "beside" | "below", gutter: number): void {
  const shot = stores.currentShot();
  const pair = splitPanel(shot, how, gutter, {
    id: newId(),
    name: freeName("Shot", stores.useDocument.getState().scene.shots),
    page: shot.page ?? newId(),
  });
  stores.edit(
    (scene) =>
      void scene.shots.splice(
        scene.shots.findIndex(({ id }) => id === shot.id),
        1,
        ...pair,
      ),
  );
}

/** Where the scene is set. */
function Place() {
  const { useDocument, edit } = useStores();
  const place = useDocument((document) => document.scene.place ?? "");
  return (
    <label className="flex items-center justify-between gap-2">
      <span className="text-pencil">Place</span>
      <input
        className="h-7 w-40 rounded border border-hair bg-transparent px-1.5"
        maxLength={200}
        value={place}
        onChange={({ target: { value } }) =>
          edit((scene) => {
            if (value) scene.place = value;
            else delete scene.place;
          }, "place")
        }
      />
    </label>
  );
}

/** The paper: one that can be bought, or any. */
function PaperFields({ sheet }: { readonly sheet: Sheet }) {
  const stores = useStores();
  const landscape = sheet.width > sheet.height;
  const paper = PAPERS.find((one) => one.id === sheet.paper);
  const turn = (across: boolean) => {
    if (across !== landscape)
      changeSheet(stores, paper ? sheetOf(paper, across) : { width: sheet.height, height: sheet.width });
  };
  const take = (id: string) => {
    const chosen = PAPERS.find((one) => one.id === id);
    changeSheet(stores, chosen ? sheetOf(chosen, landscape) : { width: sheet.width, height: sheet.height });
  };
  return (
    <>
      <Select
        labelled
        label="Paper"
        className="w-40"
        value={paper?.id ?? "custom"}
        options={[...PAPERS.map(({ id }) => [id, id] as const), ["custom", "Custom"]]}
        onChange={take}
      />
      <div className="flex gap-2">
        <Button className="grow" on={!landscape} onClick={() => turn(false)}>
          Portrait
        </Button>
        <Button className="grow" on={landscape} onClick={() => turn(true)}>
          Landscape
        </Button>
      </div>
      {(["width", "height"] as const).map((side) => (
        <MeasureField
          key={side}
          measure={sceneMeasure(`shots/*/sheet/${side}`)}
          value={sheet[side]}
          onChange={(to) => changeSheet(stores, { width: sheet.width, height: sheet.height, [side]: to })}
        />
      ))}
    </>
  );
}

/** The panel on the sheet. */
function PanelFields({ sheet, frame }: Pick<Shot, "sheet" | "frame">) {
  const { edit, onShot } = useStores();
  const put = (change: Partial<typeof frame>) => {
    const next = { ...frame, ...change };
    const [over, below] = [next.x + next.width - sheet.width, next.y + next.height - sheet.height];
    if (over > 1e-6 || below > 1e-6)
      throw new ToldError(sentence`The panel would lie ${mm(Math.max(over, below))} beyond the sheet.`);
    edit(
      onShot((shot) => ({ ...shot, frame: next })),
      "frame",
    );
  };
  return (
    <>
      <h3 className="pt-2 font-medium">Panel</h3>
      {(["x", "y", "width", "height"] as const).map((side) => (
        <MeasureField
          key={side}
          measure={sceneMeasure(`shots/*/frame/${side}`)}
          value={frame[side]}
          onChange={(to) => put({ [side]: to })}
        />
      ))}
      <Button className="w-full" onClick={() => edit(onShot((shot) => onSheet(shot, shot.sheet, frameOn(shot.sheet))))}>
        {sheet.live ? "Panel on the live area" : "Panel 15 mm inside"}
      </Button>
    </>
  );
}

/** The panel split in two. */
function SplitFields({ frame }: Pick<Shot, "frame">) {
  const stores = useStores();
  const [gutter, setGutter] = useState(GUTTER);
  return (
    <>
      <h3 className="pt-2 font-medium">Panels on this page</h3>
      <NumberField label="Gutter" unit="mm" value={gutter} min={0} max={50} onChange={setGutter} />
      <div className="flex gap-2">
        <Button className="grow" disabled={frame.width < gutter + 20} onClick={() => split(stores, "beside", gutter)}>
          Split in two ↔
        </Button>
        <Button className="grow" disabled={frame.height < gutter + 20} onClick={() => split(stores, "below", gutter)}>
          Split in two ↕
        </Button>
      </div>
    </>
  );
}

/** The desk kept for new scenes: a template on the shelf. */
function KeepAsTemplate() {
  const { useDocument, currentShot, say } = useStores();
  const work = useWork("Keeping the template");
  const keep = () =>
    work.run(async () => {
      const { scene } = useDocument.getState();
      const title = `${scene.title}, desk`.slice(0, 200);
      const { id, revision } = await createScene(JSON.stringify(templateOf(scene, currentShot(), title)));
      say(`“${title}” is kept as a template: new scenes offer it, and it stands on the shelf.`, {
        label: "Undo",
        run: () => void deleteScene(id, revision).catch((error: unknown) => say(toldBy(error))),
      });
    });
  return (
    <Button className="w-full" disabled={work.busy} onClick={() => void keep()}>
      Keep this desk as a template
    </Button>
  );
}

/** Paper and panel frame. The picture in the panel is kept when the paper changes. */
export function SheetPanel() {
  const { useShot } = useStores();
  const { sheet, frame } = useShot();
  return (
    <div className="space-y-2">
      <BeginFields />
      <Place />
      <HeldToPhoto />
      <OfView>
        <PaperFields sheet={sheet} />
        <PanelFields sheet={sheet} frame={frame} />
        <SplitFields frame={frame} />
        <ShapeFields />
        <PageSketch />
        <PageFields />
      </OfView>
      <Fold title="My tools">
        <ToolsFields />
      </Fold>
      <KeepAsTemplate />
    </div>
  );
}
