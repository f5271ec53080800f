import type { Shot } from "../scene";

/** Whether a shot's view is held to the photo that lies under it. */
export const isHeld = ({ under }: Pick<Shot, "under">): boolean => under?.held === true;

/**
 * A changed shot with the view that it had, as long as it is held to its photo before and after: gaze, lens and panel
 * are the photo's. The eye may stand anywhere on the ground, at the height that the photo tells.
 */
export const heldAs = (before: Shot, after: Shot): Shot =>
  isHeld(before) && isHeld(after) && before.under?.reference === after.under?.reference
    ? {
        ...after,
        sheet: before.sheet,
        frame: before.frame,
        gaze: before.gaze,
        lens: before.lens,
        eye: { ...after.eye, z: before.eye.z },
      }
    : after;

/** Whether a changed shot would still have the view that it is held to. */
export function keepsView(before: Shot, after: Shot): boolean {
  const kept = heldAs(before, after);
  return (["sheet", "frame", "gaze", "lens", "eye"] as const).every(
    (part) => JSON.stringify(kept[part]) === JSON.stringify(after[part]),
  );
}
