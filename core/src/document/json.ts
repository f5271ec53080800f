import { parse, printParseErrorCode, type ParseError } from "jsonc-parser";
import { BadInput } from "../problem";

/**
 * JSON text as a value.
 * @throws BadInput with the line and column of the first thing that is not JSON
 */
export function readJson(text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\uFEFF/, ""));
  } catch {
    const errors: ParseError[] = [];
    parse(text, errors, { disallowComments: true, allowTrailingComma: false });
    const { offset, error } = errors[0] ?? { offset: text.length, error: 0 };
    const lines = text.slice(0, offset).split("\n");
    const what = text.trim() ? printParseErrorCode(error).replace(/([a-z])([A-Z])/g, "$1 $2").toLowerCase() : "it is empty";
    throw new BadInput([{ path: "", message: `Not JSON: line ${lines.length}, column ${lines[lines.length - 1].length + 1}: ${what}.` }]);
  }
}
