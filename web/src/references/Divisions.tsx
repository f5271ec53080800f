import { linesOfQuad } from "@zanvo/core/dividing";
import type { Vec2 } from "@zanvo/core/geometry";
import type { Reference } from "@zanvo/core/scene";
import { toWindow, type Camera } from "../canvas/camera";
import { ACCENT, HALO, INK, pathOf } from "./marks";
import { QUADS, type Tracing } from "./tracing";

/** Corners with their numbers, in their order. */
function Corners({ places, camera }: { readonly places: readonly Vec2[]; readonly camera: Camera }) {
  return places.map((place, i) => {
    const [x, y] = toWindow(camera, place);
    return (
      <g key={i} data-testid="corner">
        <circle cx={x} cy={y} r={6} fill={HALO} fillOpacity={0.6} stroke={ACCENT} strokeWidth={2} />
        <text x={x + 9} y={y - 7} fontSize={12} stroke={HALO} strokeWidth={3} paintOrder="stroke" fill={INK}>
          {i + 1}
        </text>
      </g>
    );
  });
}

interface DivisionsProps {
  readonly reference: Reference;
  readonly tracing: Tracing;
  /** Corners that are pressed so far. */
  readonly pressed: readonly Vec2[];
  readonly camera: Camera;
}

/** Quadrilaterals of a photo with their columns and rows, the light lines they are divided by, and their corners. */
export function Divisions({ reference: { quads = [] }, tracing: { set, edge }, pressed, camera }: DivisionsProps) {
  return (
    <>
      {quads.map((quad, at) => {
        const { outline, divisions, light } = linesOfQuad(quad);
        const picked = set === QUADS && edge === at;
        const lines = [outline, ...divisions].map((line) => pathOf(camera, line)).join("");
        return (
          <g key={quad.id} fill="none" data-testid="division">
            <path d={lines} stroke={HALO} strokeWidth={picked ? 4 : 3} strokeOpacity={0.7} />
            <path d={lines} stroke={picked ? ACCENT : INK} strokeWidth={picked ? 1.8 : 1.2} />
            <path d={light.map((line) => pathOf(camera, line)).join("")} stroke={ACCENT} strokeWidth={0.8} />
            {picked && <Corners places={quad.corners} camera={camera} />}
          </g>
        );
      })}
      {pressed.length > 1 && (
        <path d={pathOf(camera, pressed)} fill="none" stroke={ACCENT} strokeWidth={1.5} strokeDasharray="5 3" />
      )}
      <Corners places={pressed} camera={camera} />
    </>
  );
}
