import type { Scene } from "../scene";
import { readJson } from "./json";
import { upgrade } from "./upgrade";
import { checkScene } from "./validate";

export { MAX_DEPTH, readJson } from "./json";
export { readUtf8 } from "./utf8";
export { knownDocuments } from "./known";
export { upgrade, type Step } from "./upgrade";
export { checker } from "./checker";
export { elementIn, rowIn } from "./validate";

/**
 * A scene from the text of a `*.zanvo.json` document of any known version, and whether it was of an older one.
 * @throws BadInput with the place of the first error
 */
export function readDocument(text: string): { readonly scene: Scene; readonly upgraded: boolean } {
  const given = readJson(text);
  const current = upgrade(given);
  return { scene: checkScene(current), upgraded: current !== given };
}

/** The scene in a document's text. @throws BadInput with the place of the first error */
export const readScene = (text: string): Scene => readDocument(text).scene;

/** A scene as the text of a document. */
export const writeScene = (scene: Scene): string => `${JSON.stringify(scene, null, 2)}\n`;
