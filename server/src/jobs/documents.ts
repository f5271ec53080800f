import { knownDocuments, readDocument, readUtf8 } from "@zanvo/core/document";
import { shotOf, VERSION, type Scene } from "@zanvo/core/scene";
import type { Checked } from "@zanvo/store";
import { pack, picturesNamedIn } from "@zanvo/store/text";
import { answer } from "./answer";

// The script of the threads in which documents are read and checked, so that nobody's save holds up anybody else's.

/** A sound document, ready to be stored. */
const toStore = (scene: Scene, elements: number, document: Uint8Array): Checked => ({
  title: scene.title,
  place: scene.place ?? null,
  template: scene.template ?? false,
  kit: scene.kit ?? null,
  shots: scene.shots.length,
  elements,
  format: VERSION,
  document: pack(document),
  pictures: picturesNamedIn(document),
});

/** A document ready to be stored: one of an older version as it was brought up to date, any other as it was given. */
function checkedText(given: string): Checked {
  const { scene, upgraded } = readDocument(given);
  return toStore(
    scene,
    scene.elements.length,
    Buffer.from(upgraded ? JSON.stringify(scene) : given.replace(/^\uFEFF/, "")),
  );
}

/** Checks the bytes of a request, or the text of a stored version. */
export const check = (given: Uint8Array | string) =>
  answer(() => checkedText(typeof given === "string" ? given : readUtf8(given)));

const known = knownDocuments();

interface Named {
  /** The scene's id. */
  readonly id: string;
  readonly bytes: Uint8Array;
}

/** Checks the bytes of a request for a scene that is known; null where a full check must decide. */
export const checkKnown = ({ id, bytes }: Named) =>
  answer(() => {
    const sound = known.check(id, bytes);
    return sound && toStore(sound.scene, sound.elements, bytes);
  });

/** Remembers a document that a full check found to be sound. */
export const learn = ({ id, bytes }: Named) => answer(() => known.learn(id, bytes));

/** The text of a stored document as the current version has it. */
export const current = (given: string) =>
  answer(() => {
    const { scene, upgraded } = readDocument(given);
    return upgraded ? JSON.stringify(scene) : given;
  });

/** The id of a shot of a stored document. */
export const shot = ({ text, id }: { readonly text: string; readonly id: string }) =>
  answer(() => shotOf(readDocument(text).scene, id).id);
