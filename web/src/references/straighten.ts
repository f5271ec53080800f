import { wrap } from "comlink";
import { straightened, straightening, viewOfReference } from "@zanvo/core/recover";
import type { Reference } from "@zanvo/core/scene";
import { fetchReference, takeIn } from "../api";
import { edit } from "../board/board";
import { say } from "../ui";
import type { StraightenWorker } from "./straighten.worker";

/**
 * Makes a reference of a picture with its uprights upright and its horizon level, and all that was traced in it.
 * @returns its id, or null where it could not be made
 */
export async function straightenReference(sceneId: string, reference: Reference, signal: AbortSignal): Promise<string | null> {
  const worker = new Worker(new URL("./straighten.worker.ts", import.meta.url), { type: "module" });
  const stopped = new Promise<never>((_, reject) => signal.addEventListener("abort", () => reject(signal.reason as Error)));
  try {
    const plan = straightening(reference, viewOfReference(reference));
    const picture = await fetchReference(sceneId, reference.picture, signal);
    const straight = await Promise.race([wrap<StraightenWorker>(worker).straighten(picture, plan), stopped]);
    const taken = await takeIn(sceneId, straight, signal);
    const id = crypto.randomUUID();
    const next = straightened(reference, plan, { id, name: `${reference.name}, straight`.slice(0, 200), picture: taken.picture });
    edit((scene) => {
      scene.references = [...(scene.references ?? []), next as never];
    });
    return id;
  } catch (error) {
    say(signal.aborted ? "Straightening was stopped." : (error as Error).message);
    return null;
  } finally {
    worker.terminate();
  }
}
