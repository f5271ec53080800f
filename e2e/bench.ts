import { expect, type Locator, type Page } from "@playwright/test";
import { drawShot, toSvg } from "@zanvo/core/drawing";
import { newScene, type Scene } from "@zanvo/core/scene";
import { project, viewOf } from "@zanvo/core/shot";
import { blockCorner, type Block } from "@zanvo/core/world";
import sharp from "sharp";
import { openNew } from "./table";

/** The camera that the picture is made with: 1,600 x 1,200 px, 4 px for a mm of paper. */
export const TRUTH = { gaze: { heading: -3, pitch: 8, roll: 3 }, distance: 380, centre: { x: 200, y: 150 } };
const BLOCKS: readonly Block[] = [
  {
    id: "hall",
    kind: "block",
    name: "Fish hall",
    origin: { x: -1, y: 14, z: 0 },
    heading: -55,
    length: 12,
    width: 12,
    height: 6,
  },
  {
    id: "loft",
    kind: "block",
    name: "Net loft",
    origin: { x: 8, y: 21, z: 0 },
    heading: -55,
    length: 4,
    width: 9,
    height: 9,
  },
];

function pictured(): Scene {
  const scene = newScene("Picture");
  const [shot] = scene.shots;
  const frame = { x: 0, y: 0, width: 400, height: 300 };
  return {
    ...scene,
    elements: [...BLOCKS],
    shots: [
      {
        ...shot,
        sheet: { width: 400, height: 300 },
        frame,
        gaze: TRUTH.gaze,
        lens: { law: "rectilinear", distance: TRUTH.distance, centre: TRUTH.centre },
        show: { live: 0, frame: 0, horizon: 0, bundles: 0, buildings: 1, hidden: 1 },
      },
    ],
  };
}

/** The picture of two houses through that camera, as a JPEG, and where edges of them are in it, px. */
export async function photo() {
  const scene = pictured();
  const bytes = await sharp(Buffer.from(toSvg(drawShot(scene))))
    .resize(1600, 1200)
    .flatten({ background: "#d8d2c4" })
    .jpeg()
    .toBuffer();
  const view = viewOf(scene.shots[0]);
  const px = (block: Block, u: number, v: number, up: number): [number, number] => {
    const [x, y, z] = blockCorner(block, u, v);
    const [a, b] = project(view, [x, y, z + up * block.height])!;
    return [4 * a, 4 * b];
  };
  const edge = (block: Block, from: readonly [number, number, number], to: readonly [number, number, number]) =>
    [px(block, ...from), px(block, ...to)] as const;
  const of = (from: readonly [number, number, number], to: readonly [number, number, number]) =>
    BLOCKS.map((block) => edge(block, from, to));
  return {
    bytes,
    edges: {
      Left: [...of([0, 0, 0], [1, 0, 0]), ...of([0, 0, 1], [1, 0, 1])],
      Right: [...of([0, 0, 0], [0, 1, 0]), ...of([0, 0, 1], [0, 1, 1])],
      Uprights: [...of([0, 0, 0], [0, 0, 1]), ...of([0, 1, 0], [0, 1, 1]), ...of([1, 0, 0], [1, 0, 1])],
    },
  };
}

export const references = (page: Page) => page.getByRole("button", { name: "References", exact: true }).click();
export const bench = (page: Page): Locator => page.getByRole("application", { name: "Photo" });
export async function bringIn(page: Page, bytes: Buffer, name = "Corner.jpg"): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent("filechooser"),
    page.getByRole("button", { name: "Import a photo" }).click(),
  ]);
  await chooser.setFiles({ name, mimeType: "image/jpeg", buffer: bytes });
}
/** Draws an edge on the photo, px of it. */
export async function trace(page: Page, [from, to]: readonly (readonly [number, number])[]): Promise<void> {
  const box = (await page.getByRole("img", { name: "Corner" }).boundingBox())!;
  const at = ([x, y]: readonly [number, number]) =>
    [box.x + (x * box.width) / 1600, box.y + (y * box.height) / 1200] as const;
  await page.mouse.move(...at(from));
  await page.mouse.down();
  await page.mouse.move(...at(to), { steps: 3 });
  await page.mouse.up();
}
export const set = (page: Page, name: string) => page.getByRole("region", { name: `Set ${name}` });

/** Chooses a set and traces edges into it. */
export async function traceSet(page: Page, name: string, lines: readonly Parameters<typeof trace>[1][]): Promise<void> {
  await set(page, name).getByRole("button").first().click();
  for (const line of lines) await trace(page, line);
}

/** The photo of the two houses on its bench, in a scene of its own. */
export async function onBench(page: Page) {
  const { bytes, edges } = await photo();
  const id = await openNew(page);
  await references(page);
  await bringIn(page, bytes);
  await expect(bench(page)).toBeVisible();
  // What was found by itself is taken back: the edges are to be traced by hand.
  await expect(page.getByText(/^\d+ edges found, all that go together are in the sets/)).toBeVisible({
    timeout: 60_000,
  });
  await page.getByRole("button", { name: "Undo" }).click();
  await page.getByRole("button", { name: "Put the found edges away" }).click();
  await expect(set(page, "Uprights").getByText("0 edges")).toBeVisible();
  return { id, edges };
}

type Given = NonNullable<Scene["references"]>[number];

/**
 * A picture taken in and on its bench, in a scene of its own, with what is said to be traced in it. @returns the
 * scene's id
 */
export async function openReference(
  page: Page,
  bytes: Buffer,
  change: (reference: Given) => void = () => undefined,
): Promise<string> {
  const scene = newScene("Test table");
  const id = (await page.request.post("/api/scenes", { data: scene })).headers()["x-scene-id"];
  const taken = await page.request.post(`/api/scenes/${id}/references`, {
    data: bytes,
    headers: { "Content-Type": "application/octet-stream" },
  });
  const { picture, width, height } = (await taken.json()) as Given;
  const roles = { left: "Left", right: "Right", upright: "Uprights" } as const;
  const reference: Given = {
    id: "r",
    name: "Corner",
    picture,
    width,
    height,
    sets: Object.entries(roles).map(([role, name]) => ({ id: role, name, role: role as "left", edges: [] })),
  };
  change(reference);
  await page.request.put(`/api/scenes/${id}`, {
    data: { ...scene, references: [reference] },
    headers: { "If-Match": "*" },
  });
  await page.goto(`/scenes/${id}/references/r`);
  await expect(bench(page)).toBeVisible({ timeout: 40_000 });
  await expect(page.getByRole("img", { name: "Corner", exact: true })).toHaveJSProperty("complete", true);
  return id;
}

/** Fills the sets of a reference with edges, px. */
export function fill(reference: Given, edges: Awaited<ReturnType<typeof photo>>["edges"]): void {
  for (const one of reference.sets)
    for (const [[x1, y1], [x2, y2]] of edges[one.name as keyof typeof edges]) one.edges.push({ x1, y1, x2, y2 });
}
