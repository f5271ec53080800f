import type { Vec2 } from "../../../geometry";
import { bulgeOf, type OutlinePoint } from "../../round";
import type { VehicleThing } from "./schema";

/**
 * A part that runs across a vehicle: its outline, m ahead of the middle and up, counter-clockwise; and its half width.
 */
export interface Body {
  readonly outline: readonly OutlinePoint[];
  readonly half: number;
  /** What is drawn on both of its sides, as closed outlines. */
  readonly panes?: readonly (readonly Vec2[])[];
  /** Of which of the pieces of its outline a pane is drawn that leaves so much around it. */
  readonly ends?: readonly number[];
}

/** A wheel on both sides: how far ahead its axle is, its radius and width, m; a ring is a rim that one sees through. */
export interface Wheel {
  readonly ahead: number;
  readonly radius: number;
  readonly wide: number;
  readonly ring?: boolean;
  /** It stands in the middle of a vehicle, not on both sides. */
  readonly single?: boolean;
}

/** A round bar between two places, m to the right, ahead and up. */
export interface Rod {
  readonly from: readonly [number, number, number];
  readonly to: readonly [number, number, number];
  readonly radius: number;
}

/** What a vehicle is put together of, at its usual size. */
export interface Form {
  readonly bodies: readonly Body[];
  readonly wheels: readonly Wheel[];
  readonly rods?: readonly Rod[];
  /** A front door that opens: from its hinge back to its lock, and from its foot to its top, m. */
  readonly door?: { readonly ahead: Vec2; readonly up: Vec2 };
}

const at = (ahead: number, up: number, bulge?: number): OutlinePoint => ({
  at: [ahead, up],
  ...(bulge ? { bulge } : {}),
});

/** The arch over a wheel in the underside of a body, from its rear to its front. */
function arch(ahead: number, foot: number, radius: number, axle: number): OutlinePoint[] {
  const half = Math.sqrt(radius * radius - (axle - foot) ** 2);
  // It turns to the right, over the wheel.
  const turn = 2 * Math.PI - 2 * Math.atan2(half, axle - foot);
  return [at(ahead - half, foot, -bulgeOf(turn)), at(ahead + half, foot)];
}

const box = (rear: number, front: number, low: number, high: number): OutlinePoint[] => [
  at(rear, low),
  at(front, low),
  at(front, high),
  at(rear, high),
];

const pane = (rear: number, front: number, low: number, high: number): readonly Vec2[] => [
  [rear, low],
  [front, low],
  [front, high],
  [rear, high],
];

/** Panes in a row, so many between two places, with so much between them. */
const panes = (count: number, rear: number, front: number, low: number, high: number, gap = 0.14) =>
  Array.from({ length: count }, (_, i) => {
    const step = (front - rear + gap) / count;
    return pane(rear + i * step, rear + (i + 1) * step - gap, low, high);
  });

const CAR_WHEELS = [-1.35, 1.4];

export const FORMS: Readonly<Record<VehicleThing, Form>> = {
  bicycle: {
    bodies: [{ outline: box(-0.28, 0.0, 0.94, 0.99), half: 0.07 }],
    wheels: [-0.53, 0.53].map((ahead) => ({ ahead, radius: 0.34, wide: 0.03, ring: true, single: true })),
    rods: [
      { from: [0, -0.53, 0.34], to: [0, -0.1, 0.3], radius: 0.014 },
      { from: [0, -0.1, 0.3], to: [0, -0.2, 0.94], radius: 0.016 },
      { from: [0, -0.1, 0.3], to: [0, 0.36, 0.82], radius: 0.016 },
      { from: [0, -0.17, 0.8], to: [0, 0.36, 0.82], radius: 0.016 },
      { from: [0, -0.53, 0.34], to: [0, -0.17, 0.8], radius: 0.012 },
      { from: [0, 0.53, 0.34], to: [0, 0.34, 0.98], radius: 0.016 },
      { from: [-0.28, 0.3, 1.02], to: [0.28, 0.3, 1.02], radius: 0.016 },
    ],
  },
  handcart: {
    bodies: [
      { outline: box(-0.8, 0.6, 0.62, 0.7), half: 0.5 },
      { outline: box(-0.8, -0.75, 0.7, 0.95), half: 0.5 },
      { outline: box(0.55, 0.6, 0.7, 0.95), half: 0.5 },
    ],
    wheels: [{ ahead: -0.15, radius: 0.5, wide: 0.06, ring: true }],
    rods: [
      { from: [-0.42, 0.5, 0.66], to: [-0.3, 1.55, 0.95], radius: 0.025 },
      { from: [0.42, 0.5, 0.66], to: [0.3, 1.55, 0.95], radius: 0.025 },
      { from: [-0.3, 1.55, 0.95], to: [0.3, 1.55, 0.95], radius: 0.025 },
      { from: [-0.5, -0.15, 0.5], to: [0.5, -0.15, 0.5], radius: 0.03 },
    ],
  },
  car: {
    bodies: [
      {
        outline: [
          at(-2.2, 0.3),
          ...CAR_WHEELS.flatMap((ahead) => arch(ahead, 0.3, 0.38, 0.32)),
          at(2.2, 0.3, 0.2),
          at(2.25, 0.6, 0.2),
          at(2.1, 0.78, 0.06),
          at(1.0, 0.93),
          at(-1.75, 0.96, 0.1),
          at(-2.25, 0.85),
        ],
        half: 0.9,
      },
      {
        outline: [at(-1.9, 0.94), at(1.02, 0.92), at(0.3, 1.4, 0.05), at(-1.0, 1.44, 0.08)],
        half: 0.72,
        panes: [
          [
            [-1.5, 0.99],
            [-0.42, 0.98],
            [-0.42, 1.36],
            [-1.0, 1.36],
          ],
          [
            [-0.34, 0.98],
            [0.8, 0.97],
            [0.24, 1.34],
            [-0.34, 1.36],
          ],
        ],
        ends: [1, 3],
      },
    ],
    wheels: CAR_WHEELS.map((ahead) => ({ ahead, radius: 0.32, wide: 0.22 })),
    door: { ahead: [0.85, -0.3], up: [0.38, 0.92] },
  },
  van: {
    bodies: [
      {
        outline: [
          at(-2.7, 0.35),
          ...[-1.7, 1.75].flatMap((ahead) => arch(ahead, 0.35, 0.42, 0.35)),
          at(2.65, 0.35, 0.15),
          at(2.7, 0.75, 0.12),
          at(2.35, 1.1),
          at(1.55, 2.1, 0.12),
          at(1.2, 2.35),
          at(-2.6, 2.4),
        ],
        half: 1,
        panes: [
          [
            [0.95, 1.2],
            [2.05, 1.2],
            [1.5, 1.9],
            [0.95, 1.9],
          ],
        ],
        ends: [7],
      },
    ],
    wheels: [-1.7, 1.75].map((ahead) => ({ ahead, radius: 0.35, wide: 0.24 })),
    door: { ahead: [1.9, 0.9], up: [0.45, 1.95] },
  },
  lorry: {
    bodies: [
      {
        outline: [
          at(2.2, 0.55),
          ...arch(2.95, 0.55, 0.56, 0.5),
          at(3.95, 0.55, 0.06),
          at(4, 1.3),
          at(3.8, 2.75, 0.15),
          at(3.5, 2.9),
          at(2.2, 2.9),
        ],
        half: 1.2,
        panes: [pane(2.75, 3.7, 1.6, 2.5)],
        ends: [5],
      },
      { outline: box(-4, 2.05, 1.05, 3.4), half: 1.25 },
      { outline: box(-3.9, 2.2, 0.75, 1.05), half: 0.5 },
    ],
    wheels: [-2.6, 2.95].map((ahead) => ({ ahead, radius: 0.5, wide: 0.3 })),
    door: { ahead: [3.75, 2.7], up: [0.7, 2.5] },
  },
  bus: {
    bodies: [
      {
        outline: [
          at(-6, 0.35),
          ...[-2.6, 3.4].flatMap((ahead) => arch(ahead, 0.35, 0.55, 0.5)),
          at(5.9, 0.35, 0.08),
          at(6, 1.1),
          at(5.85, 2.75, 0.2),
          at(5.55, 3.1),
          at(-5.9, 3.1, 0.2),
          at(-6, 2.9),
        ],
        half: 1.275,
        panes: [...panes(6, -5.6, 4.3, 1.35, 2.5), pane(4.55, 5.75, 0.45, 2.5)],
        ends: [6],
      },
    ],
    wheels: [-2.6, 3.4].map((ahead) => ({ ahead, radius: 0.5, wide: 0.3 })),
    door: { ahead: [5.6, 4.6], up: [0.4, 2.5] },
  },
  tram: {
    bodies: [
      {
        outline: [
          at(-4.7, 0.55, 0.06),
          at(4.7, 0.55, 0.1),
          at(4.8, 1.3),
          at(4.5, 2.85, 0.2),
          at(4.1, 3.15),
          at(-4.1, 3.15, 0.2),
          at(-4.5, 2.85),
          at(-4.8, 1.3, 0.1),
        ].map(({ at: place, bulge }, i) => ({ at: place, ...(bulge && i > 0 ? { bulge } : {}) })),
        half: 1.2,
        panes: [...panes(5, -3.2, 3.2, 1.35, 2.5), pane(-4.35, -3.4, 0.65, 2.5), pane(3.4, 4.35, 0.65, 2.5)],
        ends: [2, 6],
      },
      { outline: box(-3.4, 3.4, 0.3, 0.55), half: 0.95 },
      { outline: box(-1.2, 1.2, 3.15, 3.4), half: 0.7 },
    ],
    wheels: [-2.5, -1.2, 1.2, 2.5].map((ahead) => ({ ahead, radius: 0.33, wide: 0.1 })),
    door: { ahead: [4.3, 3.45], up: [0.6, 2.5] },
  },
  train: {
    bodies: [
      {
        outline: [
          at(-9.9, 1),
          at(9.9, 1, 0.04),
          at(10, 1.9),
          at(9.9, 3.2, 0.2),
          at(9.4, 3.75),
          at(-9.4, 3.75, 0.2),
          at(-9.9, 3.2),
          at(-10, 1.9, 0.04),
        ],
        half: 1.4,
        panes: [...panes(8, -7.6, 7.6, 1.9, 2.9, 0.4), ...[-9.3, 8.1].map((rear) => pane(rear, rear + 1.2, 1.05, 2.9))],
        ends: [2, 6],
      },
      { outline: box(-4.6, 4.6, 0.5, 1), half: 1.1 },
      { outline: box(-2.2, 2.2, 3.75, 3.9), half: 0.8 },
    ],
    wheels: [-8.2, -5.8, 5.8, 8.2].map((ahead) => ({ ahead, radius: 0.46, wide: 0.13 })),
    door: { ahead: [9.3, 8.1], up: [1.05, 2.9] },
  },
};
