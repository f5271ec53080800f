import type { Vec2 } from "../geometry";
import type { Scene, Shot } from "../scene";
import type { Told } from "../units";
import type { View } from "../shot";
import type { Pin } from "../vanishing";
import type { Element } from "../world";

/** Something a second pair of eyes would point out: what, where, how much, why it matters. It never blocks. */
export interface Finding {
  readonly id: string;
  readonly severity: "note" | "warning" | "error";
  /** Where, in words. */
  readonly where: string;
  /** Where, on the desk in mm. */
  readonly at: Vec2 | null;
  readonly value: number;
  readonly unit: "°" | "mm" | "m" | ": 1" | "";
  readonly message: Told;
  /** Ids of the two things that it is about, where it is about two. */
  readonly between?: readonly [string, string];
  /** One thing to do about it, and the shot as it would be then. */
  readonly fix?: { readonly label: Told; readonly shot: Shot };
  /** One thing to do about an element, and that as it would be then. */
  readonly mend?: { readonly label: Told; readonly element: Element };
}

/** What a check looks at. */
export interface Looked {
  readonly scene: Scene;
  readonly shot: Shot;
  readonly view: View;
  readonly pins: readonly Pin[];
}

/** One kind of finding: a pure look at a shot. */
export type Check = (looked: Looked) => Finding[];

/** The shot with another picture distance, all else kept. */
export const atDistance = (shot: Shot, distance: number): Shot => ({ ...shot, lens: { ...shot.lens, distance } });

/** To one decimal. */
export const tenth = (value: number): number => Number(value.toFixed(1));
