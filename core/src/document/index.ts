import type { Scene } from "../scene";
import { readJson } from "./json";
import { upgrade } from "./upgrade";
import { checkScene } from "./validate";

export { readJson } from "./json";
export { upgrade, type Step } from "./upgrade";
export { checker } from "./validate";

/**
 * A scene from the text of a `*.zanvo.json` document of any known version.
 * @throws BadInput with the place of the first fault
 */
export const readScene = (text: string): Scene => checkScene(upgrade(readJson(text)));

/** A scene as the text of a document. */
export const writeScene = (scene: Scene): string => `${JSON.stringify(scene, null, 2)}\n`;
