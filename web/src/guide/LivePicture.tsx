import { useMemo } from "react";
import { drawPage, headPath, setStyle } from "@zanvo/core/drawing";
import type { Scene } from "@zanvo/core/scene";
import { viewOf } from "@zanvo/core/shot";
import { horizon, lineIn, measuringPoints, pinsOf, within } from "@zanvo/core/vanishing";
import { areaPathOf, pathOf } from "../path";

/** A small scene drawn by the same core as the board, with its pins; `wide` shows the desk beside the sheet. */
export function LivePicture({
  scene,
  wide,
  label,
}: {
  readonly scene: Scene;
  readonly wide: boolean;
  readonly label: string;
}) {
  const { layers } = useMemo(() => drawPage(scene), [scene]);
  const [shot] = scene.shots;
  const { width, height } = shot.sheet;
  const box = wide
    ? { x: -0.8 * width, y: -60, width: 2.6 * width, height: height + 120 }
    : { x: -30, y: -24, width: width + 60, height: height + 48 };
  const view = viewOf(shot);
  const pins = pinsOf(scene.orientations, shot).filter((pin) => within(view, pin));
  const line = horizon(view);
  const string = line && lineIn(line, box);
  const unit = box.width / 420;
  const marks = shot.show?.measuring ? measuringPoints(view, pins) : [];
  return (
    <svg
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      role="img"
      aria-label={label}
      className="w-full rounded bg-desk"
    >
      <rect width={width} height={height} fill="#fbf9f3" />
      {layers.map(({ id, style, areas, ...lines }) => (
        <g key={id} opacity={style.opacity}>
          {areas && <path d={areaPathOf(areas)} fill={style.fill ?? style.stroke} fillRule="evenodd" />}
          <path
            d={pathOf(lines)}
            fill="none"
            stroke={style.stroke}
            strokeWidth={style.width * 1.6 * unit}
            strokeDasharray={style.dash.join(" ")}
            strokeLinecap="round"
          />
        </g>
      ))}
      {string && (
        <line
          x1={string[0][0]}
          y1={string[0][1]}
          x2={string[1][0]}
          y2={string[1][1]}
          stroke="#46616f"
          strokeOpacity={0.6}
          strokeWidth={0.6 * unit}
        />
      )}
      {marks.map(({ id, at: [x, y] }) => (
        <path key={id} d={`M${x - 5} ${y}h10M${x} ${y - 5}v10`} stroke="#26251f" strokeWidth={0.8 * unit} />
      ))}
      {pins.map(
        (pin) =>
          pin.point.at && (
            <path
              key={pin.id}
              transform={`translate(${pin.point.at[0]} ${pin.point.at[1]})`}
              d={headPath(setStyle(pin).head, 4.5 * unit)}
              fill={setStyle(pin).stroke}
              fillRule="evenodd"
              stroke="#fffdf8"
              strokeWidth={unit}
            />
          ),
      )}
    </svg>
  );
}
