import { BookOpen, Keyboard, Lamp } from "lucide-react";
import { useState, type ReactNode } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { Link } from "react-router";
import { Check, IconButton, Modal } from "../ui";
import { ANYWHERE, type Keys } from "./keys";
import { useStores } from "../stores";

export interface HeaderProps {
  /** Where one came from: its address and its name. */
  readonly back: readonly [to: string, name: string];
  readonly title: ReactNode;
  /** The page of the pocket guide that tells about it. */
  readonly guide: string;
  readonly keys: Keys;
  /** What can be done here, between the title and what every page has. */
  readonly children?: ReactNode;
}

/** The line over every page: where one is, what can be done, and the guide, the keys and the lamp. */
export function Header({ back: [to, name], title, guide, keys, children }: HeaderProps) {
  const { useSingleKeys, switchLamp, switchSingleKeys } = useStores();
  const [open, setOpen] = useState(false);
  const single = useSingleKeys(({ on }) => on);
  useHotkeys("?", () => setOpen(true), { ...ANYWHERE, useKey: true, enabled: single });
  return (
    <header
      className={
        "flex h-10 shrink-0 items-center gap-1 border-b border-hair px-2 print:hidden " +
        "[@media(max-height:559px)]:h-8"
      }
    >
      <Link to={to} className="flex items-center gap-1.5 whitespace-nowrap rounded px-1.5 py-1 hover:bg-wash">
        <img src="/zanvo.svg" alt="" className="size-5" />
        {name}
      </Link>
      <span aria-hidden className="text-pencil">
        /
      </span>
      {typeof title === "string" ? <h1 className="truncate px-1.5 font-medium">{title}</h1> : title}
      {children}
      <Link
        to={`/guide/${guide}`}
        aria-label="Guide"
        title="Pocket guide"
        className="inline-flex size-7 items-center justify-center rounded hover:bg-wash"
      >
        <BookOpen size={16} aria-hidden />
      </Link>
      <IconButton label="Keyboard shortcuts" hint="?" onClick={() => setOpen(true)}>
        <Keyboard size={16} />
      </IconButton>
      <IconButton label="Lamp (dark mode)" onClick={switchLamp}>
        <Lamp size={16} />
      </IconButton>
      <Modal title="Keyboard shortcuts" open={open} onClose={() => setOpen(false)}>
        <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
          {keys.map(([key, does]) => (
            <div key={key} className="contents">
              <dt className="measure whitespace-nowrap">{key}</dt>
              <dd className="text-pencil">{does}</dd>
            </div>
          ))}
        </dl>
        <div className="mt-3 border-t border-hair pt-2">
          <Check label="Single-key shortcuts" checked={single} onChange={switchSingleKeys} />
        </div>
      </Modal>
    </header>
  );
}
