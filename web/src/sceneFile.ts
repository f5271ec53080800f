import type { Card } from "@zanvo/core/answers";
import type { Scene } from "@zanvo/core/scene";
import { fileName } from "@zanvo/core/scene";
import { createScene, deleteScene, fetchReference, openScene, saveScene, takeIn } from "./api";
import { download } from "./files";

/** The names of what is in a scene's file with its photos: a ZIP of the scene and of each picture by its own name. */
const SCENE = "scene.zanvo.json";
const PICTURE = /^pictures\/([0-9a-f]{64})\.webp$/;
/** What is unpacked of a file, bytes at most: more is no scene of ours. */
const MAX_BYTES = 600e6;

const textOf = (scene: Scene): string => `${JSON.stringify(scene, null, 2)}\n`;

/** The pictures that a scene names, each once. */
export const picturesOf = ({ references = [] }: Scene): readonly string[] => [
  ...new Set(references.map(({ picture }) => picture)),
];

/** Saves a scene as plain JSON, which names its photos and does not hold them. */
export const downloadPlain = (scene: Scene): void =>
  download(new Blob([textOf(scene)], { type: "application/json" }), `${fileName(scene.title)}.zanvo.json`);

/**
 * Saves a scene as a file, with its photos where it has some. @returns how many of them are not on this machine
 */
export async function downloadWhole(id: string, scene: Scene, signal: AbortSignal): Promise<number> {
  const pictures = picturesOf(scene);
  if (pictures.length === 0) {
    downloadPlain(scene);
    return 0;
  }
  const { zipSync } = await import("fflate");
  const files: Record<string, [Uint8Array, { level: 0 | 6 }]> = {
    [SCENE]: [new TextEncoder().encode(textOf(scene)), { level: 6 }],
  };
  let missing = 0;
  for (const picture of pictures)
    try {
      const blob = await fetchReference(id, picture, signal);
      // Pictures are compressed already.
      files[`pictures/${picture}.webp`] = [new Uint8Array(await blob.arrayBuffer()), { level: 0 }];
    } catch (error) {
      if (signal.aborted) throw error;
      missing++;
    }
  const zip = zipSync(files) as Uint8Array<ArrayBuffer>;
  download(new Blob([zip], { type: "application/zip" }), `${fileName(scene.title)}.zanvo.zip`);
  return missing;
}

/** A scene as a file holds it, and its pictures by their names. */
export interface SceneFile {
  readonly text: string;
  readonly pictures: ReadonlyMap<string, Uint8Array<ArrayBuffer>>;
}

/** What a file of a scene holds. @throws Error with a sentence where it is none */
export async function readSceneFile(file: Blob): Promise<SceneFile> {
  const head = new Uint8Array(await file.slice(0, 2).arrayBuffer());
  if (head[0] !== 0x50 || head[1] !== 0x4b) return { text: await file.text(), pictures: new Map() };
  const { unzipSync } = await import("fflate");
  const bytes = new Uint8Array(await file.arrayBuffer());
  let size = 0;
  const parts = unzipSync(bytes, {
    filter: ({ name, originalSize }) => {
      const wanted = name === SCENE || PICTURE.test(name);
      if (wanted) size += originalSize;
      if (size > MAX_BYTES) throw new Error("It holds more than a scene and its photos can.");
      return wanted;
    },
  });
  if (!(SCENE in parts)) throw new Error("It is a ZIP without a scene in it.");
  return {
    text: new TextDecoder().decode(parts[SCENE]),
    pictures: new Map(
      Object.entries(parts).flatMap(([name, picture]) => {
        const id = PICTURE.exec(name)?.[1];
        return id ? [[id, picture as Uint8Array<ArrayBuffer>] as const] : [];
      }),
    ),
  };
}

/** Puts a scene from a file on the shelf, with the photos that came with it. @returns its card */
export async function shelveFile({ text, pictures }: SceneFile): Promise<Card> {
  const card = await createScene(text);
  const { id } = card;
  const renamed = new Map<string, string>();
  try {
    for (const [name, bytes] of pictures) {
      const { picture } = await takeIn(id, new Blob([bytes]));
      if (picture !== name) renamed.set(name, picture);
    }
  } catch (error) {
    // All of it is brought in, or nothing.
    await deleteScene(id, card.revision).catch(() => undefined);
    throw error;
  }
  if (renamed.size) {
    // A picture that another program has written anew has another name: the scene speaks of that.
    const { scene, revision } = await openScene(id);
    const references = scene.references?.map((one) => ({ ...one, picture: renamed.get(one.picture) ?? one.picture }));
    await saveScene(id, JSON.stringify({ ...scene, references }), revision);
  }
  return card;
}
