import type { Drawing } from "@zanvo/core/drawing";
import sharp from "sharp";
import { toPng, type PngOptions } from ".";

const style = { stroke: "#c03020", width: 3, dash: [], opacity: 0.9 };
const drawing: Drawing = {
  title: "Ink",
  width: 100,
  height: 50,
  layers: [{ id: "a", label: "A line", style, lines: Float64Array.from([10, 10, 90, 40]) }],
  panel: { x: 20, y: 5, width: 60, height: 40 },
};
const made = async (options: Partial<PngOptions>) => {
  const bytes = await toPng(drawing, { dpi: 100, ...options });
  const { data, info } = await sharp(bytes)
    .ensureAlpha()
    .toColourspace("srgb")
    .raw()
    .toBuffer({ resolveWithObject: true });
  const dots = new Set<string>();
  for (let i = 0; i < data.length; i += info.channels)
    dots.add(data[i + 3] === 0 ? "clear" : [...data.subarray(i, i + 4)].join(" "));
  return { bytes, dots, size: [info.width, info.height], meta: await sharp(bytes).metadata() };
};

describe("the ink of a picture", () => {
  it("is black and white alone, in a bit for each dot", async () => {
    const { dots, bytes, size } = await made({ ink: "black" });
    expect([...dots].sort()).toEqual(["0 0 0 255", "255 255 255 255"]);
    expect(size).toEqual([394, 197]);
    // The depth of a PNG stands at byte 24 of its file (PNG 1.2, 11.2.2).
    expect(bytes[24]).toBe(1);
  });

  it("is black and clear where there is no paper", async () => {
    const { dots } = await made({ ink: "black", transparent: true });
    expect([...dots].sort()).toEqual(["0 0 0 255", "clear"]);
  });

  it("is grey: the colours of each dot are alike", async () => {
    const { dots } = await made({ ink: "grey" });
    for (const dot of dots) expect(new Set(dot.split(" ").slice(0, 3)).size).toBe(1);
    expect(dots.size).toBeGreaterThan(10);
    const { dots: colours } = await made({});
    expect([...colours].some((dot) => new Set(dot.split(" ").slice(0, 3)).size > 1)).toBe(true);
  });
});

describe("a picture of just so many dots", () => {
  it.each([
    [800, 400, false],
    [640, 480, true],
    [301, 299, false],
  ])("is %i by %i", async (width, height, toPanel) => {
    const { size, dots } = await made({ size: { width, height }, toPanel });
    expect(size).toEqual([width, height]);
    expect(dots.size).toBeGreaterThan(1);
  });

  it("has the drawing in its middle, whole, and nothing around it", async () => {
    const bytes = await toPng(drawing, { dpi: 100, size: { width: 400, height: 400 }, transparent: true });
    const { data, info } = await sharp(bytes).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
    const rows = Array.from({ length: 400 }, (_, y) => y).filter((y) =>
      data
        .subarray(y * 400 * info.channels, (y + 1) * 400 * info.channels)
        .some((value, i) => i % 4 === 3 && value > 100),
    );
    // 100 x 50 mm at 4 px to the mm: from 100 to 300 px, the line from 10 to 40 mm of it, 3 mm wide.
    expect(rows[0]).toBeGreaterThanOrEqual(100 + 4 * 8);
    expect(rows.at(-1)!).toBeLessThanOrEqual(100 + 4 * 42);
    expect(rows.length).toBeGreaterThan(110);
  });

  it("says what is wrong with a size", async () => {
    for (const size of [
      { width: 5, height: 100 },
      { width: 100.5, height: 100 },
      { width: 1e6, height: 100 },
    ])
      await expect(toPng(drawing, { dpi: 100, size })).rejects.toThrow("must be two whole numbers");
    // A picture that would be too large altogether is refused by its resolution.
    await expect(toPng(drawing, { dpi: 100, size: { width: 32_000, height: 16_000 } })).rejects.toThrow(
      "this sheet takes",
    );
  });
});
