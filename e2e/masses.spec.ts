import { expect, test, type Page } from "@playwright/test";
import { drawShot } from "@zanvo/core/drawing";
import type { Scene } from "@zanvo/core/scene";
import type { Element, Steps } from "@zanvo/core/world";
import { dragHandle, dragOnSheet, openNew, onSheet, saved, slip, type } from "./table";

/** A block that shows a corner to the eye of a new scene, its near corner 10 m straight ahead. */
const house = (change: object = {}) => ({
  id: "house",
  kind: "block" as const,
  name: "Net loft",
  origin: { x: 0, y: 10, z: 0 },
  heading: -55,
  length: 4,
  width: 4,
  height: 3,
  ...change,
});
const withHouse = (scene: Scene) => void scene.elements.push(house());
/** Goes to the masses, and waits for their tools: what is typed meanwhile has no field yet. */
async function masses(page: Page): Promise<void> {
  await page.getByRole("button", { name: "Masses" }).click();
  await expect(page.getByRole("button", { name: "Raise a corner" })).toBeVisible();
}
const choose = (page: Page) => page.getByRole("button", { name: "Choose" }).click();

test("the tools of a stage are fetched as soon as its button is pointed at", async ({ page }) => {
  const fetched: string[] = [];
  page.on("request", (request) => fetched.push(request.url()));
  await openNew(page);
  const of = () => fetched.filter((url) => url.includes("/MassesPanel"));
  expect(of()).toEqual([]);
  await page.getByRole("button", { name: "Masses" }).hover();
  await expect.poll(() => of().length).toBe(1);
  await expect(page.getByRole("heading", { name: "Points", level: 2 })).toBeVisible();
});

test("a corner is raised: foot, up, out along the left set, out along the right set", async ({ page }) => {
  const id = await openNew(page);
  await masses(page);
  // The foot 60 mm under the horizon, 120 mm up: twice the eye height of 1.6 m.
  await dragOnSheet(page, [200, 208.5], [200, 88.5], false);
  await expect(page.getByRole("status").filter({ hasText: /^up 3\.\d\d m · 1[12]\d(\.\d)? mm$/ })).toBeVisible();
  await page.mouse.up();
  await expect(page.getByText("Step 2 of 3")).toBeVisible();
  await dragOnSheet(page, [140, 190], [130, 190], false);
  await expect(page.getByRole("status").filter({ hasText: /^left \d+\.\d\d m · \d+(\.\d)? mm$/ })).toBeVisible();
  await page.mouse.up();
  await expect(page.getByText("Step 3 of 3")).toBeVisible();
  await page.keyboard.type("6.5");
  await page.keyboard.press("Enter");
  const [block] = (await saved(page, id)).elements;
  expect(block.height).toBeCloseTo(3.2, 1);
  expect(block.width).toBe(6.5);
  expect(block.heading).toBeCloseTo(-55, 9);
  expect(block.length).toBeGreaterThan(1);
  // The foot stands where it was pressed: 300 mm * 1.6 m / 60 mm ahead.
  expect(block.origin.y).toBeCloseTo(8, 1);
  await expect(slip(page, "Height, near corner")).toHaveText(/^3\.\d\d m, drawn 1[12]\d(\.\d)? mm$/);
});

test("each stage can be typed, and given up", async ({ page }) => {
  const id = await openNew(page);
  await masses(page);
  await page.mouse.click(...(await onSheet(page, 200, 208.5)));
  await expect(page.getByText("Step 1 of 3")).toBeVisible();
  for (const metres of ["4.25", "9", "7"]) {
    await page.keyboard.type(metres);
    await page.keyboard.press("Enter");
  }
  expect((await saved(page, id)).elements).toMatchObject([{ height: 4.25, length: 9, width: 7 }]);

  await dragOnSheet(page, [300, 230], [300, 150]);
  await expect(page.getByText("Step 2 of 3")).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByText(/Step \d of 3/)).toHaveCount(0);
  await dragOnSheet(page, [300, 230], [300, 150], false);
  await page.keyboard.press("Escape");
  await page.mouse.up();
  await expect(page.getByText(/Step \d of 3/)).toHaveCount(0);
  await page.mouse.click(...(await onSheet(page, 300, 60)));
  await expect(page.getByText("Press on the ground, below the horizon.")).toBeVisible();
  await dragOnSheet(page, [300, 230], [300, 150]);
  await page.getByRole("button", { name: "Points", exact: true }).click();
  await masses(page);
  await expect(page.getByText(/Step \d of 3/)).toHaveCount(0);
  expect((await saved(page, id)).elements).toHaveLength(1);
});

test("a second building started on the first one's street line snaps to it", async ({ page }) => {
  const id = await openNew(page, withHouse);
  await masses(page);
  // The street line of the house runs from its near corner, drawn at (210, 196.5), to the left pin; on it at x = 60.
  const pin = 210 - 300 * Math.tan((55 * Math.PI) / 180);
  const y = 148.5 + (48 * (60 - pin)) / (210 - pin);
  await page.mouse.move(...(await onSheet(page, 60, y + 1.5)));
  await expect(page.getByRole("status").filter({ hasText: "street line of Net loft" })).toBeVisible();
  await dragOnSheet(page, [60, y + 1.5], [60, y - 40]);
  for (const metres of ["5", "5"]) {
    await page.keyboard.type(metres);
    await page.keyboard.press("Enter");
  }
  const [, second] = (await saved(page, id)).elements;
  const turn = (-55 * Math.PI) / 180;
  const off = second.origin.x * Math.cos(turn) - (second.origin.y - 10) * Math.sin(turn);
  expect(Math.abs(off)).toBeLessThan(1e-9);
  expect(second.heading).toBeCloseTo(-55, 9);
});

test("a building is chosen, moved over the ground, changed by handle and number, duplicated and deleted", async ({
  page,
}) => {
  const id = await openNew(page, withHouse);
  await masses(page);
  await choose(page);
  await page.mouse.click(...(await onSheet(page, 205, 150)));
  const fields = page.getByRole("region", { name: "Chosen building" });
  await expect(fields.getByLabel("Name of the building")).toHaveValue("Net loft");

  await dragHandle(page, page.getByRole("button", { name: /^height of Net loft/ }), 0, -60);
  expect((await saved(page, id)).elements[0].height).toBeGreaterThan(3.5);
  await dragHandle(page, page.getByRole("button", { name: /^length of Net loft/ }), -40, 0);
  expect((await saved(page, id)).elements[0].length).toBeGreaterThan(4.3);
  await type(page, "Width", "12", fields);
  await type(page, "Height", "-3", fields);
  await expect(fields.getByRole("alert")).toHaveText("At least 0.1 m.");
  await type(page, "Height", "6", fields);
  expect((await saved(page, id)).elements[0]).toMatchObject({ width: 12, height: 6, origin: { x: 0, y: 10 } });

  await dragOnSheet(page, [205, 150], [235, 160]);
  const moved = (await saved(page, id)).elements[0];
  // Its foot was drawn at (210, 196.5), and is now 30 mm further right and 10 mm further down: 300 * 1.6 / 58 m ahead.
  expect(moved.origin.y).toBeCloseTo((300 * 1.6) / 58, 1);
  expect(moved.origin.x).toBeCloseTo((30 * moved.origin.y) / 300, 1);
  await page.keyboard.press("Shift+ArrowLeft");
  await expect
    .poll(async () => (await saved(page, id)).elements[0].origin.x)
    .toBeCloseTo((25 * moved.origin.y) / 300, 1);

  await fields.getByRole("button", { name: "Duplicate" }).click();
  await expect(fields.getByLabel("Name of the building")).toHaveValue("Net loft (copy)");
  expect((await saved(page, id)).elements).toHaveLength(2);
  await page.keyboard.press("Delete");
  expect((await saved(page, id)).elements).toHaveLength(1);
  await page.keyboard.press("Control+z");
  expect((await saved(page, id)).elements).toHaveLength(2);
});

test("nearer buildings hide farther ones; hidden lines are left out or faint", async ({ page }) => {
  const id = await openNew(page, (scene) => {
    scene.elements.push(house(), house({ id: "far", name: "Behind", origin: { x: 0, y: 30, z: 0 }, height: 2 }));
  });
  await masses(page);
  const svg = async () => (await page.request.get(`/api/scenes/${id}/exports/s1.svg`)).text();
  expect(await svg()).not.toContain('<g id="hidden"');
  await page.getByLabel("Show hidden lines faintly").check();
  await saved(page, id);
  expect(await svg()).toContain('<g id="hidden"');
  // On the board the same: ink appears where the far block stands behind the near one.
  const dark = () =>
    page
      .locator("canvas")
      .nth(2)
      .evaluate((canvas: HTMLCanvasElement) => {
        const { data } = canvas.getContext("2d")!.getImageData(0, 0, canvas.width, canvas.height);
        let n = 0;
        for (let i = 0; i < data.length; i += 4) if (data[i + 3] > 0 && data[i] + data[i + 1] + data[i + 2] < 480) n++;
        return n;
      });
  const faint = await dark();
  await page.getByLabel("Show hidden lines faintly").uncheck();
  await expect.poll(dark).toBeLessThan(faint);
});

test("eye level above, between and below a building shows its top, neither, its underside", async ({ page }) => {
  const id = await openNew(page, (scene) => void scene.elements.push(house({ origin: { x: 0, y: 10, z: 3 } })));
  await page.getByRole("button", { name: "Eye level" }).click();
  const creases = async () => {
    await saved(page, id);
    const svg = await (await page.request.get(`/api/scenes/${id}/exports/s1.svg`)).text();
    const path = (layer: string) =>
      / d="([^"]*)"/.exec(new RegExp(`<g id="${layer}"[\\s\\S]*?</g>`).exec(svg)?.[0] ?? "")?.[1] ?? "";
    return path("creases").split("M").length - 1;
  };
  // From between only the near upright is a crease; from above or below the two near edges of top or underside are too.
  await type(page, "Eye height", "4.5");
  expect(await creases()).toBe(1);
  await type(page, "Eye height", "9");
  expect(await creases()).toBe(3);
  await type(page, "Eye height", "0.5");
  expect(await creases()).toBe(3);
});

/** Looks up by 45 degrees: the horizon lies 300 mm under the middle of the sheet, and no ground is in the panel. */
const lookingUp = (scene: Scene) => {
  scene.shots[0].gaze = { heading: 0, pitch: 45, roll: 0 };
};

test("where the panel shows no ground a corner is raised from its top down, and from the desk below the panel", async ({
  page,
}) => {
  const id = await openNew(page, lookingUp);
  await masses(page);
  // Straight ahead and level with the gaze: as high over the eye as it is far away.
  await page.mouse.click(...(await onSheet(page, 210, 148.5)));
  await expect(page.getByText("Step 1 of 3")).toBeVisible();
  await expect(page.getByText("Along Main streets")).toBeVisible();
  for (const metres of ["30", "9", "7"]) {
    await page.keyboard.type(metres);
    await page.keyboard.press("Enter");
  }
  expect((await saved(page, id)).elements).toMatchObject([
    {
      origin: { x: expect.closeTo(0, 5), y: expect.closeTo(30, 5), z: 0 },
      height: expect.closeTo(31.6, 5),
      length: 9,
      width: 7,
    },
  ]);

  // Farther away, the desk shows the ground below the sheet; a press there is a foot.
  for (let i = 0; i < 4; i++) await page.keyboard.press("-");
  const desk = (await page.getByRole("application").boundingBox())!;
  const [x, y] = await onSheet(page, 260, 470);
  const from = (at: number, middle: number) => middle + 0.8 ** 4 * (at - middle);
  await page.mouse.click(from(x, desk.x + desk.width / 2), from(y, desk.y + desk.height / 2));
  await expect(page.getByText("Step 1 of 3")).toBeVisible();
  for (const metres of ["20", "5", "5"]) {
    await page.keyboard.type(metres);
    await page.keyboard.press("Enter");
  }
  const [, second] = (await saved(page, id)).elements;
  expect(second).toMatchObject({ height: 20, origin: { z: 0 } });
  expect(second.origin.x).toBeGreaterThan(0);
});

test("a press beside a chosen building raises another; it stands along the streets that are chosen", async ({
  page,
}) => {
  const id = await openNew(page, (scene) => {
    scene.elements.push(house());
    scene.orientations.push({ id: "ropewalk", name: "Ropewalk", heading: 10 });
  });
  await masses(page);
  await choose(page);
  await page.mouse.click(...(await onSheet(page, 215, 170)));
  await expect(page.getByRole("region", { name: "Chosen building" })).toBeVisible();
  await page.getByRole("button", { name: "Raise a corner" }).click();
  await expect(page.getByRole("button", { name: /^height of Net loft/ })).toHaveCount(0);
  await page.getByLabel("Along").selectOption("Ropewalk");
  // On the near corner itself, where its handles would be: what is caught is named, and the corner is shared.
  await page.mouse.move(...(await onSheet(page, 210.5, 196)));
  await expect(page.getByRole("status").filter({ hasText: "corner of Net loft" })).toBeVisible();
  await dragOnSheet(page, [320, 215], [320, 120]);
  await expect(page.getByText("Along Ropewalk")).toBeVisible();
  for (const metres of ["5", "5"]) {
    await page.keyboard.type(metres);
    await page.keyboard.press("Enter");
  }
  const [first, second] = (await saved(page, id)).elements;
  expect(first).toMatchObject(house());
  expect([10, -80]).toContainEqual(Math.round(second.heading));
});

test("a corner begins at a height or at its top, and is led to its neighbour's top; a cube takes one press", async ({
  page,
}) => {
  const id = await openNew(page, withHouse);
  await masses(page);
  // The loft's roof is 3 m high; 10 m away that is 42 mm over the horizon, whose eye is 1.6 m high.
  await dragOnSheet(page, [300, 218.5], [300, 150], false);
  // 70 mm under the horizon the foot is 6.86 m away: 3 m are 131.25 mm there.
  await page.mouse.move(...(await onSheet(page, 300, 218.5 - 131.25 + 1)));
  await expect(page.getByRole("status").filter({ hasText: /^up 3\.00 m .*, to the top of Net loft$/ })).toBeVisible();
  await page.mouse.up();
  await page.getByRole("button", { name: "A true cube" }).click();
  const [, cube] = (await saved(page, id)).elements;
  expect(cube).toMatchObject({ height: 3, length: 3, width: 3 });

  await page.getByRole("button", { name: "Raise a corner" }).click();
  await type(page, "Starts at", "0.5");
  await dragOnSheet(page, [100, 230], [100, 180]);
  for (const metres of ["2", "2"]) {
    await page.keyboard.type(metres);
    await page.keyboard.press("Enter");
  }
  expect((await saved(page, id)).elements[2].origin.z).toBe(0.5);

  await page.getByRole("button", { name: "Raise a corner" }).click();
  await page.getByLabel("From the top downwards").check();
  await page.mouse.click(...(await onSheet(page, 60, 60)));
  for (const metres of ["25", "4", "4"]) {
    await page.keyboard.type(metres);
    await page.keyboard.press("Enter");
  }
  const [, , , tall] = (await saved(page, id)).elements;
  // Its top is seen 88.5 mm over the horizon, 25 m away over the ground: its height follows from the ray.
  expect(tall.height).toBeGreaterThan(1.6);
});

test("a block leans: tilted and rolled, it lists the points of its own edges", async ({ page }) => {
  const id = await openNew(page, withHouse);
  await masses(page);
  await choose(page);
  await page.mouse.click(...(await onSheet(page, 200, 150)));
  await page.getByRole("button", { name: "Let it lean" }).click();
  await type(page, "Tilt", "18");
  await type(page, "Roll", "-9");
  await expect(page.getByText("Its length runs to")).toBeVisible();
  await expect(page.getByLabel("Points of its edges").getByText(/mm/)).toHaveCount(3);
  const [crate] = (await saved<Element>(page, id)).elements;
  expect(crate).toMatchObject({ kind: "crate", tilt: 18, roll: -9, length: 4, width: 4, height: 3 });
  await page.getByRole("button", { name: "Undo" }).click();
  expect((await saved<Element>(page, id)).elements[0]).toMatchObject({ kind: "crate", tilt: 18, roll: 0 });
});

test("a second flight goes on from a landing, or turns back, and keeps the first one's heights", async ({ page }) => {
  const first: Steps = {
    id: "flight",
    kind: "steps",
    name: "Stairs",
    foot: { x: -1, y: 9, z: 0 },
    heading: 20,
    width: 2,
    count: 10,
    riser: 0.17,
    tread: 0.3,
  };
  const id = await openNew(page, (scene) => void scene.elements.push(first));
  await masses(page);
  await choose(page);
  await page.mouse.click(...(await onSheet(page, 195, 190)));
  await page.getByRole("button", { name: "Turned back" }).click();
  const kept = async () => (await saved<Element>(page, id)).elements;
  const [, second, landing] = await kept();
  expect(second).toMatchObject({ kind: "steps", heading: 200, count: 10, riser: 0.17 });
  expect((second as Steps).foot.z).toBeCloseTo(1.7, 9);
  expect(landing).toMatchObject({ kind: "block", height: expect.closeTo(1.7, 9), name: "Stairs, landing" });
  // The second one is chosen, and goes on in a third; one press of Undo takes that and its landing away.
  await page.getByRole("button", { name: "Second flight on" }).click();
  expect((await kept())[3]).toMatchObject({ kind: "steps", heading: 200, foot: { z: expect.closeTo(3.4, 9) } });
  await page.getByRole("button", { name: "Undo" }).click();
  expect(await kept()).toHaveLength(3);
});

test("inside a room a box is raised on its floor, and led to its ceiling", async ({ page }) => {
  const room = house({ name: "Hall", origin: { x: 0, y: -12, z: 0 }, length: 20, width: 20, height: 3 });
  const id = await openNew(page, (scene) => void scene.elements.push(room));
  await masses(page);
  // 60 mm under the horizon the floor is 8 m away: the ceiling, 1.4 m over the eye, is seen 52.5 mm over the horizon.
  await dragOnSheet(page, [200, 208.5], [200, 150], false);
  await page.mouse.move(...(await onSheet(page, 200, 148.5 - 52.5 + 1)));
  await expect(page.getByRole("status").filter({ hasText: /^up 3\.00 m .*, to the top of Hall$/ })).toBeVisible();
  await page.mouse.move(...(await onSheet(page, 200, 178.5)));
  await page.mouse.up();
  for (const metres of ["1.5", "1"]) {
    await page.keyboard.type(metres);
    await page.keyboard.press("Enter");
  }
  const [, cupboard] = (await saved(page, id)).elements;
  expect(cupboard).toMatchObject({ length: 1.5, width: 1, origin: { z: 0 } });
  expect(cupboard.height).toBeCloseTo(0.8, 1);
  expect(cupboard.origin.y).toBeCloseTo(8, 1);
  // It is seen in the room: the upright that was drawn, 30 mm long.
  const { layers } = drawShot(await saved(page, id));
  const uprights = layers
    .filter(({ id: layer }) => layer === "outlines" || layer === "creases")
    .flatMap(({ lines = new Float64Array() }) =>
      Array.from({ length: lines.length / 4 }, (_, k) => [...lines.slice(4 * k, 4 * k + 4)]),
    )
    .filter(([ax, , bx]) => Math.abs(ax - 200) < 0.5 && Math.abs(bx - 200) < 0.5);
  expect(uprights.map(([, ay, , by]) => Math.abs(ay - by))).toEqual([expect.closeTo(30, 0)]);
});
