import { expect, test } from "@playwright/test";
import type { Building, Crowd, Person, Plant, Vehicle } from "@zanvo/core/world";
import { drag, onPlan, placer, plan } from "./plan";
import { dragOnSheet, onSheet, openNew, saved, type } from "./table";

test("people, trees and vehicles are put where one presses, dragged over the ground, and undone", async ({ page }) => {
  const id = await openNew(page);
  await page.getByRole("button", { name: "Street", exact: true }).click();
  await page.getByRole("button", { name: "Walking", exact: true }).click();
  await page.mouse.click(...(await onSheet(page, 190, 200)));
  const people = async () => (await saved<Person>(page, id)).elements.filter(({ kind }) => kind === "person");
  await expect.poll(people).toMatchObject([{ pose: "walking", height: 1.72, at: { z: 0 } }]);
  const [walker] = await people();
  // Above the horizon there is nothing to stand on.
  await page.mouse.click(...(await onSheet(page, 190, 40)));
  await expect(page.getByText("Nothing is there to put it on: press a floor, a wall or the ground.")).toBeVisible();
  await page.keyboard.press("Escape");
  const chosen = page.getByRole("region", { name: "Chosen building" });
  await chosen.getByLabel("A child").click();
  await expect.poll(async () => (await people())[0]).toMatchObject({ age: 8 });
  expect((await people())[0].height).toBeCloseTo(1.27, 2);
  await chosen.getByLabel("A child").click();
  await type(page, "Height", "1.85", chosen);
  await expect.poll(async () => (await people())[0].height).toBe(1.85);
  // The head is pulled down for a shorter one.
  const head = page.getByRole("button", { name: /^head of Walking, 1\.85 m tall/ });
  const top = (await head.boundingBox())!;
  await page.mouse.move(top.x + top.width / 2, top.y + top.height / 2);
  await page.mouse.down();
  await page.mouse.move(top.x + top.width / 2, top.y + top.height / 2 + 8, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => (await people())[0].height).toBeLessThan(1.8);
  await page.keyboard.press("Control+z");
  await expect.poll(async () => (await people())[0].height).toBe(1.85);
  await dragOnSheet(page, [190, 196], [210, 200]);
  await expect.poll(async () => (await people())[0].at.x).not.toBe(walker.at.x);
  await page.keyboard.press("Control+z");
  await expect.poll(async () => (await people())[0].at).toEqual(walker.at);

  await page.getByText("Trees", { exact: true }).click();
  await page.getByRole("button", { name: "Conifer" }).click();
  await page.mouse.click(...(await onSheet(page, 90, 190)));
  await page.getByText("Vehicles", { exact: true }).click();
  await page.getByRole("button", { name: "Car", exact: true }).click();
  await page.mouse.click(...(await onSheet(page, 300, 200)));
  const all = async () => (await saved<Plant | Vehicle | Person>(page, id)).elements;
  await expect.poll(async () => (await all()).map(({ kind }) => kind)).toEqual(["person", "plant", "vehicle"]);
  await page.keyboard.press("Escape");
  await chosen.getByLabel("Front doors open").click();
  await expect.poll(async () => (await all())[2]).toMatchObject({ open: true });
});

test("a ruler keeps its height at every foot, and heads that stand over a door are told, with a mend", async ({
  page,
}) => {
  const id = await openNew(page, (scene) => {
    const { x, y } = scene.shots[0].eye;
    const house: Building = {
      id: "house",
      kind: "building",
      name: "Chandlery",
      footprint: [
        { x: x - 5, y: y + 12 },
        { x: x + 5, y: y + 12 },
        { x: x + 5, y: y + 18 },
        { x: x - 5, y: y + 18 },
      ],
      ...{ base: 0, height: 6, storeys: 2, roof: { kind: "flat" } },
      doors: [{ x, y: y + 12, width: 0.9, height: 1.7 }],
    };
    const tall: Person = {
      ...{ id: "pilot", kind: "person", name: "The pilot", pose: "standing", heading: 180, height: 1.85 },
      at: { x, y: y + 11, z: 0 },
    };
    scene.elements.push(house, tall);
    scene.shots[0].gaze = { heading: 0, pitch: 0, roll: 0 };
  });
  await page.getByRole("button", { name: "Street", exact: true }).click();
  await page.getByLabel("A ruler on the ground, and lines of heads").click();
  const ruler = page.getByRole("button", { name: /^The ruler on the ground: 1\.75 m/ });
  const drawn = async () => Number(/([\d.]+) mm/.exec((await ruler.getAttribute("aria-label"))!)![1]);
  const before = await drawn();
  const box = (await ruler.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 60, box.y - 30, { steps: 4 });
  await page.mouse.up();
  // Farther away it is drawn smaller, and is as tall as it was.
  await expect.poll(drawn).toBeLessThan(before);

  const findings = page.getByRole("region", { name: "Findings" });
  await findings.getByRole("button", { name: /The pilot is 1\.85 m tall before a door/ }).click({ timeout: 20_000 });
  await findings.getByRole("button", { name: "As tall as goes through it" }).click();
  await expect
    .poll(async () => (await saved<Person>(page, id)).elements.find((one) => one.id === "pilot")?.height)
    .toBe(1.6);
});

test("a crowd is drawn on the plan, clear of what stands there, rolled again but for those who stay", async ({
  page,
}) => {
  const id = await onPlan(page);
  const at = await placer(page);
  await page.getByRole("button", { name: "Crowd" }).click();
  for (const [x, y] of [
    [-14, 16],
    [-4, 16],
    [-4, 24],
    [-14, 24],
  ])
    await page.mouse.click(...at(x, y));
  await page.keyboard.press("Enter");
  await plan(page).press("Escape");
  const crowd = async () => (await saved<Crowd>(page, id)).elements.find((one): one is Crowd => one.kind === "crowd")!;
  await expect.poll(async () => (await crowd()).people.length).toBe(30);
  const chosen = page.getByRole("region", { name: "Chosen building" });
  await expect(chosen.getByRole("status")).toHaveText("30 people stand there, clear of walls, water and each other.");
  await type(page, "At least apart", "4", chosen);
  await expect(chosen.getByRole("status")).toContainText("There is room for");
  await type(page, "At least apart", "0.9", chosen);
  await chosen.getByLabel("All of them stay as they are").click();
  const { people } = await crowd();
  await chosen.getByRole("button", { name: /^Roll all but 30 again$/ }).click();
  await expect.poll(async () => (await crowd()).people).toEqual(people);
  await page.reload();
  await expect.poll(async () => (await crowd()).people).toEqual(people);
});

test("rows of lamps are drawn along a line, with wires between poles", async ({ page }) => {
  const id = await onPlan(page);
  const at = await placer(page);
  await page.getByRole("button", { name: "Lamps and poles" }).click();
  await page.mouse.click(...at(-14, 14));
  await page.mouse.click(...at(6, 14));
  await page.keyboard.press("Enter");
  await plan(page).press("Escape");
  const chosen = page.getByRole("region", { name: "Chosen building" });
  await chosen.getByLabel("Is a").selectOption("pole");
  await type(page, "One every", "10", chosen);
  await expect(chosen.getByLabel("Wires", { exact: true })).toHaveValue("4");
  await expect
    .poll(async () => (await saved(page, id)).elements.at(-1))
    .toMatchObject({ kind: "street-furniture", thing: "pole", every: 10, wires: 4 });
  await drag(page, at(-14, 14), at(-14, 16));
  await page.keyboard.press("Control+z");
});

test("one of a crowd who is pressed in the picture stays when the others are rolled again", async ({ page }) => {
  const id = await openNew(page, (scene) => {
    const { x, y } = scene.shots[0].eye;
    const people = [-1, 1].map((side) => ({
      x: x + side,
      y: y + 9,
      pose: "standing" as const,
      heading: 180,
      height: 1.7,
    }));
    const footprint = [
      { x: x - 4, y: y + 7 },
      { x: x + 4, y: y + 7 },
      { x: x + 4, y: y + 12 },
      { x: x - 4, y: y + 12 },
    ];
    const rule = { number: 2, spacing: 1, children: 0, walking: 0, heading: 0, seed: 1 };
    const crowd: Crowd = { id: "crowd", kind: "crowd", name: "Two pilots", footprint, ...rule, people };
    scene.elements.push(crowd);
    scene.shots[0].gaze = { heading: 0, pitch: 0, roll: 0 };
  });
  const { shots } = await saved<Crowd>(page, id);
  const { distance, centre } = shots[0].lens;
  const { eye } = shots[0];
  await page.getByRole("button", { name: "Street", exact: true }).click();
  // The right one, at half height: a metre to the right and 9 m ahead.
  const place = await onSheet(page, centre.x + distance / 9, centre.y + (distance * (eye.z - 0.85)) / 9);
  await page.mouse.click(...place);
  await expect(page.getByLabel("Name of the building")).toHaveValue("Two pilots");
  await page.mouse.click(...place);
  await expect(page.getByText("Stays when the others are rolled again.")).toBeVisible();
  const people = async () => (await saved<Crowd>(page, id)).elements[0].people;
  await expect.poll(async () => (await people()).map(({ kept }) => kept ?? false)).toEqual([false, true]);
  const [, right] = await people();
  await page.getByRole("button", { name: "Roll all but 1 again" }).click();
  await expect.poll(async () => (await people())[0]).toEqual(right);
});
