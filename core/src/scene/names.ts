/** A file name made of a title: letters and digits of any script, hyphens between. */
export const fileName = (title: string): string =>
  title
    .normalize("NFC")
    .replace(/[^\p{L}\p{N}]+/gu, "-")
    .replace(/^-|-$/g, "")
    .slice(0, 80) || "scene";
