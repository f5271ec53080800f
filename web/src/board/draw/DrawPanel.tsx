import {
  AlignHorizontalSpaceAround,
  Circle,
  Eraser,
  Grid2x2,
  MousePointer2,
  Pencil,
  Ruler,
  Spline,
  Square,
  type LucideIcon,
} from "lucide-react";
import { partsOf } from "@zanvo/core/rhythm";
import { levelAt, type Weight } from "@zanvo/core/lines";
import { FITS } from "@zanvo/core/rhythm";
import { pinsOf } from "@zanvo/core/vanishing";
import { viewOf } from "@zanvo/core/shot";
import { Button, Check, Choice, Fold, NumberField, Select, TextField, useTypedDigits } from "../../ui";
import { useBoard } from "../useBoard";
import type { Begun, DrawTool, Surface } from "./createDraw";
import { ChosenLines } from "./ChosenLines";
import { RecipePanel } from "./RecipePanel";
import { toggleHold, togglePlane } from "./DrawSurface";
import { lengthOf } from "./aiming";
import { FIT_NAMES } from "./names";
import { finishCorners, openFlat, takeLength } from "./hand";
import { useChosenLines } from "./useOwnLines";

const TOOLS: readonly (readonly [DrawTool, string, LucideIcon, string])[] = [
  ["choose", "Choose", MousePointer2, "Press a line to choose it, with Shift several; drag it, or its ends."],
  [
    "rule",
    "Rule a line",
    Ruler,
    "Press and drag: the line catches the set that it nearly aims at. Alt: it catches nothing.",
  ],
  ["pencil", "Pencil", Pencil, "Draw freely. A pen that is pressed harder draws wider."],
  ["eraser", "Eraser", Eraser, "Drag over lines of your own to cut them."],
  ["rectangle", "Rectangle", Square, "Drag from corner to corner."],
  ["corners", "From corner to corner", Spline, "Press each corner; Enter ends, the first corner closes."],
  ["circle", "Circle", Circle, "Drag from the centre out."],
  ["steps", "Steps along a line", AlignHorizontalSpaceAround, "Drag along a line: it is divided towards its point."],
  ["quad", "Divide four corners", Grid2x2, "Press the four corners of a wall in their order around."],
];

/** Tools that are taken up from what is chosen. */
const OF_CHOSEN: Readonly<Partial<Record<DrawTool, string>>> = {
  trim: "Press the part of a ruled line that is to go.",
  extend: "Press a ruled line near the end that is to go on.",
};

const WEIGHT_NAMES: Readonly<Record<Weight, string>> = { light: "Light", medium: "Medium", heavy: "Heavy" };

function Tools() {
  const { useDraw, takeUp } = useBoard();
  const tool = useDraw((draw) => draw.tool);
  const hint = TOOLS.find(([id]) => id === tool)?.[3] ?? OF_CHOSEN[tool];
  return (
    <>
      <div role="toolbar" aria-label="Drawing tools" className="flex justify-between">
        {TOOLS.map(([id, label, Icon]) => (
          <button
            key={id}
            type="button"
            aria-label={label}
            title={label}
            aria-pressed={id === tool}
            className={
              "inline-flex size-[26px] items-center justify-center rounded " +
              `${id === tool ? "bg-wash text-accent" : "text-ink hover:bg-wash"}`
            }
            onClick={() => takeUp(id)}
          >
            <Icon size={16} strokeWidth={1.7} aria-hidden />
          </button>
        ))}
      </div>
      <p className="text-pencil">{hint}</p>
    </>
  );
}

/** What lines that are drawn next belong to. */
function SurfaceField() {
  const board = useBoard();
  const { useDraw, drawWith } = board;
  const surface = useDraw((draw) => draw.surface);
  const under = useDraw((draw) => draw.under);
  const held = typeof surface === "object" ? surface : null;
  const level = held?.tilt === 0 && held.heading === 90 && held.origin.x === 0 && held.origin.y === 0;
  const value = held ? (level ? (held.origin.z === 0 ? "ground" : "level") : "held") : String(surface);
  const choose: Readonly<Record<string, Surface>> = {
    sheet: "sheet",
    under: "under",
    ground: levelAt("Ground", 0),
    level: levelAt("Level", 3),
  };
  return (
    <>
      <Select
        labelled
        label="Belongs to"
        className="min-w-0 grow"
        value={value}
        options={[
          ["sheet", "the sheet"],
          ["under", "the plane under the hand"],
          ["ground", "the ground"],
          ["level", "a level"],
          ...(held && !level ? [["held", held.name] as const] : []),
        ]}
        onChange={(id) => id !== "held" && drawWith({ surface: choose[id] })}
      />
      {value === "level" && held && (
        <NumberField
          label="Height"
          unit="m"
          digits={2}
          min={-1000}
          max={10_000}
          value={held.origin.z}
          onChange={(z) => drawWith({ surface: levelAt("Level", z) })}
        />
      )}
      {held && (
        <Button className="w-full" onClick={() => openFlat(board, held)}>
          Open {level ? "it" : "the plane"} flat, to scale
        </Button>
      )}
      {value === "under" && (
        <Held title="P" can={under !== null} onPress={togglePlane}>
          {under ? `Hold ${under.plane.name}` : "Hold this plane"}
        </Held>
      )}
    </>
  );
}

/** A button that holds what the hand has caught, for those without a keyboard. */
function Held({
  title,
  can,
  onPress,
  children,
}: {
  readonly title: string;
  readonly can: boolean;
  readonly onPress: (board: ReturnType<typeof useBoard>) => void;
  readonly children: string;
}) {
  const board = useBoard();
  return (
    <Button className="w-full" title={title} disabled={!can} onClick={() => onPress(board)}>
      <span className="truncate">{children}</span>
    </Button>
  );
}

/** Which set lines aim at. */
function AimField() {
  const { useDocument, useShot, useDraw, drawWith } = useBoard();
  const orientations = useDocument((document) => document.scene.orientations);
  const pins = pinsOf(orientations, useShot()).filter(({ opposite }) => !opposite);
  const hold = useDraw((draw) => draw.hold);
  const free = useDraw((draw) => draw.free);
  const aim = useDraw((draw) => draw.begun?.aim);
  return (
    <>
      <Select
        labelled
        label="Aims at"
        className="min-w-0 grow"
        value={free ? "free" : (hold ?? "near")}
        options={[
          ["near", "the set it nearly aims at"],
          ["free", "nothing"],
          ...pins.map(({ id, name }) => [id, name] as const),
        ]}
        onChange={(id) => drawWith({ free: id === "free", hold: id === "near" || id === "free" ? null : id })}
      />
      {(aim ?? hold) && (
        <Held title="H" can onPress={toggleHold}>
          {hold === null ? `Hold ${aim?.pin.name ?? "this set"}` : "Let go of the set"}
        </Held>
      )}
    </>
  );
}

/** The length of the line that is being drawn, to be typed instead: a digit typed anywhere goes here. */
function BegunFields({ begun }: { readonly begun: Begun }) {
  const board = useBoard();
  const { useDraw, setBegun, useShot } = board;
  const tool = useDraw((draw) => draw.tool);
  const view = viewOf(useShot());
  const field = useTypedDigits();
  const from = begun.points[begun.points.length - 1];
  let length = 0;
  try {
    length = lengthOf({ view, plane: begun.plane }, from, begun.to);
  } catch {
    // The hand has left the plane: there is no length just now.
  }
  const measured = tool === "rule" || tool === "steps" || tool === "circle";
  return (
    <div className="space-y-2 rounded border border-accent p-2">
      {begun.plane && <p className="text-pencil">On {begun.plane.name}</p>}
      {measured && (
        <NumberField
          inputRef={field}
          label={tool === "circle" ? "Radius" : "Length"}
          unit={begun.plane ? "m" : "mm"}
          digits={begun.plane ? 2 : 1}
          min={0.01}
          max={1e6}
          value={length}
          onChange={(to) => {
            takeLength(board, to);
            if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
          }}
          onCancel={() => setBegun(null)}
        />
      )}
      {tool === "corners" && (
        <Button className="w-full" onClick={() => finishCorners(board)}>
          Done (Enter)
        </Button>
      )}
      <Button className="w-full" onClick={() => setBegun(null)}>
        Cancel (Esc)
      </Button>
    </div>
  );
}

/** What the tool in the hand draws with. */
function ToolFields() {
  const { useDraw, drawWith } = useBoard();
  const { tool, weight, straighten, smoothing, wall, parts, fit, eraser } = useDraw();
  const aims = tool === "rule" || tool === "steps" || tool === "corners";
  const draws = tool !== "choose" && tool !== "eraser" && tool !== "trim" && tool !== "extend";
  return (
    <>
      {draws && (
        <Choice label="Weight" value={weight} options={WEIGHT_NAMES} onChange={(to) => drawWith({ weight: to })} />
      )}
      {draws && tool !== "quad" && <SurfaceField />}
      {aims && <AimField />}
      {(tool === "steps" || tool === "quad") && (
        <TextField
          label={tool === "quad" ? "Columns: a number, or a rhythm" : "Parts: a number, or a rhythm"}
          value={parts}
          onChange={(text) => {
            partsOf(text, "");
            drawWith({ parts: text });
          }}
        />
      )}
      {tool === "quad" && (
        <Check label="Take the corners of the wall I press" checked={wall} onChange={(to) => drawWith({ wall: to })} />
      )}
      {tool === "steps" && (
        <Select
          labelled
          label="What remains"
          value={fit}
          options={FITS.map((id) => [id, FIT_NAMES[id]])}
          onChange={(to) => drawWith({ fit: to })}
        />
      )}
      {tool === "pencil" && (
        <>
          <Check
            label="Straighten to the set it aims at"
            checked={straighten}
            onChange={(to) => drawWith({ straighten: to })}
          />
          <Select
            labelled
            label="Smoothing"
            value={String(smoothing)}
            options={[
              ["0", "as drawn"],
              ["1", "a little"],
              ["8", "much"],
            ]}
            onChange={(to) => drawWith({ smoothing: Number(to) })}
          />
        </>
      )}
      {tool === "eraser" && (
        <NumberField
          label="Radius"
          unit="mm"
          min={0.5}
          max={50}
          value={eraser}
          onChange={(to) => drawWith({ eraser: to })}
        />
      )}
    </>
  );
}

/** Lines of one's own: ruled, drawn freely, divided. */
export function DrawPanel() {
  const { useDraw } = useBoard();
  const begun = useDraw((draw) => draw.begun);
  const chosen = useChosenLines();
  const stroke = (begun?.samples.length ?? 0) > 0;
  return (
    <div className="space-y-2">
      <Tools />
      {begun && !stroke ? <BegunFields begun={begun} /> : <ToolFields />}
      {chosen.length > 0 && !begun && <ChosenLines lines={chosen} />}
      <Fold title="How it is made">
        <RecipePanel />
      </Fold>
    </div>
  );
}
