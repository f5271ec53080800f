import { formatDistanceToNow } from "date-fns";
import { Copy, Download, FilePlus2, PencilLine, Trash2 } from "lucide-react";
import { useCallback, useState } from "react";
import { Link } from "react-router";
import type { Card } from "@zanvo/core/answers";
import { IconButton } from "../ui/Button";

/** What can be done with a scene on the shelf. */
interface CardActions {
  /** Begins a new scene on a template. */
  readonly onBegin: () => void;
  readonly onDuplicate: () => void;
  readonly onSave: () => void;
  readonly onDelete: () => void;
}

interface SceneCardProps extends CardActions {
  readonly card: Card;
  /** The address of its small picture. */
  readonly address: string;
  readonly onRename: (title: string) => void;
}

interface ActionsProps extends CardActions {
  readonly card: Card;
  readonly onRename: () => void;
}

function Actions({ card: { title, template }, onBegin, onRename, onDuplicate, onSave, onDelete }: ActionsProps) {
  return (
    <div className="-ml-1.5 mt-1 flex">
      {template && (
        <IconButton label={`New scene on ${title}`} onClick={onBegin}>
          <FilePlus2 size={15} />
        </IconButton>
      )}
      <IconButton label={`Rename ${title}`} onClick={onRename}>
        <PencilLine size={15} />
      </IconButton>
      <IconButton label={`Duplicate ${title}`} onClick={onDuplicate}>
        <Copy size={15} />
      </IconButton>
      <IconButton label={`Save ${title} as a file`} onClick={onSave}>
        <Download size={15} />
      </IconButton>
      <IconButton label={`Delete ${title}`} className="ml-auto" onClick={onDelete}>
        <Trash2 size={15} />
      </IconButton>
    </div>
  );
}

const counted = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;

/** One scene on the shelf. */
export function SceneCard({ card, address, onRename, ...actions }: SceneCardProps) {
  const [renaming, setRenaming] = useState(false);
  const [picture, setPicture] = useState<"drawing" | "drawn" | "none">("drawing");
  // A picture that is asked for and scrolled away before it came is not waited for, so that the next ones come sooner.
  const load = useCallback(
    (img: HTMLImageElement) => {
      img.src = address;
      return () => img.removeAttribute("src");
    },
    [address],
  );
  const rename = (title: string) => {
    setRenaming(false);
    if (title.trim() && title !== card.title) onRename(title.trim().slice(0, 200));
  };
  return (
    <article aria-label={card.title} className="flex h-full flex-col rounded border border-hair bg-slip">
      <Link
        to={`/scenes/${card.id}`}
        tabIndex={-1}
        aria-hidden
        className="flex min-h-0 grow items-center justify-center p-3"
      >
        {picture !== "drawn" && (
          <span className="text-pencil">{picture === "drawing" ? "Drawing…" : "No small picture"}</span>
        )}
        <img
          ref={load}
          alt=""
          decoding="async"
          hidden={picture !== "drawn"}
          onLoad={() => setPicture("drawn")}
          onError={() => setPicture("none")}
          className="max-h-full max-w-full bg-[#fbf9f3] shadow-sm"
        />
      </Link>
      <div className="border-t border-hair px-3 py-2">
        {renaming ? (
          <input
            className="w-full rounded border border-accent bg-transparent px-1 font-medium outline-none"
            aria-label="Name of the scene"
            autoFocus
            defaultValue={card.title}
            onFocus={(event) => event.target.select()}
            onBlur={(event) => rename(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === "Enter") rename(event.currentTarget.value);
              if (event.key === "Escape") setRenaming(false);
            }}
          />
        ) : (
          <Link to={`/scenes/${card.id}`} className="block truncate font-medium hover:underline">
            {card.title}
          </Link>
        )}
        <p className="truncate text-pencil">
          {[
            card.template && "Template",
            card.place,
            card.kit === "front" && "A front",
            card.kit === null && counted(card.shots, "shot", "shots"),
            card.kit !== "front" && counted(card.elements, "thing", "things"),
          ]
            .filter(Boolean)
            .join(" · ")}
        </p>
        <p className="text-pencil">{formatDistanceToNow(card.savedAt, { addSuffix: true })}</p>
        <Actions {...actions} card={card} onRename={() => setRenaming(true)} />
      </div>
    </article>
  );
}
