import { sentence, type Told } from "../../../units";
import type { Feature } from "../kind";
import { measureIn } from "../tags";
import { RISE } from "./roofShapes";
import type { RoofKind } from "./roofs";
import type { Building } from "./schema";

type Properties = Feature["properties"];

/**
 * Roofs by the words of OpenStreetMap's `roof:shape` (its Simple 3D Buildings (from memory)); the first of a kind is
 * the one that is written.
 */
const SHAPES: Readonly<Record<string, RoofKind>> = {
  flat: "flat",
  gabled: "gable",
  hipped: "hip",
  pyramidal: "pyramid",
  skillion: "shed",
  lean_to: "shed",
  sawtooth: "saw-tooth",
  round: "barrel",
  mansard: "mansard",
  dome: "dome",
  cone: "cone",
  conical: "cone",
  spire: "spire",
};
/** Metres of a roof for each of its storeys (common practice). */
const STOREY = 3;

/** The roof that a feature tells of: flat where it tells of none, or of one that is not known. */
export function roofIn(properties: Properties): Building["roof"] {
  const shape = properties["roof:shape"];
  const kind = (typeof shape === "string" && SHAPES[shape.trim().toLowerCase()]) || "flat";
  if (kind === "flat") return { kind };
  const levels = measureIn(properties["roof:levels"]);
  return {
    kind,
    rise: measureIn(properties["roof:height"]) ?? (levels === null ? RISE : levels * STOREY),
    ...(properties["roof:orientation"] === "across" ? { turned: true } : {}),
  };
}

/** A roof by the same words. */
export function roofTags({ kind, rise = RISE, turned }: Building["roof"]): Record<string, unknown> {
  if (kind === "flat") return {};
  const shape = Object.entries(SHAPES).find(([, one]) => one === kind)?.[0];
  return { "roof:shape": shape, "roof:height": rise, ...(turned ? { "roof:orientation": "across" } : {}) };
}

/** Measures that are read, where a feature has them. */
const MEASURES = ["height", "building:height", "min_height", "building:levels", "roof:height", "roof:levels"];

/** What a feature tells that cannot be read, and was left out. */
export function unreadable(properties: Properties): readonly Told[] {
  const shape = properties["roof:shape"];
  const unknown = typeof shape === "string" && !(shape.trim().toLowerCase() in SHAPES);
  return [
    ...MEASURES.filter((key) => {
      const value = properties[key];
      return value !== undefined && value !== null && Number(value) !== 0 && measureIn(value) === null;
    }).map(
      (key) => sentence`has ${key}=${String(properties[key]).slice(0, 40)}, which is no measure; it was left out.`,
    ),
    ...(unknown
      ? [sentence`has roof:shape=${shape.slice(0, 40)}, which is not known here; it was taken as flat.`]
      : []),
  ];
}
