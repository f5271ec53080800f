/** Copies text where the browser hides its clipboard from pages of no secure origin: through a field that is chosen. */
function copyByField(text: string): boolean {
  const field = document.createElement("textarea");
  field.value = text;
  field.style.position = "fixed";
  document.body.append(field);
  field.select();
  try {
    // Deprecated, and the only way there is without a secure origin.
    return document.execCommand("copy");
  } finally {
    field.remove();
  }
}

/** Puts text on the clipboard. @throws Error where the browser does not allow it */
export async function copyText(text: string): Promise<void> {
  const clipboard = navigator.clipboard as Clipboard | undefined;
  if (clipboard) await clipboard.writeText(text);
  else if (!copyByField(text)) throw new Error("The browser does not allow copying here.");
}

/** The text on the clipboard. @throws Error where the browser does not allow it */
export async function pasteText(): Promise<string> {
  const clipboard = navigator.clipboard as Clipboard | undefined;
  if (!clipboard) throw new Error("The browser does not allow pasting here.");
  return clipboard.readText();
}
