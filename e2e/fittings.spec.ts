import { fileURLToPath } from "node:url";
import { expect, test, type Page } from "@playwright/test";
import type { Scene } from "@zanvo/core/scene";
import type { Building, Fixture, Furniture, Sign, Steps } from "@zanvo/core/world";
import { dragOnSheet, onSheet, openNew, saved, type } from "./table";

/** A building whose near corner stands 12 m straight ahead: its long wall to the left, 12 m, three storeys. */
const HOUSE: Building = {
  id: "house",
  kind: "building",
  name: "Chandlery",
  footprint: [
    { x: 0, y: 12 },
    { x: 6, y: 20 },
    { x: -2, y: 26 },
    { x: -9.6, y: 16.8 },
  ],
  base: 0,
  height: 9,
  storeys: 3,
  roof: { kind: "flat" },
};
const withHouse = (scene: Scene) => void scene.elements.push(structuredClone(HOUSE));

async function fittings(page: Page): Promise<void> {
  await page.getByRole("navigation", { name: "Stages" }).getByRole("button", { name: "Fittings" }).click();
  await expect(page.getByText("Press a wall of a building: it opens flat here, to scale.")).toBeVisible();
}
const wall = (page: Page) => page.getByRole("region", { name: /^Wall \d+ of Chandlery$/ });
const house = async (page: Page, id: string) => (await saved<Building>(page, id)).elements[0];
const bay = (page: Page, n: number, storey: number) =>
  page.getByRole("button", { name: new RegExp(`^Bay ${n}, storey ${storey}: `) });

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

test("furniture is put where the picture is pressed, dragged, and undone; a picture hangs on a wall only", async ({
  page,
}) => {
  const id = await openNew(page, (scene) => {
    withHouse(scene);
    scene.elements[0] = { ...HOUSE, rooms: { wall: 0.3, slab: 0.3 } };
    scene.shots[0].cutaway = "house";
  });
  await fittings(page);
  await page.getByText("Put where you press").click();
  const things = async () => (await saved<Furniture>(page, id)).elements.slice(1);
  await page.getByRole("button", { name: "Chair", exact: true }).click();
  await expect(page.getByText("Chair: press in the picture where it goes. Escape: no more.")).toBeVisible();
  // On the floor of the room, 1 cm over the ground.
  await page.mouse.click(...(await onSheet(page, 190, 178)));
  await expect.poll(things).toMatchObject([{ kind: "furniture", thing: "chair", name: "Chair", height: 0.45 }]);
  const [chair] = await things();
  expect(chair.at.z).toBeCloseTo(0.01, 9);
  // It stands square to the walls of its room.
  expect(Math.sin((Math.PI / 90) * 2 * (chair.heading - 36.87))).toBeCloseTo(0, 3);
  // No chair hangs on a wall, no picture lies on a floor.
  await page.mouse.click(...(await onSheet(page, 190, 120)));
  await expect(page.getByText("A chair stands on a floor or the ground: press there.")).toBeVisible();
  await page.getByRole("button", { name: "Picture", exact: true }).click();
  await page.mouse.click(...(await onSheet(page, 225, 180)));
  await expect(page.getByText("A picture hangs on a wall: press one.")).toBeVisible();
  await page.mouse.click(...(await onSheet(page, 190, 120)));
  await expect.poll(async () => (await things()).length).toBe(2);
  expect((await things())[1]).toMatchObject({ thing: "picture", width: 0.8 });

  // Nothing more is put; a thing is chosen by pressing it, dragged over its floor, measured.
  await page.keyboard.press("Escape");
  await page.mouse.click(...(await onSheet(page, 190, 176)));
  await expect(page.getByLabel("Is a")).toHaveValue("chair");
  await dragOnSheet(page, [190, 176], [205, 178]);
  await expect.poll(async () => (await things())[0].at.x).not.toBe(chair.at.x);
  expect((await things())[0].at.z).toBeCloseTo(0.01, 9);
  await page.keyboard.press("Control+z");
  await expect.poll(async () => (await things())[0].at).toEqual(chair.at);
  await type(page, "Height", "0.5");
  await expect.poll(async () => (await things())[0].height).toBe(0.5);
});

test("stairs are put on the ground, turned, measured by their height, and refused where they cannot be", async ({
  page,
}) => {
  const id = await openNew(page);
  await fittings(page);
  await page.getByText("Put where you press").click();
  await page.getByRole("button", { name: "Half turn stairs", exact: true }).click();
  await page.mouse.click(...(await onSheet(page, 210, 220)));
  const stairs = async () => (await saved<Steps>(page, id)).elements[0];
  await expect.poll(stairs).toMatchObject({ kind: "steps", plan: "half", count: 17, rails: true });
  await page.keyboard.press("Escape");
  const tools = page.getByRole("region", { name: "Fittings tools" });

  // By their height in all: a whole number of risers, and treads to go with them.
  await type(page, "Height in all", "3.2", tools);
  await expect.poll(async () => (await stairs()).count).toBe(18);
  expect((await stairs()).riser).toBeCloseTo(3.2 / 18, 9);
  await page.getByRole("button", { name: "Treads to go with the risers" }).click();
  await expect.poll(async () => 2 * (await stairs()).riser + (await stairs()).tread).toBeCloseTo(0.63, 9);
  await page.getByLabel("They turn to the left").check();
  await type(page, "Risers up to the landing", "6", tools);
  await expect.poll(stairs).toMatchObject({ left: true, landing: 6 });
  await type(page, "Risers up to the landing", "40", tools);
  await expect(page.getByText("The landing is none: there are only 18 risers.")).toBeVisible();

  // On a solid, a narrow spiral cannot go more than once around; its treads hang free.
  await page.getByLabel("On plan").selectOption("spiral");
  await expect.poll(stairs).toMatchObject({ plan: "spiral", open: true, eye: 0.2 });
  await page.getByLabel("Treads hang free").click();
  await expect(page.getByText(/on a solid they turn less than once around/).first()).toBeVisible();
  expect((await stairs()).open).toBe(true);
  await page.keyboard.press("Control+z");
  await expect.poll(stairs).toMatchObject({ plan: "half", landing: 6 });
});

test("steps lead up to a door that stands over the ground", async ({ page }) => {
  const id = await openNew(page, (scene) => {
    const front = { side: 3, bays: "door 1", ends: 0.4 };
    scene.elements.push({ ...structuredClone(HOUSE), base: 0.68, fronts: [front] });
  });
  await fittings(page);
  await page.mouse.click(...(await onSheet(page, 170, 150)));
  await expect(wall(page)).toBeVisible();
  await bay(page, 1, 1).press("Enter");
  await page.getByLabel("Steps up to it").check();
  await expect.poll(async () => (await house(page, id)).fronts![0].own).toEqual([{ bay: 0, storey: 0, steps: true }]);
});

test("a sign is hung on a wall, says what is typed in any script, and is dragged in its wall's plane", async ({
  page,
}) => {
  const id = await openNew(page, withHouse);
  await fittings(page);
  await page.getByText("Put where you press").click();
  await page.getByRole("button", { name: "Painted on the wall", exact: true }).click();
  await page.mouse.click(...(await onSheet(page, 170, 130)));
  const hung = async () => (await saved<Sign>(page, id)).elements[1];
  await expect.poll(hung).toMatchObject({ kind: "sign", text: "SIGN", capital: 0.6 });
  await page.keyboard.press("Escape");
  const tools = page.getByRole("region", { name: "Fittings tools" });
  await type(page, "Says", "Café שלום", tools);
  await expect.poll(async () => (await hung()).text).toBe("Café שלום");
  expect((await hung()).letters).toHaveLength(8);
  await tools.getByLabel("Typeface").selectOption("Lobster, a script");
  await expect.poll(async () => (await hung()).typeface).toBe("Lobster, a script");
  // What no typeface has is named, and left out.
  await type(page, "Says", "Café 漢", tools);
  await expect(page.getByText("No typeface here has 漢: left out.").first()).toBeVisible();
  await expect.poll(async () => (await hung()).letters.length).toBe(4);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(async () => (await hung()).text).toBe("Café שלום");

  // A font file of one's own; one that is none is refused, and nothing is lost.
  const pick = async (file: string | { name: string; mimeType: string; buffer: Buffer }) => {
    const asked = page.waitForEvent("filechooser");
    await tools.getByRole("button", { name: "Bring a font file of your own" }).click();
    await (await asked).setFiles(file);
  };
  await pick({ name: "broken.ttf", mimeType: "font/ttf", buffer: Buffer.from("no font at all") });
  await expect(page.getByText(/the file cannot be read as a font/).first()).toBeVisible();
  await pick(
    fileURLToPath(
      new URL("../node_modules/@fontsource/alfa-slab-one/files/alfa-slab-one-latin-400-normal.woff", import.meta.url),
    ),
  );
  await expect.poll(async () => (await hung()).typeface).toBe("alfa-slab-one-latin-400-normal.woff");

  // On a board, letters stand out; it is dragged along its wall and up.
  await tools.getByLabel("On a board").check();
  await tools.getByLabel("Letters stand out").check();
  await expect.poll(hung).toMatchObject({ board: { depth: 0.05 }, raised: 0.06 });
  const before = (await hung()).at;
  await dragOnSheet(page, [170, 130], [185, 120]);
  await expect.poll(async () => (await hung()).at.z).toBeGreaterThan(before.z);
  const { at, heading } = await hung();
  const [nx, ny] = [Math.sin((heading * Math.PI) / 180), Math.cos((heading * Math.PI) / 180)];
  expect(nx * (at.x - before.x) + ny * (at.y - before.y)).toBeCloseTo(0, 9);
  await page.keyboard.press("Control+z");
  await expect.poll(async () => (await hung()).at).toEqual(before);
});

test("a canopy, a drainpipe and a roof light are fixed where they belong, and refused elsewhere", async ({ page }) => {
  const id = await openNew(page, (scene) => {
    withHouse(scene);
    scene.elements[0] = { ...HOUSE, height: 4, storeys: 1, roof: { kind: "hip", rise: 2 } };
  });
  await fittings(page);
  await page.getByText("Put where you press").click();
  const things = async () => (await saved<Fixture>(page, id)).elements.slice(1);
  const put = async (name: string, x: number, y: number) => {
    await page.getByRole("button", { name, exact: true }).click();
    await page.mouse.click(...(await onSheet(page, x, y)));
  };
  await put("Canopy", 170, 130);
  await expect.poll(async () => (await things()).length).toBe(1);
  await expect(page.getByLabel("Points of its slopes")).toBeVisible();
  await put("Drainpipe", 190, 110);
  await expect.poll(async () => (await things())[1]).toMatchObject({ thing: "drainpipe", at: { z: 0 } });
  await put("Canopy", 210, 240);
  await expect(page.getByText("A canopy hangs on a wall: press one.")).toBeVisible();
  await put("Roof light", 170, 130);
  await expect(page.getByText("A roof light lies in a roof: press one.")).toBeVisible();
});
