import { BadInput } from "../problem";
import { frameOn, paperOf, sheetOf } from "./papers";
import { FORMAT, VERSION } from "../format";
import type { Aids, Bundle, LineSpacing, Scene, Shot } from "../schema";

export const DEFAULT_BUNDLE: Omit<Bundle, "pin"> = { spacing: 12, strength: 0.5 };
/** Lines nearer than 0.8 mm on paper clot into a black ball (common practice). */
export const DEFAULT_LINE_SPACING: LineSpacing = { gap: 0.8, clear: 4 };
export const NO_AIDS: Aids = { every: 10, ticks: false, tilts: false, strips: false, pegs: false, scaled: false };
/** Strength of hidden lines once they are switched on. */
export const FAINT = 0.35;

export const lineSpacingOf = (shot: Pick<Shot, "room">): LineSpacing => shot.room ?? DEFAULT_LINE_SPACING;

/** The bundle of one pin, as set or by default. */
export const bundleOf = (shot: Shot, pin: string): Bundle =>
  shot.bundles?.find((bundle) => bundle.pin === pin) ?? { pin, ...DEFAULT_BUNDLE };

/** An empty desk: an A3 sheet, a standing eye, and one pair of directions a corner's turn off the gaze. */
export function newScene(title: string): Scene {
  const sheet = sheetOf(paperOf("A3"), true);
  const frame = frameOn(sheet);
  return {
    format: FORMAT,
    version: VERSION,
    title,
    orientations: [{ id: "main", name: "Main streets", heading: 35 }],
    elements: [],
    shots: [
      {
        id: "s1",
        name: "First shot",
        sheet,
        frame,
        eye: { x: 0, y: 0, z: 1.6 },
        gaze: { heading: 0, pitch: 0, roll: 0 },
        lens: { law: "rectilinear", distance: 300, centre: { x: sheet.width / 2, y: sheet.height / 2 } },
      },
    ],
  };
}

/**
 * A shot of a scene by its id, or the first one.
 * @throws BadInput when there is no such shot
 */
export function shotOf(scene: Scene, id?: string): Shot {
  const shot = id === undefined ? scene.shots[0] : scene.shots.find((one) => one.id === id);
  if (shot) return shot;
  throw new BadInput([
    {
      path: "shot",
      message: `there is no shot "${id}"; there is ${scene.shots.map((one) => `"${one.id}"`).join(", ")}.`,
    },
  ]);
}
