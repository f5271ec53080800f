import type { Card } from "@zanvo/core/answers";
import { create } from "zustand";
import type { Scene } from "@zanvo/core/scene";
import { OutOfReach, Refusal, type Opened } from "../api";
import { close, onPatches, open, replaceScene, useBoard } from "../board/board";
import { newId } from "../id";
import { endOf, sceneOf, withTail, type Draft, type Drafts } from "./drafts";
import { openJournal, type Journal } from "./journal";
import { openKeeper, type Keeper } from "./keeper";
import { placeOf, recallPlace, recallTail, rememberLeaving, type LeftPlace } from "./place";

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

/**
 * Quiet time after a change before it is saved; edits without a pause are saved this often; and time before trying
 * again, ms.
 */
const QUIET = 600;
const AT_LEAST = 3000;
const AGAIN = 4000;

/** What the server has of the scene on the board. */
interface Session {
  readonly id: string;
  readonly tab: string;
  readonly journal: Journal;
  readonly keeper: Keeper;
  revision: number;
  stored: Scene;
  /** When the oldest change that is not saved was made; null while there is none. */
  unsavedSince: number | null;
}

/** The scene on the board without a drag that is going on. */
function committed(): Scene {
  const { scene, gesture } = useBoard.getState();
  return gesture ? gesture.base : scene;
}

/** What an error of a save comes to. */
function outcome(error: Error): Pick<Saving, "state" | "reason"> & Partial<Saving> {
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
const PASSES: ReadonlySet<Saving["state"]> = new Set(["out-of-reach", "busy", "full"]);
/** Which wait for a person's decision. */
const UNDECIDED: ReadonlySet<Saving["state"]> = new Set(["conflict", "gone"]);

export type SavingOfDocument = ReturnType<typeof createSaving>;

/** Saves the document on the board by itself, and keeps what is not acknowledged in this browser. */
export function createSaving(server: Server, drafts: Drafts, tabs: Tabs) {
  const useSaving = create<Saving>(() => ({
    state: "saved",
    reason: "",
    revision: 0,
    theirs: null,
    unkept: null,
    others: [],
  }));
  const { getState: get, setState: set } = useSaving;
  let session: Session | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let running: Promise<void> | null = null;
  /** What was still being saved when a scene was last taken off the board. */
  let leaving: Promise<unknown> = Promise.resolve();

  /** Whether the server has what is on the board. */
  const settled = (): boolean => !session || committed() === session.stored;

  const soon = (after = QUIET): void => {
    if (!session || UNDECIDED.has(get().state) || settled()) return;
    clearTimeout(timer);
    session.unsavedSince ??= Date.now();
    if (get().state === "saved") set({ state: "waiting" });
    const most = PASSES.has(get().state) ? after : Math.max(0, session.unsavedSince + AT_LEAST - Date.now());
    timer = setTimeout(() => void flush(), Math.min(after, most));
  };

  const saveOnce = async (mine: Session): Promise<void> => {
    const scene = committed();
    const upTo = mine.journal.end();
    const text = JSON.stringify(scene);
    const { revision } = await server.saveScene(mine.id, text, mine.revision);
    mine.revision = revision;
    mine.stored = scene;
    mine.unsavedSince = null;
    mine.journal.stored({ revision, text }, upTo);
    if (mine !== session) return;
    set({ revision });
    if (settled()) void mine.keeper.drop();
    else mine.keeper.soon();
  };

  const saveAll = async (): Promise<void> => {
    const mine = session;
    while (mine && mine === session && !settled() && !UNDECIDED.has(get().state)) {
      if (get().state !== "saving") set({ state: "saving" });
      try {
        await saveOnce(mine);
      } catch (error) {
        if (mine !== session) return;
        set(outcome(error as Error));
        if (PASSES.has(get().state)) soon(AGAIN);
        return;
      }
    }
    if (mine && mine === session && settled() && !UNDECIDED.has(get().state)) set({ state: "saved", reason: "" });
  };

  /** Saves now what is not saved yet, and waits for it. */
  function flush(): Promise<void> {
    clearTimeout(timer);
    running ??= saveAll().finally(() => {
      running = null;
      // Another scene was laid on the board meanwhile, and waits for its turn.
      if (get().state === "waiting") soon();
    });
    return running;
  }

  /** Goes on from what somebody else saved. */
  const goOnFrom = (theirs: Opened): void => {
    if (!session) return;
    Object.assign(session, { revision: theirs.revision, stored: theirs.scene });
    session.journal.stored({ revision: theirs.revision, text: theirs.text }, session.journal.end());
    set({ revision: theirs.revision });
  };

  /** The drafts of a scene that nobody else has open, with what this tab left as its page went away. */
  const unsaved = async (opened: Opened, tab: string): Promise<readonly Draft[]> => {
    const tail = recallTail(opened.id);
    const [kept, open] = await Promise.all([drafts.of(opened.id).catch(() => []), tabs.openTabs()]);
    const own = kept.find((draft) => draft.tab === tab);
    const base = { revision: opened.revision, text: opened.text };
    const left: Draft | null =
      own || !tail || tail.start > 0 || tail.revision !== opened.revision
        ? null
        : {
            visit: tail.visit,
            start: 0,
            patches: tail.patches,
            ongoing: [],
            scene: opened.id,
            tab,
            base,
            at: Date.now(),
          };
    const mine = own ? withTail(own, tail) : left;
    return [...(mine ? [mine] : []), ...kept.filter((draft) => draft.tab !== tab && !open.has(draft.tab))];
  };

  return {
    useSaving,
    flush,
    /** Waits for what was left: whoever opens the scene again at once must not get it as it was before. */
    leftSaved: (): Promise<unknown> => leaving,

    /** Looks for unsaved work on a scene; what the server has by now is forgotten. */
    async find(opened: Opened): Promise<Found> {
      const tab = await tabs.thisTab();
      const found = await unsaved(opened, tab);
      const plain = found.length ? JSON.stringify(opened.scene) : "";
      const worthy: Draft[] = [];
      for (const draft of found) {
        if (JSON.stringify(sceneOf(draft)) === plain) await drafts.remove(draft).catch(() => undefined);
        else worthy.push(draft);
      }
      return { tab, mine: worthy[0] ?? null, others: worthy.slice(1) };
    },

    /**
     * Lays a scene on the board with all that was left unsaved or open in this window, and saves it from now on.
     * @returns ends it: what is not saved yet is saved, or kept in this browser until the next visit
     */
    start(opened: Opened, { tab, mine: draft, others }: Found): () => void {
      const { id } = opened;
      const place = recallPlace(id);
      const scene = draft ? sceneOf(draft) : opened.scene;
      const journal = openJournal(newId(), draft ? draft.base : { revision: opened.revision, text: opened.text });
      if (draft) journal.note([...draft.patches, ...draft.ongoing]);
      const keeper = openKeeper({
        drafts,
        journal,
        scene: id,
        tab,
        ongoing: () => useBoard.getState().gesture?.step?.patches ?? [],
        text: () => JSON.stringify(committed()),
        onKept: (unkept) => {
          if (get().unkept !== unkept) set({ unkept });
        },
      });
      const mine: Session = {
        id,
        tab,
        journal,
        keeper,
        revision: opened.revision,
        stored: opened.scene,
        unsavedSince: null,
      };
      session = mine;
      const fits = draft
        ? place?.visit === draft.visit && place.end === endOf(draft) && draft.ongoing.length === 0
        : place?.settled && place.revision === opened.revision;
      set({ state: "saved", reason: "", revision: opened.revision, theirs: null, unkept: null, others });
      open({ ...opened, scene }, { ...place, ...(fits ? {} : { past: [], future: [] }) });
      if (draft) void keeper.now().then(() => (draft.tab === tab || get().unkept ? undefined : drafts.remove(draft)));
      if (draft && draft.base.revision !== opened.revision) set({ state: "conflict", theirs: opened });
      else if (draft) soon();

      const stops = [
        onPatches((patches) => journal.note(patches)),
        useBoard.subscribe((now, before) => {
          if (now.scene === before.scene && now.gesture === before.gesture) return;
          if (now.scene !== before.scene) keeper.soon();
          if (!now.gesture && (now.scene !== before.scene || before.gesture)) soon();
        }),
      ];
      const leave = (): LeftPlace => {
        const left = {
          ...placeOf(useBoard.getState()),
          visit: journal.visit,
          end: journal.end(),
          revision: mine.revision,
          settled: committed() === mine.stored,
        };
        rememberLeaving(
          id,
          left,
          left.settled ? null : { ...journal.since(keeper.written()), revision: journal.base().revision },
        );
        if (!left.settled) void keeper.now();
        return left;
      };
      const warn = (event: BeforeUnloadEvent) => {
        if (committed() !== mine.stored) event.preventDefault();
      };
      const again = () => {
        if (PASSES.has(get().state)) soon(0);
      };
      addEventListener("pagehide", leave);
      addEventListener("beforeunload", warn);
      addEventListener("online", again);
      return () => {
        const last = committed();
        const undecided = UNDECIDED.has(get().state);
        clearTimeout(timer);
        for (const stop of stops) stop();
        removeEventListener("pagehide", leave);
        removeEventListener("beforeunload", warn);
        removeEventListener("online", again);
        const left = leave();
        keeper.stop();
        session = null;
        close();
        if (undecided || left.settled) return;
        const save = async () => {
          await running;
          if (last !== mine.stored)
            mine.revision = (await server.saveScene(id, JSON.stringify(last), mine.revision)).revision;
          rememberLeaving(id, { ...left, revision: mine.revision, settled: true }, null);
          await keeper.drop();
        };
        // Where it cannot be saved now, it is in this browser's drafts.
        leaving = save().catch(() => undefined);
      };
    },

    /**
     * Saves what is on the board, for something that is made from what is stored. @throws Error when it cannot be
     * saved
     */
    async savedFirst(): Promise<void> {
      await flush();
      if (get().state !== "saved") throw new Error("The scene could not be saved first, so nothing was made.");
    },

    /** Settles a conflict: this window's scene becomes the newest; the other one stays among the earlier versions. */
    async takeOver(): Promise<void> {
      const { theirs } = get();
      if (!theirs || !session) return;
      // The journal keeps its changes: until the server has them, they are all that this window has.
      Object.assign(session, { revision: theirs.revision, stored: theirs.scene });
      set({ state: "waiting", theirs: null });
      await flush();
    },

    /** Settles a conflict, or the loss of the scene: this window's scene becomes a scene of its own. @returns its id */
    async keepCopy(): Promise<string> {
      const scene = committed();
      const copy = await server.createScene(JSON.stringify({ ...scene, title: `${scene.title} (copy)`.slice(0, 200) }));
      if (session) {
        session.stored = scene;
        await session.keeper.drop();
      }
      set({ state: "saved", theirs: null });
      return copy.id;
    },

    /** Settles a conflict: the other scene is laid on the board, as a step that can be taken back. */
    takeTheirs(): void {
      const { theirs } = get();
      if (!theirs || !session) return;
      goOnFrom(theirs);
      set({ state: "saved", theirs: null });
      replaceScene(theirs.scene);
      session.stored = useBoard.getState().scene;
      clearTimeout(timer);
      void session.keeper.drop();
      set({ state: "saved" });
    },

    /** Brings a scene back that was deleted elsewhere, and saves this window's state of it. */
    async putBack(): Promise<void> {
      if (!session) return;
      await server.restoreScene(session.id);
      set({ state: "waiting" });
      await flush();
    },

    /** Makes a scene of its own of another window's unsaved work. @returns its id */
    async copyOther(draft: Draft, title: (scene: Scene) => string): Promise<string> {
      const scene = sceneOf(draft);
      const { id } = await server.createScene(JSON.stringify({ ...scene, title: title(scene).slice(0, 200) }));
      await drafts.remove(draft);
      set({ others: get().others.filter((one) => one !== draft) });
      return id;
    },

    /** Throws another window's unsaved work away. */
    async discardOther(draft: Draft): Promise<void> {
      await drafts.remove(draft);
      set({ others: get().others.filter((one) => one !== draft) });
    },
  };
}
