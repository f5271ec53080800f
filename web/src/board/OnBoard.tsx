import { useLayoutEffect, useState, type ReactNode } from "react";
import { Link } from "react-router";
import useSWR from "swr";
import { openScene, type Opened } from "../api";
import { Button } from "../ui";
import { useBoard } from "./board";
import { leftSaved, startSaving } from "./saving";

/** A scene laid on the board and saved from now on. It is read afresh at each visit: what an earlier visit saw may have been changed elsewhere. */
export function OnBoard({ id, children }: { readonly id: string; readonly children: ReactNode }) {
  const [visit] = useState(() => crypto.randomUUID());
  const ready = useBoard((board) => board.id) === id;
  const { data, error, mutate } = useSWR<Opened, Error>([id, visit], () => leftSaved().then(() => openScene(id)), { revalidateOnFocus: false, revalidateOnReconnect: false, revalidateIfStale: false });
  // In the layout phase: a scene that is left is on its way to the server before the next page asks for it.
  useLayoutEffect(() => {
    if (!data) return undefined;
    return startSaving(data);
  }, [data]);
  if (error) {
    return (
      <main role="alert" className="flex h-full flex-col items-center justify-center gap-3">
        <p>{error.message}</p>
        <span className="flex gap-2">
          <Button onClick={() => void mutate()}>Try again</Button>
          <Link className="inline-flex h-7 items-center rounded border border-hair px-2.5" to="/">Back to the shelf</Link>
        </span>
      </main>
    );
  }
  return ready ? children : <p className="flex h-full items-center justify-center text-pencil">Laying the sheet out…</p>;
}
