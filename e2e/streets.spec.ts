import { expect, test } from "@playwright/test";
import { DEFAULT_STREET, type Block, type Building, type Element, type Street } from "@zanvo/core/world";
import { drag, onPlan, placer, plan } from "./plan";
import { saved, type } from "./table";

/** A street to the east, north of the loft, that things are laid beside. */
const lane: Street = {
  id: "lane",
  kind: "street",
  name: "Rope lane",
  path: [
    { x: -40, y: 34 },
    { x: 30, y: 46 },
  ],
  ...DEFAULT_STREET,
};
const heading = (Math.atan2(70, 12) * 180) / Math.PI;

test("streets that cross are joined; kerbs, crossings, ends and bends are set in the panel", async ({ page }) => {
  const street = (id: string, name: string, path: readonly (readonly [number, number])[]): Street => ({
    ...DEFAULT_STREET,
    id,
    kind: "street",
    name,
    path: path.map(([x, y]) => ({ x, y })),
  });
  const id = await onPlan(page, (scene) => {
    scene.elements.push(
      street("a", "Rope walk", [
        [-20, 12],
        [24, 12],
      ]),
      street("b", "Tar lane", [
        [0, -8],
        [0, 30],
        [10, 40],
      ]),
    );
  });
  // On the plan both share one ground over their outlines, but for the one that is chosen.
  const shared = async () => (await page.getByTestId("ground of street").getAttribute("d"))!.match(/M/g)?.length;
  expect(await shared()).toBe(2);
  await page.getByRole("button", { name: "Tar lane", exact: true }).click();
  await expect.poll(shared).toBe(1);
  const chosen = page.getByRole("region", { name: "Chosen building" });
  await type(page, "Radius of its bends", "8", chosen);
  await chosen.getByText("Junctions and ends").click();
  await type(page, "Kerb radius at junctions", "6", chosen);
  await chosen.getByRole("checkbox", { name: "Crossings at junctions" }).check();
  await chosen.getByLabel("Stop lines").selectOption("left");
  await chosen.getByLabel("First end").selectOption("gate");
  const lane = async () => (await saved<Element>(page, id)).elements.find(({ name }) => name === "Tar lane");
  expect(await lane()).toMatchObject({
    bend: 8,
    junctions: { radius: 6, crossings: true, stopLines: "left" },
    ends: { first: "gate" },
  });
  await page.getByRole("button", { name: "Undo" }).click();
  expect(await lane()).not.toHaveProperty("ends");
  await chosen.getByRole("checkbox", { name: "Smooth through all its points" }).check();
  await expect(chosen.getByLabel("Radius of its bends")).toHaveCount(0);
  expect(await lane()).toMatchObject({ smooth: true });
});

test("what is drawn follows the street beside it; the tool stays taken up", async ({ page }) => {
  const id = await onPlan(page, (scene) => void scene.elements.push(structuredClone(lane)));
  const at = await placer(page);
  await page.getByRole("button", { name: "Rectangle" }).click();
  for (const x of [-24, -10]) await drag(page, at(x, 10), at(x + 7, 20));
  const { elements } = await saved<Element>(page, id);
  const drawn = elements.filter((one): one is Building => one.kind === "building");
  expect(drawn).toHaveLength(2);
  for (const { footprint } of drawn) {
    const [a, b] = footprint;
    const way = (Math.atan2(b.x - a.x, b.y - a.y) * 180) / Math.PI;
    // Along the lane, or across it.
    expect(Math.abs(((way - heading + 3600 + 45) % 90) - 45)).toBeLessThan(0.1);
  }
});

test("a row is shown before it is laid, away from its street, either way; what it would cover is told", async ({
  page,
}) => {
  const id = await onPlan(page, (scene) => void scene.elements.push(structuredClone(lane)));
  const at = await placer(page);
  const houses = async () =>
    (await saved<Element>(page, id)).elements.filter((one): one is Building => one.kind === "building");
  await page.getByRole("button", { name: "Row of houses" }).click();
  // South of the lane, walked west: its right is to the lane, so the houses stand on the other side.
  await page.mouse.move(...at(26, 33));
  await page.mouse.down();
  await page.mouse.move(...at(0, 31), { steps: 4 });
  await page.mouse.move(...at(-30, 25), { steps: 4 });
  const shown = await page.getByTestId("what would be laid").getAttribute("d");
  expect(shown!.match(/M/g)!.length).toBeGreaterThan(3);
  await page.mouse.up();
  const laid = await houses();
  expect(laid).toHaveLength(shown!.match(/M/g)!.length);
  for (const { footprint } of laid) {
    const front = (x: number) => 33 + ((x - 26) * 8) / 56;
    expect(footprint.filter(({ x, y }) => y > front(x) + 0.5)).toEqual([]);
  }
  await expect(page.getByText(/^It was laid over Net loft\. Undo it, or move one of them\.$/).first()).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  expect(await houses()).toEqual([]);
  // Over the eye, too.
  await page.getByRole("button", { name: "Rectangle" }).click();
  await drag(page, at(-5, -5), at(6, 6));
  await expect(page.getByText(/^It was laid over the eye of /).first()).toBeVisible();
});

test("a place is drawn to what is near, told by a tag, and held to its line with Shift", async ({ page }) => {
  const id = await onPlan(page);
  const at = await placer(page);
  await page.getByRole("button", { name: "Polygon" }).click();
  await page.mouse.move(...at(10.2, 28.2));
  await expect(page.getByText("The corner of Net loft")).toBeVisible();
  // On the line of its west side, drawn out: caught, then held however far the hand strays.
  await page.mouse.move(...at(10.3, 32));
  await expect(page.getByText("The street line of Net loft")).toBeVisible();
  await page.keyboard.down("Shift");
  await page.mouse.move(...at(17, 36));
  await expect(page.getByText("The street line of Net loft")).toBeVisible();
  await page.mouse.down();
  await page.mouse.up();
  await page.keyboard.up("Shift");
  // Far from everything a round measure is meant.
  await page.mouse.move(...at(-9.9, 36.1));
  await expect(page.getByText(/^The .* of Net loft$/)).toHaveCount(0);
  await page.mouse.click(...at(-9.9, 36.1));
  await page.mouse.click(...at(-9.9, 30.1));
  await plan(page).press("Enter");
  const [, drawn] = (await saved<Block | Building>(page, id)).elements as [Block, Building];
  const footprint = drawn.footprint.map(({ x, y }) => [Number(x.toFixed(6)), Number(y.toFixed(1))]);
  expect(footprint[0]).toEqual([10, expect.closeTo(36, 0)]);
  expect(footprint.slice(1)).toEqual([
    [-10, 36],
    [-10, 30],
  ]);
});

test("what is chosen is measured, typed, turned and given corners; a tape, a grid and buttons to zoom", async ({
  page,
}) => {
  const id = await onPlan(page);
  const at = await placer(page);
  await page.getByRole("button", { name: "Rectangle" }).click();
  await drag(page, at(-14, 12), at(-4, 18));
  await plan(page).press("Escape");
  const drawn = async () =>
    (await saved<Element>(page, id)).elements.find((one): one is Building => one.kind === "building")!;
  const chosen = page.getByRole("region", { name: "Chosen on the plan" });
  await expect(chosen.getByText("60.0 m², 32 m around")).toBeVisible();
  await type(page, "Length", "12", chosen);
  await type(page, "Width", "5", chosen);
  await expect(chosen.getByText("60.0 m², 34 m around")).toBeVisible();
  // Its measures stand beside its sides.
  await expect(plan(page).getByText("12 m", { exact: true })).toHaveCount(2);
  await type(page, "Heading of its longest side", "30", chosen);
  const [a, b] = (await drawn()).footprint;
  expect(Math.abs(Math.atan2(b.x - a.x, b.y - a.y) * (180 / Math.PI)) % 90).toBeCloseTo(30, 3);
  // Turned by its handle to the east.
  const handle = (await page.getByTestId("turning handle").locator("circle").boundingBox())!;
  const grip = [handle.x + handle.width / 2, handle.y + handle.height / 2] as const;
  const xs = (await drawn()).footprint.map(({ x }) => x);
  const ys = (await drawn()).footprint.map(({ y }) => y);
  const middle = [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2] as const;
  await drag(page, grip, at(middle[0] + 9, middle[1]));
  await expect(chosen.getByLabel("Heading of its longest side")).toHaveValue("90");
  // One corner more, put where it is typed, and taken away again; never fewer than three.
  await chosen.getByText("4 corners", { exact: true }).click();
  await chosen.getByRole("button", { name: "One behind corner 1" }).click();
  await type(page, "North of the origin", "3", chosen.getByRole("region", { name: "Corner 2", exact: true }));
  expect((await drawn()).footprint[1].y).toBe(3);
  expect((await drawn()).footprint).toHaveLength(5);
  for (const left of [4, 3]) {
    await chosen.getByRole("button", { name: "Delete corner 2" }).click();
    expect((await drawn()).footprint).toHaveLength(left);
  }
  await chosen.getByRole("button", { name: "Delete corner 2" }).click();
  await expect(page.getByText("It needs three corners.").first()).toBeVisible();
  await page.getByRole("button", { name: "Tape" }).click();
  await drag(page, at(-20, 30), at(-17, 26));
  await expect(page.getByText("5 m along the heading 143.1°: 3 m east, 4 m south.").first()).toBeVisible();
  await expect(plan(page).getByText("5 m", { exact: true }).last()).toBeVisible();
  await page.getByRole("button", { name: "Grid" }).click();
  await expect(plan(page).getByText(/lines of the grid \d+ m apart/)).toBeVisible();
  const outline = page.getByTestId("Net loft");
  const before = (await outline.getAttribute("d"))!;
  await page.getByRole("button", { name: "Larger" }).click();
  await expect(outline).not.toHaveAttribute("d", before);
  await page.getByRole("button", { name: "Fit all" }).click();
  await page.getByRole("button", { name: "Fit what is chosen" }).click();
  // The eye, its look and its lens are typed here, too; and a new shot is taken from them.
  await page.getByText("Eye, look and lens").click();
  await type(page, "Eye height", "2.4");
  await type(page, "35 mm equivalent", "28");
  await page.getByRole("button", { name: "New shot from this one" }).click();
  const { shots } = await saved(page, id);
  expect(shots.map(({ eye }) => eye.z)).toEqual([2.4, 2.4]);
  expect(shots[0].lens.distance).toBe(shots[1].lens.distance);
});
