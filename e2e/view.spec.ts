import { expect, test } from "@playwright/test";
import { newScene } from "@zanvo/core/scene";
import { openNew, dragHandle, onSheet, saved, slip, type } from "./table";

test("a sheet is chosen: A4, A2, the comic board with its live area, custom, either way up", async ({ page }) => {
  const id = await openNew(page);
  await page.getByRole("button", { name: "Sheet", exact: true }).click();
  await page.getByLabel("Place").fill("Kestrel Quay");
  expect((await saved(page, id)).place).toBe("Kestrel Quay");
  await page.getByLabel("Paper").selectOption("A4");
  await expect(slip(page, "A4")).toHaveText("297 × 210 mm");
  await page.getByRole("button", { name: "Portrait" }).click();
  await expect(slip(page, "A4")).toHaveText("210 × 297 mm");
  await page.getByLabel("Paper").selectOption("A2");
  await expect(slip(page, "A2")).toHaveText("420 × 594 mm");
  await page.getByLabel("Paper").selectOption("Comic board 11 x 17 in");
  expect((await saved(page, id)).shots[0].sheet.live).toMatchObject({ width: 254, height: 381 });
  await type(page, "Width", "300");
  await type(page, "Height", "200 mm");
  await expect(slip(page, "Sheet")).toHaveText("300 × 200 mm");
  await type(page, "Panel width", "290");
  await expect(page.getByRole("alert")).toHaveText(/The panel would lie [\d.]+ mm beyond the sheet\./);
  await expect(slip(page, "Panel")).toHaveText("270 × 170 mm, 15 mm from left, 15 mm from top");
});

test("the desk is zoomed, moved, and fitted by one key each", async ({ page }) => {
  await openNew(page);
  const head = page.getByRole("button", { name: /^horizon, left end/ });
  const place = async () => (await head.boundingBox())!;
  const home = await place();
  await page.mouse.move(...(await onSheet(page, 210, 148.5)));
  await page.mouse.wheel(0, -120);
  await expect.poll(async () => (await place()).x).toBeLessThan(home.x - 20);
  await page.keyboard.press("s");
  await expect.poll(place).toEqual(home);
  await page.keyboard.down("Space");
  await page.mouse.down();
  await page.mouse.move(...(await onSheet(page, 240, 168.5)), { steps: 4 });
  await page.mouse.up();
  await page.keyboard.up("Space");
  const moved = await place();
  expect(moved.x).toBeGreaterThan(home.x + 30);
  expect(moved.y).toBeGreaterThan(home.y + 20);
  // A trackpad pans by small steps.
  await page.mouse.wheel(12, 8);
  await expect.poll(async () => (await place()).x).toBeCloseTo(moved.x - 12, 0);
  await page.keyboard.press("d");
  const pin = page.getByRole("button", { name: /^left vanishing point/ });
  await expect(pin).not.toHaveAttribute("data-outside");
  await page.keyboard.press("d");
  await expect.poll(place).toEqual(home);
  await expect(pin).toHaveAttribute("data-outside");
});

test("two fingers move and zoom the desk", async ({ browser }) => {
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await openNew(page);
  const head = page.getByRole("button", { name: /^horizon, left end/ });
  const before = (await head.boundingBox())!;
  const cdp = await context.newCDPSession(page);
  const touch = (type: "touchStart" | "touchMove" | "touchEnd", points: [number, number][]) =>
    cdp.send("Input.dispatchTouchEvent", { type, touchPoints: points.map(([x, y], id) => ({ x, y, id })) });
  await touch("touchStart", [[500, 250]]);
  await touch("touchStart", [
    [500, 250],
    [600, 250],
  ]);
  for (let i = 1; i <= 5; i++)
    await touch("touchMove", [
      [500 - 10 * i, 250],
      [600 + 10 * i, 250],
    ]);
  await touch("touchEnd", []);
  // Twice as near, about the middle between the fingers: the panel's left side has left the window.
  await expect(head).toHaveAttribute("data-outside");
  const [x] = await onSheet(page, 15, 148.5);
  expect(before.x + 12).toBeCloseTo(x, 0);
  await context.close();
});

test("the horizon is dragged by its end and typed, and both edges of the sheet say where it is", async ({ page }) => {
  const id = await openNew(page);
  const end = page.getByRole("button", { name: /^horizon, left end/ });
  const [, y0] = await onSheet(page, 0, 0);
  const [, y1] = await onSheet(page, 0, 40);
  await dragHandle(page, end, 0, y0 - y1, false);
  await expect(
    page.getByText(/108\.\d mm from top, 188\.\d mm from bottom|108\.5 mm from top, 188\.5 mm from bottom/).first(),
  ).toBeVisible();
  await page.mouse.up();
  expect((await saved(page, id)).shots[0].lens.centre.y).toBeCloseTo(108.5, 0);
  await page.getByRole("button", { name: "Eye level" }).click();
  await type(page, "Horizon from the top", "100");
  await expect(slip(page, "Horizon, left edge")).toHaveText("100 mm from top, 197 mm from bottom");
  await expect(slip(page, "Horizon, right edge")).toHaveText("100 mm from top, 197 mm from bottom");
  await type(page, "Eye height", "2.4");
  await expect(slip(page, "Eye height")).toHaveText("2.40 m");
  await page.getByRole("button", { name: /^horizon, right end/ }).press("ArrowDown");
  await expect(slip(page, "Horizon, left edge")).toHaveText("100.5 mm from top, 196.5 mm from bottom");
});

test("pins are dragged, nudged and typed, also off the sheet, and the view follows", async ({ page }) => {
  const id = await openNew(page);
  const left = page.getByRole("region", { name: "left point" });
  const right = page.getByRole("region", { name: "right point" });
  await type(page, "From the centre", "200", left);
  await type(page, "From the centre", "450", right);
  // d^2 = 200 * 450, the worked example.
  await expect(slip(page, "Picture distance")).toHaveText("300 mm");
  await expect(slip(page, "Main streets, right")).toHaveText("240 mm right of the sheet, 148.5 mm from the top");
  await expect(slip(page, "Field of view")).toHaveText("66° across the panel");
  await type(page, "Beyond the edge", "12 5/16 in", left);
  await expect(slip(page, "Main streets, left")).toHaveText("312.7 mm left of the sheet, 148.5 mm from the top");
  await type(page, "Beyond the edge", "400", left);
  await expect(slip(page, "Main streets, left")).toHaveText("400 mm left of the sheet, 148.5 mm from the top");

  const pin = page.getByRole("button", { name: /^left vanishing point/ });
  await expect(pin).toHaveAccessibleName("left vanishing point, 400 mm left of the sheet, 148.5 mm from the top");
  await pin.press("ArrowLeft");
  await pin.press("Shift+ArrowLeft");
  await expect(pin).toHaveAccessibleName(/^left vanishing point, 405\.5 mm left/);
  const [x0] = await onSheet(page, 0, 0);
  const [x1] = await onSheet(page, 100, 0);
  await dragHandle(page, pin, x1 - x0, 30);
  await expect(pin).toHaveAccessibleName(/^left vanishing point, 305\.5 mm left of the sheet, 148\.5 mm/);
  const { lens, gaze } = (await saved(page, id)).shots[0];
  const reach = 210 + Number(/[\d.]+/.exec((await slip(page, "Main streets, left").textContent())!)![0]);
  expect(lens.distance).toBeCloseTo(Math.sqrt(reach * 450), 0);
  // The left direction keeps its heading in the world: -55 degrees.
  expect(gaze.heading - (Math.atan(reach / lens.distance) * 180) / Math.PI).toBeCloseTo(-55, 1);
});

test("pins that cannot make a view say so and keep the last good view", async ({ page }) => {
  const id = await openNew(page);
  const left = page.getByRole("region", { name: "left point" });
  await type(page, "Beyond the edge", "-300", left);
  await expect(left.getByRole("alert")).toContainText("must stay left of the centre of vision");
  await expect(slip(page, "Picture distance")).toHaveText("300 mm");
  await type(page, "From the centre", "twelve", left);
  await expect(left.getByText("“twelve” is not a length in mm.")).toBeVisible();

  const pin = page.getByRole("button", { name: /^right vanishing point/ });
  const [x0] = await onSheet(page, 0, 0);
  const [x1] = await onSheet(page, 300, 0);
  await dragHandle(page, pin, x0 - x1, 0, false);
  await expect(page.getByRole("status").filter({ hasText: "no eye sees" })).toBeVisible();
  const good = await slip(page, "Picture distance").textContent();
  await page.mouse.up();
  expect(Number.parseFloat(good!)).toBeGreaterThan(50);
  expect((await saved(page, id)).shots[0].lens.distance).toBeCloseTo(Number.parseFloat(good!), 0);
  // Escape gives a drag up altogether.
  const before = await slip(page, "Main streets, right").textContent();
  await dragHandle(page, pin, 60, 0, false);
  await page.keyboard.press("Escape");
  await page.mouse.up();
  await expect(slip(page, "Main streets, right")).toHaveText(before!);
});

test("bundles have their own strength and spacing, in the picture and on paper", async ({ page }) => {
  const id = await openNew(page);
  const lines = async () => {
    const svg = await (await page.request.get(`/api/scenes/${id}/exports/s1.svg`)).text();
    return /<g id="grid-main-left"[\s\S]*?<path d="([^"]*)"/.exec(svg)?.[1].split("M").length ?? 0;
  };
  const before = await lines();
  await page.getByRole("button", { name: "Grid" }).click();
  const set = page.getByRole("region", { name: "Main streets, left" });
  await type(page, "Spacing, far side", "24", set);
  await saved(page, id);
  expect(await lines()).toBeLessThan(0.6 * before);
  await set.getByRole("slider").press("Home");
  await saved(page, id);
  expect(await lines()).toBe(0);
  await page.keyboard.press("Control+z");
  await saved(page, id);
  expect(await lines()).toBeGreaterThan(0);
});

test("true squares are laid out on the ground, with heavier lines, and the cone of vision is drawn", async ({
  page,
}) => {
  const id = await openNew(page);
  const svg = async () => (await page.request.get(`/api/scenes/${id}/exports/s1.svg`)).text();
  await page.getByLabel("Cone of vision").check();
  await page.getByRole("button", { name: "Grid", exact: true }).click();
  await page.getByRole("button", { name: "Lay out squares" }).click();
  const squares = page.getByRole("region", { name: "Squares 1" });
  await type(page, "A line every", "6 ft", squares);
  await type(page, "Heavier, of lines", "4", squares);
  expect((await saved(page, id)).shots[0].measured).toMatchObject([
    { plane: "level", every: expect.closeTo(1.8288, 9), heavy: 4 },
  ]);
  for (const layer of ["measured-1", "heavy-1", "cone"]) expect(await svg()).toContain(`<g id="${layer}"`);
  await squares.getByLabel("Plane").selectOption("left");
  await type(page, "Across from the eye", "6", squares);
  expect((await saved(page, id)).shots[0].measured).toMatchObject([{ plane: "left", at: 6 }]);
  await page.mouse.move(...(await onSheet(page, 210 + 300, 148.5)));
  await page.mouse.move(...(await onSheet(page, 310, 148.5)));
  // 100 mm off C at 300 mm: atan(1/3) = 18.4 degrees, 1 / cos^2 = 1.11, 1 / cos = 1.05.
  await expect(page.getByText(/^18\.\d° off the gaze · stretched 1\.11 outward, 1\.05 across$/)).toBeVisible();
  await page.getByRole("button", { name: "Remove squares 1" }).click();
  expect((await saved(page, id)).shots[0].measured).toEqual([]);
});

test("the sheet has at least 60 % of the window, and the first load stays small", async ({ page }) => {
  await openNew(page);
  const [x0, y0] = await onSheet(page, 0, 0);
  const [x1, y1] = await onSheet(page, 420, 297);
  expect(((x1 - x0) * (y1 - y0)) / (1280 * 800)).toBeGreaterThan(0.6);
  const canvas = page.getByRole("application", { name: "Desk" }).locator("canvas").last();
  expect((await canvas.boundingBox())!.width).toBeGreaterThan(x1 - x0);
  // As they came over the wire, those that the worker asked for with them.
  await expect.poll(() => page.workers().length).toBeGreaterThan(0);
  const fetched = () =>
    performance
      .getEntriesByType("resource")
      .flatMap((one) => (one.name.endsWith(".js") ? [(one as PerformanceResourceTiming).encodedBodySize] : []));
  const sizes = (
    await Promise.all([page.evaluate(fetched), ...page.workers().map((worker) => worker.evaluate(fetched))])
  ).flat();
  expect(sizes.length).toBeGreaterThan(5);
  console.log(`first load: ${sizes.reduce((sum, size) => sum + size, 0)} bytes of script in ${sizes.length} files`);
  expect(sizes.reduce((sum, size) => sum + size, 0)).toBeLessThan(350_000);
});

test("the column is widened, folded and remembered; slip and findings wait in one line each", async ({ browser }) => {
  const page = await browser.newPage();
  const scene = newScene("Column");
  // So near that corners are drawn out: a finding.
  scene.shots[0].lens.distance = 120;
  const answer = await page.request.post("/api/scenes", { data: scene });
  await page.goto(`/scenes/${answer.headers()["x-scene-id"]}`);
  const tools = page.getByRole("region", { name: "Points tools" });
  await expect(tools).toBeVisible();
  await expect(page.getByRole("region", { name: "Slip" })).toHaveCount(0);
  // The stage has the greater part of the column.
  expect((await tools.boundingBox())!.height).toBeGreaterThan(500);
  const findings = page.getByRole("region", { name: "Findings" });
  await expect(findings.getByRole("heading")).toHaveText(/Findings [1-9]/);
  const first = findings.getByRole("listitem").first().getByRole("button");
  expect((await first.boundingBox())!.height).toBeLessThan(30);
  await first.first().click();
  await expect(findings.getByRole("listitem").first().getByRole("button")).not.toHaveCount(1);

  await page.getByRole("button", { name: "Slip", exact: true }).click();
  await page.getByRole("separator", { name: "Width of the tools" }).press("ArrowLeft");
  const edge = (await page.getByRole("separator", { name: "Width of the tools" }).boundingBox())!;
  await page.mouse.move(edge.x + 2, 300);
  await page.mouse.down();
  await page.mouse.move(edge.x - 60, 300, { steps: 4 });
  await page.mouse.up();
  const width = (await page.getByRole("complementary").boundingBox())!.width;
  expect(width).toBeGreaterThan(310);
  await page.reload();
  await expect(page.getByRole("region", { name: "Slip" })).toBeVisible();
  expect((await page.getByRole("complementary").boundingBox())!.width).toBeCloseTo(width, 0);
  await page.getByRole("button", { name: "Fold the tools" }).click();
  await expect(tools).toHaveCount(0);
  await page.reload();
  await page.getByRole("button", { name: "Unfold the tools" }).click();
  await expect(tools).toBeVisible();
  await page.close();
});

test("in a small window, and at 200 % of a usual one, the sheet keeps 60 % of it", async ({ page }) => {
  await openNew(page);
  for (const [width, height] of [
    [1024, 700],
    [640, 400],
  ]) {
    await page.setViewportSize({ width, height });
    await page.getByRole("button", { name: "Whole sheet" }).click();
    const [x0, y0] = await onSheet(page, 0, 0);
    const [x1, y1] = await onSheet(page, 420, 297);
    expect(((x1 - x0) * (y1 - y0)) / (width * height)).toBeGreaterThan(0.6);
    await page.getByRole("button", { name: "Unfold the tools" }).click();
    await expect(page.getByRole("region", { name: "Points tools" })).toBeVisible();
    await page.getByRole("button", { name: "Fold the tools" }).click();
  }
  await page.getByRole("button", { name: "Shots" }).click();
  await expect(page.getByRole("list", { name: "Shots" })).toBeVisible();
});

test("the grid stage says that grids are hidden and shows them; every shot has a small drawing", async ({ page }) => {
  const id = await openNew(page, (scene) => {
    scene.shots[0].show = { live: 0, frame: 1, horizon: 1, bundles: 0, buildings: 1, hidden: 0 };
  });
  await page.getByRole("button", { name: "Grid", exact: true }).click();
  await expect(page.getByText("The grids of this shot are hidden.")).toBeVisible();
  await page.getByRole("button", { name: "Show the grids" }).click();
  await expect(page.getByText("The grids of this shot are hidden.")).toHaveCount(0);
  expect((await saved(page, id)).shots[0].show?.bundles).toBe(1);

  await page.getByRole("button", { name: "New shot from this one" }).click();
  const small = page.getByRole("list", { name: "Shots" }).locator("canvas");
  await expect(small).toHaveCount(2);
  // The horizon is drawn on each of them: a dark row from side to side of the middle of the sheet.
  const horizons = () =>
    small.evaluateAll((all) =>
      all.map((one) => {
        const { width, height } = one as HTMLCanvasElement;
        const [across, down] = [Math.floor(width / 2), Math.floor(height / 2)];
        const middle = (one as HTMLCanvasElement)
          .getContext("2d")!
          .getImageData(Math.floor(width / 4), Math.floor(height / 4), across, down).data;
        const red = (x: number, y: number) => middle[4 * (y * across + x)];
        return [...Array(down).keys()].some((y) => [...Array(across).keys()].every((x) => red(x, y) < 200));
      }),
    );
  await expect.poll(horizons).toEqual([true, true]);
});

test("pins outside the window wait at its edge, named and apart; one that is dragged there scrolls the desk", async ({
  page,
}) => {
  await openNew(page, (scene) => {
    scene.orientations.push(
      { id: "canal", name: "Canal", heading: 60 },
      { id: "rope", name: "Rope walk", heading: 70 },
    );
  });
  const away = (name: string) => page.getByRole("button", { name: new RegExp(`^right vanishing point of ${name}`) });
  // 210 + 300 tan 60 = 729.6 mm and 210 + 300 tan 70 = 1034.2 mm from the left, on one horizon.
  await expect(away("Canal")).toContainText("Canal, right → 309.6 mm");
  await expect(away("Rope walk")).toContainText("Rope walk, right → 614.2 mm");
  const boxes = await Promise.all(
    ["Canal", "Rope walk"].map(async (name) => {
      const [handle, words] = [away(name), away(name).locator("span")];
      const [a, b] = [(await handle.boundingBox())!, (await words.boundingBox())!];
      return { top: Math.min(a.y, b.y), bottom: Math.max(a.y + a.height, b.y + b.height) };
    }),
  );
  const [upper, lower] = boxes.sort((a, b) => a.top - b.top);
  expect(upper.bottom).toBeLessThanOrEqual(lower.top + 1);

  // Led to the middle and back to the edge, the pin goes on while the hand rests there: the desk comes to it.
  const far = async () =>
    Number.parseFloat(/→ ([\d.]+) mm/.exec((await away("Canal").textContent()) ?? "")?.[1] ?? "0");
  const box = (await away("Canal").boundingBox())!;
  const [x, y] = [box.x + 12, box.y + 12];
  const desk = (await page.getByRole("application", { name: "Desk" }).boundingBox())!;
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 200, y, { steps: 4 });
  await page.mouse.move(desk.x + desk.width - 4, y, { steps: 4 });
  const begun = await far();
  await expect.poll(far).toBeGreaterThan(begun + 100);
  await page.mouse.up();
});
