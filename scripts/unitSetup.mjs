// Before the unit tests: programs that some of them start, built where a source is newer than what was built; and a
// folder of their own for temporary files.
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { build } from "./build.mjs";

export default async function unitSetup() {
  await build({ web: false });
  process.env.TMPDIR = process.env.ZANVO_TEST_FILES = mkdtempSync(join(tmpdir(), "zanvo-tests-"));
}
