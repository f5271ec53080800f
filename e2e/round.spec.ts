import { expect, test } from "@playwright/test";
import { newColumns, newTurned, type Arches, type Columns, type TurnedThing } from "@zanvo/core/world";
import { drag, onPlan, placer, plan } from "./plan";
import { onSheet, openNew, saved, slip, type } from "./table";

test("a round thing is drawn on the plan, turned into a dome with ribs, and given an outline of one's own", async ({
  page,
}) => {
  const id = await onPlan(page);
  const at = await placer(page);
  await page.getByRole("button", { name: "Round thing" }).click();
  await drag(page, at(-6, 16), at(-2, 16));
  await plan(page).press("Escape");
  const thing = async () =>
    (await saved<TurnedThing>(page, id)).elements.find((one): one is TurnedThing => one.kind === "turned")!;
  expect(await thing()).toMatchObject({ form: "cylinder", radius: 4, height: 8, at: { x: -6, y: 16 } });
  const chosen = page.getByRole("region", { name: "Chosen building" });
  await chosen.getByLabel("Is a").selectOption("dome");
  await type(page, "Ribs", "12", chosen);
  await type(page, "Turned through", "180", chosen);
  expect(await thing()).toMatchObject({ form: "dome", ribs: 12, sweep: 180 });
  await chosen.getByLabel("Is a").selectOption("own");
  // A place of the outline is dragged outwards.
  const place = chosen.getByRole("button", { name: "Place 3 of the outline" });
  const before = (await thing()).outline!;
  const box = (await place.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 30, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => (await thing()).outline![2].r).toBeGreaterThan(before[2].r + 0.1);
  await chosen.getByRole("button", { name: "Add a place" }).click();
  await expect.poll(async () => (await thing()).outline!.length).toBe(4);
  // What cannot be is refused with a sentence, and nothing is lost.
  await chosen.getByRole("button", { name: "Place 1 of the outline" }).focus();
  await type(page, "Over its foot", "9", chosen);
  await expect(page.getByText(/The outline (crosses|runs)/).first()).toBeVisible();
  expect((await thing()).outline![0].z).toBe(0);
  await page.reload();
  await expect(page.getByTestId("Turned 2")).toBeVisible();
});

test("columns are drawn in a row, carry a pediment, and stand in a ring; an arcade is drawn beside them", async ({
  page,
}) => {
  const id = await onPlan(page);
  const at = await placer(page);
  await page.getByRole("button", { name: "Columns" }).click();
  await drag(page, at(-14, 14), at(-2, 14));
  await plan(page).press("Escape");
  const row = async () =>
    (await saved<Columns>(page, id)).elements.find((one): one is Columns => one.kind === "columns")!;
  // It faces whoever stands below it, to the south.
  expect(await row()).toMatchObject({ order: "tuscan", stand: "row", heading: 180 });
  const chosen = page.getByRole("region", { name: "Chosen building" });
  await chosen.getByLabel("Order").selectOption("ionic");
  await expect(chosen.getByText("9 diameters high: 0.44 m thick at the foot.")).toBeVisible();
  await chosen.getByRole("checkbox", { name: "Pediment" }).check();
  await expect.poll(async () => (await row()).pediment).toBe(0.2);
  // Set before the nearest wall's middle, in one press, and back again.
  const drawn = (await row()).at;
  await chosen.getByRole("button", { name: "Set before the nearest wall’s middle" }).click();
  await expect.poll(async () => (await row()).depth).toBeGreaterThan(1);
  expect((await row()).at).not.toEqual(drawn);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(async () => (await row()).at).toEqual(drawn);
  await chosen.getByRole("radio", { name: "In a ring" }).click();
  await expect.poll(async () => (await row()).stand).toBe("ring");
  expect((await row()).pediment).toBeUndefined();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(async () => (await row()).stand).toBe("row");
  await page.getByRole("button", { name: "Arches" }).click();
  await drag(page, at(-14, 19), at(-2, 19));
  await plan(page).press("Escape");
  const arches = async () =>
    (await saved<Arches>(page, id)).elements.find((one): one is Arches => one.kind === "arches")!;
  expect((await arches()).count).toBeGreaterThan(2);
  const arcade = page.getByRole("region", { name: "Chosen building" });
  await arcade.getByLabel("Arches are").selectOption("pointed");
  await expect(page.getByText(/height is less than its arches reach/i).first()).toBeVisible();
  expect((await arches()).arch).toBe("round");
  await type(page, "Height", "7", arcade);
  await arcade.getByLabel("Arches are").selectOption("pointed");
  await expect.poll(async () => (await arches()).arch).toBe("pointed");
});

test("what is round is told on the slip, and drawn by hand: by its axes, by fullness, by a half-plan", async ({
  page,
}) => {
  await openNew(page, ({ elements }) => {
    const tank = newTurned("cylinder", { x: -4, y: 24, z: 0 });
    const ring = newColumns("tuscan", { x: 6, y: 24, z: 0 }, 180);
    elements.push({ id: "t", name: "Gasholder", ...tank, radius: 4, height: 8 });
    elements.push({ id: "r", name: "Bandstand", ...ring, stand: "ring", count: 8, radius: 4 });
  });
  await page.getByRole("button", { name: "Draw", exact: true }).click();
  await page.getByText("How it is made").click();
  const construction = page.getByLabel("Construction", { exact: true });
  await construction.selectOption("half-plan");
  await page.getByLabel("Of", { exact: true }).selectOption({ label: "Gasholder" });
  await expect(page.getByRole("alert").filter({ hasText: "Choose a ring of columns." })).toBeVisible();
  await page.getByLabel("Of", { exact: true }).selectOption({ label: "Bandstand" });
  await page.getByRole("button", { name: "Step forward" }).click();
  await expect(page.getByText(/and mark the 8 on it, 45.0° apart/)).toBeVisible();
  await construction.selectOption("fullness");
  await page.getByLabel("Of", { exact: true }).selectOption({ label: "Gasholder" });
  await page.getByRole("button", { name: "Step forward" }).click();
  await expect(page.getByText(/^At 0.00 m, 1.60 m under the eye, it is .* wide and opens to/)).toBeVisible();
  await construction.selectOption("ellipse");
  await expect(page.getByText(/^Mark the middle of the ellipse:/)).toBeVisible();
  // The chosen one's circles stand on the slip.
  await page.getByRole("button", { name: "Masses", exact: true }).click();
  await page.keyboard.press("c");
  // Its middle, 4 m left and 24 m ahead, is drawn 300 * 4 / 24 = 50 mm left of the centre of vision.
  await page.mouse.click(...(await onSheet(page, 160, 120)));
  await expect(slip(page, "Lowest circle")).toContainText("flatter than any template");
});
