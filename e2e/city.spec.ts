import { mkdirSync, writeFileSync } from "node:fs";
import { dirname } from "node:path";
import { expect, test, type Page } from "@playwright/test";
import type { Block, Building, Element } from "@zanvo/core/world";
import { drag, loft, onPlan, placer, plan } from "./plan";
import { openNew, saved, stopAtOnce, type } from "./table";

const chosen = (page: Page) => page.getByRole("region", { name: "Chosen building" });
const all = async (page: Page, id: string) => (await saved<Element>(page, id)).elements;
const last = async (page: Page, id: string) => (await all(page, id)).at(-1)!;
/** Presses corner by corner, or bend by bend, and ends with Enter. */
async function press(page: Page, tool: string, places: readonly (readonly [number, number])[]): Promise<void> {
  const at = await placer(page);
  await page.getByRole("button", { name: tool, exact: true }).click();
  for (const place of places) await page.mouse.click(...at(place[0], place[1]));
  await plan(page).press("Enter");
}

test("a square, a canal with a lock, a bridge over it and a skyline are drawn, and changed by number", async ({
  page,
}) => {
  const id = await onPlan(page);
  await press(page, "Plaza", [
    [-20, 22],
    [-6, 22],
    [-6, 33],
    [-20, 33],
  ]);
  await type(page, "Joints every", "1.5", chosen(page));
  expect(await last(page, id)).toMatchObject({
    kind: "square",
    slabs: 1.5,
    heading: 0,
    footprint: [{ x: -20, y: 22 }, {}, {}, {}],
  });
  await press(page, "Canal", [
    [-30, 4],
    [26, 4],
  ]);
  await type(page, "Width of the water", "6", chosen(page));
  await chosen(page).getByRole("button", { name: "A lock" }).click();
  const lock = chosen(page).getByRole("region", { name: "Lock 1" });
  await type(page, "Length of its chamber", "90", lock);
  await expect(lock.getByText("The locks lie beyond the canal’s end.")).toBeVisible();
  await type(page, "Length of its chamber", "18", lock);
  expect(await last(page, id)).toMatchObject({ kind: "canal", width: 6, locks: [{ at: 6, length: 18, fall: 1.2 }] });
  const at = await placer(page);
  await page.getByRole("button", { name: "Bridge", exact: true }).click();
  await drag(page, at(-14, -1), at(-14, 9));
  await type(page, "Rise of its arch", "6", chosen(page));
  await expect(chosen(page).getByText("The arch rises more than half its span.")).toBeVisible();
  await chosen(page).getByRole("checkbox", { name: "Parapets" }).uncheck();
  const bridge = await last(page, id);
  expect(bridge).toMatchObject({
    kind: "bridge",
    arch: 1,
    path: [
      { x: -14, y: -1 },
      { x: -14, y: 9 },
    ],
  });
  expect("parapet" in bridge).toBe(false);
  await press(page, "Skyline", [
    [26, 36],
    [-30, 36],
  ]);
  const before = await last(page, id);
  await chosen(page).getByRole("button", { name: "Roll it again" }).click();
  await chosen(page).getByRole("radio", { name: "Ridges" }).click();
  const after = await last(page, id);
  expect(after).toMatchObject({ kind: "skyline", of: "ridges" });
  expect((after as { seed: number }).seed).not.toBe((before as { seed: number }).seed);
  // A bend of the canal is dragged like a corner, once the tool is put down.
  await page.keyboard.press("Escape");
  await page.mouse.click(...at(22, 4));
  await drag(page, at(26, 4), at(28, 6));
  expect((await all(page, id)).find(({ kind }) => kind === "canal")).toMatchObject({
    path: [
      { x: -30, y: 4 },
      { x: 28, y: 6 },
    ],
  });
});

test(
  "a building has windows, doors, passages, boxes and sloping ground, and what does not fit is refused with " +
    "a sentence",
  async ({ page }) => {
    const house: Building = {
      id: "house",
      kind: "building",
      name: "Customs house",
      footprint: [
        { x: -14, y: 12 },
        { x: -2, y: 12 },
        { x: -2, y: 20 },
        { x: -14, y: 20 },
      ],
      base: 0,
      height: 7,
      storeys: 2,
      roof: { kind: "hip", rise: 2 },
    };
    const id = await onPlan(page, (scene) => void scene.elements.push(house));
    await page.getByRole("button", { name: "Customs house", exact: true }).click();
    await chosen(page).getByText("Windows, doors and passages").click();
    await chosen(page).getByRole("checkbox", { name: "Windows in every storey" }).check();
    await chosen(page).getByRole("button", { name: "A door" }).click();
    await chosen(page).getByRole("button", { name: "A passage through it" }).click();
    const passage = chosen(page).getByRole("region", { name: "Passage 1" });
    await passage.getByRole("checkbox", { name: "Arched" }).uncheck();
    await type(page, "Width", "14", passage);
    await expect(passage.getByText("is wider than its wall")).toBeVisible();
    await type(page, "Width", "2.4", passage);
    // Along the wall from (-14, 12) to (-2, 12).
    await type(page, "Along the wall", "9", passage);
    await chosen(page).getByText("On the roof").click();
    await chosen(page).getByRole("button", { name: "A box for a lift or stairs" }).click();
    expect(await last(page, id)).toMatchObject({
      windows: { every: 2.4, sill: 0.9 },
      doors: [{ x: -8, y: 12, width: 0.95 }],
      passages: [{ x: -5, y: 12, width: 2.4, height: 3.6 }],
      boxes: [{ x: -8, y: 16, length: 3, width: 2.4, rise: 2.6 }],
    });
    await chosen(page).getByText("The ground under it").click();
    await chosen(page).getByRole("checkbox", { name: "The ground rises" }).check();
    await chosen(page).getByRole("checkbox", { name: "In level steps" }).click();
    await expect(page.getByText("do not go with a passage").first()).toBeVisible();
    await type(page, "Metres in a hundred", "20", chosen(page));
    expect(await last(page, id)).toMatchObject({ slope: { heading: 0, grade: 20 } });
    await type(page, "Metres in a hundred", "120", chosen(page));
    await expect(chosen(page).getByText("nearly as high as its walls")).toBeVisible();
  },
);

test("a driveway lowers the kerb of its side; one beyond the street's end is refused", async ({ page }) => {
  const id = await onPlan(page);
  await press(page, "Street", [
    [-24, 10],
    [8, 10],
  ]);
  await chosen(page).getByRole("button", { name: "A driveway" }).click();
  const way = chosen(page).getByRole("region", { name: "Driveway 1" });
  await way.getByRole("radio", { name: "On the left" }).click();
  await type(page, "Along the street", "31.5", way);
  await expect(way.getByText("lies beyond the street’s ends")).toBeVisible();
  await type(page, "Along the street", "12", way);
  await type(page, "Lanes", "3", chosen(page));
  await chosen(page).getByRole("checkbox", { name: "Tram rails" }).check();
  await chosen(page).getByRole("radio", { name: "On sleepers" }).click();
  expect(await last(page, id)).toMatchObject({
    driveways: [{ at: 12, width: 3, side: "left" }],
    lanes: 3,
    rails: true,
    bed: "sleepers",
  });
});

test("a lot is built up around its rim with towers at its corners; one too small is refused", async ({ page }) => {
  const id = await onPlan(page);
  const houses = async () => (await all(page, id)).filter((one): one is Building => one.kind === "building");
  await press(page, "Lot", [
    [-12, 20],
    [0, 20],
    [0, 32],
    [-12, 32],
  ]);
  await expect(page.getByText("is too small for lots 11 m deep on all its sides").first()).toBeVisible();
  expect(await houses()).toEqual([]);
  await press(page, "Lot", [
    [-44, 4],
    [0, 4],
    [0, 40],
    [-44, 40],
  ]);
  const towers = async () => (await houses()).filter(({ name }) => name.includes("tower"));
  expect(await towers()).toHaveLength(4);
  for (const { roof, windows } of await towers()) expect([roof.kind, windows !== undefined]).toEqual(["pyramid", true]);
  const row = page.getByRole("region", { name: "Row" });
  await type(page, "Seed", "7", row);
  expect((await saved<Element>(page, id)).rows).toMatchObject([{ seed: 7 }]);
  await row.getByLabel("Roof of the towers").selectOption("spire");
  await row.getByRole("checkbox", { name: "Windows and doors" }).uncheck();
  for (const { roof, windows } of await towers()) expect([roof.kind, windows]).toEqual(["spire", undefined]);
  await row.getByRole("checkbox", { name: "Towers at its corners" }).uncheck();
  expect(await towers()).toEqual([]);
  expect(new Set((await houses()).map(({ row: of }) => of)).size).toBe(1);
});

test("several things are chosen, brought in line, spread, grouped, moved together, and taken away", async ({
  page,
}) => {
  const block = (name: string, x: number, y: number): Block => ({
    ...loft,
    id: name,
    name,
    origin: { x, y, z: 0 },
    length: 4,
    width: 4,
  });
  const id = await onPlan(
    page,
    (scene) => void scene.elements.push(block("Kiosk", -24, 8), block("Booth", -16, 10), block("Shed", -6, 13)),
  );
  const at = await placer(page);
  await page.mouse.click(...at(-22, 10));
  await page.keyboard.down("Shift");
  await page.mouse.click(...at(-14, 12));
  // A rectangle around the shed adds it.
  await drag(page, at(-8, 11), at(0, 19));
  await page.keyboard.up("Shift");
  const many = page.getByRole("region", { name: "Chosen things" });
  await expect(many.getByText("3 things")).toBeVisible();
  const origins = async () =>
    (await all(page, id))
      .filter((one): one is Block => one.kind === "block" && one.id !== "loft")
      .map(({ origin: { x, y } }) => [x, y].map((v) => Number(v.toFixed(2))));
  // Headings are 0: ends are to the south and the north.
  await many.getByLabel("What is brought in line").selectOption("near-ends");
  await many.getByRole("button", { name: "Bring in line" }).click();
  expect(await origins()).toEqual([
    [-24, 8],
    [-16, 8],
    [-6, 8],
  ]);
  await many.getByRole("button", { name: "Spread evenly" }).click();
  expect(await origins()).toEqual([
    [-24, 8],
    [-15, 8],
    [-6, 8],
  ]);
  await many.getByLabel("Name of the group").fill("Market");
  await many.getByRole("button", { name: "Group", exact: true }).click();
  await plan(page).press("Escape");
  await expect(many).toHaveCount(0);
  // One of a group is taken up with all of it; pressed twice, it is alone.
  await drag(page, at(-13, 10), at(-13, 20));
  const moved = await origins();
  expect(new Set(moved.map(([, y]) => y)).size).toBe(1);
  expect(moved[0][1]).toBeGreaterThan(16);
  await expect(many.getByText("3 things")).toBeVisible();
  await expect(page.getByRole("region", { name: "Things" }).getByText("Market")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  expect((await origins())[0]).toEqual([-24, 8]);
  await page.mouse.dblclick(...at(-13, 10));
  await expect(chosen(page).getByLabel("Name of the building")).toHaveValue("Booth");
  await page.getByRole("button", { name: "Choose all of Market" }).click();
  await many.getByRole("checkbox", { name: "Kept from being moved" }).check();
  await plan(page).press("ArrowUp");
  expect((await origins())[0]).toEqual([-24, 8]);
  await many.getByRole("button", { name: "Delete" }).click();
  await expect(page.getByText("3 things are locked, so they stay.").first()).toBeVisible();
  await many.getByRole("checkbox", { name: "Kept from being moved" }).uncheck();
  await many.getByRole("button", { name: "Delete" }).click();
  expect(await all(page, id)).toHaveLength(1);
});

test("things are carried from one scene to another", async ({ page, context }) => {
  await context.grantPermissions(["clipboard-read", "clipboard-write"]);
  await onPlan(
    page,
    (scene) => void scene.elements.push({ ...loft, id: "kiosk", name: "Kiosk", origin: { x: -20, y: 10, z: 0 } }),
  );
  const at = await placer(page);
  await page.mouse.click(...at(13, 24));
  await page.keyboard.down("Shift");
  await page.mouse.click(...at(-17, 14));
  await page.keyboard.up("Shift");
  await page.keyboard.press("Control+c");
  await expect(page.getByText("2 things are copied").first()).toBeVisible();
  const other = await onPlan(page, (scene) => {
    scene.elements[0].name = "Net loft";
    scene.elements[0].id = "own";
  });
  await plan(page).press("Control+v");
  await expect(page.getByText("2 things are laid down.").first()).toBeVisible();
  const there = (await all(page, other)) as Block[];
  expect(there.map(({ name, origin: { x, y } }) => [name, x, y])).toEqual([
    ["Net loft", 10, 20],
    ["Net loft", 12, 18],
    ["Kiosk", -18, 8],
  ]);
  expect(new Set(there.map(({ id }) => id)).size).toBe(3);
  // On the board they are laid down, too, once more beside.
  await page.getByRole("link", { name: "Board" }).click();
  await expect(page.getByRole("application", { name: "Desk" })).toBeVisible();
  await page.keyboard.press("Control+v");
  // The clipboard is read in its own time; and what was said on the plan may still be seen here.
  await expect.poll(async () => (await all(page, other)).length).toBe(5);
  await expect(page.getByText("2 things are laid down.").first()).toBeVisible();
  await page.getByRole("link", { name: "Plan", exact: true }).click();
  // Text from elsewhere is let be, and what is no thing is told.
  await page.evaluate(() =>
    navigator.clipboard.writeText(JSON.stringify({ format: "zanvo-things", elements: [{ id: "x", kind: "block" }] })),
  );
  await page.getByRole("button", { name: "Paste here" }).click();
  await expect(page.getByText("is missing").first()).toBeVisible();
  expect(await all(page, other)).toHaveLength(5);
});

test("the list of things goes by street and row, and is searched", async ({ page }) => {
  await page.goto("/");
  // Other journeys put scenes before it meanwhile.
  await page.getByLabel("Find a scene").fill("whole quarter");
  await page.getByRole("link", { name: "Kestrel Quay, the whole quarter" }).first().click();
  await page.getByRole("link", { name: "Plan", exact: true }).click();
  const things = page.getByRole("region", { name: "Things" });
  await expect(
    things.getByRole("region", { name: "Lamp street" }).getByText("Lamp court", { exact: true }),
  ).toBeVisible();
  await things.getByRole("searchbox").fill("fish trade");
  await expect(things.getByRole("listitem")).toHaveText(["Ferry canal", "Fish hall", "Ice house"]);
  await things.getByRole("searchbox").fill("hall");
  await expect(things.getByRole("button", { name: "Fish hall", exact: true })).toBeVisible();
  await expect(things.getByText("Lamp court", { exact: true })).toHaveCount(0);
});

test("each kind of a building's lines is faded by itself", async ({ page }) => {
  const house: Building = {
    id: "house",
    kind: "building",
    name: "Ferry office",
    footprint: [
      [-4, 14],
      [4, 14],
      [4, 22],
      [-4, 22],
    ].map(([x, y]) => ({ x, y })),
    base: 0,
    height: 6,
    storeys: 2,
    roof: { kind: "hip", rise: 2 },
    windows: { every: 2, width: 1, height: 1.2, sill: 0.9 },
  };
  const id = await openNew(page, (scene) => {
    scene.shots[0].gaze = { heading: 0, pitch: 0, roll: 0 };
    scene.elements.push(house);
  });
  const layers = async () =>
    [
      ...(await (await page.request.get(`/api/scenes/${id}/exports/s1.svg`)).text()).matchAll(
        /<g id="(details|creases|outlines)(?:-middle|-far)?"/g,
      ),
    ].map((m) => m[1]);
  expect(await layers()).toEqual(["details", "creases", "outlines"]);
  await page.keyboard.press("6");
  await page.getByText("Strength of their lines").click();
  await page.getByRole("slider", { name: "Details" }).press("Home");
  expect((await saved<Element>(page, id)).shots[0].show).toMatchObject({ details: 0, buildings: 1 });
  expect(await layers()).toEqual(["creases", "outlines"]);
});

test("one of two things that seem to touch is nudged free", async ({ page }) => {
  const id = await openNew(page, (scene) => {
    scene.shots[0].gaze = { heading: 0, pitch: 0, roll: 0 };
    scene.elements.push(
      { ...loft, origin: { x: 0, y: 10, z: 0 }, length: 3, width: 4, height: 4, locked: true },
      { ...loft, id: "far", name: "Ice house", origin: { x: -6, y: 20, z: 0 }, length: 4, width: 5.96, height: 9 },
    );
  });
  const findings = page.getByRole("region", { name: "Findings" });
  // A search that is stopped changes nothing.
  await expect(findings.getByText(/run together/)).toBeVisible();
  await stopAtOnce(page);
  await findings.getByRole("button", { name: "Nudge the eye free" }).click();
  await expect(findings.getByText("Looking for a small move…")).toHaveCount(0);
  expect((await saved(page, id)).shots[0].eye).toEqual({ x: 0, y: 0, z: 1.6 });
  await findings.getByRole("button", { name: "Nudge the block" }).click();
  await expect(page.getByText(/^Ice house is moved by 0\.\d\d m; 0 tangents are left\.$/).first()).toBeVisible();
  await expect(findings.getByText(/run together/)).toHaveCount(0);
  const [{ origin: stayed }, { origin }] = (await saved(page, id)).elements;
  expect(stayed).toEqual({ x: 0, y: 10, z: 0 });
  expect(Math.hypot(origin.x + 6, origin.y - 20)).toBeLessThan(2.01);
});

test("a large file of real ground is read piece by piece, and can be stopped", async ({ page }, testInfo) => {
  const id = await onPlan(page);
  const square = (lon: number) => [
    [lon, 51.9],
    [lon + 0.0002, 51.9],
    [lon + 0.0002, 51.9001],
    [lon, 51.9001],
    [lon, 51.9],
  ];
  const feature = (i: number) =>
    JSON.stringify({
      type: "Feature",
      properties: { name: `House ${i}`, height: 6, "x-pad": "p".repeat(400) },
      geometry: { type: "Polygon", coordinates: [square(4.1 + (i % 100) * 0.0003)] },
    });
  const file = (n: number) => {
    const path = testInfo.outputPath(`quay-${n}.geojson`);
    mkdirSync(dirname(path), { recursive: true });
    writeFileSync(
      path,
      `{"type":"FeatureCollection","features":[${Array.from({ length: n }, (_, i) => feature(i)).join(",\n")}]}`,
    );
    return path;
  };
  await page.getByText("Real ground and other programs").click();
  const bring = async (path: string) => {
    const [chooser] = await Promise.all([
      page.waitForEvent("filechooser"),
      page.getByRole("button", { name: "Import GeoJSON" }).click(),
    ]);
    await chooser.setFiles(path);
  };
  // The origin is said before anything is brought in, and stays.
  await page.getByRole("button", { name: "Say first where the origin is" }).click();
  await type(page, "Latitude of the origin", "51.9");
  await type(page, "Longitude of the origin", "4.1");
  await bring(file(60_000));
  await expect(page.getByRole("progressbar", { name: "The file is read" })).toBeVisible();
  await page.getByRole("button", { name: "Stop" }).click();
  await expect(page.getByRole("progressbar")).toHaveCount(0);
  expect(await all(page, id)).toHaveLength(1);
  await bring(file(300));
  await expect(page.getByRole("list", { name: "What came of it" }).getByRole("listitem")).toHaveText([
    "300 things were brought in.",
  ]);
  expect(await all(page, id)).toHaveLength(301);
  const { ground, elements } = await saved<Building | Block>(page, id);
  expect(ground).toEqual({ latitude: 51.9, longitude: 4.1, north: 0 });
  expect((elements[1] as Building).footprint[0]).toEqual({ x: 0, y: 0 });
});

test.describe("with fingers", () => {
  test.use({ hasTouch: true });
  test("two fingers move and spread the plan, and move nothing on it", async ({ page }) => {
    const id = await onPlan(page);
    const at = await placer(page);
    const cdp = await page.context().newCDPSession(page);
    const touch = (kind: "touchStart" | "touchMove" | "touchEnd", points: readonly (readonly [number, number])[]) =>
      cdp.send("Input.dispatchTouchEvent", {
        type: kind,
        touchPoints: points.map(([x, y], finger) => ({ x, y, id: finger })),
      });
    const wide = async () => (await page.getByTestId("Net loft").boundingBox())!.width;
    const before = await wide();
    // The first finger comes down on the loft itself.
    const [x, y] = at(13, 24);
    await touch("touchStart", [[x, y]]);
    await touch("touchStart", [
      [x, y],
      [x + 60, y],
    ]);
    for (let i = 1; i <= 6; i++)
      await touch("touchMove", [
        [x, y],
        [x + 60 + 10 * i, y],
      ]);
    await touch("touchEnd", []);
    expect((await wide()) / before).toBeCloseTo(2, 1);
    expect((await all(page, id))[0]).toMatchObject({ origin: { x: 10, y: 20 } });
  });
});
