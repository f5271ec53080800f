import { shotOf } from "@zanvo/core/scene";
import { viewOf } from "@zanvo/core/shot";
import { horizon, lineFrame, lineIn, pinsOf, type Line } from "@zanvo/core/vanishing";
import { sceneIn, type Call } from "./io";

const point = ([x, y]: readonly [number, number]) => ({ x, y });

/**
 * A horizon as one height where it is level, else as the two places where it leaves the sheet (or, off it, two of its
 * points).
 */
function horizonAnswer(line: Line | null, sheet: { width: number; height: number }) {
  if (!line) return null;
  if (Math.abs(line.a) < 1e-12) return { y: -line.c / line.b };
  const ends = lineIn(line, { x: 0, y: 0, ...sheet });
  const { at, along } = lineFrame(line);
  const [from, to] = ends ?? [at, [at[0] + along[0], at[1] + along[1]] as const];
  return { from: point(from), to: point(to) };
}

/** `zanvo pins`: the horizon, the centre of vision, the picture distance and every pin of a shot. */
export async function pins(call: Call) {
  const scene = await sceneIn(call);
  const shot = shotOf(scene, call.options.shot);
  return {
    shot: shot.id,
    horizon: horizonAnswer(horizon(viewOf(shot)), shot.sheet),
    centre: { x: shot.lens.centre.x, y: shot.lens.centre.y },
    distance: shot.lens.distance,
    pins: pinsOf(scene.orientations, shot).map(({ id, name, direction, point: at, offSheet }) => ({
      id,
      name,
      direction,
      ...(at.at ? point(at.at) : { x: null, y: null, angle: at.angle }),
      offSheet,
    })),
  };
}
