import { useMemo } from "react";
import { headPath } from "@zanvo/core/drawing";
import { around, type Vec2 } from "@zanvo/core/geometry";
import { pointOf } from "@zanvo/core/recover";
import type { Reference } from "@zanvo/core/scene";
import { drawnIn } from "./farPlace";
import { lookOf } from "./tracing";

/** The map's size, px; points farther than this many pictures away are left to words. */
const WIDE = 234;
const TALL = 84;
const FAR = 40;

/** The picture small, with the points that its edges go to around it, and how far the farthest is. */
export function FarMap({ reference }: { readonly reference: Reference }) {
  const { width, height, sets } = reference;
  const pins = useMemo(
    () =>
      sets.flatMap((set, i) => {
        const at = pointOf(reference, set)?.at;
        return at && Math.max(Math.abs(at[0] - width / 2), Math.abs(at[1] - height / 2)) < FAR * width
          ? [{ id: set.id, name: set.name, at, look: lookOf(set, i) }]
          : [];
      }),
    [reference, sets, width, height],
  );
  if (pins.length === 0) return null;
  const places = pins.map(({ at }) => drawnIn(at, { width, height }));
  const box = around([[0, 0], [width, height], ...places], width * 0.05);
  const unit = Math.max(box.width / WIDE, box.height / TALL);
  const away = (at: readonly [number, number]) =>
    Math.hypot(Math.max(0, -at[0], at[0] - width), Math.max(0, -at[1], at[1] - height)) / width;
  const where = (at: Vec2) => (away(at) > 0 ? `${away(at).toFixed(1)} picture widths away` : "in the picture");
  return (
    <figure className="space-y-1">
      <svg
        role="img"
        aria-label={`Map of the points: ${pins.map(({ name, at }) => `${name} ${where(at)}`).join(", ")}`}
        viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
        style={{ width: Math.min(WIDE, box.width / unit), height: box.height / unit }}
      >
        <rect width={width} height={height} fill="#fbf9f3" stroke="#2b2a27" strokeWidth={unit} />
        {pins.map(({ id, look: { stroke, head } }, i) => (
          <path
            key={id}
            transform={`translate(${places[i][0]} ${places[i][1]})`}
            d={headPath(head, 5 * unit)}
            fill={stroke}
            fillRule="evenodd"
          />
        ))}
      </svg>
      <figcaption className="measure text-[11px] text-pencil">
        {pins
          .map(({ name, at }) => `${name} ${away(at) > 0 ? `${away(at).toFixed(1)} widths off` : "inside"}`)
          .join(" · ")}
      </figcaption>
    </figure>
  );
}
