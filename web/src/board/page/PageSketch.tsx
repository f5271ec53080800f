import { useRef, useState, type PointerEvent } from "react";
import type { Rect, Vec2 } from "@zanvo/core/geometry";
import { boxesOfRows, GUTTER, pageLike, panelsOfSketch } from "@zanvo/core/scene";
import { newId } from "../../id";
import { useStores } from "../../stores";
import { Button, Fold, NumberField, Select } from "../../ui";
import { boxBetween, liveOf, rowsIn } from "./pages";

/** The small page is so wide, px. */
const WIDE = 190;
const FROM = [
  ["left", "left to right"],
  ["right", "right to left"],
] as const;

/** A place of the small page as shares of it. */
function shareAt({ currentTarget, clientX, clientY }: PointerEvent<SVGSVGElement>): Vec2 {
  const { left, top, width, height } = currentTarget.getBoundingClientRect();
  const clamp = (share: number) => Math.min(1, Math.max(0, share));
  return [clamp((clientX - left) / width), clamp((clientY - top) / height)];
}

interface SmallPageProps {
  readonly area: Rect;
  readonly panels: readonly Rect[];
  readonly onBox: (box: Rect) => void;
}

/** The page in small, on which boxes are drawn; what they come to lies under them, numbered as it is read. */
function SmallPage({ area, panels, onBox }: SmallPageProps) {
  const begun = useRef<Vec2 | null>(null);
  const [open, setOpen] = useState<Rect | null>(null);
  const scale = WIDE / area.width;
  const px = ({ x, y, width, height }: Rect) => ({
    x: x * scale,
    y: y * scale,
    width: width * scale,
    height: height * scale,
  });
  const end = () => {
    if (open) onBox(open);
    begun.current = null;
    setOpen(null);
  };
  return (
    <svg
      role="img"
      aria-label={`A small page with ${panels.length} panels; draw boxes on it`}
      width={WIDE}
      height={area.height * scale}
      className="mx-auto block cursor-crosshair touch-none select-none border border-hair bg-paper"
      onPointerDown={(event) => {
        // Nothing around it is selected by the stroke.
        event.preventDefault();
        event.currentTarget.setPointerCapture(event.pointerId);
        begun.current = shareAt(event);
      }}
      onPointerMove={(event) => begun.current && setOpen(boxBetween(begun.current, shareAt(event)))}
      onPointerUp={end}
      onPointerCancel={() => {
        begun.current = null;
        setOpen(null);
      }}
    >
      {panels.map((panel, i) => {
        const { x, y, width, height } = px({ ...panel, x: panel.x - area.x, y: panel.y - area.y });
        return (
          <g key={i}>
            <rect x={x} y={y} width={width} height={height} className="fill-paper stroke-[#2b2a27]" strokeWidth={1} />
            <text x={x + width / 2} y={y + height / 2 + 4} textAnchor="middle" className="fill-[#2b2a27] text-[11px]">
              {i + 1}
            </text>
          </g>
        );
      })}
      {open && (
        <rect
          {...px({
            x: open.x * area.width,
            y: open.y * area.height,
            width: open.width * area.width,
            height: open.height * area.height,
          })}
          className="fill-none stroke-accent"
          strokeDasharray="4 3"
        />
      )}
    </svg>
  );
}

/** A new page from boxes in a small one: rough edges become common lines, with gutters between. */
export function PageSketch() {
  const { useShot, useDocument, edit, go } = useStores();
  const shot = useShot();
  const [boxes, setBoxes] = useState<readonly Rect[]>([]);
  const [rows, setRows] = useState("");
  const [gutter, setGutter] = useState(GUTTER);
  const [from, setFrom] = useState<"left" | "right">("left");
  const pages = useDocument(({ scene }) => new Set(scene.shots.flatMap(({ page }) => page ?? [])).size);
  const area = liveOf(shot.sheet);
  const panels = panelsOfSketch(boxes, area, gutter, from);
  const typed = (text: string) => {
    setRows(text);
    const counts = rowsIn(text);
    if (counts) setBoxes(boxesOfRows(counts));
  };
  const make = () => {
    const page = newId();
    const made = pageLike(
      shot,
      page,
      panels.map((frame, i) => ({ id: newId(), name: `Page ${pages + 1}, panel ${i + 1}`, frame })),
    );
    edit((scene) => void scene.shots.splice(scene.shots.findIndex(({ id }) => id === shot.id) + 1, 0, ...made));
    go({ shotId: made[0].id });
    setBoxes([]);
    setRows("");
  };
  return (
    <Fold title="A page from a small sketch">
      <p className="text-pencil">Draw boxes roughly: they settle on common lines. Or type how many each row has.</p>
      <SmallPage area={area} panels={panels} onBox={(box) => setBoxes([...boxes, box])} />
      <label className="flex items-center justify-between gap-2">
        <span className="text-pencil">Panels in each row</span>
        <input
          className="measure h-7 w-24 rounded border border-hair bg-transparent px-1.5"
          placeholder="2 1 3"
          maxLength={40}
          value={rows}
          onChange={({ target: { value } }) => typed(value)}
        />
      </label>
      {rows !== "" && !rowsIn(rows) && (
        <p className="text-accent" role="status">
          Type up to 12 rows as numbers from 1 to 12, with spaces between.
        </p>
      )}
      <NumberField label="Gutter" unit="mm" value={gutter} min={0} max={50} onChange={setGutter} />
      <Select labelled label="Read from" value={from} options={FROM} onChange={setFrom} />
      <div className="flex gap-2">
        <Button className="grow" primary disabled={panels.length === 0} onClick={make}>
          {panels.length > 0 ? `Make a page of ${panels.length}` : "Make the page"}
        </Button>
        <Button disabled={boxes.length === 0} onClick={() => setBoxes(boxes.slice(0, -1))}>
          Last box back
        </Button>
      </div>
    </Fold>
  );
}
