import { asRhythm, equalParts, partsOf, rhythmOf, sharesOf } from ".";

describe("a rhythm", () => {
  const sizes = (text: string) => rhythmOf(text).map(({ size }) => size);

  it("is read word by word", () => {
    expect(sizes("2 4 2 4 x3")).toEqual([2, 4, 2, 4, 2, 4, 2, 4, 2, 4, 2, 4]);
    expect(rhythmOf("door 1, window 1.4 x3")).toEqual([
      { size: 1, name: "door" },
      ...Array.from({ length: 3 }, () => ({ size: 1.4, name: "window" })),
    ]);
    expect(sizes("(door 1, tall window 1.4) x2 .5")).toEqual([1, 1.4, 1, 1.4, 0.5]);
    expect(rhythmOf("tall window 2")[0].name).toBe("tall window");
    expect(partsOf(" 5 ")).toHaveLength(5);
    expect(asRhythm([1.23456, 2, 0.5])).toBe("1.235 2 0.5");
    expect(sizes(asRhythm([1.2, 3]))).toEqual([1.2, 3]);
  });

  it.each([
    ["2 4 twice", 'word 3, "twice", has no size after it.'],
    ["2 0 4", 'word 2, "0", is not above nothing.'],
    ["2 -1", 'word 2, "-1", is not above nothing.'],
    ["x3 2", 'word 1, "x3", repeats nothing.'],
    ["2 4 x0", 'word 3, "x0", repeats it no times.'],
    ["(2 4", 'word 1, "(", is not closed.'],
    ["2 4) x2", 'word 3, ")", closes nothing.'],
    ["1 x501", "makes more than 500 parts."],
    ["  ", "nothing is in it"],
  ])("says at which word %p cannot be read", (text, told) => {
    expect(() => rhythmOf(text)).toThrow(told);
  });

  it.each([0, -2, 2.5, 501])("of %p equal parts is refused", (n) => {
    expect(() => equalParts(n)).toThrow("is no whole number from 1 to 500");
  });

  it("is stretched, cut or centred", () => {
    const parts = rhythmOf("2 4 x2");
    expect(sharesOf(parts)).toEqual([0, 1 / 6, 0.5, 4 / 6, 1].map((s) => expect.closeTo(s, 12)));
    expect(sharesOf(parts, "cut", 10)).toEqual([0, 0.2, 0.6, 0.8, 1].map((s) => expect.closeTo(s, 12)));
    expect(sharesOf(parts, "cut", 20)).toEqual([0, 0.1, 0.3, 0.4, 0.6].map((s) => expect.closeTo(s, 12)));
    expect(sharesOf(parts, "centre", 10)).toEqual([0.1, 0.3, 0.7, 0.9].map((s) => expect.closeTo(s, 12)));
    expect(() => sharesOf(parts, "centre", 1)).toThrow("The first part, 2, is longer than the line, 1.");
    expect(() => sharesOf(parts, "cut")).toThrow("is not known");
  });
});
