import type { DeletedCard, RemovedPicture } from "@zanvo/core/answers";
import { differenceInCalendarDays, formatDistanceToNow } from "date-fns";
import { Link } from "react-router";
import useSWR from "swr";
import { toldBy } from "@zanvo/core/problem";
import { listDeleted, listRemovedPictures, restoreScene } from "../api";
import { Button } from "../ui";
import { useStores } from "../stores";

/** How long a deleted scene can be brought back, in days. */
const KEPT = 30;

const daysLeft = (deletedAt: string): number => Math.max(0, KEPT - differenceInCalendarDays(new Date(), deletedAt));
const megabytes = (pictures: readonly RemovedPicture[]): string =>
  (pictures.reduce((sum, { bytes }) => sum + bytes, 0) / 1e6).toFixed(1);

/** Scenes that were deleted, for as long as they can be brought back. */
export function DeletedPage() {
  const { say } = useStores();
  const { data: cards, error, mutate } = useSWR<DeletedCard[], Error>("/api/scenes?deleted", listDeleted);
  const { data: pictures } = useSWR<RemovedPicture[], Error>("/api/pictures/removed", listRemovedPictures);
  const restore = async ({ id, title }: DeletedCard) => {
    try {
      await restoreScene(id);
      say(`“${title}” is on the shelf again.`);
    } catch (wrong) {
      say(toldBy(wrong));
    }
    await mutate();
  };
  return (
    <div className="flex h-full flex-col">
      <header className="flex items-center gap-3 border-b border-hair px-6 py-3">
        <Link to="/" className="flex items-center gap-1.5 rounded px-1.5 py-1 hover:bg-wash">
          <img src="/zanvo.svg" alt="" className="size-5" />
          Shelf
        </Link>
        <h1 className="text-base font-semibold">Deleted scenes</h1>
      </header>
      <main className="grow overflow-auto bg-desk p-6">
        <p className="mb-4">A deleted scene can be brought back for {KEPT} days.</p>
        {error && (
          <p role="alert" className="mb-4 rounded border border-hair bg-slip p-3">
            {error.message} <Button onClick={() => void mutate()}>Try again</Button>
          </p>
        )}
        {cards?.length === 0 && <p>Nothing was deleted.</p>}
        {!cards && !error && <p>Looking them up…</p>}
        <ul className="max-w-3xl">
          {cards?.map((card) => (
            <li
              key={card.id}
              aria-label={card.title}
              className="mb-2 flex items-center gap-3 rounded border border-hair bg-slip p-2"
            >
              <span className="min-w-0 grow">
                <span className="block truncate font-medium">{card.title}</span>
                <span className="text-pencil">
                  Deleted {formatDistanceToNow(card.deletedAt, { addSuffix: true })} · {daysLeft(card.deletedAt)} days
                  left
                </span>
              </span>
              <Button onClick={() => void restore(card)}>Restore</Button>
            </li>
          ))}
        </ul>
        {pictures && pictures.length > 0 && (
          <details className="mt-6 max-w-3xl">
            <summary className="cursor-pointer">
              {pictures.length} photos that no scene names any more ({megabytes(pictures)} MB)
            </summary>
            <p className="my-2">
              They are kept for {KEPT} days, and come back by themselves when a scene names them again.
            </p>
            <ul className="measure text-[12px]">
              {pictures.map(({ picture, removedAt }) => (
                <li key={picture}>
                  {picture.slice(0, 16)}…{" "}
                  <span className="text-pencil">{formatDistanceToNow(removedAt, { addSuffix: true })}</span>
                </li>
              ))}
            </ul>
          </details>
        )}
      </main>
    </div>
  );
}
