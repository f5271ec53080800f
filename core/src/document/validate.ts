import { Ajv, type ErrorObject } from "ajv";
import type { TSchema, Static } from "@sinclair/typebox";
import { BadInput, type Fault } from "../problem";
import type { Scene } from "../scene";
import { SceneSchema } from "../schema";
import { elementFault } from "../world";

const ajv = new Ajv({ allErrors: false, discriminator: true, strict: true, strictTypes: false, strictRequired: false });

/** What a value failed, with its place, in words. */
function fault(error: ErrorObject): Fault {
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
    case "type":
      return { path: at, message: `must be ${error.params.type === "number" ? "a finite number" : `of type ${String(error.params.type)}`}.` };
    default:
      return { path: at, message: `${error.message ?? "is wrong"}.` };
  }
}

/**
 * A checker for one schema.
 * @returns a function that hands a fitting value back, typed
 * @throws BadInput from that function, with the path of the first field that does not fit
 */
export function checker<T extends TSchema>(schema: T): (value: unknown) => Static<T> {
  const fits = ajv.compile<Static<T>>(schema);
  return (value) => {
    if (fits(value)) return value;
    throw new BadInput((fits.errors ?? []).slice(0, 1).map(fault));
  };
}

const fitsScene = checker(SceneSchema);

/** A value checked against the schema of the current version, ids unique in each list, no panel off its sheet. */
export function checkScene(value: unknown): Scene {
  const scene = fitsScene(value);
  for (const list of ["orientations", "elements", "shots", "references"] as const) {
    const seen = new Set<string>();
    scene[list]?.forEach(({ id }, i) => {
      if (seen.has(id)) throw new BadInput([{ path: `${list}/${i}/id`, message: `"${id}" is taken by an earlier one.` }]);
      seen.add(id);
    });
  }
  scene.elements.forEach((element, i) => {
    const fault = elementFault(element);
    if (fault) throw new BadInput([{ path: `elements/${i}/${fault.field}`, message: fault.message }]);
  });
  scene.rows?.forEach((row, i) => {
    if (!row.lot && !(row.from && row.to)) throw new BadInput([{ path: `rows/${i}`, message: "needs a street side, with from and to, or a lot." }]);
  });
  scene.shots.forEach(({ frame, sheet }, i) => {
    if (frame.x >= sheet.width || frame.y >= sheet.height || frame.x + frame.width <= 0 || frame.y + frame.height <= 0) {
      throw new BadInput([{ path: `shots/${i}/frame`, message: "lies beyond its sheet: nothing of it could be drawn." }]);
    }
  });
  return scene;
}
