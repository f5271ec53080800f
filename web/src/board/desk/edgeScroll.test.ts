import { scrollFor } from "./edgeScroll";

const size = { width: 900, height: 600 };

describe("a dragging hand at the window's edge", () => {
  it("scrolls what lies beyond that edge into the window, the faster the nearer it is", () => {
    expect(scrollFor([450, 300], size)).toEqual([0, 0]);
    expect(scrollFor([2, 300], size)[0]).toBeGreaterThan(scrollFor([20, 300], size)[0]);
    expect(scrollFor([20, 300], size)[0]).toBeGreaterThan(0);
    expect(scrollFor([895, 595], size).every((by) => by < 0)).toBe(true);
    expect(scrollFor([-400, 300], size)).toEqual([14, 0]);
  });
});
