import type { Style } from "./style";

/** Lines of one kind, drawn alike. */
export interface Layer {
  readonly id: string;
  readonly name: string;
  readonly style: Style;
  /** x1 y1 x2 y2 of every line, in sheet mm. */
  readonly lines: Float64Array;
}

/** A sheet with its layers from the bottom up: what every output shows. */
export interface Drawing {
  readonly title: string;
  readonly width: number;
  readonly height: number;
  readonly layers: readonly Layer[];
}
