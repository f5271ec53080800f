import { around, corners } from "../geometry";
import { lightsOf } from "../light";
import { BadInput } from "../problem";
import { bleedOf, pageOf, shotOf, trimOf, type Scene, type Sheet, type Shot } from "../scene";
import { viewOf } from "../shot";
import { cutAway, visibleEdges, type VisibleEdges } from "../visibility";
import { built } from "../world";
import { howSeen, shadingOf } from "./howSeen";
import { compose } from "./compose";
import { contextOf, sheetRect } from "./context";
import type { Drawing, Photo } from "./layer";
import { LAYER_KINDS, type LayerKind } from "./layers";
import type { Ring } from "./cut";
import { panelsOver } from "./over";

/** What can be left out of a drawing: every kind of layer, and the photo under it. */
export const LEFT_OUT: readonly string[] = [...LAYER_KINDS.map(({ id }) => id), "photo"];

/** The picture under a shot's drawing, where there is one and it is shown. */
function photosOf({ references }: Scene, shot: Shot): Photo[] {
  const { under, frame } = shot;
  const reference = references?.find(({ id }) => id === under?.reference);
  if (!under || !reference || under.strength === 0) return [];
  const { at, strength, turn = 0, wholeSheet } = under;
  const { picture, name } = reference;
  return [{ picture, name, at, turn, clip: wholeSheet ? sheetRect(shot) : frame, opacity: strength }];
}

/** The drawing of one shot, from the edges that its eye sees; layers with nothing in them are left out. */
export const draw = (scene: Scene, shot: Shot, visible: VisibleEdges, over?: readonly Ring[]): Drawing => ({
  title: `${scene.title}: ${shot.name}`,
  width: shot.sheet.width,
  height: shot.sheet.height,
  layers: compose({ ...contextOf(scene, shot, visible), over }),
  panel: shot.frame,
  photos: photosOf(scene, shot),
  ...pageBoxes(shot.sheet),
});

/** Where a page is trimmed, and how far it is printed, where that is said. */
const pageBoxes = (sheet: Sheet): Pick<Drawing, "trim" | "bleed"> =>
  sheet.trim ? { trim: trimOf(sheet, sheet.trim), bleed: bleedOf(sheet, sheet.trim) } : {};

/** Kinds of layer that belong to the sheet. */
const OF_SHEET: readonly string[] = LAYER_KINDS.filter((kind: LayerKind) => kind.ofSheet).map(({ id }) => id);

/**
 * A shot of a scene as a drawing, from nothing: solids built, hidden lines found, everything laid on the sheet.
 * @param without kinds of layer to leave out, whatever the shot shows
 * @throws BadInput for a shot or a kind of layer that does not exist
 */
export function drawShot(scene: Scene, shotId?: string, without: readonly string[] = []): Drawing {
  return drawPanel(scene, shotOf(scene, shotId), without);
}

/** A shot as `drawShot`. @param over what lies over it on its page */
function drawPanel(scene: Scene, shot: Shot, without: readonly string[], over?: readonly Ring[]): Drawing {
  const unknown = without.find((kind) => !LEFT_OUT.includes(kind));
  if (unknown !== undefined) {
    throw new BadInput([
      { path: "without", message: `there are no lines called "${unknown}"; there are ${LEFT_OUT.join(", ")}.` },
    ]);
  }
  const show = { ...shot.show, ...Object.fromEntries(without.map((kind) => [kind, 0])) };
  const under = without.includes("photo") ? undefined : shot.under;
  const { eye } = viewOf(shot);
  const { leastAngle, within } = howSeen(shot);
  const shading = shadingOf(lightsOf(scene, shot), { show });
  const { solids, details } = cutAway(built(scene.elements, { eye, leastAngle }), eye, shot.cutaway);
  return draw(scene, { ...shot, show, under }, visibleEdges(solids, eye, details, within, shading), over);
}

/**
 * All panels of a shot's page in their places, as one drawing; what belongs to the sheet and not to a panel is drawn
 * once.
 * @throws BadInput as `drawShot`
 */
export function drawPage(scene: Scene, shotId?: string, without: readonly string[] = []): Drawing {
  const panels = pageOf(scene, shotOf(scene, shotId));
  const [first, ...rest] = panels.map((panel) => drawPanel(scene, panel, without, panelsOver(scene, panel)));
  if (rest.length === 0) return first;
  const photos = [first, ...rest].flatMap((drawing) => drawing.photos ?? []);
  const layers = [first, ...rest].flatMap((drawing, i) =>
    drawing.layers
      .filter(({ id }) => i === 0 || !OF_SHEET.includes(id))
      .map((layer) => ({ ...layer, id: `panel-${i + 1}-${layer.id}`, label: `${panels[i].name}: ${layer.label}` })),
  );
  return {
    ...first,
    title: `${scene.title}: page with ${panels.map(({ name }) => name).join(", ")}`.slice(0, 300),
    layers,
    photos,
    panel: around(panels.flatMap(({ frame }) => corners(frame))),
  };
}
