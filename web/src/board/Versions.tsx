import type { Version } from "@zanvo/core/answers";
import { format, formatDistanceToNow } from "date-fns";
import useSWR from "swr";
import { toldBy } from "@zanvo/core/problem";
import { listVersions, openVersion } from "../api";
import { Button, Modal } from "../ui";
import { useStores } from "../stores";

/** Earlier versions of the scene, any of which can be brought back. */
export function Versions({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  const { useDocument, sceneDocument, say, undo } = useStores();
  const id = useDocument((document) => document.id);
  const { data, error } = useSWR<Version[], Error>(open ? `/api/scenes/${id}/versions` : null, () => listVersions(id), {
    revalidateOnMount: true,
  });
  const bringBack = async (version: Version) => {
    try {
      sceneDocument.replaceScene(await openVersion(id, version.revision));
      onClose();
      say(`This is the version of ${format(version.savedAt, "d MMM, HH:mm")}.`, { label: "Undo", run: undo });
    } catch (wrong) {
      say(toldBy(wrong));
    }
  };
  return (
    <Modal title="Earlier versions" open={open} onClose={onClose}>
      {error && <p role="alert">{error.message}</p>}
      {!data && !error && <p>Looking them up…</p>}
      <ul>
        {data?.map((version, i) => (
          <li key={version.revision} className="flex items-center gap-2 border-t border-hair py-1.5">
            <span className="min-w-0 grow">
              <span className="block truncate">{version.title}</span>
              <span className="text-pencil">
                {format(version.savedAt, "d MMM yyyy, HH:mm:ss")} ·{" "}
                {formatDistanceToNow(version.savedAt, { addSuffix: true })}
              </span>
            </span>
            {i === 0 ? (
              <span className="text-pencil">now</span>
            ) : (
              <Button onClick={() => void bringBack(version)}>Bring back</Button>
            )}
          </li>
        ))}
      </ul>
    </Modal>
  );
}
