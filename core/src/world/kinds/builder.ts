import type { Vec2 } from "../../geometry";
import type { Detail } from "../details";
import type { Solid } from "../solid";
import { groundRange, type Plane, type RaisedGround, type Terrain } from "../terrain";
import type { Cutting, ElementBase, Surroundings } from "./kind";

/**
 * What a kind of element is built to. It stands apart from what else is known of the kind: a page that only shows
 * elements and checks them need not load it.
 */
export interface ElementBuilder<E extends ElementBase = ElementBase> {
  /** Its solids; none where it cannot stand. */
  build(element: E, around?: Surroundings): Solid[];
  /** What is drawn on its solids, and on the ground. */
  details?(element: E, solids: readonly Solid[], around?: Surroundings): Detail[];
  /** Whether it builds only those details that can be told apart, by the least length around it. */
  fine?(element: E): boolean;
  /** The cutting that it is dug into the ground as; null where it cannot be. */
  cutting?(element: E): Cutting | null;
  /** What it raises the ground to; null where it cannot be. @param held an outline as others that it meets hold it */
  ground?(element: E, held?: (outline: readonly Vec2[]) => readonly Vec2[]): RaisedGround | null;
  /**
   * How it stands on ground that is not level: raised by a plane over the plan, or draped, so that each place of it
   * keeps its height over the ground there. Where nothing is said, it stands as on a level field.
   */
  settle?(element: E, terrain: Terrain): Plane | "draped";
}

/** Declares what a kind of element is built to. */
export const elementBuilder = <E extends ElementBase>(builder: ElementBuilder<E>): ElementBuilder<E> => builder;

/** Stands on the lowest ground under an outline, level. */
export const onLowest =
  <E>(outline: (element: E) => readonly Vec2[]) =>
  (element: E, terrain: Terrain): Plane => [0, 0, groundRange(terrain, [outline(element)])[0]];
