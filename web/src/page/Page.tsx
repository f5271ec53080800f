import { Redo2, Undo2 } from "lucide-react";
import { useEffect, type ReactNode } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { IconButton } from "../ui";
import { Conflict } from "./Conflict";
import { Header, type HeaderProps } from "./Header";
import { ANYWHERE, SHARED_KEYS } from "./keys";
import { SavingStatus } from "./SavingStatus";
import { useStores } from "../stores";

function UndoRedo() {
  const { useDocument, undo, redo } = useStores();
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

interface PageProps extends HeaderProps {
  /** The name of the page in the browser. */
  readonly name: string;
  /** What can be done here, beside undo and redo. */
  readonly tools?: ReactNode;
  readonly children: ReactNode;
}

/**
 * The frame of a page on which an opened scene is worked on: title, how it is saved, undo and redo, what only a
 * person can decide about saving, and below them the page itself.
 */
export function Page({ name, tools, keys, children, ...header }: PageProps) {
  const { undo, redo } = useStores();
  useHotkeys("mod+z", undo, { ...ANYWHERE, preventDefault: true });
  useHotkeys("mod+shift+z, mod+y", redo, { ...ANYWHERE, preventDefault: true });
  useEffect(() => {
    document.title = `${name} · Zanvo`;
    return () => {
      document.title = "Zanvo";
    };
  }, [name]);
  return (
    <div className="flex h-full flex-col">
      <Header {...header} keys={[...keys, ...SHARED_KEYS]}>
        <SavingStatus />
        <span className="grow" />
        {tools}
        <UndoRedo />
      </Header>
      <Conflict />
      <div className="flex min-h-0 grow">{children}</div>
    </div>
  );
}
