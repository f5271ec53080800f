import type { Rect } from "../geometry";
import { lightsOf, type Light } from "../light";
import type { Orientation, Shot } from "../scene";
import { viewOf } from "../shot";
import { pinsOf } from "../vanishing";
import type { Element } from "../world";
import type { VisibleEdges } from "../visibility";
import type { WorldLine } from "../lines";
import type { LayerContext, OwnLines } from "./layers";

/** A sheet as a rectangle, mm. */
export const sheetRect = ({ sheet: { width, height } }: Pick<Shot, "sheet">): Rect => ({ x: 0, y: 0, width, height });

/** What of a scene the layers of its shots are worked out from, besides what is seen. */
interface Drawn {
  readonly orientations: readonly Orientation[];
  readonly elements?: readonly Element[];
  readonly lines?: readonly WorldLine[];
  readonly lights?: readonly Light[];
}

const NO_ELEMENTS: readonly Element[] = [];
const NO_SHEET: OwnLines["sheet"] = [];
const NO_WORLD: OwnLines["world"] = [];

/** The own lines that a shot shows: its sheet's and the world's. */
export const ownLinesOf = (drawn: Pick<Drawn, "lines">, shot: Pick<Shot, "lines">): OwnLines => ({
  sheet: shot.lines ?? NO_SHEET,
  world: drawn.lines ?? NO_WORLD,
});

/** What the layers of a shot are worked out from, on its sheet and with all its pins. */
export const contextOf = (
  { orientations, elements = NO_ELEMENTS, lines, lights }: Drawn,
  shot: Shot,
  visible: VisibleEdges,
): LayerContext => ({
  orientations,
  elements,
  lights: lightsOf({ lights }, shot),
  lines: ownLinesOf({ lines }, shot),
  shot,
  view: viewOf(shot),
  pins: pinsOf(orientations, shot),
  visible,
  within: sheetRect(shot),
});
