import type { Opened } from "../../api";
import { newId } from "../../id";
import type { Autosave } from "./autosave";
import { endOf, sceneOf, withTail, type Draft } from "./drafts";
import { openJournal } from "./journal";
import { openKeeper } from "./keeper";
import { placeOf, recallPlace, recallTail, rememberLeaving, type LeftPlace } from "./place";
import { committed, PASSES, UNDECIDED, type Context, type Found, type Session } from "./state";

/** What this tab left as its page went away, as a draft of a scene, if it begins from what the server has. */
function leftOf({ id, revision, text }: Opened, tab: string, tail: ReturnType<typeof recallTail>): Draft | null {
  if (!tail || tail.start > 0 || tail.revision !== revision) return null;
  const { visit, patches } = tail;
  return { visit, start: 0, patches, ongoing: [], scene: id, tab, base: { revision, text }, at: Date.now() };
}

/** The drafts of a scene that nobody else has open, with what this tab left as its page went away. */
async function unsaved({ drafts, tabs }: Context, opened: Opened, tab: string): Promise<readonly Draft[]> {
  const tail = recallTail(opened.id);
  const [kept, open] = await Promise.all([drafts.of(opened.id).catch(() => []), tabs.openTabs()]);
  const own = kept.find((draft) => draft.tab === tab);
  const mine = own ? withTail(own, tail) : leftOf(opened, tab, tail);
  return [...(mine ? [mine] : []), ...kept.filter((draft) => draft.tab !== tab && !open.has(draft.tab))];
}

/** Looks for unsaved work on a scene; what the server has by now is forgotten. */
export async function findUnsaved(context: Context, opened: Opened): Promise<Found> {
  const tab = await context.tabs.thisTab();
  const found = await unsaved(context, opened, tab);
  const plain = found.length ? JSON.stringify(opened.scene) : "";
  const worthy: Draft[] = [];
  for (const draft of found) {
    if (JSON.stringify(sceneOf(draft)) === plain) await context.drafts.remove(draft).catch(() => undefined);
    else worthy.push(draft);
  }
  return { tab, mine: worthy[0] ?? null, others: worthy.slice(1) };
}

/** The session of a scene that is opened, with what was left unsaved of it. */
function sessionOf(context: Context, opened: Opened, { tab, mine: draft }: Found): Session {
  const { drafts, saving, stores } = context;
  const journal = openJournal(newId(), draft ? draft.base : { revision: opened.revision, text: opened.text });
  if (draft) journal.note([...draft.patches, ...draft.ongoing]);
  const keeper = openKeeper({
    drafts,
    journal,
    scene: opened.id,
    tab,
    ongoing: () => stores.document.useDocument.getState().gesture?.step?.patches ?? [],
    text: () => JSON.stringify(committed(context)),
    onKept: (unkept) => {
      if (saving.getState().unkept !== unkept) saving.setState({ unkept });
    },
  });
  return { id: opened.id, tab, journal, keeper, revision: opened.revision, stored: opened.scene, unsavedSince: null };
}

/** Opens the scene in this window's stores, at the place where it was left. */
function show({ stores: { document, selection, view } }: Context, opened: Opened, draft: Draft | null): void {
  const { id } = opened;
  const place = recallPlace(id);
  const scene = draft ? sceneOf(draft) : opened.scene;
  const fits = draft
    ? place?.visit === draft.visit && place.end === endOf(draft) && draft.ongoing.length === 0
    : place?.settled && place.revision === opened.revision;
  document.open(id, scene, fits ? (place ?? {}) : {});
  view.enter(scene, place?.view);
  selection.choose(scene.elements.some((one) => one.id === place?.selected) ? [place!.selected!] : []);
}

/** Remembers where one is as the page goes away or the scene is left, and what is not written anywhere yet. */
function leave(context: Context, { id, journal, keeper, revision, stored }: Session): LeftPlace {
  const left = {
    ...placeOf(context.stores),
    visit: journal.visit,
    end: journal.end(),
    revision,
    settled: committed(context) === stored,
  };
  const tail = left.settled ? null : { ...journal.since(keeper.written()), revision: journal.base().revision };
  rememberLeaving(id, left, tail);
  if (!left.settled) void keeper.now();
  return left;
}

/** Follows the changes of a document, and the comings and goings of its page. @returns ends it */
function follow(context: Context, mine: Session, { soon }: Autosave): () => void {
  const { document } = context.stores;
  const onHide = () => void leave(context, mine);
  const onUnload = (event: BeforeUnloadEvent) => {
    if (committed(context) !== mine.stored) event.preventDefault();
  };
  const onOnline = () => {
    if (PASSES.has(context.saving.getState().state)) soon(0);
  };
  const stops = [
    document.onPatches((patches) => mine.journal.note(patches)),
    document.useDocument.subscribe((now, before) => {
      if (now.scene === before.scene && now.gesture === before.gesture) return;
      if (now.scene !== before.scene) mine.keeper.soon();
      if (!now.gesture && (now.scene !== before.scene || before.gesture)) soon();
    }),
  ];
  addEventListener("pagehide", onHide);
  addEventListener("beforeunload", onUnload);
  addEventListener("online", onOnline);
  return () => {
    for (const stop of stops) stop();
    removeEventListener("pagehide", onHide);
    removeEventListener("beforeunload", onUnload);
    removeEventListener("online", onOnline);
  };
}

/**
 * Opens a scene with all that was left unsaved or open in this window, and saves it from now on.
 * @returns ends it; what is not saved yet is saved then (a promise), or kept in this browser until the next visit
 */
export function startVisit(context: Context, autosave: Autosave, opened: Opened, found: Found) {
  const { saving, drafts, server, stores } = context;
  const { tab, mine: draft, others } = found;
  const mine = sessionOf(context, opened, found);
  context.session = mine;
  saving.setState({ state: "saved", reason: "", revision: opened.revision, theirs: null, unkept: null, others });
  show(context, opened, draft);
  if (draft) {
    const stays = () => draft.tab === tab || saving.getState().unkept !== null;
    void mine.keeper.now().then(() => (stays() ? undefined : drafts.remove(draft)));
    if (draft.base.revision !== opened.revision) saving.setState({ state: "conflict", theirs: opened });
    else autosave.soon();
  }
  const stop = follow(context, mine, autosave);

  return (): Promise<unknown> => {
    const last = committed(context);
    const undecided = UNDECIDED.has(saving.getState().state);
    autosave.stop();
    stop();
    const left = leave(context, mine);
    mine.keeper.stop();
    context.session = null;
    stores.document.close();
    if (undecided || left.settled) return Promise.resolve();
    const save = async () => {
      await autosave.running();
      if (last !== mine.stored)
        mine.revision = (await server.saveScene(mine.id, JSON.stringify(last), mine.revision)).revision;
      rememberLeaving(mine.id, { ...left, revision: mine.revision, settled: true }, null);
      await mine.keeper.drop();
    };
    // Where it cannot be saved now, it is in this browser's drafts.
    return save().catch(() => undefined);
  };
}
