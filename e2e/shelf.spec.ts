import { readFile } from "node:fs/promises";
import { expect, test, type Page } from "@playwright/test";
import { newScene } from "@zanvo/core/scene";

/** A scene of its own for one test, found by its name. */
async function put(page: Page, title: string): Promise<void> {
  await page.request.post("/api/scenes", { data: { ...newScene(title), place: "Kestrel Quay" } });
}
const card = (page: Page, title: string) => page.getByRole("article", { name: title, exact: true });

test("the shelf opens with the demo and one button for a new scene", async ({ page }) => {
  await page.goto("/");
  const start = page.getByRole("button", { name: "Start a new scene" });
  await expect(start).toBeVisible();
  await page.getByLabel("Find a scene").fill("Quay street, the corner");
  await expect(card(page, "Quay street, the corner")).toContainText("Kestrel Quay · 1 shot · 17 things");
  const picture = card(page, "Quay street, the corner").locator("img");
  await expect.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBeGreaterThan(100);
  await start.click();
  await expect(page.getByRole("application", { name: "Desk" })).toBeVisible();
  await expect(page.getByLabel("Title of the scene")).toHaveValue("Untitled scene");
});

test("a new scene is begun with a situation; its desk is kept as a template, on which others are begun", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByRole("button", { name: "Start a new scene" }).click();
  const begin = page.getByRole("region", { name: "Begin with" });
  await expect(begin).toBeVisible();
  // Every situation has its small drawing.
  const drawings = begin.locator("button svg").filter({ has: page.locator("path[d^='M']") });
  await expect(drawings).toHaveCount(11);
  // Its points are calm: nothing is found.
  await expect(page.getByText("Nothing to point out.")).toBeVisible();
  await begin.getByRole("button", { name: "Corridor" }).click();
  const title = `Tram depot ${Date.now()}`;
  await page.getByLabel("Title of the scene").fill(title);
  await page.getByLabel("Paper").selectOption("B4");
  await page.getByRole("button", { name: "Keep this desk as a template" }).click();
  await expect(page.getByText(/is kept as a template/).first()).toBeVisible();
  await page.goto("/");
  await page.getByLabel("Find a scene").fill(title);
  await expect(card(page, `${title}, desk`)).toContainText("Template · 1 shot · 0 things");
  await page.getByRole("button", { name: `New scene on ${title}, desk` }).click();
  await expect(page.getByLabel("Paper")).toHaveValue("B4");
  // Another beginning, and back to the template, each one step that can be undone.
  await begin.getByRole("button", { name: "Disc, five points" }).click();
  await page.getByLabel("Paper").selectOption("A2");
  await begin.getByRole("button", { name: `${title}, desk` }).click();
  await expect(page.getByLabel("Paper")).toHaveValue("B4");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByLabel("Paper")).toHaveValue("A2");
});

test("scenes are searched and put in order", async ({ page }) => {
  for (const title of ["Zeta sluice", "Alpha sluice", "Mid sluice"]) await put(page, title);
  await page.goto("/");
  await page.getByLabel("Find a scene").fill("sluice kestrel");
  const titles = () =>
    page
      .getByRole("article")
      .getByRole("link", { name: /sluice/ })
      .allTextContents();
  await expect.poll(titles).toHaveLength(3);
  await page.getByLabel("Order").selectOption("name");
  await expect.poll(titles).toEqual(["Alpha sluice", "Mid sluice", "Zeta sluice"]);
  await page.getByLabel("Order").selectOption("last worked on");
  await expect.poll(titles).toEqual(["Mid sluice", "Alpha sluice", "Zeta sluice"]);
  await page.getByLabel("Find a scene").fill("no such thing");
  await expect(page.getByText("No scene is called")).toBeVisible();
});

test("a scene is renamed, duplicated, deleted and put back", async ({ page }, { repeatEachIndex }) => {
  // Run over and over, it finds what it did before.
  const [study, second] = [`Fish hall study ${repeatEachIndex}`, `Fish hall, try ${repeatEachIndex}`];
  await put(page, study);
  await page.goto("/");
  // Other journeys put scenes before these meanwhile: only what is in sight is there.
  await page.getByLabel("Find a scene").fill("Fish hall");
  await page.getByRole("button", { name: `Rename ${study}` }).click();
  await page.getByLabel("Name of the scene").fill(second);
  await page.getByLabel("Name of the scene").press("Enter");
  await page.getByRole("button", { name: `Duplicate ${second}` }).click();
  await expect(card(page, `${second} (copy)`)).toBeVisible();
  await page.getByRole("button", { name: `Delete ${second}`, exact: true }).click();
  await expect(card(page, second)).toHaveCount(0);
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(card(page, second)).toBeVisible();
});

test("a scene goes out as a file and comes in again", async ({ page }) => {
  await put(page, "Ferry clock tower");
  await page.goto("/");
  await page.getByLabel("Find a scene").fill("Ferry clock tower");
  const going = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save Ferry clock tower as a file" }).click();
  const file = await going;
  expect(file.suggestedFilename()).toBe("Ferry-clock-tower.zanvo.json");
  const text = await readFile(await file.path(), "utf8");
  const bringIn = async (name: string, content: string) => {
    const choosing = page.waitForEvent("filechooser");
    await page.getByRole("button", { name: "Import a file" }).click();
    await (await choosing).setFiles({ name, mimeType: "application/json", buffer: Buffer.from(content) });
  };
  await bringIn("again.zanvo.json", text.replace("Ferry clock tower", "Brought in"));
  await page.getByLabel("Find a scene").fill("Brought in");
  await expect(card(page, "Brought in")).toBeVisible();

  await page.getByLabel("Find a scene").fill("Ferry clock tower");
  await bringIn("broken.json", text.replace('"distance": 300', '"distance": -1'));
  await expect(
    page.getByText("broken.json was not brought in. shots/0/lens/distance: must be > 0.").first(),
  ).toBeVisible();
  await bringIn("photo.json", "no JSON at all");
  await expect(page.getByText("photo.json was not brought in. Not JSON: line 1, column 1").first()).toBeVisible();
  await expect(page.getByRole("article", { name: "Ferry clock tower" })).toHaveCount(1);
});

test("of many scenes only those in sight are there, and the rest come as one scrolls", async ({ page }) => {
  await Promise.all(Array.from({ length: 80 }, (_, i) => put(page, `Pier ${i}`)));
  const pictures: string[] = [];
  page.on("request", (request) => request.url().includes("/picture?") && pictures.push(request.url()));
  await page.goto("/");
  await page.getByLabel("Find a scene").fill("Pier");
  await expect(page.getByRole("article", { name: /^Pier/ }).first()).toBeVisible();
  await page.getByLabel("Order").selectOption("name");
  await expect(card(page, "Pier 0")).toBeVisible();
  expect(await page.getByRole("article").count()).toBeLessThan(40);
  expect(pictures.length).toBeLessThan(80);
  await expect(card(page, "Pier 79")).toHaveCount(0);
  await page.getByTestId("shelf").evaluate((shelf) => shelf.scrollTo(0, shelf.scrollHeight));
  await expect(card(page, "Pier 79")).toBeVisible();
  await expect
    .poll(() =>
      card(page, "Pier 79")
        .locator("img")
        .evaluate((img: HTMLImageElement) => img.naturalWidth),
    )
    .toBeGreaterThan(100);
});
