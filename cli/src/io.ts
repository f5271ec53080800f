import { readFile, rename, rm, stat, writeFile } from "node:fs/promises";
import { buffer } from "node:stream/consumers";
import { readJson, readScene, readUtf8 } from "@zanvo/core/document";
import { BadInput } from "@zanvo/core/problem";
import type { Scene } from "@zanvo/core/scene";
import type { Switch, Valued } from "./options";

/** One call: its input and output, the file it names, and its options. */
export interface Call {
  readonly io: {
    readonly stdin: NodeJS.ReadableStream;
    readonly out: (text: string) => void;
    readonly err: (text: string) => void;
  };
  readonly file: string;
  readonly options: Readonly<Partial<Record<Switch, boolean> & Record<Valued, string>>>;
}

/** All bytes of a file, or of standard input for `-`. @throws BadInput when it cannot be read */
async function read(file: string, { stdin }: Call["io"]): Promise<Buffer> {
  try {
    return file === "-" ? await buffer(stdin) : await readFile(file);
  } catch (error) {
    const { code, message } = error as NodeJS.ErrnoException;
    throw new BadInput([
      { path: file, message: code === "ENOENT" ? "there is no such file." : `cannot be read: ${message}.` },
    ]);
  }
}

export const bytesIn = ({ file, io }: Call): Promise<Buffer> => read(file, io);
export const sceneIn = async (call: Call): Promise<Scene> => readScene(readUtf8(await bytesIn(call)));
export const jsonIn = async (file: string, io: Call["io"]): Promise<unknown> =>
  readJson(readUtf8(await read(file, io)));

/** An option that the call cannot do without. */
export function needed(call: Call, option: Valued): string {
  const value = call.options[option];
  if (value === undefined) throw new BadInput([{ path: `--${option}`, message: "is missing." }]);
  return value;
}

/**
 * Writes a file that the call asks for: whole, or not at all, so that a disk that is full leaves no half of it.
 * @throws BadInput when it cannot be written
 */
export async function writeOut(out: string, content: string | Uint8Array): Promise<void> {
  // What is no file, such as a terminal, is written to as it is.
  const isSpecial = await stat(out).then(
    (found) => !found.isFile(),
    () => false,
  );
  const part = isSpecial ? out : `${out}.${process.pid}.part`;
  try {
    await writeFile(part, content);
    if (!isSpecial) await rename(part, out);
  } catch (error) {
    if (!isSpecial) await rm(part, { force: true });
    throw new BadInput([{ path: "--out", message: `cannot be written: ${(error as Error).message}.` }]);
  }
}
