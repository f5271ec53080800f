import type { Typeface, Typeset } from "@zanvo/core/typesetting";
import { create } from "zustand";
import { FIRST_TYPEFACE, TYPEFACES } from "./typefaces";

/** What reads font files, and sets letters. */
interface Setting {
  readonly readFont: (bytes: Uint8Array) => Typeface;
  readonly typeset: (text: string, faces: readonly Typeface[]) => Typeset;
}

interface On {
  /** Fetches what sets letters: it is large, and few scenes have signs that are changed. */
  readonly setting: () => Promise<Setting>;
  readonly fetchFont: (url: string) => Promise<Uint8Array>;
}

/** The typefaces that signs can be set in: those that ship, and files of one's own, which stay in this window. */
export function createLettering({ setting, fetchFont }: On) {
  const useBrought = create<{ readonly names: readonly string[] }>(() => ({ names: [] }));
  const brought = new Map<string, Typeface>();
  const fetched = new Map<string, Promise<Typeface>>();

  const shipped = (url: string): Promise<Typeface> => {
    const known = fetched.get(url);
    if (known) return known;
    const wanted = Promise.all([setting(), fetchFont(url)]).then(([{ readFont }, bytes]) => readFont(bytes));
    fetched.set(url, wanted);
    // What could not be fetched is asked for again.
    wanted.catch(() => fetched.delete(url));
    return wanted;
  };

  return {
    useBrought,
    /** Sets a line of text. @throws BadInput for a text that is too long; Error where a font cannot be fetched */
    setLine: async (text: string, typeface: string): Promise<Typeset> => {
      const own = brought.get(typeface);
      const rest = await Promise.all((TYPEFACES[typeface] ?? TYPEFACES[FIRST_TYPEFACE]).map(shipped));
      const { typeset } = await setting();
      return typeset(text, own ? [own, ...rest] : rest);
    },
    /** Takes a font file in, by its name. @throws BadInput for what is no font */
    bringFont: async (name: string, bytes: Uint8Array): Promise<string> => {
      const { readFont } = await setting();
      brought.set(name, readFont(bytes));
      useBrought.setState({ names: [...brought.keys()] });
      return name;
    },
  };
}
