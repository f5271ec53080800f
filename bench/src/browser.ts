import { spawn } from "node:child_process";
import { mkdtempSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gzipSync } from "node:zlib";
import { chromium, type Page } from "@playwright/test";
import { newScene, type Scene } from "@zanvo/core/scene";
import { pinsOf } from "@zanvo/core/vanishing";
import { chromiumPath } from "../../scripts/chromium.mjs";
import { row } from "./timing";

declare global {
  interface Window {
    /** The long tasks, the frames and the paintings of its canvases that a page has had, ms. */
    seen: { tasks: number[]; frames: number[]; painting: number[] };
    /** The browser's own way to ask for a frame. */
    ask?: typeof requestAnimationFrame;
  }
}

const PORT = "4398";
/** The first set's left pin, in a straight lens and in a curved one. */
const PIN = /^left vanishing point, |^vanishing point .*, left, /;
const HOME = `http://127.0.0.1:${PORT}`;

/** A scene of n buildings in two rows before the eye. */
export function street(n: number): Scene {
  const scene = newScene("Bench street");
  for (let i = 0; i < n; i++) {
    scene.elements.push({
      id: `b${i}`,
      kind: "block",
      name: `b${i}`,
      heading: -55,
      length: 6,
      width: 7,
      height: 5 + (i % 5),
      origin: { x: -12 + (i % 5) * 9, y: 9 + Math.floor(i / 5) * 11, z: 0 },
    });
  }
  return scene;
}

/** 50 buildings, two pairs of directions, and bundles of about 300 lines in all. */
export function gridded(): Scene {
  const scene = street(50);
  scene.orientations.push({ id: "canal", name: "Canal", heading: 70 });
  const [shot] = scene.shots;
  shot.bundles = pinsOf(scene.orientations, shot).map(({ id, role }) => ({
    pin: id,
    spacing: 6.2,
    strength: role === "upright" ? 0 : 0.5,
  }));
  return scene;
}

/** Opens a scene's board on a server of its own, and closes both afterwards. */
async function onBoard(scene: Scene, use: (page: Page, scripts: readonly Buffer[]) => Promise<void>): Promise<void> {
  const server = spawn(process.execPath, ["server/dist/main.js"], {
    env: { ...process.env, PORT, ZANVO_DATA: join(mkdtempSync(join(tmpdir(), "zanvo-bench-")), "z.sqlite") },
  });
  await new Promise((resolve) => server.stdout.once("data", resolve));
  const browser = await chromium.launch({
    executablePath: chromiumPath(),
    args: ["--no-sandbox", "--disable-background-networking"],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const scripts: Buffer[] = [];
    page.on("response", (response) => {
      if (response.url().endsWith(".js")) void response.body().then((body) => scripts.push(body));
    });
    const answer = await page.request.post(`${HOME}/api/scenes`, { data: scene });
    await page.goto(`${HOME}/scenes/${answer.headers()["x-scene-id"]}`);
    await page.getByRole("button", { name: PIN }).first().waitFor();
    await page.waitForTimeout(1500);
    await use(page, scripts);
  } finally {
    await browser.close();
    server.kill("SIGTERM");
  }
}

/** Script that the board's first load asks for, its worker's with it, gzipped. */
export const firstLoad = (): Promise<void> =>
  onBoard(street(1), async (_, scripts) => {
    const bytes = scripts.reduce((sum, script) => sum + gzipSync(script).length, 0);
    row(
      "script of the board's first load, gzipped",
      `${(bytes / 1000).toFixed(0)} kB in ${scripts.length} files`,
      "under 350 kB",
    );
  });

/** A drag there and back from a place of the window: what keeps the main thread, and how the lines follow. */
async function timedDrag(page: Page, what: string, [x, y]: readonly [number, number]): Promise<void> {
  await page.evaluate(() => {
    const seen = { tasks: [] as number[], frames: [] as number[], painting: [] as number[] };
    const { ask = window.requestAnimationFrame } = window;
    Object.assign(window, { seen, ask });
    // What the page does in its own frame callbacks is to paint its canvases.
    window.requestAnimationFrame = (callback) =>
      ask((time) => {
        const begun = performance.now();
        callback(time);
        seen.painting.push(performance.now() - begun);
      });
    new PerformanceObserver((list) => seen.tasks.push(...list.getEntries().map((entry) => entry.duration))).observe({
      type: "longtask",
    });
    let last = performance.now();
    const tick = () => {
      const now = performance.now();
      seen.frames.push(now - last);
      last = now;
      ask(tick);
    };
    ask(tick);
  });
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 0; i < 120; i++) await page.mouse.move(x + 2.5 * (60 - Math.abs(60 - i)), y);
  await page.mouse.up();
  await page.waitForTimeout(300);
  const { tasks, frames, painting } = await page.evaluate(() => window.seen);
  const at = (times: readonly number[], share: number) =>
    [...times].sort((a, b) => a - b)[Math.floor(times.length * share)]?.toFixed(1) ?? "0";
  row(
    `dragging ${what}`,
    `frame median ${at(frames, 0.5)} ms, p95 ${at(frames, 0.95)} ms, of it painting ` +
      `${at(painting, 0.5)} and ${at(painting, 0.95)} ms; longest task ` +
      `${tasks.length ? `${Math.max(...tasks).toFixed(0)} ms` : "under 50 ms"}`,
    "no task over 50 ms",
  );
}

async function timedPin(page: Page, what: string): Promise<void> {
  const box = (await page.getByRole("button", { name: PIN }).first().boundingBox())!;
  await timedDrag(page, `a pin, ${what}`, [box.x + 12, box.y + 12]);
}

/** Dragging a pin on the real board. */
export const dragging = (what: string, scene: Scene): Promise<void> => onBoard(scene, (page) => timedPin(page, what));

/**
 * Dragging in the demo's whole quarter: a pin, a building in the picture, and one and the eye on the plan beside it.
 */
export const draggingQuarter = (scene: Scene): Promise<void> =>
  onBoard(scene, async (page) => {
    await timedPin(page, "the whole quarter");
    await page
      .getByRole("button", { name: /Masses/ })
      .first()
      .click();
    await page.getByRole("button", { name: "Choose", exact: true }).click();
    await page.waitForTimeout(500);
    const desk = (await page.getByRole("application", { name: "Desk" }).boundingBox())!;
    const at = [desk.x + desk.width * 0.6, desk.y + desk.height * 0.52] as const;
    await page.mouse.click(...at);
    await page.getByRole("region", { name: "Chosen building" }).waitFor();
    await page.waitForTimeout(1500);
    await timedDrag(page, "a building in the picture, the whole quarter", at);
    await page.getByRole("link", { name: "Plan", exact: true }).click();
    const outline = (await page.getByTestId("Clock tower").boundingBox())!;
    await page.waitForTimeout(1500);
    await timedDrag(page, "a building on the plan, the whole quarter", [
      outline.x + outline.width / 2,
      outline.y + outline.height / 2,
    ]);
    const eye = (await page.getByTestId("eye").locator("circle").first().boundingBox())!;
    await timedDrag(page, "the eye on the plan, the whole quarter", [eye.x + eye.width / 2, eye.y + eye.height / 2]);
  });

/** How long a board takes from its address until it can be worked on, and what keeps its main thread until it rests. */
export const opening = (what: string, scene: Scene): Promise<void> =>
  onBoard(scene, async (page) => {
    await page.addInitScript(() => {
      const seen = { tasks: [] as number[], frames: [], painting: [] };
      Object.assign(window, { seen });
      new PerformanceObserver((list) => seen.tasks.push(...list.getEntries().map((entry) => entry.duration))).observe({
        type: "longtask",
        buffered: true,
      });
    });
    const begun = performance.now();
    await page.reload({ waitUntil: "commit" });
    await page.getByRole("button", { name: PIN }).first().waitFor();
    const ready = performance.now() - begun;
    await page.waitForTimeout(8000);
    const { tasks } = await page.evaluate(() => window.seen);
    const longest = tasks.length ? Math.max(...tasks).toFixed(0) : "under 50";
    row(
      `opening a board, ${what}`,
      `ready after ${ready.toFixed(0)} ms; longest task ${longest} ms`,
      "under 1,000 ms; no task over 200 ms",
    );
  });

/** What the page of a board takes, its workers with it, in the memory of its process. */
export const memory = (what: string, scene: Scene): Promise<void> =>
  onBoard(scene, async (page) => {
    await page.waitForTimeout(6000);
    const client = await page.context().browser()!.newBrowserCDPSession();
    const { processInfo } = await client.send("SystemInfo.getProcessInfo");
    const sizes = processInfo
      .filter(({ type }) => type === "renderer")
      .map(({ id }) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${id}/status`, "utf8"))?.[1] ?? 0) / 1000);
    row(`memory of the page, ${what}`, `${Math.max(...sizes).toFixed(0)} MB`, "under 600 MB");
  });
