import { resample } from ".";

/** Px of grey that rises by 1 for each px to the right and by 2 for each down. */
const ramp = (width: number, height: number) => ({
  width,
  height,
  data: Uint8ClampedArray.from({ length: 4 * width * height }, (_, i) => {
    const [x, y] = [(i >> 2) % width, Math.floor((i >> 2) / width)];
    return i % 4 === 3 ? 255 : x + 2 * y;
  }),
});

describe("a picture taken over by a homography", () => {
  it("is itself under the identity, and moved by whole and half px under a shift", () => {
    const picture = ramp(40, 30);
    expect(resample(picture, { from: [1, 0, 0, 0, 1, 0, 0, 0, 1], width: 40, height: 30 })).toEqual(picture);
    const moved = resample(picture, { from: [1, 0, 6, 0, 1, 2.5, 0, 0, 1], width: 10, height: 10 });
    // Where (3, 4) is now, (9, 6.5) was: 9 + 13.
    expect(moved.data[4 * (4 * 10 + 3)]).toBe(22);
  });

  it("follows a projective map, and holds its edge beyond the old picture", () => {
    const from = [1, 0, 0, 0, 1, 0, 0.01, 0, 1] as const;
    const turned = resample(ramp(60, 60), { from, width: 50, height: 50 });
    const [x, y] = [30.5, 20.5];
    const k = 1 / (0.01 * x + 1);
    expect(turned.data[4 * (20 * 50 + 30)]).toBe(Math.round(x * k - 0.5 + 2 * (y * k - 0.5)));
    const beyond = resample(ramp(4, 4), { from: [1, 0, 100, 0, 1, 100, 0, 0, 1], width: 2, height: 2 });
    expect([...beyond.data]).toEqual([9, 9, 9, 255, 9, 9, 9, 255, 9, 9, 9, 255, 9, 9, 9, 255]);
  });
});
