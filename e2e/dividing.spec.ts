import { expect, test } from "@playwright/test";
import { openReference, photo, trace } from "./bench";
import { dragOnSheet, saved, type } from "./table";

test("four corners of a photo are divided and repeated, dragged, undone and kept", async ({ page }) => {
  const { bytes } = await photo();
  const id = await openReference(page, bytes);
  const kept = async () => (await saved(page, id)).references![0].quads ?? [];
  const press = (x: number, y: number) =>
    trace(page, [
      [x, y],
      [x, y],
    ]);
  await page.getByText("Divide", { exact: true }).click();
  await page.getByRole("button", { name: "Press four corners" }).click();
  await press(300, 400);
  await press(900, 900);
  await press(900, 400);
  await press(300, 800);
  await expect(page.getByText("The corners cross: press them in their order around.").first()).toBeVisible();
  // The last one that was pressed is taken back; the others stay.
  await page.keyboard.press("Backspace");
  await page.keyboard.press("Backspace");
  await press(900, 400);
  await press(900, 900);
  await press(300, 800);
  const one = page.getByRole("region", { name: "Division 1" });
  await expect(one).toBeVisible();
  expect(await kept()).toMatchObject([{ columns: "2" }]);

  await type(page, "Columns: a number, or a rhythm", "2 1 x2", one);
  await type(page, "Rows: a number, a rhythm, or none", "4", one);
  await type(page, "Repeats after", "1", one);
  // Its sides, and the lines between: 9 columns of two spans, 5 rows, the outline; each a run of the path.
  const runs = () =>
    page
      .getByTestId("division")
      .locator("path")
      .nth(1)
      .evaluate((path) => path.getAttribute("d")!.match(/M/g)!.length);
  expect(await runs()).toBe(1 + 9 + 5);

  await trace(page, [
    [900, 400],
    [880, 460],
  ]);
  const [moved] = await kept();
  expect(moved.corners[1].map(Math.round)).toEqual([880, 460]);
  // The circle in it is told as an ellipse; where there is none, that is said.
  await one.getByText("Its ellipse", { exact: true }).click();
  await expect(
    one.getByLabel("Its ellipse").getByText(/px, (level|leaning by \d+\.\d°, its right end (lower|higher))$/),
  ).toBeVisible();
  // A corner inside the other three is kept, and why it cannot be divided is said.
  await trace(page, [
    [880, 460],
    [500, 780],
  ]);
  await expect(one.getByText("Corner 2 lies inside the other three.")).toBeVisible();
  await expect(one.getByText("Of this no ellipse is seen")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(one.getByRole("alert")).toHaveCount(0);
  await page.reload();
  await expect(page.getByTestId("division")).toBeVisible();
  await page.getByText("Divide", { exact: true }).click();
  await page.getByRole("button", { name: "Delete Division 1" }).click();
  await expect(page.getByTestId("division")).toHaveCount(0);
  expect(await kept()).toEqual([]);
});

test("the bays of a wall that is traced in a photo are taken for the parts of a line", async ({ page }) => {
  const { bytes, edges } = await photo();
  const id = await openReference(page, bytes, (reference) => {
    const sets = [edges.Left, edges.Right, edges.Uprights];
    sets.forEach((lines, i) => {
      reference.sets[i].edges = lines.map(([[x1, y1], [x2, y2]]) => ({ x1, y1, x2, y2 }));
    });
    // The left wall of the fish hall, 12 m by 6: from its far foot to the near corner's top.
    const [foot] = [edges.Left[0][1]];
    const [, top] = edges.Uprights[0];
    const [x1, y1, x2, y2] = [...foot, ...top];
    reference.walls = [{ id: "w", name: "Front", along: "left", x1, y1, x2, y2, marks: [0.25, 0.5] }];
  });
  await page.goto(`/scenes/${id}`);
  await page.getByRole("navigation", { name: "Stages" }).getByRole("button", { name: "Draw" }).click();
  await page
    .getByRole("toolbar", { name: "Drawing tools" })
    .getByRole("button", { name: "Steps along a line" })
    .click();
  await dragOnSheet(page, [120, 250], [300, 183]);
  await page.getByRole("region", { name: "Chosen lines" }).getByLabel("Bays of").selectOption("Front");
  // A quarter, a quarter and a half of it: one to one to two, within what the tracing tells.
  const [line] = (await saved(page, id)).shots[0].lines!;
  const { parts } = line as Extract<typeof line, { kind: "spacing" }>;
  const [a, b, c] = parts.split(" ").map(Number);
  expect(a / b).toBeCloseTo(1, 1);
  expect(c / a).toBeCloseTo(2, 1);
});
