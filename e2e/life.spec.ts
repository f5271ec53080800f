import { expect, test } from "@playwright/test";
import { openNew, saved, slip, type } from "./table";

test(
  "a street corner is noted from life: points, view and building follow, and notes that contradict each other " +
    "are found",
  async ({ page }) => {
    const id = await openNew(page);
    await page.getByText("From life", { exact: true }).click();
    await page.getByRole("button", { name: "Note what I see" }).click();
    const left = page.getByRole("region", { name: "Sightings, left" });
    await type(page, "Its top, from the top", "58.5");
    await type(page, "Its foot, from the top", "188.5");
    await type(page, "Upper, tilt", "20", left);
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
