import { expect, type Locator, type Page } from "@playwright/test";
import { newScene, type Scene } from "@zanvo/core/scene";
import type { Block, Element } from "@zanvo/core/world";

/** A building to be looked at, 10 m ahead of a new scene's eye. */
export const KIOSK: Block = {
  id: "b",
  kind: "block",
  name: "Kiosk",
  origin: { x: 0, y: 10, z: 0 },
  heading: -55,
  length: 3,
  width: 3,
  height: 3,
};
/** Puts it into a scene; a copy, since what a journey changes of it is no other journey's. */
export const withKiosk = (scene: Scene): void => void scene.elements.push(structuredClone(KIOSK));

/** The slip lies open, and findings are told in full, as a person may have left them; others stay as they are. */
export async function arranged(page: Page): Promise<void> {
  await page.addInitScript(() => {
    if (!localStorage.getItem("zanvo:column"))
      localStorage.setItem("zanvo:column", JSON.stringify({ width: 244, slip: true, findings: true }));
  });
}

/** Puts a scene on the shelf and opens its board. @returns its id */
export async function openNew(page: Page, change: (scene: Scene) => void = () => undefined): Promise<string> {
  const scene = newScene("Test table");
  change(scene);
  const answer = await page.request.post("/api/scenes", { data: scene });
  expect(answer.status()).toBe(201);
  const id = answer.headers()["x-scene-id"];
  await arranged(page);
  await page.goto(`/scenes/${id}`);
  // A busy machine may take its time over the first page.
  await expect(page.getByRole("application", { name: "Desk" })).toBeVisible({ timeout: 40_000 });
  await expect.poll(async () => (await page.getByRole("application").boundingBox())?.width ?? 0).toBeGreaterThan(500);
  return id;
}

type SavedScene<E> = Omit<Scene, "elements"> & { readonly elements: E[] };

/**
 * The scene, of one kind of element, as the server has it, once the board says that it is saved. What was done last has
 * reached the page by its next frame; and what is read is of the revision that the page was told.
 */
export async function saved<E extends Element = Block>(page: Page, id: string): Promise<SavedScene<E>> {
  await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))));
  const status = page.getByRole("status", { name: "Saving" });
  let scene: SavedScene<E> | undefined;
  await expect(async () => {
    await expect(status).toHaveText("Saved");
    const answer = await page.request.get(`/api/scenes/${id}`);
    expect(answer.headers().etag).toBe(`"${await status.getAttribute("data-revision")}"`);
    await expect(status).toHaveText("Saved");
    scene = (await answer.json()) as SavedScene<E>;
  }).toPass({ timeout: 60_000 });
  return scene!;
}

/** Window px of a place on the default A3 sheet, while the whole sheet is shown. */
export async function onSheet(page: Page, x: number, y: number): Promise<[number, number]> {
  const box = (await page.getByRole("application").boundingBox())!;
  const scale = Math.min((box.width - 16) / 420, (box.height - 16) / 297);
  return [box.x + box.width / 2 + scale * (x - 210), box.y + 8 + scale * y];
}

/** Presses at one place of the sheet, moves to another, and lets go unless told otherwise. */
export async function dragOnSheet(
  page: Page,
  from: [number, number],
  to: [number, number],
  release = true,
): Promise<void> {
  await page.mouse.move(...(await onSheet(page, ...from)));
  await page.mouse.down();
  await page.mouse.move(...(await onSheet(page, ...to)), { steps: 6 });
  if (release) await page.mouse.up();
}

/** Drags a handle by window px. */
export async function dragHandle(page: Page, handle: Locator, dx: number, dy: number, release = true): Promise<void> {
  const box = (await handle.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx, y + dy, { steps: 6 });
  if (release) await page.mouse.up();
}

/** Types a measure into a field and takes it over. */
export async function type(page: Page, label: string, text: string, within: Page | Locator = page): Promise<void> {
  const field = within.getByLabel(label, { exact: true });
  await field.fill(text);
  await field.press("Enter");
}

/** The value on the slip behind a label. */
export const slip = (page: Page, label: string): Locator =>
  page
    .getByRole("region", { name: "Slip" })
    .getByRole("button", { name: `Copy ${label}:` })
    .locator("span")
    .nth(1);

/** Presses Stop as soon as it is there, once: a hand is too slow for it on a quick machine. */
export const stopAtOnce = (page: Page): Promise<void> =>
  page.evaluate(() =>
    new MutationObserver((_, observer) => {
      const stop = [...document.querySelectorAll("button")].find(({ textContent }) => textContent === "Stop");
      if (!stop) return;
      observer.disconnect();
      stop.click();
    }).observe(document.body, { childList: true, subtree: true }),
  );
