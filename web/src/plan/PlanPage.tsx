import { ChartNoAxesColumnIncreasing, Circle, MousePointer2, Pentagon, RectangleHorizontal, Route, Rows3 } from "lucide-react";
import { useState, type ReactNode } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { Link, useParams } from "react-router";
import { moved } from "@zanvo/core/world";
import { edit, go, redo, undo, useBoard, useShot } from "../board/board";
import { Conflict } from "../board/Conflict";
import { deleteElement, duplicateElement, replaceElement, useChosen } from "../board/desk/blocks";
import { OnBoard } from "../board/OnBoard";
import { ChosenFields } from "../board/panels/ChosenFields";
import { SavingStatus, UndoRedo } from "../board/TopBar";
import { Button } from "../ui";
import { GroundFields } from "./GroundFields";
import { Picture } from "./Picture";
import { Plan } from "./Plan";
import { RepeatFields } from "./RepeatFields";
import { RowFields } from "./RowFields";
import { Things } from "./Things";
import type { PlanTool } from "./plan";

/** The world from above beside the picture of the current shot. */
export function PlanPage() {
  const { id = "" } = useParams();
  return <OnBoard key={id} id={id}><World id={id} /></OnBoard>;
}

const TOOLS: readonly (readonly [PlanTool, string, ReactNode, string])[] = [
  ["choose", "Choose", <MousePointer2 key="c" size={14} aria-hidden />, "Press a thing to choose it, drag it, or its corners; drag an eye or the end of its gaze."],
  ["rectangle", "Rectangle", <RectangleHorizontal key="r" size={14} aria-hidden />, "Draw from one corner to the opposite one, along the main streets."],
  ["ell", "L", null, "Draw from the corner of the L to the opposite one."],
  ["horseshoe", "U", null, "Draw from a corner of the U’s back to the opposite one."],
  ["circle", "Circle", <Circle key="o" size={14} aria-hidden />, "Draw from the middle to the rim."],
  ["polygon", "Polygon", <Pentagon key="p" size={14} aria-hidden />, "Press for each corner; press the first again, or Enter, to close."],
  ["street", "Street", <Route key="s" size={14} aria-hidden />, "Press for each bend of its middle line; press the last again, or Enter, to end it."],
  ["steps", "Steps", <ChartNoAxesColumnIncreasing key="t" size={14} aria-hidden />, "Draw from the middle of the foot up to the head."],
  ["row", "Row of houses", <Rows3 key="h" size={14} aria-hidden />, "Draw along a street side: houses are laid to the right of your way."],
];

function World({ id }: { readonly id: string }) {
  const [tool, setTool] = useState<PlanTool>("choose");
  const title = useBoard((board) => board.scene.title);
  const shots = useBoard((board) => board.scene.shots);
  const rows = useBoard((board) => board.scene.rows);
  const shot = useShot();
  const chosen = useChosen();
  const row = chosen?.kind === "building" ? rows?.find((one) => one.id === chosen.row) : undefined;
  const keys = { preventDefault: true, enabled: true } as const;
  useHotkeys("mod+z", undo, keys);
  useHotkeys("mod+shift+z, mod+y", redo, keys);
  useHotkeys("mod+d", () => chosen && duplicateElement(chosen), keys);
  useHotkeys("delete, backspace", () => chosen && deleteElement(chosen.id));
  useHotkeys("left, right, up, down, shift+left, shift+right, shift+up, shift+down", (event) => {
    const [dx, dy] = ({ ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] } as Readonly<Record<string, readonly [number, number]>>)[event.key] ?? [0, 0];
    const by = event.shiftKey ? 1 : 0.1;
    if (chosen) edit(replaceElement(moved(chosen, dx * by, dy * by)), `move ${chosen.id}`);
  }, keys);
  return (
    <div className="flex h-full flex-col">
      <header className="flex h-10 shrink-0 items-center gap-2 border-b border-hair px-3">
        <Link className="rounded px-1.5 py-1 hover:bg-wash" to={`/scenes/${id}`}>Back to the board</Link>
        <h1 className="truncate font-medium">Plan of {title}</h1>
        <SavingStatus />
        <span className="grow" />
        <UndoRedo />
      </header>
      <Conflict />
      <div className="flex min-h-0 grow">
        <div className="flex min-w-0 grow flex-col">
          <div role="toolbar" aria-label="Plan tools" className="flex shrink-0 flex-wrap items-center gap-1 border-b border-hair px-2 py-1">
            {TOOLS.map(([one, name, icon]) => <Button key={one} on={tool === one} onClick={() => setTool(one)}>{icon}{name}</Button>)}
          </div>
          <p className="shrink-0 truncate px-3 py-1 text-pencil">{TOOLS.find(([one]) => one === tool)?.[3]} Alt: free of corners, street lines and round measures.</p>
          <Plan tool={tool} onTool={setTool} />
        </div>
        <aside className="flex w-[400px] shrink-0 flex-col gap-3 overflow-y-auto border-l border-hair p-3 *:shrink-0">
          <select aria-label="Shot in the picture" className="h-7 w-full rounded border border-hair bg-slip px-1" value={shot.id} onChange={(event) => go({ shotId: event.target.value })}>
            {shots.map((one) => <option key={one.id} value={one.id}>{one.name}</option>)}
          </select>
          <Picture />
          <Things />
          {chosen && <ChosenFields key={chosen.id} element={chosen} />}
          {chosen && <RepeatFields key={`repeat ${chosen.id}`} element={chosen} />}
          {row && chosen?.kind === "building" && <RowFields row={row} house={chosen} />}
          <GroundFields />
        </aside>
      </div>
    </div>
  );
}
