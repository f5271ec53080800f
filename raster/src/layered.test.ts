import type { Drawing } from "@zanvo/core/drawing";
import { strFromU8, unzipSync } from "fflate";
import sharp from "sharp";
import { toOra, toPngSet } from ".";

const style = { stroke: "#203040", width: 1, dash: [], opacity: 1 };
const drawing: Drawing = {
  title: "Two layers",
  width: 100,
  height: 60,
  layers: [
    { id: "a", label: "Shadows & tone", style, lines: Float64Array.from([10, 10, 30, 10]) },
    { id: "empty", label: "Far away", style, lines: Float64Array.from([500, 500, 600, 600]) },
    { id: "b", label: "Outlines", style, lines: Float64Array.from([50, 20, 50, 50]) },
  ],
};

describe("OpenRaster", () => {
  it("has its type first and as it is, and a stack of named layers, the topmost first", async () => {
    const bytes = await toOra(drawing, { dpi: 100 });
    // A ZIP's first entry: 30 bytes of head, the name, then the content where it is only stored.
    expect(strFromU8(bytes.subarray(30, 38))).toBe("mimetype");
    expect(strFromU8(bytes.subarray(38, 54))).toBe("image/openraster");
    const files = unzipSync(bytes);
    const stack = strFromU8(files["stack.xml"]);
    expect([...stack.matchAll(/<layer name="([^"]*)"/g)].map(([, name]) => name)).toEqual([
      "Outlines",
      "Shadows &amp; tone",
    ]);
    expect(stack).toContain('w="394" h="236"');
    const { width, height } = await sharp(Buffer.from(files["Thumbnails/thumbnail.png"])).metadata();
    expect([width, height]).toEqual([256, 153]);
  });

  it("shows the same picture when its layers are laid over each other where the stack says", async () => {
    const files = unzipSync(await toOra(drawing, { dpi: 100 }));
    const stack = strFromU8(files["stack.xml"]);
    const layers = [...stack.matchAll(/src="([^"]*)" x="(\d+)" y="(\d+)"/g)].map(([, src, x, y]) => ({
      input: Buffer.from(files[src]),
      left: Number(x),
      top: Number(y),
    }));
    const merged = sharp(Buffer.from(files["mergedimage.png"])).removeAlpha();
    const laid = sharp({ create: { width: 394, height: 236, channels: 3, background: "#ffffff" } })
      .composite(layers.reverse())
      .removeAlpha();
    const [a, b] = await Promise.all([merged, laid].map((one) => one.raw().toBuffer()));
    const most = a.reduce((so, value, i) => Math.max(so, Math.abs(value - b[i])), 0);
    expect(most).toBeLessThanOrEqual(2);
    expect(a.reduce((least, value) => Math.min(least, value), 255)).toBeLessThan(80);
  });

  it("says what is wrong with a resolution", async () => {
    await expect(toOra(drawing, { dpi: 5 })).rejects.toThrow("this sheet takes 36 to");
  });
});

it("a set of PNGs has one for each layer, all of one size, clear where nothing is drawn", async () => {
  const files = unzipSync(await toPngSet(drawing, { dpi: 50 }));
  expect(Object.keys(files)).toEqual(["01 Shadows tone.png", "02 Far away.png", "03 Outlines.png"]);
  for (const [name, bytes] of Object.entries(files)) {
    const { data, info } = await sharp(Buffer.from(bytes)).raw().toBuffer({ resolveWithObject: true });
    expect([info.width, info.height, info.channels]).toEqual([197, 118, 4]);
    const drawn = data.filter((_, i) => i % 4 === 3).some((alpha) => alpha > 200);
    expect([name, drawn]).toEqual([name, name !== "02 Far away.png"]);
  }
});
