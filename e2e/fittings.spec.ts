import { expect, test } from "@playwright/test";
import type { Building } from "@zanvo/core/world";
import { bay, fittings, house, HOUSE, wall, withHouse } from "./house";
import { onSheet, openNew, saved, type } from "./table";

test("a wall that is pressed opens flat; its front is changed by rule and bay by bay, undone and kept", async ({
  page,
}) => {
  const id = await openNew(page, withHouse);
  await fittings(page);
  await page.mouse.click(...(await onSheet(page, 170, 130)));
  await expect(wall(page)).toBeVisible();
  await page.getByRole("button", { name: "A front by its size" }).click();
  const fronts = (await house(page, id)).fronts!;
  expect(fronts).toMatchObject([{ window: { reveal: 0.12, across: 2, up: 2 } }]);
  const [{ side }] = fronts;
  await expect(page.getByText(/^10\.73 m long, 9\.00 m to the eaves$/)).toBeVisible();

  // By rule: a shop, a door and a blank bay on the ground.
  await type(page, "Bays: a number, or a rhythm", "shop 4, door 1.6, blank 1, window 2 x2", wall(page));
  await expect(bay(page, 1, 1)).toHaveAccessibleName("Bay 1, storey 1: window");
  await expect(bay(page, 2, 1)).toHaveAccessibleName("Bay 2, storey 1: door");
  await expect(bay(page, 3, 2)).toHaveAccessibleName("Bay 3, storey 2: nothing");
  await type(page, "Ground floor", "4", wall(page));
  expect((await house(page, id)).groundFloor).toBe(4);

  // The shop has an awning, measured out.
  await page.getByLabel("Awnings over its shops").check();
  await type(page, "Reaches out by", "1.5", wall(page));
  expect((await house(page, id)).fronts![0].awning).toEqual({ out: 1.5, drop: 0.5 });

  // One bay: dragged along its wall and up, in steps; typed; made a door; taken away; given back to its rule.
  await bay(page, 4, 2).scrollIntoViewIfNeeded();
  const box = (await bay(page, 4, 2).boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 4, y - 6, { steps: 4 });
  await page.mouse.up();
  const own = async () => (await house(page, id)).fronts![0].own ?? [];
  const [moved] = await own();
  expect(moved).toMatchObject({ bay: 3, storey: 1 });
  expect(moved.by! / 0.05).toBeCloseTo(Math.round(moved.by! / 0.05), 6);
  expect(moved.by).toBeGreaterThan(0);
  expect(moved.sill).toBeGreaterThan(0.9);
  const fields = page.getByRole("region", { name: "Bay 4, storey 2" });
  await type(page, "Width", "0.8", fields);
  await fields.getByRole("button", { name: "Pointed arch" }).click();
  expect((await own())[0]).toMatchObject({ width: 0.8, head: "pointed" });
  await type(page, "Off its bay’s middle", "-9", fields);
  await expect(fields.getByText(/reaches over the corner of its wall/)).toBeVisible();
  await page.keyboard.press("Escape");
  await fields.getByLabel("A balcony before it").check();
  expect((await own())[0]).toMatchObject({ balcony: true });
  await fields.getByLabel("Has").selectOption("none");
  await expect(bay(page, 4, 2)).toHaveAccessibleName("Bay 4, storey 2: nothing");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(bay(page, 4, 2)).toHaveAccessibleName("Bay 4, storey 2: window");
  await fields.getByRole("button", { name: "As its rule has it" }).click();
  expect(await own()).toEqual([]);
  // In the picture, by a handle on it: the wall's plane is under the hand.
  await bay(page, 4, 2).click();
  const handle = page.getByRole("button", { name: "The window in bay 4, storey 2" });
  const there = (await handle.boundingBox())!;
  await page.mouse.move(there.x + 12, there.y + 12);
  await page.mouse.down();
  await page.mouse.move(there.x + 20, there.y + 6, { steps: 4 });
  await expect(page.getByRole("status").filter({ hasText: /^\d+\.\d\d m along, \d\.\d\d m up$/ })).toBeVisible();
  await page.mouse.up();
  expect((await own())[0]).toMatchObject({ bay: 3, storey: 1 });
  expect(Math.abs((await own())[0].by!)).toBeGreaterThan(0.05);
  await page.getByRole("button", { name: "Undo" }).click();
  expect(await own()).toEqual([]);
  // By keys: an arrow moves it, Delete takes it away.
  await bay(page, 5, 3).focus();
  await page.keyboard.press("ArrowLeft");
  expect((await own())[0]).toMatchObject({ bay: 4, storey: 2, by: -0.05 });

  await page.reload();
  await page.getByRole("navigation", { name: "Stages" }).getByRole("button", { name: "Fittings" }).click();
  await page.mouse.click(...(await onSheet(page, 170, 130)));
  await expect(bay(page, 2, 1)).toHaveAccessibleName("Bay 2, storey 1: door");
  await page.getByRole("button", { name: "Take the front away" }).click();
  expect((await house(page, id)).fronts).toBeUndefined();
  expect(side).toBeGreaterThanOrEqual(0);
});

test("bays that cannot be read are refused with a sentence, and the front stays", async ({ page }) => {
  const id = await openNew(page, withHouse);
  await fittings(page);
  await page.mouse.click(...(await onSheet(page, 170, 130)));
  await page.getByRole("button", { name: "A front by its size" }).click();
  const before = await house(page, id);
  const bays = wall(page).getByLabel("Bays: a number, or a rhythm");
  for (const [typed, told] of [
    ["window 2, dor 1", /bay 2 is called "dor": call bays window, door, double, shop, gate, bay, blank, or nothing\./],
    ["0", /0/],
    ["2 window", /word 2, "window", has no size after it/],
  ] as const) {
    await bays.fill(typed);
    await bays.press("Enter");
    await expect(wall(page).getByRole("alert")).toHaveText(told);
  }
  await bays.press("Escape");
  expect(await house(page, id)).toEqual(before);
});

test("a front is copied to all walls and to another building; a block is made a building first", async ({ page }) => {
  const id = await openNew(page, (scene) => {
    withHouse(scene);
    scene.elements.push({
      id: "shed",
      kind: "block",
      name: "Shed",
      origin: { x: 8, y: 16, z: 0 },
      heading: -37,
      length: 8,
      width: 8,
      height: 4,
    });
  });
  await fittings(page);
  await page.mouse.click(...(await onSheet(page, 170, 130)));
  await page.getByRole("button", { name: "A front by its size" }).click();
  await page.getByText("Copy this front").click();
  await page.getByRole("button", { name: "On all its walls" }).click();
  expect((await house(page, id)).fronts).toHaveLength(4);
  await page.getByRole("button", { name: "Copy it, for a wall that is pressed next" }).click();
  await page.mouse.click(...(await onSheet(page, 330, 150)));
  await page.getByRole("button", { name: "Make it a building" }).click();
  await page.getByRole("button", { name: "Put the copied front here" }).click();
  const [first, shed] = (await saved<Building>(page, id)).elements;
  expect(shed).toMatchObject({ kind: "building", name: "Shed" });
  expect(shed.fronts![0].bays).toBe(first.fronts![0].bays);
});

test("all walls of a building are dressed: bands around its corners, brick whole or as a hint", async ({ page }) => {
  const id = await openNew(page, (scene) => {
    withHouse(scene);
    (scene.elements[0] as Building).height = 60;
  });
  await fittings(page);
  await page.mouse.click(...(await onSheet(page, 170, 130)));
  await page.getByText("All its walls", { exact: true }).click();
  await page.getByLabel("A plinth").check();
  await type(page, "Height of the plinth", "0.8", wall(page));
  await page.getByLabel("Quoins").check();
  await page.getByLabel("Made of").selectOption("flemish");
  // 60 m of brick all around are too many to draw: it says so, and a hint can be had.
  await expect(page.getByText(/has too many pieces on walls so large/).first()).toBeVisible();
  await page.getByLabel("Made of").selectOption("boards");
  await page.getByLabel("A hint of it at the edges").check();
  await page.getByLabel("Made of").selectOption("flemish");
  expect((await house(page, id)).dress).toEqual({ plinth: 0.8, quoins: true, pattern: "flemish", hint: true });
  await page.getByLabel("Made of").selectOption("");
  expect((await house(page, id)).dress).toEqual({ plinth: 0.8, quoins: true });
});

test("the doors of a front, and bays that do not fill its wall", async ({ page }) => {
  const id = await openNew(page, withHouse);
  await fittings(page);
  await page.mouse.click(...(await onSheet(page, 170, 130)));
  await page.getByRole("button", { name: "A front by its size" }).click();
  const front = async () => (await house(page, id)).fronts![0];
  await type(page, "Bays: a number, or a rhythm", "door 2, double 2.4, window 2", wall(page));
  await page.getByLabel("Bays that do not fill the wall").selectOption("cut");
  expect((await front()).fit).toBe("cut");
  await page.getByText("Its doors").click();
  const doors = wall(page);
  await type(page, "Panels in a leaf", "6", doors);
  await page.getByLabel("A light over it").check();
  await type(page, "Fanlight", "0.3", doors);
  expect((await front()).door).toMatchObject({ panels: 6, fanlight: 0.3, reveal: 0.12 });
  // A door of 3.2 m in the first bay, 2 m wide and 0.4 m from the corner: it is told, and the door stays.
  await type(page, "Width", "3.2", doors);
  await expect(doors.getByText(/door in bay 1 of storey 1 that reaches over the corner of its wall/)).toBeVisible();
  await page.keyboard.press("Escape");
  expect((await front()).door!.width).toBe(0.95);
  // Opened, its leaf has a point of its own.
  await bay(page, 1, 1).click();
  const fields = page.getByRole("region", { name: "Bay 1, storey 1" });
  await type(page, "Opened by", "40", fields);
  await expect(fields.getByLabel("Points of its leaves").getByText(/mm/)).toBeVisible();
  await bay(page, 2, 1).click();
  const double = page.getByRole("region", { name: "Bay 2, storey 1" });
  await type(page, "Opened by", "40", double);
  await expect(double.getByLabel("Points of its leaves").getByText(/leaf runs to/)).toHaveCount(2);
});

test("a front is put on all buildings of its row, which are kept when it is rolled again", async ({ page }) => {
  const id = await openNew(page, (scene) => {
    for (const [k, x] of [0, 14].entries())
      scene.elements.push({
        ...structuredClone(HOUSE),
        id: `house-${k}`,
        footprint: HOUSE.footprint.map((at) => ({ x: at.x + x, y: at.y + x })),
        row: "row",
      });
  });
  await fittings(page);
  await page.mouse.click(...(await onSheet(page, 170, 130)));
  await page.getByRole("button", { name: "A front by its size" }).click();
  await page.getByText("Copy this front").click();
  await page.getByRole("button", { name: "On the 2 buildings of its row" }).click();
  const [one, other] = (await saved<Building>(page, id)).elements;
  expect(other.fronts).toEqual(one.fronts);
  expect([one.kept, other.kept]).toEqual([true, true]);
});

test("rooms lie behind the walls: one looks in and out again, walks in, and leaves near walls out", async ({
  page,
}) => {
  const id = await openNew(page, withHouse);
  await fittings(page);
  await page.mouse.click(...(await onSheet(page, 170, 130)));
  await page.getByRole("button", { name: "Fronts on all its walls" }).click();
  await page.getByText("Its rooms").click();
  const before = await page.getByRole("application").screenshot();
  await page.getByLabel("Rooms behind its walls").check();
  await expect.poll(async () => (await house(page, id)).rooms).toEqual({ wall: 0.3, slab: 0.3 });
  await type(page, "Thickness of the walls", "0.4", wall(page));
  await type(page, "Rooms side by side", "3", wall(page));
  await expect.poll(async () => (await house(page, id)).rooms).toEqual({ wall: 0.4, slab: 0.3, across: 3 });
  // What cannot be is said by its field, and nothing is lost.
  await type(page, "Thickness of the floors", "0.4", wall(page));
  await type(page, "Thickness of the walls", "0.5", wall(page));
  await type(page, "Rooms side by side", "20", wall(page));
  await expect(page.getByText(/are too many: no room is left for each/)).toBeVisible();
  expect((await house(page, id)).rooms?.across).toBe(3);
  await expect.poll(async () => Buffer.compare(before, await page.getByRole("application").screenshot())).not.toBe(0);

  await page.getByLabel("Leave its near walls out in this shot").check();
  await expect.poll(async () => (await saved<Building>(page, id)).shots[0].cutaway).toBe("house");
  await page.reload();
  await fittings(page);
  await page.mouse.click(...(await onSheet(page, 170, 130)));
  await page.getByText("Its rooms").click();
  await expect(page.getByLabel("Leave its near walls out in this shot")).toBeChecked();

  // The eye may stand in a room; without rooms, that is told.
  await page.getByRole("navigation", { name: "Stages" }).getByRole("button", { name: "Eye level" }).click();
  await type(page, "Eye, north of the origin", "18");
  await type(page, "Eye, east of the origin", "-2");
  await expect.poll(async () => (await saved<Building>(page, id)).shots[0].eye).toMatchObject({ x: -2, y: 18 });
  await expect(page.getByText(/The eye stands inside/)).toHaveCount(0);
});
