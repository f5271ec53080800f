import { expect, type Page } from "@playwright/test";
import type { Scene } from "@zanvo/core/scene";
import type { Block, Building } from "@zanvo/core/world";
import { openNew } from "./table";

/** A block to begin with: 8 m deep to the north, 6 m wide to the east. */
export const loft: Block = {
  id: "loft",
  kind: "block",
  name: "Net loft",
  origin: { x: 10, y: 20, z: 0 },
  heading: 0,
  length: 8,
  width: 6,
  height: 9,
};
export const plan = (page: Page) => page.getByRole("application", { name: "Plan" });

/** A scene on its plan, the main streets running north. */
export async function onPlan(page: Page, change: (scene: Scene) => void = () => undefined): Promise<string> {
  const id = await openNew(page, (scene) => {
    scene.orientations[0].heading = 0;
    // A copy: what a journey changes of it is no other journey's.
    scene.elements.push(structuredClone(loft));
    change(scene);
  });
  await page.getByRole("link", { name: "Plan", exact: true }).click();
  await expect(plan(page)).toBeVisible();
  await expect(page.getByTestId("eye")).toBeVisible();
  // From twice as far, there is room beside what stands. The browser turns the wheel when it comes to it.
  const box = (await plan(page).boundingBox())!;
  const outline = page.getByTestId("Net loft");
  const near = (await outline.getAttribute("d"))!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.wheel(0, 380);
  await expect(outline).not.toHaveAttribute("d", near);
  return id;
}

/** Window px of a place of the world, m, by where the loft's corners are drawn. */
export async function placer(page: Page) {
  const box = (await plan(page).boundingBox())!;
  const drawn = (await page.getByTestId("Net loft").getAttribute("d"))!.match(/-?[\d.]+/g)!.map(Number);
  const [xs, ys] = [0, 1].map((k) => drawn.filter((_, i) => i % 2 === k));
  // 6 m wide from 10 m east, 8 m deep from 20 m north.
  const scale = (Math.max(...xs) - Math.min(...xs)) / 6;
  return (x: number, y: number) =>
    [box.x + Math.min(...xs) + scale * (x - 10), box.y + Math.max(...ys) - scale * (y - 20)] as const;
}
/** Presses at one place of the window, and lets go at another. */
export async function drag(page: Page, from: readonly [number, number], to: readonly [number, number]): Promise<void> {
  await page.mouse.move(...from);
  await page.mouse.down();
  await page.mouse.move((from[0] + to[0]) / 2, (from[1] + to[1]) / 2, { steps: 3 });
  await page.mouse.move(...to, { steps: 3 });
  await page.mouse.up();
}
/** Corners of a footprint to the decimetre. */
export const corners = ({ footprint }: Building) =>
  footprint.map(({ x, y }) => [Number(x.toFixed(1)), Number(y.toFixed(1))]);
