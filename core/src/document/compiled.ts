import type { ValidateFunction } from "ajv";
import type { Scene } from "../scene";
import { ElementSchema, SceneSchema } from "../schema";
import { RowSchema, type Element, type Row } from "../world";
import { ajv } from "./ajv";

// Compiling these takes longer than most calls of the shell: programs are built with this file compiled beforehand, to
// functions of the same names (scripts/schemas.mjs).

export const sceneFits = (): ValidateFunction<Scene> => (sceneSchema ??= ajv.compile<Scene>(SceneSchema));
export const elementFits = (): ValidateFunction<Element> => (elementSchema ??= ajv.compile<Element>(ElementSchema));
export const rowFits = (): ValidateFunction<Row> => (rowSchema ??= ajv.compile<Row>(RowSchema));

let sceneSchema: ValidateFunction<Scene> | undefined;
let elementSchema: ValidateFunction<Element> | undefined;
let rowSchema: ValidateFunction<Row> | undefined;
