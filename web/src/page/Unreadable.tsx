import type { Version } from "@zanvo/core/answers";
import { format } from "date-fns";
import { Link, useNavigate } from "react-router";
import useSWR from "swr";
import { toldBy } from "@zanvo/core/problem";
import { deleteScene, listVersions, rawPath, restoreVersion } from "../api";
import { Button } from "../ui";
import { useStores } from "../stores";

interface UnreadableProps {
  readonly id: string;
  readonly reason: string;
  readonly onRestored: () => void;
}

/** A scene whose stored document cannot be read, and what can be done about it. */
export function Unreadable({ id, reason, onRestored }: UnreadableProps) {
  const { say } = useStores();
  const navigate = useNavigate();
  const { data: versions, error } = useSWR<Version[], Error>(`/api/scenes/${id}/versions`, () => listVersions(id));
  const work = (job: Promise<unknown>) => void job.catch((wrong: Error) => say(toldBy(wrong)));
  const remove = async () => {
    await deleteScene(id, "*");
    say("It was taken off the shelf, and can be brought back for a month.");
    await navigate("/");
  };
  return (
    <main className="mx-auto flex h-full max-w-xl flex-col gap-3 overflow-auto p-8">
      <h1 className="text-base font-semibold">This scene cannot be opened</h1>
      <p role="alert">{reason}</p>
      <span className="flex flex-wrap gap-2">
        <a
          className="inline-flex h-7 items-center rounded border border-hair px-2.5 hover:bg-wash"
          href={rawPath(id)}
          download
        >
          Download it as it is
        </a>
        <Button onClick={() => work(remove())}>Delete it</Button>
        <Link className="inline-flex h-7 items-center rounded border border-hair px-2.5 hover:bg-wash" to="/">
          Back to the shelf
        </Link>
      </span>
      <h2 className="mt-3 font-semibold">Earlier versions</h2>
      {error && <p role="alert">{error.message}</p>}
      {versions?.length === 1 && <p>There is no earlier version.</p>}
      <ul>
        {versions?.slice(1).map(({ revision, title, savedAt }) => (
          <li key={revision} className="flex items-center gap-2 border-t border-hair py-1.5">
            <span className="min-w-0 grow truncate">
              {title} <span className="text-pencil">{format(savedAt, "d MMM yyyy, HH:mm:ss")}</span>
            </span>
            <Button onClick={() => work(restoreVersion(id, revision, "*").then(onRestored))}>Bring back</Button>
          </li>
        ))}
      </ul>
    </main>
  );
}
