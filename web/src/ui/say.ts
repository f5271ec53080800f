import type { Told } from "@zanvo/core/units";
import { create } from "zustand";
import { inWords } from "../units";

/** Something said quietly at the edge of the desk. */
export interface Note {
  readonly id: number;
  readonly text: string;
  readonly action?: { readonly label: string; readonly run: () => void };
}

/** What is being said. */
export const useNotes = create<{ readonly notes: readonly Note[] }>(() => ({ notes: [] }));
let next = 1;

/** Says something quietly at the edge of the desk, with one thing to do about it if there is one. */
export function say(told: Told, action?: Note["action"]): void {
  const note: Note = { id: next++, text: inWords(told), action };
  useNotes.setState(({ notes }) => ({ notes: [...notes.slice(-2), note] }));
}

/** Takes back what was said. */
export const unsay = (id: number): void =>
  useNotes.setState(({ notes }) => ({ notes: notes.filter((note) => note.id !== id) }));
