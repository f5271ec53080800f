import { headPath, setStyle } from "@zanvo/core/drawing";
import { around, corners, type Vec2 } from "@zanvo/core/geometry";
import type { Scene, Shot } from "@zanvo/core/scene";
import { viewOf } from "@zanvo/core/shot";
import { CAUTIONS, setUpOf, slipOf } from "@zanvo/core/slip";
import { inSystem, mm, sentence, sizeInMm, type System, type Told } from "@zanvo/core/units";
import { horizon, lineIn, pinsOf } from "@zanvo/core/vanishing";
import { BOTTOM, COLUMN, HAIR, PAGE, QUIET, RIGHT } from "./a4";
import { addPage, line, MM, newDocument, written, type Doc } from "./page";
import { tickTables } from "./ticks";
import { heightOf, write } from "./words";

/** The desk in small: sheet, panel, horizon, centre of vision, pins. @returns its height, mm */
function deskInSmall(doc: Doc, scene: Scene, shot: Shot, left: number, top: number): number {
  const { sheet, frame, lens } = shot;
  const pins = pinsOf(scene.orientations, shot).flatMap((pin) => (pin.point.at ? [{ pin, at: pin.point.at }] : []));
  const box = around([[0, 0], [sheet.width, sheet.height], ...pins.map(({ at }) => at)], 30);
  const scale = Math.min(COLUMN / box.width, 70 / box.height);
  const to = ([x, y]: Vec2): Vec2 => [left + (x - box.x) * scale, top + (y - box.y) * scale];
  const outline = (rect: { x: number; y: number; width: number; height: number }, width: number) => {
    const all = corners(rect).map(to);
    all.forEach((a, i) => line(doc, ...a, ...all[(i + 1) % 4], width, "#26251f"));
  };
  outline({ x: 0, y: 0, width: sheet.width, height: sheet.height }, 0.35);
  outline(frame, 0.18);
  const eye = horizon(viewOf(shot));
  const ends = eye && lineIn(eye, box);
  if (ends) line(doc, ...to(ends[0]), ...to(ends[1]), 0.18, "#46616f");
  const [cx, cy] = to([lens.centre.x, lens.centre.y]);
  line(doc, cx - 1.6, cy, cx + 1.6, cy, 0.18, "#26251f");
  line(doc, cx, cy - 1.6, cx, cy + 1.6, 0.18, "#26251f");
  for (const { pin, at } of pins) {
    const { stroke, head } = setStyle(pin);
    const [x, y] = to(at);
    doc
      .save()
      .translate(x * MM, y * MM)
      .path(headPath(head, 1.3 * MM))
      .fill(stroke, "even-odd")
      .restore();
  }
  return box.height * scale;
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
type SetUp = ReturnType<typeof setUpOf>;

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

/** The scene, its place and the shot, over the page. @returns where the columns begin, mm */
function title(doc: Doc, scene: Scene, shot: Shot): number {
  const width = PAGE.width - 2 * PAGE.margin;
  const style = { face: "bold", size: 14, width } as const;
  const top = write(doc, `${scene.title}: ${shot.name}`, PAGE.margin, PAGE.margin, style);
  return (scene.place ? write(doc, scene.place, PAGE.margin, top, { size: 9, width: COLUMN }) : top) + 3;
}

/**
 * The set-up sheet of a shot as a PDF on A4: the desk in small, the steps and all measures on the first page, the ticks
 * and tables for points off the sheet on the next.
 * @param spacing mm between edge ticks
 * @param system what its lengths are written in
 */
export async function slipPdf(scene: Scene, shot: Shot, spacing = 10, system: System = "metric"): Promise<Buffer> {
  const { steps, aids, scaled, compass } = setUpOf(scene, shot, spacing);
  const doc = newDocument(`${scene.title}: ${shot.name}, set-up sheet`);
  return written(doc, () => {
    const columns = twoColumns(doc, system, () => title(doc, scene, shot));
    columns.drawn((x, y) => deskInSmall(doc, scene, shot, x, y) + 3);
    steps.forEach((step, i) => columns.paragraph(step, 9, { number: `${i + 1}.` }));
    scaledSetUp(columns, scaled);
    columns.beginRight();
    measures(columns, scene, shot);
    if (compass) compassTables(columns, compass);
    columns.paragraph(CAUTIONS, 6.5, { colour: QUIET });
    tickTables(doc, aids, system);
  });
}
