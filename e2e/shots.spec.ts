import { expect, test } from "@playwright/test";
import { openNew, saved, slip, type } from "./table";

test("several shots look at one scene, each with its own view: added, renamed, reordered, deleted", async ({
  page,
}) => {
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
  const strip = page.getByRole("list", { name: "Shots" });
  const names = async () => (await saved(page, id)).shots.map((shot) => shot.name);
  await page.getByRole("button", { name: "New shot from this one" }).click();
  await page.getByRole("button", { name: "Eye level" }).click();
  await type(page, "Eye height", "12");
  await page.getByRole("button", { name: "Rename Shot 2" }).click();
  await page.getByLabel("Name of the shot").fill("From the crane");
  await page.getByLabel("Name of the shot").press("Enter");
  expect((await saved(page, id)).shots.map(({ name, eye }) => [name, eye.z])).toEqual([
    ["First shot", 1.6],
    ["From the crane", 12],
  ]);
  await strip.getByRole("button", { name: "1 First shot" }).click();
  await expect(slip(page, "Eye height")).toHaveText("1.60 m");
  for (const shot of ["s1"])
    expect(await (await page.request.get(`/api/scenes/${id}/exports/${shot}.svg`)).text()).toContain('<g id="outlines');

  // By the grip, with the mouse.
  const [from, to] = [
    await page.getByRole("button", { name: "Move First shot" }).boundingBox(),
    await page.getByRole("button", { name: "Move From the crane" }).boundingBox(),
  ];
  await page.mouse.move(from!.x + 12, from!.y + 16);
  await page.mouse.down();
  await page.mouse.move(to!.x + 90, to!.y + 16, { steps: 8 });
  await page.mouse.up();
  await expect.poll(names).toEqual(["From the crane", "First shot"]);
  await page.getByRole("button", { name: "Undo" }).click();
  expect(await names()).toEqual(["First shot", "From the crane"]);
  await strip.getByRole("button", { name: "2 From the crane" }).click();
  await page.reload();
  await expect(slip(page, "Eye height")).toHaveText("12.00 m");
  await page.getByRole("button", { name: "Delete From the crane" }).click();
  await expect.poll(names).toEqual(["First shot"]);
  await expect(page.getByRole("button", { name: /^Delete/ })).toHaveCount(0);
});
