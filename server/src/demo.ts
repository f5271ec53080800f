import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { readScene } from "@zanvo/core/document";
import type { Store } from "./store";

/** Puts the demo scenes on a shelf that nothing was ever put on, the first of them last, so that it stands first. */
export async function putDemo(store: Store, folder: string): Promise<void> {
  if (!(await store.isNew())) return;
  for (const file of readdirSync(folder).filter((name) => name.endsWith(".zanvo.json")).sort().reverse()) {
    await store.create(readScene(readFileSync(join(folder, file), "utf8")));
  }
}
