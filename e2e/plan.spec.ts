import { readFileSync } from "node:fs";
import AxeBuilder from "@axe-core/playwright";
import { expect, test } from "@playwright/test";
import type { Block, Building, Element } from "@zanvo/core/world";
import { corners, drag, loft, onPlan, placer, plan } from "./plan";
import { openNew, saved, type } from "./table";

test("a footprint is drawn on the plan, given a roof, moved to another's corner, and stands in the picture", async ({
  page,
}) => {
  const id = await onPlan(page);
  const at = await placer(page);
  await page.getByRole("button", { name: "Rectangle" }).click();
  await drag(page, at(-14, 12), at(-4, 18));
  // The tool stays taken up until it is put down.
  await expect(page.getByRole("button", { name: "Rectangle" })).toHaveAttribute("aria-pressed", "true");
  await plan(page).press("Escape");
  await expect(page.getByRole("button", { name: "Choose", exact: true })).toHaveAttribute("aria-pressed", "true");
  const buildings = async () =>
    (await saved<Building | Block>(page, id)).elements.filter((one): one is Building => one.kind === "building");
  const [drawn] = await buildings();
  expect(corners(drawn).sort()).toEqual(
    [
      [-14, 12],
      [-14, 18],
      [-4, 12],
      [-4, 18],
    ].sort(),
  );
  const chosen = page.getByRole("region", { name: "Chosen building" });
  await type(page, "Height to the eaves", "5", chosen);
  await chosen.getByLabel("Roof", { exact: true }).selectOption("gable");
  await type(page, "Rise of the roof", "3", chosen);
  expect((await buildings())[0]).toMatchObject({ height: 5, roof: { kind: "gable", rise: 3 } });
  // A part set back is added, too large a step refused, and taken away again.
  await chosen.getByRole("button", { name: "Set back another part" }).click();
  const setback = chosen.getByRole("region", { name: "Set-back 1" });
  await type(page, "Set back by", "4", setback);
  await expect(setback.getByText("leaves nothing to stand on")).toBeVisible();
  expect((await buildings())[0].setbacks).toEqual([{ inset: 1.5, height: 4 }]);
  await chosen.getByRole("button", { name: "Delete set-back 1" }).click();
  expect((await buildings())[0].setbacks).toEqual([]);
  // Dragged so that its corner comes near the loft's, it meets it.
  await drag(page, at(-9, 15), at(-9 + 13.8, 15 + 8.3));
  const [moved] = await buildings();
  expect(corners(moved).sort()).toEqual(
    [
      [0, 20],
      [10, 20],
      [0, 26],
      [10, 26],
    ].sort(),
  );
  await plan(page).press("Shift+ArrowRight");
  expect(corners((await buildings())[0])).toContainEqual([1, 20]);
  await expect(page.getByRole("img", { name: /^Picture: / })).toBeVisible();
  await page.reload();
  await expect(page.getByTestId("Building 2")).toBeVisible();
  await page.getByRole("searchbox", { name: "Find a thing" }).fill("loft");
  await page.getByRole("button", { name: "Net loft", exact: true }).click();
  await expect(chosen.getByLabel("Length", { exact: true })).toHaveValue("8");
  const { violations } = await new AxeBuilder({ page })
    .withTags(["wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"])
    .analyze();
  expect(violations.map(({ id: rule, nodes }) => `${rule}: ${nodes.map((node) => node.html).join(" | ")}`)).toEqual([]);
});

test("Ls, Us, drums and polygons are drawn; one that crosses itself is refused and nothing is lost", async ({
  page,
}) => {
  const id = await onPlan(page);
  const at = await placer(page);
  for (const [tool, from, to] of [
    ["L", [-20, 4], [-10, 12]],
    ["U", [-8, 4], [4, 12]],
    ["Circle", [12, 8], [15, 8]],
  ] as const) {
    await page.getByRole("button", { name: tool, exact: true }).click();
    await drag(page, at(from[0], from[1]), at(to[0], to[1]));
    if (tool !== "L") continue;
    // A roof that does not fit is not offered, and the reason is told.
    const roof = page.getByLabel("Roof", { exact: true });
    await expect(roof.locator("option[value=shed]")).toBeDisabled();
    await page.getByText("roofs do not fit here").click();
    await expect(page.getByText("a shed roof needs a footprint with four square corners")).toBeVisible();
    await roof.selectOption("gable");
    await page.getByRole("checkbox", { name: "Overhanging eaves" }).check();
    await type(page, "Eaves reach out by", "0.6");
  }
  await page.getByRole("button", { name: "Polygon" }).click();
  for (const place of [
    [-20, 22],
    [-12, 22],
    [-12, 30],
    [-16, 26],
  ] as const)
    await page.mouse.click(...at(place[0], place[1]));
  await plan(page).press("Enter");
  const made = (await saved<Building | Block>(page, id)).elements.filter(
    (one): one is Building => one.kind === "building",
  );
  expect(made[0].roof).toMatchObject({ kind: "gable", overhang: 0.6 });
  expect(made.map(({ footprint, round }) => [footprint.length, round ?? false])).toEqual([
    [6, false],
    [8, false],
    [32, true],
    [4, false],
  ]);
  for (const place of [
    [-2, 32],
    [4, 40],
    [4, 32],
    [-2, 40],
  ] as const)
    await page.mouse.click(...at(place[0], place[1]));
  await plan(page).press("Enter");
  await expect(page.getByText("The footprint crosses itself: its sides 1 and 3 cut each other.").first()).toBeVisible();
  await plan(page).press("Escape");
  expect((await saved(page, id)).elements).toHaveLength(5);
});

test("the eye and its gaze are dragged in metres and degrees", async ({ page }) => {
  const id = await onPlan(page);
  const at = await placer(page);
  await drag(page, at(0, 0), at(-3, -2));
  const [{ eye }] = (await saved(page, id)).shots;
  expect([eye.x, eye.y]).toEqual([expect.closeTo(-3, 0), expect.closeTo(-2, 0)]);
  const end = (await page.getByTestId("eye").locator("circle").nth(1).boundingBox())!;
  // From straight north to the loft's lower left corner: 13 m east and 22 m north of the eye.
  await drag(page, [end.x + end.width / 2, end.y + end.height / 2], at(10, 20));
  expect((await saved(page, id)).shots[0].gaze.heading).toBeCloseTo((Math.atan2(13, 22) * 180) / Math.PI, -0.5);
  await page.getByRole("button", { name: "Undo" }).click();
  expect((await saved(page, id)).shots[0].gaze.heading).toBe(0);
});

test("a street side is built up by rule and rolled again around what is kept", async ({ page }) => {
  const id = await onPlan(page);
  const at = await placer(page);
  await page.getByRole("button", { name: "Row of houses" }).click();
  await drag(page, at(-30, 30), at(8, 30));
  const houses = async () =>
    (await saved<Building | Block>(page, id)).elements.filter((one): one is Building => one.kind === "building");
  const first = await houses();
  expect(first.length).toBeGreaterThan(2);
  // Walked eastwards, the lots are to the south.
  for (const house of first) expect(Math.max(...house.footprint.map(({ y }) => y))).toBeCloseTo(30, 0);
  const row = page.getByRole("region", { name: "Row" });
  await row.getByRole("checkbox", { name: "Keep this house when the row is rolled again" }).check();
  await row.getByRole("button", { name: "Roll the others again" }).click();
  const second = await houses();
  expect(second.find(({ kept }) => kept)).toMatchObject({ id: first[0].id, footprint: first[0].footprint });
  expect(second.filter(({ id: own }) => first.some((one) => one.id === own))).toHaveLength(1);
  await type(page, "Storeys to", "2", row);
  for (const house of (await houses()).filter(({ kept }) => !kept)) expect(house.storeys).toBe(2);
  // Fronts are rolled with the row; a house that is kept stays as it is.
  await row.getByRole("checkbox", { name: "Fronts of their own, rolled with the row" }).check();
  await type(page, "Shops of 100 houses", "0", row);
  for (const house of await houses()) expect(house.fronts !== undefined).toBe(!house.kept);
});

test("real ground is brought in, with a word on what could not be; masses are saved as OBJ", async ({ page }) => {
  const id = await onPlan(page);
  const square = (lon: number) => [
    [lon, 51.9],
    [lon + 0.0002, 51.9],
    [lon + 0.0002, 51.9001],
    [lon, 51.9001],
    [lon, 51.9],
  ];
  const feature = (geometry: object, properties = {}) => ({ type: "Feature", geometry, properties });
  const file = JSON.stringify({
    type: "FeatureCollection",
    features: [
      feature({ type: "Polygon", coordinates: [square(4.1)] }, { "building:levels": 3, name: "Ice house" }),
      feature({ type: "Point", coordinates: [4.1, 51.9] }),
    ],
  });
  await page.getByText("Real ground and other programs").click();
  const loftBefore = await page.getByTestId("Net loft").getAttribute("d");
  const bring = async (buffer: Buffer) => {
    const [chooser] = await Promise.all([
      page.waitForEvent("filechooser"),
      page.getByRole("button", { name: "Import GeoJSON" }).click(),
    ]);
    await chooser.setFiles({ name: "quay.geojson", mimeType: "application/geo+json", buffer });
  };
  await bring(Buffer.from(file));
  const told = page.getByRole("list", { name: "What came of it" });
  await expect(told.getByRole("listitem")).toHaveText([
    "One thing was brought in.",
    "Feature 2 is a Point, not a polygon.",
  ]);
  const scene = await saved<Building | Block>(page, id);
  expect(scene.elements[1]).toMatchObject({ name: "Ice house", height: 9, storeys: 3 });
  expect(scene.ground?.latitude).toBeCloseTo(51.90005, 5);
  // The plan shows all of it, and one press gives it roofs and windows.
  await expect(page.getByTestId("Net loft")).not.toHaveAttribute("d", loftBefore!);
  await page.getByRole("button", { name: "Give them roofs and windows by rule" }).click();
  const ice = async () => (await saved<Building>(page, id)).elements[1];
  expect(await ice()).toMatchObject({ windows: { every: 2.4 }, storeys: 3 });
  await page.getByRole("button", { name: "Undo" }).click();
  expect(await ice()).not.toHaveProperty("windows");
  await bring(Buffer.from("{"));
  await expect(page.getByText("This file is no JSON").first()).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Save as OBJ" }).click(),
  ]);
  expect(readFileSync(await download.path(), "utf8").match(/^o .*$/gm)).toEqual(["o Net loft", "o Ice house"]);
  // How far the facets of round things may leave them is typed; what is out of range is said, and stays as it was.
  const within = page.getByLabel("Round faces in OBJ within");
  await expect(within).toHaveValue("10");
  await within.fill("0.5");
  await within.press("Enter");
  const [asked] = await Promise.all([
    page.waitForRequest(/\/exports\/.*\.obj/),
    page.getByRole("button", { name: "Save as OBJ" }).click(),
  ]);
  expect(asked.url()).toContain("tolerance=0.5");
});

test(
  "a street is drawn bend by bend and changed by number; things are hidden, kept in place, and repeated " +
    "along a line",
  async ({ page }) => {
    const id = await onPlan(page);
    const at = await placer(page);
    await page.getByRole("button", { name: "Street", exact: true }).click();
    for (const place of [
      [-20, 12],
      [0, 12],
      [24, 18],
    ] as const)
      await page.mouse.click(...at(place[0], place[1]));
    await plan(page).press("Enter");
    const chosen = page.getByRole("region", { name: "Chosen building" });
    await type(page, "Carriageway", "7", chosen);
    await chosen.getByRole("checkbox", { name: "Tram rails" }).check();
    await chosen.getByRole("button", { name: "A crossing" }).click();
    const all = async () => (await saved<Element>(page, id)).elements;
    expect((await all())[1]).toMatchObject({
      kind: "street",
      path: [
        { x: -20, y: 12 },
        { x: 0, y: 12 },
        { x: 24, y: 18 },
      ],
      carriageway: 7,
      rails: true,
      crossings: [10],
    });

    await page.getByRole("button", { name: "Hide Street 2" }).click();
    await expect(page.getByTestId("Street 2")).toHaveCount(0);
    await page.getByRole("button", { name: "Show Street 2" }).click();
    await expect(page.getByTestId("Street 2")).toBeVisible();
    await page.getByRole("button", { name: "Keep Net loft from being moved" }).click();
    await drag(page, at(13, 24), at(18, 28));
    expect((await all())[0]).toMatchObject({ locked: true, origin: { x: 10, y: 20 } });
    await page.getByRole("button", { name: "Let Net loft be moved" }).click();

    await page.getByRole("button", { name: "Net loft", exact: true }).click();
    await page.getByText("Repeat along a line").click();
    await type(page, "Copies", "3");
    await type(page, "One every", "12");
    await type(page, "Along the heading", "90");
    await page.getByRole("button", { name: "Repeat it" }).click();
    const lofts = (await all()).filter((one): one is Block => one.kind === "block");
    expect(lofts.map(({ origin, name }) => [name, Math.round(origin.x), origin.y])).toEqual([
      ["Net loft", 10, 20],
      ["Net loft 2", 22, 20],
      ["Net loft 3", 34, 20],
      ["Net loft 4", 46, 20],
    ]);

    // A roof's slope has points of its own once it is among the sets.
    await chosen.getByLabel("Roof", { exact: true }).selectOption("gable");
    await chosen.getByRole("button", { name: "Give its slope points of its own" }).click();
    const { orientations } = await saved(page, id);
    await chosen.getByText("On the roof").click();
    await chosen.getByRole("button", { name: "A chimney" }).click();
    expect((await all()).find(({ id: own }) => own === "loft")).toMatchObject({
      kind: "building",
      chimneys: [{ x: 13, y: 25, side: 0.9, rise: 3.7 }],
    });
    // Three metres of treads of 0.3 m; a ramp instead, with a press.
    await page.getByRole("button", { name: "Steps" }).click();
    // What is kept from being moved moves the plan instead.
    const now = await placer(page);
    await drag(page, now(-10, 2), now(-10, 5));
    await chosen.getByRole("checkbox", { name: "A ramp" }).check();
    expect((await all()).at(-1)).toMatchObject({
      kind: "steps",
      count: 10,
      heading: 0,
      foot: { x: -10, y: 2, z: 0 },
      ramp: true,
    });
    // 2.5 m up over half of 6 m: 39.8 degrees, across the ridge that runs north.
    expect(orientations[0].slopes).toMatchObject([{ axis: "across", rise: 39.806, name: "Roof of Net loft" }]);
  },
);

test("a courtyard is drawn inside a building, its corners dragged, a passage led into it, and taken away", async ({
  page,
}) => {
  const id = await onPlan(page);
  const at = await placer(page);
  const courtyards = async () => ((await saved<Building>(page, id)).elements[0].courtyards ?? []).map(rounded);
  const rounded = (yard: readonly { readonly x: number; readonly y: number }[]) =>
    yard.map(({ x, y }) => [Number(x.toFixed(1)), Number(y.toFixed(1))]);
  await page.getByRole("button", { name: "Courtyard", exact: true }).click();
  await drag(page, at(8, 22), at(14, 26));
  await expect(page.getByText("Draw the courtyard inside a building, clear of its walls.").first()).toBeVisible();
  // Alt: the walls so near do not catch it.
  await page.keyboard.down("Alt");
  await drag(page, at(11, 22), at(15, 26));
  await page.keyboard.up("Alt");
  const drawn = [
    [11, 22],
    [15, 22],
    [15, 26],
    [11, 26],
  ];
  expect((await courtyards())[0].sort()).toEqual([...drawn].sort());
  const chosen = page.getByRole("region", { name: "Chosen building" });
  await page.getByRole("button", { name: "Choose", exact: true }).click();
  await page.keyboard.down("Alt");
  await drag(page, at(15, 26), at(15, 27));
  await page.keyboard.up("Alt");
  expect((await courtyards())[0]).toContainEqual([15, 27]);
  await chosen.getByText("Windows, doors and passages").click();
  await chosen.getByRole("button", { name: "A passage through it" }).click();
  expect((await saved<Building>(page, id)).elements[0].passages).toHaveLength(1);
  await chosen.getByLabel("Roof", { exact: true }).selectOption("flat");
  await expect(chosen.getByLabel("Roof", { exact: true }).getByRole("option", { name: "Pyramid" })).toBeDisabled();
  await chosen.getByText("Courtyards", { exact: true }).click();
  // The area of its corners as they were saved, by the trapezium formula; drawn by hand it is 18 m² to a pixel.
  const [yard] = (await saved<Building>(page, id)).elements[0].courtyards!;
  const area = Math.abs(yard.reduce((sum, p, i) => sum + p.x * yard[(i + 1) % 4].y - yard[(i + 1) % 4].x * p.y, 0)) / 2;
  expect(Math.abs(area - 18)).toBeLessThan(0.2);
  await expect(chosen.getByText(`4 corners, ${area.toFixed(1)} m²`)).toBeVisible();
  await chosen.getByRole("button", { name: "Delete courtyard 1" }).click();
  expect(await courtyards()).toEqual([]);
  await page.getByRole("button", { name: "Undo" }).click();
  expect(await courtyards()).toHaveLength(1);
});

test("a thing is scaled about its middle, and what would be too large is refused with its place", async ({ page }) => {
  const id = await onPlan(page);
  await page.getByRole("button", { name: "Net loft", exact: true }).click();
  await page.getByText("Scale", { exact: true }).click();
  await type(page, "Times as large", "2");
  await page.getByRole("button", { name: "Scale it" }).click();
  await expect(page.getByLabel("Length", { exact: true })).toHaveValue("16");
  // Its middle stays 13 m east and 24 m north.
  expect((await saved(page, id)).elements[0]).toMatchObject({
    origin: { x: 7, y: 16, z: 0 },
    length: 16,
    width: 12,
    height: 18,
  });
  await type(page, "Times as large", "1000");
  await page.getByRole("button", { name: "Scale it" }).click();
  await expect(page.getByLabel("Length", { exact: true })).toHaveValue("16000");
  await page.getByRole("button", { name: "Scale it" }).click();
  await expect(page.getByText(/^elements\/0\/origin\/.: must be/).first()).toBeVisible();
  expect((await saved(page, id)).elements[0].length).toBe(16_000);
});

test("tangents are found once the hand rests, and a small move of the eye frees the shot of them", async ({ page }) => {
  const id = await openNew(page, (scene) => {
    scene.shots[0].gaze = { heading: 0, pitch: 0, roll: 0 };
    scene.elements.push(
      { ...loft, origin: { x: 0, y: 10, z: 0 }, length: 3, width: 4, height: 4 },
      { ...loft, id: "far", name: "Ice house", origin: { x: -6, y: 20, z: 0 }, length: 4, width: 5.96, height: 9 },
    );
  });
  const findings = page.getByRole("region", { name: "Findings" });
  await expect(findings.getByText(/The outlines of .* run together, 0\.5 mm apart/)).toBeVisible();
  await findings.getByRole("button", { name: "Nudge the eye free" }).click();
  await expect(findings.getByText(/run together/)).toHaveCount(0);
  const [{ eye }] = (await saved(page, id)).shots;
  expect(Math.hypot(eye.x, eye.y, eye.z - 1.6)).toBeLessThan(0.8);
  expect(eye).not.toEqual({ x: 0, y: 0, z: 1.6 });
  // The horizon stays; where the eye may rise and sink as well, the search finds a way at least as short.
  expect(eye.z).toBe(1.6);
  await page.getByRole("button", { name: "Undo" }).click();
  await findings.getByRole("button", { name: "Let it rise or sink, too" }).click();
  await expect(findings.getByText(/run together/)).toHaveCount(0);
  const [{ eye: risen }] = (await saved(page, id)).shots;
  expect(Math.hypot(risen.x, risen.y, risen.z - 1.6)).toBeLessThanOrEqual(Math.hypot(eye.x, eye.y) + 1e-9);
});

test("of several buildings the measures are typed for all; what is locked is not deleted", async ({ page }) => {
  const house = (id: string, name: string, x: number): Building => ({
    id,
    kind: "building",
    name,
    footprint: [
      { x, y: 12 },
      { x: x + 6, y: 12 },
      { x: x + 6, y: 20 },
      { x, y: 20 },
    ],
    base: 0,
    height: 6,
    roof: { kind: "flat" },
  });
  const id = await onPlan(page, (scene) => {
    scene.elements.push(house("a", "Sail loft", -20), { ...house("b", "Rope shed", -8), locked: true });
  });
  const houses = async () => (await saved<Building>(page, id)).elements.filter(({ kind }) => kind === "building");
  await page.getByRole("button", { name: "Sail loft", exact: true }).click();
  await page.getByRole("button", { name: "Rope shed", exact: true }).click({ modifiers: ["Shift"] });
  const chosen = page.getByRole("region", { name: "Chosen things" });
  await chosen.getByText("Measures of all 2").click();
  await type(page, "Height to the eaves", "9", chosen);
  await chosen.getByLabel("Roof", { exact: true }).selectOption("gable");
  expect(await houses()).toMatchObject([
    { name: "Sail loft", height: 9, roof: { kind: "gable" }, footprint: house("a", "", -20).footprint },
    { name: "Rope shed", height: 9, roof: { kind: "gable" }, footprint: house("b", "", -8).footprint },
  ]);
  await page.getByRole("button", { name: "Undo" }).click();
  expect((await houses()).map(({ roof }) => roof.kind)).toEqual(["flat", "flat"]);
  await chosen.getByRole("button", { name: "Delete" }).click();
  await expect(page.getByText("Rope shed is locked, so it stays.").first()).toBeVisible();
  expect((await houses()).map(({ name }) => name)).toEqual(["Rope shed"]);
});
