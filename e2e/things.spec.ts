import { fileURLToPath } from "node:url";
import { expect, test } from "@playwright/test";
import type { Fixture, Furniture, Sign, Steps } from "@zanvo/core/world";
import { bay, fittings, house, HOUSE, wall, withHouse } from "./house";
import { dragOnSheet, onSheet, openNew, saved, type } from "./table";

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
