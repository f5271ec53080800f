import type { Vec2 } from "@zanvo/core/geometry";
import type { Shot, Sightings } from "@zanvo/core/scene";
import { degree } from "@zanvo/core/slip";
import { mm, sentence, type Told } from "@zanvo/core/units";
import {
  alongEdge,
  overreaching,
  pencilledTo,
  pencilOf,
  sightedLevel,
  sightLines,
  tiltedTo,
  TILT_HAND,
  type SightedSide,
  type SightLine,
} from "@zanvo/core/vanishing";
import { toWindow, type Camera } from "../../canvas/camera";
import { useBoard } from "../useBoard";
import { Handle } from "./Handle";

/** A hand that contradicts another is drawn this long beside where it should be, mm. */
const ASKED = 55;

/** The dot that a mark is taken hold of by. */
const Dot = ({ wrong = false }: { readonly wrong?: boolean }) => (
  <svg width={14} height={14} viewBox="-7 -7 14 14" aria-hidden className={wrong ? "text-accent" : "text-ink"}>
    <circle r={4.5} fill="var(--paper)" stroke="currentColor" strokeWidth={1.6} />
  </svg>
);

/** A measure beside a mark, on the side away from the corner; without a side, under it. */
function Reading({ at: [x, y], side, children }: ReadingProps) {
  const [dx, anchor] = side === "left" ? [-12, "end"] : side === "right" ? [12, "start"] : [0, "middle"];
  return (
    <text
      className="measure"
      x={x + dx}
      y={y + (side ? 4 : 14)}
      textAnchor={anchor as "start" | "middle" | "end"}
      fontSize={11}
      fill="currentColor"
      stroke="var(--paper)"
      strokeWidth={3}
      paintOrder="stroke"
    >
      {children}
    </text>
  );
}

interface ReadingProps {
  readonly at: Vec2;
  readonly side?: SightedSide;
  readonly children: string;
}

/** Lines in window px. */
function useLines(camera: Camera) {
  const at = (place: Vec2) => toWindow(camera, place).join(" ");
  return (...places: readonly Vec2[]): string => `M${places.map(at).join("L")}`;
}

const keyOf = ({ side, edge }: SightLine): string => `${edge} ${side}`;

/** What the pencil says of the parts. */
const ratios = ({ parts }: Sightings): string =>
  parts ? `height ÷ width ${parts.heightToWidth.toFixed(2)}, left ÷ right ${parts.leftToRight.toFixed(2)}` : "";

interface DrawnProps {
  readonly sightings: Sightings;
  readonly lines: readonly SightLine[];
  readonly level: number;
  readonly camera: Camera;
}

/** The near corner by a pencil held upright, each sighted edge on to the eye's level, and a pencil laid across. */
function Drawn({ sightings: s, lines, level, camera }: DrawnProps) {
  const path = useLines(camera);
  const pencil = pencilOf(s);
  const mark = ([x, y]: Vec2) => path([x, y - 3], [x, y + 3]);
  return (
    <svg aria-hidden className="pointer-events-none absolute inset-0 size-full text-ink" fill="none">
      <path d={path([s.x, s.top], [s.x, s.bottom])} stroke="currentColor" strokeWidth={6} strokeOpacity={0.25} />
      <path d={path([s.x, s.top], [s.x, s.bottom])} stroke="currentColor" strokeWidth={2} />
      {lines.map(({ side, edge, tilt, from, tip, meets, asked }) => (
        <g key={`${edge} ${side}`}>
          {meets && <path d={path(from, meets)} stroke="currentColor" strokeWidth={0.8} strokeDasharray="5 4" />}
          <path d={path(from, tip)} stroke="currentColor" strokeWidth={1.8} />
          {asked !== null && (
            <path
              className="text-accent"
              d={path(from, alongEdge(from, side, asked, level, ASKED))}
              stroke="currentColor"
              strokeWidth={1.4}
              strokeDasharray="3 3"
            />
          )}
          <Reading at={toWindow(camera, tip)} side={side}>
            {degree(tilt)}
          </Reading>
        </g>
      ))}
      {pencil && (
        <>
          <path d={path(pencil.left, pencil.right)} stroke="currentColor" strokeWidth={5} strokeOpacity={0.25} />
          <path
            d={[pencil.left, pencil.corner, pencil.right].map(mark).join("")}
            stroke="currentColor"
            strokeWidth={1.4}
          />
          <Reading at={toWindow(camera, [pencil.corner[0], pencil.corner[1] + 4])}>{ratios(s)}</Reading>
        </>
      )}
    </svg>
  );
}

/** What is noted from life, drawn on the sheet: corner, tilts and ratios, each changed by the hand. */
export function LifeMarks({ shot, sightings: s }: { readonly shot: Shot; readonly sightings: Sightings }) {
  const { useDesk, onShot, drag, edit } = useBoard();
  const camera = useDesk((desk) => desk.camera);
  const level = sightedLevel(shot);
  const lines = sightLines(s, level, TILT_HAND);
  const pencil = pencilOf(s);
  const wrong = [
    ...lines.filter(({ asked }) => asked !== null).map(keyOf),
    ...overreaching(s, level).map((side) => `pencil ${side}`),
  ];
  const put = (next: Sightings) => onShot((before) => ({ ...before, sightings: next }));
  /** What a handle does: sightings for a place, and what is told of them meanwhile. */
  const handled = (key: string, at: Vec2, of: (to: Vec2) => Sightings, told: (next: Sightings) => Told) => ({
    at,
    className: "cursor-move",
    onDrag: (to: Vec2) => {
      const next = of(to);
      drag(put(next));
      return told(next);
    },
    onNudge: ([dx, dy]: Vec2) => edit(put(of([at[0] + dx, at[1] + dy])), `sighting ${key}`),
    children: <Dot wrong={wrong.includes(key)} />,
  });
  const across = ({ x }: Sightings): Told => sentence`${mm(x)} from the left`;
  const ends = { top: "top", bottom: "foot" } as const;
  return (
    <>
      <Drawn sightings={s} lines={lines} level={level} camera={camera} />
      <Handle
        {...handled("x", [s.x, (s.top + s.bottom) / 2], ([x]) => ({ ...s, x }), across)}
        label={sentence`near corner, ${across(s)}`}
      />
      {(["top", "bottom"] as const).map((end) => {
        const down = (next: Sightings): Told => sentence`${mm(next[end])} from the top`;
        return (
          <Handle
            key={end}
            {...handled(end, [s.x, s[end]], ([, y]) => ({ ...s, [end]: y }), down)}
            label={sentence`near corner’s ${ends[end]}, ${down(s)}`}
          />
        );
      })}
      {lines.map((line) => {
        const { side, edge, tip, tilt, asked } = line;
        const shouldBe = asked === null ? "" : `, should be ${degree(asked)}`;
        const turned = (to: Vec2) => tiltedTo(s, side, edge, level, to);
        return (
          <Handle
            key={keyOf(line)}
            {...handled(keyOf(line), tip, turned, (next) => degree(next[side][edge] ?? 0))}
            label={`tilt of the ${keyOf(line)} edge, ${degree(tilt)}${shouldBe}`}
          />
        );
      })}
      {pencil &&
        (["left", "right"] as const).map((side) => (
          <Handle
            key={side}
            {...handled(`pencil ${side}`, pencil[side], ([x]) => pencilledTo(s, side, x), ratios)}
            label={`pencil’s ${side} mark, ${ratios(s)}`}
          />
        ))}
    </>
  );
}
