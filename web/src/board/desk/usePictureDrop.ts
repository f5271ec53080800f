import { useEffect, type DragEvent } from "react";
import { useNavigate } from "react-router";
import { bringIn } from "../../references/bring";
import { pictureIn, SEARCH } from "../../references/newReference";
import { useStores } from "../../stores";

/** A picture dropped on the desk or pasted becomes a reference, and its bench is opened. */
export function usePictureDrop(sceneId: string) {
  const stores = useStores();
  const { say } = stores;
  const navigate = useNavigate();
  const take = async (files: Iterable<File>) => {
    const file = pictureIn(files);
    const id = file && (await bringIn(stores, sceneId, file));
    if (id) void navigate(`/scenes/${sceneId}/references/${id}`, { state: SEARCH });
  };
  useEffect(() => {
    const onPaste = ({ clipboardData }: ClipboardEvent) => void take(clipboardData?.files ?? []);
    addEventListener("paste", onPaste);
    return () => removeEventListener("paste", onPaste);
  });
  return {
    onDragOver: (event: DragEvent) => event.preventDefault(),
    onDrop: (event: DragEvent) => {
      event.preventDefault();
      if (event.dataTransfer.files.length === 0) say("Drop a photo here: a JPEG, PNG or WebP file.");
      void take(event.dataTransfer.files);
    },
  };
}
