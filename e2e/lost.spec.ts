import { spawn } from "node:child_process";
import { readFile } from "node:fs/promises";
import { chromium, expect, test, type Page } from "@playwright/test";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromiumPath } from "../scripts/chromium.mjs";
import { newScene, type Scene } from "@zanvo/core/scene";
import { arranged, openNew, saved, slip, type, withKiosk } from "./table";

const status = (page: Page) => page.getByRole("status", { name: "Saving" });
const eyeLevel = (page: Page) => page.getByRole("button", { name: "Eye level" }).click();
/** Lets no save through. */
const cutOff = (page: Page) =>
  page.route("**/api/scenes/*", (route) => (route.request().method() === "PUT" ? route.abort() : route.continue()));
/** Whether this browser holds a draft that comes to some eye height. */
const drafted = (page: Page, text: string) =>
  expect
    .poll(() =>
      page.evaluate(
        (wanted) =>
          new Promise<boolean>((resolve) => {
            const opening = indexedDB.open("zanvo-drafts");
            opening.onsuccess = () => {
              if (!opening.result.objectStoreNames.contains("drafts")) return resolve(false);
              const reading = opening.result.transaction("drafts").objectStore("drafts").getAll();
              reading.onsuccess = () => {
                opening.result.close();
                resolve(JSON.stringify(reading.result).includes(wanted));
              };
            };
          }),
        text,
      ),
    )
    .toBe(true);

/** A browser of its own, as a person's: it keeps what pages store in a folder, and can be killed. */
async function ownBrowser(folder: string) {
  const child = spawn(
    chromiumPath(),
    [
      "--headless",
      "--no-sandbox",
      "--disable-gpu",
      "--no-first-run",
      "--disable-background-networking",
      "--remote-debugging-port=0",
      `--user-data-dir=${folder}`,
      "about:blank",
    ],
    { detached: true, stdio: ["ignore", "ignore", "pipe"] },
  );
  const address = await new Promise<string>((resolve) => {
    let said = "";
    child.stderr.on("data", (part: Buffer) => {
      const found = /DevTools listening on (ws:\S+)/.exec((said += part.toString()));
      if (found) resolve(found[1]);
    });
  });
  const browser = await chromium.connectOverCDP(address);
  return {
    page: await browser.contexts()[0].newPage(),
    kill: async () => {
      const ended = new Promise((resolve) => child.once("exit", resolve));
      process.kill(-child.pid!, "SIGKILL");
      await ended;
      // The lock of the profile outlives a browser that is killed.
      for (const name of ["SingletonLock", "SingletonSocket", "SingletonCookie"])
        rmSync(join(folder, name), { force: true });
    },
  };
}

test("work that the server never had is there again after the browser was killed", async ({ page, baseURL }) => {
  const folder = mkdtempSync(join(tmpdir(), "zanvo-browser-"));
  const id = await openNew(page);
  const first = await ownBrowser(folder);
  await first.page.goto(`${baseURL}/scenes/${id}`);
  await eyeLevel(first.page);
  await cutOff(first.page);
  await type(first.page, "Eye height", "5");
  await expect(status(first.page)).toContainText("server out of reach");
  await drafted(first.page, '"z":5');
  await first.kill();

  const second = await ownBrowser(folder);
  await arranged(second.page);
  await second.page.goto(`${baseURL}/scenes/${id}`);
  // Its window is narrow: the tools lie folded until a stage is gone to.
  await eyeLevel(second.page);
  await expect(slip(second.page, "Eye height")).toHaveText("5.00 m");
  const stored = async () => ((await (await page.request.get(`/api/scenes/${id}`)).json()) as Scene).shots[0].eye.z;
  await expect.poll(stored).toBe(5);
  await second.kill();
});

test("of two windows that were cut off and closed, one is gone on from and the other is offered", async ({
  page,
  context,
}) => {
  const id = await openNew(page);
  const other = await context.newPage();
  await other.goto(`/scenes/${id}`);
  for (const [window, height] of [
    [page, "5"],
    [other, "6"],
  ] as const) {
    await eyeLevel(window);
    await cutOff(window);
    await type(window, "Eye height", height);
    await expect(status(window)).toContainText("server out of reach");
    await drafted(window, `"z":${height}`);
    await window.close();
  }
  const again = await context.newPage();
  await again.goto(`/scenes/${id}`);
  await expect(slip(again, "Eye height")).toHaveText("6.00 m");
  const offer = again.getByRole("alert").filter({ hasText: "unsaved work on this scene from another window" });
  await offer.getByRole("button", { name: "Keep it as a copy" }).click();
  await expect(offer).toHaveCount(0);
  expect((await saved(again, id)).shots[0].eye.z).toBe(6);
  await again.goto("/");
  await again.getByLabel("Find a scene").fill("unsaved work");
  await again
    .getByRole("article", { name: /^Test table \(unsaved work of/ })
    .getByRole("link")
    .last()
    .click();
  await expect(slip(again, "Eye height")).toHaveText("5.00 m");
});

test("a scene that was deleted in another window is kept as a copy, or put back", async ({ page }) => {
  const id = await openNew(page);
  await eyeLevel(page);
  const remove = () => page.request.delete(`/api/scenes/${id}`, { headers: { "If-Match": "*" } });
  await remove();
  await type(page, "Eye height", "4");
  const gone = page.getByRole("alert").filter({ hasText: "deleted in another window" });
  await gone.getByRole("button", { name: "Put it back on the shelf" }).click();
  await expect(gone).toHaveCount(0);
  expect((await saved(page, id)).shots[0].eye.z).toBe(4);
  await remove();
  await type(page, "Eye height", "9");
  await gone.getByRole("button", { name: "Keep mine as a copy" }).click();
  await expect(page.getByLabel("Title of the scene")).toHaveValue("Test table (copy)");
  await expect(slip(page, "Eye height")).toHaveText("9.00 m");

  await page.goto("/");
  await page.getByRole("link", { name: "Deleted" }).click();
  await page
    .getByRole("listitem", { name: "Test table", exact: true })
    .first()
    .getByRole("button", { name: "Restore" })
    .click();
  await expect(page.getByText("is on the shelf again").first()).toBeVisible();
  expect((await page.request.get(`/api/scenes/${id}`)).status()).toBe(200);
});

test("a full disk is told, and saved to again as soon as there is room; Ctrl+S saves at once", async ({ page }) => {
  const id = await openNew(page);
  await eyeLevel(page);
  const full = {
    status: 507,
    contentType: "application/problem+json",
    body: JSON.stringify({ status: 507, title: "No room left", detail: "The disk is full." }),
  };
  await page.route("**/api/scenes/*", (route) =>
    route.request().method() === "PUT" ? route.fulfill(full) : route.continue(),
  );
  await type(page, "Eye height", "3");
  await expect(status(page)).toHaveText("Not saved: the disk is full, trying again");
  await page.unroute("**/api/scenes/*");
  await page.getByLabel("Eye height", { exact: true }).fill("2");
  await page.keyboard.press("Control+s");
  await expect.poll(async () => (await saved(page, id)).shots[0].eye.z).toBe(2);
});

test("tools that cannot be fetched say so, and the board stays", async ({ page }) => {
  await openNew(page);
  await page.route("**/assets/GridPanel-*.js", (route) => route.abort());
  await page.getByRole("button", { name: "Grid", exact: true }).click();
  const trouble = page.getByRole("alert").filter({ hasText: "The grid tools could not be fetched" });
  await expect(trouble).toBeVisible();
  await expect(page.getByRole("application", { name: "Desk" })).toBeVisible();
  await page.unroute("**/assets/GridPanel-*.js");
  await trouble.getByRole("button", { name: "Try again" }).click();
  await expect(page.getByRole("button", { name: "Lay out squares" })).toBeVisible();
});

test("a page that cannot be fetched says so", async ({ page }) => {
  await openNew(page);
  await page.route("**/assets/GuidePage-*.js", (route) => route.abort());
  await page.getByRole("link", { name: "Guide" }).click();
  await expect(
    page.getByText("This page could not be fetched: the server is away, or Zanvo was brought up to date."),
  ).toBeVisible();
  await page.goBack();
  await expect(page.getByRole("application", { name: "Desk" })).toBeVisible();
  await page.goForward();
  await page.unroute("**/assets/GuidePage-*.js");
  await page.getByRole("button", { name: "Try again" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
});

test("what works out hidden lines is started anew when it dies, and until then the drawing is called old", async ({
  page,
}) => {
  const id = await openNew(page, withKiosk);
  await expect.poll(() => page.workers().some((worker) => worker.url().includes("visibility.worker"))).toBe(true);
  const old = page.getByText("Out of date:");
  await expect(old).toHaveCount(0);
  // It ends without a word, as one that the browser took the memory of.
  await page
    .workers()
    .find((worker) => worker.url().includes("visibility.worker"))!
    .evaluate(() => close());
  await eyeLevel(page);
  await type(page, "Eye height", "3");
  await expect(old).toBeVisible({ timeout: 30_000 });
  await expect(old).toHaveCount(0, { timeout: 60_000 });
  expect((await saved(page, id)).shots[0].eye.z).toBe(3);
});

test("the board works where the page comes from no secure origin", async ({ page }) => {
  await page.addInitScript(() => {
    Object.defineProperty(crypto, "randomUUID", { value: undefined });
    Object.defineProperty(navigator, "locks", { value: undefined });
    Object.defineProperty(navigator, "clipboard", { value: undefined });
  });
  await openNew(page);
  await page.getByRole("button", { name: "New shot from this one" }).click();
  await expect(page.getByRole("button", { name: /Shot 2/ }).first()).toBeVisible();
  await page.getByRole("button", { name: "Eye level" }).click();
  await page.getByRole("region", { name: "Slip" }).getByRole("button").first().click();
  await expect(page.getByText(/^Copied: /).first()).toBeVisible();
});

test("a photo that is gone is told of on the board and in what is handed over, and brought in again", async ({
  page,
}) => {
  const bytes = await readFile(join(import.meta.dirname, "../demo/photos/the-corner.jpg"));
  const holder = (await (await page.request.post("/api/scenes", { data: newScene("Holder") })).json()) as {
    id: string;
  };
  const { picture, width, height } = (await (
    await page.request.post(`/api/scenes/${holder.id}/references`, { data: bytes })
  ).json()) as { picture: string; width: number; height: number };
  const missing = "f".repeat(64);
  const id = await openNew(page, (scene) => {
    scene.references = [{ id: "r", name: "Quay", picture: missing, width, height, sets: [] }];
    scene.shots[0].under = { reference: "r", strength: 0.6, at: scene.shots[0].frame };
  });
  const alert = page.getByText("The photo “Quay” is not on this machine.");
  await expect(alert).toBeVisible();
  await page.getByRole("button", { name: "Hand-over" }).click();
  const going = page.waitForEvent("download");
  await page.getByRole("button", { name: "Export SVG" }).click();
  expect(await readFile(await (await going).path(), "utf8")).toContain('<g id="missing"');
  await expect(page.getByText("The file lacks a photo that is not on this machine: Quay.").first()).toBeVisible();
  const choosing = page.waitForEvent("filechooser");
  await page.getByRole("button", { name: "Bring it in again" }).click();
  await (await choosing).setFiles({ name: "again.jpg", mimeType: "image/jpeg", buffer: bytes });
  await expect(alert).toHaveCount(0);
  expect((await saved(page, id)).references![0].picture).toBe(picture);
});

test("a scene that cannot be read is downloaded as it is, and brought back from an earlier version", async ({
  page,
}) => {
  const id = await openNew(page);
  await eyeLevel(page);
  await type(page, "Eye height", "6");
  await saved(page, id);
  const unreadable = {
    status: 422,
    contentType: "application/problem+json",
    body: JSON.stringify({ status: 422, detail: "This document is damaged." }),
  };
  await page.route(`**/api/scenes/${id}`, (route) =>
    route.request().method() === "GET" ? route.fulfill(unreadable) : route.continue(),
  );
  await page.reload();
  await expect(page.getByRole("heading", { name: "This scene cannot be opened" })).toBeVisible();
  const going = page.waitForEvent("download");
  await page.getByRole("link", { name: "Download it as it is" }).click();
  expect(JSON.parse(await readFile(await (await going).path(), "utf8"))).toMatchObject({ title: "Test table" });
  await page.unroute(`**/api/scenes/${id}`);
  await page.getByRole("button", { name: "Bring back" }).click();
  await expect(slip(page, "Eye height")).toHaveText("1.60 m");
});
