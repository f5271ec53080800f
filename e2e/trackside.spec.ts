import { expect, test } from "@playwright/test";
import { readFileSync } from "node:fs";
import {
  DEFAULT_STREET,
  type Crowd,
  type Platform,
  type Rails,
  type Sky,
  type Street,
  type Vehicle,
} from "@zanvo/core/world";
import { drag, onPlan, placer } from "./plan";
import { onSheet, openNew, saved, type, withKiosk } from "./table";

test("a roundabout, a platform with its canopy, points of a track and a procession are drawn on the plan", async ({
  page,
}) => {
  const id = await onPlan(page);
  const at = await placer(page);
  const last = async <E extends Street | Platform | Rails | Crowd>() => (await saved<E>(page, id)).elements.at(-1)!;
  const chosen = page.getByRole("region", { name: "Chosen building" });
  await page.keyboard.down("Alt");
  await page.getByRole("button", { name: "Roundabout" }).click();
  await drag(page, at(-20, 10), at(-8, 10));
  await expect.poll(async () => (await last<Street>()).kind).toBe("street");
  const ring = await last<Street>();
  expect(ring.smooth).toBe(true);
  expect(ring.path.at(0)).toEqual(ring.path.at(-1));
  await drag(page, at(-20, 10), at(-18, 10));
  await expect(page.getByText("A roundabout leaves room for an island").first()).toBeVisible();

  const line = async (tool: string, ...places: (readonly [number, number])[]) => {
    await page.getByRole("button", { name: tool, exact: true }).click();
    for (const place of places) await page.mouse.click(...at(...place));
    await page.keyboard.press("Enter");
  };
  await line("Platform", [-30, -6], [-5, -6]);
  await expect.poll(async () => (await last<Platform>()).kind).toBe("platform");
  await chosen.getByRole("button", { name: "0.76 m" }).click();
  await chosen.getByText("A canopy", { exact: true }).click();
  await expect.poll(() => last<Platform>()).toMatchObject({ height: 0.76, canopy: { clear: 3.4 } });
  await line("Rails", [-30, -12], [-5, -12]);
  await chosen.getByRole("button", { name: "Points, where another track leaves" }).click();
  await chosen.getByLabel("To the left").click();
  await expect.poll(() => last<Rails>()).toMatchObject({ points: [{ radius: 50, left: true }] });
  await line("Procession", [-30, -18], [-5, -18]);
  await page.keyboard.up("Alt");
  await expect.poll(async () => (await last<Crowd>()).line?.length).toBe(2);
  const { people } = await last<Crowd>();
  expect(people.length).toBeGreaterThan(10);
  await type(page, "Width of their way", "2", chosen);
  await expect.poll(async () => (await last<Crowd>()).wide).toBe(2);
  for (const { y } of (await last<Crowd>()).people) expect(Math.abs(y + 18)).toBeLessThan(1.3);
});

test("a car keeps to its lane, the moon stands where one presses, and the sea ends under eye level", async ({
  page,
}) => {
  const id = await openNew(page, (scene) => {
    const path = [
      { x: 0, y: -20 },
      { x: 0, y: 200 },
    ];
    scene.elements.push({ id: "s", kind: "street", name: "Bell lane", path, ...DEFAULT_STREET });
    scene.shots[0].eye.z = 30;
  });
  await page.keyboard.press("8");
  await page.getByText("Vehicles", { exact: true }).click();
  await page.getByRole("button", { name: "Car", exact: true }).click();
  await page.mouse.click(...(await onSheet(page, 214, 240)));
  const all = async () => (await saved<Vehicle | Sky | Street>(page, id)).elements;
  await expect.poll(async () => (await all()).length).toBe(2);
  const [, car] = (await all()) as [Street, Vehicle];
  expect(Math.abs(car.path[0].x)).toBeCloseTo(1.5, 6);
  expect(Math.abs(car.heading % 180)).toBeCloseTo(0, 6);
  await page.keyboard.press("Escape");
  await page.getByText("Sky", { exact: true }).click();
  await page.getByRole("button", { name: "Moon", exact: true }).click();
  await page.mouse.click(...(await onSheet(page, 300, 40)));
  await expect.poll(async () => (await all()).at(-1)).toMatchObject({ kind: "sky", thing: "moon" });
  await page.keyboard.press("Escape");
  await page.getByText("Distance", { exact: true }).click();
  await page.getByLabel("Draw the horizon of the sea").click();
  await type(page, "Stands away", "40000");
  // 3.57 km times the root of 30 is 19.6 km; beyond, (20.4 / 3.57)^2 m hide.
  await expect(page.getByText("the sea ends 19551 m away")).toBeVisible();
  await expect(page.getByText(/the lowest 32\.\d m hide/)).toBeVisible();
  await expect.poll(async () => (await saved(page, id)).shots[0].show?.seaHorizon).toBe(1);
});

test("pens, a mirrored drawing and its shadows go into the file", async ({ page }) => {
  await openNew(page, (scene) => {
    withKiosk(scene);
    scene.lights = [{ id: "sun", kind: "sun", heading: 110, height: 30 }];
  });
  await page.keyboard.press("0");
  await page.getByText("Pens", { exact: true }).click();
  await page.getByRole("button", { name: "Bold" }).click();
  const file = async () => {
    const coming = page.waitForEvent("download");
    await page.getByRole("button", { name: /^Export SVG/ }).click();
    return readFileSync(await (await coming).path(), "utf8");
  };
  // With the haze of bold pens the shadows are a layer for each band of depth.
  const areaOf = (svg: string) => /<g id="shadows[^"]*"[^]*?<path d="M([\d.]+) [\d.]+/.exec(svg)?.[1];
  const svg = await file();
  expect(svg).toMatch(/<g id="frame"[^>]* stroke-width="0\.7"/);
  expect(svg).toContain('<g id="profile');
  const x = Number(areaOf(svg));
  await page.getByText("To be transferred to other paper").click();
  await page.getByLabel("Mirrored, to be rubbed off its back").click();
  await page.getByLabel("All in pale blue, to be drawn over").click();
  const mirrored = await file();
  expect(Number(areaOf(mirrored))).toBeCloseTo(420 - x, 2);
  expect(mirrored).toContain('stroke="#a4dded"');
  expect(mirrored).not.toContain('stroke="#2b2a27"');
});
