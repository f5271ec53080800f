import { ImagePlus } from "lucide-react";
import useSWR from "swr";
import type { Card } from "@zanvo/core/answers";
import { BEGINNINGS, deskOf, isFresh, type Beginning } from "@zanvo/core/beginnings";
import { headingDirection } from "@zanvo/core/geometry";
import type { Shot } from "@zanvo/core/scene";
import { visibleEdges } from "@zanvo/core/visibility";
import { build, newBlock, type Block } from "@zanvo/core/world";
import { listScenes, openScene, picturePath } from "../../api";
import { useBringPhoto } from "../../references/useBringPhoto";
import { useStores } from "../../stores";
import { linesOf, PICTURED, SMALL_SHOT, ShotPicture } from "./ShotPicture";

/** How high the building is that a beginning is pictured with, and how far ahead its nearest corner stands, m. */
const PICTURED_WITH: Readonly<Record<string, readonly [height: number, ahead: number]>> = {
  corner: [7, 30],
  wall: [6, 26],
  up: [30, 32],
  down: [14, 34],
  tilted: [9, 32],
};
const SIDE = 10;

/** A building along the main directions with its nearest corner ahead of the eye, or its front where that is faced. */
function building({ gaze, eye }: Shot, height: number, ahead: number): Block {
  const [x, y] = headingDirection(gaze.heading);
  const faced = Math.abs(PICTURED.heading - gaze.heading - 90) < 1e-6 ? SIDE / 2 : 0;
  return newBlock({
    id: "pictured",
    name: "",
    origin: { x: eye.x + x * ahead - y * faced, y: eye.y + y * ahead + x * faced, z: 0 },
    heading: PICTURED.heading - 90,
    length: SIDE,
    width: SIDE,
    height,
  });
}

/** What the small picture of a beginning shows: a building, the squares it lays out, or the grids of a curved view. */
function picture({ id, of }: Beginning): ReturnType<typeof linesOf> {
  const shot = of(SMALL_SHOT, PICTURED);
  const standing = PICTURED_WITH[id];
  if (standing) {
    const { x, y, z } = shot.eye;
    const visible = visibleEdges(build([building(shot, ...standing)]), [x, y, z]);
    return linesOf(shot, ["buildings", "creases", "horizon"], (layer) => layer !== "horizon", visible);
  }
  const bundles = ["main-left", "main-right", "upright"].map((pin) => ({ pin, spacing: 12, strength: 1 }));
  const planes = shot.measured?.map((plane) => ({ ...plane, every: plane.every * 2, heavy: 1 }));
  const only = planes ? ["squares", "horizon"] : ["bundles", "horizon", "frame"];
  return linesOf({ ...shot, bundles, measured: planes }, only, (layer) => layer === "horizon" || layer === "frame");
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
