import { BadInput } from "@zanvo/core/problem";
import { howWritten } from ".";

describe("how a drawing is asked to be written", () => {
  it("is read from words", () => {
    expect(howWritten({ by: "depth", ink: "black", size: "1920x1080" })).toEqual({
      by: "depth",
      ink: "black",
      size: { width: 1920, height: 1080 },
    });
    expect(howWritten({})).toEqual({ by: undefined, ink: undefined, size: undefined });
  });

  it.each([
    [{ by: "colour" }, "--by", "must be one of: kind, depth, thing, panel."],
    [{ ink: "red" }, "--ink", "must be one of: colour, grey, black."],
    [{ size: "1920" }, "--size", "must be two whole numbers, as 1920x1080."],
  ])("%j is refused with a sentence", (asked, path, message) => {
    try {
      howWritten(asked, "--");
      throw new Error("It was taken.");
    } catch (error) {
      expect(error).toBeInstanceOf(BadInput);
      expect((error as BadInput).errors).toEqual([{ path, message }]);
    }
  });
});
