import { printParseErrorCode, visit } from "jsonc-parser";
import { BadInput } from "../problem";
import { isDeeper } from "./split";
import { toUtf8 } from "./utf8";

/**
 * How deep lists and objects may lie in one another; a scene's own lie seven deep, what stands under `x-` may lie
 * deeper.
 */
export const MAX_DEPTH = 64;
/** Up to this length the place of the first error is looked for; in a longer text that would take too long. */
const SEARCHED = 2 ** 22;

const refuse = (message: string): BadInput => new BadInput([{ path: "", message }]);

/** Line, column and kind of the first thing in a text that is not JSON. */
function firstError(text: string): string {
  let [offset, what] = [text.length, "it is empty"];
  try {
    visit(
      text,
      {
        onError: (code, at) => {
          [offset, what] = [
            at,
            printParseErrorCode(code)
              .replace(/([a-z])([A-Z])/g, "$1 $2")
              .toLowerCase(),
          ];
          throw new Error("found");
        },
      },
      { disallowComments: true, allowTrailingComma: false },
    );
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
  if (isDeeper(toUtf8(bare), MAX_DEPTH))
    throw refuse(`Lists and objects may lie ${MAX_DEPTH} deep in one another; here they lie deeper.`);
  try {
    return JSON.parse(bare);
  } catch (error) {
    throw refuse(`Not JSON: ${bare.length > SEARCHED ? (error as Error).message : firstError(bare)}.`);
  }
}
