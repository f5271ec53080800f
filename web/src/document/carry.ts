import { useEffect } from "react";
import { toldBy } from "@zanvo/core/problem";
import { newScene } from "@zanvo/core/scene";
import { boxOf, moved, type Element } from "@zanvo/core/world";
import { copyText, pasteText } from "./clipboard";
import { checkScene } from "../api";
import { say } from "../ui";
import { useDocument, chosenElements } from ".";
import { deleteMany, fresh, addThings } from "./elements";

/** What things are called that are carried from one scene to another, as plain text. */
const FORMAT = "zanvo-things";
/** Where the same stands already, copies stand so far beside it, m. */
const BESIDE = 2;

/** Things as text that another scene takes. */
export const carried = (things: readonly Element[]): string => JSON.stringify({ format: FORMAT, elements: things });

const counted = (n: number): string => (n === 1 ? "One thing is" : `${n} things are`);

/**
 * The things in a text that was copied from a scene.
 * @throws Error with a sentence where they are none, or one of them cannot stand
 */
export async function readCarried(text: string): Promise<readonly Element[]> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    value = null;
  }
  if (typeof value !== "object" || value === null || (value as { format?: unknown }).format !== FORMAT)
    throw new Error("What was copied last are no things of a scene.");
  const { elements } = value as { readonly elements: readonly Element[] };
  await checkScene({ ...newScene("Carried"), elements: elements as Element[] });
  return elements;
}

/** Things moved aside, step by step, until none lies on one of its kind. */
function beside(things: readonly Element[], elements: readonly Element[]): readonly Element[] {
  const place = (one: Element) =>
    `${one.kind} ${Object.values(boxOf(one).origin)
      .map((v) => v.toFixed(3))
      .join(" ")}`;
  const taken = new Set(elements.map(place));
  let put = things;
  while (put.some((one) => taken.has(place(one)))) put = put.map((one) => moved(one, BESIDE, -BESIDE));
  return put;
}

/** Lays things down that were copied, and chooses them. */
export async function pasteCarried(text: string): Promise<void> {
  try {
    const things = await readCarried(text);
    addThings(fresh(beside(things, useDocument.getState().scene.elements)));
    say(`${counted(things.length)} laid down.`);
  } catch (error) {
    say(toldBy(error));
  }
}

/** Copies things to the clipboard, by a button. */
export const copyThings = (things: readonly Element[]): void =>
  void copyText(carried(things)).then(
    () => say(`${counted(things.length)} copied: paste here or in another scene.`),
    () => say("The browser does not allow copying here: use Ctrl+C."),
  );

/** Lays down what the clipboard holds, by a button. */
export const pasteThings = (): void =>
  void pasteText().then(pasteCarried, () => say("The browser does not allow pasting here: use Ctrl+V."));

/** Ctrl+C, Ctrl+X and Ctrl+V for things, wherever no text is edited. */
export function useCarrying(): void {
  useEffect(() => {
    const inText = ({ target }: Event) =>
      target instanceof HTMLElement && target.matches("input, textarea, [contenteditable]");
    const onCopy = (event: ClipboardEvent) => {
      const things = chosenElements();
      if (inText(event) || things.length === 0 || !event.clipboardData || getSelection()?.toString()) return;
      event.preventDefault();
      event.clipboardData.setData("text/plain", carried(things));
      if (event.type === "cut") deleteMany(things.filter(({ locked }) => !locked));
      say(`${counted(things.length)} ${event.type === "cut" ? "cut" : "copied"}: paste here or in another scene.`);
    };
    const onPaste = (event: ClipboardEvent) => {
      const text = event.clipboardData?.getData("text/plain") ?? "";
      if (inText(event) || !text.includes(FORMAT)) return;
      event.preventDefault();
      void pasteCarried(text);
    };
    document.addEventListener("copy", onCopy);
    document.addEventListener("cut", onCopy);
    document.addEventListener("paste", onPaste);
    return () => {
      document.removeEventListener("copy", onCopy);
      document.removeEventListener("cut", onCopy);
      document.removeEventListener("paste", onPaste);
    };
  }, []);
}
