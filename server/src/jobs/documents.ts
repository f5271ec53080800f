import { readDocument, readUtf8 } from "@zanvo/core/document";
import { shotOf, VERSION } from "@zanvo/core/scene";
import type { Checked } from "@zanvo/store";
import { pack, picturesNamedIn } from "@zanvo/store/text";
import { answer } from "./answer";

// The script of the threads in which documents are read and checked, so that nobody's save holds up anybody else's.

/** A document ready to be stored: one of an older version as it was brought up to date, any other as it was given. */
function checkedText(given: string): Checked {
  const { scene, upgraded } = readDocument(given);
  const text = upgraded ? JSON.stringify(scene) : given.replace(/^\uFEFF/, "");
  return {
    title: scene.title, place: scene.place ?? null, shots: scene.shots.length, elements: scene.elements.length,
    format: VERSION, document: pack(text), pictures: picturesNamedIn(text),
  };
}

/** Checks the bytes of a request, or the text of a stored version. */
export const check = (given: Uint8Array | string) => answer(() => checkedText(typeof given === "string" ? given : readUtf8(given)));

/** The text of a stored document as the current version has it. */
export const current = (given: string) => answer(() => {
  const { scene, upgraded } = readDocument(given);
  return upgraded ? JSON.stringify(scene) : given;
});

/** The id of a shot of a stored document. */
export const shot = ({ text, id }: { readonly text: string; readonly id: string }) => answer(() => shotOf(readDocument(text).scene, id).id);
