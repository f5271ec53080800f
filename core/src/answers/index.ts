import type { KitKind } from "../scene";

// What the server answers, as both sides know it.

/** What the shelf shows of a scene. */
export interface Card {
  readonly id: string;
  readonly revision: number;
  readonly title: string;
  readonly place: string | null;
  /** Whether it is kept as a template, which new scenes are begun on. */
  readonly template: boolean;
  /** What it is a kit of, where it is kept as one: such a scene stands on a shelf of its own. */
  readonly kit: KitKind | null;
  readonly shots: number;
  readonly elements: number;
  readonly createdAt: string;
  readonly savedAt: string;
}

/** A scene that was deleted, and can be brought back for a month. */
export interface DeletedCard extends Card {
  readonly deletedAt: string;
}

/** An earlier state of a scene. */
export interface Version {
  readonly revision: number;
  readonly title: string;
  readonly savedAt: string;
}

/** A picture as it was taken in: its name, and its size in px. */
export interface Picture {
  readonly picture: string;
  readonly width: number;
  readonly height: number;
  /** The lens that the camera noted, as on full frame, mm; null where it noted none. */
  readonly focal35: number | null;
}

/** A picture in the bin, which no scene names any more. */
export interface RemovedPicture {
  readonly picture: string;
  readonly bytes: number;
  readonly removedAt: string;
}

/** How a print stands. */
export interface PrintStatus {
  readonly id: string;
  readonly state: "working" | "ready" | "failed";
  /** What its file is. */
  readonly kind: "pdf" | "zip";
  /** Pages or files done, and how many there will be; 0 while that is not known yet. */
  readonly done: number;
  readonly of: number;
  readonly message?: string;
}

/** A format that something can be saved as. */
export interface FormatInfo {
  readonly id: string;
  readonly label: string;
  /** What files of it end with, without the dot. */
  readonly extension: string;
  /** What it holds: the drawing of a shot or a page, or all masses of a scene without any view. */
  readonly of: "drawing" | "masses";
  /** Whether it is made of dots, so that a resolution is asked for. */
  readonly dots?: boolean;
  /** Where round faces fall into flat ones in it: how far these may leave them, mm. */
  readonly tolerance?: { readonly minimum: number; readonly maximum: number; readonly default: number };
}
