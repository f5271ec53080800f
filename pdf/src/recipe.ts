import { compose, contextOf, STYLES } from "@zanvo/core/drawing";
import type { Rect } from "@zanvo/core/geometry";
import type { Given, Recipe, Step } from "@zanvo/core/recipes";
import { stepLayers, stepsBox } from "@zanvo/core/stepPictures";
import { inSystem, type System } from "@zanvo/core/units";
import { NOTHING_VISIBLE } from "@zanvo/core/visibility";
import { BOTTOM, COLUMN, HAIR, PAGE, QUIET, RIGHT } from "./a4";
import { drawLayer } from "./layers";
import { addPage, line, newDocument, written, type Doc } from "./page";
import { heightOf, write } from "./words";

/** A small picture is at most so high, mm. */
const MAX_HEIGHT = 58;
const GAP = 5;
const TEXT = { size: 8.5, width: COLUMN - 7 } as const;

/** What the scene is called. */
const titleOf = ({ scene }: Given): string => scene.title ?? "";

/** Where a small picture lies on its page, and how its desk is scaled into it. */
interface Frame {
  readonly box: Rect;
  readonly scale: number;
  readonly height: number;
}

function frameOf(given: Given, steps: readonly Step[]): Frame {
  const box = stepsBox(given.shot, steps);
  const scale = Math.min(COLUMN / box.width, MAX_HEIGHT / box.height);
  return { box, scale, height: box.height * scale };
}

/** Draws the panel, its horizon and a construction up to a step, small, with its number. */
function smallPicture(
  doc: Doc,
  given: Given,
  steps: readonly Step[],
  at: number,
  frame: Frame,
  [x, y]: [number, number],
): void {
  const { box, scale } = frame;
  const placing = { dx: x - box.x * scale, dy: y - box.y * scale, scale, clip: box, weight: 0.7 };
  const base = compose(contextOf(given.scene, given.shot, NOTHING_VISIBLE), { only: ["frame", "horizon"] });
  for (const layer of base)
    drawLayer(doc, { ...layer, style: { ...layer.style, width: STYLES.horizon.width, opacity: 0.5 } }, placing);
  for (const layer of stepLayers(steps, at, 0.5 / scale, box.x + box.width / 2)) drawLayer(doc, layer, placing);
}

/** Numbered small pictures of a construction, each with its sentence, over as many pages as they take. */
export function recipePages(doc: Doc, recipe: Recipe, given: Given, system: System): void {
  const steps = recipe.steps(given);
  const frame = frameOf(given, steps);
  addPage(doc, PAGE.width, PAGE.height);
  const about = given.element ? `: ${given.element.name}` : "";
  const head = write(doc, `${recipe.label}${about}`, PAGE.margin, PAGE.margin, {
    face: "bold",
    size: 14,
    width: PAGE.width - 2 * PAGE.margin,
  });
  let top = write(doc, `${titleOf(given)}: ${given.shot.name}`, PAGE.margin, head, { size: 9, colour: QUIET }) + 7;
  for (let row = 0; row < steps.length; row += 2) {
    const pair = steps.slice(row, row + 2);
    const texts = pair.map(({ text }) => inSystem(text, system));
    const height = frame.height + 2 + Math.max(...texts.map((text) => heightOf(doc, text, TEXT))) + GAP;
    if (top + height > BOTTOM) {
      addPage(doc, PAGE.width, PAGE.height);
      top = PAGE.margin;
    }
    pair.forEach((_, i) => {
      const x = i === 0 ? PAGE.margin : RIGHT;
      smallPicture(doc, given, steps, row + i, frame, [x, top]);
      const below = top + frame.height + 1;
      line(doc, x, below, x + COLUMN, below, 0.15, HAIR);
      write(doc, String(row + i + 1), x, below + 1, { face: "bold", size: 9 });
      write(doc, texts[i], x + 7, below + 1, TEXT);
    });
    top += height;
  }
}

/** A construction as a PDF of its own: numbered small pictures on A4. @throws NoAnswer where it is not given */
export async function recipePdf(recipe: Recipe, given: Given, system: System = "metric"): Promise<Buffer> {
  const doc = newDocument(`${titleOf(given)}: ${recipe.label}`);
  return written(doc, () => recipePages(doc, recipe, given, system));
}
