import { memo, useMemo } from "react";
import type { Vec2 } from "@zanvo/core/geometry";
import type { Scene } from "@zanvo/core/scene";
import { holesOf, outlineOf, type Element } from "@zanvo/core/world";
import type { Camera, Size } from "../canvas/camera";
import { ACCENT, INK, viewOfElement, type PlanLook } from "../elements";
import { ChosenMarks, Dimensions, Grid, ScaleBar } from "./PlanMarks";
import { coneOf, handlesOf, onWindow, pathOn } from "./plan";
import { useStores } from "../stores";

/** The gaze's arm on the plan, px. */
const ARM = 64;
/** The sides of other shots' cones begin and end so far from their eyes, px. */
const NEAR = 8;
const OTHER = 30;
const EYE = "#2f6f8f";

/** The end of the gaze's arm, window px. */
export function gazeEnd(camera: Camera, eye: Vec2, heading: number): Vec2 {
  const [x, y] = onWindow(camera, eye);
  const h = (heading * Math.PI) / 180;
  return [x + ARM * Math.sin(h), y - ARM * Math.cos(h)];
}

/** More things than these are drawn together. */
const MANY = 3000;

/** The outline of a thing, and its holes the other way round. */
const ringsOf = (element: Element): readonly (readonly Vec2[])[] => [
  outlineOf(element),
  ...holesOf(element).map((hole) => [...hole].reverse()),
];

const drawn = (camera: Camera, element: Element): string =>
  `${ringsOf(element)
    .map((ring) => pathOn(camera, ring))
    .join("")}${(viewOfElement(element).marks?.(element) ?? []).map((mark) => pathOn(camera, mark, false)).join("")}`;
const style = ({ fill, fillOpacity = 0.1, joined }: PlanLook, on: boolean) => ({
  // Of paths that cross themselves all is filled; holes run the other way round.
  fillRule: "nonzero" as const,
  fill: on ? ACCENT : fill,
  fillOpacity: on ? 0.22 : fillOpacity,
  stroke: on ? ACCENT : INK,
  // Half of the outline of what is joined lies under the filling.
  strokeWidth: on ? 2 : joined ? 2.2 : 1.1,
});

/** The ground of things that run into one another, over their outlines. */
const Joined = memo(function Joined({
  camera,
  elements,
  fill,
  name,
}: {
  readonly camera: Camera;
  readonly elements: readonly Element[];
  readonly fill: string;
  readonly name: string;
}) {
  return (
    <path
      data-testid={name}
      d={elements.map((element) => drawn(camera, element)).join("")}
      fill={fill}
      fillRule="nonzero"
    />
  );
});

/** One thing by its outline: drawn afresh only where it, or the camera, has changed. */
const Thing = memo(function Thing({
  camera,
  element,
  on,
}: {
  readonly camera: Camera;
  readonly element: Element;
  readonly on: boolean;
}) {
  return <path data-testid={element.name} d={drawn(camera, element)} {...style(viewOfElement(element).look, on)} />;
});

/** Everything that stands, by its outline; what is low lies under what is high. */
const Things = memo(function Things({
  camera,
  elements,
  chosen,
}: {
  readonly camera: Camera;
  readonly elements: readonly Element[];
  readonly chosen: ReadonlySet<string>;
}) {
  const low = (element: Element) => viewOfElement(element).look.order;
  const shown = [...elements].filter(({ hidden }) => !hidden).sort((a, b) => low(a) - low(b));
  const thing = (element: Element) => (
    <Thing key={element.id} camera={camera} element={element} on={chosen.has(element.id)} />
  );
  if (shown.length <= MANY)
    return shown.flatMap((element, i) => {
      const { joined } = viewOfElement(element).look;
      if (joined === undefined) return [thing(element)];
      const alike = ({ kind }: Element) => kind === element.kind;
      const outline = chosen.has(element.id) ? [] : [thing(element)];
      if (i < shown.findLastIndex(alike)) return outline;
      // What is chosen lies over the ground that the others share.
      const [on, off] = [true, false].map((is) => shown.filter((one) => alike(one) && chosen.has(one.id) === is));
      return [
        ...outline,
        <Joined key={element.kind} camera={camera} elements={off} fill={joined} name={`ground of ${element.kind}`} />,
        ...on.map(thing),
      ];
    });
  // Of very many, those of a kind are one path.
  const kinds = [...new Set(shown.map(({ kind }) => kind))];
  return kinds.flatMap((kind) =>
    [false, true].map((on) => (
      <path
        key={`${kind} ${on}`}
        d={shown
          .filter((one) => one.kind === kind && chosen.has(one.id) === on)
          .map((one) => drawn(camera, one))
          .join("")}
        {...style(viewOfElement({ kind }).look, on)}
      />
    )),
  );
});

/** Eyes of the other shots, by their numbers; the name of the current one stands clear of them. */
function Eyes({ camera, shots }: { readonly camera: Camera; readonly shots: Scene["shots"] }) {
  const { useShot } = useStores();
  const shot = useShot();
  const eye: Vec2 = [shot.eye.x, shot.eye.y];
  const [x, y] = onWindow(camera, eye);
  const [gx, gy] = gazeEnd(camera, eye, shot.gaze.heading);
  const cone = coneOf(shot);
  const cones = useMemo(() => new Map(shots.map((one) => [one.id, coneOf(one)])), [shots]);
  const others = shots
    .map((one, i) => ({ id: one.id, number: i + 1, at: onWindow(camera, [one.eye.x, one.eye.y]) }))
    .filter(({ id }) => id !== shot.id);
  /** The sides of another shot's cone, short. */
  const short = (id: string, [ox, oy]: Vec2) =>
    (cones.get(id) ?? [])
      .map(([ux, uy]) => `M${ox + NEAR * ux} ${oy - NEAR * uy}L${ox + OTHER * ux} ${oy - OTHER * uy}`)
      .join("");
  // Below the eye, or where another's number is in the way, above it, or to the left of either.
  const wide = shot.name.length * 6.6;
  const [lx, ly] = (
    [
      [10, 14],
      [10, -12],
      [-wide - 10, 14],
      [-wide - 10, -12],
    ] as const
  ).find(([dx, dy]) =>
    others.every(({ at: [ox, oy] }) => ox < x + dx - 9 || ox > x + dx + wide + 9 || Math.abs(oy - (y + dy - 4)) > 14),
  ) ?? [10, 14];
  const ray = (way: Vec2) => pathOn(camera, [eye, [eye[0] + way[0] * 4000, eye[1] + way[1] * 4000]], false);
  return (
    <>
      {cone && (
        <path d={`${ray(cone[0])}${ray(cone[1])}`} stroke={EYE} strokeWidth={1} strokeDasharray="6 4" fill="none" />
      )}
      {others.map(({ id, number, at: [ox, oy] }) => (
        <g key={id}>
          <path d={short(id, [ox, oy])} stroke="#6d6a60" strokeWidth={1} />
          <circle cx={ox} cy={oy} r={7} fill="#6d6a60" />
          <text x={ox} y={oy + 3.5} textAnchor="middle" fontSize={10} fill="#fbf9f3">
            {number}
          </text>
        </g>
      ))}
      <g data-testid="eye">
        <line x1={x} y1={y} x2={gx} y2={gy} stroke={EYE} strokeWidth={2} />
        <circle cx={x} cy={y} r={6.5} fill="#fbf9f3" stroke={EYE} strokeWidth={2.5} />
        <circle cx={gx} cy={gy} r={5} fill={EYE} />
        <text x={x + lx} y={y + ly} fontSize={12} fill="#235a75" stroke="#f3f1e8" strokeWidth={3} paintOrder="stroke">
          {shot.name}
        </text>
      </g>
    </>
  );
}

/** What the hand is drawing: lines or an area, and the place it would take next. */
export interface Sketched {
  readonly places: readonly Vec2[];
  readonly closed: boolean;
  readonly filled: boolean;
  /** The outlines of what would be laid by rule. */
  readonly laid?: readonly (readonly Vec2[])[];
}

interface PlanDrawingProps {
  readonly camera: Camera;
  readonly size: Size;
  readonly chosen: ReadonlySet<string>;
  readonly sketched: Sketched | null;
  readonly hover: { readonly at: Vec2; readonly on: unknown } | null;
  readonly grid: boolean;
  /** A rectangle of the window that things are chosen in. */
  readonly lasso: readonly [Vec2, Vec2] | null;
}

/** The world from above: things, eyes, what is being drawn, north and a scale. */
export function PlanDrawing({ camera, size, chosen, sketched, hover, grid, lasso }: PlanDrawingProps) {
  const { useDocument } = useStores();
  const { elements, shots } = useDocument((document) => document.scene);
  const one = chosen.size === 1 ? elements.find(({ id }) => chosen.has(id)) : undefined;
  return (
    <svg width={size.width} height={size.height} className="pointer-events-none absolute inset-0">
      {grid && <Grid camera={camera} size={size} />}
      <Things camera={camera} elements={elements} chosen={chosen} />
      {one &&
        !one.locked &&
        handlesOf(one).map((corner, i) => {
          const [x, y] = onWindow(camera, corner);
          return (
            <rect key={i} x={x - 4} y={y - 4} width={8} height={8} fill="#fbf9f3" stroke={ACCENT} strokeWidth={1.5} />
          );
        })}
      {one && <ChosenMarks camera={camera} element={one} />}
      <Eyes camera={camera} shots={shots} />
      {sketched && sketched.places.length > 0 && (
        <>
          {sketched.laid && (
            <path
              data-testid="what would be laid"
              d={sketched.laid.map((outline) => pathOn(camera, outline)).join("")}
              fill={ACCENT}
              fillOpacity={0.12}
              stroke={ACCENT}
              strokeWidth={1}
            />
          )}
          <path
            d={pathOn(camera, sketched.places, sketched.closed)}
            fill={sketched.filled ? ACCENT : "none"}
            fillOpacity={0.15}
            stroke={ACCENT}
            strokeWidth={1.5}
          />
          <Dimensions camera={camera} places={sketched.places} closed={sketched.closed} />
          {!sketched.closed && (
            <circle
              cx={onWindow(camera, sketched.places[0])[0]}
              cy={onWindow(camera, sketched.places[0])[1]}
              r={5}
              fill="none"
              stroke={ACCENT}
              strokeWidth={2}
            />
          )}
        </>
      )}
      {hover && (
        <circle
          cx={onWindow(camera, hover.at)[0]}
          cy={onWindow(camera, hover.at)[1]}
          r={3.5}
          fill={hover.on ? ACCENT : "#6d6a60"}
        />
      )}
      {lasso && (
        <rect
          x={Math.min(lasso[0][0], lasso[1][0])}
          y={Math.min(lasso[0][1], lasso[1][1])}
          width={Math.abs(lasso[1][0] - lasso[0][0])}
          height={Math.abs(lasso[1][1] - lasso[0][1])}
          fill={ACCENT}
          fillOpacity={0.08}
          stroke={ACCENT}
          strokeDasharray="4 3"
        />
      )}
      <g transform={`translate(${size.width - 28} 34)`}>
        <path d="M0 -18L6 10L0 5L-6 10Z" fill={INK} />
        <text y={24} textAnchor="middle" fontSize={11}>
          N
        </text>
      </g>
      <ScaleBar camera={camera} size={size} grid={grid} />
    </svg>
  );
}
