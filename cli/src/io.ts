import { readFile, writeFile } from "node:fs/promises";
import { text } from "node:stream/consumers";
import { readJson, readScene } from "@zanvo/core/document";
import { BadInput } from "@zanvo/core/problem";
import type { Scene } from "@zanvo/core/scene";

/** One call: its input and output, the file it names, and its options. */
export interface Call {
  readonly io: {
    readonly stdin: NodeJS.ReadableStream;
    readonly out: (text: string) => void;
    readonly err: (text: string) => void;
  };
  readonly file: string;
  readonly options: Readonly<{ page?: boolean; blank?: boolean } & Partial<Record<"shot" | "points" | "format" | "out" | "dpi" | "without" | "paper" | "overlap" | "margin" | "every", string>>>;
}

/** The text of a file, or of standard input for `-`. @throws BadInput when it cannot be read */
async function readText(file: string, { stdin }: Call["io"]): Promise<string> {
  try {
    return file === "-" ? await text(stdin) : await readFile(file, "utf8");
  } catch (error) {
    const { code, message } = error as NodeJS.ErrnoException;
    throw new BadInput([{ path: file, message: code === "ENOENT" ? "there is no such file." : `cannot be read: ${message}.` }]);
  }
}

export const sceneIn = async ({ file, io }: Call): Promise<Scene> => readScene(await readText(file, io));
export const jsonIn = async (file: string, io: Call["io"]): Promise<unknown> => readJson(await readText(file, io));

/** An option that the call cannot do without. */
export function needed(call: Call, option: Exclude<keyof Call["options"], "page" | "blank">): string {
  const value = call.options[option];
  if (value === undefined) throw new BadInput([{ path: `--${option}`, message: "is missing." }]);
  return value;
}

/** Writes a file that the call asks for. @throws BadInput when it cannot be written */
export async function writeOut(out: string, content: string | Uint8Array): Promise<void> {
  try {
    await writeFile(out, content);
  } catch (error) {
    throw new BadInput([{ path: "--out", message: `cannot be written: ${(error as Error).message}.` }]);
  }
}
