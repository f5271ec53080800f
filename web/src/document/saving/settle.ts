import type { Scene } from "@zanvo/core/scene";
import type { Autosave } from "./autosave";
import { sceneOf, type Draft } from "./drafts";
import { committed, type Context } from "./state";

/** What a person decides where this window's scene and another one are at odds. */
export function createDecisions(context: Context, { flush, stop }: Autosave) {
  const { saving, server, drafts, stores } = context;
  const { getState: get, setState: set } = saving;
  const withoutOther = (draft: Draft): void => set({ others: get().others.filter((one) => one !== draft) });
  return {
    /** Settles a conflict: this window's scene becomes the newest; the other one stays among the earlier versions. */
    async takeOver(): Promise<void> {
      const { theirs } = get();
      if (!theirs || !context.session) return;
      // The journal keeps its changes: until the server has them, they are all that this window has.
      Object.assign(context.session, { revision: theirs.revision, stored: theirs.scene });
      set({ state: "waiting", theirs: null });
      await flush();
    },

    /** Settles a conflict, or the loss of the scene: this window's scene becomes a scene of its own. @returns its id */
    async keepCopy(): Promise<string> {
      const scene = committed(context);
      const title = `${scene.title} (copy)`.slice(0, 200);
      const copy = await server.createScene(JSON.stringify({ ...scene, title }));
      if (context.session) {
        context.session.stored = scene;
        await context.session.keeper.drop();
      }
      set({ state: "saved", theirs: null });
      return copy.id;
    },

    /** Settles a conflict: the other scene is opened here, as a step that can be taken back. */
    takeTheirs(): void {
      const { theirs } = get();
      const { session } = context;
      if (!theirs || !session) return;
      const { revision, text, scene } = theirs;
      Object.assign(session, { revision, stored: scene });
      session.journal.stored({ revision, text }, session.journal.end());
      set({ revision, state: "saved", theirs: null });
      stores.document.replaceScene(scene);
      session.stored = stores.document.useDocument.getState().scene;
      stop();
      void session.keeper.drop();
      set({ state: "saved" });
    },

    /** Brings a scene back that was deleted elsewhere, and saves this window's state of it. */
    async putBack(): Promise<void> {
      if (!context.session) return;
      await server.restoreScene(context.session.id);
      set({ state: "waiting" });
      await flush();
    },

    /** Makes a scene of its own of another window's unsaved work. @returns its id */
    async copyOther(draft: Draft, title: (scene: Scene) => string): Promise<string> {
      const scene = sceneOf(draft);
      const { id } = await server.createScene(JSON.stringify({ ...scene, title: title(scene).slice(0, 200) }));
      await drafts.remove(draft);
      withoutOther(draft);
      return id;
    },

    /** Throws another window's unsaved work away. */
    async discardOther(draft: Draft): Promise<void> {
      await drafts.remove(draft);
      withoutOther(draft);
    },
  };
}
