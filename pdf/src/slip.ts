import { headPath, setStyle } from "@zanvo/core/drawing";
import { around, corners, type Vec2 } from "@zanvo/core/geometry";
import type { Scene, Shot } from "@zanvo/core/scene";
import { viewOf } from "@zanvo/core/shot";
import { CAUTIONS, degree, setUpOf, slipOf } from "@zanvo/core/slip";
import { inInches, inSystem, type System, mm, sentence, sizeInMm, type Told } from "@zanvo/core/units";
import { horizon, lineIn, pinsOf, type OffPageAids, type Pin } from "@zanvo/core/vanishing";
import { addPage, MM, newDocument, written, type Doc } from "./page";
import { heightOf, write } from "./words";

const PAGE = { width: 210, height: 297, margin: 13 };
const COLUMN = (PAGE.width - 2 * PAGE.margin - 8) / 2;
const RIGHT = PAGE.margin + COLUMN + 8;
const BOTTOM = PAGE.height - PAGE.margin;
const QUIET = "#5d5a50";
const HAIR = "#cbc6b6";

const line = (doc: Doc, x1: number, y1: number, x2: number, y2: number, width = 0.15, colour = HAIR) =>
  doc
    .lineWidth(width * MM)
    .strokeColor(colour)
    .moveTo(x1 * MM, y1 * MM)
    .lineTo(x2 * MM, y2 * MM)
    .stroke();

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

/** Numbered columns of ticks, as many side by side as fit; goes on to further pages. */
const TABLE = 55;
const ROW = 3.7;
/** Columns of a table: where each ends, mm. */
const ENDS = [8, 22, 37, 52] as const;
const cells = (
  doc: Doc,
  texts: readonly string[],
  x: number,
  y: number,
  style: { readonly face?: "measures"; readonly size: number },
) =>
  texts.forEach((text, i) =>
    write(doc, text, x + (ENDS[i - 1] ?? 0), y, { ...style, align: "right", width: ENDS[i] - (ENDS[i - 1] ?? 0) }),
  );

function tickTables(
  doc: Doc,
  aids: readonly { readonly pin: Pin; readonly aids: OffPageAids }[],
  system: System,
): void {
  let [x, y] = [PAGE.width, BOTTOM];
  const heads = (title: string, side: string) => {
    if (x + TABLE > PAGE.width - PAGE.margin + 1) {
      addPage(doc, PAGE.width, PAGE.height);
      x = PAGE.margin;
    }
    y = write(doc, title, x, PAGE.margin, { face: "bold", size: 8.5, width: TABLE - 3 });
    cells(doc, ["tick", side, "opposite", "tilt"], x, y + 1, { size: 7 });
    y += 5;
    line(doc, x, y - 0.6, x + TABLE - 3, y - 0.6, 0.2, "#26251f");
  };
  for (const {
    pin,
    aids: { side, spacing, ticks, centrolinead },
  } of aids) {
    heads(`Edge ticks for ${pin.name}`, side);
    for (const { number, near, far, tilt } of ticks) {
      if (y + ROW > BOTTOM) {
        x += TABLE + 5;
        heads(`${pin.name}, continued`, side);
      }
      const at = (value: number | null) =>
        value === null ? "–" : system === "metric" ? value.toFixed(1) : inInches(value);
      cells(doc, [String(number), at(near), at(far), `${tilt.toFixed(2)}°`], x, y, { face: "measures", size: 7.2 });
      y += ROW;
    }
    const notes = [
      sentence`Every ${mm(spacing.near)} on the ${side} edge, every ${mm(spacing.far)} on the opposite one, in ${system === "metric" ? "mm" : "inches"} from the top edge. A ruler on equal numbers aims at the point.`,
      ...(centrolinead
        ? [
            sentence`Centrolinead: pegs on the ${side} edge, ${mm(centrolinead.pegs)} above and below the point’s level; legs at ${degree(centrolinead.angle)} to the ruler.`,
          ]
        : []),
    ];
    for (const note of notes.map((told) => inSystem(told, system))) {
      const style = { size: 7.5, width: TABLE - 3, colour: QUIET };
      if (y + heightOf(doc, note, style) + 1 > BOTTOM) {
        x += TABLE + 5;
        heads(`${pin.name}, continued`, side);
      }
      y = write(doc, note, x, y + 1, style);
    }
    x += TABLE + 5;
  }
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
    addPage(doc, PAGE.width, PAGE.height);
    let top = write(doc, `${scene.title}: ${shot.name}`, PAGE.margin, PAGE.margin, {
      face: "bold",
      size: 14,
      width: PAGE.width - 2 * PAGE.margin,
    });
    if (scene.place) top = write(doc, scene.place, PAGE.margin, top, { size: 9, width: COLUMN });
    let y = top + 3 + deskInSmall(doc, scene, shot, PAGE.margin, top + 3) + 3;
    const column = { x: PAGE.margin, right: false };
    const room = (height: number) => {
      if (y + height <= BOTTOM) return;
      if (column.right) {
        addPage(doc, PAGE.width, PAGE.height);
        top = PAGE.margin;
      }
      column.right = !column.right;
      column.x = column.right ? RIGHT : PAGE.margin;
      y = top + 3;
    };
    const paragraph = (
      told: Told,
      size: number,
      more: {
        readonly indent?: number;
        readonly face?: "bold" | "measures";
        readonly colour?: string;
      } = {},
    ) => {
      const { indent = 0, face, colour } = more;
      const text = inSystem(told, system);
      const style = { face, size, colour, width: COLUMN - indent };
      room(heightOf(doc, text, style));
      y = write(doc, text, column.x + indent, y, style) + 0.8;
    };
    steps.forEach((step, i) => {
      room(heightOf(doc, inSystem(step, system), { size: 9, width: COLUMN - 6 }));
      write(doc, `${i + 1}.`, column.x, y, { size: 9 });
      paragraph(step, 9, { indent: 6 });
    });
    if (scaled.factor > 1) {
      y += 2;
      paragraph(`Scaled set-up, 1 : ${scaled.factor}`, 10, { face: "bold" });
      paragraph(
        sentence`On one sheet of the same size: the sheet’s corner ${mm(scaled.sheet.x)} from the left and ${mm(scaled.sheet.y)} from the top, ${sizeInMm(scaled.sheet.width, scaled.sheet.height)}.`,
        8.5,
      );
      for (const { name, x, y: down } of scaled.named)
        paragraph(sentence`${name}: ${mm(x)} from the left, ${mm(down)} from the top`, 8.5);
    }
    if (!column.right) {
      column.right = true;
      column.x = RIGHT;
      y = top + 3;
    }
    for (const { title, rows } of slipOf(scene, shot)) {
      room(16);
      paragraph(title.toUpperCase(), 7.5, { face: "bold" });
      for (const { label, value } of rows) {
        room(9);
        line(doc, column.x, y - 0.4, column.x + COLUMN, y - 0.4);
        paragraph(label, 7, { colour: QUIET });
        y -= 0.9;
        paragraph(value, 8, { face: "measures" });
      }
      y += 1.5;
    }
    for (const [title, rows] of compass
      ? ([
          ["Compass: horizons", compass.horizons],
          ["Compass: lines you picked", compass.picked],
          ["Compass: where feet lie", compass.feet],
          ["Compass: lines to each point", compass.lines],
        ] as const)
      : []) {
      if (rows.length === 0) continue;
      room(12);
      paragraph(title.toUpperCase(), 7.5, { face: "bold" });
      for (const { name, how } of rows) paragraph(sentence`${name}: ${how}`, 7);
      y += 1.5;
    }
    paragraph(CAUTIONS, 6.5, { colour: QUIET });
    tickTables(doc, aids, system);
  });
}
