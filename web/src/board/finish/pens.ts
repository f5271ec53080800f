import type { LAYER_KINDS } from "@zanvo/core/drawing";
import type { Shot } from "@zanvo/core/scene";

type Pens = Shot["pens"];

/** Pens as they are sold, mm: each the root of two times the one before (ISO 128-2 (from memory)). */
export const PENS = ["0.13", "0.18", "0.25", "0.35", "0.5", "0.7"] as const;

/** What is drawn with a pen of one's choice. */
const DRAWN = ["buildings", "meetings", "creases", "details", "hidden", "frame"];

/** The usual pen of a kind of line, mm; null for what is none of the finished drawing. */
export const penOf = ({ id, style }: (typeof LAYER_KINDS)[number]): number | null =>
  DRAWN.includes(id) ? style.width : null;

/** Pens with one of them changed; the usual one again where none is said. */
export function withPen(pens: Pens, kind: string, pen: string): Pens {
  const { [kind]: _, ...rest } = pens ?? {};
  const next = pen === "" ? rest : { ...rest, [kind]: Number(pen) };
  return Object.keys(next).length > 0 ? next : undefined;
}
