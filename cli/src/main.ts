import { parseArgs } from "node:util";
import { BadInput, NoAnswer } from "@zanvo/core/problem";
import type { Call } from "./io";
import { OPTIONS } from "./options";

/** What a command does with its call; what it returns is printed as JSON, unless it is nothing. */
type Command = (call: Call) => unknown;

interface Entry {
  /** A command's own code is loaded when it is called. */
  readonly load: () => Promise<Command>;
  /** Whether it is called without a file. */
  readonly bare?: boolean;
}

const COMMANDS: Readonly<Record<string, Entry>> = {
  pins: { load: async () => (await import("./pins")).pins },
  project: { load: async () => (await import("./project")).project },
  solve: { load: async () => (await import("./solve")).solve },
  recover: { load: async () => (await import("./recover")).recover },
  detect: { load: async () => (await import("./detect")).detectIn },
  check: { load: async () => (await import("./check")).check },
  export: { load: async () => (await import("./export")).exportScene },
  ellipse: { load: async () => (await import("./ellipse")).ellipse },
  divide: { load: async () => (await import("./divide")).divide },
  shadow: { load: async () => (await import("./shadow")).shadow },
  recipe: { load: async () => (await import("./recipe")).recipe },
  slip: { load: async () => (await import("./slip")).slip },
  print: { load: async () => (await import("./print")).print },
  backup: { load: async () => (await import("./backup")).backup, bare: true },
  restore: { load: async () => (await import("./backup")).restore },
};

/** What the command line says of itself: it names every format, so it is loaded only when it is asked for. */
const help = async (): Promise<string> => (await import("./usage")).HELP;

/** What is wrong with a call as such, if anything is. */
function misuse(name: string | undefined, entry: Entry | undefined, files: readonly string[]): string | undefined {
  if (name === undefined) return "Say what to do.";
  if (!entry) return `There is no command "${name}".`;
  if (entry.bare) return files.length ? "This call takes no file." : undefined;
  return files.length === 1 ? undefined : "This call takes one file.";
}

/** The exit code for an error, once it is told in a sentence. */
function told(error: unknown, err: (text: string) => void): 1 | 2 {
  const { name, message, code } = error as NodeJS.ErrnoException;
  if (error instanceof BadInput || error instanceof NoAnswer || name === "CannotOpen") err(`${message}\n`);
  else if (String(code).startsWith("ERR_PARSE_ARGS")) err(`${message.split("\n")[0]}\n`);
  else err(`This could not be done: ${String(message).split("\n")[0]}\n`);
  return error instanceof NoAnswer ? 1 : 2;
}

/** Runs one call of the command line. @returns the exit code */
export async function main(args: readonly string[], io: Call["io"]): Promise<0 | 1 | 2> {
  try {
    const { values, positionals } = parseArgs({ args: [...args], options: OPTIONS, allowPositionals: true });
    const [name, ...files] = positionals;
    if (values.help) {
      io.out(await help());
      return 0;
    }
    const entry = Object.hasOwn(COMMANDS, name ?? "") ? COMMANDS[name] : undefined;
    const wrong = misuse(name, entry, files);
    if (wrong || !entry) {
      io.err(`${wrong}\n\n${await help()}`);
      return 2;
    }
    const command = await entry.load();
    const answer = await command({ io, file: files[0] ?? "", options: values });
    if (answer !== undefined) io.out(`${JSON.stringify(answer, null, 2)}\n`);
    return 0;
  } catch (error) {
    return told(error, io.err);
  }
}
