import { distance2, type Vec2 } from "@zanvo/core/geometry";
import { sentence, shortMetres } from "@zanvo/core/units";
import { outlineOf, placesOf, type Element } from "@zanvo/core/world";
import { toDesk, type Camera, type Size } from "../canvas/camera";
import { ACCENT, INK } from "../elements";
import { useStores } from "../stores";
import { onWindow, turnHandle } from "./plan";

/** A side shorter than this in the window has no room for its measure, px. */
const LEAST = 34;
/** Of things with more sides than these none is measured. */
const MAX_SIDES = 16;

/** How long each side of an area, or each part of a line, is: beside its middle. */
export function Dimensions({
  camera,
  places,
  closed,
}: {
  readonly camera: Camera;
  readonly places: readonly Vec2[];
  readonly closed: boolean;
}) {
  const { useMeasures } = useStores();
  const measures = useMeasures();
  if (places.length > MAX_SIDES) return null;
  const sides = places
    .slice(closed ? 0 : 1)
    .map((p, i) => [closed ? p : places[i], closed ? places[(i + 1) % places.length] : p] as const);
  return sides.map(([p, q], i) => {
    const [[ax, ay], [bx, by]] = [onWindow(camera, p), onWindow(camera, q)];
    const long = Math.hypot(bx - ax, by - ay);
    if (long < LEAST) return null;
    // To the right of who walks along a side that runs counter-clockwise is outside.
    const [nx, ny] = [(ay - by) / long, (bx - ax) / long];
    return (
      <text
        key={i}
        x={(ax + bx) / 2 + 14 * nx}
        y={(ay + by) / 2 + 14 * ny + 4}
        textAnchor="middle"
        fontSize={11}
        className="measure"
        fill={INK}
        stroke="#f3f1e8"
        strokeWidth={3}
        paintOrder="stroke"
      >
        {measures(shortMetres(distance2(p, q), 2))}
      </text>
    );
  });
}

/** The measures of what is chosen, and the handle that it is turned by. */
export function ChosenMarks({ camera, element }: { readonly camera: Camera; readonly element: Element }) {
  const line = "path" in element;
  const { at, about } = turnHandle(camera, element);
  const [mx, my] = onWindow(camera, about);
  return (
    <>
      <Dimensions camera={camera} places={line ? placesOf(element) : outlineOf(element)} closed={!line} />
      {!element.locked && (
        <g data-testid="turning handle" stroke={ACCENT}>
          <line x1={mx} y1={my} x2={at[0]} y2={at[1]} strokeDasharray="2 3" />
          <circle cx={at[0]} cy={at[1]} r={5} fill="#fbf9f3" strokeWidth={1.5} />
        </g>
      )}
    </>
  );
}

/** The greatest of 1, 2, 5, 10 ... m that is no longer than so many px. */
function roundLength(scale: number, most: number): number {
  const power = 10 ** Math.floor(Math.log10(most / scale));
  return Number(([5, 2, 1].map((k) => k * power).find((one) => one * scale <= most) ?? power).toPrecision(3));
}

/** Lines of the grid stand about so far apart, px. */
const APART = 44;

/** A grid of round metres from the origin, every fifth line heavier. */
export function Grid({ camera, size }: { readonly camera: Camera; readonly size: Size }) {
  const every = roundLength(camera.scale, APART);
  const [x0, y0] = toDesk(camera, [0, 0]);
  const [x1, y1] = toDesk(camera, [size.width, size.height]);
  const steps = (from: number, to: number) =>
    Array.from({ length: Math.floor(to / every) - Math.ceil(from / every) + 1 }, (_, i) => Math.ceil(from / every) + i);
  const drawn = (heavy: boolean) =>
    [
      ...steps(x0, x1).flatMap((n) =>
        (n % 5 === 0) === heavy ? [`M${camera.x + camera.scale * n * every} 0V${size.height}`] : [],
      ),
      ...steps(y0, y1).flatMap((n) =>
        (n % 5 === 0) === heavy ? [`M0 ${camera.y + camera.scale * n * every}H${size.width}`] : [],
      ),
    ].join("");
  return (
    <g data-testid="grid">
      {[false, true].map((heavy) => (
        <path
          key={String(heavy)}
          d={drawn(heavy)}
          stroke="#6d6a60"
          strokeWidth={1}
          opacity={heavy ? 0.4 : 0.17}
          fill="none"
        />
      ))}
    </g>
  );
}

interface ScaleBarProps {
  readonly camera: Camera;
  readonly size: Size;
  readonly grid: boolean;
}

/** A bar of a round number of metres, and how far apart the lines of the grid are where it is shown. */
export function ScaleBar({ camera: { scale }, size: { height }, grid }: ScaleBarProps) {
  const { useMeasures } = useStores();
  const length = roundLength(scale, 140);
  const measures = useMeasures();
  const lines = grid ? sentence`, lines of the grid ${shortMetres(roundLength(scale, APART), 3)} apart` : "";
  return (
    <g transform={`translate(16 ${height - 18})`}>
      <path d={`M0 -6V0H${length * scale}V-6`} fill="none" stroke={INK} strokeWidth={1.5} />
      <text
        x={length * scale + 6}
        y={0}
        className="measure"
        fontSize={11}
        stroke="#f3f1e8"
        strokeWidth={3}
        paintOrder="stroke"
      >
        {measures(sentence`${shortMetres(length, 3)}${lines}`)}
      </text>
    </g>
  );
}
