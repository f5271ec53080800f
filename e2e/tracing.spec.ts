import { readFileSync } from "node:fs";
import { expect, test, type Page } from "@playwright/test";
import AxeBuilder from "@axe-core/playwright";
import sharp from "sharp";
import { bench, fill, openReference, photo, set, trace } from "./bench";
import { saved, stopAtOnce, type } from "./table";

const demo = (name: string) => readFileSync(new URL(`../demo/photos/${name}`, import.meta.url));
const truth = (name: string) =>
  JSON.parse(demo(`${name}.json`).toString()) as {
    readonly lens: number;
    readonly pitch: number;
    readonly bow?: number;
  };
const view = (page: Page) => page.getByRole("region", { name: "View" });
const lens = async (page: Page) =>
  Number.parseFloat((await view(page).locator('dt:text-is("Lens") + dd').textContent())!);
const fold = (page: Page, name: string) => page.getByText(name, { exact: true }).click();

test("the edges of a photo are found, brushed over, and taken into the sets; they tell the camera", async ({
  page,
}) => {
  const id = await openReference(page, demo("up-the-tower.jpg"));
  await stopAtOnce(page);
  await page.getByRole("button", { name: "Find the edges in the photo" }).click();
  await page.getByRole("button", { name: "Find the edges in the photo" }).click();
  const found = page.getByRole("region", { name: "Edges of the photo" });
  await expect(found.getByText(/^\d+ edges found/)).toBeVisible({ timeout: 60_000 });
  const count = async (name: string) =>
    Number(/\d+/.exec((await found.getByRole("button", { name: `into ${name}` }).getAttribute("aria-label"))!)![0]);
  const [before, left] = [await count("Uprights"), await count("Left")];
  expect(before).toBeGreaterThan(50);
  // A brush across the middle lays edges aside, and takes them up again.
  const box = (await page.getByRole("img", { name: "Corner" }).boundingBox())!;
  const brush = async () => {
    await page.mouse.move(box.x + 0.2 * box.width, box.y + 0.5 * box.height);
    await page.mouse.down();
    await page.mouse.move(box.x + 0.7 * box.width, box.y + 0.5 * box.height, { steps: 20 });
    await page.mouse.up();
  };
  await found.getByRole("button", { name: "Brush out" }).click();
  await brush();
  expect(await count("Uprights")).toBeLessThan(before);
  await found.getByRole("button", { name: "Brush in" }).click();
  await brush();
  expect(await count("Uprights")).toBe(before);
  await found.getByRole("button", { name: "None" }).click();
  await expect(found.getByRole("button", { name: "Take 0 edges into Left" })).toBeDisabled();
  await found.getByRole("button", { name: "All", exact: true }).click();
  await found.getByRole("button", { name: `Take ${left} edges into Left` }).click();
  await expect(set(page, "Left").getByText(`${left} edges`)).toBeVisible();
  await found.getByRole("button", { name: "Take all into the sets" }).click();
  await expect(found.getByText("all that go together are in the sets")).toBeVisible();
  expect(Math.abs((await lens(page)) / truth("up-the-tower").lens - 1)).toBeLessThan(0.01);
  const { references } = await saved(page, id);
  expect(references![0].sets.map(({ edges }) => edges.length)).toEqual(expect.arrayContaining([left, before]));
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(set(page, "Uprights").getByText("0 edges")).toBeVisible();
});

test("a photo that lands on the shelf tells its view by itself, and one press draws in it", async ({ page }) => {
  await page.goto("/");
  const [chooser] = await Promise.all([
    page.waitForEvent("filechooser"),
    page.getByRole("button", { name: "From a photo" }).click(),
  ]);
  await chooser.setFiles({ name: "Corner.jpg", mimeType: "image/jpeg", buffer: demo("up-the-tower.jpg") });
  await expect(view(page).getByText("24 mm lens, looking up 22°, tilted 1.5°; fits well.")).toBeVisible({
    timeout: 60_000,
  });
  // Its bounds are of one kind, and never nothing.
  await expect(view(page).locator('dt:text-is("Lens") + dd')).toHaveText(/^24\.\d mm ± 0\.[1-9]$/);
  // Its grid lies over it, and what one needs where something is off waits.
  await expect(page.getByTestId("grid left")).toBeVisible();
  await expect(set(page, "Left")).toBeHidden();
  await page.getByRole("checkbox", { name: "Grid" }).uncheck();
  await expect(page.getByTestId("grid left")).toBeHidden();
  await page.getByRole("button", { name: "Draw in this view" }).click();
  await expect(page.getByRole("application", { name: "Desk" })).toBeVisible();
  const id = new URL(page.url()).pathname.split("/")[2];
  const { shots } = await saved(page, id);
  expect(shots).toHaveLength(2);
  expect(shots[1].gaze.pitch).toBeCloseTo(22, 0);
});

test("a view that does not explain its edges says so, and what would mend it", async ({ page }) => {
  const cut = { left: 700, top: 300, width: 1600, height: 1200 };
  const bytes = await sharp(demo("up-the-tower.jpg")).extract(cut).jpeg({ quality: 92 }).toBuffer();
  const id = await openReference(page, bytes);
  await page.getByRole("button", { name: "Find the edges in the photo" }).click();
  await page.getByRole("button", { name: "Take all into the sets" }).click({ timeout: 60_000 });
  const doubts = view(page).getByRole("status");
  await expect(doubts).toContainText("No view explains these edges: they miss this one by");
  await expect(set(page, "Left")).toBeVisible();
  await doubts.getByRole("button", { name: "The photo was cropped" }).click();
  await expect(view(page).getByText(/fits well\.$/)).toBeVisible();
  await expect(doubts).toBeHidden();
  expect((await saved(page, id)).references![0].cropped).toBe(true);
  // The lens is longer on the smaller picture, by its diagonal.
  const longer = Math.hypot(2400, 1600) / Math.hypot(cut.width, cut.height);
  expect((await lens(page)) / (truth("up-the-tower").lens * longer)).toBeCloseTo(1, 1);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(doubts).toBeVisible();
});

test("a line that is drawn settles on the photo's own edge, and not while Shift is held", async ({ page }) => {
  const { bytes, edges } = await photo();
  const id = await openReference(page, bytes);
  const [[from, to]] = edges.Left;
  const off: readonly [number, number][] = [
    [from[0], from[1] + 9],
    [to[0], to[1] + 9],
  ];
  await trace(page, off);
  await expect(set(page, "Left").getByText("1 edge")).toBeVisible();
  await page.keyboard.press("Escape");
  await page.keyboard.down("Shift");
  await trace(page, off);
  await page.keyboard.up("Shift");
  await expect(set(page, "Left").getByText("2 edges")).toBeVisible();
  const [settled, free] = (await saved(page, id)).references![0].sets[0].edges;
  const miss = (y: number, x: number) =>
    Math.abs(y - (from[1] + ((to[1] - from[1]) * (x - from[0])) / (to[0] - from[0])));
  expect(Math.max(miss(settled.y1, settled.x1), miss(settled.y2, settled.x2))).toBeLessThan(2.5);
  expect(miss(free.y1, free.x1)).toBeGreaterThan(7);
  expect(settled.hand).toBeLessThan(1);
  await page.getByRole("checkbox", { name: "Loupe" }).check();
  await page.mouse.move(500, 400);
  await expect(page.getByTestId("loupe")).toBeVisible();
});

test("walls have their true proportions and bays, are saved flat, and are raised in a shot of the view", async ({
  page,
}) => {
  const { bytes, edges } = await photo();
  const id = await openReference(page, bytes, (reference) => fill(reference, edges));
  // The left street runs at -55, the gaze at -3; both points lie beside the photo, the left one on the left.
  await expect(view(page).locator('dt:text-is("Left runs") + dd')).toHaveText(/^5[12](\.\d)?° left of the gaze$/);
  await fold(page, "Something is off?");
  await expect(
    page.getByRole("img", {
      name: /^Map of the points: Left [\d.]+ picture widths away, Right [\d.]+ picture widths away/,
    }),
  ).toBeVisible();
  await fold(page, "Walls");
  await page.getByRole("button", { name: "Draw walls" }).click();
  await trace(page, [edges.Left[0][0], edges.Left[2][1]]);
  const wall = page.getByRole("region", { name: "Wall 1" });
  // 12 m long, 6 m high.
  const ratio = async () => Number.parseFloat((await wall.getByText("times as long as high").textContent())!);
  await expect.poll(ratio).toBeGreaterThan(1.9);
  expect(await ratio()).toBeLessThan(2.1);
  await type(page, "Height", "6", wall);
  const length = async () => Number(await wall.getByLabel("Length", { exact: true }).inputValue());
  expect(Math.abs((await length()) - 12)).toBeLessThan(0.4);

  // A press chooses it, and one in its middle marks a bay; the two parts add up, and a press on the mark takes it away.
  const box = (await page.getByRole("img", { name: "Corner" }).boundingBox())!;
  const [near, far] = [edges.Left[0][0], edges.Left[2][1]];
  const middle = [
    box.x + ((near[0] + far[0]) / 2) * (box.width / 1600),
    box.y + ((near[1] + far[1]) / 2) * (box.height / 1200),
  ] as const;
  await page.mouse.click(...middle);
  await page.mouse.click(...middle);
  const bays = wall.getByLabel("Bays of Wall 1");
  const [a, b] = (await bays.textContent())!.match(/[\d.]+/g)!.map(Number);
  expect(Math.abs(a + b - (await length()))).toBeLessThan(0.02);
  // The nearer half of a wall that runs away is drawn longer than its part in metres.
  expect(b).toBeLessThan(a);
  await page.mouse.click(...middle);
  await expect(bays).toHaveCount(0);

  const [file] = await Promise.all([
    page.waitForEvent("download"),
    wall.getByRole("button", { name: "Save it flat, as PNG" }).click(),
  ]);
  const { data, info } = await sharp(await file.path())
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  // Twice as long as high over a scale bar of 64 px, whose foot is ink.
  expect(info.width / (info.height - 64)).toBeCloseTo(await ratio(), 1);
  expect(data[(info.height - 18) * info.width + 40]).toBeLessThan(80);
  expect(data[(info.height - 18) * info.width + info.width - 40]).toBeGreaterThan(200);

  await bench(page).press("Escape");
  await trace(page, [edges.Right[0][0], edges.Right[2][1]]);
  await type(page, "Height", "6", page.getByRole("region", { name: "Wall 2" }));
  const { violations } = await new AxeBuilder({ page })
    .withTags(["wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"])
    .analyze();
  expect(violations.map(({ id: rule, nodes }) => `${rule}: ${nodes.map((node) => node.html).join(" | ")}`)).toEqual([]);
  await page.getByRole("button", { name: "Draw in this view, with 2 walls raised" }).click();
  await expect(page.getByRole("application", { name: "Desk" })).toBeVisible();
  const { elements } = await saved(page, id);
  expect(elements).toHaveLength(1);
  for (const [key, metres] of [
    ["height", 6],
    ["length", 12],
    ["width", 12],
  ] as const)
    expect(Math.abs(elements[0][key] / metres - 1)).toBeLessThan(0.05);

  // The photo lies under the drawing on the board: its ground shows through where nothing is drawn.
  const grey = async () => {
    const desk = (await page.getByRole("application", { name: "Desk" }).boundingBox())!;
    const { data: px } = await sharp(
      await page.screenshot({
        clip: { x: desk.x + desk.width / 2 - 6, y: desk.y + desk.height * 0.72, width: 12, height: 6 },
      }),
    )
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    // The lightest blue there: a line alone would not darken all of it. Bare paper has 243.
    return Math.max(...px.filter((_, i) => i % 3 === 2));
  };
  await expect.poll(grey).toBeLessThan(232);
  // And in what is handed over, unless it is left out.
  await page.getByRole("button", { name: "Hand-over", exact: true }).click();
  const svg = async () => {
    const [out] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("button", { name: "Export SVG in true millimetres" }).click(),
    ]);
    return readFileSync(await out.path(), "utf8");
  };
  expect(await svg()).toMatch(/<image [^>]*href="data:image\/jpeg;base64,/);
  await page.getByText("On the paper").click();
  await page.getByRole("checkbox", { name: "The photo under it" }).uncheck();
  expect(await svg()).not.toContain("<image");
});

/** Places along the roof and the left corner of the fish hall, px of the photo, as a hand would follow them. */
const BOWED = [
  [
    [470, 303],
    [720, 312],
    [960, 326],
    [1200, 346],
    [1440, 368],
    [1700, 396],
    [1980, 434],
  ],
  [
    [452, 312],
    [430, 440],
    [400, 610],
    [372, 790],
    [352, 910],
    [330, 1060],
  ],
] as const;

test("a lens that bows is told by what is drawn along, and undone", async ({ page }) => {
  const id = await openReference(page, demo("tilted-and-bowed.jpg"));
  await fold(page, "A lens that bows");
  await page.getByRole("button", { name: "Draw along bowed edges" }).click();
  const box = (await page.getByRole("img", { name: "Corner" }).boundingBox())!;
  const at = ([x, y]: readonly [number, number]) =>
    [box.x + (x * box.width) / 2400, box.y + (y * box.height) / 1600] as const;
  const along = async (places: readonly (readonly [number, number])[]) => {
    await page.mouse.move(...at(places[0]));
    await page.mouse.down();
    for (const place of places.slice(1)) await page.mouse.move(...at(place), { steps: 6 });
    await page.mouse.up();
  };
  for (const [i, places] of BOWED.entries()) {
    await along(places);
    await expect(page.getByText(`Bowed edge ${i + 1}`)).toBeVisible();
  }
  const told = page.getByText(/^k1 -?[\d.]+ ±/);
  const k1 = Number.parseFloat((await told.textContent())!.slice(3));
  expect(Math.abs(k1 - truth("tilted-and-bowed").bow!)).toBeLessThan(0.03);
  // A line that is curved in the world spoils the fit of the others, and is named; left out, all is well again.
  await page.keyboard.down("Shift");
  await along(Array.from({ length: 9 }, (_, i) => [300 + 220 * i, 1420 - 70 * Math.sin((Math.PI * i) / 8)] as const));
  await page.keyboard.up("Shift");
  const spoiler = page.getByText("spoils the fit", { exact: true });
  await expect(spoiler).toHaveCount(1);
  await expect(page.getByText(/^Bowed edge 3/)).toContainText("spoils the fit");
  await page.getByRole("button", { name: "Delete bowed edge 3" }).click();
  await expect(spoiler).toHaveCount(0);
  await page.getByRole("button", { name: "Undistort the photo" }).click();
  await expect(page.getByRole("heading", { name: "Corner, undistorted" })).toBeVisible({ timeout: 20_000 });
  const [old, next] = (await saved(page, id)).references!;
  expect([next.width, next.bowed, next.picture === old.picture]).toEqual([2400, undefined, false]);
});

test("a known horizon and a known lens stand in for a second set", async ({ page }) => {
  const { bytes, edges } = await photo();
  const id = await openReference(page, bytes, (reference) => fill(reference, { ...edges, Right: [], Uprights: [] }));
  await expect(page.getByText("One set only")).toBeVisible();
  await page.getByRole("checkbox", { name: "The lens is known" }).check();
  // 380 mm of 500 mm across the corners, on full frame.
  await type(page, "Lens, 35 mm equivalent", "32.88");
  await page.getByRole("checkbox", { name: "The horizon is known" }).check();
  // Pitched up 8 degrees and rolled by 3, its horizon lies 4 f tan 8 = 213.6 px below the middle (600 px), turned by
  // 3 degrees.
  const slope = Math.tan((3 * Math.PI) / 180);
  const y = 600 + (1520 * Math.tan((8 * Math.PI) / 180)) / Math.cos((3 * Math.PI) / 180);
  await trace(page, [
    [200, y + 600 * slope],
    [1500, y - 700 * slope],
  ]);
  await expect(view(page).locator('dt:text-is("Pitch (look up)") + dd')).toHaveText(/^(7\.[89]|8(\.[012])?)° ± /);
  await expect(view(page).locator('dt:text-is("Roll") + dd')).toHaveText(/^(2\.[89]|3(\.[012])?)° ± /);
  expect((await saved(page, id)).references![0]).toMatchObject({ lens35: 32.88, horizon: {} });
  await page.getByRole("checkbox", { name: "The horizon is known" }).uncheck();
  await expect(page.getByText("One set only")).toBeVisible();
});

test("a drawing is checked: what leans is named, in mm of its paper, with the line as it should be", async ({
  page,
}) => {
  const { bytes, edges } = await photo();
  await openReference(page, bytes, (reference) => {
    fill(reference, {
      ...edges,
      Uprights: [
        [
          [400, 900],
          [400, 500],
        ],
        [
          [800, 900],
          [816, 500],
        ],
      ],
    });
    reference.level = true;
  });
  await fold(page, "Check a drawing");
  await page.getByRole("checkbox", { name: "This is a drawing of mine" }).check();
  await type(page, "The scan is wide", "400");
  const findings = page.getByRole("list", { name: "Findings" });
  // 16 px of 4 a mm over 400: 4 mm, 2.29 degrees.
  await expect(
    findings.getByRole("button", { name: "edge 2 of Uprights leans 2.29° to the right: its top is 4 mm out." }),
  ).toBeVisible();
  await expect(findings.getByText("edge 1 of Uprights")).toHaveCount(0);
  await findings.getByRole("button", { name: "edge 2 of Uprights" }).hover();
  const d = (await page.getByTestId("corrected line").getAttribute("d"))!;
  const [x1, , x2] = d.match(/[\d.]+/g)!.map(Number);
  expect(Math.abs(x1 - x2)).toBeLessThan(0.01);
});
