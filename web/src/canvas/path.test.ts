import { pathAreas, pathLines } from "./path";

/** A canvas that writes down what it is told. */
function recorder() {
  const said: string[] = [];
  return {
    said,
    moveTo: (x: number, y: number) => void said.push(`M${x},${y}`),
    lineTo: (x: number, y: number) => void said.push(`L${x},${y}`),
    closePath: () => void said.push("Z"),
  };
}

it("an area's rings are closed one by one, a hole after what it is in", () => {
  const context = recorder();
  pathAreas(context, {
    xy: Float64Array.from([0, 0, 9, 0, 9, 9, 3, 3, 6, 3, 6, 6]),
    starts: Uint32Array.from([0, 3, 6]),
  });
  expect(context.said.join(" ")).toBe("M0,0 L9,0 L9,9 Z M3,3 L6,3 L6,6 Z");
});

it("lines stand by themselves, and curves go through all their places", () => {
  const context = recorder();
  pathLines(context, {
    lines: Float64Array.from([0, 0, 1, 1, 2, 2, 3, 3]),
    curves: {
      xy: Float64Array.from([5, 5, 6, 6, 7, 5, 8, 8, 9, 9]),
      starts: Uint32Array.from([0, 3, 5]),
      t: new Float64Array(5),
      velocity: new Float64Array(10),
    },
  });
  expect(context.said.join(" ")).toBe("M0,0 L1,1 M2,2 L3,3 M5,5 L6,6 L7,5 M8,8 L9,9");
});
