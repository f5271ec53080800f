import { useMemo } from "react";
import {
  ellipseOf,
  linesTo,
  measureWall,
  placeOn,
  pointOf,
  viewOfReference,
  type MeasuredWall,
  type Misdrawn,
} from "@zanvo/core/recover";
import type { Vec2 } from "@zanvo/core/geometry";
import type { Reference, TracedSet, Wall } from "@zanvo/core/scene";
import { toDesk, toWindow, type Camera, type Size } from "../canvas/camera";
import { metres } from "@zanvo/core/units";
import type { Finding } from "./edges";
import { Divisions } from "./Divisions";
import { useHeights } from "./HeightsPanel";
import { ACCENT, HALO, INK, pathOf } from "./marks";
import type { Recovered } from "./useRecovered";
import { BOWED, HEIGHTS, HORIZON, lookOf, WALLS, type Drawn, type Tracing } from "./tracing";
import { useStores } from "../stores";

interface TracedProps {
  readonly reference: Reference;
  readonly tracing: Tracing;
  readonly finding: Finding;
  readonly wrong: readonly Misdrawn[];
  /** Corners that are pressed so far. */
  readonly pressed: readonly Vec2[];
  /** The view whose grid is drawn, if one is. */
  readonly view: Recovered["view"];
  readonly camera: Camera;
  readonly size: Size;
}

const HORIZON_INK = "#2f6f8f";

/** Walls as they stand in the picture; null for one that is none. */
export function useWalls(reference: Reference): readonly (MeasuredWall | null)[] {
  return useMemo(() => {
    const { walls = [] } = reference;
    if (walls.length === 0) return [];
    try {
      const view = viewOfReference(reference);
      return walls.map((wall) => {
        try {
          return measureWall(reference, wall, view);
        } catch {
          return null;
        }
      });
    } catch {
      return walls.map(() => null);
    }
  }, [reference]);
}

/** A line with a light edge, so that it is seen on dark and light. */
function Line({
  camera,
  line: { x1, y1, x2, y2 },
  stroke,
  picked,
  dash,
}: {
  readonly camera: Camera;
  readonly line: Drawn;
  readonly stroke: string;
  readonly picked: boolean;
  readonly dash?: string;
}) {
  const [[ax, ay], [bx, by]] = [toWindow(camera, [x1, y1]), toWindow(camera, [x2, y2])];
  return (
    <>
      <line x1={ax} y1={ay} x2={bx} y2={by} stroke={HALO} strokeWidth={picked ? 6 : 4} strokeOpacity={0.8} />
      <line x1={ax} y1={ay} x2={bx} y2={by} stroke={stroke} strokeWidth={picked ? 3 : 2} strokeDasharray={dash} />
      {picked && <Ends camera={camera} line={{ x1, y1, x2, y2 }} stroke={stroke} />}
    </>
  );
}

/** A word on the photo. */
function Word({ x, y, children }: { readonly x: number; readonly y: number; readonly children: string }) {
  return (
    <text x={x} y={y} className="measure" fontSize={12} stroke={HALO} strokeWidth={3} paintOrder="stroke" fill={INK}>
      {children}
    </text>
  );
}

/** The edges of one set, each with the thin line on to their point. */
function SetLines({
  set,
  at,
  point,
  tracing,
  camera,
}: {
  readonly set: TracedSet;
  readonly at: number;
  readonly point: ReturnType<typeof pointOf>;
  readonly tracing: Tracing;
  readonly camera: Camera;
}) {
  const { stroke } = lookOf(set, at);
  let used = -1;
  return set.edges.map((edge, k) => {
    if (!edge.out) used++;
    const stray = !edge.out && point?.strays.includes(used);
    const goal = point?.at && toWindow(camera, point.at);
    const [a, b] = [toWindow(camera, [edge.x1, edge.y1]), toWindow(camera, [edge.x2, edge.y2])];
    const near =
      goal && (Math.hypot(goal[0] - a[0], goal[1] - a[1]) < Math.hypot(goal[0] - b[0], goal[1] - b[1]) ? a : b);
    return (
      <g key={k} opacity={edge.out ? 0.35 : 1}>
        {near && !edge.out && !stray && set.edges.length < 60 && (
          <line
            x1={near[0]}
            y1={near[1]}
            x2={goal[0]}
            y2={goal[1]}
            stroke={stroke}
            strokeWidth={0.7}
            strokeOpacity={0.55}
          />
        )}
        <Line
          camera={camera}
          line={edge}
          stroke={stray ? ACCENT : stroke}
          picked={set.id === tracing.set && k === tracing.edge}
          dash={stray ? "5 3" : undefined}
        />
      </g>
    );
  });
}

/** Found edges, faint, those left aside fainter. */
function FoundLines({ finding: { found, off }, camera }: { readonly finding: Finding; readonly camera: Camera }) {
  if (!found) return null;
  return found.groups.map(({ role, members }, g) => {
    const paths = (aside: boolean) =>
      members
        .filter((i) => off.has(i) === aside)
        .map((i) => pathOf(camera, [found.edges[i].a, found.edges[i].b]))
        .join("");
    const { stroke } = lookOf({ role }, g);
    return (
      <g key={g} fill="none" stroke={stroke} strokeWidth={1.6} data-testid={`found ${role}`}>
        <path d={paths(false)} strokeOpacity={0.75} />
        <path d={paths(true)} strokeOpacity={0.2} strokeDasharray="2 3" />
      </g>
    );
  });
}

/** A line of the photo across the window, px. */
function acrossWindow(
  { a, b, c }: { readonly a: number; readonly b: number; readonly c: number },
  camera: Camera,
  { width, height }: Size,
): readonly [Vec2, Vec2] {
  if (Math.abs(b) < 1e-6) return [toWindow(camera, [-c / a, -1e5]), toWindow(camera, [-c / a, 1e5])];
  const at = (x: number): Vec2 => toWindow(camera, [x, -(a * x + c) / b]);
  const [left, right] = [toDesk(camera, [0, 0])[0], toDesk(camera, [width, height])[0]];
  return [at(left), at(right)];
}

interface OneWall {
  readonly wall: Wall;
  /** The wall as it stands in the picture; null where it is none. */
  readonly stands: MeasuredWall | null;
  readonly picked: boolean;
  readonly camera: Camera;
}

/** The ends of a picked line. */
function Ends({ camera, line: { x1, y1, x2, y2 }, stroke }: { camera: Camera; line: Drawn; stroke: string }) {
  return [
    [x1, y1],
    [x2, y2],
  ].map(([x, y], n) => {
    const [cx, cy] = toWindow(camera, [x, y]);
    return <circle key={n} cx={cx} cy={cy} r={6} fill="none" stroke={stroke} strokeWidth={2} />;
  });
}

/** A wall with its bays, or the line that was drawn where it is none. */
function WallShape({ wall, stands, picked, camera }: OneWall) {
  const [x, y] = toWindow(camera, [(wall.x1 + wall.x2) / 2, (wall.y1 + wall.y2) / 2]);
  const outline = stands && pathOf(camera, stands.corners, true);
  return (
    <g data-testid={wall.name}>
      {outline ? (
        <>
          <path
            d={outline}
            fill={INK}
            fillOpacity={picked ? 0.16 : 0.07}
            stroke={HALO}
            strokeWidth={picked ? 3.5 : 2}
          />
          <path d={outline} fill="none" stroke={INK} strokeWidth={picked ? 2 : 1} />
        </>
      ) : (
        <Line camera={camera} line={wall} stroke={ACCENT} picked={false} dash="5 3" />
      )}
      {stands &&
        (wall.marks ?? []).map((share, n) => (
          <path
            key={n}
            data-testid="bay mark"
            d={pathOf(camera, [placeOn(stands, [share, 0]), placeOn(stands, [share, 1])])}
            stroke={ACCENT}
            strokeWidth={1.5}
          />
        ))}
      {picked && <Ends camera={camera} line={wall} stroke={INK} />}
      <Word x={x - 20} y={y + 4}>
        {wall.name}
      </Word>
    </g>
  );
}

/** Heights with a mark at foot and top, and what each is. */
function HeightLines({ reference, tracing, camera }: Pick<TracedProps, "reference" | "tracing" | "camera">) {
  const { useMeasures } = useStores();
  const sizes = useHeights(reference)?.heights ?? [];
  const measures = useMeasures();
  return (reference.heights ?? []).map((line, k) => {
    const [[ax, ay], [bx, by]] = [toWindow(camera, [line.x1, line.y1]), toWindow(camera, [line.x2, line.y2])];
    const size = sizes[k] ?? null;
    return (
      <g key={k}>
        <Line camera={camera} line={line} stroke={INK} picked={tracing.set === HEIGHTS && tracing.edge === k} />
        <path d={`M${ax - 7} ${ay}h14M${bx - 7} ${by}h14`} stroke={INK} strokeWidth={2} fill="none" />
        {size !== null && (
          <Word x={bx + 10} y={by + 4}>
            {measures(metres(size))}
          </Word>
        )}
      </g>
    );
  });
}

/** Where the edges of a set meet, as surely as they tell it (95 %). */
function PointEllipse({
  set,
  at,
  point,
  camera,
  size,
}: {
  readonly set: TracedSet;
  readonly at: number;
  readonly point: ReturnType<typeof pointOf>;
} & Pick<TracedProps, "camera" | "size">) {
  if (!point?.at || !point.covariance) return null;
  const { major, minor, slant } = ellipseOf(point.covariance);
  const [x, y] = toWindow(camera, point.at);
  // One as large as the window says only that the point is far; the panel says it in words.
  if (major * camera.scale > size.width / 2) return null;
  const { stroke } = lookOf(set, at);
  return (
    <ellipse
      cx={x}
      cy={y}
      rx={Math.max(3, major * camera.scale)}
      ry={Math.max(3, minor * camera.scale)}
      transform={`rotate(${slant} ${x} ${y})`}
      fill={stroke}
      fillOpacity={0.25}
      stroke={stroke}
    />
  );
}

/** The horizon that the edges tell, and the one that is drawn. */
function Horizons({
  reference,
  tracing,
  camera,
  size,
}: Pick<TracedProps, "reference" | "tracing" | "camera" | "size">) {
  const told = useMemo(() => {
    try {
      return viewOfReference(reference).horizon;
    } catch {
      return null;
    }
  }, [reference]);
  const ends = told && acrossWindow(told, camera, size);
  const drawn = reference.horizon;
  return (
    <>
      {ends && (
        <line
          x1={ends[0][0]}
          y1={ends[0][1]}
          x2={ends[1][0]}
          y2={ends[1][1]}
          stroke={HORIZON_INK}
          strokeWidth={1.5}
          strokeDasharray="10 4"
          data-testid="horizon"
        />
      )}
      {drawn && <Line camera={camera} line={drawn} stroke={HORIZON_INK} picked={tracing.set === HORIZON} />}
    </>
  );
}

/** The grid of a view over its photo: lines to the point of each set, with a light edge, so that they are seen. */
function ViewGrid({
  view,
  reference,
  camera,
}: {
  readonly view: NonNullable<Recovered["view"]>;
  readonly reference: Reference;
  readonly camera: Camera;
}) {
  return view.fitted.map((point, i) => {
    if (!point) return null;
    const set = view.sets[i];
    const { stroke } = lookOf(set, reference.sets.indexOf(set));
    const path = linesTo(point, reference)
      .map((line) => pathOf(camera, line))
      .join("");
    return (
      <g key={set.id} fill="none" data-testid={`grid ${set.role}`}>
        <path d={path} stroke={HALO} strokeWidth={2.6} strokeOpacity={0.55} />
        <path d={path} stroke={stroke} strokeWidth={1.2} strokeOpacity={0.9} />
      </g>
    );
  });
}

/**
 * All that is drawn over the photo: the grid of its view, found edges, sets and their points, heights, walls, the
 * horizon, and lines as they should be.
 */
export function Traced({ reference, tracing, finding, wrong, pressed, view, camera, size }: TracedProps) {
  const { sets, bowed = [] } = reference;
  const points = useMemo(() => sets.map((set) => pointOf(reference, set)), [reference, sets]);
  const walls = useWalls(reference);
  const picked = (what: string, k: number) => tracing.set === what && tracing.edge === k;
  return (
    <svg width={size.width} height={size.height} className="pointer-events-none absolute inset-0">
      {view?.focalLength && <ViewGrid view={view} reference={reference} camera={camera} />}
      <Horizons reference={reference} tracing={tracing} camera={camera} size={size} />
      <FoundLines finding={finding} camera={camera} />
      {(reference.walls ?? []).map((wall, k) => (
        <WallShape key={wall.id} wall={wall} stands={walls[k]} picked={picked(WALLS, k)} camera={camera} />
      ))}
      {sets.map((set, i) => (
        <SetLines key={set.id} set={set} at={i} point={points[i]} tracing={tracing} camera={camera} />
      ))}
      {bowed.map(({ points: places }, k) => (
        <path
          key={k}
          d={pathOf(
            camera,
            places.map(({ x, y }) => [x, y]),
          )}
          fill="none"
          stroke={picked(BOWED, k) ? ACCENT : INK}
          strokeWidth={2}
          data-testid="bowed edge"
        />
      ))}
      <Divisions reference={reference} tracing={tracing} pressed={pressed} camera={camera} />
      <HeightLines reference={reference} tracing={tracing} camera={camera} />
      {sets.map((set, i) => (
        <PointEllipse key={set.id} set={set} at={i} point={points[i]} camera={camera} size={size} />
      ))}
      {wrong.map(
        ({ fix }, i) =>
          fix && (
            <path
              key={i}
              data-testid="corrected line"
              d={pathOf(camera, fix.line)}
              stroke={ACCENT}
              strokeWidth={2}
              strokeDasharray="7 3"
              fill="none"
            />
          ),
      )}
    </svg>
  );
}
