import type { Fault } from "@zanvo/core/problem";
import type { Tiling } from "@zanvo/core/print";
import type { Scene } from "@zanvo/core/scene";
import type { Grids } from "@zanvo/files";

/** What is to be made: the desk at true size in tiles, or blank grids on the shot's sheet. */
export type Order = { readonly scene: Scene; readonly shot: string } & ({ readonly tiling: Tiling } | { readonly grids: Grids });

/** What kind of file an order comes to. */
export const kindOf = (order: Order): "pdf" | "zip" => ("tiling" in order ? "pdf" : "zip");

/** What a print tells while it is worked on. */
export type Report =
  | { readonly done: number; readonly of: number }
  | { readonly file: Uint8Array }
  | { readonly failed: string; readonly faults?: readonly Fault[] };
