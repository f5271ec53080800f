import { useEffect, useRef } from "react";
import { toWindow } from "../../canvas/camera";
import { useBoard } from "../useBoard";

/** Width of a ruler, px. */
export const RULER = 18;

/** How a ruler is divided: mm from one numbered tick to the next, into how many parts, and what the numbers count. */
interface Division {
  readonly step: number;
  readonly parts: number;
  readonly unit: number;
}

/**
 * Numbered ticks at least 56 px apart: 1, 2 or 5 times a power of ten, of mm or of inches; below an inch, halves of
 * one.
 */
function division(scale: number, imperial: boolean): Division {
  const unit = imperial ? 25.4 : 1;
  const least = 56 / scale / unit;
  if (imperial && least <= 1) return { step: unit * 2 ** Math.ceil(Math.log2(least)), parts: 8, unit };
  const power = 10 ** Math.floor(Math.log10(least));
  const step = [1, 2, 5, 10].map((n) => n * power).find((one) => one >= least) ?? 10 * power;
  return { step: unit * step, parts: imperial && step === 1 ? 8 : 10, unit };
}

/** Draws a ruler's ticks and numbers. @param offset where its zero lies, px */
function drawTicks(
  context: CanvasRenderingContext2D,
  length: number,
  offset: number,
  across: boolean,
  scale: number,
  { step, parts, unit }: Division,
): void {
  context.lineWidth = 1;
  context.font = '9px "Spline Sans Mono", monospace';
  context.beginPath();
  const fine = step / parts;
  const first = Math.ceil(-offset / scale / fine);
  const last = Math.floor((length - offset) / scale / fine);
  for (let n = first; n <= last; n++) {
    const at = Math.round(offset + n * fine * scale) + 0.5;
    context.moveTo(at, RULER);
    context.lineTo(at, n % parts === 0 ? RULER - 9 : (2 * n) % parts === 0 ? RULER - 6 : RULER - 3);
  }
  context.globalAlpha = 0.75;
  context.stroke();
  context.globalAlpha = 1;
  for (let n = Math.ceil(first / parts); n * parts <= last; n++) {
    const at = offset + n * step * scale;
    const text = String(Number(((n * step) / unit).toFixed(3)));
    if (across) context.fillText(text, at + 3, 9);
    else {
      context.save();
      context.transform(0, 1, 1, 0, 0, 0);
      context.translate(8, at + 3);
      context.rotate(Math.PI / 2);
      context.fillText(text, 0, 0);
      context.restore();
    }
  }
}

/** The place of the pointer on a ruler: an element of its own, so that the ruler is not drawn anew at every move. */
function PointerMark({ across }: { readonly across: boolean }) {
  const { useDesk } = useBoard();
  const at = useDesk(({ camera, pointer }) => {
    if (!pointer) return null;
    const [x, y] = toWindow(camera, pointer);
    return across ? x : y;
  });
  if (at === null) return null;
  const [length, move] = across
    ? ["h-full w-[1.5px]", `translateX(${at}px)`]
    : ["h-[1.5px] w-full", `translateY(${at}px)`];
  return <span aria-hidden className={`absolute left-0 top-0 bg-accent ${length}`} style={{ transform: move }} />;
}

/**
 * A ruler in mm or inches along the top or the left of the desk, zero at the sheet's corner, with the pointer marked.
 */
function Ruler({ across }: { readonly across: boolean }) {
  const { useDesk, useLamp, useUnits } = useBoard();
  const canvas = useRef<HTMLCanvasElement>(null);
  const length = useDesk(({ size }) => (across ? size.width : size.height));
  const offset = useDesk(({ camera }) => (across ? camera.x : camera.y));
  const scale = useDesk(({ camera }) => camera.scale);
  const lamp = useLamp((table) => table.on);
  const imperial = useUnits(({ system }) => system === "imperial");
  const [width, height] = across ? [length, RULER] : [RULER, length];
  useEffect(() => {
    const element = canvas.current;
    const context = element?.getContext("2d");
    if (!element || !context) return;
    const ratio = devicePixelRatio;
    element.width = width * ratio;
    element.height = height * ratio;
    context.scale(ratio, ratio);
    if (!across) context.transform(0, 1, 1, 0, 0, 0);
    context.strokeStyle = context.fillStyle = getComputedStyle(element).color;
    drawTicks(context, length, offset, across, scale, division(scale, imperial));
  }, [across, length, offset, scale, lamp, imperial, width, height]);
  return (
    <div
      aria-hidden
      className="absolute overflow-hidden bg-slip text-pencil"
      style={{ left: across ? RULER : 0, top: across ? 0 : RULER, width, height }}
    >
      <canvas ref={canvas} style={{ width, height }} />
      <PointerMark across={across} />
    </div>
  );
}

/** Both rulers, and the corner between them: pressed, it changes what is measured in. */
export function Rulers() {
  const { useUnits, switchUnits } = useBoard();
  const imperial = useUnits(({ system }) => system === "imperial");
  const label = imperial
    ? "Measures in inches and feet: change to millimetres and metres"
    : "Measures in millimetres and metres: change to inches and feet";
  return (
    <>
      <Ruler across />
      <Ruler across={false} />
      <button
        type="button"
        aria-label={label}
        title={label}
        className={
          "absolute left-0 top-0 z-10 flex " +
          "items-center justify-center bg-slip text-[9px] text-pencil hover:bg-wash"
        }
        style={{ width: RULER, height: RULER }}
        onClick={switchUnits}
      >
        {imperial ? "in" : "mm"}
      </button>
    </>
  );
}
