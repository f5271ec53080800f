import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { openPool } from "./pool";

const script = join(mkdtempSync(join(tmpdir(), "zanvo-pool-")), "thread.mjs");
writeFileSync(script, "export const options = () => ({ value: process.execArgv });\n");

describe("the threads of a pool", () => {
  it("never load their script by require, which ends the process where memory runs out meanwhile", async () => {
    const pool = openPool(script, { threads: [1, 1], queue: 1, seconds: 20, megabytes: 64 });
    const options = await pool.run<readonly string[]>("options", null);
    await pool.close();
    const known = process.allowedNodeEnvironmentFlags.has("--experimental-require-module");
    expect(options).toEqual(known ? ["--no-experimental-require-module"] : []);
  });
});
