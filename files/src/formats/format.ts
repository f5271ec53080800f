import type { FormatInfo } from "@zanvo/core/answers";
import type { Drawing } from "@zanvo/core/drawing";
import type { Scene } from "@zanvo/core/scene";
import type { Jpegs, PngOptions } from "@zanvo/raster";

export type Content = string | Uint8Array;

/** How a drawing is written. */
export interface DrawingOptions {
  /** Dots per inch, for what is made of dots. */
  readonly dpi: number;
  /** Those of the pictures under the drawing that are there, by what they are called. */
  readonly jpegs?: Jpegs;
  /** For what is made of dots: without paper under the lines, and cut to the panel. */
  readonly transparent?: boolean;
  readonly toPanel?: boolean;
  /** With what it is printed, and just how many dots it has, where that is said instead of a resolution. */
  readonly ink?: PngOptions["ink"];
  readonly size?: PngOptions["size"];
}

/** A format that a drawing can be written as. What writes it is loaded when it is first used. */
export interface DrawingFormat extends FormatInfo {
  readonly of: "drawing";
  readonly mime: string;
  readonly write: (drawing: Drawing, options: DrawingOptions) => Promise<Content>;
}

/** How masses are written. */
export interface MassesOptions {
  /** How far flat faces may leave round ones, mm. */
  readonly tolerance?: number;
}

/** A format that the masses of a scene can be written as, without any view. */
export interface MassesFormat extends FormatInfo {
  readonly of: "masses";
  readonly mime: string;
  readonly write: (scene: Scene, options?: MassesOptions) => Promise<Content>;
}

export type Format = DrawingFormat | MassesFormat;
