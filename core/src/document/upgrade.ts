import { BadInput } from "../problem";
import { FORMAT, VERSION } from "../scene";

type Json = Record<string, unknown>;
/** Takes a document of one version to the next; the number is set by the caller. */
export type Step = (document: Json) => Json;

/** Steps by the version they start from: `{ 1: (v1) => v2 }`. Version 1 is the first, so there is none yet. */
export const STEPS: Readonly<Record<number, Step>> = {};

/**
 * A document of any version that this program knows, brought to the current one.
 * @throws BadInput when it is no scene document, or of a newer or unknown version
 */
export function upgrade(value: unknown, current: number = VERSION, steps = STEPS): Json {
  if (typeof value !== "object" || value === null || Array.isArray(value)) {
    throw new BadInput([{ path: "", message: "A scene document is a JSON object." }]);
  }
  let document = value as Json;
  if (document.format !== FORMAT) {
    throw new BadInput([{ path: "format", message: `must be "${FORMAT}": this is not a scene document.` }]);
  }
  const { version } = document;
  if (typeof version === "number" && Number.isInteger(version) && version > current) {
    throw new BadInput([
      {
        path: "version",
        message: `is ${version}, from a newer Zanvo; this one reads up to ${current}. Bring Zanvo up to date.`,
      },
    ]);
  }
  for (let v = version; v !== current;) {
    if (typeof v !== "number" || !Object.hasOwn(steps, v)) {
      throw new BadInput([{ path: "version", message: `must be a whole number from 1 to ${current}.` }]);
    }
    document = { ...steps[v](document), version: v + 1 };
    v += 1;
  }
  return document;
}
