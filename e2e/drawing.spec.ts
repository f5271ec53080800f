import { expect, test, type Page } from "@playwright/test";
import type { OwnLine } from "@zanvo/core/lines";
import { dragOnSheet, onSheet, openNew, saved, type, withKiosk } from "./table";

/** Goes to where one draws, and takes a tool up. */
async function draw(page: Page, tool = "Rule a line"): Promise<void> {
  await page.getByRole("navigation", { name: "Stages" }).getByRole("button", { name: "Draw" }).click();
  await expect(page.getByTestId("draw-surface")).toBeVisible();
  await takeUp(page, tool);
}
const takeUp = (page: Page, tool: string) =>
  page.getByRole("toolbar", { name: "Drawing tools" }).getByRole("button", { name: tool }).click();
/** Holds the plane of the kiosk's right wall: its near corner stands straight ahead, the wall right of it. */
async function holdWall(page: Page): Promise<void> {
  await page.getByLabel("Belongs to").selectOption("under");
  const [x, y] = await onSheet(page, 228, 150);
  await page.mouse.move(x, y);
  await page.mouse.move(x + 1, y);
  await expect(page.getByRole("button", { name: /^Hold Kiosk/ })).toBeVisible();
  await page.keyboard.press("p");
}
const press = async (page: Page, x: number, y: number) => page.mouse.click(...(await onSheet(page, x, y)));
const tag = (page: Page, text: RegExp) => page.getByRole("status").filter({ hasText: text });
const chosen = (page: Page) => page.getByRole("region", { name: "Chosen lines" });
const only = <K extends OwnLine["kind"]>(lines: readonly OwnLine[] | undefined, kind: K) => {
  const found = (lines ?? []).filter((line): line is Extract<OwnLine, { kind: K }> => line.kind === kind);
  expect(found).toHaveLength(1);
  return found[0];
};
/** The right point of a new scene's streets: 35 degrees to the right of the gaze, 300 mm before the eye. */
const RIGHT = [210 + 300 * Math.tan((35 * Math.PI) / 180), 148.5];

test("a ruled line finds its point off the page, takes a typed length, and comes back after a reload", async ({
  page,
}) => {
  const id = await openNew(page);
  await draw(page);
  // From (120, 250) the right point lies at -19.4 degrees; the hand is a degree or so off.
  await dragOnSheet(page, [120, 250], [260, 198], false);
  await expect(tag(page, /^Main streets, right · \d\.\d° off · 1\d\d(\.\d)? mm/)).toBeVisible();
  await page.mouse.up();
  const line = only((await saved(page, id)).shots[0].lines, "ruled");
  const turn = (p: readonly number[]) => Math.atan2(p[1] - line.from[1], p[0] - line.from[0]);
  expect(turn(line.to)).toBeCloseTo(turn(RIGHT), 9);
  await expect(chosen(page).getByText("Runs to Main streets, right.")).toBeVisible();
  await type(page, "Length", "80", chosen(page));
  const typed = only((await saved(page, id)).shots[0].lines, "ruled");
  expect(Math.hypot(typed.to[0] - typed.from[0], typed.to[1] - typed.from[1])).toBeCloseTo(80, 9);
  expect(turn(typed.to)).toBeCloseTo(turn(RIGHT), 9);

  // Freely with Alt; then led to its set.
  await page.keyboard.down("Alt");
  await dragOnSheet(page, [100, 60], [240, 80]);
  await page.keyboard.up("Alt");
  await expect(chosen(page).getByText(/^Misses Main streets, \w+ by \d+(\.\d)?°/)).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  expect((await saved(page, id)).shots[0].lines).toHaveLength(1);
  await page.reload();
  await expect(page.getByTestId("draw-surface")).toBeVisible();
  await page.keyboard.press("Control+z");
  expect(only((await saved(page, id)).shots[0].lines, "ruled")).toEqual(line);
});

test("a set is held by a key and by a button, and a line is pressed from place to place", async ({ page }) => {
  const id = await openNew(page);
  await draw(page);
  await dragOnSheet(page, [120, 250], [260, 198], false);
  await page.keyboard.press("h");
  await page.mouse.up();
  await expect(page.getByLabel("Aims at")).toHaveValue("main-right");
  // Held, a line that points elsewhere runs to it all the same; pressed, moved, its length typed.
  await press(page, 60, 100);
  await page.mouse.move(...(await onSheet(page, 150, 200)));
  await expect(tag(page, /^Main streets, right · 4\d\.\d° off/)).toBeVisible();
  await page.keyboard.type("50");
  await page.keyboard.press("Enter");
  const [, line] = (await saved(page, id)).shots[0].lines ?? [];
  expect(line).toMatchObject({ kind: "ruled" });
  if (line.kind !== "ruled") return;
  const way = [line.to[0] - line.from[0], line.to[1] - line.from[1]];
  expect(Math.hypot(...way)).toBeCloseTo(50, 9);
  expect(Math.atan2(way[1], way[0])).toBeCloseTo(Math.atan2(RIGHT[1] - line.from[1], RIGHT[0] - line.from[0]), 9);
  await page.getByRole("button", { name: "Let go of the set" }).click();
  await expect(page.getByLabel("Aims at")).toHaveValue("near");
  // Escape leaves nothing behind.
  await press(page, 60, 60);
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: "Cancel (Esc)" })).toHaveCount(0);
  expect((await saved(page, id)).shots[0].lines).toHaveLength(2);
});

test("a rectangle on a wall is in true measure, and every shot shows it until something stands before it", async ({
  page,
}) => {
  const id = await openNew(page, withKiosk);
  await draw(page, "Rectangle");
  await holdWall(page);
  await dragOnSheet(page, [224, 140], [240, 165]);
  await expect(chosen(page).getByText(/On Kiosk, .*: every shot shows it\./)).toBeVisible();
  await type(page, "Width", "1.2", chosen(page));
  await type(page, "Height", "0.9", chosen(page));
  const shape = only((await saved(page, id)).lines, "polyline");
  const sides = shape.points.map((p, i) => {
    const q = shape.points[(i + 1) % 4];
    return Math.hypot(p[0] - q[0], p[1] - q[1]);
  });
  expect(sides).toEqual([1.2, 0.9, 1.2, 0.9].map((side) => expect.closeTo(side, 9)));
  // The wall runs along the right set of the streets: heading -55 + 90.
  const { plane } = shape as Extract<OwnLine, { plane: object }>;
  expect(plane.tilt).toBe(90);
  expect(Math.abs(Math.sin(((plane.heading - 35) * Math.PI) / 180))).toBeLessThan(1e-9);
  const svg = async (shot: string) => (await page.request.get(`/api/scenes/${id}/exports/${shot}.svg`)).text();
  expect(await svg("s1")).toContain('id="own-lines-medium"');
  await page.getByRole("button", { name: "New shot from this one" }).click();
  const scene = await saved(page, id);
  const [, other] = scene.shots;
  expect(await svg(other.id)).toContain('id="own-lines-medium"');
  // From behind, the kiosk itself stands before it.
  const { etag } = (await page.request.get(`/api/scenes/${id}`)).headers();
  const behind = { ...other, eye: { ...other.eye, y: 22 }, gaze: { ...other.gaze, heading: 180 } };
  const turned = { ...scene, shots: [scene.shots[0], behind] };
  expect((await page.request.put(`/api/scenes/${id}`, { data: turned, headers: { "If-Match": etag } })).ok()).toBe(
    true,
  );
  expect(await svg("s1")).toContain('id="own-lines-medium"');
  expect(await svg(other.id)).not.toContain('id="own-lines-medium"');
});

test("strokes are kept, straightened and cut by the eraser", async ({ page }) => {
  const id = await openNew(page);
  await draw(page, "Pencil");
  await dragOnSheet(page, [60, 60], [160, 90]);
  const stroke = only((await saved(page, id)).shots[0].lines, "stroke");
  expect(stroke.samples.length % 3).toBe(0);
  expect(stroke.samples.slice(0, 2).map(Math.round)).toEqual([60, 60]);
  await page.getByLabel("Straighten to the set it aims at").check();
  await dragOnSheet(page, [120, 250], [260, 198]);
  const line = only((await saved(page, id)).shots[0].lines, "ruled");
  expect(Math.atan2(line.to[1] - line.from[1], line.to[0] - line.from[0])).toBeCloseTo(
    Math.atan2(RIGHT[1] - line.from[1], RIGHT[0] - line.from[0]),
    9,
  );
  // Right across the ruled line: two are left of it, one step back brings it back whole.
  await takeUp(page, "Eraser");
  await dragOnSheet(page, [190, 200], [190, 250]);
  const { lines = [] } = (await saved(page, id)).shots[0];
  expect(lines.filter(({ kind }) => kind === "ruled")).toHaveLength(2);
  await page.keyboard.press("Control+z");
  expect(only((await saved(page, id)).shots[0].lines, "ruled")).toEqual(line);
});

test("a line is divided towards its point, by a rhythm that is read word by word", async ({ page }) => {
  const id = await openNew(page);
  await draw(page, "Steps along a line");
  await dragOnSheet(page, [120, 250], [300, 183]);
  await expect(chosen(page).getByText(/^Even spacing on paper would be off by up to \d+(\.\d)? mm\.$/)).toBeVisible();
  const parts = chosen(page).getByLabel("Parts: a number, or a rhythm");
  await parts.fill("2 4 twice");
  await parts.press("Enter");
  await expect(chosen(page).getByText('word 3, "twice", has no size after it.')).toBeVisible();
  expect(only((await saved(page, id)).shots[0].lines, "spacing").parts).toBe("5");
  await parts.fill("2 4 x3");
  await parts.press("Enter");
  expect(only((await saved(page, id)).shots[0].lines, "spacing")).toMatchObject({
    parts: "2 4 x3",
    towards: "main-right",
  });
});

test("a wall that is pressed, or four corners, is divided and repeated; crossed corners are refused", async ({
  page,
}) => {
  const id = await openNew(page, withKiosk);
  await draw(page, "Divide four corners");
  const corners: [number, number][] = [
    [60, 220],
    [150, 200],
    [150, 110],
    [60, 90],
  ];
  for (const at of [corners[0], corners[2], corners[1], corners[3]]) await press(page, ...at);
  await expect(page.getByText("The corners cross: press them in their order around.")).toBeVisible();
  // The first three stay for another fourth, until they are given up.
  await page.keyboard.press("Escape");
  for (const at of corners) await press(page, ...at);
  await type(page, "Repeats after", "2", chosen(page));
  await chosen(page).getByLabel("Drawn by").selectOption("diagonals");
  expect(only((await saved(page, id)).shots[0].lines, "quad")).toMatchObject({
    columns: "5",
    after: 2,
    school: "diagonals",
  });
  await type(page, "Repeats before", "40", chosen(page));
  await expect(chosen(page).getByText("It would go on behind the eye: repeat it fewer times.")).toBeVisible();
  await page.keyboard.press("Escape");
  await page.getByLabel("Take the corners of the wall I press").check();
  await press(page, 228, 150);
  expect(((await saved(page, id)).shots[0].lines ?? []).filter(({ kind }) => kind === "quad")).toHaveLength(2);
});

test("lines are chosen, moved, cut at others, led on to others and deleted", async ({ page }) => {
  const line = (name: string, from: [number, number], to: [number, number]) => ({
    id: name,
    kind: "ruled" as const,
    weight: "medium" as const,
    from,
    to,
  });
  const id = await openNew(page, (scene) => {
    scene.shots[0] = {
      ...scene.shots[0],
      show: { bundles: 0 },
      lines: [
        line("across", [60, 100], [160, 100]),
        line("down", [100, 60], [100, 140]),
        line("short", [130, 60], [130, 80]),
      ],
    };
  });
  await draw(page, "Choose");
  await press(page, 80, 100);
  await chosen(page).getByRole("button", { name: "Trim" }).click();
  await press(page, 130, 100);
  const ends = async () =>
    ((await saved(page, id)).shots[0].lines ?? []).flatMap((one) => (one.kind === "ruled" ? [[one.from, one.to]] : []));
  expect(await ends()).toContainEqual([
    [60, 100],
    [expect.closeTo(100, 6), 100],
  ]);
  await page.keyboard.press("Control+z");
  await takeUp(page, "Choose");
  await press(page, 130, 70);
  await chosen(page).getByRole("button", { name: "Extend" }).click();
  await press(page, 130, 79);
  expect(await ends()).toContainEqual([
    [130, 60],
    [130, expect.closeTo(100, 6)],
  ]);
  await takeUp(page, "Choose");
  await dragOnSheet(page, [100, 130], [110, 135]);
  expect(await ends()).toContainEqual([
    [expect.closeTo(110, 0), expect.closeTo(65, 0)],
    [expect.closeTo(110, 0), expect.closeTo(145, 0)],
  ]);
  await page.keyboard.press("Delete");
  expect(await ends()).toHaveLength(2);
});

test("a construction is shown step by step beside the drawing, played, and saved as small pictures", async ({
  page,
}) => {
  const id = await openNew(page, withKiosk);
  await draw(page);
  await page.getByText("How it is made").click();
  await page.getByLabel("Construction", { exact: true }).selectOption("third-point");
  await expect(page.getByRole("alert").filter({ hasText: "The gaze is level" })).toBeVisible();
  await page.getByLabel("Construction", { exact: true }).selectOption("block");
  await expect(page.getByText(/^Mark the foot of the near corner, 210 mm in from the left, /)).toBeVisible();
  await page.getByRole("button", { name: "Step forward" }).click();
  await expect(page.getByText("Step 2 of 8")).toBeVisible();
  await page.getByRole("button", { name: "Play" }).click();
  await expect(page.getByText("Step 3 of 8")).toBeVisible();
  await page.getByRole("button", { name: "Pause" }).click();
  await page.getByRole("button", { name: "Step back" }).click();
  await expect(page.getByText("Step 2 of 8")).toBeVisible();
  for (const name of ["Small pictures", "With the slip"]) {
    const file = page.waitForEvent("download");
    await page.getByRole("button", { name }).click();
    expect((await file).suggestedFilename()).toBe("Test-table-First-shot-block.pdf");
  }
  // Its light lines on the drawing itself, up to a step; off again in one press.
  await page.getByLabel("Light lines on the drawing").check();
  await page.getByLabel("Through to their points").check();
  await type(page, "Up to step", "3");
  expect((await saved(page, id)).shots[0]).toMatchObject({ construction: { through: true, upTo: 3 } });
  const svg = async () => (await page.request.get(`/api/scenes/${id}/exports/s1.svg`)).text();
  await expect.poll(svg).toContain('id="construction"');
  await page.getByLabel("Light lines on the drawing").uncheck();
  await saved(page, id);
  expect(await svg()).not.toContain('id="construction"');
  await page.getByRole("button", { name: "Close the construction" }).click();
  await expect(page.getByText(/^Step \d of/)).toHaveCount(0);
});

test("a plane opens flat, to scale: what is drawn there is in true measure on paper, too", async ({ page }) => {
  const id = await openNew(page, withKiosk);
  await draw(page, "Rectangle");
  await holdWall(page);
  await page.getByRole("button", { name: "Open the plane flat, to scale" }).click();
  // The wall is 3 m by 3 m: at 1 : 20 it is 150 mm by 150 mm, at 1 : 10 it would be higher than the panel.
  await expect(page.getByRole("button", { name: /Kiosk, .* flat, 1 : 20/ }).first()).toBeVisible();
  await page.keyboard.down("Alt");
  await dragOnSheet(page, [150, 120], [200, 160]);
  await page.keyboard.up("Alt");
  const scene = await saved(page, id);
  expect(scene.shots).toHaveLength(2);
  const shape = only(scene.lines, "polyline");
  const [a, b, c] = shape.points;
  // 50 mm by 40 mm on paper are 1 m by 0.8 m, as nearly as the mouse goes.
  expect(Math.abs(b[0] - a[0])).toBeCloseTo(1, 1);
  expect(Math.abs(c[1] - b[1])).toBeCloseTo(0.8, 1);
});

test("a circle on the ground is made an arc, and shown by eight points", async ({ page }) => {
  const id = await openNew(page);
  await draw(page, "Circle");
  await page.getByLabel("Belongs to").selectOption("ground");
  await dragOnSheet(page, [210, 220], [230, 222]);
  await type(page, "Radius", "0.8", chosen(page));
  await type(page, "Arc over", "120", chosen(page));
  expect(only((await saved(page, id)).lines, "circle")).toMatchObject({ radius: 0.8, arc: { from: 0, over: 120 } });
  await page.getByText("How it is made").click();
  await page.getByLabel("Construction", { exact: true }).selectOption("circle");
  await expect(page.getByText(/^Draw the square around it: its near corner/)).toBeVisible();
});

test("tools that somebody has are told of, on the slip and in a construction", async ({ page }) => {
  const id = await openNew(page, withKiosk);
  await page.getByRole("button", { name: "Sheet", exact: true }).click();
  await page.getByText("My tools").click();
  await page.getByLabel("I draw with these alone").check();
  await type(page, "Longest ruler", "430");
  await expect(page.getByText(/^Main streets, left: lines to it are up to 638 mm, so lay your ruler/)).toBeVisible();
  expect((await saved(page, id)).tools).toMatchObject({ ruler: 430, tape: true });
  await draw(page);
  await page.getByText("How it is made").click();
  await page.getByLabel("Construction", { exact: true }).selectOption("square");
  await expect(page.getByText(/by its edge ticks/)).toBeVisible();
  await page.getByRole("link", { name: "Set-up sheet" }).click();
  await expect(page.getByRole("region", { name: "With your tools" })).toBeVisible();
});

test("in a curved lens lines bend, and are cut and led on along their curves", async ({ page }) => {
  const line = (name: string, from: [number, number], to: [number, number]) => ({
    id: name,
    kind: "ruled" as const,
    weight: "medium" as const,
    from,
    to,
  });
  const id = await openNew(page, (scene) => {
    const [shot] = scene.shots;
    scene.shots[0] = {
      ...shot,
      lens: { ...shot.lens, law: "stereographic", distance: 120 },
      show: { bundles: 0 },
      lines: [
        line("arc", [100, 80], [200, 60]),
        line("post", [150, 40], [150, 120]),
        line("far", [260, 20], [260, 120]),
      ],
    };
  });
  const arc = async () =>
    ((await saved(page, id)).shots[0].lines ?? []).flatMap((one) =>
      one.kind === "ruled" && one.id !== "post" && one.id !== "far" ? [one] : [],
    );
  await draw(page, "Choose");
  await press(page, 101, 80);
  await chosen(page).getByRole("button", { name: "Extend" }).click();
  await press(page, 199, 60);
  const [longer] = await arc();
  // Both bend: the far one bows a little to the right, and the line does not go straight on to y 48.
  expect(Math.abs(longer.to[0] - 262)).toBeLessThan(2);
  expect(Math.abs(longer.to[1] - 48)).toBeGreaterThan(0.5);
  await takeUp(page, "Choose");
  await press(page, 101, 80);
  await chosen(page).getByRole("button", { name: "Trim" }).click();
  await press(page, 102, 80);
  const [cut] = await arc();
  expect(Math.abs(cut.from[0] - 150)).toBeLessThan(2);
});

test("lines are drawn without a mouse: a cursor moved by keys presses, and draws a stroke", async ({ page }) => {
  const id = await openNew(page);
  await draw(page);
  await page.getByLabel("Aims at").selectOption("free");
  const desk = page.getByRole("application", { name: "Desk" });
  await desk.focus();
  const go = async (key: string, times: number) => {
    for (let i = 0; i < times; i++) await page.keyboard.press(key);
  };
  await go("Shift+ArrowLeft", 3);
  await page.keyboard.press("Enter");
  await go("Shift+ArrowRight", 4);
  await page.keyboard.press("Enter");
  const line = only((await saved(page, id)).shots[0].lines, "ruled");
  expect(line.to[0] - line.from[0]).toBeGreaterThan(40);
  expect(Math.abs(line.to[1] - line.from[1])).toBeLessThan(5);
  await takeUp(page, "Pencil");
  await desk.focus();
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("Enter");
  await go("Shift+ArrowDown", 2);
  await page.keyboard.press("Enter");
  expect(only((await saved(page, id)).shots[0].lines, "stroke").samples.length).toBeGreaterThan(3);
});
