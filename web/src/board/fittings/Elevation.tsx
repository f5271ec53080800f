import type { Vec2 } from "@zanvo/core/geometry";
import { metres, sentence } from "@zanvo/core/units";
import {
  elevationOf,
  linesOfOpening,
  outlineOfOpening,
  type Building,
  type FrontElevation,
  type Opening,
} from "@zanvo/core/world";
import { useRef, type KeyboardEvent, type PointerEvent } from "react";
import { replaceElement } from "../../document/elements";
import { arrowBy } from "../../ui/arrows";
import { useBoard } from "../useBoard";
import type { ChosenBay } from "./createFittings";
import { changedBay, movedBy, STEP } from "./ownBays";
import { useSpoken } from "../../stores";

const INK = "#26251f";
const ACCENT = "#c8401f";
const FAINT = "#8a8577";

/** A press that moves less is none, px. */
const SLOP = 3;
/** Blank paper around the wall, as a share of its longer side. */
const MARGIN = 0.03;

interface ElevationProps {
  readonly building: Building;
  readonly side: number;
}

const points = (ring: readonly Vec2[]) => ring.map(([s, up]) => `${s},${-up}`).join(" ");

/** An opening with all its lines, as it is seen flat. */
function OpeningShape({ opening, chosen }: { readonly opening: Opening; readonly chosen: boolean }) {
  const stroke = chosen ? ACCENT : INK;
  return (
    <g pointerEvents="none" vectorEffect="non-scaling-stroke">
      <polygon
        points={points(outlineOfOpening(opening.look.head ?? "flat", opening))}
        fill={stroke}
        fillOpacity={chosen ? 0.14 : 0.06}
        stroke={stroke}
        strokeWidth={chosen ? 1.8 : 1.1}
        vectorEffect="non-scaling-stroke"
      />
      {linesOfOpening(opening).map(({ part, a, b }, i) =>
        part === "outline" || (a[0] === b[0] && a[1] === b[1]) ? null : (
          <line
            key={i}
            x1={a[0]}
            y1={-a[1]}
            x2={b[0]}
            y2={-b[1]}
            stroke={stroke}
            strokeWidth={0.6}
            vectorEffect="non-scaling-stroke"
          />
        ),
      )}
    </g>
  );
}

/** Where a pointer is on the wall that is drawn in an SVG, m along it and up. */
function placeOf({ currentTarget, clientX, clientY }: PointerEvent<SVGGraphicsElement>): Vec2 {
  const at = new DOMPoint(clientX, clientY).matrixTransform(currentTarget.getScreenCTM()?.inverse());
  return [at.x, -at.y];
}

/** The hand on an elevation: it presses a bay, and moves what is in it. */
function useElevationHand({ building, side }: ElevationProps) {
  const board = useBoard();
  const spoken = useSpoken();
  const live = useRef<{ from: Vec2; window: Vec2; at: ChosenBay; of: Building; moved: boolean } | null>(null);
  const put = (change: ReturnType<typeof movedBy>, at: ChosenBay, of: Building) => {
    if (!change) return;
    try {
      board.drag(replaceElement(changedBay(of, side, at, change)));
    } catch {
      // It stays where it last fitted.
    }
  };
  return {
    press: (at: ChosenBay) => (event: PointerEvent<SVGGraphicsElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      board.fit({ bay: at });
      live.current = { from: placeOf(event), window: [event.clientX, event.clientY], at, of: building, moved: false };
    },
    onPointerMove: (event: PointerEvent<SVGGraphicsElement>) => {
      const { current } = live;
      if (!current) return;
      const [x, y] = current.window;
      if (!current.moved && Math.hypot(event.clientX - x, event.clientY - y) > SLOP) {
        board.beginGesture();
        current.moved = true;
      }
      if (!current.moved) return;
      const [s, up] = placeOf(event);
      const by = [s - current.from[0], up - current.from[1]] as const;
      put(movedBy(current.of, side, current.at, by, event.altKey), current.at, current.of);
    },
    end: () => {
      if (live.current?.moved) board.endGesture();
      live.current = null;
    },
    cancel: () => {
      if (live.current?.moved) board.cancelGesture();
      live.current = null;
    },
    onKeyDown: (at: ChosenBay) => (event: KeyboardEvent) => {
      if (event.key === "Enter" || event.key === " ") return board.fit({ bay: at });
      const by = arrowBy(event, STEP);
      const gone = event.key === "Delete" || event.key === "Backspace";
      const change = gone ? { opening: "none" as const } : by && movedBy(building, side, at, [by[0], -by[1]]);
      if (!change) return;
      event.preventDefault();
      event.stopPropagation();
      spoken(() =>
        board.edit(replaceElement(changedBay(building, side, at, change)), `bay ${building.id} ${at.bay} ${at.storey}`),
      );
    },
  };
}

/** The lines of storeys and bays of a wall. */
function Divisions({ elevation: { long, floors, bays } }: { readonly elevation: FrontElevation }) {
  const faint = { stroke: FAINT, strokeWidth: 0.7, vectorEffect: "non-scaling-stroke" } as const;
  return (
    <g pointerEvents="none">
      {floors.slice(1).map(({ low }) => (
        <line key={low} x1={0} x2={long} y1={-low} y2={-low} {...faint} />
      ))}
      {[...bays.map(({ from }) => from), ...bays.slice(-1).map(({ to }) => to)].map((s) => (
        <line
          key={s}
          x1={s}
          x2={s}
          y1={0}
          y2={-(floors[floors.length - 1].low + floors[floors.length - 1].height)}
          strokeDasharray="2 3"
          {...faint}
        />
      ))}
    </g>
  );
}

/** A wall flat and to scale: its storeys, its bays, and what they have, to be pressed and moved. */
export function Elevation({ building, side }: ElevationProps) {
  const { useFittings, useMeasures } = useBoard();
  const chosen = useFittings((fittings) => fittings.bay);
  const measures = useMeasures();
  const hand = useElevationHand({ building, side });
  const elevation = elevationOf(building, side);
  const { long, height, floors, bays, openings } = elevation;
  const margin = MARGIN * Math.max(long, height);
  const isChosen = (bay: number, storey: number) => chosen?.bay === bay && chosen.storey === storey;
  return (
    <figure aria-label="The wall, flat" className="space-y-1">
      <svg
        viewBox={`${-margin} ${-height - margin} ${long + 2 * margin} ${height + 2 * margin}`}
        className="max-h-56 w-full touch-none rounded border border-hair bg-paper"
        onPointerMove={hand.onPointerMove}
        onPointerUp={hand.end}
        onPointerCancel={hand.cancel}
      >
        <rect
          x={0}
          y={-height}
          width={long}
          height={height}
          fill="none"
          stroke={INK}
          strokeWidth={1.4}
          vectorEffect="non-scaling-stroke"
        />
        <Divisions elevation={elevation} />
        {openings.map((opening) => (
          <OpeningShape
            key={`${opening.storey} ${opening.index}`}
            opening={opening}
            chosen={isChosen(opening.index, opening.storey)}
          />
        ))}
        {floors.flatMap(({ low, height: tall }, storey) =>
          bays.map(({ from, to }, bay) => {
            const its = openings.find((one) => one.index === bay && one.storey === storey);
            return (
              <rect
                key={`${storey} ${bay}`}
                role="button"
                tabIndex={0}
                aria-pressed={isChosen(bay, storey)}
                aria-label={`Bay ${bay + 1}, storey ${storey + 1}: ${its?.kind ?? "nothing"}`}
                x={from}
                y={-low - tall}
                width={to - from}
                height={tall}
                fill="transparent"
                stroke={isChosen(bay, storey) && !its ? ACCENT : "none"}
                vectorEffect="non-scaling-stroke"
                className="cursor-pointer outline-offset-[-2px]"
                onPointerDown={hand.press({ bay, storey })}
                onKeyDown={hand.onKeyDown({ bay, storey })}
              />
            );
          }),
        )}
      </svg>
      <figcaption className="measure text-[11px] text-pencil">
        {measures(sentence`${metres(long)} long, ${metres(height)} to the eaves`)}
      </figcaption>
    </figure>
  );
}
