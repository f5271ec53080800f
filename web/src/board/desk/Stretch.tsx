import { contains, degrees, distance2 } from "@zanvo/core/geometry";
import { degree } from "@zanvo/core/slip";
import { viewOf } from "@zanvo/core/shot";
import { useShot } from "../board";
import { useDesk } from "./desk";

/** How far the pointer is off the gaze, and how much longer and wider things are drawn there than in the middle. */
export function Stretch() {
  const shot = useShot();
  const pointer = useDesk((desk) => desk.pointer);
  if (!pointer || !contains(shot.frame, pointer)) return null;
  const { centre, distance, law } = viewOf(shot);
  const theta = Math.atan(distance2(pointer, centre) / distance);
  const { radial, tangential } = law.stretch(theta);
  return (
    <span className="measure pointer-events-none absolute bottom-2 right-2 rounded bg-slip/90 px-1.5 py-0.5 text-[11px]">
      {degree(degrees(theta))} off the gaze · stretched {radial.toFixed(2)} outward, {tangential.toFixed(2)} across
    </span>
  );
}
