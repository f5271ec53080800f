import { isTangledBetween } from "../../bends";
import type { Detail } from "../../details";
import { marker } from "../../marking";
import { lengthOf, pathOf, ribbon } from "../../path";
import { addTrack, GAUGE, trackWidth } from "../../track";
import { elementKind, onPath, type ElementError } from "../kind";
import { measureIn } from "../tags";
import { RailsSchema, type Rails } from "./schema";
export type { Rails } from "./schema";

/** What OpenStreetMap's key "railway" calls tracks; those of trams lie in the paving. */
const RAILWAYS = ["tram", "rail", "light_rail", "narrow_gauge", "subway", "funicular", "preserved"];
const MILLIMETRES = 1000;

const validateRails = (rails: Rails): ElementError | null =>
  pathOf(rails).length < 2 ? { field: "path", message: "has no length." } : null;

function railsDetails(rails: Rails): Detail[] {
  if (validateRails(rails)) return [];
  const path = pathOf(rails);
  const { details, add } = marker();
  const half = trackWidth(rails.gauge) / 2;
  const way = { path, length: lengthOf(path), tangled: isTangledBetween(path, half, -half) };
  addTrack(way, add, rails.bed, rails.gauge);
  return details;
}

/** The gauge that a feature tells in millimetres, m; null for none, and for the standard one. */
function gaugeIn(value: unknown): number | null {
  const gauge = (measureIn(value) ?? 0) / MILLIMETRES;
  return gauge >= 0.3 && gauge <= 3 && Math.abs(gauge - GAUGE) > 1e-6 ? gauge : null;
}

export const rails = elementKind<Rails>(RailsSchema, {
  kind: "rails",
  word: "Rails",
  stands: false,
  build: () => [],
  details: railsDetails,
  validate: validateRails,
  outline: (element) => ribbon(pathOf(element), trackWidth(element.gauge) / 2, -trackWidth(element.gauge) / 2),
  span: () => [0, 0],
  settle: () => "draped",
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
