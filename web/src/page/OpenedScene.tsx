import { Suspense, useEffect, useLayoutEffect, useState, type ReactNode } from "react";
import { Link } from "react-router";
import useSWR from "swr";
import { openScene, Refusal, type Opened } from "../api";
import { newId } from "../id";
import type { Found } from "../document/saving/saving";
import { Button, Guarded, lazily } from "../ui";
import { useStores, type Stores } from "../stores";

const Unreadable = lazily(async () => (await import("./Unreadable")).Unreadable);

interface Visit {
  readonly opened: Opened;
  readonly found: Found;
}

/** Reads a scene afresh, with the work on it that was not saved. */
async function visit(stores: Stores, id: string): Promise<Visit> {
  await stores.saving.leftSaved();
  const opened = await openScene(id);
  return { opened, found: await stores.saving.find(opened) };
}

/** Takes what is being typed, and saves at once. */
function saveNow(stores: Stores): void {
  if (document.activeElement instanceof HTMLInputElement) document.activeElement.blur();
  void stores.saving.flush();
}

/**
 * A scene opened for a page to work on, and saved from now on. It is read afresh at each visit: what an earlier visit
 * saw may have been changed elsewhere.
 */
export function OpenedScene({ id, children }: { readonly id: string; readonly children: ReactNode }) {
  const stores = useStores();
  const { useDocument, saving, say } = stores;
  const [number] = useState(newId);
  const ready = useDocument((document) => document.id) === id;
  const { data, error, mutate } = useSWR<Visit, Error>([id, number], () => visit(stores, id), {
    revalidateOnFocus: false,
    revalidateOnReconnect: false,
    revalidateIfStale: false,
  });
  // In the layout phase: a scene that is left is on its way to the server before the next page asks for it.
  useLayoutEffect(() => (data ? saving.start(data.opened, data.found) : undefined), [data, saving]);
  useEffect(() => {
    if (data?.found.mine) say("Work that was not saved is here again.");
  }, [data, say]);
  useEffect(() => {
    // Before any field takes the key for itself.
    const onKey = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== "s" || !(event.ctrlKey || event.metaKey) || event.shiftKey || event.altKey)
        return;
      event.preventDefault();
      event.stopPropagation();
      saveNow(stores);
    };
    addEventListener("keydown", onKey, true);
    return () => removeEventListener("keydown", onKey, true);
  }, [stores]);
  if (error instanceof Refusal && error.status === 422)
    return (
      <Suspense fallback={null}>
        <Unreadable id={id} reason={error.message} onRestored={() => void mutate()} />
      </Suspense>
    );
  if (error) {
    return (
      <main role="alert" className="flex h-full flex-col items-center justify-center gap-3">
        <p>{error.message}</p>
        <span className="flex gap-2">
          <Button onClick={() => void mutate()}>Try again</Button>
          <Link className="inline-flex h-7 items-center rounded border border-hair px-2.5" to="/">
            Back to the shelf
          </Link>
        </span>
      </main>
    );
  }
  return ready ? (
    <Guarded what="This page">{children}</Guarded>
  ) : (
    <p className="flex h-full items-center justify-center text-pencil">Laying the sheet out…</p>
  );
}
