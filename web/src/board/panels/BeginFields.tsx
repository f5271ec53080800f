import { ImagePlus } from "lucide-react";
import useSWR from "swr";
import type { Card } from "@zanvo/core/answers";
import { BEGINNINGS, deskOf, isFresh, type Beginning } from "@zanvo/core/beginnings";
import { listScenes, openScene, picturePath } from "../../api";
import { useBringPhoto } from "../../references/useBringPhoto";
import { useStores } from "../../stores";
import { linesOf, PICTURED, SMALL_SHOT, ShotPicture } from "./ShotPicture";

/** What the small picture of a beginning shows: its squares where it has some, else its grids. */
function picture({ of }: Beginning): ReturnType<typeof linesOf> {
  const shot = of(SMALL_SHOT, PICTURED);
  const spacing = shot.lens.law === "rectilinear" ? 9 : 12;
  const bundles = ["main-left", "main-right", "upright"].map((pin) => ({ pin, spacing, strength: 1 }));
  const planes = shot.measured?.map((plane) => ({ ...plane, every: plane.every * 2, heavy: 1 }));
  const only = planes ? ["squares", "horizon"] : ["bundles", "horizon", ...(spacing > 9 ? ["frame"] : [])];
  return linesOf({ ...shot, bundles, measured: planes }, only, (id) => id === "horizon" || id === "frame");
}

const pictures = new Map<string, ReturnType<typeof linesOf>>();

function BeginningPicture({ beginning }: { readonly beginning: Beginning }) {
  const lines = pictures.get(beginning.id) ?? picture(beginning);
  pictures.set(beginning.id, lines);
  return <ShotPicture lines={lines} />;
}

const ITEM = "flex flex-col rounded border border-hair p-1 text-center text-[11px] leading-tight hover:bg-wash";

/** The templates on the shelf, each taken by a press: the scene gets its sheets, views and grids. */
function Templates() {
  const { edit, say } = useStores();
  const { data: cards = [] } = useSWR<Card[], Error>("/api/scenes", listScenes);
  const take = async ({ id, title }: Card) => {
    try {
      const { scene: template } = await openScene(id);
      edit((scene) => void Object.assign(scene, deskOf(template)));
    } catch (error) {
      say(`The template “${title}” was not taken. ${(error as Error).message}`);
    }
  };
  const templates = cards.filter(({ template }) => template);
  return templates.map((card) => (
    <button key={card.id} type="button" className={ITEM} onClick={() => void take(card)}>
      <span className="flex grow items-center justify-center">
        <img src={picturePath(card)} alt="" className="max-h-11 max-w-full bg-[#fbf9f3]" />
      </span>
      <span className="line-clamp-2">{card.title}</span>
    </button>
  ));
}

/** What a scene in which nothing stands yet is begun with: a situation, or a photo. */
export function BeginFields() {
  const { useDocument, edit, onShot } = useStores();
  const { busy, bring } = useBringPhoto();
  const scene = useDocument((document) => document.scene);
  const [main] = scene.orientations;
  if (!main || !isFresh(scene)) return null;
  return (
    <section aria-label="Begin with" className="space-y-1.5">
      <h3 className="font-medium">Begin with</h3>
      <div className="grid grid-cols-3 gap-1">
        {BEGINNINGS.map((beginning) => (
          <button
            key={beginning.id}
            type="button"
            className={ITEM}
            onClick={() => edit(onShot((shot) => beginning.of(shot, main)))}
          >
            <BeginningPicture beginning={beginning} />
            {beginning.name}
          </button>
        ))}
        <button type="button" className={ITEM} disabled={busy} onClick={() => void bring()}>
          <span className="flex grow items-center justify-center">
            <ImagePlus size={22} aria-hidden />
          </span>
          From a photo
        </button>
        <Templates />
      </div>
    </section>
  );
}
