import { useEffect, useRef } from "react";
import { useLamp } from "../../lamp";
import { useDesk } from "./desk";

/** Width of a ruler, px. */
export const RULER = 18;

/** The distance between numbered ticks, in mm: 1, 2 or 5 times a power of ten, at least 56 px apart. */
function tickStep(scale: number): number {
  const least = 56 / scale;
  const power = 10 ** Math.floor(Math.log10(least));
  return [1, 2, 5, 10].map((n) => n * power).find((step) => step >= least) ?? 10 * power;
}

/** A ruler in mm along the top or the left of the desk, zero at the sheet's corner, with the pointer marked. */
function Ruler({ across }: { readonly across: boolean }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { camera, size, pointer } = useDesk();
  const lamp = useLamp((table) => table.on);
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
    const step = tickStep(camera.scale);
    context.strokeStyle = ink;
    context.fillStyle = ink;
    context.lineWidth = 1;
    context.font = '9px "Spline Sans Mono", monospace';
    context.beginPath();
    const fine = step / 10;
    const first = Math.ceil(-offset / camera.scale / fine);
    const last = Math.floor((length - offset) / camera.scale / fine);
    for (let n = first; n <= last; n++) {
      const at = Math.round(offset + n * fine * camera.scale) + 0.5;
      context.moveTo(at, RULER);
      context.lineTo(at, n % 10 === 0 ? RULER - 9 : n % 5 === 0 ? RULER - 6 : RULER - 3);
    }
    context.globalAlpha = 0.75;
    context.stroke();
    context.globalAlpha = 1;
    for (let n = Math.ceil(first / 10); n * 10 <= last; n++) {
      const at = offset + n * step * camera.scale;
      const text = String(Number((n * step).toFixed(3)));
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
  }, [across, camera, size, pointer, lamp]);
  return (
    <canvas
      ref={canvas}
      aria-hidden
      className="absolute bg-slip text-pencil"
      style={across ? { left: RULER, top: 0, width: size.width, height: RULER } : { left: 0, top: RULER, width: RULER, height: size.height }}
    />
  );
}

/** Both rulers, and the corner between them with its unit. */
export function Rulers() {
  return (
    <>
      <Ruler across />
      <Ruler across={false} />
      <span className="absolute left-0 top-0 flex items-center justify-center bg-slip text-[9px] text-pencil" style={{ width: RULER, height: RULER }}>mm</span>
    </>
  );
}
