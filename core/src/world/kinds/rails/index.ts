import { headingAlong } from "../../../geometry";
import { footOn, pathOf, ribbon } from "../../path";
import { GAUGE, trackWidth } from "../../track";
import { elementKind, onPath } from "../kind";
import { measureIn } from "../tags";
import { validateRails } from "./build";
import { RailsSchema, type Rails } from "./schema";
export { branchOf } from "./points";
export type { Points, Rails } from "./schema";

/** What OpenStreetMap's key "railway" calls tracks; those of trams lie in the paving. */
const RAILWAYS = ["tram", "rail", "light_rail", "narrow_gauge", "subway", "funicular", "preserved"];
const MILLIMETRES = 1000;

/** The gauge that a feature tells in millimetres, m; null for none, and for the standard one. */
function gaugeIn(value: unknown): number | null {
  const gauge = (measureIn(value) ?? 0) / MILLIMETRES;
  return gauge >= 0.3 && gauge <= 3 && Math.abs(gauge - GAUGE) > 1e-6 ? gauge : null;
}

export const rails = elementKind<Rails>(RailsSchema, {
  kind: "rails",
  word: "Rails",
  stands: false,
  validate: validateRails,
  outline: (element) => ribbon(pathOf(element), trackWidth(element.gauge) / 2, -trackWidth(element.gauge) / 2),
  lane: (element, at, onRails) => {
    const path = pathOf(element);
    const { foot, off, after } = footOn(at, path);
    if (!onRails || off > trackWidth(element.gauge)) return null;
    return {
      at: foot,
      heading: headingAlong([path[after + 1][0] - path[after][0], path[after + 1][1] - path[after][1]]),
    };
  },
  span: () => [0, 0],
  ...onPath,
  geoJson: {
    write: ({ gauge = GAUGE, bed }) => ({
      shape: "line",
      properties: { railway: bed === "sleepers" ? "rail" : "tram", gauge: Math.round(gauge * MILLIMETRES) },
    }),
    read: {
      shape: "line",
      is: ({ railway }) => typeof railway === "string" && RAILWAYS.includes(railway),
      take: ({ places, properties: { railway, gauge } }) => ({
        path: [...places],
        ...(railway === "tram" ? {} : { bed: "sleepers" as const }),
        ...(gaugeIn(gauge) === null ? {} : { gauge: gaugeIn(gauge)! }),
      }),
    },
  },
});
