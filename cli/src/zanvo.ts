import { main } from "./main";

// Whoever reads the answer may have gone before it ends, as `head` does.
process.stdout.on("error", () => process.exit(0));
process.exitCode = await main(process.argv.slice(2), {
  stdin: process.stdin,
  out: (text) => process.stdout.write(text),
  err: (text) => process.stderr.write(text),
});
