import { readFileSync } from "node:fs";
import { expect, test, type Page } from "@playwright/test";
import type { Scene } from "@zanvo/core/scene";
import type { Building, Element } from "@zanvo/core/world";
import { drag, loft, onPlan, placer, plan } from "./plan";
import { onSheet, openNew, saved, type } from "./table";

/** A house that is a kit's own only part, with a name that no other journey has. */
const house = (name: string): Building => ({
  id: "house",
  kind: "building",
  name,
  footprint: [
    { x: -3, y: 14 },
    { x: 3, y: 14 },
    { x: 3, y: 20 },
    { x: -3, y: 20 },
  ],
  base: 0,
  height: 6,
  storeys: 2,
  roof: { kind: "flat" },
  fronts: [{ side: 0, bays: "door 1, window 2" }],
});
const withHouse =
  (name: string) =>
  (scene: Scene): void =>
    void scene.elements.push(house(name));

/** The parts of a scene that are of the kit with a name. */
async function parts(page: Page, id: string, name: string): Promise<readonly Element[]> {
  const { elements, kits = [] } = await saved<Element>(page, id);
  const kit = kits.find((one) => one.name === name);
  return elements.filter((one) => kit && one.kit?.id === kit.id);
}
const card = (page: Page, name: string) => page.getByRole("article", { name, exact: true });
const kitButton = (page: Page, name: string) =>
  page.getByRole("group", { name: "Kits" }).getByRole("button", { name, exact: true });
const said = (page: Page, text: string | RegExp) => expect(page.getByText(text).first()).toBeVisible();

test("the kits that ship stand on a shelf of their own, and are put into the picture, square to it", async ({
  page,
}) => {
  await page.goto("/");
  // The shelves of other journeys are long: each is found by its name.
  await page.getByLabel("Find a scene").fill("Chandlers");
  await expect(page.getByRole("link", { name: "Chandlers' Row" }).first()).toBeVisible();
  await page.getByLabel("Find a scene").fill("Corner pub");
  await expect(page.getByText("No scene is called “Corner pub”.")).toBeVisible();
  await page.getByRole("link", { name: "Kits" }).click();
  for (const name of ["Warehouse", "Net loft", "Chandlery", "Terrace house", "Tram shelter", "Customs house"]) {
    await page.getByLabel("Find a kit").fill(name);
    await expect(card(page, name)).toBeVisible();
  }
  await page.getByLabel("Find a kit").fill("Corner pub");
  await expect(card(page, "Corner pub")).toContainText("4 things");

  const id = await openNew(page, ({ orientations }) => void (orientations[0].heading = 90));
  await page.getByRole("navigation", { name: "Stages" }).getByRole("button", { name: "Fittings" }).click();
  await page.getByText("Kits", { exact: true }).click();
  await kitButton(page, "Corner pub").click();
  await expect(page.getByText("Corner pub: press in the picture where its front stands.")).toBeVisible();
  await page.mouse.click(...(await onSheet(page, 210, 190)));
  await expect.poll(async () => (await parts(page, id, "Corner pub")).length).toBe(4);
  const [pub] = (await parts(page, id, "Corner pub")) as [Building];
  // The eye is 300 mm before the picture and 1.6 m over the ground: a place 41.5 mm under the horizon is 11.57 m off.
  const ahead = Math.min(...pub.footprint.map(({ y }) => y));
  expect(ahead).toBeCloseTo((1.6 * 300) / 41.5, 1);
  expect(pub.footprint.filter(({ y }) => Math.abs(y - ahead) < 1e-6)).toHaveLength(2);
  // Several parts are told of as one; undone, all of it is gone.
  await expect(page.getByText("4 parts in one of the kit “Corner pub”.")).toBeVisible();
  await page.keyboard.press("Escape");
  await page.keyboard.press("Control+z");
  expect((await saved(page, id)).elements).toEqual([]);
});

test("a thing is kept as a kit, laid on the plan, and changed in one place or everywhere", async ({ page }) => {
  const id = await onPlan(page, withHouse("Ferry stage"));
  const at = await placer(page);
  await page.mouse.click(...at(0, 17));
  const chosen = page.getByRole("region", { name: "Chosen building" });
  await chosen.getByText("Kit", { exact: true }).click();
  await chosen.getByRole("button", { name: "Keep as a kit" }).click();
  await said(page, "“Ferry stage” is kept as a kit: any scene can have it.");
  await expect(chosen.getByText("One of the kit “Ferry stage”.")).toBeVisible();

  // Laid along its front from one end, and pressed down: it stands away from who draws it, to the right.
  await page.getByText("Kits", { exact: true }).click();
  await kitButton(page, "Ferry stage").click();
  await expect(kitButton(page, "Ferry stage")).toHaveAttribute("aria-pressed", "true");
  await drag(page, at(-14, 24), at(-14, 18));
  await expect.poll(async () => (await parts(page, id, "Ferry stage")).length).toBe(2);
  await plan(page).press("Escape");
  const [first, second] = (await parts(page, id, "Ferry stage")) as Building[];
  const xs = second.footprint.map(({ x }) => x);
  expect([Math.min(...xs), Math.max(...xs)].map((x) => Number(x.toFixed(2)))).toEqual([-20, -14]);
  expect(second.id).not.toBe(first.id);

  // The one that was laid is made higher, and then all are; back where it stands, each keeps its own ground.
  await type(page, "Height to the eaves", "9", chosen);
  await chosen.getByText("Kit", { exact: true }).click();
  await expect(chosen.getByText("One of the kit “Ferry stage”; 1 more here.")).toBeVisible();
  await chosen.getByRole("button", { name: "Change the kit everywhere to be like this" }).click();
  await said(page, "“Ferry stage” is changed here and on the shelf: other scenes are offered it.");
  const heights = async () => ((await parts(page, id, "Ferry stage")) as Building[]).map(({ height }) => height);
  await expect.poll(heights).toEqual([9, 9]);
  const [again] = (await parts(page, id, "Ferry stage")) as Building[];
  again.footprint.forEach(({ x, y }, i) => {
    expect(x).toBeCloseTo(first.footprint[i].x, 6);
    expect(y).toBeCloseTo(first.footprint[i].y, 6);
  });
  // Changed alone, it stays so; as the kit again, it does not.
  await type(page, "Height to the eaves", "4", chosen);
  expect(await heights()).toEqual([9, 4]);
  await chosen.getByRole("button", { name: "Make this as the kit is" }).click();
  await expect.poll(heights).toEqual([9, 9]);
  await chosen.getByRole("button", { name: "Change this one alone from now on" }).click();
  await expect.poll(heights).toEqual([9]);

  // Another scene that has it as it was is offered it as it is.
  const scene = await saved<Element>(page, id);
  const old = { ...scene.kits![0], revision: 1, elements: [{ ...house("Ferry stage"), id: "house" }] };
  const earlier = { ...house("Ferry stage"), id: "a", kit: { id: old.id, instance: "i", part: "house" } };
  const other = await openNew(page, (next) => {
    next.elements.push(earlier);
    next.kits = [old];
  });
  await page.getByRole("link", { name: "Plan", exact: true }).click();
  await page.getByRole("button", { name: "Ferry stage", exact: true }).first().click();
  await chosen.getByText("Kit", { exact: true }).click();
  await chosen.getByRole("button", { name: "Take the kit over as it is on the shelf" }).click();
  await expect
    .poll(async () => ((await saved<Building>(page, other)).elements[0] as Building | undefined)?.height)
    .toBe(9);
});

test("a front is kept as a kit and put on another wall; changed, it changes on both", async ({ page }) => {
  const id = await openNew(page, (scene) => {
    scene.orientations[0].heading = 90;
    scene.elements.push(house("Ice house"), {
      ...house("Smokehouse"),
      id: "other",
      footprint: house("").footprint.map(({ x, y }) => ({ x: x + 8, y })),
      fronts: [],
    });
  });
  await page.getByRole("navigation", { name: "Stages" }).getByRole("button", { name: "Fittings" }).click();
  await expect(page.getByText("Press a wall of a building: it opens flat here, to scale.")).toBeVisible();
  // The walls stand 14 m ahead: 1 m is 21.4 mm of the picture there.
  await page.mouse.click(...(await onSheet(page, 225, 120)));
  await page.getByText("This front as a kit").click();
  await page.getByRole("button", { name: "Keep this front as a kit" }).click();
  await said(page, "“Front of Ice house” is kept as a kit: any scene can have it.");
  await page.getByText("Kits", { exact: true }).click();
  await kitButton(page, "Front of Ice house").click();
  await expect(page.getByText("press the wall that gets it.")).toBeVisible();
  await page.mouse.click(...(await onSheet(page, 210 + 21.4 * 8, 120)));
  const bays = async () =>
    (await saved<Building>(page, id)).elements.map(({ fronts }) => fronts?.map((front) => front.bays).join());
  await expect.poll(bays).toEqual(["door 1, window 2", "door 1, window 2"]);
  await page.keyboard.press("Escape");
  await type(
    page,
    "Bays: a number, or a rhythm",
    "window 1, door 1",
    page.getByRole("region", { name: /^Wall 1 of / }),
  );
  await page.getByRole("button", { name: "Change the kit everywhere to be like this" }).click();
  await expect.poll(bays).toEqual(["window 1, door 1", "window 1, door 1"]);
});

test("a row rolls houses from kits, with all that belongs to them", async ({ page }) => {
  const id = await onPlan(page);
  const at = await placer(page);
  await page.getByRole("button", { name: "Row of houses" }).click();
  await drag(page, at(-16, 34), at(30, 34));
  await plan(page).press("Escape");
  const row = page.getByRole("region", { name: "Row" });
  await row.getByText("Houses from kits").click();
  await row.getByRole("checkbox", { name: "Corner pub" }).click();
  await expect(row.getByRole("checkbox", { name: "Corner pub" })).toBeChecked();
  await type(page, "From kits, of 100 houses", "100", row);
  const pubs = async () => (await parts(page, id, "Corner pub")).length;
  await expect.poll(pubs).toBeGreaterThan(7);
  expect((await pubs()) % 4).toBe(0);
  const rolled = (await saved<Building>(page, id)).elements.filter(({ row: own }) => own);
  // Where a kit would leave a gap behind it, there is a house by the rule.
  expect(rolled.filter(({ kit }) => !kit).length).toBeLessThan(3);
  // What is no house is told of, and no part of a house is left when the kit is taken out again.
  await row.getByRole("checkbox", { name: "Tram shelter" }).click();
  await said(page, "There is no house in “Tram shelter”.");
  await row.getByRole("checkbox", { name: "Corner pub" }).uncheck();
  await expect.poll(pubs).toBe(0);
  expect((await saved<Element>(page, id)).elements.some(({ name }) => name === loft.name)).toBe(true);
});

test("a kit is renamed, saved as a file, deleted, put back, and read from the file again", async ({ page }) => {
  const id = await onPlan(page, withHouse("Rope walk"));
  await page.mouse.click(...(await placer(page))(0, 17));
  const chosen = page.getByRole("region", { name: "Chosen building" });
  await chosen.getByText("Kit", { exact: true }).click();
  await chosen.getByLabel("Name of the kit").fill("Rope walk, kept");
  await chosen.getByRole("button", { name: "Keep as a kit" }).click();
  await said(page, "“Rope walk, kept” is kept as a kit: any scene can have it.");
  await saved(page, id);
  await page.goto("/kits");
  await card(page, "Rope walk, kept").getByRole("button", { name: "Rename Rope walk, kept" }).click();
  await page.getByLabel("Name of the scene").fill("Long rope walk");
  await page.keyboard.press("Enter");
  await expect(card(page, "Long rope walk")).toBeVisible();
  const download = page.waitForEvent("download");
  await card(page, "Long rope walk").getByRole("button", { name: "Save Long rope walk as a file" }).click();
  const file = await (await download).path();
  expect(JSON.parse(readFileSync(file, "utf8"))).toMatchObject({ kit: "things", title: "Long rope walk" });
  await card(page, "Long rope walk").getByRole("button", { name: "Delete Long rope walk" }).click();
  await expect(card(page, "Long rope walk")).toHaveCount(0);
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(card(page, "Long rope walk")).toBeVisible();
  const chooser = page.waitForEvent("filechooser");
  await page.getByRole("button", { name: "Import a file" }).click();
  await (await chooser).setFiles({ name: "walk.zanvo.json", mimeType: "application/json", buffer: readFileSync(file) });
  await said(page, "“Long rope walk” is on the shelf of kits.");
  await expect(card(page, "Long rope walk")).toHaveCount(2);
});
