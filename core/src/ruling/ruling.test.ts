import fc from "fast-check";
import { anyShot, between, block, shotWith } from "../../testing";
import { compose, contextOf } from "../drawing";
import { cross, distance2, dot, type Vec2, type Vec3 } from "../geometry";
import { levelAt, planeThrough, type SheetLine } from "../lines";
import { newScene, type Shot } from "../scene";
import { project, unproject, viewOf } from "../shot";
import { pinsOf } from "../vanishing";
import { visibleEdges } from "../visibility";
import { build } from "../world";
import {
  aimsOf,
  atLength,
  elevationOf,
  erased,
  keptSamples,
  ledTo,
  missedBy,
  liesOn,
  metBy,
  missOf,
  onward,
  placeOnPlane,
  seenOnPlane,
  setsAlong,
  smoothed,
  snapIndexOf,
  straightened,
  trimmed,
} from ".";

const scene = newScene("Test");
const pins = (shot: Shot) => pinsOf(scene.orientations, shot);

describe("aiming", () => {
  it("leads a line to its set, whatever the lens: it misses by nothing then", () => {
    fc.assert(
      fc.property(
        anyShot,
        fc.constantFrom("rectilinear" as const, "stereographic" as const, "equidistant" as const),
        between(60, 360),
        between(60, 240),
        between(-40, 40),
        between(-40, 40),
        (any, law, x, y, dx, dy) => {
          const shot = { ...any, lens: { ...any.lens, law, distance: 150, centre: { x: 210, y: 148 } } };
          const view = viewOf(shot);
          const line: readonly [Vec2, Vec2] = [
            [x, y],
            [x + dx, y + dy],
          ];
          fc.pre(Math.hypot(dx, dy) > 5);
          for (const pin of pins(shot).filter(({ opposite }) => !opposite)) {
            const miss = missOf(view, pin, line);
            if (miss === null || miss > 60) continue;
            const to = ledTo(view, pin, line);
            if (distance2(to, line[0]) < 1) continue;
            expect(missOf(view, pin, [line[0], to])).toBeLessThan(1e-4);
            expect(missedBy(view, pin, [line[0], to])).toBeLessThan(1e-4);
          }
        },
      ),
    );
  });

  it("takes the nearest set first, and on a plane only those that run along it", () => {
    const shot = shotWith();
    const right = pins(shot).find(({ id }) => id === "main-right")!.point.at!;
    const [aim] = aimsOf(viewOf(shot), pins(shot), [
      [100, 250],
      [100 + 0.2 * (right[0] - 100), 250 + 0.2 * (right[1] - 250) + 1],
    ]);
    expect(aim.pin.id).toBe("main-right");
    expect(aim.miss).toBeCloseTo(
      (Math.atan(1 / (0.2 * Math.hypot(right[0] - 100, right[1] - 250))) * 180) / Math.PI,
      1,
    );
    expect(setsAlong(levelAt("Ground", 0), pins(shot)).map(({ id }) => id)).toEqual(["main-left", "main-right"]);
    const wall = planeThrough("w", [0, 5, 0], [Math.sin((125 * Math.PI) / 180), Math.cos((125 * Math.PI) / 180), 0]);
    expect(setsAlong(wall, pins(shot)).map(({ id }) => id)).toEqual(["main-right", "upright"]);
    expect(
      atLength(
        [
          [0, 0],
          [3, 4],
        ],
        10,
      ),
    ).toEqual([6, 8]);
  });
});

describe("what an end is drawn to", () => {
  const shot = shotWith();
  const thing = block("b", -2, 9, 4, 4, 3, 20);
  const visible = visibleEdges(build([thing]), viewOf(shot).eye);
  const index = snapIndexOf(compose(contextOf(scene, shot, visible), { only: ["buildings", "creases"] }));
  const corner = project(viewOf(shot), [-2, 9, 0])!;

  it("is a corner before a line, and a line before nothing", () => {
    expect(index.at([corner[0] + 1, corner[1] - 1], 2)).toMatchObject({ kind: "corner" });
    expect(distance2(index.at([corner[0] + 1, corner[1] - 1], 2)!.at, corner)).toBeLessThan(1e-6);
    expect(index.at([corner[0], corner[1] - 20], 2)).toMatchObject({ kind: "line" });
    expect(index.at([30, 30], 2)).toBeNull();
    expect(snapIndexOf([]).at([30, 30], 2)).toBeNull();
  });

  it("is where a line that is led somewhere meets what is drawn", () => {
    const from: Vec2 = [corner[0] - 60, corner[1] - 20];
    const met = index.across(from, [corner[0] + 1, corner[1] - 20], 3);
    expect(met?.at[0]).toBeCloseTo(corner[0], 6);
    expect(index.across(from, [corner[0] - 30, corner[1] - 20], 3)).toBeNull();
  });
});

describe("trimming, extending and erasing", () => {
  const others: readonly (readonly [Vec2, Vec2])[] = [
    [
      [40, 0],
      [40, 100],
    ],
    [
      [60, 0],
      [60, 100],
    ],
    [
      [130, 0],
      [130, 100],
    ],
  ];

  it("cut between the nearest lines, and go on to the next", () => {
    const line: readonly [Vec2, Vec2] = [
      [0, 50],
      [100, 50],
    ];
    expect(trimmed(line, others, [50, 50])).toEqual([
      [
        [0, 50],
        [40, 50],
      ],
      [
        [60, 50],
        [100, 50],
      ],
    ]);
    expect(trimmed(line, others, [90, 50])).toEqual([
      [
        [0, 50],
        [60, 50],
      ],
    ]);
    expect(trimmed(line, [], [90, 50])).toBeNull();
    const straight = viewOf(shotWith());
    expect(metBy(onward(straight, line, 500), others)).toEqual([130, 50]);
    expect(metBy(onward(straight, [line[1], line[0]], 500), others)).toBeNull();
    expect(
      liesOn(
        line,
        [
          [20, 50],
          [30, 50],
        ],
        0.1,
      ),
    ).toBe(true);
    expect(liesOn(line, others[0], 0.1)).toBe(false);
  });

  it("leave what lies outside the eraser, exactly", () => {
    fc.assert(
      fc.property(between(0, 100), between(0, 100), between(2, 30), (x, y, radius) => {
        const line: SheetLine = { id: "a", kind: "ruled", weight: "light", from: [0, 50], to: [100, 50] };
        let n = 0;
        const pieces = erased(line, [x, y], radius, () => String(n++));
        const half = Math.sqrt(Math.max(0, radius ** 2 - (y - 50) ** 2));
        const gone = Math.max(0, Math.min(100, x + half) - Math.max(0, x - half));
        if (gone < 1e-6) return;
        const left = pieces!.reduce(
          (sum, piece) => (piece.kind === "ruled" ? sum + piece.to[0] - piece.from[0] : sum),
          0,
        );
        expect(left).toBeCloseTo(100 - gone, 6);
      }),
    );
    const next = () => "n";
    const circle: SheetLine = { id: "c", kind: "circle", weight: "light", centre: [50, 50], radius: 20 };
    for (const at of [
      [70, 50],
      [50, 70],
    ] as const)
      expect(erased(circle, at, 3, next)).toMatchObject([{ kind: "polyline" }]);
    expect(erased(circle, [50, 50], 3, next)).toBeNull();
    const samples = Array.from({ length: 30 }, (_, i) => [i, 0, 0.5]).flat();
    expect(erased({ id: "s", kind: "stroke", weight: "light", samples }, [15, 0], 3.5, next)).toHaveLength(2);
  });
});

describe("a line that a lens bends", () => {
  const shot = shotWith({ distance: 150 });
  const view = viewOf({ ...shot, lens: { ...shot.lens, law: "stereographic" } });
  const line: readonly [Vec2, Vec2] = [
    [100, 80],
    [200, 60],
  ];

  it("goes on along its great circle, and is met where that is crossed", () => {
    const beyond = onward(view, line, 300);
    const [a, b] = line.map((at) => unproject(view, at));
    const normal = cross(a, b);
    for (const at of beyond) expect(Math.abs(dot(unproject(view, at), normal))).toBeLessThan(1e-9);
    const post: readonly [Vec2, Vec2] = [
      [280, 0],
      [280, 290],
    ];
    const met = metBy(beyond, [post])!;
    expect(met[0]).toBeCloseTo(280, 9);
    // Within a hundredth of a mm of the circle itself, and off the straight line on by more than a mm.
    expect(distance2(ledTo(view, { direction: b, point: { at: line[1] } }, [line[0], met]), met)).toBeLessThan(0.01);
    expect(Math.abs(met[1] - (60 - 16))).toBeGreaterThan(1);
  });

  it("is cut at what crosses its curve", () => {
    const drawn = [line[0], ...onward(view, line, 150)];
    const cut = trimmed(
      drawn,
      [
        [
          [240, 0],
          [240, 290],
        ],
      ],
      [130, 75],
    )!;
    expect(cut).toHaveLength(1);
    expect(cut[0][0][0]).toBeCloseTo(240, 9);
  });
});

describe("freehand samples", () => {
  const wave = Array.from({ length: 200 }, (_, i) => [i, 5 * Math.sin(i / 4) + (i % 2), 0.123]).flat();

  it("are kept to the hundredth of a mm, and smoothed between their ends", () => {
    expect(keptSamples([0, 0, 0.5, 0.01, 0.01, 0.5, 1.0049, 2, 0.777])).toEqual([0, 0, 0.5, 1, 2, 0.78]);
    expect(keptSamples(Array.from({ length: 30_000 }, (_, i) => [i, i % 7, 0.5]).flat()).length).toBeLessThanOrEqual(
      60_000,
    );
    const calm = smoothed(wave, 4);
    expect(calm.slice(0, 2)).toEqual(wave.slice(0, 2));
    expect(calm.slice(-3, -1)).toEqual(wave.slice(-3, -1));
    const rough = (all: readonly number[]) =>
      all.reduce(
        (sum, value, i) => (i % 3 === 1 && i > 6 ? sum + Math.abs(value - 2 * all[i - 3] + all[i - 6]) : sum),
        0,
      );
    expect(rough(calm)).toBeLessThan(0.4 * rough(wave));
    expect(smoothed(wave, 0)).toEqual(wave);
  });

  it("are straightened to the set that they aim at", () => {
    const shot = shotWith();
    const right = pins(shot).find(({ id }) => id === "main-right")!.point.at!;
    const drawn = Array.from({ length: 20 }, (_, i) => {
      const t = i / 60;
      return [100 + t * (right[0] - 100), 260 + t * (right[1] - 260) + (i % 3), 0.5];
    }).flat();
    const { from, to, aim } = straightened(viewOf(shot), pins(shot), drawn);
    expect(aim?.pin.id).toBe("main-right");
    const turn = (p: Vec2) => Math.atan2(p[1] - from[1], p[0] - from[0]);
    expect(turn(to)).toBeCloseTo(turn(right), 9);
  });
});

describe("a plane of the world", () => {
  it("is drawn on where it is seen, and refused edge-on or behind the eye", () => {
    const view = viewOf(shotWith());
    const ground = levelAt("Ground", 0);
    const at = placeOnPlane(view, ground, [250, 240]);
    expect(distance2(seenOnPlane(view, ground, at)!, [250, 240])).toBeLessThan(1e-9);
    expect(() => placeOnPlane(view, ground, [250, 100])).toThrow("Ground is not seen there.");
    expect(() => placeOnPlane(view, levelAt("Eye level", 1.6), [250, 240])).toThrow(/seen/);
    const through = planeThrough("Line of sight", [0, 0, 0], [1, 0, 0]);
    expect(() => placeOnPlane(view, through, [211, 240])).toThrow(/edge-on|not seen/);
  });

  it("opens flat: to one scale, whatever way it lies", () => {
    fc.assert(
      fc.property(
        between(-1, 1),
        between(-1, 1),
        between(-1, 1),
        between(2, 60),
        between(1, 30),
        (x, y, z, wide, depth) => {
          fc.pre(Math.hypot(x, y, z) > 0.1);
          const plane = planeThrough("Wall", [3, 20, 1], [x, y, z] as Vec3);
          const { shot, scale } = elevationOf(shotWith(), plane, { x: -1, y: 0, width: wide, height: 4 }, depth, "e");
          const view = viewOf(shot);
          const places: readonly Vec2[] = [
            [0, 0],
            [wide / 2, 1],
            [-1, 4],
          ];
          const seen = places.map((place) => seenOnPlane(view, plane, place)!);
          for (const [i, k] of [
            [0, 1],
            [1, 2],
            [0, 2],
          ])
            expect(distance2(seen[i], seen[k]) * (scale / 1000)).toBeCloseTo(distance2(places[i], places[k]), 6);
          // x runs to the right, y up.
          expect(seen[1][0]).toBeGreaterThan(seen[0][0]);
          expect(seen[1][1]).toBeLessThan(seen[0][1]);
          expect((wide * 1000) / scale).toBeLessThanOrEqual(0.9 * shot.frame.width + 1e-9);
        },
      ),
    );
  });
});
