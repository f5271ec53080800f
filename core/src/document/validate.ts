import { BadInput, type ValidationError } from "../problem";
import { DEFAULT_SHOW, detailSwitch } from "../drawing";
import { LAWS } from "../lens";
import { MAX_ELEMENTS, type Kit, type Scene } from "../scene";
import { inMetric } from "../units";
import { DETAIL_KINDS, validateElement, validateRow, kindOf, type Element, type Row } from "../world";
import { elementFits, rowFits, sceneFits } from "./compiled";
import { fitting } from "./fitting";

/** What no drawing could want more of: flights of steps, slopes, and panels of a page together. */
const MAX_STEPS = 20_000;
const MAX_SLOPES = 400;
const MAX_PANELS = 60;
/** The largest picture distance in a curved lens, mm: a disc of some hundred metres across. */
const MAX_CURVED = 100_000;

/** What the rest of a scene needs to know of an element. */
export interface ElementSummary {
  readonly id: string;
  /** How many steps it has. */
  readonly steps: number;
}

export const summaryOf = (element: Element): ElementSummary => ({
  id: element.id,
  steps: kindOf(element).steps?.(element) ?? 0,
});

/** The first thing of which a scene has more than a drawing could want. */
function excess({ orientations, shots }: Scene, elements: readonly ElementSummary[]): ValidationError | undefined {
  const steps = elements.reduce((sum, one) => sum + one.steps, 0);
  if (steps > MAX_STEPS)
    return { path: "elements", message: `have ${steps} steps in all their flights; ${MAX_STEPS} are the most.` };
  const slopes = orientations.reduce((sum, one) => sum + (one.slopes?.length ?? 0), 0);
  if (slopes > MAX_SLOPES)
    return { path: "orientations", message: `have ${slopes} slopes together; ${MAX_SLOPES} are the most.` };
  const panels = new Map<string, number>();
  for (const { page } of shots) if (page !== undefined) panels.set(page, (panels.get(page) ?? 0) + 1);
  const full = shots.findIndex(({ page }) => page !== undefined && panels.get(page)! > MAX_PANELS);
  if (full >= 0)
    return {
      path: `shots/${full}/page`,
      message: `has ${panels.get(shots[full].page!)} panels; ${MAX_PANELS} are the most.`,
    };
  const far = shots.findIndex(({ lens }) => !LAWS[lens.law].straight && lens.distance > MAX_CURVED);
  return far < 0
    ? undefined
    : { path: `shots/${far}/lens/distance`, message: `must be <= ${MAX_CURVED} in a curved lens.` };
}

/** What a shot can say how strongly it shows: kinds of layers, and kinds of details. */
const SWITCHES: ReadonlySet<string> = new Set([
  ...Object.keys(DEFAULT_SHOW),
  ...DETAIL_KINDS.map(({ id }) => detailSwitch(id)),
]);

/** Refuses an id that stands in a list twice. */
function checkIds(list: string, items: readonly { readonly id: string }[]): void {
  const seen = new Set<string>();
  items.forEach(({ id }, i) => {
    if (seen.has(id)) throw new BadInput([{ path: `${list}/${i}/id`, message: `"${id}" is taken by an earlier one.` }]);
    seen.add(id);
  });
}

/** Refuses what cannot stand. @param at its place in a list of elements */
function checkSense(element: Element, at: number, list = "elements"): void {
  const invalid = validateElement(element);
  if (invalid) throw new BadInput([{ path: `${list}/${at}/${invalid.field}`, message: inMetric(invalid.message) }]);
}

/** Refuses kits whose parts could not be put down. */
function checkKits(kits: readonly Kit[]): void {
  checkIds("kits", kits);
  kits.forEach(({ elements }, i) => {
    checkIds(`kits/${i}/elements`, elements);
    elements.forEach((element, k) => checkSense(element, k, `kits/${i}/elements`));
  });
}

/**
 * Checks what depends on more than one part of a scene that fits the schema; ids are unique in each list, no panel is
 * off its sheet.
 */
function checkWhole(scene: Scene, elements: readonly ElementSummary[]): void {
  const { orientations, shots, references = [], rows = [], kits = [] } = scene;
  const { lines = [] } = scene;
  for (const [list, items] of Object.entries({ orientations, elements, shots, references, lines }))
    checkIds(list, items);
  shots.forEach((shot, i) => checkIds(`shots/${i}/lines`, shot.lines ?? []));
  checkKits(kits);
  const most = excess(scene, elements);
  if (most) throw new BadInput([most]);
  rows.forEach((row, i) => {
    if (!row.lot && !(row.from && row.to))
      throw new BadInput([{ path: `rows/${i}`, message: "needs a street side, with from and to, or a lot." }]);
  });
  shots.forEach(({ frame, sheet, show = {} }, i) => {
    const unknown = Object.keys(show).find((key) => !SWITCHES.has(key));
    if (unknown !== undefined)
      throw new BadInput([{ path: `shots/${i}/show/${unknown}`, message: "is not a field that belongs here." }]);
    if (
      frame.x >= sheet.width ||
      frame.y >= sheet.height ||
      frame.x + frame.width <= 0 ||
      frame.y + frame.height <= 0
    ) {
      throw new BadInput([
        { path: `shots/${i}/frame`, message: "lies beyond its sheet: nothing of it could be drawn." },
      ]);
    }
  });
}

/** A value checked as a scene of the current version. @throws BadInput with the place of the first error */
export function checkScene(value: unknown): Scene {
  const scene = fitting(sceneFits(), value);
  checkWhole(scene, scene.elements.map(summaryOf));
  scene.elements.forEach((element, i) => checkSense(element, i));
  return scene;
}

/** Checks an element by itself. @param at its place in the list of elements @throws BadInput */
export function checkElement(value: unknown, at: number): ElementSummary {
  const element = fitting(elementFits(), value);
  checkSense(element, at);
  return summaryOf(element);
}

/** A value as an element that can stand; null for any other. */
export function elementIn(value: unknown): Element | null {
  const fits = elementFits();
  return fits(value) && validateElement(value) === null ? value : null;
}

/** A value as the rule of a row that can be built up; null for any other. */
export function rowIn(value: unknown): Row | null {
  const fits = rowFits();
  return fits(value) && validateRow(value) === null ? value : null;
}

/** Checks a scene whose elements are taken out and were checked by themselves. @throws BadInput */
export function checkRest(value: unknown, elements: readonly ElementSummary[]): Scene {
  const scene = fitting(sceneFits(), value);
  if (elements.length > MAX_ELEMENTS)
    throw new BadInput([{ path: "elements", message: `must NOT have more than ${MAX_ELEMENTS} items.` }]);
  checkWhole(scene, elements);
  return scene;
}
