import AxeBuilder from "@axe-core/playwright";
import { expect, test, type Page } from "@playwright/test";
import type { Scene } from "@zanvo/core/scene";
import { openReference, photo } from "./bench";
import { plan } from "./plan";
import { openNew, withKiosk } from "./table";

/** What breaks WCAG AA on the page as it stands, or in a part of it. */
async function axeViolations(page: Page, part = "html"): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page })
    .include(part)
    .withTags(["wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"])
    .analyze();
  return violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html).join(" | ")}`);
}
test("shelf and board, stage by stage, meet WCAG AA", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByRole("button", { name: "Start a new scene" })).toBeVisible();
  expect(await axeViolations(page)).toEqual([]);
  await openNew(page, withKiosk);
  for (const stage of ["Sheet", "Eye level", "Points", "Grid", "Masses", "Hand-over", "References"]) {
    await page.getByRole("button", { name: stage, exact: true }).click();
    await expect(page.getByText("Getting the tools…")).toHaveCount(0);
    expect(await axeViolations(page)).toEqual([]);
  }
});

test("slopes, sketches and curved systems, the lamp, guide and set-up sheet meet WCAG AA", async ({ page }) => {
  await openNew(page, withKiosk);
  await page.getByRole("button", { name: "Points", exact: true }).click();
  for (const fold of ["Directions and slopes", "Points from a sketch"]) await page.getByText(fold).click();
  await page.getByRole("button", { name: "Add a slope" }).click();
  await page.getByRole("button", { name: "Lay out the points" }).click();
  expect(await axeViolations(page)).toEqual([]);
  await page.getByText("Lens and curved systems").click();
  await page.getByLabel("Curved system").selectOption("six-disc");
  await page.getByRole("button", { name: "Set up this system" }).click();
  await page.getByRole("checkbox", { name: "Compass arcs over the curves" }).check();
  await page.getByRole("button", { name: "Pick a line to draw by compass" }).click();
  await page.getByRole("button", { name: "Name, swap or mirror the points" }).click();
  expect(await axeViolations(page)).toEqual([]);
  await page.getByRole("button", { name: "Done" }).click();
  await page.getByRole("button", { name: "Place six points by hand" }).click();
  expect(await axeViolations(page)).toEqual([]);
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Lamp (dark mode)" }).click();
  expect(await axeViolations(page)).toEqual([]);
  await page.getByRole("link", { name: "Guide" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
  expect(await axeViolations(page)).toEqual([]);
  await page.getByRole("button", { name: "Back" }).click();
  await page.getByRole("link", { name: "Set-up sheet" }).click();
  await expect(page.getByRole("link", { name: "Save as PDF" })).toBeVisible();
  expect(await axeViolations(page)).toEqual([]);
});

test("the plan with every kind of thing chosen, and its dialogs, meet WCAG AA", async ({ page }) => {
  await page.goto("/");
  await page.getByLabel("Find a scene").fill("whole quarter");
  await page.getByRole("link", { name: "Kestrel Quay, the whole quarter" }).first().click();
  await page.getByRole("link", { name: "Plan", exact: true }).click();
  await expect(page.getByTestId("eye")).toBeVisible();
  expect(await axeViolations(page)).toEqual([]);
  const id = /scenes\/([^/]+)/.exec(page.url())![1];
  const { elements } = (await (await page.request.get(`/api/scenes/${id}`)).json()) as Scene;
  // One of each kind in turn.
  const kinds = new Map(elements.filter(({ name }) => name).map((element) => [element.kind, element.name]));
  const things = page.getByRole("region", { name: "Things" });
  for (const name of kinds.values()) {
    await things.getByLabel("Find a thing").fill(name);
    await things.getByRole("button", { name, exact: true }).first().click();
    await expect(page.getByRole("region", { name: "Chosen" }).first()).toBeVisible();
    expect(await axeViolations(page, '[aria-label^="Chosen"]')).toEqual([]);
  }
  await plan(page).focus();
  await page.keyboard.press("Escape");
  await page.keyboard.press("ArrowRight");
  await expect(page.getByTestId("key-cursor")).toBeVisible();
  expect(await axeViolations(page)).toEqual([]);
  await page.getByRole("button", { name: "Keyboard shortcuts" }).click();
  await expect(page.getByRole("dialog")).toBeVisible();
  expect(await axeViolations(page)).toEqual([]);
});

test("a new scene, notes from life, dialogs and the bench of a photo meet WCAG AA", async ({ page }) => {
  await openNew(page);
  await page.getByRole("button", { name: "Sheet", exact: true }).click();
  await expect(page.getByRole("region", { name: "Begin with" })).toBeVisible();
  expect(await axeViolations(page)).toEqual([]);
  await page.getByRole("button", { name: "Points", exact: true }).click();
  await page.getByText("From life", { exact: true }).click();
  await page.getByRole("button", { name: "Note what I see" }).click();
  await expect(page.getByRole("button", { name: /^tilt of the upper left edge/ })).toBeVisible();
  expect(await axeViolations(page)).toEqual([]);
  await page.getByRole("button", { name: "Stretch across the panel" }).click();
  await expect(page.getByRole("dialog")).toBeVisible();
  expect(await axeViolations(page)).toEqual([]);
  await page.keyboard.press("Escape");
  // The focus is where it was before the dialog.
  await expect(page.getByRole("button", { name: "Stretch across the panel" })).toBeFocused();
  await page.getByRole("button", { name: "Earlier versions" }).click();
  await expect(page.getByRole("dialog")).toBeVisible();
  expect(await axeViolations(page)).toEqual([]);
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: "Earlier versions" })).toBeFocused();
  // Nor is it lost while a file is made, and after it came.
  await page.getByRole("button", { name: "Hand-over" }).press("Enter");
  const save = page.getByRole("button", { name: "Export SVG in true millimetres" });
  await save.focus();
  await Promise.all([page.waitForEvent("download"), page.keyboard.press("Enter")]);
  await expect(save).toBeFocused();
  const { bytes } = await photo();
  await openReference(page, bytes);
  await expect(page.getByRole("application", { name: "Photo" })).toBeVisible();
  for (const fold of ["A lens that bows", "Check a drawing"]) {
    const summary = page.getByText(fold);
    if (await summary.count()) await summary.first().click();
  }
  expect(await axeViolations(page)).toEqual([]);
});

test("what went wrong or was deleted is told on pages that meet WCAG AA", async ({ page }) => {
  // Saved elsewhere meanwhile: a question over the page.
  const id = await openNew(page);
  const answer = await page.request.get(`/api/scenes/${id}`);
  const scene = (await answer.json()) as Scene;
  const headers = { "If-Match": answer.headers().etag };
  const data = { ...scene, title: "Changed elsewhere" };
  expect((await page.request.put(`/api/scenes/${id}`, { headers, data })).ok()).toBe(true);
  await page.getByLabel("Title of the scene").fill("Changed here");
  await page.getByLabel("Title of the scene").press("Enter");
  await expect(page.getByText(/saved in another|saved elsewhere/).first()).toBeVisible();
  expect(await axeViolations(page)).toEqual([]);
  // A document that cannot be read, an address that is none, and what was deleted.
  const damaged = await openNew(page);
  await page.route(`**/api/scenes/${damaged}`, (route) =>
    route.fulfill({
      status: 422,
      contentType: "application/problem+json",
      body: JSON.stringify({ status: 422, detail: "This document is damaged." }),
    }),
  );
  await page.reload();
  await expect(page.getByRole("heading", { name: "This scene cannot be opened" })).toBeVisible();
  expect(await axeViolations(page)).toEqual([]);
  for (const [address, told] of [
    ["/nowhere", "There is nothing at this address."],
    ["/deleted", "Deleted"],
  ]) {
    await page.goto(address);
    await expect(page.getByText(told).first()).toBeVisible();
    expect(await axeViolations(page)).toEqual([]);
  }
});

/** The relative luminance of a colour as the browser writes it (WCAG 2.2, definitions). */
const luminance = (rgb: string): number => {
  const [r, g, b] = rgb.match(/[\d.]+/g)!.map(Number);
  const linear = [r, g, b].map((c) => (c / 255 <= 0.04045 ? c / 255 / 12.92 : ((c / 255 + 0.055) / 1.055) ** 2.4));
  return 0.2126 * linear[0] + 0.7152 * linear[1] + 0.0722 * linear[2];
};
const contrast = (a: string, b: string): number => {
  const [low, high] = [luminance(a), luminance(b)].sort((x, y) => x - y);
  return (high + 0.05) / (low + 0.05);
};

test("focus and what is chosen stand out at least 3 : 1, by day, under the lamp, and in forced colours", async ({
  page,
}) => {
  await openNew(page);
  const pin = page.getByRole("button", { name: /^left vanishing point, / });
  await pin.focus();
  await page.keyboard.press("ArrowLeft");
  // Who hears the page hears where the nudged pin stands.
  await expect(page.getByRole("status").filter({ hasText: /^left vanishing point, .* mm/ })).toHaveCount(1);
  const look = () =>
    pin.evaluate((element) => {
      const { outlineColor, outlineStyle, boxShadow } = getComputedStyle(element);
      return { outlineColor, outlineStyle, halo: /rgb\([^)]*\)/.exec(boxShadow)?.[0] ?? "" };
    });
  for (const lamp of [false, true]) {
    if (lamp) await page.getByRole("button", { name: "Lamp (dark mode)" }).click();
    await pin.focus();
    await page.keyboard.press("ArrowLeft");
    const { outlineColor, outlineStyle, halo } = await look();
    expect(outlineStyle).toBe("solid");
    // Of two colours more than 9 : 1 apart, one is 3 : 1 or more off whatever lies under them.
    expect(contrast(outlineColor, halo)).toBeGreaterThan(9);
    for (const name of ["Points", "Centre"]) {
      const chosen = page.getByRole(name === "Points" ? "button" : "radio", { name, exact: true });
      const mark = await chosen.evaluate((element) => {
        const { boxShadow, backgroundColor } = getComputedStyle(element);
        return { line: /rgb\([^)]*\)/.exec(boxShadow)?.[0] ?? "", backgroundColor };
      });
      expect(contrast(mark.line, mark.backgroundColor)).toBeGreaterThanOrEqual(3);
    }
  }
  await page.emulateMedia({ forcedColors: "active" });
  const [chosen, other] = await Promise.all(
    ["Points", "Sheet"].map((name) =>
      page.getByRole("button", { name, exact: true }).evaluate((element) => getComputedStyle(element).backgroundColor),
    ),
  );
  expect(chosen).not.toBe(other);
});
