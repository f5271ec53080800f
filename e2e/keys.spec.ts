import { expect, test, type Page } from "@playwright/test";
import { openReference, photo } from "./bench";
import { onPlan, plan } from "./plan";
import { openNew, saved } from "./table";
import type { Element } from "@zanvo/core/world";

const times = async (page: Page, key: string, n: number) => {
  for (let i = 0; i < n; i++) await page.keyboard.press(key);
};
const cursor = (page: Page) => page.getByTestId("key-cursor");

test("a corner is raised, and chosen, without a mouse", async ({ page }) => {
  const id = await openNew(page);
  await page.getByRole("button", { name: "Masses" }).press("Enter");
  await expect(page.getByRole("button", { name: "Raise a corner" })).toBeVisible();
  const desk = page.getByRole("application", { name: "Desk" });
  await desk.focus();
  await page.keyboard.press("ArrowDown");
  await expect(cursor(page)).toBeVisible();
  await times(page, "Shift+ArrowDown", 2);
  // The foot on the ground under the horizon, the height, the walls to the left and to the right.
  await page.keyboard.press("Enter");
  await times(page, "Shift+ArrowUp", 4);
  await page.keyboard.press("Enter");
  await times(page, "Shift+ArrowLeft", 3);
  await page.keyboard.press("Enter");
  await times(page, "Shift+ArrowRight", 6);
  await page.keyboard.press("Enter");
  const [block] = (await saved(page, id)).elements;
  expect(block.height).toBeGreaterThan(1);
  expect(Math.min(block.length, block.width)).toBeGreaterThan(0.2);
  // Escape puts the cursor away; what was raised is chosen, and arrow keys nudge it.
  await page.keyboard.press("Escape");
  await expect(cursor(page)).toHaveCount(0);
  await page.getByRole("button", { name: "Choose", exact: true }).press("Enter");
  await expect(page.getByRole("region", { name: "Chosen building" })).toBeVisible();
  await desk.focus();
  await page.keyboard.press("ArrowRight");
  await expect(cursor(page)).toHaveCount(0);
  expect((await saved(page, id)).elements[0].origin).not.toEqual(block.origin);
});

test("a street is drawn on the plan, and a line is traced in a photo, without a mouse", async ({ page }) => {
  const id = await onPlan(page);
  await page.getByRole("button", { name: "Street", exact: true }).press("Enter");
  await plan(page).focus();
  await page.keyboard.press("ArrowLeft");
  await page.keyboard.press("Enter");
  await times(page, "Shift+ArrowRight", 4);
  await page.keyboard.press("Enter");
  await times(page, "Shift+ArrowUp", 2);
  await page.keyboard.press("Enter");
  // Where it has pressed already, Enter ends the street.
  await page.keyboard.press("Enter");
  const { elements } = await saved<Element & { path: readonly unknown[] }>(page, id);
  const street = elements.find(({ kind }) => kind === "street")!;
  expect([street.kind, street.path.length]).toEqual(["street", 3]);

  const { bytes } = await photo();
  const traced = await openReference(page, bytes);
  await page.getByRole("application", { name: "Photo" }).focus();
  await page.keyboard.press("Shift+ArrowUp");
  await page.keyboard.press("Enter");
  await times(page, "Shift+ArrowRight", 3);
  await page.keyboard.press("Enter");
  await expect
    .poll(async () => (await saved(page, traced)).references![0].sets.flatMap(({ edges }) => edges).length)
    .toBe(1);
});
