import { expect, test } from "@playwright/test";
import { readFileSync } from "node:fs";
import { openNew, saved, type, withKiosk } from "./table";

test("a sun is put up, dragged behind the eye, typed, set by date, and its shadows are exported in layers", async ({
  page,
}) => {
  const id = await openNew(page);
  const lights = async () => (await saved(page, id)).lights ?? [];
  await page.keyboard.press("9");
  await expect(page.getByRole("heading", { name: "Light", exact: true })).toBeVisible();
  await expect(page.getByText("There is no light yet")).toBeVisible();
  await page.getByRole("button", { name: "A sun" }).click();
  await expect.poll(lights).toMatchObject([{ kind: "sun", height: 40 }]);
  const sun = page.getByRole("region", { name: "Sun", exact: true });
  await type(page, "Over the horizon", "25", sun);
  await type(page, "Stands at the heading", "20", sun);
  await expect.poll(lights).toMatchObject([{ heading: 20, height: 25 }]);
  // Before the eye it has its point over the horizon; dragged under it, it stands behind.
  const handle = page.getByRole("button", { name: /^Sun, before the eye/ });
  const box = (await handle.boundingBox())!;
  await page.mouse.move(box.x + 12, box.y + 12);
  await page.mouse.down();
  await page.mouse.move(box.x + 12, box.y + 200, { steps: 6 });
  await page.mouse.move(box.x + 12, box.y + 420, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByRole("button", { name: /^Sun, behind the eye/ })).toBeVisible();
  const [behind] = await lights();
  expect(behind).toMatchObject({ kind: "sun" });
  await page.keyboard.press("Control+z");
  await expect.poll(lights).toMatchObject([{ heading: 20, height: 25 }]);
  await sun.getByText("By date and hour").click();
  await sun.getByLabel("Universal time").fill("2026-06-21T23:30");
  await sun.getByRole("button", { name: "Put the sun there" }).click();
  await expect(page.getByText("The sun is below the horizon then: choose another hour.").first()).toBeVisible();
  await sun.getByLabel("Universal time").fill("2026-06-21T11:20");
  await sun.getByRole("button", { name: "Put the sun there" }).click();
  // Midsummer noon at 54 degrees north: 90 - 54 + 23.4 degrees.
  await expect.poll(async () => (await lights())[0]).toMatchObject({ height: expect.closeTo(59.4, 0) });
  await page.getByLabel("This shot has a light of its own").click();
  await page.getByRole("button", { name: "A lamp" }).click();
  await expect.poll(async () => (await saved(page, id)).shots[0].lights).toMatchObject([{}, { kind: "lamp" }]);
  expect(await lights()).toHaveLength(1);
  await page.reload();
  await page.keyboard.press("9");
  await expect(page.getByRole("region", { name: "Lamp", exact: true })).toBeVisible();
});

test("a drawing is handed over as OpenRaster, in layers", async ({ page }) => {
  await openNew(page);
  await page.keyboard.press("0");
  const coming = page.waitForEvent("download");
  await page.getByRole("button", { name: /OpenRaster/ }).click();
  const file = readFileSync(await (await coming).path());
  expect(file.subarray(38, 54).toString()).toBe("image/openraster");
});

test("the grid is copied as a picture, to be pasted elsewhere", async ({ page, context }) => {
  await context.grantPermissions(["clipboard-read", "clipboard-write"]);
  await openNew(page);
  await page.keyboard.press("0");
  await page.getByRole("button", { name: "Copy its grid" }).click();
  await expect(page.getByText("The grid is in the clipboard.").first()).toBeVisible();
  const size = await page.evaluate(async () => {
    const [item] = await navigator.clipboard.read();
    const picture = await createImageBitmap(await item.getType("image/png"));
    return [picture.width, picture.height];
  });
  // A3 at 300 dpi.
  expect(size).toEqual([4961, 3508]);
});

test("planes are toned by kind without a light, hatched towards their points, and filled as areas", async ({
  page,
}) => {
  const id = await openNew(page, withKiosk);
  await page.keyboard.press("9");
  const slide = async (name: string) => {
    await page.getByRole("slider", { name }).focus();
    await page.keyboard.press("End");
  };
  const layers = async (): Promise<string[]> => {
    await page.keyboard.press("0");
    const coming = page.waitForEvent("download");
    await page.getByRole("button", { name: /^Export SVG/ }).click();
    const svg = readFileSync(await (await coming).path(), "utf8");
    await page.keyboard.press("9");
    return [...svg.matchAll(/<g id="((?:tone|faces|sky|ground|shadows)[^"]*)"/g)].map(([, layer]) => layer);
  };
  await slide("Tone of planes");
  await page.getByLabel("Told apart by").selectOption("plane");
  await page.getByText("How dark each kind is").click();
  await slide("Level tops");
  await expect.poll(async () => (await saved(page, id)).shots[0].tone).toMatchObject({ planes: { tops: 1 } });
  expect((await layers()).some((layer) => /^tone-(walls|across)/.test(layer))).toBe(true);
  await page.getByLabel("Hatched").check();
  await expect(page.getByLabel("Towards each plane’s points")).toBeChecked();
  await page.getByLabel("Told apart by").selectOption("light");
  await page.getByRole("button", { name: "A covered sky" }).click();
  await expect(page.getByText(/^Light from all of the sky/)).toBeVisible();
  await page.getByText("Areas to fill").click();
  await slide("Faces and ground");
  await slide("Sky");
  const filled = await layers();
  expect(filled).toEqual(expect.arrayContaining(["sky", "ground", "faces-1", "tone-1"]));
  expect(filled.some((layer) => layer.startsWith("shadows"))).toBe(false);
});
