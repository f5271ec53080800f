import type { Drawing, Photo } from "./layer";
import { lettering, letteringWidth } from "./lettering";
import { STYLES } from "./style";

/** Height of the letters, and their distance from the panel, mm. */
const TALL = 2.5;
const GAP = 1.5;

/** A note under a panel, or at the foot of the sheet where there is no margin; wide enough sheets show all of it. */
function note({ name, clip }: Photo, { width, height }: Drawing): number[] {
  const text = `Photo missing: ${name}`;
  const x = Math.max(GAP, Math.min(clip.x, width - GAP - letteringWidth(text, TALL)));
  return lettering(text, [x, Math.min(clip.y + clip.height + GAP + TALL, height - GAP)], TALL);
}

/**
 * Says on a drawing's margin which pictures should lie under it and are not there.
 * @param have the pictures that are there, by what they are called
 * @returns the drawing, and the names of the references whose picture is missing
 */
export function tellMissing(
  drawing: Drawing,
  have: { readonly has: (picture: string) => boolean },
): { readonly drawing: Drawing; readonly missing: readonly string[] } {
  const gone = (drawing.photos ?? []).filter(({ picture }) => !have.has(picture));
  if (gone.length === 0) return { drawing, missing: [] };
  const layer = {
    id: "missing",
    label: "Missing photos",
    style: STYLES.aids,
    lines: Float64Array.from(gone.flatMap((photo) => note(photo, drawing))),
  };
  return { drawing: { ...drawing, layers: [...drawing.layers, layer] }, missing: gone.map(({ name }) => name) };
}
