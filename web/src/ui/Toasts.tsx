import { Toast } from "radix-ui";
import { Button } from "./Button";
import { useStores } from "../stores";

/** Where notes appear. */
export function Toasts() {
  const { useNotes, unsay } = useStores();
  const notes = useNotes((state) => state.notes);
  return (
    <Toast.Provider duration={8000} swipeDirection="down">
      {notes.map((note) => (
        <Toast.Root
          key={note.id}
          className="flex items-center gap-3 rounded border border-hair bg-slip px-3 py-2 text-ink"
          duration={note.action ? 12_000 : 5000}
          onOpenChange={(open) => {
            if (!open) unsay(note.id);
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
