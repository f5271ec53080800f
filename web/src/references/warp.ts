import type { Remote } from "comlink";
import {
  elevation,
  recoverBow,
  straightened,
  straightening,
  undistorted,
  undistorting,
  viewOfReference,
  type MeasuredWall,
  type Warp,
} from "@zanvo/core/recover";
import type { Reference } from "@zanvo/core/scene";
import { newId } from "../id";
import { fetchReference, takeIn } from "../api";
import { steady } from "../worker";
import type { WarpWorker } from "./warp.worker";
import type { Stores } from "../stores";

/** Works on a reference's picture in a worker of its own, which a signal ends. */
async function worked<T>(
  sceneId: string,
  { picture }: Reference,
  signal: AbortSignal,
  work: (worker: Remote<WarpWorker>, picture: Blob) => Promise<T>,
): Promise<T> {
  const worker = steady<WarpWorker>(() => new Worker(new URL("./warp.worker.ts", import.meta.url), { type: "module" }));
  try {
    const blob = await fetchReference(sceneId, picture, signal);
    return await worker.call((remote) => work(remote, blob), signal);
  } finally {
    worker.end();
  }
}

/** Lays a picture made of a reference's own among the references. @returns its id */
async function lay(
  stores: Stores,
  sceneId: string,
  reference: Reference,
  word: string,
  plan: Warp,
  carry: (called: Pick<Reference, "id" | "name" | "picture">) => Reference,
  signal: AbortSignal,
): Promise<string> {
  const made = await worked(sceneId, reference, signal, (worker, picture) => worker.warp(picture, plan));
  const { picture } = await takeIn(sceneId, made, signal);
  const id = newId();
  const next = carry({ id, name: `${reference.name}, ${word}`.slice(0, 200), picture });
  stores.edit((scene) => {
    scene.references = [...(scene.references ?? []), next];
  });
  return id;
}

/** Makes a reference of a picture with its uprights upright and its horizon level, and all that was traced in it. */
export function straightenReference(
  stores: Stores,
  sceneId: string,
  reference: Reference,
  signal: AbortSignal,
): Promise<string> {
  const plan = straightening(reference, viewOfReference(reference));
  return lay(stores, sceneId, reference, "straight", plan, (called) => straightened(reference, plan, called), signal);
}

/** Makes a reference of a picture as a lens that does not bow would have taken it. @returns its id */
export function undistortReference(
  stores: Stores,
  sceneId: string,
  reference: Reference,
  signal: AbortSignal,
): Promise<string> {
  const plan = undistorting(reference, recoverBow(reference));
  return lay(stores, sceneId, reference, "undistorted", plan, (called) => undistorted(reference, plan, called), signal);
}

/** A wall seen flat, as a PNG with a scale bar where its size is known. */
export function flatWall(
  sceneId: string,
  reference: Reference,
  wall: MeasuredWall,
  signal: AbortSignal,
): Promise<Blob> {
  const plan = elevation(wall);
  return worked(sceneId, reference, signal, (worker, picture) =>
    worker.elevation(picture, plan, wall.length === null ? null : plan.width / wall.length),
  );
}
