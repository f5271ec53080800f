import type { ValidationError } from "@zanvo/core/problem";
import type { Tiling } from "@zanvo/core/print";
import type { Grids } from "@zanvo/files";

/**
 * What is to be made of a document: the desk at true size in tiles, or blank grids on the shot's sheet; and in which
 * file.
 */
export type Order = { readonly text: string; readonly shot: string; readonly file: string } & (
  { readonly tiling: Tiling } | { readonly grids: Grids }
);

/** What kind of file an order comes to. */
export const kindOf = (order: Order): "pdf" | "zip" => ("tiling" in order ? "pdf" : "zip");

/** What a print tells while it is worked on. */
export type Report =
  | { readonly done: number; readonly of: number }
  | { readonly ready: true }
  | { readonly failed: string; readonly errors?: readonly ValidationError[] };
