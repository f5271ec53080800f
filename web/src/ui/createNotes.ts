import type { Told } from "@zanvo/core/units";
import { create } from "zustand";

/** Something said quietly at the edge of the desk. */
export interface Note {
  readonly id: number;
  readonly text: string;
  readonly action?: { readonly label: string; readonly run: () => void };
}

/** What is said at the edge of the desk: the last three notes. @param words puts what is told into words */
export function createNotes(words: (told: Told) => string) {
  const useNotes = create<{ readonly notes: readonly Note[] }>(() => ({ notes: [] }));
  let next = 1;
  return {
    useNotes,
    /** Says something quietly at the edge of the desk, with one thing to do about it if there is one. */
    say: (told: Told, action?: Note["action"]): void => {
      const note: Note = { id: next++, text: words(told), action };
      useNotes.setState(({ notes }) => ({ notes: [...notes.slice(-2), note] }));
    },
    /** Takes back what was said. */
    unsay: (id: number): void => useNotes.setState(({ notes }) => ({ notes: notes.filter((note) => note.id !== id) })),
  };
}
