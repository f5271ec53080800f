import { expect, test, type Page } from "@playwright/test";
import { dragHandle, openNew, saved, slip, type } from "./table";

const setUp = async (page: Page, situation: string, convergence: string) => {
  const fold = page.getByText("Start from a situation");
  if (!(await page.getByLabel("Situation", { exact: true }).isVisible())) await fold.click();
  await page.getByLabel("Situation", { exact: true }).selectOption(situation);
  await page.getByRole("radio", { name: convergence }).click();
  await page.getByRole("button", { name: "Set it up" }).click();
};
const third = (page: Page) => page.getByRole("button", { name: /^third vanishing point/ });

test("a view is started from a situation or a habit, and is a real view", async ({ page }) => {
  const id = await openNew(page);
  await setUp(page, "wall", "Normal");
  await expect(slip(page, "Main streets, left")).toHaveText("210 mm in from the left, 148.5 mm from the top");
  await expect(slip(page, "Main streets, right")).toHaveText("none: drawn level, parallel");
  await expect(slip(page, "Field of view")).toHaveText("50° across the panel");
  await setUp(page, "up", "Strong");
  await expect(slip(page, "Uprights")).toHaveText(/above the sheet/);
  await setUp(page, "tilted", "Calm");
  expect((await saved(page, id)).shots[0].gaze.roll).toBe(12);
  await page.getByRole("button", { name: "Points on the paper’s edge" }).click();
  await expect(slip(page, "Main streets, right")).toHaveText("0 mm in from the right, 161.9 mm from the top");
  await page.getByRole("button", { name: "Undo" }).click();
  expect((await saved(page, id)).shots[0].gaze.roll).toBe(12);
});

test("a moving pin keeps what is chosen", async ({ page }) => {
  const id = await openNew(page);
  const left = page.getByRole("region", { name: "left point" });
  const lens = async () => (await saved(page, id)).shots[0].lens;
  await page.getByRole("radio", { name: "Lens" }).click();
  await type(page, "Beyond the edge", "500", left);
  expect(await lens()).toMatchObject({ distance: 300, centre: { x: 210 } });
  await page.getByRole("radio", { name: "Other pins" }).click();
  const right = await slip(page, "Main streets, right").textContent();
  await type(page, "Beyond the edge", "900", left);
  await expect(slip(page, "Main streets, right")).toHaveText(right!);
  expect((await lens()).centre.x).not.toBeCloseTo(210, 0);
  await page.reload();
  await expect(page.getByRole("radio", { name: "Other pins" })).toBeChecked();
});

test("the third point is dragged, snaps plumb, and where it cannot be the nearest place is offered", async ({
  page,
}) => {
  const id = await openNew(page);
  await setUp(page, "down", "Normal");
  await page.getByRole("radio", { name: "Other pins" }).click();
  await page.keyboard.press("d");
  await dragHandle(page, third(page), 60, -40);
  const off = (await saved(page, id)).shots[0];
  expect(off.lens.centre.x).toBeGreaterThan(230);
  expect(off.gaze.roll).toBeCloseTo(0, 6);
  const scale =
    ((await third(page).boundingBox())!.x +
      12 -
      ((await page.getByRole("button", { name: /^left vanishing/ }).boundingBox())!.x + 12)) /
    (off.lens.centre.x + Number.parseFloat((await slip(page, "Main streets, left").textContent())!));
  await dragHandle(page, third(page), (210 - off.lens.centre.x) * scale + 1, 0);
  expect((await saved(page, id)).shots[0].lens.centre.x).toBeCloseTo(210, 6);

  // Given up, it is as it was, and nothing is offered.
  await dragHandle(page, third(page), 80, -30, false);
  await page.keyboard.press("Escape");
  await page.mouse.up();
  expect((await saved(page, id)).shots[0].lens.centre.x).toBeCloseTo(210, 6);
  await expect(page.getByRole("button", { name: /^Take the nearest/ })).toHaveCount(0);

  await dragHandle(page, third(page), 0, -360, false);
  await expect(page.getByRole("status").filter({ hasText: "not acute" })).toBeVisible();
  await page.mouse.up();
  await page.getByRole("button", { name: /^Take the nearest that works/ }).click();
  const { lens, gaze } = (await saved(page, id)).shots[0];
  expect(lens.distance).toBeGreaterThan(0);
  expect(gaze.pitch).toBeLessThan(-60);
});

test("uprights are switched between parallel and converging, the near corner staying where it is", async ({ page }) => {
  await openNew(page);
  await page.getByRole("radio", { name: "Converging" }).click();
  await expect(page.getByText("who looks straight ahead sees uprights parallel").first()).toBeVisible();
  const id = await openNew(page, (scene) => {
    scene.elements.push({
      id: "house",
      kind: "block",
      name: "Net loft",
      origin: { x: 0, y: 20, z: 0 },
      heading: -55,
      length: 6,
      width: 6,
      height: 9,
    });
  });
  await setUp(page, "down", "Normal");
  await page.getByRole("button", { name: "Masses" }).click();
  await page.getByRole("button", { name: "Points", exact: true }).click();
  const foot = async () => {
    const shot = (await saved(page, id)).shots[0];
    const { viewOf, project } = await import("@zanvo/core/shot");
    return project(viewOf(shot), [0, 20, 0])!;
  };
  const before = await foot();
  await page.getByRole("radio", { name: "Parallel" }).click();
  const level = await foot();
  expect((await saved(page, id)).shots[0].gaze.pitch).toBe(0);
  expect(level[0]).toBeCloseTo(before[0], 6);
  expect(level[1]).toBeCloseTo(before[1], 6);
  await expect(slip(page, "Uprights")).toHaveText("none: drawn upright, parallel");
  await expect(third(page)).toHaveCount(0);
});

test("a turned pair has its own points on the same horizon, and is dragged like the first", async ({ page }) => {
  const id = await openNew(page);
  await page.getByText("Directions and slopes", { exact: true }).click();
  await page.getByRole("button", { name: "Add a turned pair" }).click();
  await type(page, "Heading", "60", page.getByRole("region", { name: "Directions 2" }));
  // 60 degrees right of the gaze: 210 + 300 tan 60 = 729.6 mm, 309.6 mm beyond the sheet.
  await expect(slip(page, "Directions 2, right")).toHaveText("309.6 mm right of the sheet, 148.5 mm from the top");
  const pin = page.getByRole("button", { name: /^right vanishing point of Directions 2/ });
  await page.keyboard.press("d");
  await dragHandle(page, pin, -60, 20);
  const { orientations, shots } = await saved(page, id);
  expect(orientations.map(({ heading }) => heading)).toEqual([35, 60]);
  expect(shots[0].gaze.heading).not.toBe(0);
  const svg = await (await page.request.get(`/api/scenes/${id}/exports/s1.svg`)).text();
  const hue = (layer: string) => new RegExp(`<g id="${layer}"[^>]*stroke="([^"]+)"`).exec(svg)?.[1];
  const ids = orientations.flatMap((one) => [`grid-${one.id}-left`, `grid-${one.id}-right`]);
  expect(new Set(ids.map(hue)).size).toBe(4);
});

test("the view is typed in an artist's numbers, each both ways", async ({ page }) => {
  const id = await openNew(page);
  await page.getByText("View in numbers").click();
  const view = page.getByRole("group").filter({ hasText: "View in numbers" });
  await type(page, "35 mm equivalent", "35mm", view);
  // A panel of 390 mm and a frame of 36 mm: 35 / 36 * 390 = 379.2 mm.
  await expect(slip(page, "Picture distance")).toHaveText("379.2 mm");
  await type(page, "Across the panel", "90°", view);
  await expect(slip(page, "Picture distance")).toHaveText("195 mm");
  await expect(slip(page, "35 mm equivalent")).toHaveText("18 mm");
  await type(page, "Pitch (look up)", "-20", view);
  await expect(slip(page, "Looking down")).toHaveText("20°");
  await type(page, "Roll", "5", view);
  await type(page, "Heading", "3 m", view);
  await expect(view.getByRole("alert")).toHaveText("“3 m” is not an angle in degrees.");
  expect((await saved(page, id)).shots[0].gaze).toEqual({ heading: 0, pitch: -20, roll: 5 });
  await page.getByRole("button", { name: "Eye level" }).click();
  await type(page, "Eye height", "5' 7\"");
  await expect(slip(page, "Eye height")).toHaveText("1.70 m");
});

test("where there is a third point a moving pin keeps the lens, unless one chose what stays", async ({ page }) => {
  const id = await openNew(page);
  await expect(page.getByRole("radio", { name: "Centre", exact: true })).toBeChecked();
  await page.getByText("View in numbers").click();
  await type(page, "Pitch (look up)", "-20");
  await expect(page.getByRole("radio", { name: "Lens", exact: true })).toBeChecked();
  const { lens } = (await saved(page, id)).shots[0];
  const left = page.getByRole("button", { name: /^left vanishing point, / });
  await left.focus();
  await page.keyboard.press("Shift+ArrowRight");
  const after = (await saved(page, id)).shots[0];
  expect(after.lens).toEqual(lens);
  expect(after.gaze.heading).not.toBe(0);
  await page.getByRole("radio", { name: "Centre", exact: true }).click();
  await left.focus();
  await page.keyboard.press("Shift+ArrowRight");
  expect((await saved(page, id)).shots[0].lens.distance).not.toBe(lens.distance);
});
