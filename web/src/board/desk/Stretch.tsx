import { contains, degrees } from "@zanvo/core/geometry";
import { degree } from "@zanvo/core/slip";
import { toEye, unproject, viewOf } from "@zanvo/core/shot";
import { useBoard } from "../useBoard";

/** How far the pointer is off the gaze, and how much longer and wider things are drawn there than in the middle. */
export function Stretch() {
  const { useShot, useDesk } = useBoard();
  const shot = useShot();
  const pointer = useDesk((desk) => desk.pointer);
  if (!pointer || !contains(shot.frame, pointer)) return null;
  const view = viewOf(shot);
  const seen = toEye(view, unproject(view, pointer));
  const { radial, tangential } = view.law.stretch(seen);
  const [outward, across] = view.law.shape === "round" ? ["outward", "across"] : ["along the axis", "around it"];
  return (
    <span
      className={"measure pointer-events-none absolute bottom-2 right-2 rounded bg-slip/90 px-1.5 py-0.5 text-[11px]"}
    >
      {degree(degrees(Math.acos(Math.min(1, Math.max(-1, seen[2])))))} off the gaze · stretched {radial.toFixed(2)}{" "}
      {outward}, {tangential.toFixed(2)} {across}
    </span>
  );
}
