import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import { dragHandle, openNew, saved, slip, type } from "./table";

test("a page has several panels, drawn in their places, dragged by their sides and taken to paper together", async ({
  page,
}) => {
  const id = await openNew(page, (scene) => {
    scene.elements.push({
      id: "house",
      kind: "block",
      name: "Net loft",
      origin: { x: 0, y: 20, z: 0 },
      heading: -55,
      length: 6,
      width: 6,
      height: 9,
    });
  });
  await page.getByRole("button", { name: "Sheet", exact: true }).click();
  await page.getByRole("button", { name: "Split in two ↔" }).click();
  const frames = async () => (await saved(page, id)).shots.map(({ frame, page: of }) => [of, frame.x, frame.width]);
  const [[pageId]] = await frames();
  expect(await frames()).toEqual([
    [pageId, 15, 192.5],
    [pageId, 212.5, 192.5],
  ]);
  await page.getByRole("button", { name: "Work on the panel Shot 2" }).click();
  await page.getByRole("button", { name: "Eye level" }).click();
  await type(page, "Eye height", "12");
  await page.getByRole("button", { name: "Sheet", exact: true }).click();
  await dragHandle(page, page.getByRole("button", { name: /^panel, left side/ }), 60, 0);
  const moved = (await frames())[1];
  expect(moved[1]).toBeGreaterThan(220);
  expect(Number(moved[1]) + Number(moved[2])).toBeCloseTo(405, 9);
  await page.getByRole("button", { name: /^panel, left side/ }).focus();
  await page.keyboard.press("ArrowRight");
  expect((await frames())[1][1]).toBe(Number(moved[1]) + 0.5);

  // Another paper takes all panels over, each in its part.
  await page.getByLabel("Paper").selectOption("A4");
  const shots = (await saved(page, id)).shots;
  expect(new Set(shots.map(({ sheet }) => sheet.paper))).toEqual(new Set(["A4"]));
  expect(shots[1].frame.x + shots[1].frame.width).toBeCloseTo(282, 6);
  expect(shots[0].frame.x).toBe(15);

  await page.getByRole("button", { name: "Hand-over" }).click();
  const save = async () => {
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("button", { name: "Export SVG" }).click(),
    ]);
    return readFileSync(await download.path(), "utf8");
  };
  const whole = await save();
  expect(whole).toContain('<g id="panel-1-outlines');
  expect(whole).toContain('<g id="panel-2-outlines');
  await page.getByLabel("All 2 panels of the page").uncheck();
  expect(await save()).toContain('<g id="outlines');
  // One set-up sheet holds all panels of the page.
  await page.getByRole("link", { name: "Set-up sheet" }).click();
  const pages = async () => {
    const [sheet] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("link", { name: "Save as PDF" }).click(),
    ]);
    return readFileSync(await sheet.path(), "latin1").match(/\/Type \/Page\n/g)!.length;
  };
  const ofOne = await pages();
  await page.getByLabel("All 2 panels of the page").check();
  await expect(page.getByText(/^Rule the panel Shot 2: /)).toBeVisible();
  await expect(page.getByRole("region", { name: "Shot 2" }).getByText(/^Net loft: near corner .* high/)).toBeVisible();
  expect(await pages()).toBeGreaterThan(ofOne);
  await page.getByRole("link", { name: "Board" }).click();
  // A new shot has a sheet for itself.
  await page.getByRole("button", { name: "New shot from this one" }).click();
  expect((await saved(page, id)).shots.map((shot) => shot.page)).toEqual([pageId, pageId, undefined]);
});

test("the desk is printed at true size, with progress, and can be stopped", async ({ page }) => {
  const id = await openNew(page);
  await page.getByRole("button", { name: "Hand-over" }).click();
  await page.getByText("Print in tiles").click();
  const told = page.getByText(/^\d+ sheets? and a contents map/);
  await expect(told).toBeVisible();
  await page.getByLabel("Paper of the printer").selectOption("A3");
  const all = Number.parseInt((await told.textContent())!);
  // One sheet is left out by a press on it.
  const sheets = page.getByRole("group", { name: "Sheets to print" }).getByRole("button");
  await expect(sheets).toHaveCount(all);
  await sheets.first().click();
  await expect(sheets.first()).toHaveAttribute("aria-pressed", "false");
  const count = Number.parseInt((await told.textContent())!);
  expect(count).toBe(all - 1);
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Print at true size" }).click(),
  ]);
  expect(file.suggestedFilename()).toBe("Test-table-First-shot-true-size.pdf");
  const pdf = readFileSync(await file.path(), "latin1");
  expect(pdf.startsWith("%PDF-")).toBe(true);
  expect(pdf.match(/\/Type \/Page\n/g)).toHaveLength(count + 1);

  // A print that hangs in the middle shows how far it is, and is stopped.
  let stopped = false;
  await page.route(`**/api/scenes/${id}/prints/*`, async (route) => {
    if (route.request().method() === "DELETE") stopped = true;
    else return route.fulfill({ json: { id: "x", state: "working", done: 3, of: 12 } });
    return route.continue();
  });
  await page.getByRole("button", { name: "Print at true size" }).click();
  await expect(page.getByRole("progressbar", { name: "Sheets drawn" })).toHaveAttribute("aria-valuenow", "3");
  await expect(page.getByText("Sheet 3 of 12")).toBeVisible();
  await page.getByRole("button", { name: "Stop" }).click();
  await expect(page.getByText("The print was stopped.").first()).toBeVisible();
  await expect.poll(() => stopped).toBe(true);
  await expect(page.getByRole("button", { name: "Print at true size" })).toBeVisible();
});

test("the set-up sheet is saved as PDF, and everything is read in inches and feet by those who measure so", async ({
  page,
}) => {
  const id = await openNew(page);
  await page.getByRole("button", { name: /change to inches and feet/ }).click();
  await expect(slip(page, "Picture distance")).toHaveText('11 13/16"');
  await expect(slip(page, "Eye height")).toHaveText("5' 3\"");
  // What is typed in feet is kept in feet.
  await page.getByRole("button", { name: "Eye level" }).click();
  await type(page, "Eye height", "7 ft");
  await expect(page.getByRole("textbox", { name: "Eye height" })).toHaveValue("7'");
  await expect(slip(page, "Eye height")).toHaveText("7'");
  await page.getByRole("button", { name: "Points", exact: true }).click();
  await page.getByText("View in numbers").click();
  await type(page, "Picture distance", "12");
  expect((await saved(page, id)).shots[0].lens.distance).toBeCloseTo(304.8, 9);
  await type(page, "Picture distance", "300 mm");
  expect((await saved(page, id)).shots[0].lens.distance).toBe(300);
  await expect(slip(page, "35 mm equivalent")).toHaveText("27.7 mm");
  await page.reload();
  await expect(page.getByRole("button", { name: /change to millimetres/ })).toBeVisible();
  await page.getByRole("link", { name: "Set-up sheet" }).click();
  await expect(page.getByText('Mark the centre of vision 8 9/32" in from the left')).toBeVisible();
  const ticks = page.getByLabel("Ticks every");
  expect(await ticks.locator("option").allTextContents()).toEqual(['1/4"', '1/2"', '1"']);
  await ticks.selectOption('1"');
  await expect(page.getByText(/^Every 1" on the left edge/)).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: "Save as PDF" }).click(),
  ]);
  expect(readFileSync(await file.path(), "latin1").startsWith("%PDF-")).toBe(true);
});

/** How many pages of the guide have no picture: they come first. */
const WORDS = 7;

test("the pocket guide is reached from every stage, and its pictures follow their sliders", async ({ page }) => {
  await openNew(page);
  for (const [stage, title] of [
    ["Sheet", "Panels and paper"],
    ["Eye level", "Eye level"],
    ["Points", "Two points"],
    ["Grid", "Measured squares"],
    ["Masses", "Raising a corner"],
    ["Hand-over", "Hand-over"],
    ["References", "References"],
  ]) {
    await page.getByRole("button", { name: stage, exact: true }).click();
    await page.getByRole("link", { name: "Guide" }).click();
    await expect(page.getByRole("heading", { level: 1, name: title })).toBeVisible();
    await page.getByRole("button", { name: "Back" }).click();
    await expect(page.getByRole("application")).toBeVisible();
  }
  await page.getByRole("link", { name: "Guide" }).click();
  const pages = page.getByRole("navigation", { name: "Pages of the guide" }).getByRole("link");
  for (let i = 0; i < (await pages.count()); i++) {
    await pages.nth(i).click();
    await expect(page.getByRole("heading", { level: 1 })).toHaveText((await pages.nth(i).textContent())!);
    const picture = page.getByRole("main").getByRole("img");
    if (i < WORDS) {
      // Pages on how one works, and the glossary, are words alone.
      await expect(picture).toHaveCount(0);
      expect((await page.getByRole("main").textContent())!.length).toBeGreaterThan(300);
      continue;
    }
    const before = await picture.innerHTML();
    for (let k = 0; k < 4; k++) await page.getByRole("slider").press("ArrowRight");
    expect(await picture.innerHTML()).not.toBe(before);
  }
  await page.goto("/guide/nothing");
  await expect(page.getByText("The guide has no such page.")).toBeVisible();
});

test("the stretch across the panel is drawn as a chart when it is asked for", async ({ page }) => {
  const asked: string[] = [];
  page.on("request", (request) => asked.push(request.url()));
  await openNew(page);
  expect(asked.filter((url) => url.includes("StretchChart"))).toEqual([]);
  await page.getByRole("button", { name: "Stretch across the panel" }).click();
  // The panel's sides are 195 mm from C: tan 33.0 degrees = 195 / 300; 1 / cos^2 = 1.42, 1 / cos = 1.19.
  await expect(
    page.getByRole("img", {
      name: /^Stretch across the panel\. Outward 1\.42 at the left side \(33° off the gaze\), 1\.42 at the right/,
    }),
  ).toBeVisible();
  await expect(page.getByRole("dialog").locator("canvas")).toBeVisible();
});

test("squares to enlarge by lie over the panel, and a view finder and the large grid are printed", async ({ page }) => {
  await openNew(page);
  await page.keyboard.press("0");
  await page.getByText("To be transferred to other paper").click();
  await page.getByLabel("Squares over the panel").check();
  await page.getByLabel("Points to be pricked through").check();
  await expect(page.getByLabel("Squares across the panel")).toHaveValue("8");
  await page.getByText("Print in tiles").click();
  const print = async (thing: string) => {
    await page.getByLabel("Print", { exact: true }).selectOption(thing);
    const coming = page.waitForEvent("download");
    await page.getByRole("button", { name: "Print at true size" }).click();
    const file = await coming;
    return { name: file.suggestedFilename(), pdf: readFileSync(await file.path(), "latin1") };
  };
  await expect(page.getByText(/Its squares are|Held/)).toHaveCount(0);
  const finder = await print("finder");
  await expect(page.getByText(/^Held \d+ mm from one eye/)).toBeVisible();
  expect(finder.name).toBe("Test-table-First-shot-view-finder.pdf");
  // A window of 70 mm with its card takes one sheet, after the contents.
  expect(finder.pdf.match(/\/Type \/Page\n/g)).toHaveLength(2);
  const grid = await print("grid");
  await expect(page.getByText(/^Its squares are 195.0 mm wide/)).toBeVisible();
  expect(grid.pdf.match(/\/Type \/Page\n/g)!.length).toBeGreaterThan(20);
});
