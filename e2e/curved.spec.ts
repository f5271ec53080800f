import { expect, test, type Page } from "@playwright/test";
import { readFileSync } from "node:fs";
import { CURVED_SYSTEMS } from "@zanvo/core/shot";
import { dragHandle, dragOnSheet, openNew, onSheet, saved, slip, type, withKiosk } from "./table";

const fold = (page: Page) => page.getByText("Lens and curved systems").click();
const setUp = async (page: Page, system: string) => {
  await page.getByLabel("Curved system").selectOption({ label: system });
  await page.getByRole("button", { name: "Set up this system" }).click();
};
const lens = (page: Page, name: string) =>
  page
    .getByRole("radiogroup", { name: "Lens" })
    .or(page.getByRole("group", { name: "Lens" }))
    .getByRole("radio", { name })
    .click();
const pin = (page: Page, name: string) =>
  page.getByRole("button", { name: new RegExp(`^vanishing point ${name}, (?!opposite)`) });
/** Where the slip has a pin, sheet mm, for one on the sheet. */
async function placeOf(page: Page, name: string): Promise<[number, number]> {
  const [, x, side, y] = /^([\d.]+) mm in from the (left|right), ([\d.]+) mm from the top$/.exec(
    (await slip(page, name).textContent())!,
  )!;
  return [side === "left" ? Number(x) : 420 - Number(x), Number(y)];
}

test("a system is chosen by what it shows; every lens keeps the middle, and its curves leave as Beziers", async ({
  page,
}) => {
  const id = await openNew(page, withKiosk);
  await fold(page);
  for (const { name, law, pitch, both } of CURVED_SYSTEMS) {
    if (both) continue;
    await setUp(page, name);
    const [shot] = (await saved(page, id)).shots;
    expect([shot.lens.law, shot.gaze.pitch]).toEqual([law, pitch]);
  }
  await setUp(page, "Five points: a disc, looking ahead");
  // The panel is 267 mm high: a rim of half that, a quarter turn off the gaze all round.
  await expect(page.getByLabel("Rim radius", { exact: true })).toHaveValue("133.5");
  expect(await placeOf(page, "Main streets, left")).toEqual([210, 148.5]);
  const heading = (await saved(page, id)).shots[0].gaze.heading;
  for (const name of [
    "Equidistant fisheye",
    "Equal-area fisheye",
    "Orthographic fisheye",
    "Panorama, around",
    "Panorama, up and over",
    "Panorama, whole sphere",
    "Straight",
    "Stereographic fisheye",
  ]) {
    await lens(page, name);
    expect(await placeOf(page, "Main streets, left")).toEqual([210, 148.5]);
    expect((await saved(page, id)).shots[0].gaze.heading).toBe(heading);
  }
  await saved(page, id);
  const svg = await (await page.request.get(`/api/scenes/${id}/exports/s1.svg`)).text();
  for (const layer of ["grid-main-right", 'outlines[^"]*'])
    expect(svg).toMatch(new RegExp(`<g id="${layer}"[^>]*>\\n<title>[^<]*</title>\\n<path d="M[-\\d.]+ [-\\d.]+C`));
  await page.getByRole("button", { name: "Undo" }).click();
  expect((await saved(page, id)).shots[0].lens.law).toBe("rectilinear");
});

test(
  "the angle covered, the rim, where the disc is cut, and an off-centre crop are typed; what cannot " + "be is said",
  async ({ page }) => {
    const id = await openNew(page);
    await fold(page);
    await setUp(page, "Six points: a tilted disc");
    for (const [typed, said] of [
      ["0", "This lens shows up to 350°, and an angle of more than nothing."],
      ["400", "This lens shows up to 350°, and an angle of more than nothing."],
    ]) {
      await type(page, "Across the disc", typed);
      await expect(page.getByText(said)).toBeVisible();
    }
    await type(page, "Across the disc", "180");
    await expect(page.getByLabel("Rim radius", { exact: true })).toHaveValue("133.5");
    await type(page, "Rim radius", "100");
    await type(page, "Disc cut at", "120");
    const [{ lens: cut }] = (await saved(page, id)).shots;
    expect([cut.distance, cut.within]).toEqual([expect.closeTo(50, 6), 120]);
    // k tan 30 degrees = 100 * 0.577 = 57.7 mm off C the grid ends.
    const grid = /<g id="grid-upright"[^]*?<\/g>/.exec(
      await (await page.request.get(`/api/scenes/${id}/exports/s1.svg`)).text(),
    )![0];
    const far = [...grid.matchAll(/(?:M| )(-?[\d.]+) (-?[\d.]+)(?=[MCL"])/g)].map(([, x, y]) =>
      Math.hypot(Number(x) - 210, Number(y) - 148.5),
    );
    expect(Math.max(...far)).toBeLessThan(57.8);
    expect(Math.max(...far)).toBeGreaterThan(57);
    await page.getByText("View in numbers").click();
    await type(page, "Centre, from left", "30");
    await type(page, "Rim radius", "100000");
    expect((await saved(page, id)).shots[0].lens).toMatchObject({
      centre: { x: 30 },
      distance: expect.closeTo(50000, 3),
    });
    await expect(page.getByRole("application", { name: "Desk" })).toBeVisible();
  },
);

test("a pin is dragged and the view turns with it; keys do the same, and the opposite one follows", async ({
  page,
}) => {
  const id = await openNew(page);
  await fold(page);
  await setUp(page, "Six points: a tilted disc");
  const from = await placeOf(page, "Main streets, right");
  const before = (await saved(page, id)).shots[0];
  await dragOnSheet(page, from, [from[0] - 20, from[1] + 15]);
  const to = await placeOf(page, "Main streets, right");
  expect(Math.hypot(to[0] - from[0] + 20, to[1] - from[1] - 15)).toBeLessThan(1);
  const after = (await saved(page, id)).shots[0];
  expect(after.lens).toEqual(before.lens);
  expect(after.gaze.roll).toBe(before.gaze.roll);
  expect(after.gaze.heading).not.toBeCloseTo(before.gaze.heading, 0);
  await pin(page, "Main streets, right").focus();
  await page.keyboard.press("Shift+ArrowRight");
  expect((await placeOf(page, "Main streets, right"))[0]).toBeCloseTo(to[0] + 5, 0);
  await expect(pin(page, "Main streets, right, opposite")).toHaveCount(1);
  await page.reload();
  await expect(pin(page, "Main streets, right")).toHaveCount(1);
});

test("six points by three gestures: placed, slid, and the third follows; then named, swapped and mirrored", async ({
  page,
}) => {
  const id = await openNew(page);
  await fold(page);
  await setUp(page, "Six points: a tilted disc");
  await page.getByRole("button", { name: "Place six points by hand" }).click();
  await page.mouse.move(...(await onSheet(page, 210, 148.5)));
  await expect(
    page.getByText("It stands in the very middle: its horizon is the rim, and five points are seen."),
  ).toBeVisible();
  await page.mouse.click(...(await onSheet(page, 150, 120)));
  await expect(
    page.getByText("Slide the second point along that horizon, and let go. The third follows."),
  ).toBeVisible();
  await page.mouse.click(...(await onSheet(page, 150, 120)));
  await expect(page.getByText(/^This is the first point itself/)).toBeVisible();
  await dragOnSheet(page, [260, 170], [250, 200]);
  await expect(page.getByText(/^The third is /)).toBeVisible();
  const pins = ["Main streets, left", "Main streets, right", "Uprights"];
  const places = async () =>
    (await Promise.all(pins.map(async (name) => (await slip(page, name).textContent())!))).sort();
  const first = await places();
  expect(first).toContain("150 mm in from the left, 120 mm from the top");
  const placed = (await saved(page, id)).shots[0].gaze;

  // 66.4 mm off C, where k = 93.5 mm: 2 atan(66.4 / 93.5) = 70.8 degrees off the gaze, which looks the rest down, or
  // up.
  const pitch = async () => (await saved(page, id)).shots[0].gaze.pitch;
  await page.getByLabel("First point is").selectOption("down");
  await expect.poll(pitch).toBeCloseTo(-19.2, 1);
  await page.getByLabel("First point is").selectOption("up");
  await expect.poll(pitch).toBeCloseTo(19.2, 1);
  expect(await placeOf(page, "Uprights")).toEqual([150, 120]);
  await page.getByRole("button", { name: "Swap" }).click();
  await expect.poll(() => placeOf(page, "Uprights")).not.toEqual([150, 120]);
  await page.getByRole("button", { name: "Swap" }).click();
  await page.getByRole("button", { name: "Mirror" }).click();
  // 60 mm left of C becomes 60 mm right of it.
  await expect.poll(() => placeOf(page, "Uprights")).toEqual([270, 120]);
  for (let i = 0; i < 5; i++) await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(async () => (await saved(page, id)).shots[0].gaze).toEqual(placed);

  // The same by keys alone, and given up.
  await page.getByRole("button", { name: "Done" }).click();
  await page.getByRole("button", { name: "Place six points by hand" }).click();
  for (const key of [
    "Shift+ArrowRight",
    "Shift+ArrowDown",
    "Enter",
    "Shift+ArrowUp",
    "Shift+ArrowUp",
    "Shift+ArrowUp",
    "Enter",
  ])
    await page.keyboard.press(key);
  await expect(page.getByText(/^The third is /)).toBeVisible();
  expect((await saved(page, id)).shots[0].gaze).not.toEqual(placed);
  await page.getByRole("button", { name: "Done" }).click();
  await page.getByRole("button", { name: "Place six points by hand" }).click();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: "Place six points by hand" })).toBeVisible();
});

test("two discs back to back show all six points, and turn together", async ({ page }) => {
  const id = await openNew(page);
  await fold(page);
  await setUp(page, "Six points: two discs, back to back");
  await expect(page.getByRole("list", { name: "Shots" }).getByRole("listitem")).toHaveCount(2);
  const [front, back] = (await saved(page, id)).shots;
  expect(back.backOf).toBe(front.id);
  // What lies off this disc is on the other one, and not beside it.
  await expect(pin(page, "Main streets, right")).toHaveCount(1);
  await expect(page.getByRole("button", { name: /^vanishing point .*, opposite, / })).toHaveCount(0);
  await dragHandle(page, pin(page, "Main streets, right"), -40, 30);
  const [turned, followed] = (await saved(page, id)).shots;
  expect(turned.gaze.heading).not.toBeCloseTo(front.gaze.heading, 1);
  expect(followed.gaze.pitch).toBeCloseTo(-turned.gaze.pitch, 9);
  await page.getByRole("button", { name: /^Work on the panel First shot, behind/ }).click();
  await dragHandle(page, pin(page, "Main streets, left"), 20, 20);
  const [led, leading] = (await saved(page, id)).shots;
  expect(leading.gaze).not.toEqual(followed.gaze);
  expect(led.gaze.pitch).toBeCloseTo(-leading.gaze.pitch, 9);
  const svg = await (await page.request.get(`/api/scenes/${id}/exports/s1.svg?page=1`)).text();
  for (const panel of ["panel-1", "panel-2"]) expect(svg).toContain(`<g id="${panel}-grid-upright"`);
  await page.getByRole("button", { name: "Undo" }).click();
  expect((await saved(page, id)).shots.map(({ gaze }) => gaze)).toEqual([turned.gaze, followed.gaze]);
});

test("a corner is raised in a disc along its curves, with hidden lines", async ({ page }) => {
  const id = await openNew(page);
  await fold(page);
  await setUp(page, "Six points: a tilted disc");
  await page.getByRole("button", { name: "Masses" }).click();
  await dragOnSheet(page, [215, 175], [212, 145]);
  await expect(page.getByText("Step 2 of 3")).toBeVisible();
  await dragOnSheet(page, [190, 165], [180, 160]);
  await expect(page.getByText("Step 3 of 3")).toBeVisible();
  await dragOnSheet(page, [240, 165], [250, 160]);
  const {
    elements: [block],
    shots: [shot],
  } = await saved(page, id);
  expect([block.height, block.length, block.width].every((size) => size > 0.2)).toBe(true);
  expect(shot.lens.law).toBe("stereographic");
  await page.getByRole("checkbox", { name: "Hidden lines" }).check();
  await saved(page, id);
  const svg = await (await page.request.get(`/api/scenes/${id}/exports/s1.svg`)).text();
  for (const layer of ['outlines[^"]*', "hidden"])
    expect(svg).toMatch(new RegExp(`<g id="${layer}"[^>]*>\\n<title>[^<]*</title>\\n<path d="M[-\\d.]+ [-\\d.]+[CL]`));
});

test("the compass's arcs lie over the exact curves, are judged, picked line by line, and printed", async ({ page }) => {
  const id = await openNew(page);
  await fold(page);
  await setUp(page, "Six points: a tilted disc");
  await lens(page, "Equidistant fisheye");
  await page.getByRole("checkbox", { name: "Compass arcs over the curves" }).check();
  const findings = page.getByRole("region", { name: "Findings" });
  await expect(
    findings.getByText(/The compass arc departs from the exact curve by up to [\d.]+ mm/).first(),
  ).toBeVisible();
  await expect(findings.getByText(/round things are drawn up to/)).toBeVisible();
  await page.getByRole("button", { name: "Pick a line to draw by compass" }).click();
  await page.getByLabel("Line 1 runs to").selectOption({ label: "Uprights" });
  const picked = page.getByRole("region", { name: "Lines to draw by compass" });
  await expect(
    picked.getByText(
      /^foot [\d.]+ mm (left|right), [\d.]+ mm (up|down) from C \(.*\), opening [\d.]+ mm, up to [\d.]+ mm off the exact curve$/,
    ),
  ).toBeVisible();
  const told = await picked.getByText(/^foot/).textContent();
  await dragHandle(page, page.getByRole("button", { name: /^line 1 to Uprights/ }), 60, 20);
  await expect(picked.getByText(/^foot/)).not.toHaveText(told!);

  await findings.getByRole("button", { name: "Take the stereographic lens" }).first().click();
  await expect(findings.getByText(/compass arc departs/)).toHaveCount(0);
  await expect(picked.getByText(/opening [\d.]+ mm$/)).toBeVisible();
  await saved(page, id);
  const svg = await (await page.request.get(`/api/scenes/${id}/exports/s1.svg`)).text();
  for (const layer of ["compass-arcs", "compass-feet", "compass-lines"]) expect(svg).toContain(`<g id="${layer}"`);
  expect(svg).not.toContain("compass-difference");

  await page.getByRole("link", { name: /Set-up sheet/ }).click();
  await expect(page.getByRole("heading", { name: "Lines you picked" })).toBeVisible();
  await expect(page.getByText("Line 1, to Uprights", { exact: false })).toBeVisible();
  await expect(page.getByText(/feet on the line through/).first()).toBeVisible();
});

test("blank grids to trace come as one ZIP, and can be stopped", async ({ page }) => {
  await openNew(page);
  await page.getByRole("button", { name: "Hand-over" }).click();
  await page.getByText("Blank grids to trace").click();
  await type(page, "PNG resolution", "36");
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Save blank grids" }).click(),
  ]);
  expect(file.suggestedFilename()).toBe("Test-table-blank-grids.zip");
  expect(
    readFileSync(await file.path())
      .subarray(0, 2)
      .toString(),
  ).toBe("PK");
  await type(page, "PNG resolution", "600");
  await page.getByRole("button", { name: "Save blank grids" }).click();
  await page.getByRole("button", { name: "Stop" }).click();
  await expect(page.getByText("The print was stopped.").first()).toBeVisible();
});

test("a point of a panorama is caught on its straight horizon", async ({ page }) => {
  const id = await openNew(page);
  await fold(page);
  await setUp(page, "Four points: a panorama");
  const [x, y] = await placeOf(page, "Main streets, right");
  const gaze = async () => (await saved(page, id)).shots[0].gaze;
  // 3 mm off the horizon it stays level; 20 mm off, the view looks up or down.
  await dragOnSheet(page, [x, y], [x - 20, y + 3]);
  const level = await gaze();
  expect([level.pitch, level.heading === 0]).toEqual([expect.closeTo(0, 9), false]);
  await dragOnSheet(page, [x - 20, y], [x - 20, y + 20]);
  expect(Math.abs((await gaze()).pitch)).toBeGreaterThan(1);
});
