import type { Element } from "@zanvo/core/world";
import { Grid2x2 } from "lucide-react";
import { useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { useParams } from "react-router";
import { ChosenFields } from "../board/panels/ChosenFields";
import { useCarrying } from "../document/carry";
import { deleteMany, duplicateMany, moveMany } from "../document/elements";
import { ANYWHERE, type Keys } from "../page/keys";
import { OpenedScene } from "../page/OpenedScene";
import { Page } from "../page/Page";
import { Button, Fold, Guarded, Select } from "../ui";
import { ARROWS, arrowBy } from "../ui/arrows";
import { CarryFields } from "./CarryFields";
import { GroundFields } from "./GroundFields";
import { KitsToLay } from "./KitsToLay";
import { ManyFields } from "./ManyFields";
import { Picture } from "./Picture";
import { PlaceFields } from "./PlaceFields";
import { Plan } from "./Plan";
import { ShotFields } from "./ShotFields";
import { RepeatFields } from "./RepeatFields";
import { RowFields } from "./RowFields";
import { rowOf } from "./rows";
import { ScaleFields } from "./ScaleFields";
import { Things } from "./Things";
import { CHOOSE, TOOLS, type PlanTool } from "./tools";
import { useStores } from "../stores";

/** The world from above beside the picture of the current shot. */
export function PlanPage() {
  const { id = "" } = useParams();
  return (
    <OpenedScene key={id} id={id}>
      <World id={id} />
    </OpenedScene>
  );
}

/** What the keys do, as told to the person. */
const KEYS: Keys = [
  ["Arrows, Enter", "With a tool taken up, or nothing chosen: move a cursor over the plan, and press there"],
  ["Arrows", "Move what is chosen by 0.1 m; with Shift by 1 m"],
  ["Ctrl+D", "Duplicate what is chosen"],
  ["Delete", "Delete what is chosen"],
  ["Ctrl+C, Ctrl+X, Ctrl+V", "Copy or cut what is chosen, and lay it down here or in another scene"],
  ["Enter", "End the line that is drawn"],
  ["Esc", "Cancel what is being drawn, put the tool down, or choose nothing"],
  ["Alt", "Snap to nothing"],
  ["Shift", "While drawing or dragging: stay on the line that was caught"],
];

/** The keys of the plan: what is done to all that is chosen; Escape puts the tool down from anywhere on the page. */
function usePlanKeys(many: readonly Element[], onTool: (tool: PlanTool) => void): void {
  const stores = useStores();
  const keys = { ...ANYWHERE, preventDefault: true };
  useHotkeys("mod+d", () => many.length > 0 && duplicateMany(stores, many), keys);
  useHotkeys("delete, backspace", () => many.length > 0 && deleteMany(stores, many), ANYWHERE);
  useHotkeys(
    "escape",
    // On the plan it first gives up what is being drawn.
    () => !document.activeElement?.closest('[role="application"], [role="dialog"]') && onTool(CHOOSE),
    ANYWHERE,
  );
  useCarrying();
  useHotkeys(
    ARROWS,
    (event) => {
      const by = arrowBy(event, 0.1);
      // North is up.
      if (by) moveMany(stores, many, by[0], -by[1]);
    },
    keys,
  );
}

interface PlanToolsProps {
  readonly tool: PlanTool;
  readonly onTool: (tool: PlanTool) => void;
  readonly grid: boolean;
  readonly onGrid: (on: boolean) => void;
}

function PlanTools({ tool, onTool, grid, onGrid }: PlanToolsProps) {
  return (
    <>
      <div
        role="toolbar"
        aria-label="Plan tools"
        className={
          "flex shrink-0 flex-wrap items-center gap-0.5 border-b border-hair px-2 py-1 [&_button]:min-w-6 " +
          "[&_button]:gap-1 [&_button]:px-1 [&_button]:text-[12px]"
        }
      >
        {TOOLS.map((one) => (
          <Button
            key={one.id}
            on={tool === one}
            {...(one.iconOnly ? { "aria-label": one.label, title: one.label } : {})}
            onClick={() => onTool(one)}
          >
            {one.icon}
            {!one.iconOnly && one.label}
          </Button>
        ))}
        <Button on={grid} aria-label="Grid" title="Grid" onClick={() => onGrid(!grid)}>
          <Grid2x2 size={14} aria-hidden />
        </Button>
      </div>
      <p className="shrink-0 truncate px-3 py-1 text-pencil">
        {tool.hint} Alt: snap to nothing{tool.gesture === "choose" ? "." : "; Shift: stay on the line."}
      </p>
    </>
  );
}

/** What is chosen on the plan, in numbers. */
function ChosenOnPlan() {
  const { useMany, useDocument } = useStores();
  const many = useMany();
  const rows = useDocument((document) => document.scene.rows);
  const chosen = many.length === 1 ? many[0] : undefined;
  const rolled = chosen && rowOf(chosen, rows);
  const all = many.map(({ id }) => id).join(" ");
  return (
    <>
      {many.length > 1 && <ManyFields key={all} things={many} />}
      {chosen && <ChosenFields key={chosen.id} element={chosen} />}
      {chosen && <PlaceFields key={`place ${chosen.id}`} element={chosen} />}
      {chosen && <RepeatFields key={`repeat ${chosen.id}`} element={chosen} />}
      {many.length > 0 && <ScaleFields key={`scale ${all}`} things={many} />}
      {rolled && <RowFields {...rolled} />}
    </>
  );
}

function World({ id }: { readonly id: string }) {
  const { useDocument, useShot, useMany, go } = useStores();
  const [tool, setTool] = useState<PlanTool>(CHOOSE);
  const [grid, setGrid] = useState(false);
  const [brought, setBrought] = useState(0);
  const title = `Plan of ${useDocument((document) => document.scene.title)}`;
  const shots = useDocument((document) => document.scene.shots);
  const shot = useShot();
  usePlanKeys(useMany(), setTool);
  return (
    <Page name={title} title={title} back={[`/scenes/${id}`, "Board"]} guide="plan" keys={KEYS}>
      <div className="flex min-w-0 grow flex-col">
        <PlanTools tool={tool} onTool={setTool} grid={grid} onGrid={setGrid} />
        <Guarded what="The plan">
          <Plan tool={tool} onTool={setTool} grid={grid} brought={brought} />
        </Guarded>
      </div>
      <aside className="flex w-[400px] shrink-0 flex-col gap-3 overflow-y-auto border-l border-hair p-3 *:shrink-0">
        <Select
          label="Shot in the picture"
          value={shot.id}
          options={shots.map((one) => [one.id, one.name])}
          onChange={(shotId) => go({ shotId })}
        />
        <Guarded what="The picture">
          <Picture />
        </Guarded>
        <ShotFields />
        <Guarded what="The list of things">
          <Things />
        </Guarded>
        <Fold title="Kits">
          <KitsToLay tool={tool} onTool={setTool} />
        </Fold>
        <CarryFields />
        <ChosenOnPlan />
        <GroundFields onBrought={() => setBrought((count) => count + 1)} />
      </aside>
    </Page>
  );
}
