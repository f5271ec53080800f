import type { Shot, Tools } from "../scene";
import { mm, sentence, type Told } from "../units";
import { viewOf } from "../shot";
import { compassArcs } from "./compass";
import type { Pin } from "./pins";
import { longestTo, reachTo } from "./reach";

/** What is told of one point. */
function pointNote(shot: Shot, tools: Tools, pin: Pin): Told[] {
  const { at } = pin.point;
  if (!at || !pin.offSheet) return [];
  const reach = reachTo(shot, tools, at, true);
  const long = mm(Math.ceil(longestTo(shot, at)));
  if (reach.by === "ruler")
    return [sentence`${pin.name}: tape the paper on, and your ruler reaches; lines are up to ${long}.`];
  const why = tools.tape ? sentence`lines to it are up to ${long}` : "there is no tape for a strip of paper";
  return reach.by === "ticks"
    ? [sentence`${pin.name}: ${why}, so lay your ruler on equal edge ticks.`]
    : [sentence`${pin.name}: ${why}, and edge ticks take a ruler of ${mm(Math.ceil(reach.ruler))}: you need one.`];
}

/** What is told of the compass in a lens that is drawn by it. */
function compassNote(shot: Shot, tools: Tools, pins: readonly Pin[]): Told[] {
  const view = viewOf(shot);
  if (view.law.straight) return [];
  const radii = compassArcs(shot, pins, view).flatMap(({ arc: { foot, radius } }) => (foot ? [radius] : []));
  const { compass = 0, beam = 0, lightTable = false } = tools;
  const wide = radii.filter((radius) => radius > compass);
  const wider = wide.filter((radius) => radius > beam);
  if (wide.length === 0) return radii.length > 0 ? ["Your compass opens to every arc."] : [];
  const most = mm(Math.ceil(Math.max(...wide)));
  if (wider.length === 0)
    return [sentence`${wide.length} of ${radii.length} arcs take the beam compass, up to ${most}.`];
  return [
    lightTable
      ? sentence`${wider.length} of ${radii.length} arcs are wider than your compasses, up to ${most}: print the grid,
          and trace it on the light table.`
      : sentence`${wider.length} of ${radii.length} arcs are wider than your compasses: you need a beam compass of
          ${most}, or a light table to trace a printed grid.`,
  ];
}

/** What somebody's own tools mean for a shot: what reaches, what else is done, and what would be needed. */
export function toolNotes(shot: Shot, tools: Tools | undefined, pins: readonly Pin[]): readonly Told[] {
  if (!tools) return [];
  const squares = tools.setSquares
    ? []
    : ["Without set squares, rule uprights through two marks at equal distances from the sheet's edge."];
  return [...pins.flatMap((pin) => pointNote(shot, tools, pin)), ...compassNote(shot, tools, pins), ...squares];
}
