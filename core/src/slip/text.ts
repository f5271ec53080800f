import { pageOf, type Scene, type Shot } from "../scene";
import { inSystem, mm, sentence, sizeInMm, type System, type Told } from "../units";
import { pageSetUpOf } from "./page";
import { slipOf } from "./slip";
import { CAUTIONS, setUpOf, type CompassRow, type SetUp } from "./steps";
import { tickNotes, tickTable } from "./ticks";

const numbered = (steps: readonly Told[]): Told[] => steps.map((step, i) => sentence`${i + 1}. ${step}`);

/** All that is told of one panel. */
function panelLines(scene: Scene, shot: Shot, setUp: SetUp, system: System): readonly Told[] {
  const { steps, aids, scaled, compass, tools } = setUp;
  const rows = (title: string, of: readonly CompassRow[]): Told[] =>
    of.length ? ["", title, ...of.map(({ name, how }) => sentence`${name}: ${how}`)] : [];
  return [
    ...slipOf(scene, shot).flatMap(({ title, rows }) => [
      "",
      title.toUpperCase(),
      ...rows.map(({ label, value }) => sentence`${label}: ${value}`),
    ]),
    "",
    "STEPS",
    ...numbered(steps),
    ...(tools.length > 0 ? ["", "WITH YOUR TOOLS", ...tools] : []),
    ...aids.flatMap(({ pin, aids: one }) => {
      const { heads, rows } = tickTable(one, system);
      return [
        "",
        sentence`EDGE TICKS FOR ${pin.name.toUpperCase()} (${mm(one.distance)} beyond the ${one.side} edge)`,
        ...tickNotes(one, system),
        ...[heads, ...rows].map((cells) => cells.map((cell) => cell.padStart(10)).join("")),
      ];
    }),
    ...(compass
      ? [
          ...rows("COMPASS: HORIZONS", compass.horizons),
          ...rows("COMPASS: LINES YOU PICKED", compass.picked),
          ...rows("COMPASS: LINES OF FEET", compass.feet),
          ...rows("COMPASS: LINES", compass.lines),
        ]
      : []),
    "",
    `SCALED SET-UP, 1 : ${scaled.factor}`,
    sentence`Sheet: corner ${mm(scaled.sheet.x)} from left, ${mm(scaled.sheet.y)} from top,
      ${sizeInMm(scaled.sheet.width, scaled.sheet.height)}`,
    ...scaled.named.map(({ name, x, y }) => sentence`${name}: ${mm(x)} from left, ${mm(y)} from top`),
  ];
}

/** The lines of a page's sheet, then panel by panel. */
function pageLines(scene: Scene, shot: Shot, spacing: number, system: System): readonly Told[] {
  const { steps, panels } = pageSetUpOf(scene, shot, spacing);
  return [
    `${scene.title}: a page of ${panels.length} panels`,
    "",
    "SHEET",
    ...numbered(steps),
    ...panels.flatMap(({ shot: panel, setUp }) => [
      "",
      "",
      panel.name.toUpperCase(),
      ...panelLines(scene, panel, setUp, system),
    ]),
  ];
}

/**
 * The set-up sheet as plain text, in the lengths of a system.
 * @param spacing mm between edge ticks
 * @param page whether it is of all panels of the shot's page
 */
export function slipText(scene: Scene, shot: Shot, spacing = 10, system: System = "metric", page = false): string {
  const lines =
    page && pageOf(scene, shot).length > 1
      ? pageLines(scene, shot, spacing, system)
      : [`${scene.title}: ${shot.name}`, ...panelLines(scene, shot, setUpOf(scene, shot, spacing), system)];
  return [...lines, "", CAUTIONS, ""].map((line) => inSystem(line, system)).join("\n");
}
