import { expect, test, type Page } from "@playwright/test";
import { dragHandle, openNew, saved, slip, type } from "./table";

const svgOf = async (page: Page, id: string) => (await page.request.get(`/api/scenes/${id}/exports/s1.svg`)).text();
/** The lines of one layer of an exported drawing: x1 y1 x2 y2 in mm. */
async function layer(page: Page, id: string, name: string): Promise<number[][]> {
  await saved(page, id);
  const [, path = ""] =
    new RegExp(`<g id="${name}"[^>]*>\\n<title>[^<]*</title>\\n<path d="([^"]*)"`).exec(await svgOf(page, id)) ?? [];
  return [...path.matchAll(/M(\S+) (\S+)L([^M\s]+) ([^M\s]+)/g)].map((match) => match.slice(1).map(Number));
}
const grid = (page: Page) => page.getByRole("button", { name: "Grid", exact: true }).click();

test(
  "a slope has a point above and one below the horizon, on the upright of its street's point, and " + "is dragged",
  async ({ page }) => {
    const id = await openNew(page);
    await page.getByText("Directions and slopes", { exact: true }).click();
    await page.getByRole("button", { name: "Add a slope" }).click();
    // 210 - 300 tan 55 degrees = -218.4; tan 35 degrees of the eye's way there, hypot(428.4, 300) = 523.0 mm, are 366.2
    // mm.
    await expect(slip(page, "Roofs, rising")).toHaveText("218.4 mm left of the sheet, 217.7 mm above it");
    await expect(slip(page, "Roofs, falling")).toHaveText("218.4 mm left of the sheet, 217.7 mm below it");
    await type(page, "Gradient", "20", page.getByRole("region", { name: "Roofs" }));
    await expect(slip(page, "Roofs, rising")).toHaveText("218.4 mm left of the sheet, 41.9 mm above it");
    await page.keyboard.press("d");
    await dragHandle(page, page.getByRole("button", { name: /^point of Roofs, rising lines/ }), 40, -60);
    const {
      orientations: [main],
      shots: [shot],
    } = await saved(page, id);
    expect(main.slopes![0].rise).toBeGreaterThan(22);
    expect(shot.gaze).toEqual({ heading: 0, pitch: 0, roll: 0 });
    await page.getByRole("button", { name: /^point of Roofs, rising lines/ }).focus();
    await page.keyboard.press("Shift+ArrowDown");
    expect((await saved(page, id)).orientations[0].slopes![0].rise).toBeLessThan(main.slopes![0].rise);
    await page.getByRole("region", { name: "Roofs" }).getByRole("radio", { name: "Along" }).click();
    await expect(slip(page, "Roofs, rising")).toHaveText(/above the sheet/);
    await expect(slip(page, "Roofs, rising")).not.toHaveText(/left of the sheet/);
    expect((await layer(page, id, `grid-${main.slopes![0].id}-up`)).length).toBeGreaterThan(10);
  },
);

test("only the chosen building's sets are shown, or those one wants; a building turned like none gets its own", async ({
  page,
}) => {
  const id = await openNew(page, (scene) => {
    scene.orientations.push({ id: "canal", name: "Canal", heading: 60 });
    scene.elements.push({
      id: "house",
      kind: "block",
      name: "Net loft",
      origin: { x: 0, y: 20, z: 0 },
      heading: -30,
      length: 6,
      width: 6,
      height: 9,
    });
  });
  const pins = page.getByRole("button", { name: /vanishing point/ });
  await page.keyboard.press("c");
  await page.getByRole("application").click({ position: { x: 480, y: 330 } });
  await expect(page.getByLabel("Name of the building")).toHaveValue("Net loft");
  await grid(page);
  await expect(pins).toHaveCount(4);
  await page.getByRole("radio", { name: "Of the building" }).click();
  await expect(pins).toHaveCount(2);
  await expect(page.getByRole("button", { name: /vanishing point of Canal/ })).toHaveCount(2);
  await expect(page.getByRole("region", { name: "Main streets, left" })).toHaveCount(0);
  await page.getByRole("radio", { name: "All sets" }).click();
  await page.getByRole("checkbox", { name: "Canal, left" }).uncheck();
  await expect(pins).toHaveCount(3);
  expect(await layer(page, id, "grid-canal-left")).toEqual([]);
  await page.reload();
  await expect(pins).toHaveCount(3);

  await page.getByRole("button", { name: "Masses" }).click();
  await type(page, "Heading", "-40", page.getByRole("region", { name: "Chosen building" }));
  await grid(page);
  await page.getByRole("radio", { name: "Of the building" }).click();
  await page.getByRole("button", { name: "Add its directions" }).click();
  expect((await saved(page, id)).orientations.at(-1)).toMatchObject({ name: "As Net loft", heading: -40 });
  await expect(pins).toHaveCount(2);
});

test("a bundle is even at the panel's edge where that is wanted, and keeps the room that is asked for", async ({
  page,
}) => {
  const id = await openNew(page);
  await grid(page);
  const row = page.getByRole("region", { name: "Main streets, left" });
  await row.getByRole("radio", { name: "At the edge" }).click();
  await type(page, "Spacing, far side", "15", row);
  const heights = (lines: number[][]) =>
    lines.map(([x1, y1, x2, y2]) => y1 + ((y2 - y1) * (405 - x1)) / (x2 - x1)).sort((a, b) => a - b);
  const even = heights(await layer(page, id, "grid-main-left"));
  for (let i = 1; i < even.length; i++) expect(even[i] - even[i - 1]).toBeCloseTo(15, 1);
  await page.getByText("Line spacing").click();
  await type(page, "Clear around points", "120");
  const right = 210 + 300 * Math.tan((35 * Math.PI) / 180);
  const lines = await layer(page, id, "grid-main-right");
  expect(lines.length).toBeGreaterThan(20);
  for (const [x1, y1, x2, y2] of lines)
    expect(Math.min(Math.hypot(x1 - right, y1 - 148.5), Math.hypot(x2 - right, y2 - 148.5))).toBeGreaterThan(119.9);
});

test("squares carry their measures and fade; measuring and distance points are shown", async ({ page }) => {
  const id = await openNew(page);
  await grid(page);
  await page.getByRole("button", { name: "Lay out squares" }).click();
  await page.getByLabel("Numbers in metres").check();
  await page.getByLabel("Fades with distance").check();
  await type(page, "Gone at", "20");
  await saved(page, id);
  const svg = await svgOf(page, id);
  for (const name of ["measured-1", "measured-1-2", "measured-1-4", "heavy-1", "numbers-1"])
    expect(svg).toContain(`<g id="${name}"`);
  // Ground 20 m before an eye 1.6 m high lies 300 * 1.6 / 20 = 24 mm below the horizon: nothing is drawn above that.
  const far = await layer(page, id, "measured-1-4");
  expect(Math.min(...far.flatMap(([, y1, , y2]) => [y1, y2]))).toBeGreaterThan(148.5 + 24 - 0.01);

  await page.getByRole("button", { name: "Points", exact: true }).click();
  await page.getByLabel("Measuring and distance points").check();
  await page.getByText("View in numbers").click();
  await type(page, "Heading", "35", page.getByRole("group").filter({ hasText: "View in numbers" }));
  await type(page, "Picture distance", "180");
  // C - d and C + d: crosses at 30 and 390 mm.
  const xs = (await layer(page, id, "measuring"))
    .filter(([x1, y1, x2, y2]) => y1 === y2 && x2 - x1 > 5.9)
    .map(([x1, , x2]) => (x1 + x2) / 2);
  expect(xs.map(Math.round).sort((a, b) => a - b)).toEqual([30, 390]);
  await expect(slip(page, "Distance point, left")).toHaveText("30 mm in from the left, 148.5 mm from the top");
});

test("aids for far points are drawn on the margin as asked", async ({ page }) => {
  const id = await openNew(page);
  await grid(page);
  await page.locator("summary", { hasText: "Aids on the margin" }).click();
  for (const kind of [
    "Numbered edge ticks",
    "Tilts beside the ticks",
    "Arrows to taped-on pins",
    "Centrolinead pegs",
    "Scaled set-up",
  ])
    await page.getByLabel(kind).check();
  await type(page, "A tick every", "20");
  const lines = await layer(page, id, "aids-main-left");
  // A ruler on both places of a number aims at the pin: ticks begin at the left and the right edge, on their line.
  const ticks = (edge: number) =>
    lines
      .filter(([x1, , x2]) => Math.abs(x1 - edge) < 1e-6 && Math.abs(Math.abs(x2 - x1) - 3) < 1e-3)
      .map(([, y]) => y)
      .sort((a, b) => a - b);
  const [near, far] = [ticks(0), ticks(420)];
  expect(near.length).toBeGreaterThan(10);
  expect(near[1] - near[0]).toBeCloseTo(20, 2);
  const pin = 210 - 300 * Math.tan((55 * Math.PI) / 180);
  expect(far[1] - far[0]).toBeCloseTo((20 * (420 - pin)) / -pin, 1);
  expect(await svgOf(page, id)).toContain('<g id="aids-scaled"');
  await page.getByLabel("Aids on the margin", { exact: true }).press("Home");
  expect(await layer(page, id, "aids-main-left")).toEqual([]);
});

test("a margin too narrow for the ticks of all far points says so", async ({ page }) => {
  await openNew(page, (scene) => {
    scene.shots[0].frame = { x: 15, y: 15, width: 403, height: 267 };
  });
  await grid(page);
  await page.locator("summary", { hasText: "Aids on the margin" }).click();
  await page.getByLabel("Numbered edge ticks").check();
  await expect(page.getByText(/No room for the ticks of .* on the margin at the right/)).toBeVisible();
});

test("points of a sketch are laid out, judged, fixed and taken for the view", async ({ page }) => {
  const id = await openNew(page);
  await page.getByText("Points from a sketch").click();
  await page.getByRole("button", { name: "Lay out the points" }).click();
  await type(page, "From the left", "-400", page.getByRole("region", { name: "Left point of the sketch" }));
  await type(page, "From the top", "120", page.getByRole("region", { name: "Left point of the sketch" }));
  await type(page, "From the left", "900", page.getByRole("region", { name: "Right point of the sketch" }));
  await type(page, "From the top", "130", page.getByRole("region", { name: "Right point of the sketch" }));
  const findings = page.getByRole("region", { name: "Findings" });
  await expect(findings).toContainText("The right point lies 10 mm below the level of the left one.");
  await page.getByRole("button", { name: "Bring both to one level" }).click();
  await expect(findings).not.toContainText("below the level");
  await page.getByRole("button", { name: "Add a third point" }).click();
  await page.keyboard.press("d");
  const third = page.getByRole("button", { name: /^third point of the sketch/ });
  await type(page, "From the top", "500", page.getByRole("region", { name: "Third point of the sketch" }));
  await expect(findings).toContainText(
    "not acute: no eye sees them at right angles. The nearest third point that works is",
  );
  await page.getByRole("button", { name: "Take this view" }).click();
  await expect(page.getByText("is not acute, so no eye sees them").first()).toBeVisible();
  await page.getByRole("button", { name: "Take the nearest that works" }).click();
  await dragHandle(page, third, 0, 40);
  await page.getByRole("button", { name: "Take this view" }).click();
  const [shot] = (await saved(page, id)).shots;
  expect(shot.sketch).toBeUndefined();
  expect(shot.gaze.pitch).toBeLessThan(-5);
  await expect(slip(page, "Main streets, left")).toHaveText("400 mm left of the sheet, 125 mm from the top");
  await expect(slip(page, "Main streets, right")).toHaveText("480 mm right of the sheet, 125 mm from the top");
});
