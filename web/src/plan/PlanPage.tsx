import {
  ChartNoAxesColumnIncreasing,
  Circle,
  Grid3x3,
  LandPlot,
  Mountain,
  MousePointer2,
  Pentagon,
  RectangleHorizontal,
  Route,
  Rows3,
  Spline,
  Waves,
} from "lucide-react";
import { useState, type ReactNode } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { Link, useParams } from "react-router";
import { go, redo, undo, useBoard, useShot } from "../board/board";
import { useCarrying } from "../board/carry";
import { Conflict } from "../board/Conflict";
import { deleteMany, duplicateMany, moveMany, useMany } from "../board/many";
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
import { Things } from "./Things";
import type { PlanTool } from "./plan";

/** The world from above beside the picture of the current shot. */
export function PlanPage() {
  const { id = "" } = useParams();
  return (
    <OnBoard key={id} id={id}>
      <World id={id} />
    </OnBoard>
  );
}

const TOOLS: readonly (readonly [PlanTool, string, ReactNode, string])[] = [
  [
    "choose",
    "Choose",
    <MousePointer2 key="c" size={14} aria-hidden />,
    "Press a thing to choose it; drag it, its corners, an eye or the end of its gaze. Shift: several, or a rectangle of them.",
  ],
  [
    "rectangle",
    "Rectangle",
    <RectangleHorizontal key="r" size={14} aria-hidden />,
    "Draw from one corner to the opposite one, along the main streets.",
  ],
  ["ell", "L", null, "Draw from the corner of the L to the opposite one."],
  ["horseshoe", "U", null, "Draw from a corner of the U’s back to the opposite one."],
  ["circle", "Circle", <Circle key="o" size={14} aria-hidden />, "Draw from the middle to the rim."],
  [
    "polygon",
    "Polygon",
    <Pentagon key="p" size={14} aria-hidden />,
    "Press for each corner; press the first again, or Enter, to close.",
  ],
  [
    "row",
    "Row of houses",
    <Rows3 key="h" size={14} aria-hidden />,
    "Draw along a street side: houses are laid to the right of your way.",
  ],
  [
    "lot",
    "Lot",
    <LandPlot key="l" size={14} aria-hidden />,
    "Press for each corner of a lot; closed, it is built up around its rim.",
  ],
  [
    "skyline",
    "Skyline",
    <Mountain key="m" size={14} aria-hidden />,
    "Press for each bend of a line far away, its rows to the right of your way; press the last again, or Enter, to end it.",
  ],
  [
    "street",
    "Street",
    <Route key="s" size={14} aria-hidden />,
    "Press for each bend of its middle line; press the last again, or Enter, to end it.",
  ],
  [
    "steps",
    "Steps",
    <ChartNoAxesColumnIncreasing key="t" size={14} aria-hidden />,
    "Draw from the middle of the foot up to the head.",
  ],
  [
    "square",
    "Square",
    <Grid3x3 key="q" size={14} aria-hidden />,
    "Press for each corner; press the first again, or Enter, to close.",
  ],
  [
    "canal",
    "Canal",
    <Waves key="w" size={14} aria-hidden />,
    "Press for each bend of its middle line, the way the water falls; press the last again, or Enter, to end it.",
  ],
  ["bridge", "Bridge", <Spline key="b" size={14} aria-hidden />, "Draw from one end of its deck to the other."],
];

function World({ id }: { readonly id: string }) {
  const [tool, setTool] = useState<PlanTool>("choose");
  const title = useBoard((board) => board.scene.title);
  const shots = useBoard((board) => board.scene.shots);
  const rows = useBoard((board) => board.scene.rows);
  const shot = useShot();
  const many = useMany();
  const chosen = many.length === 1 ? many[0] : undefined;
  const row = chosen?.kind === "building" ? rows?.find((one) => one.id === chosen.row) : undefined;
  const keys = { preventDefault: true, enabled: true } as const;
  useHotkeys("mod+z", undo, keys);
  useHotkeys("mod+shift+z, mod+y", redo, keys);
  useHotkeys("mod+d", () => many.length > 0 && duplicateMany(many), keys);
  useHotkeys("delete, backspace", () => many.length > 0 && deleteMany(many));
  useCarrying();
  useHotkeys(
    "left, right, up, down, shift+left, shift+right, shift+up, shift+down",
    (event) => {
      const [dx, dy] = (
        { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] } as Readonly<
          Record<string, readonly [number, number]>
        >
      )[event.key] ?? [0, 0];
      const by = event.shiftKey ? 1 : 0.1;
      moveMany(many, dx * by, dy * by);
    },
    keys,
  );
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
            {TOOLS.map(([one, name, icon]) => (
              <Button key={one} on={tool === one} onClick={() => setTool(one)}>
                {icon}
                {name}
              </Button>
            ))}
          </div>
          <p className="shrink-0 truncate px-3 py-1 text-pencil">
            {TOOLS.find(([one]) => one === tool)?.[3]} Alt: snap to nothing.
          </p>
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
          {row && chosen?.kind === "building" && <RowFields row={row} house={chosen} />}
          <GroundFields />
        </aside>
      </div>
    </div>
  );
}
