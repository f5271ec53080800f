import type { Told } from "@zanvo/core/units";
import { Toast } from "radix-ui";
import { create } from "zustand";
import { inWords } from "../units";
import { Button } from "./Button";

interface Note {
  readonly id: number;
  readonly text: string;
  readonly action?: { readonly label: string; readonly run: () => void };
}

const useNotes = create<{ notes: Note[] }>(() => ({ notes: [] }));
let next = 1;

/** Says something quietly at the edge of the desk, with one thing to do about it if there is one. */
export function say(told: Told, action?: Note["action"]): void {
  const note: Note = { id: next++, text: inWords(told), action };
  useNotes.setState(({ notes }) => ({ notes: [...notes.slice(-2), note] }));
}

/** Where notes appear. */
export function Toasts() {
  const notes = useNotes((state) => state.notes);
  const drop = (id: number) => useNotes.setState((state) => ({ notes: state.notes.filter((note) => note.id !== id) }));
  return (
    <Toast.Provider duration={8000} swipeDirection="down">
      {notes.map((note) => (
        <Toast.Root
          key={note.id}
          className="flex items-center gap-3 rounded border border-hair bg-slip px-3 py-2 text-ink"
          duration={note.action ? 12_000 : 5000}
          onOpenChange={(open) => {
            if (!open) drop(note.id);
          }}
        >
          <Toast.Description className="max-w-md">{note.text}</Toast.Description>
          {note.action && (
            <Toast.Action altText={note.action.label} asChild>
              <Button onClick={note.action.run}>{note.action.label}</Button>
            </Toast.Action>
          )}
        </Toast.Root>
      ))}
      <Toast.Viewport className="fixed bottom-4 left-1/2 z-50 flex -translate-x-1/2 flex-col gap-2 outline-none" />
    </Toast.Provider>
  );
}
