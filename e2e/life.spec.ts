import { expect, test, type Locator, type Page } from "@playwright/test";
import { openNew, saved, slip, type } from "./table";

/** Notes a corner 130 mm high, 90 of them over the eye's level, with 20 degrees to the left. @returns its left side */
async function noted(page: Page): Promise<Locator> {
  await page.getByText("From life", { exact: true }).click();
  await page.getByRole("button", { name: "Note what I see" }).click();
  const left = page.getByRole("region", { name: "Sightings, left" });
  await type(page, "Its top, from the top", "58.5");
  await type(page, "Its foot, from the top", "188.5");
  await type(page, "Upper, tilt", "20", left);
  return left;
}

test(
  "a street corner is noted from life: points, view and building follow, and notes that contradict each other " +
    "are found",
  async ({ page }) => {
    const id = await openNew(page);
    const left = await noted(page);
    await page.getByRole("button", { name: "Take this view" }).click();
    // 90 mm over the level at 20 degrees: 90 / tan 20 = 247.3 mm left of the corner at 210; at 25 degrees 193 mm right
    // of it.
    await expect(slip(page, "Main streets, left")).toHaveText("37.3 mm left of the sheet, 148.5 mm from the top");
    await expect(slip(page, "Main streets, right")).toHaveText("17 mm in from the right, 148.5 mm from the top");

    await left.getByRole("button", { name: "Sight the lower edge, too" }).click();
    await type(page, "Lower, tilt", "12", left);
    const findings = page.getByRole("region", { name: "Findings" });
    await expect(findings.getByText(/The lower edge is 2\.8° off what the upper one asks for/)).toBeVisible();
    await findings.getByRole("button", { name: "Trust the upper edge" }).click();
    await expect(findings.getByText(/The lower edge is/)).toHaveCount(0);

    await page.getByRole("button", { name: "Take it, and raise the building" }).click();
    const {
      elements: [block],
      shots: [shot],
    } = await saved(page, id);
    // The corner is 130 mm high, 40 of them under the eye's 1.6 m: 1.6 * 130 / 40 = 5.2 m.
    expect(block.height).toBeCloseTo(5.2, 6);
    expect(shot.sightings?.left).toEqual({ upper: 20 });
    await page.getByRole("button", { name: "Undo" }).click();
    expect((await saved(page, id)).elements).toEqual([]);
    await type(page, "Upper, tilt", "0", page.getByRole("region", { name: "Sightings, right" }));
    await page.getByRole("button", { name: "Take this view" }).click();
    await expect(page.getByText(/^The right side: an edge that runs level/).first()).toBeVisible();
  },
);

test("what is noted from life is drawn on the sheet and changed there, and contradicts itself at once", async ({
  page,
}) => {
  const id = await openNew(page);
  await noted(page);
  // The hand of the upper left edge ends 55 mm along it; it is turned to point 45 degrees down.
  const hand = page.getByRole("button", { name: /^tilt of the upper left edge, 20°/ });
  const box = (await hand.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const near = (await page.getByRole("button", { name: /^near corner’s top/ }).boundingBox())!;
  const [cx, cy] = [near.x + near.width / 2, near.y + near.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + (cx - 60 - x), y + (cy + 60 - y), { steps: 5 });
  await expect(page.getByText(/^4[45](\.\d)?°$/).first()).toBeVisible();
  await page.mouse.up();
  expect((await saved(page, id)).shots[0].sightings!.left.upper).toBeCloseTo(45, 0);
  await page.getByRole("button", { name: "Undo" }).click();
  expect((await saved(page, id)).shots[0].sightings!.left.upper).toBe(20);
  // A mark of the pencil is moved by its keys: the part to the left is half a millimetre wider.
  const before = (await saved(page, id)).shots[0].sightings!.parts!;
  await page.getByRole("button", { name: /^pencil’s left mark/ }).focus();
  await page.keyboard.press("ArrowLeft");
  const after = (await saved(page, id)).shots[0].sightings!.parts!;
  expect(after.leftToRight).toBeGreaterThan(before.leftToRight);
  expect(130 / after.heightToWidth - 130 / before.heightToWidth).toBeCloseTo(0.5, 6);
  await type(page, "Height ÷ width", "0.2");
  const findings = page.getByRole("region", { name: "Findings" });
  await expect(findings.getByText(/wall is compared as .* it would reach its own point/).first()).toBeVisible();
});
