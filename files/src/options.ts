import { GROUPINGS, type Grouping } from "@zanvo/core/drawing";
import { BadInput } from "@zanvo/core/problem";
import type { Ink, PngOptions } from "@zanvo/raster";

/** With what a picture of dots is printed. */
export const INKS: readonly Ink[] = ["colour", "grey", "black"];

/** How a drawing is asked to be written, in words. */
export interface Asked {
  readonly by?: string;
  readonly ink?: string;
  readonly size?: string;
}

/** How a drawing is to be written: what its layers are told apart by, and for dots their ink and their number. */
export interface HowWritten {
  readonly by?: Grouping;
  readonly ink?: Ink;
  readonly size?: PngOptions["size"];
}

function oneOf<T extends string>(words: readonly T[], word: string | undefined, path: string): T | undefined {
  if (word === undefined) return undefined;
  const found = words.find((one) => one === word);
  if (found === undefined) throw new BadInput([{ path, message: `must be one of: ${words.join(", ")}.` }]);
  return found;
}

/** @throws BadInput for a size that is not written as 1920x1080 */
function sizeIn(text: string | undefined, path: string): PngOptions["size"] {
  if (text === undefined) return undefined;
  const [, width, height] = /^(\d{1,6})x(\d{1,6})$/.exec(text) ?? [];
  if (width === undefined) throw new BadInput([{ path, message: "must be two whole numbers, as 1920x1080." }]);
  return { width: Number(width), height: Number(height) };
}

/** How a drawing is to be written. @param prefix what stands before the name of each in its path @throws BadInput */
export const howWritten = ({ by, ink, size }: Asked, prefix = ""): HowWritten => ({
  by: oneOf(GROUPINGS, by, `${prefix}by`),
  ink: oneOf(INKS, ink, `${prefix}ink`),
  size: sizeIn(size, `${prefix}size`),
});
