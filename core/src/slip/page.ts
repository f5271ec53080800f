import { pageOf, type Scene, type Shot } from "../scene";
import { mm, sentence, sizeInMm, type Told } from "../units";
import { setUpOf, type SetUp } from "./steps";

/** A page to be laid out by hand: its sheet with all its panels, then panel by panel. */
export interface PageSetUp {
  readonly steps: readonly Told[];
  readonly panels: readonly { readonly shot: Shot; readonly setUp: SetUp }[];
}

/** How the sheet is laid and its panels are ruled. */
function sheetSteps(panels: readonly Shot[]): Told[] {
  const [{ sheet }] = panels;
  return [
    sentence`Lay the sheet ${sheet.width >= sheet.height ? "landscape" : "upright"},
      ${sizeInMm(sheet.width, sheet.height)}.`,
    ...panels.map(
      ({
        name,
        frame,
      }) => sentence`Rule the panel ${name}: ${mm(frame.x)} from the left and ${mm(frame.y)} from the top,
        ${sizeInMm(frame.width, frame.height)}.`,
    ),
  ];
}

/** How a shot's page is laid out by hand, panel by panel. @param spacing mm between edge ticks */
export function pageSetUpOf(scene: Scene, shot: Shot, spacing = 10): PageSetUp {
  const panels = pageOf(scene, shot);
  return {
    steps: sheetSteps(panels),
    panels: panels.map((panel) => {
      // The sheet lies and the panels are ruled by then.
      const { steps, ...setUp } = setUpOf(scene, panel, spacing);
      return { shot: panel, setUp: { ...setUp, steps: steps.slice(1) } };
    }),
  };
}
