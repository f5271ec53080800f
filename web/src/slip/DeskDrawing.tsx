import { headPath, setStyle } from "@zanvo/core/drawing";
import { around } from "@zanvo/core/geometry";
import type { Scene, Shot } from "@zanvo/core/scene";
import { viewOf } from "@zanvo/core/shot";
import { horizon, lineIn, pinsOf } from "@zanvo/core/vanishing";

/** A small drawing of the desk: the sheet, its panel, the horizon, the centre of vision and every pin. */
export function DeskDrawing({ scene, shot }: { readonly scene: Scene; readonly shot: Shot }) {
  const { sheet, frame, lens } = shot;
  const pins = pinsOf(scene.orientations, shot).flatMap((pin) => (pin.point.at ? [{ pin, at: pin.point.at }] : []));
  const box = around([[0, 0], [sheet.width, sheet.height], ...pins.map(({ at }) => at)], 30);
  const line = horizon(viewOf(shot));
  const ends = line && lineIn(line, box);
  const u = Math.max(box.width, box.height) / 320;
  const { x, y } = lens.centre;
  return (
    <svg
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      className="max-h-64 w-full border border-[#cbc6b6]"
      role="img"
      aria-label="The desk with its pins"
    >
      <rect width={sheet.width} height={sheet.height} fill="#fbf9f3" stroke="#26251f" strokeWidth={u} />
      <rect {...frame} fill="none" stroke="#26251f" strokeWidth={u / 2} />
      {ends && (
        <line x1={ends[0][0]} y1={ends[0][1]} x2={ends[1][0]} y2={ends[1][1]} stroke="#46616f" strokeWidth={u / 2} />
      )}
      <path d={`M${x - 5 * u} ${y}h${10 * u}M${x} ${y - 5 * u}v${10 * u}`} stroke="#26251f" strokeWidth={u / 2} />
      {pins.map(({ pin, at: [px, py] }) => {
        const { stroke, head } = setStyle(pin);
        return (
          <path
            key={pin.id}
            transform={`translate(${px} ${py})`}
            d={headPath(head, 4 * u)}
            fill={stroke}
            fillRule="evenodd"
          />
        );
      })}
    </svg>
  );
}
