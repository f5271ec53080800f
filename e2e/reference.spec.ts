import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import sharp from "sharp";
import AxeBuilder from "@axe-core/playwright";
import { bench, bringIn, onBench, photo, references, set, trace, traceSet, TRUTH } from "./bench";
import { dragHandle, dragOnSheet, openNew, onSheet, saved, type } from "./table";

test("a photo is taken in, its edges traced, its view found and drawn into", async ({ page }) => {
  const { id, edges } = await onBench(page);
  await expect(page.getByText("Trace two edges at least of each of two sets")).toBeVisible();
  for (const [name, lines] of Object.entries(edges)) {
    await traceSet(page, name, lines);
    await expect(set(page, name).getByText(`${lines.length} edges`)).toBeVisible();
    await expect(set(page, name).getByText(/sure to [\d.,]+ mm along, [\d.,]+ mm across on the sheet/)).toBeVisible();
  }
  // 380 mm of 500 mm across the corners: 380 / 500 * 43.27 = 32.9 mm on full frame.
  const view = page.getByRole("region", { name: "View" });
  const lens = Number.parseFloat((await view.getByText(/^[\d.]+ mm ± [\d.]+$/).textContent())!);
  expect(Math.abs(lens - 32.9)).toBeLessThan(1.5);
  await expect(page.getByTestId("horizon")).toBeVisible();

  // A stray is named, left out with one press, taken again and deleted.
  await set(page, "Left").getByRole("button").first().click();
  await trace(page, [
    [300, 200],
    [500, 700],
  ]);
  await expect(set(page, "Left").getByText("probably not parallel to the others")).toBeVisible();
  await page.getByRole("button", { name: "Leave edge 5 of Left out" }).click();
  await expect(set(page, "Left").getByText("probably not parallel to the others")).toHaveCount(0);
  await page.getByRole("button", { name: "Delete edge 5 of Left" }).click();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(set(page, "Left").getByText("left out")).toBeVisible();
  await page.reload();
  await page.getByText("Something is off?").click();
  await expect(set(page, "Left").getByText("4 edges")).toBeVisible();

  // One known height, that of the fish hall's near corner, gives that of the net loft, 9 m, and of the eye, 1.6 m.
  await page.getByRole("button", { name: "Measure heights" }).click();
  for (const line of edges.Uprights.slice(0, 2)) await trace(page, line);
  await type(page, "Height 1", "6");
  const heights = page.getByRole("region", { name: "Heights" });
  expect(Math.abs(Number(await heights.getByLabel("Height 2", { exact: true }).inputValue()) - 9)).toBeLessThan(0.3);
  const eye = Number.parseFloat((await heights.getByText(/^Eye [\d.]+ m over the ground$/).textContent())!.slice(4));
  expect(Math.abs(eye - 1.6)).toBeLessThan(0.08);
  await type(page, "Height 2", "12");
  await expect(heights.getByText(/% off each other/)).toBeVisible();
  await heights.getByRole("button", { name: "Measure height 2 again" }).click();
  await expect(heights.getByText(/% off each other/)).toHaveCount(0);
  expect((await saved(page, id)).references![0].heights).toMatchObject([{ metres: 6 }, {}]);

  await page.getByRole("button", { name: "Draw in this view" }).click();
  await expect(page.getByRole("application", { name: "Desk" })).toBeVisible();
  const { shots } = await saved(page, id);
  const shot = shots[1];
  expect(shot.eye.z).toBeCloseTo(eye, 1);
  expect(shot.gaze.pitch).toBeCloseTo(TRUTH.gaze.pitch, 0);
  expect(shot.gaze.roll).toBeCloseTo(TRUTH.gaze.roll, 0);
  expect(shot.gaze.heading).toBeCloseTo(TRUTH.gaze.heading, 0);
  expect(shot.under?.at.width).toBeCloseTo(356, 6);
  // It is held to the photo: no pin and no field moves its view, until it is released; one press brings it back.
  await page.getByRole("button", { name: "Points", exact: true }).click();
  await expect(page.getByText("The view is held to Corner: its points and its lens do not move.")).toBeVisible();
  await expect(page.getByLabel("From the centre").first()).toBeDisabled();
  await expect(page.getByRole("button", { name: /^horizon, left end/ })).toHaveCount(0);
  await page.getByRole("button", { name: "Release the view" }).click();
  await type(page, "From the centre", "123", page.getByRole("region", { name: "left point" }));
  expect((await saved(page, id)).shots[1].gaze).not.toEqual(shot.gaze);
  await page.getByRole("button", { name: "Return to the view of Corner" }).click();
  await expect(page.getByLabel("From the centre").first()).toBeDisabled();
  const { gaze } = (await saved(page, id)).shots[1];
  for (const angle of ["heading", "pitch", "roll"] as const) expect(gaze[angle]).toBeCloseTo(shot.gaze[angle], 6);
  await page.getByRole("button", { name: "Masses" }).click();
  // A building raised along the picture's own near corner comes out as the one that was pictured.
  const k = shot.under!.at.width / 1600;
  const paper = ([x, y]: readonly [number, number]): [number, number] => [
    shot.under!.at.x + k * x,
    shot.under!.at.y + k * y,
  ];
  const [foot, top] = edges.Uprights[0];
  await page.mouse.move(...(await onSheet(page, ...paper(foot))));
  await page.mouse.down();
  await page.mouse.move(...(await onSheet(page, ...paper(top))), { steps: 4 });
  await page.mouse.up();
  for (const metres of ["12", "12"]) {
    await page.keyboard.type(metres);
    await page.keyboard.press("Enter");
  }
  const [raised] = (await saved(page, id)).elements;
  expect(Math.abs(raised.height - 6)).toBeLessThan(0.5);
  expect(Math.abs(raised.origin.y - 14)).toBeLessThan(1.5);

  await page.getByRole("button", { name: "Points", exact: true }).click();
  await references(page);
  await page.getByRole("slider", { name: "Photo under the drawing" }).press("Home");
  expect((await saved(page, id)).shots[1].under?.strength).toBe(0);
  await page.getByRole("button", { name: "Take Corner away" }).click();
  expect((await saved(page, id)).references).toEqual([]);
  await page.getByRole("button", { name: "Put it back" }).click();
  const back = await saved(page, id);
  expect([back.references?.length, back.shots[1].under?.reference]).toEqual([1, back.references?.[0].id]);
});

test("an edge's ends are dragged and nudged; what is taken for granted changes the view", async ({ page }) => {
  const { id, edges } = await onBench(page);
  for (const name of ["Left", "Right"] as const) {
    await traceSet(page, name, edges[name]);
  }
  const [reference] = (await saved(page, id)).references!;
  const last = reference.sets[1].edges[3];
  await trace(page, [
    [last.x2, last.y2],
    [last.x2 + 40, last.y2 + 60],
  ]);
  const moved = (await saved(page, id)).references![0].sets[1].edges;
  expect(moved).toHaveLength(4);
  expect(moved[3]).toMatchObject({
    x1: last.x1,
    y1: last.y1,
    x2: expect.closeTo(last.x2 + 40, 0),
    y2: expect.closeTo(last.y2 + 60, 0),
  });
  await page.keyboard.press("Shift+ArrowLeft");
  expect((await saved(page, id)).references![0].sets[1].edges[3].x1).toBeCloseTo(last.x1 - 10, 6);
  await page.keyboard.press("Delete");
  expect((await saved(page, id)).references![0].sets[1].edges).toHaveLength(3);
  await page.getByRole("checkbox", { name: "The camera was level" }).check();
  await expect(page.getByRole("region", { name: "View" }).getByText("0°").first()).toBeVisible();
  await page.getByRole("checkbox", { name: "Left and right are not square" }).check();
  await expect(page.getByText(/No two families at right angles are known/)).toBeVisible();
  await page.getByLabel("Right runs").selectOption("upright");
  const { violations } = await new AxeBuilder({ page })
    .withTags(["wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"])
    .analyze();
  expect(violations.map(({ id: rule, nodes }) => `${rule}: ${nodes.map((node) => node.html).join(" | ")}`)).toEqual([]);
});

test("a tilted photo is straightened into a reference of its own, with what was traced in it", async ({ page }) => {
  const { id, edges } = await onBench(page);
  for (const [name, lines] of Object.entries(edges)) {
    await traceSet(page, name, lines);
  }
  await page.getByRole("button", { name: "Straighten the photo" }).click();
  await expect(page.getByRole("heading", { name: "Corner, straight" })).toBeVisible();
  const view = page.getByRole("region", { name: "View" });
  for (const angle of ["Pitch (look up)", "Roll"])
    await expect(view.locator(`dt:text-is("${angle}") + dd`)).toHaveText(/^-?0(\.[01])?° ± 0\.\d°$/);
  const [old, straight] = (await saved(page, id)).references!;
  expect(straight.picture).not.toBe(old.picture);
  expect(straight.width / straight.height).toBeCloseTo(4 / 3, 2);
  for (const { x1, x2, y1, y2 } of straight.sets[2].edges)
    expect(Math.abs(x1 - x2) / Math.abs(y1 - y2)).toBeLessThan(0.02);
  // The picture itself has the upright where it is traced: darker there than beside it.
  const file = await page.request.get(`/api/scenes/${id}/references/${straight.picture}`);
  const { data, info } = await sharp(await file.body())
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const edge = straight.sets[2].edges[0];
  const grey = (x: number, y: number) => data[Math.round(y - 0.5) * info.width + Math.round(x - 0.5)];
  const shares = [0.3, 0.5, 0.7].map(
    (t) => [edge.x1 + t * (edge.x2 - edge.x1), edge.y1 + t * (edge.y2 - edge.y1)] as const,
  );
  const on = shares.map(([x, y]) => Math.min(...[-2, -1, 0, 1, 2].map((dx) => grey(x + dx, y))));
  const beside = shares.map(([x, y]) => grey(x + 9, y));
  on.forEach((dark, i) => expect(dark).toBeLessThan(beside[i] - 30));
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("There is no such reference in this scene.")).toBeVisible();
});

test("what is no photo is refused with a sentence; one that is not on this machine is asked for", async ({ page }) => {
  const { bytes } = await photo();
  const id = await openNew(page, (scene) => {
    scene.references = [
      {
        id: "r",
        name: "Corner",
        picture: "0".repeat(64),
        width: 1600,
        height: 1200,
        sets: [{ id: "left", name: "Left", role: "left", edges: [] }],
      },
    ];
  });
  await references(page);
  await bringIn(page, Buffer.from("not a picture at all"));
  await expect(
    page.getByText("picture: is no picture that can be read: JPEG, PNG and WebP are.").first(),
  ).toBeVisible();
  await expect(page.getByRole("button", { name: "Import a photo" })).toBeEnabled();
  await page.getByRole("link", { name: "Corner" }).click();
  await expect(page.getByText("The picture itself is not on this machine")).toBeVisible();
  const again = async (buffer: Buffer) => {
    const [chooser] = await Promise.all([
      page.waitForEvent("filechooser"),
      page.getByRole("button", { name: "Bring it in again" }).click(),
    ]);
    await chooser.setFiles({ name: "Corner.jpg", mimeType: "image/jpeg", buffer });
  };
  await again(await sharp(bytes).resize(800).jpeg().toBuffer());
  await expect(
    page.getByText("This picture has 800 × 600 px; the one that was traced has 1600 × 1200.").first(),
  ).toBeVisible();
  await again(bytes);
  await expect(page.getByText("The picture itself is not on this machine")).toHaveCount(0);
  expect((await saved(page, id)).references![0].picture).not.toBe("0".repeat(64));
});

test("a photo is dropped on the desk, or pasted", async ({ page }) => {
  const { bytes } = await photo();
  const id = await openNew(page);
  const held = () =>
    page.evaluateHandle((base64) => {
      const transfer = new DataTransfer();
      transfer.items.add(
        new File([Uint8Array.from(atob(base64), (c) => c.charCodeAt(0))], "Corner.jpg", { type: "image/jpeg" }),
      );
      return transfer;
    }, bytes.toString("base64"));
  await page.getByRole("application", { name: "Desk" }).dispatchEvent("drop", { dataTransfer: await held() });
  await expect(bench(page)).toBeVisible();
  await page.getByRole("link", { name: "Board" }).click();
  await expect(page.getByRole("application", { name: "Desk" })).toBeVisible();
  await page.evaluate(
    (clipboardData) => window.dispatchEvent(new ClipboardEvent("paste", { clipboardData })),
    await held(),
  );
  await expect(bench(page)).toBeVisible();
  expect((await saved(page, id)).references).toHaveLength(2);
});

test("a scene is saved with its photos in one file, and stands on the shelf with them again", async ({ page }) => {
  const { id, edges } = await onBench(page);
  await traceSet(page, "Left", edges.Left);
  await page.getByRole("link", { name: "Board" }).click();
  await page.getByLabel("Title of the scene").fill("Carried quay");
  await page.getByLabel("Title of the scene").press("Enter");
  const before = await saved(page, id);
  await page.getByRole("button", { name: "Hand-over" }).click();
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Save the scene with its photos" }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/\.zanvo\.zip$/);
  const [plain] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Save it without them" }).click(),
  ]);
  expect(JSON.parse(readFileSync(await plain.path(), "utf8"))).toEqual(before);

  // ZIP by its own listing (PKWARE's APPNOTE): the scene, and the picture by its name.
  const zip = readFileSync(await file.path());
  expect(zip.includes("scene.zanvo.json") && zip.includes(`pictures/${before.references![0].picture}.webp`)).toBe(true);

  await page.goto("/");
  const [chooser] = await Promise.all([
    page.waitForEvent("filechooser"),
    page.getByRole("button", { name: "Import a file" }).click(),
  ]);
  await chooser.setFiles({ name: "quay.zanvo.zip", mimeType: "application/zip", buffer: zip });
  await expect(page.getByText("“Carried quay” is on the shelf.").first()).toBeVisible();
  const cards = (await (await page.request.get("/api/scenes")).json()) as { id: string; title: string }[];
  const card = cards.find((one) => one.title === "Carried quay" && one.id !== id)!;
  expect(await (await page.request.get(`/api/scenes/${card.id}`)).json()).toEqual(before);
  const picture = await page.request.get(`/api/scenes/${card.id}/references/${before.references![0].picture}`);
  expect(picture.status()).toBe(200);

  const [again] = await Promise.all([
    page.waitForEvent("filechooser"),
    page.getByRole("button", { name: "Import a file" }).click(),
  ]);
  await again.setFiles({ name: "other.zip", mimeType: "application/zip", buffer: Buffer.from("PK\u0005\u0006") });
  await expect(page.getByText(/other\.zip was not brought in/).first()).toBeVisible();
});

test("a photo begins a scene from the shelf, chosen or dropped, and what is none is answered for", async ({ page }) => {
  const { bytes } = await photo();
  await page.goto("/");
  const [chooser] = await Promise.all([
    page.waitForEvent("filechooser"),
    page.getByRole("button", { name: "From a photo" }).click(),
  ]);
  await chooser.setFiles({ name: "From the shelf.jpg", mimeType: "image/jpeg", buffer: bytes });
  await expect(bench(page)).toBeVisible();
  await expect(page.getByRole("heading", { name: /From the shelf/ })).toBeVisible();
  await page.getByRole("link", { name: "Board" }).click();
  await references(page);
  await expect(page.getByRole("link", { name: "From the shelf" })).toBeVisible();

  await page.goto("/");
  await expect(page.getByRole("button", { name: "From a photo" })).toBeVisible();
  const drop = (name: string, type: string, text: string) =>
    page.evaluate(
      ([fileName, fileType, content]) => {
        const data = new DataTransfer();
        data.items.add(new File([content], fileName, { type: fileType }));
        document.querySelector("main")!.dispatchEvent(new DragEvent("drop", { dataTransfer: data, bubbles: true }));
      },
      [name, type, text],
    );
  // A telephone's file without a type, by its own first bytes (ISO base media: ftyp heic).
  await drop("IMG.heic", "", "\0\0\0\u0018ftypheic\0\0\0\0mif1heic");
  await expect(page.getByText(/is HEIC, which browsers do not show/).first()).toBeVisible();
  await drop("notes.pdf", "application/pdf", "%PDF-1.7");
  await expect(page.getByText(/is no picture that can be read/).first()).toBeVisible();
  await expect(page.getByRole("link", { name: "IMG" })).toHaveCount(0);
});

test("a rough is laid under the drawing, moved, turned, and laid by two places; lines on it tell its points", async ({
  page,
}) => {
  const id = await openNew(page);
  await references(page);
  const { bytes } = await photo();
  await bringIn(page, bytes, "rough.jpg");
  await expect(bench(page)).toBeVisible();
  await saved(page, id);
  await page.goto(`/scenes/${id}`);
  await references(page);
  await page.getByRole("button", { name: /^Lay .* under the drawing$/ }).click();
  const under = async () => (await saved(page, id)).shots[0].under!;
  expect((await under()).at.height).toBeLessThanOrEqual(267 + 1e-9);
  await type(page, "Turned by", "15");
  await page.getByLabel("Under the whole sheet").check();
  expect(await under()).toMatchObject({ turn: 15, wholeSheet: true });
  expect(await (await page.request.get(`/api/scenes/${id}/exports/s1.svg`)).text()).toContain("rotate(15 ");
  const middle = page.getByRole("button", { name: /^Middle of the picture/ });
  await dragHandle(page, middle, 40, 0);
  const moved = await under();
  expect(moved.at.x + moved.at.width / 2).toBeGreaterThan(215);
  await page.keyboard.press("Control+z");
  // From 100 mm apart to 200 mm apart: twice as large, and level as before.
  await page.getByRole("button", { name: "Lay it by two places" }).click();
  const pressed: readonly [number, number][] = [
    [100, 150],
    [100, 150],
    [200, 150],
    [300, 150],
  ];
  for (const at of pressed) await page.mouse.click(...(await onSheet(page, ...at)));
  const laid = await under();
  expect(laid.at.width / moved.at.width).toBeCloseTo(2, 1);
  expect(laid.turn).toBeCloseTo(15, 1);

  // Two lines ruled over it, chosen together, meet in a point that the sketch takes.
  await page.getByRole("navigation", { name: "Stages" }).getByRole("button", { name: "Draw" }).click();
  await page.getByLabel("Aims at").selectOption("free");
  const drawn: readonly (readonly [[number, number], [number, number]])[] = [
    [
      [60, 60],
      [200, 100],
    ],
    [
      [60, 200],
      [200, 160],
    ],
  ];
  for (const [from, to] of drawn) {
    await page.keyboard.down("Alt");
    await dragOnSheet(page, from, to);
    await page.keyboard.up("Alt");
  }
  await page.getByRole("button", { name: "Choose", exact: true }).click();
  await page.mouse.click(...(await onSheet(page, 130, 80)));
  await page.keyboard.down("Shift");
  await page.mouse.click(...(await onSheet(page, 130, 180)));
  await page.keyboard.up("Shift");
  await expect(page.getByText(/^They meet 1?\d\d(\.\d)? mm in from the right, 130 mm from the top/)).toBeVisible();
  await page.getByRole("button", { name: "Right point" }).click();
  // By hand: both lines fall and rise 2 in 7 towards each other, from 140 mm apart; they meet 245 mm on, at x 305.
  const { sketch } = (await saved(page, id)).shots[0];
  expect(sketch?.right.x).toBeCloseTo(305, 0);
  expect(sketch?.right.y).toBeCloseTo(130, 0);
});
