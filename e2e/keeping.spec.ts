import { readFile } from "node:fs/promises";
import { expect, test } from "@playwright/test";
import { newScene } from "@zanvo/core/scene";
import { pinsOf } from "@zanvo/core/vanishing";
import { openNew, saved, slip, type } from "./table";

test("it is saved by itself; undo, redo and reload return to the same place", async ({ page }) => {
  const id = await openNew(page);
  await page.getByRole("button", { name: "Eye level" }).click();
  await type(page, "Eye height", "3");
  await type(page, "Horizon from the top", "90");
  expect((await saved(page, id)).shots[0]).toMatchObject({ eye: { z: 3 }, lens: { centre: { y: 90 } } });
  await page.getByLabel("Title of the scene").fill("Lock at dawn");
  await page.getByLabel("Title of the scene").press("Enter");
  for (const _ of [1, 2, 3]) await page.getByRole("button", { name: "Undo" }).click();
  expect(await saved(page, id)).toMatchObject({
    title: "Test table",
    shots: [{ eye: { z: 1.6 }, lens: { centre: { y: 148.5 } } }],
  });
  await page.keyboard.press("Control+Shift+z");
  await expect(slip(page, "Eye height")).toHaveText("3.00 m");
  await saved(page, id);

  const end = page.getByRole("button", { name: /^horizon, right end/ });
  await page.mouse.move(600, 300);
  await page.mouse.wheel(0, 120);
  await page.mouse.wheel(0, 120);
  await expect.poll(async () => (await end.boundingBox())!.x).toBeLessThan(960);
  const looked = await end.boundingBox();
  await page.reload();
  await expect(page.getByRole("region", { name: "Eye level tools" })).toBeVisible();
  await expect.poll(() => end.boundingBox()).toEqual(looked);
  await expect(slip(page, "Eye height")).toHaveText("3.00 m");
  // Undo reaches back past the reload.
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(slip(page, "Eye height")).toHaveText("1.60 m");
});

test("a change that was not saved before the page went away is there again", async ({ page }) => {
  const id = await openNew(page);
  await page.getByRole("button", { name: "Eye level" }).click();
  await page.route("**/api/scenes/*", (route) =>
    route.request().method() === "PUT" ? route.abort() : route.continue(),
  );
  await type(page, "Eye height", "5");
  await expect(page.getByRole("status", { name: "Saving" })).toContainText("server out of reach");
  await page.unroute("**/api/scenes/*");
  await page.reload();
  await expect(slip(page, "Eye height")).toHaveText("5.00 m");
  await expect.poll(async () => (await saved(page, id)).shots[0].eye.z).toBe(5);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(slip(page, "Eye height")).toHaveText("1.60 m");
});

test("of two windows on one scene the second to save is told, and nothing is lost", async ({ page, context }) => {
  const id = await openNew(page);
  const other = await context.newPage();
  await other.goto(`/scenes/${id}`);
  for (const window of [page, other]) await window.getByRole("button", { name: "Eye level" }).click();

  const clash = async (theirs: string, mine: string) => {
    await type(other, "Eye height", theirs);
    await saved(other, id);
    await type(page, "Eye height", mine);
    await expect(page.getByRole("alert").filter({ hasText: "saved in another window" })).toBeVisible();
    await expect(slip(page, "Eye height")).toHaveText(`${mine}.00 m`);
  };
  await clash("7", "8");
  await page.getByRole("button", { name: "Take over with mine" }).click();
  expect((await saved(page, id)).shots[0].eye.z).toBe(8);
  const versions = (await (await page.request.get(`/api/scenes/${id}/versions`)).json()) as unknown[];
  expect(versions).toHaveLength(3);

  await other.reload();
  await clash("9", "4");
  await page.getByRole("button", { name: "Show theirs" }).click();
  await expect(slip(page, "Eye height")).toHaveText("9.00 m");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(slip(page, "Eye height")).toHaveText("4.00 m");
  await saved(page, id);

  await other.reload();
  await clash("2", "6");
  await page.getByRole("button", { name: "Keep mine as a copy" }).click();
  await expect(page.getByLabel("Title of the scene")).toHaveValue("Test table (copy)");
  await expect(slip(page, "Eye height")).toHaveText("6.00 m");
  expect(
    ((await (await page.request.get(`/api/scenes/${id}`)).json()) as { shots: { eye: { z: number } }[] }).shots[0].eye
      .z,
  ).toBe(2);
});

test("an earlier version is brought back, and that can be undone", async ({ page }) => {
  const id = await openNew(page);
  await page.getByRole("button", { name: "Eye level" }).click();
  await type(page, "Eye height", "6");
  await saved(page, id);
  await page.getByRole("button", { name: "Earlier versions" }).click();
  await page.getByRole("button", { name: "Bring back" }).click();
  await expect(slip(page, "Eye height")).toHaveText("1.60 m");
  await page.getByRole("button", { name: "Undo" }).first().click();
  await expect(slip(page, "Eye height")).toHaveText("6.00 m");
});

test("every value of the slip is copied by a press", async ({ page }) => {
  await openNew(page);
  for (const row of await page.getByRole("region", { name: "Slip" }).getByRole("button").all()) {
    const name = (await row.getAttribute("aria-label"))!;
    await row.click();
    await expect
      .poll(() => page.evaluate(() => navigator.clipboard.readText()))
      .toBe(name.slice(name.indexOf(": ") + 2));
  }
});

test("what is typed and not yet entered is on the set-up sheet, and saved", async ({ page }) => {
  const id = await openNew(page);
  const beyond = page.getByRole("region", { name: "left point" }).getByLabel("Beyond the edge");
  for (const mm of ["210", "333"]) {
    await beyond.fill(mm);
    await page.getByRole("link", { name: "Set-up sheet" }).click();
    await expect(page.getByText(`the pin stands ${mm} mm left of the sheet`)).toBeVisible();
    await page.getByRole("link", { name: "Board" }).click();
    await expect(beyond).toHaveValue(mm);
  }
  await beyond.fill("150");
  await page.keyboard.press("Control+s");
  const { shots, orientations } = await saved(page, id);
  const pin = pinsOf(orientations, shots[0]).find(({ role }) => role === "left")!;
  expect(pin.point.at![0]).toBeCloseTo(-150, 6);
});

test("the set-up sheet has the measures, the steps and the ticks, and is copied as plain text", async ({ page }) => {
  const id = await openNew(page);
  await page.getByRole("region", { name: "left point" }).getByLabel("Beyond the edge").fill("210");
  await page.keyboard.press("Enter");
  await saved(page, id);
  await page.getByRole("link", { name: "Set-up sheet" }).click();
  await expect(page.getByRole("heading", { name: "Test table: First shot" })).toBeVisible();
  await expect(
    page.getByText("tape 230 mm of paper to the left edge; the pin stands 210 mm left of the sheet"),
  ).toBeVisible();
  const ticks = page.getByRole("region", { name: "Edge ticks for Main streets, left" });
  await expect(ticks).toContainText("Every 10 mm on the left edge, every 30 mm on the opposite one");
  await page.getByLabel("Ticks every").selectOption("20 mm");
  await expect(ticks.getByRole("row", { name: "1 128.5 88.5 5.44°" })).toBeVisible();
  await page.getByRole("button", { name: "Copy as plain text" }).click();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toContain(
    "EDGE TICKS FOR MAIN STREETS, LEFT (210 mm beyond the left edge)",
  );
  // On paper there are no buttons, and nothing is cut off.
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("button", { name: "Print" })).toBeHidden();
  expect(await page.evaluate(() => getComputedStyle(document.body).overflow)).toBe("visible");
  await page.emulateMedia({ media: "screen" });
  await page.getByRole("link", { name: "Board" }).click();
  await expect(page.getByRole("application", { name: "Desk" })).toBeVisible();
});

test("the drawing is saved as SVG in true mm and as PNG of a chosen resolution", async ({ page }) => {
  await openNew(page);
  await page.getByRole("button", { name: "Hand-over" }).click();
  const file = async (button: RegExp) => {
    const going = page.waitForEvent("download");
    await page.getByRole("button", { name: button }).click();
    const one = await going;
    return { name: one.suggestedFilename(), content: await readFile(await one.path()) };
  };
  await page.getByText("On the paper").click();
  await page.getByLabel("Grids").uncheck();
  const svg = await file(/^Export SVG/);
  expect(svg.name).toBe("Test-table-First-shot.svg");
  expect(svg.content.toString()).toContain('width="420mm" height="297mm"');
  expect(svg.content.toString()).toContain('<g id="horizon"');
  expect(svg.content.toString()).not.toContain("grid-");
  await type(page, "Resolution", "127");
  await expect(page.getByText("2,100 × 1,485 px")).toBeVisible();
  const { content } = await file(/^Export PNG$/);
  // PNG, third edition (W3C), 11.3.4.3: pHYs holds px per metre; 127 dpi are 5,000.
  const at = content.indexOf("pHYs");
  expect([content.readUInt32BE(at + 4), content.readUInt32BE(at + 8), content[at + 12]]).toEqual([5000, 5000, 1]);
  expect([content.readUInt32BE(16), content.readUInt32BE(20)]).toEqual([2100, 1485]);

  await type(page, "Resolution", "121000");
  await page.getByRole("button", { name: /^Export PNG$/ }).click();
  await expect(page.getByText(/^dpi: would make a picture of 2,000,787 x/)).toBeVisible();
});

test("a scene that is not there, and an address that is not, say so", async ({ page }) => {
  await page.goto("/scenes/no-such-scene");
  await expect(page.getByText("There is no such scene on the shelf.")).toBeVisible();
  await page.goto("/nowhere");
  await expect(page.getByText("There is nothing at this address.")).toBeVisible();
});

test("nothing breaks the content policy or throws while one works", async ({ page }) => {
  const wrong: string[] = [];
  page.on("console", (message) => message.type() === "error" && wrong.push(message.text()));
  page.on("pageerror", (error) => wrong.push(error.message));
  await openNew(page, (scene) => Object.assign(scene, newScene("Policy")));
  for (const key of ["1", "2", "3", "4", "5", "6", "d", "s"]) await page.keyboard.press(key);
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog", { name: "Keyboard shortcuts" })).toBeVisible();
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Earlier versions" }).click();
  await expect(page.getByRole("dialog", { name: "Earlier versions" })).toBeVisible();
  expect(wrong).toEqual([]);
});

test("the place of the eye is typed; keys without Ctrl can be switched off; Space presses a button", async ({
  page,
}) => {
  const id = await openNew(page);
  await page.getByRole("button", { name: "Eye level" }).click();
  await type(page, "Eye, east of the origin", "3.5");
  await type(page, "Eye, north of the origin", "-2");
  expect((await saved(page, id)).shots[0].eye).toMatchObject({ x: 3.5, y: -2 });

  // A focused button takes the space bar, though the pointer rests over the desk.
  await page.getByRole("application").hover();
  await page.getByRole("button", { name: "Grid", exact: true }).focus();
  await page.keyboard.press("Space");
  await expect(page.getByRole("region", { name: "Grid tools" })).toBeVisible();

  await page.keyboard.press("2");
  await expect(page.getByRole("region", { name: "Eye level tools" })).toBeVisible();
  await page.getByRole("button", { name: "Keyboard shortcuts" }).click();
  await page.getByLabel("Single-key shortcuts").uncheck();
  await page.keyboard.press("Escape");
  await page.keyboard.press("4");
  await page.keyboard.press("?");
  await expect(page.getByRole("region", { name: "Eye level tools" })).toBeVisible();
  await expect(page.getByRole("dialog", { name: "Keyboard shortcuts" })).toHaveCount(0);
  await page.keyboard.press("Control+z");
  expect((await saved(page, id)).shots[0].eye).toMatchObject({ x: 3.5, y: 0 });
});
