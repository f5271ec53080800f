import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Readable } from "node:stream";
import { main } from "../src/main";

/** A folder of the test's own, and files in it. */
export const folder = mkdtempSync(join(tmpdir(), "zanvo-cli-"));
export const fileOf = (name: string, value: unknown) => {
  const path = join(folder, name);
  writeFileSync(path, typeof value === "string" ? value : JSON.stringify(value));
  return path;
};

/** A scene of the demo. */
export const demo = join(__dirname, "../../demo/1-quay-street.zanvo.json");

/** Runs a call whose answer may be anything. */
export async function runAny(args: string[], stdin: string) {
  let [out, err] = ["", ""];
  const code = await main(args, { stdin: Readable.from([stdin]), out: (t) => (out += t), err: (t) => (err += t) });
  return { code, err, out };
}

/** Runs a call; what it prints and how it ends. */
export async function run(args: string[], stdin = "") {
  const { code, err, out } = await runAny(args, stdin);
  return { code, err, answer: out ? (JSON.parse(out) as unknown) : undefined };
}
