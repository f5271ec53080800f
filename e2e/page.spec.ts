import { expect, test } from "@playwright/test";
import { readFileSync } from "node:fs";
import { openNew, saved, type, withKiosk } from "./table";

test("a page gets a slanted panel that bleeds off, a balloon, crop marks and its number, and its PDF the boxes", async ({
  page,
}) => {
  const id = await openNew(page, withKiosk);
  const shots = async () => (await saved(page, id)).shots;
  await page.keyboard.press("1");
  await page.getByRole("button", { name: "Split in two ↔" }).click();
  await page.getByText("Shape and balloons").click();
  await page.getByRole("checkbox", { name: "Of any shape" }).check();
  const corner = page.getByRole("button", { name: /^panel, corner 2/ });
  const box = (await corner.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x - 60, box.y + 40, { steps: 5 });
  await page.mouse.up();
  const [, moved] = (await shots())[0].panel!.corners;
  expect(moved.x).toBeLessThan(0.95);
  expect(moved.y).toBeGreaterThan(0.02);
  await page.getByRole("button", { name: "A corner more" }).click();
  await expect.poll(async () => (await shots())[0].panel?.corners).toHaveLength(5);
  await page.keyboard.press("Control+z");
  await expect.poll(async () => (await shots())[0].panel?.corners).toHaveLength(4);
  await page.getByRole("button", { name: "Keep room for a balloon" }).click();
  await type(page, "Balloon width", "40");
  await page.getByRole("button", { name: /^balloon 1/ }).press("ArrowRight");
  const [balloon] = (await shots())[0].balloons!;
  expect(balloon.width).toBe(40);
  expect(balloon.at.x).toBeGreaterThan(0.3);
  await page.getByRole("checkbox", { name: "Bordered" }).uncheck();
  await page.getByText("Page for print").click();
  await page.getByRole("textbox", { name: "Page title" }).fill("Low tide");
  await page.getByRole("checkbox", { name: "Page number" }).check();
  await type(page, "Page", "7");
  await page.getByRole("checkbox", { name: "Trimmed, with crop marks" }).check();
  await type(page, "Bleed", "4");
  await page.getByRole("button", { name: "Left", exact: true }).click();
  const [first, second] = await shots();
  expect(first).toMatchObject({ show: { frame: 0 }, sheet: { title: "Low tide", number: 7, trim: { bleed: 4 } } });
  // What is said of the page is said of all its panels.
  expect(second.sheet).toEqual(first.sheet);
  expect(first.frame.x).toBeCloseTo((first.sheet.width - first.sheet.trim!.width) / 2 - 4, 6);
  const pdf = await page.request.get(`/api/scenes/${id}/exports/${first.id}.pdf?page`);
  const bytes = (await pdf.body()).toString("latin1");
  expect(bytes).toContain("/TrimBox");
  expect(bytes).toContain("/BleedBox");
  const svg = await (await page.request.get(`/api/scenes/${id}/exports/${first.id}.svg?page`)).text();
  expect(svg).toContain("Balloons");
  expect(svg).toContain("panel-1-page");
  expect(svg).not.toContain("panel-2-page");
});

test("lines are inked by depth, with a pen for profiles, by a loose hand; a way of one's own is kept", async ({
  page,
}) => {
  const id = await openNew(page, withKiosk);
  const shot = async () => (await saved(page, id)).shots[0];
  await page.keyboard.press("0");
  await page.getByText("Pens", { exact: true }).click();
  await page.getByRole("button", { name: "Bold" }).click();
  await expect.poll(async () => (await shot()).profile).toBe(0.7);
  await page.getByText("Weight by depth").click();
  await expect(page.getByRole("img", { name: /^Width of outlines by distance: 0.50 mm near/ })).toBeVisible();
  await type(page, "The whole pen up to", "5");
  await expect.poll(async () => (await shot()).depth?.near).toBe(5);
  await page.getByText("Loose hand").click();
  await page.getByRole("checkbox", { name: "Drawn with a loose hand" }).check();
  await type(page, "Off the true line by up to", "0.4");
  const { hand } = await shot();
  expect(hand).toMatchObject({ wobble: 0.4 });
  await page.getByRole("button", { name: "Draw it again, otherwise" }).click();
  await expect.poll(async () => (await shot()).hand?.seed).not.toBe(hand!.seed);
  await page.getByRole("button", { name: "Keep these as my own" }).click();
  await page.getByRole("button", { name: "Usual", exact: true }).click();
  await expect.poll(async () => (await shot()).profile).toBeUndefined();
  await page.reload();
  await page.getByText("Pens", { exact: true }).click();
  await page.getByRole("button", { name: "My own", exact: true }).click();
  await expect.poll(shot).toMatchObject({ profile: 0.7, depth: { near: 5 }, hand: { wobble: 0.4 } });
  const svg = await (await page.request.get(`/api/scenes/${id}/exports/${(await shot()).id}.svg`)).text();
  expect(svg).toContain("Profile lines");
  // What the board adds over the drawing is not shown while one looks at what is inked.
  const surfaces = page.getByRole("application", { name: "Desk" }).locator("canvas");
  const before = await surfaces.count();
  await page.getByRole("checkbox", { name: "Show it as it will be inked" }).check();
  await expect(surfaces).toHaveCount(before - 1);
});

test("files are made by a preset: all shots at once, of just so many black dots, in layers by thing", async ({
  page,
}) => {
  await openNew(page, (scene) => {
    withKiosk(scene);
    const [shot] = scene.shots;
    scene.shots.push({ ...shot, id: "s2", name: "From the corner", gaze: { ...shot.gaze, heading: 20 } });
  });
  await page.keyboard.press("0");
  const file = async (name: string | RegExp) => {
    const coming = page.waitForEvent("download");
    await page.getByRole("button", { name, exact: true }).click();
    const download = await coming;
    return { name: download.suggestedFilename(), bytes: readFileSync(await download.path()) };
  };
  await page.getByLabel("Just so many pixels").check();
  await type(page, "Pixels across", "640");
  await type(page, "Pixels down", "400");
  await page.getByLabel("Ink", { exact: true }).selectOption("black");
  await page.getByText("Presets").click();
  await page.getByLabel("Name of a preset").fill("For the blog");
  await page.getByRole("button", { name: "Keep these" }).click();
  await page.getByRole("button", { name: "As usual" }).click();
  await expect(page.getByLabel("Resolution", { exact: true })).toHaveValue("300");
  await page.reload();
  await page.getByText("Presets").click();
  await page.getByRole("button", { name: "For the blog", exact: true }).click();
  const { bytes: png } = await file("Export PNG");
  // Width, height and depth of a PNG stand at bytes 16, 20 and 24 of its file (PNG 1.2, 11.2.2).
  expect([png.readUInt32BE(16), png.readUInt32BE(20), png[24]]).toEqual([640, 400, 1]);
  await page.getByLabel("All 2 shots, in one ZIP").check();
  const all = await file("Export PNG");
  expect(all.name).toBe("Test-table-all-shots.zip");
  expect(all.bytes.toString("latin1")).toContain("02 From-the-corner.png");
  await page.getByLabel("All 2 shots, in one ZIP").uncheck();
  const set = await file("Export PNG for each layer");
  expect(set.name).toMatch(/\.zip$/);
  await page.getByText("On the paper").click();
  await page.getByLabel("Layers of files by").selectOption("thing");
  const { bytes: svg } = await file("Export SVG in true millimetres");
  expect(svg.toString()).toMatch(/<g id="part-\d+" [^>]*inkscape:label="Kiosk"/);
  await page.getByRole("button", { name: "Delete the preset For the blog" }).click();
  await expect(page.getByRole("button", { name: "For the blog", exact: true })).toHaveCount(0);
});

test("a page is made from a small sketch, by rough boxes or by numbers, and undone in one step", async ({ page }) => {
  const id = await openNew(page, withKiosk);
  await page.keyboard.press("1");
  await page.getByText("A page from a small sketch").click();
  const small = page.getByRole("img", { name: /^A small page/ });
  await small.scrollIntoViewIfNeeded();
  const { x, y, width, height } = (await small.boundingBox())!;
  const draw = async (x0: number, y0: number, x1: number, y1: number) => {
    await page.mouse.move(x + x0 * width, y + y0 * height);
    await page.mouse.down();
    await page.mouse.move(x + x1 * width, y + y1 * height, { steps: 4 });
    await page.mouse.up();
  };
  await draw(0.02, 0.03, 0.97, 0.45);
  await draw(0.01, 0.49, 0.4, 0.98);
  await draw(0.43, 0.47, 0.98, 0.97);
  await page.getByRole("button", { name: "Make a page of 3" }).click();
  const shots = async () => (await saved(page, id)).shots;
  await expect.poll(async () => (await shots()).length).toBe(4);
  const [, top, left, right] = await shots();
  expect(new Set([top.page, left.page, right.page]).size).toBe(1);
  expect(left.frame.y - top.frame.y - top.frame.height).toBeCloseTo(5, 6);
  expect(right.frame.x - left.frame.x - left.frame.width).toBeCloseTo(5, 6);
  expect(left.frame.y).toBeCloseTo(right.frame.y, 9);
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect.poll(async () => (await shots()).length).toBe(1);
  await page.getByLabel("Panels in each row").fill("2 x");
  await page.getByLabel("Panels in each row").fill("14");
  await expect(page.getByText(/^Type up to 12 rows/)).toBeVisible();
  await page.getByLabel("Panels in each row").fill("1 2 1");
  await page.getByRole("button", { name: "Make a page of 4" }).click();
  await expect.poll(async () => (await shots()).length).toBe(5);
});
