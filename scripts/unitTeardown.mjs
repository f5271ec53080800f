// Takes away what the unit tests left in their folder for temporary files.
import { rmSync } from "node:fs";

export default function unitTeardown() {
  const folder = process.env.ZANVO_TEST_FILES;
  if (folder) rmSync(folder, { recursive: true, force: true });
}
