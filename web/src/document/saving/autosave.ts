import { committed, outcome, PASSES, settled, UNDECIDED, type Context, type Session } from "./state";

/**
 * Quiet time after a change before it is saved; edits without a pause are saved this often; and time before trying
 * again, ms.
 */
const QUIET = 600;
const AT_LEAST = 3000;
const AGAIN = 4000;

export type Autosave = ReturnType<typeof createAutosave>;

/** Saves what is open by itself: soon after a change, at least every few seconds, and again where it could not. */
export function createAutosave(context: Context) {
  const { saving, server } = context;
  const { getState: get, setState: set } = saving;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let running: Promise<void> | null = null;
  const stop = (): void => clearTimeout(timer);

  const soon = (after = QUIET): void => {
    const { session } = context;
    if (!session || UNDECIDED.has(get().state) || settled(context)) return;
    stop();
    session.unsavedSince ??= Date.now();
    if (get().state === "saved") set({ state: "waiting" });
    const most = PASSES.has(get().state) ? after : Math.max(0, session.unsavedSince + AT_LEAST - Date.now());
    timer = setTimeout(() => void flush(), Math.min(after, most));
  };

  const saveOnce = async (mine: Session): Promise<void> => {
    const scene = committed(context);
    const upTo = mine.journal.end();
    const text = JSON.stringify(scene);
    const { revision } = await server.saveScene(mine.id, text, mine.revision);
    mine.revision = revision;
    mine.stored = scene;
    mine.unsavedSince = null;
    mine.journal.stored({ revision, text }, upTo);
    if (mine !== context.session) return;
    set({ revision });
    if (settled(context)) void mine.keeper.drop();
    else mine.keeper.soon();
  };

  const saveAll = async (): Promise<void> => {
    const mine = context.session;
    const goesOn = () => mine !== null && mine === context.session && !UNDECIDED.has(get().state);
    while (mine && goesOn() && !settled(context)) {
      if (get().state !== "saving") set({ state: "saving" });
      try {
        await saveOnce(mine);
      } catch (error) {
        if (mine !== context.session) return;
        set(outcome(error as Error));
        if (PASSES.has(get().state)) soon(AGAIN);
        return;
      }
    }
    if (goesOn() && settled(context)) set({ state: "saved", reason: "" });
  };

  /** Saves now what is not saved yet, and waits for it. */
  function flush(): Promise<void> {
    stop();
    running ??= saveAll().finally(() => {
      running = null;
      // Another scene was opened meanwhile, and waits for its turn.
      if (get().state === "waiting") soon();
    });
    return running;
  }

  return {
    /** Saves once it has been quiet for a while, ms. */
    soon,
    flush,
    stop,
    /** The save that is going on, if one is. */
    running: (): Promise<void> | null => running,
  };
}
