import type { Vec2 } from "../geometry";
import type { Reference } from "../scene";
import { checkDrawn as checked } from ".";
import { inWords } from "../../testing";

const checkDrawn = (...args: Parameters<typeof checked>) => inWords(checked(...args));

/** 4,000 px for 400 mm: ten to a mm. */
const [LEFT, RIGHT]: readonly Vec2[] = [
  [-1500, 1400],
  [5600, 1400],
];
const to = ([vx, vy]: Vec2, [x, y]: Vec2, share: number) => ({
  x1: x,
  y1: y,
  x2: x + share * (vx - x),
  y2: y + share * (vy - y),
});
/** Where two lines cross. */
const crossing = (p: Vec2, v: Vec2, q: Vec2, w: Vec2): Vec2 => {
  const [a, b, c, d] = [v[0] - p[0], v[1] - p[1], w[0] - q[0], w[1] - q[1]];
  const t = ((q[0] - p[0]) * d - (q[1] - p[1]) * c) / (a * d - b * c);
  return [p[0] + t * a, p[1] + t * b];
};

/** A box drawn without a fault: near upright, sides, and the back corners above and below. */
function box(): Reference {
  const [foot, top]: Vec2[] = [
    [2000, 2400],
    [2000, 1700],
  ];
  const sideOf = (from: Vec2, v: Vec2) => to(v, from, 0.25);
  const edges = { left: [sideOf(foot, LEFT), sideOf(top, LEFT)], right: [sideOf(foot, RIGHT), sideOf(top, RIGHT)] };
  const back = [0, 1].map((i) =>
    crossing([edges.left[i].x2, edges.left[i].y2], RIGHT, [edges.right[i].x2, edges.right[i].y2], LEFT),
  );
  const line = (x1: number, y1: number, [x2, y2]: Vec2) => ({ x1, y1, x2, y2 });
  return {
    id: "r",
    name: "Page 3",
    picture: "0".repeat(64),
    width: 4000,
    height: 3000,
    drawing: { width: 400 },
    level: true,
    sets: [
      {
        id: "left",
        name: "Left",
        role: "left",
        edges: [...edges.left, ...[0, 1].map((i) => line(edges.right[i].x2, edges.right[i].y2, back[i]))],
      },
      {
        id: "right",
        name: "Right",
        role: "right",
        edges: [...edges.right, ...[0, 1].map((i) => line(edges.left[i].x2, edges.left[i].y2, back[i]))],
      },
      {
        id: "upright",
        name: "Uprights",
        role: "upright",
        edges: [
          line(2000, 2400, [2000, 1700]),
          line(edges.left[0].x2, edges.left[0].y2, [edges.left[0].x2, edges.left[1].y2]),
          line(edges.right[0].x2, edges.right[0].y2, [edges.right[0].x2, edges.right[1].y2]),
        ],
      },
    ],
  };
}
const changed = (change: (reference: Reference) => void): Reference => {
  const copy = structuredClone(box());
  change(copy);
  return copy;
};
const kinds = (reference: Reference) => checkDrawn(reference).map(({ kind }) => kind);

describe("a drawing that is checked", () => {
  it("has no faults where it has none", () => {
    expect(checkDrawn(box())).toEqual([]);
  });

  it("has an upright that leans, by what and to which side, and the upright that it should be", () => {
    const found = checkDrawn(
      changed(({ sets }) => {
        // 12 px to the right at the top of 700: atan(12 / 700) = 0.98 degrees, 1.2 mm.
        sets[2].edges[0].x2 += 12;
      }),
    );
    expect(found).toMatchObject([
      {
        kind: "lean",
        where: "edge 1 of Uprights",
        value: 1.2,
        unit: "mm",
        message: "edge 1 of Uprights leans 0.98° to the right: its top is 1.2 mm out.",
        fix: { set: "upright", edge: 0 },
      },
    ]);
    const [[ax], [bx]] = found[0].fix!.line;
    expect([ax, bx]).toEqual([expect.closeTo(2006, 6), expect.closeTo(2006, 6)]);
    // Within what a pencil can keep it is none.
    expect(
      kinds(
        changed(({ sets }) => {
          sets[2].edges[0].x2 -= 4;
        }),
      ),
    ).toEqual([]);
  });

  it("has an edge that misses its point, and where it should run", () => {
    const found = checkDrawn(
      changed(({ sets }) => {
        const edge = sets[0].edges[1];
        [edge.y1, edge.y2] = [edge.y1 + 40, edge.y2 - 40];
      }),
    ).filter(({ kind }) => kind === "miss");
    expect(found).toMatchObject([{ where: "edge 2 of Left", fix: { set: "left", edge: 1 } }]);
    expect(found[0].value).toBeGreaterThan(3.5);
    const [[ax, ay], [bx, by]] = found[0].fix!.line;
    // The fixed line runs to the point.
    expect(ay + ((by - ay) / (bx - ax)) * (LEFT[0] - ax)).toBeCloseTo(LEFT[1], -1);
  });

  it("has back corners that do not close, or do not stand above one another", () => {
    expect(
      checkDrawn(
        changed(({ sets }) => {
          const edge = sets[0].edges[3];
          [edge.x2, edge.y2] = [edge.x2 + 0.02 * (edge.x1 - edge.x2), edge.y2 + 0.02 * (edge.y1 - edge.y2)];
        }),
      ),
    ).toMatchObject([{ kind: "open", where: "edge 4 of Left and edge 4 of Right", unit: "mm" }]);
    // The whole back of the lower storey slid 30 px along its own line to the right point.
    const slid = checkDrawn(
      changed(({ sets }) => {
        const [left, right] = [sets[0].edges[2], sets[1].edges[2]];
        const at = [right.x2 + 30, right.y2 + (30 * (RIGHT[1] - right.y2)) / (RIGHT[0] - right.x2)] as const;
        [left.x2, left.y2] = at;
        [right.x2, right.y2] = at;
      }),
    );
    expect(slid.filter(({ kind }) => kind === "not-plumb")).toMatchObject([
      { where: "edge 4 of Left and edge 4 of Right, over edge 3 of Left and edge 3 of Right", unit: "mm" },
    ]);
  });

  it("has points off one level, or off the horizon that was drawn", () => {
    const lowered = changed(({ sets }) => {
      for (const edge of sets[1].edges) {
        const [x, y] = [edge.x1, edge.y1];
        const slope = (1460 - y) / (RIGHT[0] - x);
        edge.y2 = y + slope * (edge.x2 - x);
      }
    });
    // 60 px lower at 7,100 px from each other: 6 mm, 0.48 degrees.
    expect(checkDrawn(lowered)[0]).toMatchObject({
      kind: "tilted",
      unit: "°",
      message: expect.stringMatching(/Right's lies 6 mm lower, a tilt of 0\.48°/),
    });
    expect(
      checkDrawn({ ...box(), horizon: { x1: 4000, y1: 1380, x2: 0, y2: 1380 } }).map(({ kind, value, message }) => [
        kind,
        value,
        message.includes("below the horizon"),
      ]),
    ).toEqual([
      ["off-horizon", 2, true],
      ["off-horizon", 2, true],
    ]);
  });

  it("has a wall that reads longer than it is meant", () => {
    const reference = box();
    const [{ x1, y1 }] = reference.sets[0].edges;
    const top = reference.sets[0].edges[1];
    const wall = { id: "w", name: "Front", along: "left", x1, y1, x2: top.x2, y2: top.y2 };
    const told = checkDrawn({ ...reference, walls: [{ ...wall, length: 4, height: 4 }] });
    expect(told).toMatchObject([{ kind: "depth", where: "Front", unit: ": 1" }]);
    expect(checkDrawn({ ...reference, walls: [{ ...wall, length: 4 * told[0].value, height: 4 }] })).toEqual([]);
  });
});
