import type { Picture } from "@zanvo/core/answers";
import type { Reference } from "@zanvo/core/scene";
import { newId } from "../id";

/** The sets that a fresh reference has: the streets to both sides, and uprights. */
const SETS: Reference["sets"] = [
  { id: "left", name: "Left", role: "left", edges: [] },
  { id: "right", name: "Right", role: "right", edges: [] },
  { id: "upright", name: "Uprights", role: "upright", edges: [] },
];

/** What tells the bench that a picture was just brought in: its edges are looked for at once. */
export const SEARCH = { search: true } as const;

/** What the file dialog offers. */
export const PICTURES = "image/jpeg,image/png,image/webp";

/**
 * The picture among some files; where none says that it is one, the first of them, so that it is answered for. Nothing
 * where there are none.
 */
export const pictureIn = (files: Iterable<File>): File | undefined => {
  const all = [...files];
  return all.find(({ type }) => type.startsWith("image/")) ?? all[0];
};

/** A picture's name, from that of its file. */
export const photoName = ({ name }: Pick<File, "name">): string =>
  name.replace(/\.[a-z]+$/i, "").slice(0, 200) || "Photo";

/** The reference that a picture which was taken in becomes. */
export const newReference = ({ picture, width, height, focal35 }: Picture, name: string): Reference => ({
  id: newId(),
  name,
  picture,
  width,
  height,
  ...(focal35 === null ? {} : { focal35 }),
  sets: structuredClone(SETS),
});
