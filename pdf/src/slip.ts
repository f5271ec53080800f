import type { Given, Recipe } from "@zanvo/core/recipes";
import { pageOf, type Scene, type Shot } from "@zanvo/core/scene";
import { CAUTIONS, pageSetUpOf, setUpOf, slipOf, type SetUp } from "@zanvo/core/slip";
import { inSystem, mm, sentence, sizeInMm, type System, type Told } from "@zanvo/core/units";
import { BOTTOM, COLUMN, HAIR, PAGE, QUIET, RIGHT } from "./a4";
import { deskInSmall } from "./deskInSmall";
import { recipePages } from "./recipe";
import { addPage, line, newDocument, written, type Doc } from "./page";
import { tickTables } from "./ticks";
import { heightOf, write } from "./words";

/** A construction, and what it is shown for. */
export interface ShownRecipe {
  readonly recipe: Recipe;
  readonly given: Given;
}

/** Text that runs down two columns of each page. */
function twoColumns(doc: Doc, system: System, head: () => number) {
  addPage(doc, PAGE.width, PAGE.height);
  let top = head();
  let y = top;
  let right = false;
  /** Goes on in the next column or on the next page where there is not so much height left, mm. */
  const keep = (height: number) => {
    if (y + height > BOTTOM) next();
  };
  const next = () => {
    if (right) {
      addPage(doc, PAGE.width, PAGE.height);
      top = PAGE.margin + 3;
    }
    right = !right;
    y = top;
  };
  const left = () => (right ? RIGHT : PAGE.margin);
  return {
    keep,
    /** Takes what was drawn in this column, so many mm high. */
    drawn: (draw: (x: number, y: number) => number) => {
      y += draw(left(), y);
    },
    skip: (height: number) => {
      y += height;
    },
    rule: () => {
      line(doc, left(), y - 0.4, left() + COLUMN, y - 0.4, 0.15, HAIR);
    },
    /** Begins the right column, unless it has begun. */
    beginRight: () => {
      if (!right) next();
    },
    paragraph: (
      told: Told,
      size: number,
      { number, face, colour }: { number?: string; face?: "bold" | "measures"; colour?: string } = {},
    ) => {
      const indent = number ? 6 : 0;
      const text = inSystem(told, system);
      const style = { face, size, colour, width: COLUMN - indent };
      keep(heightOf(doc, text, style));
      if (number) write(doc, number, left(), y, { size });
      y = write(doc, text, left() + indent, y, style) + 0.8;
    },
  };
}

type Columns = ReturnType<typeof twoColumns>;

const heading = (columns: Columns, title: string, height: number) => {
  columns.keep(height);
  columns.paragraph(title.toUpperCase(), 7.5, { face: "bold" });
};

/** The set-up on one sheet of the same size, where pins lie too far off for the desk. */
function scaledSetUp({ skip, paragraph }: Columns, { factor, sheet, named }: SetUp["scaled"]): void {
  if (factor <= 1) return;
  skip(2);
  paragraph(`Scaled set-up, 1 : ${factor}`, 10, { face: "bold" });
  paragraph(
    sentence`On one sheet of the same size: the sheet’s corner ${mm(sheet.x)} from the left and ${mm(sheet.y)} from
      the top, ${sizeInMm(sheet.width, sheet.height)}.`,
    8.5,
  );
  for (const { name, x, y } of named) paragraph(sentence`${name}: ${mm(x)} from the left, ${mm(y)} from the top`, 8.5);
}

/** All measures of the slip, group by group. */
function measures(columns: Columns, scene: Scene, shot: Shot): void {
  for (const { title, rows } of slipOf(scene, shot)) {
    heading(columns, title, 16);
    for (const { label, value } of rows) {
      columns.keep(9);
      columns.rule();
      columns.paragraph(label, 7, { colour: QUIET });
      columns.skip(-0.9);
      columns.paragraph(value, 8, { face: "measures" });
    }
    columns.skip(1.5);
  }
}

/** What a curved view is drawn with by compass. */
function compassTables(columns: Columns, compass: NonNullable<SetUp["compass"]>): void {
  for (const [title, rows] of [
    ["Compass: horizons", compass.horizons],
    ["Compass: lines you picked", compass.picked],
    ["Compass: where feet lie", compass.feet],
    ["Compass: lines to each point", compass.lines],
  ] as const) {
    if (rows.length === 0) continue;
    heading(columns, title, 12);
    for (const { name, how } of rows) columns.paragraph(sentence`${name}: ${how}`, 7);
    columns.skip(1.5);
  }
}

/** The scene, its place and what of it is laid out, over the page. @returns where the columns begin, mm */
function title(doc: Doc, scene: Scene, name: string): number {
  const width = PAGE.width - 2 * PAGE.margin;
  const style = { face: "bold", size: 14, width } as const;
  const top = write(doc, `${scene.title}: ${name}`, PAGE.margin, PAGE.margin, style);
  return (scene.place ? write(doc, scene.place, PAGE.margin, top, { size: 9, width: COLUMN }) : top) + 3;
}

/** The pages of one panel: the desk in small, the steps and all measures, then ticks for points off the sheet. */
function panelPages(doc: Doc, scene: Scene, shot: Shot, setUp: SetUp, system: System): void {
  const { steps, aids, scaled, compass, tools } = setUp;
  const columns = twoColumns(doc, system, () => title(doc, scene, shot.name));
  columns.drawn((x, y) => deskInSmall(doc, scene, [shot], x, y) + 3);
  numbered(columns, steps);
  if (tools.length > 0) {
    heading(columns, "With your tools", 12);
    for (const note of tools) columns.paragraph(note, 8.5);
  }
  scaledSetUp(columns, scaled);
  columns.beginRight();
  measures(columns, scene, shot);
  if (compass) compassTables(columns, compass);
  columns.paragraph(CAUTIONS, 6.5, { colour: QUIET });
  tickTables(doc, aids, system);
}

/** The first page of a set-up sheet for all panels of a page, then each panel's own. */
function pageOfPanels(doc: Doc, scene: Scene, shot: Shot, spacing: number, system: System): void {
  const { steps, panels } = pageSetUpOf(scene, shot, spacing);
  const shots = panels.map((panel) => panel.shot);
  const columns = twoColumns(doc, system, () => title(doc, scene, `a page of ${panels.length} panels`));
  columns.drawn((x, y) => deskInSmall(doc, scene, shots, x, y) + 3);
  columns.beginRight();
  numbered(columns, steps);
  columns.paragraph(CAUTIONS, 6.5, { colour: QUIET });
  for (const { shot: panel, setUp } of panels) panelPages(doc, scene, panel, setUp, system);
}

const numbered = (columns: Columns, steps: readonly Told[]): void =>
  steps.forEach((step, i) => columns.paragraph(step, 9, { number: `${i + 1}.` }));

/**
 * The set-up sheet of a shot as a PDF on A4.
 * @param spacing mm between edge ticks
 * @param system what its lengths are written in
 * @param page whether it is of all panels of the shot's page
 * @param shown constructions that come after it as small pictures
 */
export async function slipPdf(
  scene: Scene,
  shot: Shot,
  spacing = 10,
  system: System = "metric",
  page = false,
  shown: readonly ShownRecipe[] = [],
): Promise<Buffer> {
  const whole = page && pageOf(scene, shot).length > 1;
  const doc = newDocument(`${scene.title}: ${whole ? "page" : shot.name}, set-up sheet`);
  return written(doc, () => {
    if (whole) pageOfPanels(doc, scene, shot, spacing, system);
    else panelPages(doc, scene, shot, setUpOf(scene, shot, spacing), system);
    for (const { recipe, given } of shown) recipePages(doc, recipe, given, system);
  });
}
