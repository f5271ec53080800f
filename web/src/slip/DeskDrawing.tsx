import { headPath, setStyle } from "@zanvo/core/drawing";
import { around, type Rect } from "@zanvo/core/geometry";
import type { Scene, Shot } from "@zanvo/core/scene";
import { viewOf } from "@zanvo/core/shot";
import { horizon, lineIn, pinsOf } from "@zanvo/core/vanishing";

/** The panel of a shot, its horizon within a rectangle, and its centre of vision. @param u the width of a line, mm */
function Panel({ shot, within, u }: { readonly shot: Shot; readonly within: Rect; readonly u: number }) {
  const line = horizon(viewOf(shot));
  const ends = line && lineIn(line, within);
  const { x, y } = shot.lens.centre;
  return (
    <>
      <rect {...shot.frame} fill="none" stroke="#26251f" strokeWidth={u / 2} />
      {ends && (
        <line x1={ends[0][0]} y1={ends[0][1]} x2={ends[1][0]} y2={ends[1][1]} stroke="#46616f" strokeWidth={u / 2} />
      )}
      <path d={`M${x - 5 * u} ${y}h${10 * u}M${x} ${y - 5 * u}v${10 * u}`} stroke="#26251f" strokeWidth={u / 2} />
    </>
  );
}

/** The desk of one panel, or of all panels of a page, in small: sheet, panels, horizons, centres of vision, pins. */
export function DeskDrawing({ scene, shots }: { readonly scene: Scene; readonly shots: readonly Shot[] }) {
  const [{ sheet }] = shots;
  const pins = shots.flatMap((shot) =>
    pinsOf(scene.orientations, shot).flatMap((pin) =>
      pin.point.at ? [{ key: `${shot.id} ${pin.id}`, pin, at: pin.point.at }] : [],
    ),
  );
  const box = around([[0, 0], [sheet.width, sheet.height], ...pins.map(({ at }) => at)], 30);
  const u = Math.max(box.width, box.height) / 320;
  return (
    <svg
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      className="max-h-64 w-full border border-[#cbc6b6]"
      role="img"
      aria-label="The desk with its pins"
    >
      <rect width={sheet.width} height={sheet.height} fill="#fbf9f3" stroke="#26251f" strokeWidth={u} />
      {shots.map((shot) => (
        <Panel key={shot.id} shot={shot} within={shots.length > 1 ? shot.frame : box} u={u} />
      ))}
      {pins.map(({ key, pin, at: [px, py] }) => {
        const { stroke, head } = setStyle(pin);
        return (
          <path
            key={key}
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
