import type { Fault } from "@zanvo/core/problem";
import type { Tiling } from "@zanvo/core/print";
import type { Scene } from "@zanvo/core/scene";

/** What is to be printed. */
export interface Order {
  readonly scene: Scene;
  readonly shot: string;
  readonly tiling: Tiling;
}

/** What a print tells while it is worked on. */
export type Report =
  | { readonly done: number; readonly of: number }
  | { readonly pdf: Uint8Array }
  | { readonly failed: string; readonly faults?: readonly Fault[] };
