import { expect, test } from "@playwright/test";
import { DEFAULT_STREET, type Element, type Ground, type Street, type Wall } from "@zanvo/core/world";
import { drag, onPlan, placer, plan } from "./plan";
import { saved, type } from "./table";

const lane: Street = {
  id: "lane",
  kind: "street",
  name: "Oar lane",
  path: [
    { x: -10, y: 0 },
    { x: -10, y: 44 },
  ],
  ...DEFAULT_STREET,
};

test("ground is raised on the plan, a street climbs it and has points of its own, and a cliff is told", async ({
  page,
}) => {
  const id = await onPlan(page, (scene) => void scene.elements.push(structuredClone(lane)));
  const at = await placer(page);
  const elements = async () => (await saved<Element>(page, id)).elements;
  await page.getByRole("button", { name: "Slope", exact: true }).click();
  // From its foot to its top: it rises along its longer side, to the north.
  await drag(page, at(-17, 12), at(-3, 32));
  await plan(page).press("Escape");
  const chosen = page.getByRole("region", { name: "Chosen building" });
  await type(page, "Metres in a hundred", "10", chosen);
  const slope = async () => (await elements()).find((one): one is Ground => one.kind === "ground")!;
  expect(await slope()).toMatchObject({ height: 0, slope: { grade: 10 } });
  expect((await slope()).slope!.heading).toBeCloseTo(0, 1);
  await page.getByRole("button", { name: "Oar lane", exact: true }).click();
  await chosen.getByText("Gradients").click();
  await expect(chosen.getByText("10.0 in 100 (5.7°)")).toBeVisible();
  await chosen.getByRole("button", { name: "Give it points" }).click();
  await expect(page.getByText(/its slope of 5\.7° has points of its own now/).first()).toBeVisible();
  expect((await saved(page, id)).orientations[0].slopes).toMatchObject([{ name: "Slope of Oar lane", axis: "along" }]);
  // Beyond the slope's top the lane falls back to the field; a terrace there takes it up.
  await page.getByRole("link", { name: "Board" }).click();
  await expect(page.getByText(/Oar lane runs over an edge/).first()).toBeVisible();
  await page.getByRole("link", { name: "Plan", exact: true }).click();
  await page.getByRole("button", { name: "Terrace or hill" }).click();
  for (const [x, y] of [
    [-17, 32],
    [-3, 32],
    [-3, 50],
    [-17, 50],
  ] as const)
    await page.mouse.click(...at(x, y));
  await plan(page).press("Enter");
  await expect.poll(async () => (await elements()).filter(({ kind }) => kind === "ground").length).toBe(2);
  await type(page, "Height of its rim", "2", chosen);
  await page.getByRole("link", { name: "Board" }).click();
  await expect(page.getByText(/Oar lane runs over an edge/)).toHaveCount(0);
});

test("a fence, a park and forecourts are laid; lines stop at masses where that is chosen", async ({ page }) => {
  const id = await onPlan(page);
  const at = await placer(page);
  const elements = async () => (await saved<Element>(page, id)).elements;
  await page.getByRole("button", { name: "Wall or fence" }).click();
  for (const [x, y] of [
    [-20, 10],
    [-20, 30],
    [-5, 30],
  ] as const)
    await page.mouse.click(...at(x, y));
  await plan(page).press("Enter");
  await plan(page).press("Escape");
  const chosen = page.getByRole("region", { name: "Chosen building" });
  await chosen
    .getByRole("radio", { name: "Railing" })
    .or(chosen.getByRole("button", { name: "Railing" }))
    .click();
  await chosen.getByRole("button", { name: "A gate" }).click();
  await type(page, "Along the wall", "6", chosen.getByRole("region", { name: "Gate 1" }));
  const wall = async () => (await elements()).find((one): one is Wall => one.kind === "wall")!;
  expect(await wall()).toMatchObject({ of: "railing", height: 1.1, gates: [{ at: 6, width: 1.2 }] });
  await page.getByRole("button", { name: "Park" }).click();
  for (const [x, y] of [
    [-18, 12],
    [-6, 12],
    [-6, 28],
  ] as const)
    await page.mouse.click(...at(x, y));
  await plan(page).press("Enter");
  expect((await elements()).at(-1)).toMatchObject({ kind: "square", surface: "lawn" });
  await page.getByRole("button", { name: "Row of houses" }).click();
  await drag(page, at(-24, 34), at(20, 34));
  await plan(page).press("Escape");
  const row = page.getByRole("region", { name: "Row" });
  await row.getByRole("checkbox", { name: "Forecourts" }).check();
  await type(page, "Depth of the forecourts", "3", row);
  await row.getByRole("checkbox", { name: "Yards behind" }).check();
  const walls = (await elements()).filter((one): one is Wall => one.kind === "wall" && one.row !== undefined);
  const houses = (await elements()).filter(({ kind }) => kind === "building");
  expect(walls).toHaveLength(1 + houses.length);
  expect(walls[0].gates!.length).toBeGreaterThanOrEqual(houses.length);
  await row.getByRole("checkbox", { name: "Forecourts" }).uncheck();
  await expect
    .poll(async () => (await elements()).filter((one) => one.kind === "wall" && one.row !== undefined).length)
    .toBe(houses.length);
  await page.getByRole("link", { name: "Board" }).click();
  await page.getByRole("button", { name: "Grid", exact: true }).click();
  await page.getByRole("checkbox", { name: "Grids stop at masses" }).check();
  await page.getByRole("button", { name: "Masses", exact: true }).click();
  await page.getByRole("checkbox", { name: "Outlines lighter with depth" }).uncheck();
  expect((await saved(page, id)).shots[0]).toMatchObject({ stopAtMasses: true, evenOutlines: true });
});

test("a scene comes back from GeoJSON as it was, and of a file that breaks off the good part comes in", async ({
  page,
}) => {
  const id = await onPlan(page, (scene) => {
    scene.elements.push(structuredClone(lane), {
      id: "hill",
      kind: "ground",
      name: "Gull bank",
      footprint: [
        { x: -40, y: 10 },
        { x: -20, y: 10 },
        { x: -20, y: 30 },
      ],
      height: 2,
      bank: 1,
    });
  });
  const { elements, shots } = await saved<Element>(page, id);
  const text = await (await page.request.get(`/api/scenes/${id}/exports/${shots[0].id}.geojson`)).text();
  const bring = async (content: string) => {
    await page.getByText("Real ground and other programs").click();
    const [chooser] = await Promise.all([
      page.waitForEvent("filechooser"),
      page.getByRole("button", { name: "Import GeoJSON" }).click(),
    ]);
    await chooser.setFiles({
      name: "quay.geojson",
      mimeType: "application/geo+json",
      buffer: Buffer.from(content),
    });
    return page.getByRole("list", { name: "What came of it" });
  };
  await onPlan(page);
  await expect((await bring(text)).getByText("3 things were brought in.")).toBeVisible();
  const other = page.url().split("/").at(-2)!;
  const plain = (some: readonly Element[]) => some.map(({ id: _, ...rest }) => rest);
  expect(plain((await saved<Element>(page, other)).elements.slice(1))).toEqual(plain(elements));
  // Cut off in the last feature.
  await onPlan(page);
  const told = await bring(text.slice(0, text.lastIndexOf("Gull bank")));
  await expect(told.getByText("The file breaks off after 2 whole features; those were taken.")).toBeVisible();
  await expect(told.getByText("2 things were brought in.")).toBeVisible();
});
