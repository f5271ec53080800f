import { BadInput } from "../problem";
import { DEFAULT_SHOW, pageOf, shotOf, showOf, type Scene, type Show } from "../scene";
import { viewOf } from "../shot";
import { see } from "../visibility";
import { built } from "../world";
import { draw } from "./draw";
import type { Drawing } from "./layer";

/** Kinds of line that can be left out of a drawing, and the photo under it. */
export const KINDS_OF_LINE = [...(Object.keys(DEFAULT_SHOW) as (keyof Show)[]), "photo"] as const;

/**
 * A shot of a scene as a drawing, from nothing: solids built, hidden lines found, everything laid on the sheet.
 * @param without kinds of line to leave out, whatever the shot shows
 * @throws BadInput for a shot or a kind of line that does not exist
 */
export function drawShot(scene: Scene, shotId?: string, without: readonly string[] = []): Drawing {
  const unknown = without.find((kind) => !KINDS_OF_LINE.some((known) => known === kind));
  if (unknown !== undefined) {
    throw new BadInput([
      { path: "without", message: `there are no lines called "${unknown}"; there are ${KINDS_OF_LINE.join(", ")}.` },
    ]);
  }
  const shot = shotOf(scene, shotId);
  const show = { ...showOf(shot), ...Object.fromEntries(without.map((kind) => [kind, 0])) };
  const under = without.includes("photo") ? undefined : shot.under;
  const { solids, details } = built(scene.elements);
  return draw(scene, { ...shot, show, under }, see(solids, viewOf(shot).eye, details));
}

/**
 * All panels of a shot's page in their places, as one drawing; what belongs to the sheet and not to a panel is drawn
 * once.
 * @throws BadInput as `drawShot`
 */
export function drawPage(scene: Scene, shotId?: string, without: readonly string[] = []): Drawing {
  const panels = pageOf(scene, shotOf(scene, shotId));
  const [first, ...rest] = panels.map(({ id }) => drawShot(scene, id, without));
  if (rest.length === 0) return first;
  const photos = [first, ...rest].flatMap((drawing) => drawing.photos ?? []);
  const layers = [first, ...rest].flatMap((drawing, i) =>
    drawing.layers
      .filter(({ id }) => i === 0 || id !== "live")
      .map((layer) => ({ ...layer, id: `panel-${i + 1}-${layer.id}`, name: `${panels[i].name}: ${layer.name}` })),
  );
  return {
    ...first,
    title: `${scene.title}: page with ${panels.map(({ name }) => name).join(", ")}`.slice(0, 300),
    layers,
    photos,
  };
}
