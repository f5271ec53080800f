import { ClipboardCopy, ClipboardPaste } from "lucide-react";
import { copyThings, pasteThings } from "../document/carry";
import { Button } from "../ui";
import { useMany } from "../document";

/** Things carried to another place or another scene. */
export function CarryFields() {
  const things = useMany();
  return (
    <div className="flex gap-2">
      <Button className="grow" title="Ctrl+C" disabled={things.length === 0} onClick={() => copyThings(things)}>
        <ClipboardCopy size={14} aria-hidden />
        Copy what is chosen
      </Button>
      <Button className="grow" title="Ctrl+V" onClick={pasteThings}>
        <ClipboardPaste size={14} aria-hidden />
        Paste here
      </Button>
    </div>
  );
}
