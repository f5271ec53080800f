import { ClipboardCopy, ClipboardPaste } from "lucide-react";
import { copyThings, pasteThings } from "../document/carry";
import { Button } from "../ui";
import { useStores } from "../stores";

/** Things carried to another place or another scene. */
export function CarryFields() {
  const stores = useStores();
  const { useMany } = stores;
  const things = useMany();
  return (
    <div className="flex gap-2">
      <Button className="grow" title="Ctrl+C" disabled={things.length === 0} onClick={() => copyThings(stores, things)}>
        <ClipboardCopy size={14} aria-hidden />
        Copy what is chosen
      </Button>
      <Button className="grow" title="Ctrl+V" onClick={() => pasteThings(stores)}>
        <ClipboardPaste size={14} aria-hidden />
        Paste here
      </Button>
    </div>
  );
}
