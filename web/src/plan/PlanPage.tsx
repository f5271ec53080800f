import type { Element } from "@zanvo/core/world";
import { ARROWS, arrowBy } from "../ui/arrows";
import { useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { Link, useParams } from "react-router";
import { useCarrying } from "../document/carry";
import { Conflict } from "../board/Conflict";
import { OnBoard } from "../board/OnBoard";
import { ChosenFields } from "../board/panels/ChosenFields";
import { SavingStatus, UndoRedo } from "../board/TopBar";
import { Button, Guarded } from "../ui";
import { CarryFields } from "./CarryFields";
import { GroundFields } from "./GroundFields";
import { ManyFields } from "./ManyFields";
import { Picture } from "./Picture";
import { Plan } from "./Plan";
import { RepeatFields } from "./RepeatFields";
import { RowFields } from "./RowFields";
import { ScaleFields } from "./ScaleFields";
import { Things } from "./Things";
import { CHOOSE, TOOLS, type PlanTool } from "./tools";
import { useDocument, undo, redo, useMany, go, useShot } from "../document";
import { moveMany, deleteMany, duplicateMany } from "../document/elements";

/** The world from above beside the picture of the current shot. */
export function PlanPage() {
  const { id = "" } = useParams();
  return (
    <OnBoard key={id} id={id}>
      <World id={id} />
    </OnBoard>
  );
}

/** The keys of the plan: undo, and what is done to all that is chosen. */
function usePlanKeys(many: readonly Element[]): void {
  const keys = { preventDefault: true, enabled: true } as const;
  useHotkeys("mod+z", undo, keys);
  useHotkeys("mod+shift+z, mod+y", redo, keys);
  useHotkeys("mod+d", () => many.length > 0 && duplicateMany(many), keys);
  useHotkeys("delete, backspace", () => many.length > 0 && deleteMany(many));
  useCarrying();
  useHotkeys(
    ARROWS,
    (event) => {
      const by = arrowBy(event, 0.1);
      // North is up.
      if (by) moveMany(many, by[0], -by[1]);
    },
    keys,
  );
}

function World({ id }: { readonly id: string }) {
  const [tool, setTool] = useState<PlanTool>(CHOOSE);
  const title = useDocument((document) => document.scene.title);
  const shots = useDocument((document) => document.scene.shots);
  const rows = useDocument((document) => document.scene.rows);
  const shot = useShot();
  const many = useMany();
  const chosen = many.length === 1 ? many[0] : undefined;
  const row = chosen?.kind === "building" ? rows?.find((one) => one.id === chosen.row) : undefined;
  usePlanKeys(many);
  return (
    <div className="flex h-full flex-col">
      <header className="flex h-10 shrink-0 items-center gap-2 border-b border-hair px-3">
        <Link className="rounded px-1.5 py-1 hover:bg-wash" to={`/scenes/${id}`}>
          Back to the board
        </Link>
        <h1 className="truncate font-medium">Plan of {title}</h1>
        <SavingStatus />
        <span className="grow" />
        <UndoRedo />
      </header>
      <Conflict />
      <div className="flex min-h-0 grow">
        <div className="flex min-w-0 grow flex-col">
          <div
            role="toolbar"
            aria-label="Plan tools"
            className="flex shrink-0 flex-wrap items-center gap-1 border-b border-hair px-2 py-1"
          >
            {TOOLS.map((one) => (
              <Button key={one.id} on={tool === one} onClick={() => setTool(one)}>
                {one.icon}
                {one.label}
              </Button>
            ))}
          </div>
          <p className="shrink-0 truncate px-3 py-1 text-pencil">{tool.hint} Alt: snap to nothing.</p>
          <Guarded what="The plan">
            <Plan tool={tool} onTool={setTool} />
          </Guarded>
        </div>
        <aside className="flex w-[400px] shrink-0 flex-col gap-3 overflow-y-auto border-l border-hair p-3 *:shrink-0">
          <select
            aria-label="Shot in the picture"
            className="h-7 w-full rounded border border-hair bg-slip px-1"
            value={shot.id}
            onChange={(event) => go({ shotId: event.target.value })}
          >
            {shots.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </select>
          <Guarded what="The picture">
            <Picture />
          </Guarded>
          <Guarded what="The list of things">
            <Things />
          </Guarded>
          <CarryFields />
          {many.length > 1 && <ManyFields key={many.map(({ id: one }) => one).join(" ")} things={many} />}
          {chosen && <ChosenFields key={chosen.id} element={chosen} />}
          {chosen && <RepeatFields key={`repeat ${chosen.id}`} element={chosen} />}
          {many.length > 0 && <ScaleFields key={`scale ${many.map(({ id: one }) => one).join(" ")}`} things={many} />}
          {row && chosen?.kind === "building" && <RowFields row={row} house={chosen} />}
          <GroundFields />
        </aside>
      </div>
    </div>
  );
}
