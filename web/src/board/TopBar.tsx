import { History, Keyboard, Lamp, Maximize, Minimize, Redo2, Undo2, Map as MapIcon } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import { switchLamp } from "../lamp";
import { IconButton } from "../ui";
import { frame } from "./desk/desk";
import { useSaving, type Saving } from "../document/saving";
import { useDocument, edit, undo, redo } from "../document";

const SAYS: Readonly<Record<Saving["state"], string>> = {
  saved: "Saved",
  waiting: "Saving…",
  saving: "Saving…",
  "out-of-reach": "Not saved: server out of reach, trying again",
  busy: "Not saved: the server is busy, trying again",
  full: "Not saved: the disk is full, trying again",
  refused: "Not saved",
  conflict: "Not saved: changed elsewhere",
  gone: "Not saved: deleted elsewhere",
};
const QUIET: ReadonlySet<Saving["state"]> = new Set(["saved", "waiting", "saving"]);

/** The title, typed in place. */
function Title({ title }: { readonly title: string }) {
  const [text, setText] = useState(title);
  const take = () => {
    const next = text.trim();
    if (!next) setText(title);
    else if (next !== title)
      edit((scene) => {
        scene.title = next;
      });
  };
  return (
    <input
      aria-label="Title of the scene"
      className="h-7 min-w-24 max-w-96 rounded border border-transparent [field-sizing:content] bg-transparent px-1.5 font-medium hover:border-hair focus:border-hair"
      maxLength={200}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === "Enter") event.currentTarget.blur();
        if (event.key === "Escape") setText(title);
      }}
    />
  );
}

/** How the document stands to what the server has. */
export function SavingStatus() {
  const { state, reason, revision, unkept } = useSaving();
  return (
    <span
      role="status"
      aria-label="Saving"
      data-revision={revision}
      className={QUIET.has(state) && !unkept ? "text-pencil" : "text-accent"}
    >
      {SAYS[state]}
      {state === "refused" && reason ? `: ${reason}` : ""}
      {unkept && state !== "saved" ? ` (not kept in the browser either: ${unkept})` : ""}
    </span>
  );
}

export function UndoRedo() {
  const canUndo = useDocument((document) => document.past.length > 0);
  const canRedo = useDocument((document) => document.future.length > 0);
  return (
    <>
      <IconButton label="Undo" hint="Ctrl+Z" disabled={!canUndo} onClick={undo}>
        <Undo2 size={16} />
      </IconButton>
      <IconButton label="Redo" hint="Ctrl+Shift+Z" disabled={!canRedo} onClick={redo}>
        <Redo2 size={16} />
      </IconButton>
    </>
  );
}

/** Where one is, how it is saved, and what works everywhere. */
export function TopBar({ onVersions, onKeys }: { readonly onVersions: () => void; readonly onKeys: () => void }) {
  const title = useDocument((document) => document.scene.title);
  const id = useDocument((document) => document.id);
  return (
    <header className="flex h-10 shrink-0 items-center gap-1 border-b border-hair px-2">
      <Link to="/" className="flex items-center gap-1.5 rounded px-1.5 py-1 hover:bg-wash">
        <img src="/zanvo.svg" alt="" className="size-5" />
        Shelf
      </Link>
      <span aria-hidden className="text-pencil">
        /
      </span>
      <Title key={title} title={title} />
      <SavingStatus />
      <span className="grow" />
      <Link to={`/scenes/${id}/plan`} className="flex h-7 items-center gap-1.5 rounded px-1.5 hover:bg-wash">
        <MapIcon size={16} aria-hidden />
        Plan
      </Link>
      <UndoRedo />
      <IconButton label="Whole sheet" hint="S" onClick={() => frame("sheet")}>
        <Minimize size={16} />
      </IconButton>
      <IconButton label="Whole desk" hint="D" onClick={() => frame("desk")}>
        <Maximize size={16} />
      </IconButton>
      <IconButton label="Earlier versions" onClick={onVersions}>
        <History size={16} />
      </IconButton>
      <IconButton label="Keys" hint="?" onClick={onKeys}>
        <Keyboard size={16} />
      </IconButton>
      <IconButton label="Lamp" onClick={switchLamp}>
        <Lamp size={16} />
      </IconButton>
    </header>
  );
}
