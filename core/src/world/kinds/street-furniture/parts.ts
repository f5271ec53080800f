import type { Vec2, Vec3 } from "../../../geometry";
import { trunkHull, type Ball, type Hull } from "../../round";
import type { StreetThing } from "./schema";

/**
 * A box: from where to where it reaches to the right, ahead and up, m; and its upper side ahead, where that is another
 * one: of what leans, or of a roof, where it is as narrow as its ridge.
 */
export type BoxPart = readonly [right: Vec2, ahead: Vec2, up: Vec2, upper?: Vec2];

interface Parts {
  readonly hulls?: readonly Hull[];
  readonly boxes?: readonly BoxPart[];
  /** Where wires are tied, the first of them first, m to the right, ahead and up. */
  readonly ties?: readonly Vec3[];
}

/** A post from the ground up: its radii at its foot and its top, so far to the right and ahead. */
const post = (high: number, radii: Vec2, at?: Vec2): Hull => ({ ...trunkHull([0, high], radii, at), part: "post" });

/** A bar between two places. */
const bar = (a: Vec3, b: Vec3, r: number): Hull => ({
  part: "post",
  balls: [
    [...a, r],
    [...b, r],
  ],
});

/** A round plate that faces ahead. */
const plate = (up: number, radius: number): Hull => ({
  part: "plate",
  over: ["post"],
  balls: Array.from({ length: 24 }, (_, i): Ball => {
    const turn = (i * Math.PI) / 12;
    return [radius * Math.cos(turn), 0.06, up + radius * Math.sin(turn), 0.006];
  }),
});

/** The four posts of a frame. */
const frame = (half: number, deep: number, high: number): BoxPart[] =>
  [-half, half].flatMap((x) =>
    [0, deep].map((y): BoxPart => [
      [x - 0.03, x + 0.03],
      [y - 0.03, y + 0.03],
      [0, high],
    ]),
  );

/** Rungs are so far apart, and stiles so far from the middle, m (EN 131-1, from memory). */
const [RUNGS, STILES] = [0.28, 0.2] as const;

/** How far ahead a leaning ladder stands at its foot, as a part of its height: about 75 degrees (EN 131-3, from memory). */
const LEANS = 1 / 4;

/** A ladder that leans backwards: its head is at its place. */
function ladder(h: number): Parts {
  const ahead = (z: number, half: number): Vec2 => [0.035 + (h - z) * LEANS - half, 0.035 + (h - z) * LEANS + half];
  const rungs = Array.from({ length: Math.floor(h / RUNGS) }, (_, i) => (i + 0.6) * RUNGS).filter((z) => z < h - 0.1);
  return {
    boxes: [
      ...[-STILES, STILES].map((x): BoxPart => [[x - 0.03, x + 0.03], ahead(0, 0.035), [0, h], ahead(h, 0.035)]),
      ...rungs.map((z): BoxPart => [[0.03 - STILES, STILES - 0.03], ahead(z, 0.015), [z - 0.015, z + 0.015]]),
    ],
  };
}

/** A ladder that hangs down before a quay wall, on hoops that stand over its edge. */
function quayLadder(deep: number): Parts {
  const stile = (x: number, y: Vec2, z: Vec2): BoxPart => [[x - 0.03, x + 0.03], y, z];
  const rungs = Array.from({ length: Math.floor(deep / RUNGS) }, (_, i) => -(i + 0.5) * RUNGS);
  return {
    boxes: [
      ...[-STILES, STILES].flatMap((x) => [
        stile(x, [0.1, 0.16], [-deep, 0.9]),
        stile(x, [-0.5, 0.1], [0.84, 0.9]),
        stile(x, [-0.5, -0.44], [0, 0.84]),
      ]),
      ...rungs.map((z): BoxPart => [
        [0.03 - STILES, STILES - 0.03],
        [0.115, 0.145],
        [z - 0.015, z + 0.015],
      ]),
    ],
  };
}

/** What each thing is put together of, by its height, m: its front is ahead (common practice). */
export const PARTS: Readonly<Record<StreetThing, (high: number) => Parts>> = {
  lamp: (h) => ({
    hulls: [
      post(h - 0.25, [0.09, 0.05]),
      bar([0, 0, h - 0.3], [0, 0.9, h - 0.06], 0.035),
      {
        part: "lamp",
        over: ["post"],
        balls: [
          [0, 0.75, h - 0.07, 0.07],
          [0, 1.25, h - 0.08, 0.06],
        ],
      },
    ],
  }),
  lantern: (h) => ({
    hulls: [
      {
        part: "base",
        balls: [
          [0, 0, 0.14, 0.14],
          [0, 0, 0.7, 0.08],
        ],
      },
      post(h - 0.5, [0.07, 0.04]),
      bar([-0.3, 0, h - 0.75], [0.3, 0, h - 0.75], 0.02),
      {
        part: "lamp",
        over: ["post"],
        balls: [-1, 1].flatMap((x): Ball[] =>
          [-1, 1].flatMap((y): Ball[] => [
            [0.09 * x, 0.09 * y, h - 0.48, 0.01],
            [0.17 * x, 0.17 * y, h - 0.14, 0.01],
          ]),
        ),
      },
      {
        part: "cap",
        over: ["lamp"],
        balls: [
          ...[-1, 1].flatMap((x) => [-1, 1].map((y): Ball => [0.2 * x, 0.2 * y, h - 0.13, 0.01])),
          [0, 0, h - 0.02, 0.02],
        ],
      },
    ],
  }),
  pole: (h) => ({
    hulls: [
      post(h, [0.15, 0.1]),
      bar([-1.1, 0.1, h - 0.5], [1.1, 0.1, h - 0.5], 0.05),
      ...[-1, -0.5, 0.5, 1].map((x) => bar([x, 0.1, h - 0.45], [x, 0.1, h - 0.3], 0.03)),
    ],
    ties: [-1, 1, -0.5, 0.5].map((x): Vec3 => [x, 0.1, h - 0.28]),
  }),
  mast: (h) => ({
    hulls: [
      post(h, [0.13, 0.08]),
      bar([0, 0, h - 1], [0, 2.6, h - 0.9], 0.035),
      bar([0, 0, h - 0.2], [0, 1.8, h - 0.9], 0.012),
    ],
    ties: [
      [0, 2.5, h - 1],
      [0, 2.5, h - 0.3],
      [0, 0.1, h - 0.1],
      [0, -0.1, h - 0.1],
    ],
  }),
  sign: (h) => ({ hulls: [post(h, [0.035, 0.035]), plate(h - 0.34, 0.32)] }),
  bollard: (h) => ({ hulls: [post(h, [0.1, 0.1])] }),
  quay: (h) => ({
    hulls: [
      post(0.75 * h, [0.16, 0.13]),
      {
        part: "head",
        over: ["post"],
        balls: [
          [0, 0.06, h - 0.17, 0.17],
          [0, -0.06, h - 0.17, 0.17],
        ],
      },
    ],
  }),
  hydrant: (h) => ({
    hulls: [
      post(h - 0.06, [0.12, 0.12]),
      { part: "cap", balls: [[0, 0, h - 0.09, 0.09]] },
      bar([-0.2, 0, 0.62 * h], [0.2, 0, 0.62 * h], 0.055),
      {
        part: "mouth",
        over: ["post"],
        balls: [
          [0, 0.1, 0.45 * h, 0.07],
          [0, 0.19, 0.45 * h, 0.06],
        ],
      },
    ],
  }),
  bin: (h) => ({
    hulls: [
      {
        part: "body",
        balls: [
          [0, 0, 0.06, 0.06],
          [-0.19, 0, 0.05, 0.05],
          [0.19, 0, 0.05, 0.05],
          [-0.22, 0, h - 0.2, 0.06],
          [0.22, 0, h - 0.2, 0.06],
          [0, 0.2, h - 0.2, 0.05],
          [0, -0.2, h - 0.2, 0.05],
        ],
      },
      {
        part: "lid",
        over: ["body"],
        balls: [
          [-0.2, 0, h - 0.1, 0.08],
          [0.2, 0, h - 0.1, 0.08],
          [0, 0, h - 0.1, 0.1],
        ],
      },
    ],
  }),
  kiosk: (h) => ({
    boxes: [
      [
        [-1.2, 1.2],
        [-1, 1],
        [0, h - 0.6],
      ],
      [
        [-1.1, 1.1],
        [1, 1.35],
        [1, 1.06],
      ],
      [
        [-1.5, 1.5],
        [-1.3, 1.5],
        [h - 0.6, h],
        [0.08, 0.12],
      ],
    ],
  }),
  stall: (h) => ({
    boxes: [
      ...frame(1.4, 1.6, h - 0.5),
      [
        [-1.4, 1.4],
        [0.7, 1.6],
        [0.75, 0.85],
      ],
      [
        [-1.6, 1.6],
        [-0.2, 1.9],
        [h - 0.5, h],
        [0.83, 0.87],
      ],
    ],
  }),
  shelter: (h) => ({
    boxes: [
      [
        [-1.8, 1.8],
        [-0.05, 0],
        [0, h - 0.12],
      ],
      [
        [-1.8, -1.74],
        [0, 1.1],
        [0, h - 0.12],
      ],
      [
        [1.74, 1.8],
        [0, 1.1],
        [0, h - 0.12],
      ],
      [
        [-1.95, 1.95],
        [-0.15, 1.4],
        [h - 0.12, h],
      ],
      [
        [-1.5, 1.5],
        [0.05, 0.4],
        [0.42, 0.47],
      ],
    ],
  }),
  ladder: (h) => ladder(h),
  quayLadder: (deep) => quayLadder(deep),
};
