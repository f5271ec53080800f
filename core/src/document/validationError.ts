import type { ErrorObject } from "ajv";
import type { ValidationError } from "../problem";

/** What a value failed, with its place, in words. */
export function validationErrorOf(error: ErrorObject): ValidationError {
  const at = error.instancePath.slice(1).replaceAll("~1", "/").replaceAll("~0", "~");
  const inside = (key: string) => (at ? `${at}/${key}` : key);
  switch (error.keyword) {
    case "additionalProperties":
      return { path: inside(String(error.params.additionalProperty)), message: "is not a field that belongs here." };
    case "required":
      return { path: inside(String(error.params.missingProperty)), message: "is missing." };
    case "discriminator":
      return { path: inside("kind"), message: "names no kind of element." };
    case "enum":
      return { path: at, message: `must be one of: ${(error.params.allowedValues as string[]).join(", ")}.` };
    case "const":
      return { path: at, message: `must be ${JSON.stringify(error.params.allowedValue)}.` };
    case "type": {
      const wanted = error.params.type === "number" ? "a finite number" : `of type ${String(error.params.type)}`;
      return { path: at, message: `must be ${wanted}.` };
    }
    default:
      return { path: at, message: `${error.message ?? "is wrong"}.` };
  }
}
