import type { Card, DeletedCard, FormatInfo, Picture, PrintStatus, RemovedPicture, Version } from "@zanvo/core/answers";
import type { Tiling } from "@zanvo/core/print";
import type { ValidationError } from "@zanvo/core/problem";
import type { Scene } from "@zanvo/core/scene";
import type { System } from "@zanvo/core/units";

/** A scene with the revision it was read at. */
export interface Opened {
  readonly id: string;
  readonly revision: number;
  readonly savedAt: string;
  readonly scene: Scene;
  /** The document as it was sent. */
  readonly text: string;
}

/** An answer that refuses, in the server's own sentence. */
export class Refusal extends Error {
  override readonly name = "Refusal";
  constructor(
    readonly status: number,
    message: string,
    readonly errors: readonly ValidationError[] = [],
    readonly current?: Card & { readonly document: Scene },
  ) {
    super(message);
  }
}

/** The server cannot be reached at all. */
export class OutOfReach extends Error {
  override readonly name = "OutOfReach";
}

async function send(path: string, init: RequestInit = {}): Promise<Response> {
  let answer: Response;
  try {
    answer = await fetch(path, init);
  } catch (error) {
    if ((error as Error).name === "AbortError") throw error;
    throw new OutOfReach("Zanvo's server does not answer. Is it still running?");
  }
  if (answer.ok) return answer;
  const problem = (await answer.json().catch(() => ({}))) as {
    detail?: string;
    errors?: ValidationError[];
    current?: Card & { document: Scene };
  };
  throw new Refusal(
    answer.status,
    problem.detail ?? `The server refused (${answer.status}).`,
    problem.errors,
    problem.current,
  );
}

async function opened(id: string, answer: Response): Promise<Opened> {
  const text = await answer.text();
  return {
    id,
    revision: Number(answer.headers.get("ETag")?.replaceAll('"', "")),
    savedAt: answer.headers.get("X-Saved-At") ?? "",
    scene: JSON.parse(text) as Scene,
    text,
  };
}

const json = (body: string, revision?: number): RequestInit => ({
  headers: { "Content-Type": "application/json", ...(revision === undefined ? {} : { "If-Match": `"${revision}"` }) },
  body,
});

export const listDeleted = async (): Promise<DeletedCard[]> =>
  (await send("/api/scenes?deleted")).json() as Promise<DeletedCard[]>;
/** The kits on their shelf. */
export const listKits = async (): Promise<Card[]> => (await send("/api/scenes?kits")).json() as Promise<Card[]>;
export const listScenes = async (): Promise<Card[]> => (await send("/api/scenes")).json() as Promise<Card[]>;
export const openScene = async (id: string): Promise<Opened> => opened(id, await send(`/api/scenes/${id}`));

/** Puts a document on the shelf; `text` may be anything a person picked: the server says what is wrong with it. */
export const createScene = async (text: string): Promise<Card> =>
  (await send("/api/scenes", { method: "POST", ...json(text) })).json() as Promise<Card>;

/**
 * Whether the server would take a scene, without keeping it. @throws Refusal with the first error where it would not
 */
export async function checkScene(scene: Scene): Promise<void> {
  await send("/api/check", { method: "POST", ...json(JSON.stringify(scene)) });
}

/** Saves a scene's text in the place of a revision. */
export const saveScene = async (id: string, text: string, revision: number): Promise<Card> =>
  (await send(`/api/scenes/${id}`, { method: "PUT", ...json(text, revision) })).json() as Promise<Card>;

export async function deleteScene(id: string, revision: number | "*"): Promise<void> {
  await send(`/api/scenes/${id}`, {
    method: "DELETE",
    headers: { "If-Match": revision === "*" ? "*" : `"${revision}"` },
  });
}

export async function restoreScene(id: string): Promise<void> {
  await send(`/api/scenes/${id}/restore`, { method: "POST" });
}

export const listVersions = async (id: string): Promise<Version[]> =>
  (await send(`/api/scenes/${id}/versions`)).json() as Promise<Version[]>;
export const openVersion = async (id: string, revision: number): Promise<Scene> =>
  (await send(`/api/scenes/${id}/versions/${revision}`)).json() as Promise<Scene>;

/** Makes an earlier version the newest, on the server: for a scene that cannot be opened. */
export const restoreVersion = async (id: string, version: number, revision: number | "*"): Promise<Card> =>
  (
    await send(`/api/scenes/${id}/versions/${version}/restore`, {
      method: "POST",
      headers: { "If-Match": revision === "*" ? "*" : `"${revision}"` },
    })
  ).json() as Promise<Card>;

/** The address of a scene's document byte for byte, as it is stored. */
export const rawPath = (id: string): string => `/api/scenes/${id}/raw`;

export const listRemovedPictures = async (): Promise<RemovedPicture[]> =>
  (await send("/api/pictures/removed")).json() as Promise<RemovedPicture[]>;

/** The address of a scene's small picture, as of its revision. */
export const picturePath = ({ id, revision }: Card): string => `/api/scenes/${id}/picture?revision=${revision}`;

/** What can be saved. */
export const listFormats = async (): Promise<FormatInfo[]> =>
  (await send("/api/formats")).json() as Promise<FormatInfo[]>;

/** The address of a shot's export. */
export const exportPath = (id: string, shot: string, format: string, query: Record<string, string> = {}): string =>
  `/api/scenes/${id}/exports/${encodeURIComponent(shot)}.${format}?${new URLSearchParams(query).toString()}`;

/** An export, and the references whose photo it should have and lacks. */
export interface FetchedExport {
  readonly file: Blob;
  readonly missing: string;
}
export async function fetchExport(path: string, signal: AbortSignal): Promise<FetchedExport> {
  const answer = await send(path, { signal });
  return { file: await answer.blob(), missing: decodeURIComponent(answer.headers.get("X-Missing-Photos") ?? "") };
}

/**
 * The address of the set-up sheet of a shot, or of its whole page, as PDF, with an edge tick every so many mm, in the
 * units one reads.
 */
export const slipPath = (id: string, shot: string, every: number, units: System, page: boolean): string =>
  `/api/scenes/${id}/slips/${encodeURIComponent(shot)}.pdf?every=${every}&units=${units}${page ? "&page=1" : ""}`;

/** What is shown step by step: a construction, the shot it is drawn in, and the thing that it is of. */
export interface RecipeOrder {
  readonly recipe: string;
  readonly shot: string;
  readonly of?: string;
}

/** A construction as small pictures, as PDF: by itself, or after the set-up sheet of its shot. */
export async function fetchRecipe(
  id: string,
  { recipe, shot, of }: RecipeOrder,
  units: System,
  withSlip: boolean,
  signal: AbortSignal,
): Promise<Blob> {
  const query = new URLSearchParams({
    units,
    ...(of === undefined ? {} : { of }),
    ...(withSlip ? { recipe } : { shot }),
  });
  const path = withSlip ? `slips/${encodeURIComponent(shot)}` : `recipes/${recipe}`;
  return (await send(`/api/scenes/${id}/${path}.pdf?${query.toString()}`, { signal })).blob();
}

export const takeIn = async (id: string, file: Blob, signal?: AbortSignal): Promise<Picture> =>
  (
    await send(`/api/scenes/${id}/references`, {
      method: "POST",
      headers: { "Content-Type": "application/octet-stream" },
      body: file,
      signal,
    })
  ).json() as Promise<Picture>;

/** The address of a reference's picture, whole or as a small preview. */
export const referencePath = (id: string, picture: string, preview = false): string =>
  `/api/scenes/${id}/references/${picture}${preview ? "?preview" : ""}`;

export const fetchReference = async (id: string, picture: string, signal: AbortSignal): Promise<Blob> =>
  (await send(referencePath(id, picture), { signal })).blob();

/** What may be ordered: a desk at true size, or blank grids with PNGs of so many dots per inch. */
export type PrintOrder = { readonly tiling: Tiling } | { readonly grids: { readonly dpi: number } };

/** Orders a print of a shot. @returns its id */
export async function orderPrint(id: string, shot: string, order: PrintOrder, signal: AbortSignal): Promise<string> {
  const answer = await send(`/api/scenes/${id}/prints`, {
    method: "POST",
    signal,
    ...json(JSON.stringify({ shot, ...order })),
  });
  return ((await answer.json()) as PrintStatus).id;
}
export const printStatus = async (id: string, print: string, signal: AbortSignal): Promise<PrintStatus> =>
  (await send(`/api/scenes/${id}/prints/${print}`, { signal })).json() as Promise<PrintStatus>;
export const fetchPrint = async (id: string, { id: print, kind }: PrintStatus, signal: AbortSignal): Promise<Blob> =>
  (await send(`/api/scenes/${id}/prints/${print}/file.${kind}`, { signal })).blob();
export async function stopPrint(id: string, print: string): Promise<void> {
  await send(`/api/scenes/${id}/prints/${print}`, { method: "DELETE" });
}
