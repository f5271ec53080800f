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
import { groupedLayers, type Grouping } from "./grouped";
import type { Drawing, Layer, Photo } from "./layer";
import { LAYER_KINDS, type LayerKind } from "./layers";
import type { Ring } from "./regions";
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
export const draw = (scene: Scene, shot: Shot, visible: VisibleEdges): Drawing =>
  drawn(scene, shot, compose(contextOf(scene, shot, visible)));

const drawn = (scene: Scene, shot: Shot, layers: readonly Layer[]): Drawing => ({
  title: `${scene.title}: ${shot.name}`,
  width: shot.sheet.width,
  height: shot.sheet.height,
  layers,
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
 * @param by what layers are told apart by; by their kind where nothing is said
 * @throws BadInput for a shot or a kind of layer that does not exist
 */
export function drawShot(scene: Scene, shotId?: string, without?: readonly string[], by?: Grouping): Drawing {
  return drawPanel(scene, shotOf(scene, shotId), { without, by });
}

/** What is wanted of a panel: kinds of layer to leave out, what layers are told apart by, and what lies over it. */
interface Wanted {
  readonly without?: readonly string[];
  readonly by?: Grouping;
  readonly over?: readonly Ring[];
}

/** A shot as `drawShot`. */
function drawPanel(scene: Scene, shot: Shot, { without = [], by = "kind", over }: Wanted): Drawing {
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
  const visible = visibleEdges(solids, eye, details, within, shading);
  const shown = { ...shot, show, under };
  const of = solids.map(({ id }) => id);
  return drawn(scene, shown, groupedLayers({ ...contextOf(scene, shown, visible), over }, of, by));
}

/**
 * All panels of a shot's page in their places, as one drawing; what belongs to the sheet and not to a panel is drawn
 * once.
 * @throws BadInput as `drawShot`
 */
export function drawPage(scene: Scene, shotId?: string, without?: readonly string[], by?: Grouping): Drawing {
  const panels = pageOf(scene, shotOf(scene, shotId));
  const [first, ...rest] = panels.map((panel) =>
    drawPanel(scene, panel, { without, by, over: panelsOver(scene, panel) }),
  );
  if (rest.length === 0) return first;
  const photos = [first, ...rest].flatMap((drawing) => drawing.photos ?? []);
  const layers = [first, ...rest].flatMap((drawing, i) =>
    drawing.layers
      .filter(({ id }) => i === 0 || !OF_SHEET.includes(id))
      .map(({ group, ...layer }) => ({
        ...layer,
        id: `panel-${i + 1}-${layer.id}`,
        label: `${panels[i].name}: ${layer.label}`,
        ...(group === undefined ? {} : { group: by === "panel" ? group : `${panels[i].name}: ${group}` }),
      })),
  );
  return {
    ...first,
    title: `${scene.title}: page with ${panels.map(({ name }) => name).join(", ")}`.slice(0, 300),
    layers,
    photos,
    panel: around(panels.flatMap(({ frame }) => corners(frame))),
  };
}
