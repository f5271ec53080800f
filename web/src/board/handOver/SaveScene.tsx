import { downloadPlain, downloadWhole, picturesOf } from "../../sceneFile";
import { useStores } from "../../stores";
import { Button, useWork, Working } from "../../ui";

/** The scene itself as a file: with its photos where it has some, or as plain JSON. */
export function SaveScene() {
  const { useDocument, say } = useStores();
  const id = useDocument((document) => document.id);
  const scene = useDocument((document) => document.scene);
  const work = useWork("Saving the file");
  const photos = picturesOf(scene).length;
  const save = () =>
    work.run(async (signal) => {
      const missing = await downloadWhole(id, scene, signal);
      if (missing) say(`The file lacks ${missing} of its photos: they are not on this machine.`);
    });
  return (
    <div className="space-y-1.5 border-t border-hair pt-2">
      <Button className="w-full" disabled={work.busy} onClick={() => void save()}>
        {photos ? "Save the scene with its photos" : "Save the scene as a file"}
      </Button>
      {photos > 0 && (
        <Button className="w-full" onClick={() => downloadPlain(scene)}>
          Save it without them
        </Button>
      )}
      <Working work={work}>Packing the photos…</Working>
    </div>
  );
}
