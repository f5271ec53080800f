import { main } from "./main";

process.exitCode = await main(process.argv.slice(2), {
  stdin: process.stdin,
  out: (text) => process.stdout.write(text),
  err: (text) => process.stderr.write(text),
});
