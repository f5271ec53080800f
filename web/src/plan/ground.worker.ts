import { JSONParser } from "@streamparser/json";
import { expose } from "comlink";
import { fromGeoJson, type BroughtIn, type Ground } from "@zanvo/core/exchange";
import { newId } from "../id";

/** What of a document is handed out as it is read; the rest is passed over. */
const PATHS = ["$.features.*", "$.zanvo", "$.type", "$.crs", "$.geometry", "$.properties", "$.coordinates"];

/**
 * The parts of a GeoJSON document, and the first of its features, read piece by piece: a file may be larger than what
 * can be held at once.
 */
async function read(
  file: Blob,
  most: number,
  tell: (share: number) => void,
): Promise<{ readonly document: unknown; readonly count: number; readonly brokenOff: boolean }> {
  const parser = new JSONParser({ paths: PATHS, keepStack: false });
  const document: Record<string, unknown> = {};
  const features: unknown[] = [];
  let count = 0;
  let wrong: Error | null = null;
  parser.onValue = ({ key, value, stack }) => {
    if (stack.length > 1) {
      if (count++ < most) features.push(value);
    } else if (typeof key === "string") document[key] = value;
  };
  parser.onError = (error) => {
    wrong = error;
  };
  let done = 0;
  const reader = file.stream().getReader();
  for (let next = await reader.read(); !next.done && !wrong; next = await reader.read()) {
    parser.write(next.value);
    tell((done += next.value.length) / file.size);
  }
  if (!wrong && !parser.isEnded) wrong = new Error("it ends before it is complete.");
  // Of a file that breaks off, the features before are whole.
  if (wrong && count === 0) throw new Error(`This file is no JSON: ${(wrong as Error).message}`);
  const isCollection = count > 0 || document.type === "FeatureCollection";
  return {
    document: isCollection ? { type: "FeatureCollection", ...document, features } : document,
    count,
    brokenOff: wrong !== null,
  };
}

const api = {
  /** Masses from a file of real ground. @param tell told how much of it is read, 0 to 1 */
  async bring(file: Blob, ground: Ground | undefined, most: number, tell: (share: number) => void): Promise<BroughtIn> {
    const { document, count, brokenOff } = await read(file, most, tell);
    return fromGeoJson(document, ground, newId, { most, count, brokenOff });
  },
};

export type GroundWorker = typeof api;
expose(api);
