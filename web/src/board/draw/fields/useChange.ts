import type { OwnLine } from "@zanvo/core/lines";
import { replaceLines } from "../../../document/lines";
import { useBoard } from "../../useBoard";

/** Own lines of one kind. */
export type Of<K extends OwnLine["kind"]> = Extract<OwnLine, { readonly kind: K }>;

/** Puts a changed line in the place of what it was. */
export function useChange() {
  const { edit, useShot } = useBoard();
  const { id } = useShot();
  return (line: OwnLine, key?: string) => edit(replaceLines(id, [line]), key);
}
