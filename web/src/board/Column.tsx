import { ChevronsLeft, ChevronsRight } from "lucide-react";
import { useState, type KeyboardEvent, type PointerEvent, type ReactNode } from "react";
import { IconButton } from "../ui";
import { WIDTHS } from "./createColumn";
import { useNarrow } from "./useWindow";
import { useStores } from "../stores";

/** How far an arrow key widens the column, px. */
const STEP = 16;

/** The edge of the column: dragged, or moved by arrow keys, it makes the column wider or narrower. */
function Edge() {
  const { useColumn, widen } = useStores();
  const width = useColumn((column) => column.width);
  const onPointerMove = (event: PointerEvent) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    widen(event.currentTarget.parentElement!.getBoundingClientRect().right - event.clientX);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowLeft: STEP, ArrowRight: -STEP }[event.key];
    if (!by) return;
    event.preventDefault();
    event.stopPropagation();
    widen(width + by);
  };
  return (
    <div
      role="separator"
      aria-orientation="vertical"
      aria-label="Width of the tools"
      aria-valuemin={WIDTHS.least}
      aria-valuemax={WIDTHS.most}
      aria-valuenow={width}
      tabIndex={0}
      className={
        "absolute inset-y-0 left-0 z-10 w-1.5 cursor-col-resize touch-none " + "hover:bg-wash focus-visible:bg-accent"
      }
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={onPointerMove}
      onKeyDown={onKeyDown}
    />
  );
}

/**
 * The column of tools beside the desk: it can be widened, narrowed and folded, and remembers it. In a narrow window it
 * is folded at first, and lies over the desk when it is opened, so that the sheet keeps its size.
 */
export function Column({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  const { useColumn, useView, arrange } = useStores();
  const { width, folded } = useColumn();
  const narrow = useNarrow();
  const stage = useView((view) => view.stage);
  const [over, setOver] = useState(false);
  const [opened, setOpened] = useState(stage);
  // Whoever goes to a stage wants its tools.
  if (opened !== stage) {
    setOpened(stage);
    setOver(true);
  }
  if (over && !narrow) setOver(false);
  const open = narrow ? over : !folded;
  const fold = (to: boolean) => (narrow ? setOver(!to) : arrange({ folded: to }));
  if (!open)
    return (
      <div className="flex w-7 shrink-0 flex-col items-center border-l border-hair py-1">
        <IconButton label="Unfold the tools" onClick={() => fold(false)}>
          <ChevronsLeft size={16} />
        </IconButton>
      </div>
    );
  const column = (
    <aside
      className={`relative flex h-full shrink-0 flex-col border-l border-hair bg-slip ${narrow ? "shadow-lg" : ""}`}
      style={{ width }}
    >
      <Edge />
      <div className="flex h-9 shrink-0 items-center justify-between pl-3.5 pr-1">
        <h2 className="text-sm font-semibold">{title}</h2>
        <IconButton label="Fold the tools" onClick={() => fold(true)}>
          <ChevronsRight size={16} />
        </IconButton>
      </div>
      {children}
    </aside>
  );
  if (!narrow) return column;
  return (
    <div className="relative w-7 shrink-0 border-l border-hair">
      <div className="absolute inset-y-0 right-0 z-20">{column}</div>
    </div>
  );
}
