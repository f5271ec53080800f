import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "better-sqlite3";
import { newScene, type Scene } from "@zanvo/core/scene";
import { picturesNamedIn } from "../src/names";
import { pack } from "../src/packing";
import type { Checked } from "../src/scenes";

/** A folder of its own for one test. */
export const freshFolder = (): string => mkdtempSync(join(tmpdir(), "zanvo-"));
export const freshFile = (): string => join(freshFolder(), "zanvo.sqlite");

/** A scene as the threads hand it to the store. */
export function checkedOf(scene: Scene): Checked {
  const text = JSON.stringify(scene);
  return {
    title: scene.title,
    place: scene.place ?? null,
    template: scene.template ?? false,
    kit: scene.kit ?? null,
    shots: scene.shots.length,
    elements: scene.elements.length,
    format: scene.version,
    document: pack(text),
    pictures: picturesNamedIn(Buffer.from(text)),
  };
}
export const titled = (title: string, more: object = {}): Checked => checkedOf({ ...newScene(title), ...more });

/** Reads through a connection that the store knows nothing of. */
export function throughAnother<T>(file: string, sql: string, ...values: readonly unknown[]): T[] {
  const database = new Database(file);
  try {
    return database.prepare(sql).all(...values) as T[];
  } finally {
    database.close();
  }
}
