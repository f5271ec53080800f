// npm run screenshots: one picture of each main view, from the demo, into docs/screenshots.
import { spawn } from "node:child_process";
import { mkdirSync, mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { debianPackages } from "./debian.mjs";
import { install } from "./install.mjs";
import { chromiumPath } from "./chromium.mjs";

await install();
debianPackages();
const { build, root } = await import("./build.mjs");
await build();
const { chromium } = await import("@playwright/test");

const PORT = "4397";
const folder = join(root, "docs/screenshots");
mkdirSync(folder, { recursive: true });
const server = spawn(process.execPath, [join(root, "server/dist/main.js")], {
  env: { ...process.env, PORT, ZANVO_DATA: join(mkdtempSync(join(tmpdir(), "zanvo-shots-")), "z.sqlite") },
  stdio: ["ignore", "pipe", "inherit"],
});
await new Promise((resolve) => server.stdout.once("data", resolve));
const browser = await chromium.launch({ executablePath: chromiumPath(), args: ["--no-sandbox"] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const shoot = async (name) => {
  await page.mouse.move(700, 4);
  await page.waitForTimeout(1200);
  await page.screenshot({ path: join(folder, `${name}.png`) });
};
const board = async (title) => {
  await page.goto(`http://127.0.0.1:${PORT}/`);
  await page.getByRole("link", { name: title }).last().click();
  await page.getByRole("application", { name: "Desk" }).waitFor();
  await page.waitForTimeout(800);
};

try {
  await page.goto(`http://127.0.0.1:${PORT}/`);
  await page.getByRole("link", { name: "Quay street, the corner" }).last().waitFor();
  // The first start has them drawn as they come into sight.
  await page.waitForFunction(
    () => [...document.querySelectorAll("article img")].every((img) => img.complete && img.naturalWidth > 0),
    null,
    { timeout: 60_000 },
  );
  await shoot("shelf");

  await board("Quay street, the corner");
  await page.keyboard.press("3");
  await shoot("points");
  await page.keyboard.press("4");
  for (const set of ["Main streets, left", "Main streets, right", "Uprights"])
    await page.getByRole("region", { name: set }).getByRole("slider").press("Home");
  await page.getByRole("region", { name: "Grid tools" }).getByRole("button", { name: "Street", exact: true }).click();
  await shoot("grid");
  for (let i = 0; i < 4; i++) await page.keyboard.press("Control+z");
  await page.keyboard.press("c");
  await page.getByLabel("Show hidden lines faintly").check();
  await page.mouse.click(560, 380);
  await shoot("masses");

  await page.keyboard.press("3");
  await page.getByRole("link", { name: "Set-up sheet" }).click();
  await page.getByRole("heading", { name: "Quay street" }).waitFor();
  await shoot("set-up-sheet");

  await board("Quay street, the corner");
  await page.keyboard.press("1");
  await page.getByRole("button", { name: "Split in two ↔" }).click();
  await page.getByRole("button", { name: "Split in two ↕" }).click();
  for (const [panel, situation] of [
    ["Shot 2", "down"],
    ["Shot 3", "up"],
  ]) {
    await page.getByRole("button", { name: `Work on the panel ${panel}` }).click();
    await page.keyboard.press("3");
    const fold = page.getByLabel("Situation", { exact: true });
    if (!(await fold.isVisible())) await page.getByText("Start from a situation").click();
    await fold.selectOption(situation);
    await page.getByRole("button", { name: "Set it up" }).click();
  }
  await page.keyboard.press("1");
  await page.getByText("Page for print").click();
  await page.getByLabel("Page number").check();
  await page.getByLabel("Trimmed, with crop marks").check();
  await shoot("page");

  await board("The quarter from the harbour crane");
  await page.keyboard.press("3");
  await page.getByRole("radio", { name: "Converging" }).click();
  await page.getByRole("radio", { name: "Other pins" }).click();
  await page.keyboard.press("d");
  const third = await page.getByRole("button", { name: /^third vanishing point/ }).boundingBox();
  await page.mouse.move(third.x + 12, third.y + 12);
  await page.mouse.down();
  await page.mouse.move(third.x + 62, third.y - 20, { steps: 5 });
  await page.waitForTimeout(500);
  await page.screenshot({ path: join(folder, "three-points.png") });
  await page.keyboard.press("Escape");
  await page.mouse.up();
  await page.keyboard.press("Control+z");
  await page.keyboard.press("Escape");

  await board("Customs Square");
  // What is seen of round things comes in parts.
  await page.waitForTimeout(9000);
  await page.keyboard.press("5");
  await page.getByText("How it is made").click();
  await page.getByLabel("Construction", { exact: true }).selectOption("half-plan");
  await page.getByLabel("Of", { exact: true }).selectOption("rotunda");
  for (let i = 0; i < 3; i++) await page.getByRole("button", { name: "Step forward" }).click();
  await shoot("construction");
  await page.getByRole("button", { name: "Close the construction" }).click();

  await board("Chandlers' Row");
  await page.getByRole("button", { name: "2 The chandlery from its steps" }).click();
  await page.keyboard.press("7");
  await page.waitForTimeout(2000);
  await page.mouse.click(470, 250);
  await page.getByRole("figure", { name: "The wall, flat" }).waitFor();
  await shoot("fittings");
  await page.getByRole("button", { name: "3 In the chandlery" }).click();
  await page.getByText("Put where you press").click();
  await page.waitForTimeout(1500);
  await shoot("room");

  await page.getByRole("button", { name: "1 Down the row" }).click();
  await page.keyboard.press("9");
  await page.getByRole("button", { name: "A sun" }).click();
  await page.getByRole("slider", { name: "Tone of planes" }).focus();
  await page.keyboard.press("End");
  await page.getByLabel("Hatched").check();
  await page.waitForTimeout(6000);
  await shoot("light");
  await page.getByText("Areas to fill").click();
  for (const name of ["Faces and ground", "Sky"]) {
    await page.getByRole("slider", { name }).focus();
    await page.keyboard.press("End");
  }
  await page.getByRole("slider", { name: "Tone of planes" }).focus();
  await page.keyboard.press("Home");
  await page.keyboard.press("0");
  await page.getByLabel("Show it as it will be inked").click();
  await page.getByText("Weight by depth").click();
  await page.getByLabel("Thinner and fainter by a curve").click();
  await page.waitForTimeout(4000);
  await shoot("inked");
  await page.getByLabel("Show it as it will be inked").click();

  await board("Capstan Street");
  await page.keyboard.press("8");
  await page.getByLabel("A ruler on the ground, and lines of heads").click();
  // A street with all that stands in it comes in parts.
  await page.waitForTimeout(14_000);
  await shoot("street");
  await page.getByLabel("A ruler on the ground, and lines of heads").click();
  await page.getByRole("button", { name: "3 Boats at the quay" }).click();
  await page.getByText("Boats", { exact: true }).click();
  await page.waitForTimeout(3000);
  await shoot("quay");

  await board("Quay street, the corner");
  await page.keyboard.press("3");
  await page.keyboard.press("l");
  await page.getByRole("link", { name: "The corner" }).click();
  await page.getByRole("application", { name: "Photo" }).waitFor();
  await page.waitForTimeout(1500);
  await page.getByRole("button", { name: "Find the edges in the photo" }).click();
  await page.getByText(/edges found/).waitFor({ timeout: 60_000 });
  await shoot("reference");

  await board("Kestrel Quay, the whole quarter");
  await page.waitForTimeout(8000);
  await page.keyboard.press("9");
  await page.getByRole("button", { name: "A sun" }).click();
  for (const [label, value] of [
    ["Stands at the heading", "200"],
    ["Over the horizon", "35"],
  ]) {
    await page.getByLabel(label).fill(value);
    await page.getByLabel(label).press("Enter");
  }
  await page.waitForTimeout(8000);
  await page.getByRole("link", { name: "Plan", exact: true }).click();
  await page.getByRole("application", { name: "Plan" }).waitFor();
  await page.getByLabel("Shot in the picture").selectOption({ label: "Up Signal hill" });
  await page.getByRole("searchbox", { name: "Find a thing" }).fill("signal hill");
  await page.getByRole("button", { name: "Signal hill", exact: true }).click();
  // The picture of the whole quarter is worked out anew from there.
  await page.waitForTimeout(6000);
  await shoot("plan");
  await board("The quarter from a kite balloon");
  await page.keyboard.press("3");
  await page.getByText("Lens and curved systems").click();
  await shoot("six-points");

  await board("Under the coal gantry");
  await page.keyboard.press("0");
  await page.getByRole("button", { name: "Lamp (dark mode)" }).click();
  await shoot("hand-over-lamp");
  await page.getByRole("button", { name: "Lamp (dark mode)" }).click();

  await page.goto(`http://127.0.0.1:${PORT}/`);
  await page.getByRole("button", { name: "Start a new scene" }).click();
  await page.getByRole("button", { name: "Corridor" }).click();
  await page.getByRole("button", { name: "Street corner" }).click();
  await page.getByRole("button", { name: "Points", exact: true }).click();
  await page.getByText("From life", { exact: true }).click();
  await page.getByRole("button", { name: "Note what I see" }).click();
  await page.getByRole("region", { name: "Sightings, left" }).getByRole("button", { name: "Sight the lower" }).click();
  await page.getByLabel("Lower, tilt").first().fill("14");
  await page.getByLabel("Lower, tilt").first().press("Enter");
  await shoot("from-life");
} finally {
  await browser.close();
  server.kill("SIGTERM");
}
