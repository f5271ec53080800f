import type { Vec3 } from "../geometry";
import type { Solid } from "./solid";

/**
 * What is drawn on surfaces, by kind: each has a strength of its own. A new kind of detail is a line here. They stand
 * in a picture by their places in this list.
 */
export const DETAIL_KINDS = [
  { id: "window", label: "Windows" },
  { id: "door", label: "Doors" },
  { id: "joint", label: "Joints" },
  { id: "kerb", label: "Level kerbs" },
  { id: "dash", label: "Lane dashes" },
  { id: "crossing", label: "Crossings" },
  { id: "rail", label: "Rails" },
  { id: "bed", label: "Sleepers and plates" },
] as const;

export type DetailKind = (typeof DETAIL_KINDS)[number]["id"];

/** Something drawn on a surface: a straight stretch, m, and the face that it lies on; on the open ground, none. */
export interface Detail {
  readonly kind: DetailKind;
  readonly a: Vec3;
  readonly b: Vec3;
  readonly on?: { readonly solid: Solid; readonly face: number };
}
