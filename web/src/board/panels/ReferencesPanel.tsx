import { ImagePlus, Layers2, Trash2 } from "lucide-react";
import { Link } from "react-router";
import { laidUnder, type Reference } from "@zanvo/core/scene";
import { useBringPhoto } from "../../references/useBringPhoto";
import { HeldToPhoto } from "./Held";
import { Button, IconButton } from "../../ui";
import { UnderFields } from "./UnderFields";
import { useStores } from "../../stores";

/** Photos to draw after: brought in, opened on their bench, faded under the drawing. */
export function ReferencesPanel() {
  const stores = useStores();
  const { useShot, useDocument, edit, say, onShot } = stores;
  const shot = useShot();
  const sceneId = useDocument((document) => document.id);
  const references = useDocument((document) => document.scene.references) ?? [];
  const { busy, bring } = useBringPhoto();
  const remove = (gone: Reference) => {
    const under = new Map(
      useDocument
        .getState()
        .scene.shots.flatMap((one) => (one.under?.reference === gone.id ? [[one.id, one.under] as const] : [])),
    );
    edit((scene) => {
      scene.references = scene.references?.filter(({ id }) => id !== gone.id);
      for (const one of scene.shots) if (under.has(one.id)) delete one.under;
    });
    const back = () =>
      edit((scene) => {
        scene.references = [...(scene.references ?? []).filter(({ id }) => id !== gone.id), gone];
        for (const one of scene.shots) one.under ??= under.get(one.id);
      });
    say(`${gone.name} is taken away.`, { label: "Put it back", run: back });
  };
  const { under } = shot;
  return (
    <div className="space-y-2">
      <p className="text-pencil">
        Drop or paste a photo or a rough on the desk, or choose a file: trace its edges, or lay it under the drawing.
      </p>
      <ul className="space-y-1">
        {references.map((one) => (
          <li key={one.id} className="flex items-center gap-1">
            <Link
              className="min-w-0 grow truncate rounded px-1 py-0.5 underline hover:bg-wash"
              to={`/scenes/${sceneId}/references/${one.id}`}
            >
              {one.name}
            </Link>
            {under?.reference !== one.id && (
              <IconButton
                label={`Lay ${one.name} under the drawing`}
                onClick={() => edit(onShot((before) => ({ ...before, under: laidUnder(one, before.frame) })))}
              >
                <Layers2 size={14} />
              </IconButton>
            )}
            <IconButton label={`Take ${one.name} away`} onClick={() => remove(one)}>
              <Trash2 size={14} />
            </IconButton>
          </li>
        ))}
      </ul>
      <Button className="w-full" disabled={busy} onClick={() => void bring()}>
        <ImagePlus size={14} aria-hidden />
        {busy ? "Taking it in…" : "Import a photo"}
      </Button>
      <HeldToPhoto />
      {under && <UnderFields under={under} />}
    </div>
  );
}
