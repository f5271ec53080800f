import { Maximize, ScanSearch, ZoomIn, ZoomOut } from "lucide-react";
import { IconButton } from "../ui";

/** A press of a button makes the plan so many times as large. */
const STEP = 1.5;

interface ZoomingProps {
  readonly zoomed: (factor: number) => void;
  readonly fitted: () => void;
  /** Shows what is chosen as large as it goes; none where nothing is. */
  readonly fittedToChosen?: () => void;
}

/** Buttons that show more of the plan, less of it, or all. */
export function Zooming({ zoomed, fitted, fittedToChosen }: ZoomingProps) {
  return (
    <div
      className="absolute top-16 right-2 flex flex-col rounded border border-hair bg-slip"
      // What is pressed here is no press on the plan.
      onPointerDown={(event) => event.stopPropagation()}
      onPointerUp={(event) => event.stopPropagation()}
      onDoubleClick={(event) => event.stopPropagation()}
      onKeyDown={(event) => event.stopPropagation()}
    >
      <IconButton label="Larger" onClick={() => zoomed(STEP)}>
        <ZoomIn size={15} />
      </IconButton>
      <IconButton label="Smaller" onClick={() => zoomed(1 / STEP)}>
        <ZoomOut size={15} />
      </IconButton>
      <IconButton label="Fit all" onClick={fitted}>
        <Maximize size={15} />
      </IconButton>
      {fittedToChosen && (
        <IconButton label="Fit what is chosen" onClick={fittedToChosen}>
          <ScanSearch size={15} />
        </IconButton>
      )}
    </div>
  );
}
