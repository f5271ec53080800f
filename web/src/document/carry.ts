import { useEffect } from "react";
import { toldBy } from "@zanvo/core/problem";
import { newScene } from "@zanvo/core/scene";
import type { Element } from "@zanvo/core/world";
import { beside, carried, mayCarry, thingsIn } from "./carried";
import { copyText, pasteText } from "./clipboard";
import { checkScene } from "../api";
import { deleteMany, fresh, addThings } from "./elements";
import { useStores, type Stores } from "../stores";

const counted = (n: number): string => (n === 1 ? "One thing is" : `${n} things are`);

/** Lays things down that were copied, and chooses them. */
export async function pasteCarried(stores: Stores, text: string): Promise<void> {
  try {
    const things = thingsIn(text);
    await checkScene({ ...newScene("Carried"), elements: [...things] });
    const { elements, kits } = stores.useDocument.getState().scene;
    addThings(stores, fresh(beside(things, elements), kits));
    stores.say(`${counted(things.length)} laid down.`);
  } catch (error) {
    stores.say(toldBy(error));
  }
}

/** Copies things to the clipboard, by a button. */
export const copyThings = (stores: Stores, things: readonly Element[]): void =>
  void copyText(carried(things)).then(
    () => stores.say(`${counted(things.length)} copied: paste here or in another scene.`),
    () => stores.say("The browser does not allow copying here: use Ctrl+C."),
  );

/** Lays down what the clipboard holds, by a button. */
export const pasteThings = (stores: Stores): void =>
  void pasteText().then(
    (text) => pasteCarried(stores, text),
    () => stores.say("The browser does not allow pasting here: use Ctrl+V."),
  );

/** Ctrl+C, Ctrl+X and Ctrl+V for things, wherever no text is edited. */
export function useCarrying(): void {
  const stores = useStores();
  useEffect(() => {
    const inText = ({ target }: Event) =>
      target instanceof HTMLElement && target.matches("input, textarea, [contenteditable]");
    const onCopy = (event: ClipboardEvent) => {
      const things = stores.chosenElements();
      if (inText(event) || things.length === 0 || !event.clipboardData || getSelection()?.toString()) return;
      event.preventDefault();
      event.clipboardData.setData("text/plain", carried(things));
      if (event.type === "cut")
        deleteMany(
          stores,
          things.filter(({ locked }) => !locked),
        );
      stores.say(
        `${counted(things.length)} ${event.type === "cut" ? "cut" : "copied"}: paste here or in another scene.`,
      );
    };
    const onPaste = (event: ClipboardEvent) => {
      const text = event.clipboardData?.getData("text/plain") ?? "";
      if (inText(event) || !mayCarry(text)) return;
      event.preventDefault();
      void pasteCarried(stores, text);
    };
    document.addEventListener("copy", onCopy);
    document.addEventListener("cut", onCopy);
    document.addEventListener("paste", onPaste);
    return () => {
      document.removeEventListener("copy", onCopy);
      document.removeEventListener("cut", onCopy);
      document.removeEventListener("paste", onPaste);
    };
  }, [stores]);
}
