import "fake-indexeddb/auto";
import { createStore } from "idb-keyval";
import { newScene, type Scene } from "@zanvo/core/scene";
import { OutOfReach, Refusal, type Opened } from "../../api";
import { createDocument } from "../history";
import { createSelection } from "../selection";
import { createView } from "../view";
import { openDrafts, sceneOf, type Drafts } from "./drafts";
import { createSaving } from "./saving";

/** A window as far as saving needs one: its own storage, and the events with which a page comes and goes. */
function fakeWindow(): { readonly fire: (name: string) => Event } {
  const target = new EventTarget();
  const kept = new Map<string, string>();
  Object.assign(globalThis, {
    sessionStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
      removeItem: (key: string) => void kept.delete(key),
    },
    addEventListener: target.addEventListener.bind(target),
    removeEventListener: target.removeEventListener.bind(target),
  });
  return {
    fire: (name) => {
      const event = new Event(name, { cancelable: true });
      target.dispatchEvent(event);
      return event;
    },
  };
}

/** A server that keeps one scene, and can fail in any way. */
function fakeServer() {
  const server = {
    text: JSON.stringify(newScene("Lock")),
    revision: 1,
    saves: 0,
    copies: [] as string[],
    fail: null as Error | null,
    saveScene: async (_id: string, text: string, revision: number) => {
      await Promise.resolve();
      if (server.fail) throw server.fail;
      if (revision !== server.revision)
        throw new Refusal(412, "stale", [], { ...card(), document: JSON.parse(server.text) as Scene });
      [server.text, server.revision] = [text, revision + 1];
      server.saves += 1;
      return { revision: server.revision };
    },
    createScene: (text: string) => Promise.resolve({ id: `copy ${server.copies.push(text)}` }),
    restoreScene: () => {
      server.fail = null;
      return Promise.resolve();
    },
  };
  const card = () => ({
    id: "s",
    revision: server.revision,
    title: "",
    place: null,
    template: false,
    kit: null,
    shots: 1,
    elements: 0,
    createdAt: "",
    savedAt: "",
  });
  const opened = (): Opened => ({
    id: "s",
    revision: server.revision,
    savedAt: "",
    scene: JSON.parse(server.text) as Scene,
    text: server.text,
  });
  const title = () => (JSON.parse(server.text) as Scene).title;
  return { server, opened, title };
}

let number = 0;
const openStore = () => {
  const store = createStore(`drafts-${number++}`, "drafts");
  return openDrafts(() => store);
};
const tabOf = (tab: string, open: readonly string[] = []) => ({
  thisTab: () => Promise.resolve(tab),
  openTabs: () => Promise.resolve(new Set(open)),
});
/** The stores of one window, which all visits of a test share as a page's visits do. */
const document = createDocument();
const stores = { document, selection: createSelection(document), view: createView(document) };
const { useDocument, beginGesture, drag, edit, endGesture, redo, undo } = document;
const rename = (title: string) =>
  edit((scene) => {
    scene.title = title;
  });
const shown = () => useDocument.getState().scene.title;
const until = async (done: () => boolean | Promise<boolean>) => {
  for (let i = 0; i < 400; i++) {
    if (await done()) return;
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
  throw new Error("It did not come about.");
};

describe("saving by itself", () => {
  let page: ReturnType<typeof fakeWindow>;
  let world: ReturnType<typeof fakeServer>;
  let drafts: Drafts;
  let stop: () => void = () => undefined;
  beforeEach(() => {
    page = fakeWindow();
    world = fakeServer();
    drafts = openStore();
  });
  afterEach(async () => {
    world.server.fail = null;
    stop();
    stop = () => undefined;
    await Promise.resolve();
  });
  const visit = async (tab = "one", open: readonly string[] = []) => {
    const saving = createSaving(stores, world.server, drafts, tabOf(tab, open));
    const opened = world.opened();
    const found = await saving.find(opened);
    stop = saving.start(opened, found);
    return { saving, found, state: () => saving.useSaving.getState() };
  };
  /** The browser is killed: nothing of the page runs any more. */
  const kill = (saving: Awaited<ReturnType<typeof visit>>["saving"]) => {
    world.server.fail = new OutOfReach("dead");
    saving.useSaving.setState({ state: "gone" });
    stop();
    stop = () => undefined;
    fakeWindow();
    world.server.fail = null;
  };

  it("saves a change, says so, and leaves no draft", async () => {
    const { state } = await visit();
    rename("Canal lock");
    expect(state().state).toBe("waiting");
    await until(() => state().state === "saved");
    expect([world.title(), state().revision]).toEqual(["Canal lock", 2]);
    await until(async () => (await drafts.of("s")).length === 0);
  });

  it("keeps a change in the browser within a second, for as long as the server has it not", async () => {
    const { state } = await visit();
    world.server.fail = new OutOfReach("away");
    const begun = Date.now();
    rename("Kept");
    await until(async () => (await drafts.of("s")).length === 1);
    expect(Date.now() - begun).toBeLessThan(1000);
    expect(sceneOf((await drafts.of("s"))[0]).title).toBe("Kept");
    await until(() => state().state === "out-of-reach");
    world.server.fail = null;
    page.fire("online");
    await until(() => state().state === "saved");
    await until(async () => (await drafts.of("s")).length === 0);
    expect(world.title()).toBe("Kept");
  });

  it(
    "has the work again after the browser was killed, in whatever tab, with undo and a drag that " + "was going on",
    async () => {
      const { saving } = await visit("one");
      world.server.fail = new OutOfReach("away");
      rename("First");
      rename("Second");
      undo();
      redo();
      edit((scene) => {
        scene.place = "Kestrel Quay";
      });
      beginGesture();
      drag((scene) => {
        scene.shots[0].eye.z = 7;
      });
      await until(async () => {
        const [draft] = await drafts.of("s");
        return draft !== undefined && sceneOf(draft).shots[0].eye.z === 7;
      });
      endGesture();
      kill(saving);
      const again = await visit("two");
      expect(again.found.mine?.tab).toBe("one");
      expect([shown(), useDocument.getState().scene.place, useDocument.getState().scene.shots[0].eye.z]).toEqual([
        "Second",
        "Kestrel Quay",
        7,
      ]);
      await until(() => again.state().state === "saved");
      expect(world.title()).toBe("Second");
      await until(async () => (await drafts.of("s")).length === 0);
    },
  );

  it("has even the last change before a reload, which was not written yet, and can take it back", async () => {
    const first = await visit();
    world.server.fail = new OutOfReach("away");
    rename("First");
    await until(async () => (await drafts.of("s")).length === 1);
    rename("Last");
    expect(page.fire("beforeunload").defaultPrevented).toBe(true);
    page.fire("pagehide");
    first.saving.useSaving.setState({ state: "gone" });
    stop();
    world.server.fail = null;
    const again = await visit();
    expect(shown()).toBe("Last");
    undo();
    expect(shown()).toBe("First");
    undo();
    expect(shown()).toBe("Lock");
    redo();
    await until(() => again.state().state === "saved");
    expect(page.fire("beforeunload").defaultPrevented).toBe(false);
    expect(world.title()).toBe("First");
  });

  it("has a drag as it ended, where only its middle was written before the page went away", async () => {
    const first = await visit();
    world.server.fail = new OutOfReach("away");
    beginGesture();
    drag((scene) => {
      scene.shots[0].eye.z = 3;
    });
    await until(async () => (await drafts.of("s")).length === 1);
    drag((scene) => {
      scene.shots[0].eye.z = 8;
    });
    endGesture();
    page.fire("pagehide");
    first.saving.useSaving.setState({ state: "gone" });
    // The page is gone before anything more is written.
    const [written] = await drafts.of("s");
    stop();
    await new Promise((resolve) => setTimeout(resolve, 50));
    await drafts.put(written, true);
    await visit();
    expect(useDocument.getState().scene.shots[0].eye.z).toBe(8);
    undo();
    expect(useDocument.getState().scene.shots[0].eye.z).toBe(1.6);
  });

  it("keeps the work of two tabs on one scene, and offers what is not gone on from", async () => {
    world.server.fail = new OutOfReach("away");
    const a = await visit("a");
    rename("From A");
    await until(async () => (await drafts.of("s")).length === 1);
    kill(a.saving);
    // A draft of a tab that is still open is its own affair.
    world.server.fail = new OutOfReach("away");
    const b = await visit("b", ["a"]);
    expect(b.found).toMatchObject({ mine: null, others: [] });
    rename("From B");
    await until(async () => (await drafts.of("s")).length === 2);
    kill(b.saving);
    const c = await visit("c");
    expect([shown(), c.state().others.map((draft) => sceneOf(draft).title)]).toEqual(["From B", ["From A"]]);
    await until(() => c.state().state === "saved");
    expect(await drafts.of("s")).toHaveLength(1);
    await c.saving.copyOther(c.state().others[0], ({ title }) => `${title} (unsaved)`);
    expect((JSON.parse(world.server.copies[0]) as Scene).title).toBe("From A (unsaved)");
    expect([c.state().others, await drafts.of("s")]).toEqual([[], []]);
  });

  it("makes a question of work that began from an older revision", async () => {
    const a = await visit("a");
    world.server.fail = new OutOfReach("away");
    rename("Mine");
    await until(async () => (await drafts.of("s")).length === 1);
    kill(a.saving);
    await world.server.saveScene("s", JSON.stringify(newScene("Theirs")), 1);
    const b = await visit("b");
    expect([b.state().state, shown(), b.state().theirs?.scene.title]).toEqual(["conflict", "Mine", "Theirs"]);
    await b.saving.takeOver();
    expect([world.title(), world.server.revision, b.state().state]).toEqual(["Mine", 3, "saved"]);
  });

  it("saves edits without a pause every few seconds", async () => {
    const { state } = await visit();
    const begun = Date.now();
    for (let i = 0; world.server.saves < 2 && i < 300; i++) {
      rename(`Step ${i}`);
      await new Promise((resolve) => setTimeout(resolve, 40));
    }
    expect(world.server.saves).toBe(2);
    expect(Date.now() - begun).toBeLessThan(10_000);
    await until(() => state().state === "saved");
  }, 20_000);

  it.each([
    [new Refusal(507, "The disk is full."), "full"],
    [new Refusal(503, "Busy."), "busy"],
    [new OutOfReach("Away."), "out-of-reach"],
  ])("goes on trying after %s", async (error, name) => {
    const { saving, state } = await visit();
    world.server.fail = error;
    rename("Later");
    await saving.flush();
    expect(state().state).toBe(name);
    await expect(saving.savedFirst()).rejects.toThrow("could not be saved first");
    world.server.fail = null;
    page.fire("online");
    await until(() => state().state === "saved");
    expect(world.title()).toBe("Later");
  });

  it("offers a copy of a scene that was deleted elsewhere, or puts it back", async () => {
    const { saving, state } = await visit();
    world.server.fail = new Refusal(404, "There is no such scene.");
    rename("Orphan");
    await saving.flush();
    expect(state().state).toBe("gone");
    expect(await saving.keepCopy()).toBe("copy 1");
    expect((JSON.parse(world.server.copies[0]) as Scene).title).toBe("Orphan (copy)");
    world.server.fail = new Refusal(404, "There is no such scene.");
    rename("Orphan again");
    await saving.flush();
    await saving.putBack();
    expect([state().state, world.title()]).toEqual(["saved", "Orphan again"]);
  });

  it("tells when the browser's own store is full, and keeps on saving", async () => {
    const full = Object.assign(new Error("full"), { name: "QuotaExceededError" });
    let refuse = true;
    const real = drafts;
    drafts = { ...real, put: (...draft) => (refuse ? Promise.reject(full) : real.put(...draft)) };
    const { saving, state } = await visit();
    world.server.fail = new OutOfReach("away");
    rename("No room");
    await until(() => state().unkept !== null);
    expect(state().unkept).toBe("this browser’s store is full");
    refuse = false;
    rename("Some room");
    await until(() => state().unkept === null);
    world.server.fail = null;
    await saving.flush();
    expect(world.title()).toBe("Some room");
  });

  it("keeps documents of 40 MB, the whole of them once and then only what changes", async () => {
    world.server.text = JSON.stringify({ ...newScene("Heavy"), "x-pad": "p".repeat(40_000_000) });
    const puts: boolean[] = [];
    const real = drafts;
    drafts = {
      ...real,
      put: (draft, baseToo) => {
        puts.push(baseToo);
        return real.put(draft, baseToo);
      },
    };
    const { saving } = await visit();
    world.server.fail = new OutOfReach("away");
    for (let i = 0; i < 3; i++) {
      rename(`Heavy ${i}`);
      await until(async () => {
        const [draft] = await drafts.of("s");
        return draft?.patches.length === i + 1;
      });
    }
    expect(puts).toEqual([true, false, false]);
    kill(saving);
    await visit("two");
    expect(shown()).toBe("Heavy 2");
  }, 60_000);

  it("makes a day's work short, and loses none of it", async () => {
    const { saving } = await visit();
    world.server.fail = new OutOfReach("away");
    for (let i = 0; i < 2500; i++) rename(`Hour ${i}`);
    await until(async () => (await drafts.of("s"))[0]?.patches.length === 0);
    rename("Evening");
    await until(async () => (await drafts.of("s"))[0]?.patches.length === 1);
    kill(saving);
    const next = await visit("two");
    expect(shown()).toBe("Evening");
    await until(() => next.state().state === "saved");
  });
});
