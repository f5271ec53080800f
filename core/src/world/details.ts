import type { Vec3 } from "../geometry";
import type { Bend } from "./round/bend";
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
  { id: "bar", label: "Bars and boards" },
  { id: "contour", label: "Contour lines" },
  { id: "reveal", label: "Reveals" },
  { id: "glazing", label: "Frames, panes and panels" },
  { id: "dressing", label: "Sills, lintels, shutters and bands" },
  { id: "masonry", label: "Brick, stone and boards" },
  { id: "roofing", label: "Tiles and slates" },
  { id: "letter", label: "Letters", dense: true },
  { id: "figure", label: "Lines within figures" },
  { id: "wire", label: "Wires" },
  { id: "guide", label: "Boxes and lines of letters" },
] as const;

/** Whether lines of one thing of a kind may lie nearer to each other than the least gap, as those of letters do. */
export const isDense = (kind: number): boolean => "dense" in DETAIL_KINDS[kind];

export type DetailKind = (typeof DETAIL_KINDS)[number]["id"];

/** Something whole that several details draw, such as a window: it is drawn with all of them, or not at all. */
export interface DetailItem {
  /** Its place in a row of its like, of which an even share is drawn where there is no room for all. */
  readonly index: number;
}

/** How many levels of lines a thing can have. */
export const LEVELS = 8;

/** The face that a detail lies on; of a round surface, which falls into other facets for every eye, none by number. */
export interface DetailFace {
  readonly solid: Solid;
  readonly face: number;
  /** Which round surface it lies on, and the normals of that at its ends; its face is then -1. */
  readonly round?: { readonly number: number; readonly normals: readonly [Vec3, Vec3] };
}

/** Something drawn on a surface: a straight stretch, m, and the face that it lies on; on the open ground, none. */
export interface Detail {
  readonly kind: DetailKind;
  readonly a: Vec3;
  readonly b: Vec3;
  /** What it is a line of; where nothing is said, it is something by itself. */
  readonly item?: DetailItem;
  readonly on?: DetailFace;
  /** How it is curved from a to b; where nothing is said, it is straight. */
  readonly bend?: Bend;
  /** The element that it stands out of, where it is on no face, and goes with a wall that is left out. */
  readonly of?: string;
  /**
   * Which of the thing's lines it belongs to, below `LEVELS`: each level is drawn whole or not at all, and only where
   * level 0 is.
   */
  readonly level?: number;
  /**
   * It lies behind its face, and is seen through an opening in it only: the corners of that, a convex polygon on the
   * face, counter-clockwise as it is seen from outside, m.
   */
  readonly through?: readonly Vec3[];
}
