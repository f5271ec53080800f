import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { chordsAlong, outlineOfTurned, piecesOfOutline, requireValid, type TurnedThing } from "@zanvo/core/world";
import type { Vec2 } from "@zanvo/core/geometry";
import { useSpoken } from "../stores";
import { Button, MeasureField } from "../ui";
import { measuresOf } from "./Measures";
import { ACCENT, INK, type Change } from "./view";

/** How large the outline is drawn, in pixels, and how much is left around it. */
const [WIDE, HIGH, AROUND] = [232, 200, 14] as const;
/** Places are put on a grid of so many m. */
const GRID = 0.01;

type Place = NonNullable<TurnedThing["outline"]>[number];

const rounded = (value: number): number => Math.round(value / GRID) * GRID;

/** How an outline is shown: its axis on the left, its foot below. */
function viewOfOutline(places: readonly Place[]) {
  const [low, high] = [Math.min(0, ...places.map(({ z }) => z)), Math.max(1e-3, ...places.map(({ z }) => z))];
  const far = Math.max(1e-3, ...places.map(({ r }) => r));
  const scale = Math.min((WIDE - 2 * AROUND) / (1.3 * far), (HIGH - 2 * AROUND) / (1.1 * (high - low)));
  return {
    toScreen: ([r, z]: Vec2): Vec2 => [AROUND + r * scale, HIGH - AROUND - (z - low) * scale],
    toOutline: ([x, y]: Vec2): Vec2 => [Math.max(0, (x - AROUND) / scale), low + (HIGH - AROUND - y) / scale],
  };
}

/** What a hand does with a half outline: a place is chosen, put elsewhere, put in and taken out. */
function useOutline(element: TurnedThing, change: Change) {
  const places = element.outline ?? [];
  const [chosen, choose] = useState(0);
  const spoken = useSpoken();
  const set = (outline: readonly Place[], what: string) =>
    spoken(() => change(requireValid({ ...element, outline: [...outline] }), what));
  const put = (part: Partial<Place>) =>
    set(
      places.map((one, i) => (i === chosen ? { ...one, ...part } : one)),
      `outline/${chosen}`,
    );
  const without = () => {
    if (places.length <= 2) return;
    set(places.toSpliced(chosen, 1), "outline");
    choose(Math.max(0, chosen - 1));
  };
  const withOne = () => {
    const first = Math.min(chosen, places.length - 2);
    const [p, q] = [places[first], places[first + 1]];
    const middle = { r: rounded((p.r + q.r) / 2), z: rounded((p.z + q.z) / 2) };
    set(places.toSpliced(first + 1, 0, middle), "outline");
    choose(first + 1);
  };
  const keyed = (event: KeyboardEvent) => {
    const by = STEPS[event.key];
    const one = places[chosen];
    if (event.key === "Delete" || event.key === "Backspace") without();
    else if (by && one) put({ r: Math.max(0, rounded(one.r + by[0] * GRID)), z: rounded(one.z + by[1] * GRID) });
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return { places, chosen, choose, put, without, withOne, keyed };
}

/** Which way each arrow key moves a place. */
const STEPS: Partial<Record<string, Vec2>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

interface OutlineDrawingProps {
  readonly element: TurnedThing;
  readonly hand: ReturnType<typeof useOutline>;
}

/** The half outline beside its axis, with its places to be dragged. */
function OutlineDrawing({ element, hand: { places, chosen, choose, put, keyed } }: OutlineDrawingProps) {
  const [held, setHeld] = useState<ReturnType<typeof viewOfOutline> | null>(null);
  const svg = useRef<SVGSVGElement>(null);
  // While a place is dragged the drawing stays as large as it is.
  const view = held ?? viewOfOutline(places);
  const { outline } = outlineOfTurned(element);
  const end = outline.length > 0 ? [outline[outline.length - 1].at] : [];
  const drawn = [...chordsAlong(piecesOfOutline(outline, false), 0.0002 * element.height), ...end];
  const drag = ({ clientX, clientY }: PointerEvent) => {
    const box = svg.current?.getBoundingClientRect();
    if (!held || !box) return;
    const [r, z] = view.toOutline([
      ((clientX - box.left) * WIDE) / box.width,
      ((clientY - box.top) * HIGH) / box.height,
    ]);
    put({ r: rounded(r), z: rounded(z) });
  };
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      className="w-full touch-none rounded border border-[#d8d4c6] bg-[#fbf9f3]"
      aria-label="Half outline: drag its places"
      role="group"
      onPointerMove={drag}
      onPointerUp={() => setHeld(null)}
    >
      <line x1={AROUND} y1={4} x2={AROUND} y2={HIGH - 4} stroke="#8a8577" strokeDasharray="6 3 1 3" />
      <polyline
        points={drawn.map((p) => view.toScreen(p).join(",")).join(" ")}
        fill="none"
        stroke={INK}
        strokeWidth={1.5}
      />
      {places.map(({ r, z }, i) => {
        const [cx, cy] = view.toScreen([r, z]);
        return (
          <circle
            key={i}
            {...{ cx, cy, r: 5, tabIndex: 0, stroke: INK }}
            role="button"
            aria-label={`Place ${i + 1} of the outline`}
            aria-pressed={i === chosen}
            fill={i === chosen ? ACCENT : "#fbf9f3"}
            onFocus={() => choose(i)}
            onKeyDown={keyed}
            onPointerDown={(event) => {
              choose(i);
              setHeld(viewOfOutline(places));
              svg.current?.setPointerCapture(event.pointerId);
            }}
          />
        );
      })}
    </svg>
  );
}

/** A half outline of one's own: its places are dragged, put in and taken out, and typed. */
export function HalfOutline({ element, change }: { readonly element: TurnedThing; readonly change: Change }) {
  const hand = useOutline(element, change);
  const { places, chosen, put, without, withOne } = hand;
  const measure = measuresOf(element, "outline");
  const one = places[chosen];
  return (
    <div className="w-full space-y-2">
      <OutlineDrawing element={element} hand={hand} />
      {one && (
        <>
          <MeasureField measure={measure("r")} value={one.r} onChange={(r) => put({ r })} />
          <MeasureField measure={measure("z")} value={one.z} onChange={(z) => put({ z })} />
          <MeasureField
            measure={measure("bulge")}
            value={one.bulge ?? 0}
            onChange={(bulge) => put({ bulge: bulge === 0 ? undefined : bulge })}
          />
        </>
      )}
      <div className="flex gap-2">
        <Button onClick={withOne}>Add a place</Button>
        <Button onClick={without} disabled={places.length <= 2}>
          Take it out
        </Button>
      </div>
    </div>
  );
}
