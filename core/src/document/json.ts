import { printParseErrorCode, visit } from "jsonc-parser";
import { BadInput } from "../problem";

/** How deep lists and objects may lie in one another; a scene's own lie seven deep, what stands under `x-` may lie deeper. */
export const MAX_DEPTH = 64;
/** Up to this length the place of the first error is looked for; in a longer text that would take too long. */
const SEARCHED = 2 ** 22;

const QUOTE = 0x22;
const BACKSLASH = 0x5c;
const OPENING = new Set([0x5b, 0x7b]);
const CLOSING = new Set([0x5d, 0x7d]);

const refuse = (message: string): BadInput => new BadInput([{ path: "", message }]);

/** The end of the string that begins at a quote. */
function afterString(text: string, from: number): number {
  let at = from + 1;
  while (at < text.length && text.charCodeAt(at) !== QUOTE) at += text.charCodeAt(at) === BACKSLASH ? 2 : 1;
  return at;
}

/** Whether a text nests deeper than is taken; it is not parsed for that, so no nesting can exhaust the stack. */
function isTooDeep(text: string): boolean {
  let depth = 0;
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    if (code === QUOTE) i = afterString(text, i);
    else if (OPENING.has(code)) depth += 1;
    else if (CLOSING.has(code)) depth -= 1;
    if (depth > MAX_DEPTH) return true;
  }
  return false;
}

/** Line, column and kind of the first thing in a text that is not JSON. */
function firstError(text: string): string {
  let [offset, what] = [text.length, "it is empty"];
  try {
    visit(text, {
      onError: (code, at) => {
        [offset, what] = [at, printParseErrorCode(code).replace(/([a-z])([A-Z])/g, "$1 $2").toLowerCase()];
        throw new Error("found");
      },
    }, { disallowComments: true, allowTrailingComma: false });
  } catch {
    // The first error is enough.
  }
  if (!text.trim()) what = "it is empty";
  const lines = text.slice(0, offset).split("\n");
  return `line ${lines.length}, column ${lines[lines.length - 1].length + 1}: ${what}`;
}

/**
 * JSON text as a value.
 * @throws BadInput with the line and column of the first thing that is not JSON, or where it nests too deep
 */
export function readJson(text: string): unknown {
  const bare = text.replace(/^\uFEFF/, "");
  if (isTooDeep(bare)) throw refuse(`Lists and objects may lie ${MAX_DEPTH} deep in one another; here they lie deeper.`);
  try {
    return JSON.parse(bare);
  } catch (error) {
    throw refuse(`Not JSON: ${bare.length > SEARCHED ? (error as Error).message : firstError(bare)}.`);
  }
}

/** Bytes as text. @throws BadInput where they are not UTF-8 */
export function readUtf8(bytes: Uint8Array): string {
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    throw refuse("This is not text in UTF-8.");
  }
}
