import { expect, test, type Page } from "@playwright/test";
import type { Scene } from "@zanvo/core/scene";
import type { Building, Fixture, Square } from "@zanvo/core/world";
import { drag, onPlan, placer, plan } from "./plan";
import { onSheet, openNew, saved, type } from "./table";

/** A house whose front is square to the gaze, 14 m ahead: 1 m of it is 21.4 mm of the picture. */
const HOUSE: Building = {
  id: "house",
  kind: "building",
  name: "Chandlery",
  footprint: [
    { x: -6, y: 14 },
    { x: 6, y: 14 },
    { x: 6, y: 22 },
    { x: -6, y: 22 },
  ],
  base: 0,
  height: 6,
  storeys: 2,
  roof: { kind: "flat" },
  fronts: [{ side: 0, bays: "3, gate 4, 3", ends: 0.5 }],
};
const withHouse = (scene: Scene): void => {
  scene.orientations[0].heading = 90;
  scene.elements.push(structuredClone(HOUSE));
};
const SCALE = 300 / 14;
/** A place of the front, m along it from its middle and over the ground. */
const onFront = (page: Page, along: number, up: number) =>
  onSheet(page, 210 + SCALE * along, 148.5 + SCALE * (1.6 - up));
const stage = (page: Page, name: string) =>
  page.getByRole("navigation", { name: "Stages" }).getByRole("button", { name }).click();
const house = async (page: Page, id: string) => (await saved<Building>(page, id)).elements[0];
const wall = (page: Page) => page.getByRole("region", { name: "Wall 1 of Chandlery" });

test("storeys have heights of their own, a window stands out, and doors open in other ways", async ({ page }) => {
  const id = await openNew(page, withHouse);
  await stage(page, "Fittings");
  await page.mouse.click(...(await onFront(page, 3.8, 4.4)));
  await expect(wall(page)).toBeVisible();
  await wall(page).getByText("Each storey by itself").click();
  await type(page, "Storey 1, on the ground", "3.6", wall(page));
  expect(await house(page, id)).toMatchObject({ storeyHeights: [3.6], height: 6.6 });
  await type(page, "Storey 2", "2.8", wall(page));
  expect(await house(page, id)).toMatchObject({ storeyHeights: [3.6], height: 6.4 });

  // Of the bay that was pressed, a window that stands out; pressed there, it is that bay again.
  await wall(page).getByLabel("Stands out, as a bay window").check();
  await type(page, "Stands out by", "0.5", wall(page));
  await wall(page).getByLabel("Its cheeks are square to the wall").check();
  expect((await house(page, id)).fronts![0].own).toEqual([{ bay: 2, storey: 1, out: 0.5, square: true }]);

  // The gate is opened outwards, then slides, then rolls up; what it is opened by goes with that.
  await page.mouse.click(...(await onFront(page, 0, 1)));
  const bay = page.getByRole("region", { name: "Bay 2, storey 1" });
  await bay.getByLabel("Opens").selectOption({ label: "Outwards" });
  await type(page, "Opened by", "80", bay);
  await expect(bay.getByLabel("Points of its leaves")).toBeVisible();
  await bay.getByLabel("Opens").selectOption({ label: "Slides aside" });
  await type(page, "Opened, of 100", "40", bay);
  await expect(bay.getByLabel("Points of its leaves")).toBeHidden();
  const own = (await house(page, id)).fronts![0].own!.find((one) => one.storey === 0);
  expect(own).toEqual({ bay: 1, storey: 0, opens: "slides", open: 80, clear: 40 });
  await bay.getByLabel("Opens").selectOption({ label: "Rolls up" });
  await page.getByRole("button", { name: /^Undo/ }).click();
  expect((await house(page, id)).fronts![0].own!.find((one) => one.storey === 0)).toMatchObject({ opens: "slides" });
});

test("walls have bands that stand out and pilasters, roofs are laid, and dormers stand in them", async ({ page }) => {
  const id = await openNew(page, (scene) => {
    withHouse(scene);
    scene.elements = [{ ...HOUSE, roof: { kind: "gable", rise: 3 } }];
    scene.shots[0].eye.z = 9;
  });
  await stage(page, "Fittings");
  // The eye is 9 m up: a place so much lower than it is so much lower in the picture.
  const from = (along: number, up: number, ahead = 14) =>
    onSheet(page, 210 + (300 / ahead) * along, 148.5 + (300 / ahead) * (9 - up));
  await page.mouse.click(...(await from(3.8, 4.4)));
  await wall(page).getByText("All its walls").click();
  await wall(page).getByLabel("A plinth").check();
  await wall(page).getByLabel("Bands stand out of the walls").check();
  await type(page, "Bands stand out by", "0.2", wall(page));
  await wall(page).getByLabel("Pilasters between its bays").check();
  expect((await house(page, id)).dress).toEqual({ plinth: 0.6, out: 0.2, pilasters: 0.4 });
  // Without a band none stands out.
  await wall(page).getByLabel("A plinth").uncheck();
  expect((await house(page, id)).dress).toEqual({ pilasters: 0.4 });

  await page.getByText("Put where you press").click();
  await page.getByRole("button", { name: "Dormer" }).click();
  // Half way up the slope: 2 m into the house, 1.5 m over its eaves.
  await page.mouse.click(...(await from(-2, 7.5, 16)));
  const dormer = async () => (await saved<Fixture>(page, id)).elements.at(-1)!;
  await expect.poll(async () => (await dormer()).thing).toBe("dormer");
  const { at, heading, pitch } = await dormer();
  expect([at.x, at.y, at.z]).toEqual([expect.closeTo(-2, 1), expect.closeTo(16, 1), expect.closeTo(7.5, 1)]);
  expect(Math.abs(heading)).toBeCloseTo(180, 3);
  expect(pitch).toBeCloseTo((Math.atan2(3, 4) * 180) / Math.PI, 2);

  await page.keyboard.press("Escape");
  await stage(page, "Masses");
  await page.getByRole("button", { name: "Choose", exact: true }).click();
  await page.mouse.click(...(await from(5, 6.5, 14.6)));
  const chosen = page.getByRole("region", { name: "Chosen building" });
  await chosen.getByLabel("Laid with").selectOption({ label: "Slates" });
  await chosen.getByLabel("A hint of it at the edges").check();
  expect((await house(page, id)).roof).toEqual({ kind: "gable", rise: 3, cover: "slates", hint: true });
});

test("what is found is meant, is not told again, and is told again when that is wanted", async ({ page }) => {
  const id = await openNew(page, (scene) => {
    withHouse(scene);
    // In the house, which has no rooms.
    scene.shots[0].eye = { x: 0, y: 18, z: 1.6 };
  });
  const findings = page.getByRole("region", { name: "Findings" });
  const inside = page.getByText("The eye stands inside Chandlery");
  await expect(inside).toBeVisible();
  const told = findings.getByRole("listitem").filter({ has: inside });
  await told.getByRole("button", { name: "It is meant: do not tell it of this shot" }).click();
  await expect(inside).toBeHidden();
  expect((await saved<Building>(page, id)).shots[0].meant).toEqual(["eye-inside-house"]);
  await findings.getByRole("button", { name: "Tell them again" }).click();
  await expect(inside).toBeVisible();
});

test("rooms are drawn on the plan, near the walls brought to them, in one storey or in all", async ({ page }) => {
  const id = await onPlan(page, (scene) => void scene.elements.push(structuredClone({ ...HOUSE, fronts: undefined })));
  const at = await placer(page);
  await page.getByRole("button", { name: "Room", exact: true }).click();
  await drag(page, at(-5.5, 14.6), at(-1, 21.5));
  await drag(page, at(-0.6, 14.7), at(5.6, 21.4));
  await plan(page).press("Escape");
  const drawn = async () =>
    (await saved<Building>(page, id)).elements
      .find((one) => one.name === "Chandlery")!
      .rooms!.drawn!.map(({ footprint, storey }) => ({
        storey,
        xs: [...new Set(footprint.map(({ x }) => Number(x.toFixed(2))))].sort((a, b) => a - b),
        ys: [...new Set(footprint.map(({ y }) => Number(y.toFixed(2))))].sort((a, b) => a - b),
      }));
  const [first, second] = await drawn();
  expect([first.xs[0], ...first.ys]).toEqual([-5.7, 14.3, 21.7]);
  // Between them a wall of 0.12 m is left.
  expect(second.xs[0] - first.xs[1]).toBeCloseTo(0.12, 2);
  expect(second.xs[1]).toBe(5.7);
  // Outside of any building it is told of, and nothing is made.
  await page.getByRole("button", { name: "Room", exact: true }).click();
  await drag(page, at(-14, 14), at(-10, 18));
  await expect(page.getByText("Draw the room inside a building, clear of its walls.").first()).toBeVisible();
});

test("slabs of a plaza are laid in patterns", async ({ page }) => {
  const plaza: Square = {
    ...{ id: "p", kind: "square", name: "Fish market", kerb: 0.1, slabs: 0.6, heading: 0 },
    footprint: HOUSE.footprint,
  };
  const id = await onPlan(page, (scene) => void scene.elements.push(plaza));
  await page.getByRole("button", { name: "Fish market", exact: true }).first().click();
  const chosen = page.getByRole("region", { name: "Chosen building" });
  await chosen.getByLabel("Slabs are").selectOption({ label: "Twice as long, in a herringbone" });
  const laid = async () => (await saved<Square>(page, id)).elements.find((one) => one.id === "p")!.laid;
  expect(await laid()).toBe("herringbone");
  await page.keyboard.press("Control+z");
  expect(await laid()).toBeUndefined();
});
