import type { ReactNode } from "react";
import type { Element } from "@zanvo/core/world";
import { headingAlong, type Vec2 } from "@zanvo/core/geometry";

/** Puts a changed element in its place; what is told is one step of undoing. */
export type Change = (next: Element, what: string) => void;

/**
 * How a tool is used on the plan: drawn from one place to another, pressed corner by corner into an area, or bend by
 * bend along a line.
 */
export type Gesture = "drawn" | "area" | "path";

/** Outlines that are drawn from one place to another, before they are made into a thing. */
export type DrawnShape = "rectangle" | "ell" | "horseshoe" | "circle";

/** A tool of the plan that lays an element. */
export interface ElementTool {
  readonly id: string;
  readonly label: string;
  readonly icon?: ReactNode;
  /** It stands beside what it is like, and is shown by its icon alone. */
  readonly iconOnly?: boolean;
  /** What the hand does, in a sentence. */
  readonly hint: string;
  readonly gesture: Gesture;
  /** Of a drawn tool, the outline that is made between its two places; none for what runs from the one to the other. */
  readonly shape?: DrawnShape;
  /**
   * What is drawn through some places, all but its id and its name.
   * @param heading of the street beside it, or else of the main streets, degrees
   * @param elements what stands around it
   * @returns a sentence where it is nothing yet
   */
  readonly draw: (places: readonly Vec2[], heading: number, elements: readonly Element[]) => Drawn | string;
}

/** An element without its id and its name. */
export type Drawn = Element extends infer E ? (E extends Element ? Omit<E, "id" | "name"> : never) : never;

/** How a kind of thing is shown on the plan. */
export interface PlanLook {
  readonly fill: string;
  readonly fillOpacity?: number;
  /** What is low lies under what is high. */
  readonly order: number;
  /** What all of its kind are filled with over their outlines, so that they run into one another. */
  readonly joined?: string;
}

/** All that the screen knows of a kind of element. */
export interface ElementView<E extends Element = Element> {
  readonly kind: E["kind"];
  readonly look: PlanLook;
  readonly tools: readonly ElementTool[];
  /** Whether it lies so far away that the plan does not begin with it. */
  readonly far?: boolean;
  /** The fields of its measures. */
  Fields(props: { readonly element: E; readonly change: Change }): ReactNode;
  /** What can be taken hold of in the picture, where its measures can be drawn there. */
  Handles?(props: { readonly element: E }): ReactNode;
  /** Lines that are drawn within its outline on the plan. */
  marks?(element: E): readonly (readonly [Vec2, Vec2])[];
}

export const INK = "#26251f";
/** What is chosen or being drawn. */
export const ACCENT = "#c8401f";
export const GROUND = "#8a8577";
export const WATER = "#2f6f8f";
export const GREEN = "#5f7f4a";
/** Ground as it is drawn over other ground: its colour at a tenth on the plan's. */
export const OPAQUE_GROUND = "#e8e6dd";

/** Places of the plan as an element's document has them. */
export const points = (places: readonly Vec2[]): { x: number; y: number }[] => places.map(([x, y]) => ({ x, y }));

/** The heading of what is drawn from its left end to its right end, as one sees it who stands before it, degrees. */
export const facingRightOf = ([x, y]: Vec2, [u, v]: Vec2): number => Number(headingAlong([v - y, x - u]).toFixed(2));
