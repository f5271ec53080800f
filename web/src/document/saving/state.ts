import type { Card } from "@zanvo/core/answers";
import type { Scene } from "@zanvo/core/scene";
import type { StoreApi } from "zustand";
import { OutOfReach, Refusal, type Opened } from "../../api";
import type { SceneDocument } from "../history";
import type { Selection } from "../selection";
import type { View } from "../view";
import type { Draft, Drafts } from "./drafts";
import type { Journal } from "./journal";
import type { Keeper } from "./keeper";

/** How the document stands to what the server has. */
export interface Saving {
  readonly state: "saved" | "saving" | "waiting" | "out-of-reach" | "busy" | "full" | "refused" | "conflict" | "gone";
  /** Why it was refused. */
  readonly reason: string;
  /** The last revision that the server acknowledged. */
  readonly revision: number;
  /** What somebody else saved meanwhile. */
  readonly theirs: Opened | null;
  /** Why this browser cannot keep what is not saved yet; null where it can. */
  readonly unkept: string | null;
  /** Unsaved work on this scene from other windows that are closed. */
  readonly others: readonly Draft[];
}

/** What saving needs of the server. */
export interface Server {
  readonly saveScene: (id: string, text: string, revision: number) => Promise<Pick<Card, "revision">>;
  readonly createScene: (text: string) => Promise<Pick<Card, "id">>;
  readonly restoreScene: (id: string) => Promise<void>;
}

/** Which tab this is, and which are open. */
export interface Tabs {
  readonly thisTab: () => Promise<string>;
  readonly openTabs: () => Promise<ReadonlySet<string>>;
}

/** Unsaved work that was found as a scene was opened. */
export interface Found {
  readonly tab: string;
  /** What is gone on from. */
  readonly mine: Draft | null;
  readonly others: readonly Draft[];
}

/** What the server has of the scene on the board. */
export interface Session {
  readonly id: string;
  readonly tab: string;
  readonly journal: Journal;
  readonly keeper: Keeper;
  revision: number;
  stored: Scene;
  /** When the oldest change that is not saved was made; null while there is none. */
  unsavedSince: number | null;
}

/** What of this window is saved, or remembered until the next visit. */
export interface DocumentStores {
  readonly document: SceneDocument;
  readonly selection: Selection;
  readonly view: View;
}

/** What the parts of saving share. */
export interface Context {
  readonly stores: DocumentStores;
  readonly server: Server;
  readonly drafts: Drafts;
  readonly tabs: Tabs;
  /** How the document stands to what the server has. */
  readonly saving: StoreApi<Saving>;
  /** The scene that is open, if one is. */
  session: Session | null;
}

/** The scene without a drag that is going on. */
export function committed({ stores: { document } }: Context): Scene {
  const { scene, gesture } = document.useDocument.getState();
  return gesture ? gesture.base : scene;
}

/** Whether the server has what is open. */
export const settled = (context: Context): boolean => !context.session || committed(context) === context.session.stored;

/** What an error of a save comes to. */
export function outcome(error: Error): Pick<Saving, "state" | "reason"> & Partial<Saving> {
  const { message: reason } = error;
  if (error instanceof OutOfReach) return { state: "out-of-reach", reason };
  if (!(error instanceof Refusal)) return { state: "refused", reason };
  if (error.status === 412 && error.current) {
    const { document, ...card } = error.current;
    return { state: "conflict", reason, theirs: { ...card, scene: document, text: JSON.stringify(document) } };
  }
  if (error.status === 404) return { state: "gone", reason };
  if (error.status === 507) return { state: "full", reason };
  return { state: error.status >= 500 || error.status === 429 ? "busy" : "refused", reason };
}

/** Which states end by themselves, if one goes on trying. */
export const PASSES: ReadonlySet<Saving["state"]> = new Set(["out-of-reach", "busy", "full"]);
/** Which wait for a person's decision. */
export const UNDECIDED: ReadonlySet<Saving["state"]> = new Set(["conflict", "gone"]);
