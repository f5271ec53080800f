import { useEffect, useRef } from "react";
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

/**
 * A ruler in mm or inches along the top or the left of the desk, zero at the sheet's corner, with the pointer marked.
 */
function Ruler({ across }: { readonly across: boolean }) {
  const { useDesk, useLamp, useUnits } = useBoard();
  const canvas = useRef<HTMLCanvasElement>(null);
  const { camera, size, pointer } = useDesk();
  const lamp = useLamp((table) => table.on);
  const imperial = useUnits(({ system }) => system === "imperial");
  useEffect(() => {
    const element = canvas.current;
    const context = element?.getContext("2d");
    if (!element || !context) return;
    const ratio = devicePixelRatio;
    const length = across ? size.width : size.height;
    element.width = (across ? length : RULER) * ratio;
    element.height = (across ? RULER : length) * ratio;
    const ink = getComputedStyle(element).color;
    context.scale(ratio, ratio);
    if (!across) context.transform(0, 1, 1, 0, 0, 0);
    const offset = across ? camera.x : camera.y;
    const { step, parts, unit } = division(camera.scale, imperial);
    context.strokeStyle = ink;
    context.fillStyle = ink;
    context.lineWidth = 1;
    context.font = '9px "Spline Sans Mono", monospace';
    context.beginPath();
    const fine = step / parts;
    const first = Math.ceil(-offset / camera.scale / fine);
    const last = Math.floor((length - offset) / camera.scale / fine);
    for (let n = first; n <= last; n++) {
      const at = Math.round(offset + n * fine * camera.scale) + 0.5;
      context.moveTo(at, RULER);
      context.lineTo(at, n % parts === 0 ? RULER - 9 : (2 * n) % parts === 0 ? RULER - 6 : RULER - 3);
    }
    context.globalAlpha = 0.75;
    context.stroke();
    context.globalAlpha = 1;
    for (let n = Math.ceil(first / parts); n * parts <= last; n++) {
      const at = offset + n * step * camera.scale;
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
    if (pointer) {
      const at = offset + pointer[across ? 0 : 1] * camera.scale;
      context.fillStyle = lamp ? "#f0744f" : "#b93a17";
      context.fillRect(at - 0.5, 0, 1.5, RULER);
    }
  }, [across, camera, size, pointer, lamp, imperial]);
  return (
    <canvas
      ref={canvas}
      aria-hidden
      className="absolute bg-slip text-pencil"
      style={
        across
          ? { left: RULER, top: 0, width: size.width, height: RULER }
          : { left: 0, top: RULER, width: RULER, height: size.height }
      }
    />
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
