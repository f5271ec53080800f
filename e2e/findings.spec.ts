import { expect, test } from "@playwright/test";
import { openNew, saved, slip, type } from "./table";

test("findings are live, show their place when hovered, and are fixed by one press", async ({ page }) => {
  const id = await openNew(page, (scene) => {
    scene.shots[0].lens.distance = 200;
  });
  const list = page.getByRole("region", { name: "Findings" });
  const wide = list.getByRole("listitem").filter({ hasText: "49.8° off the gaze" });
  await expect(list.getByRole("listitem").first()).toContainText("49.8° off the gaze");
  await wide.hover();
  const place = page.getByTestId("place");
  await expect(place).toBeVisible();
  await wide.getByRole("button", { name: "Picture distance 236.3 mm, within 45°" }).click();
  await expect(place).toHaveCount(0);
  await expect(slip(page, "Picture distance")).toHaveText("236.3 mm");
  await expect(list.getByText("45° off the gaze")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  expect((await saved(page, id)).shots[0].lens.distance).toBe(200);
});

test("a horizon above the panel asks for a third point", async ({ page }) => {
  await openNew(page);
  await page.getByRole("button", { name: "Eye level" }).click();
  await type(page, "Horizon from the top", "-30");
  const finding = page
    .getByRole("region", { name: "Findings" })
    .getByRole("listitem")
    .filter({ hasText: "uprights are drawn parallel" });
  await finding.getByRole("button", { name: "Let the uprights converge" }).click();
  await expect(finding).toHaveCount(0);
  await expect(slip(page, "Horizon, left edge")).toHaveText("30 mm above the sheet");
  await expect(slip(page, "Uprights")).toHaveText(/below the sheet/);
});
