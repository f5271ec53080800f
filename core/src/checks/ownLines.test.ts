import fc from "fast-check";
import { between, block, shotWith } from "../../testing";
import type { Vec2, Vec3 } from "../geometry";
import type { SheetLine } from "../lines";
import { newScene, type Scene, type Shot } from "../scene";
import { project, viewOf } from "../shot";
import { inMetric } from "../units";
import { pinsOf } from "../vanishing";
import { seenFindings } from ".";
import { ovalOf } from "./oval";

const base = newScene("Test");
const ruled = (id: string, from: Vec2, to: Vec2): SheetLine => ({
  ...{ id, kind: "ruled", weight: "medium" },
  from: [from[0], from[1]],
  to: [to[0], to[1]],
});
const shotOf = (lines: SheetLine[], change: Partial<Shot> = {}): Shot => ({ ...shotWith(), lines, ...change });
const found = (shot: Shot, id: string, scene: Scene = base) =>
  seenFindings({ ...scene, shots: [shot] }, shot).filter((one) => one.id.startsWith(id));
const pin = (name: string) => pinsOf(base.orientations, shotWith()).find(({ id }) => id === name)!.point.at!;
const on = ([ax, ay]: Vec2, [bx, by]: Vec2, t: number): Vec2 => [ax + t * (bx - ax), ay + t * (by - ay)];

describe("a line of one's own", () => {
  it("that misses its point by more than a pencil keeps is found, and led to it", () => {
    const from: Vec2 = [120, 250];
    const to = on(from, pin("main-right"), 0.4);
    expect(found(shotOf([ruled("a", from, to)]), "own-line-misses")).toEqual([]);
    // 0.4 mm beside it is what a pencil keeps, 2 mm are not; turned farther than 4 degrees it means something else.
    expect(found(shotOf([ruled("a", from, [to[0], to[1] + 0.4])]), "own-line-misses")).toEqual([]);
    const off = shotOf([ruled("a", from, [to[0], to[1] + 2])]);
    const [one] = found(off, "own-line-misses");
    expect(one).toMatchObject({ severity: "warning", unit: "mm" });
    expect(one.value).toBeGreaterThan(1.5);
    expect(found(one.fix!.shot, "own-line-misses")).toEqual([]);
    expect(found(shotOf([ruled("a", from, [to[0], to[1] + 40])]), "own-line-misses")).toEqual([]);
  });

  it("that runs to the other point of the pair on a wall is found", () => {
    const loft = block("loft", 0, 10, 4, 4, 3, -55);
    const scene = { ...base, elements: [loft] };
    const view = viewOf(shotWith());
    // Half way up its right wall, which runs to the right point: heading -55 + 90 from the near corner.
    const h = (35 * Math.PI) / 180;
    const at = (far: number, z: number): Vec3 => [far * Math.sin(h), 10 + far * Math.cos(h), z];
    const [a, b] = [project(view, at(0.4, 1.8))!, project(view, at(3.6, 1.8))!];
    expect(found(shotOf([ruled("a", a, b)]), "own-line-wrong", scene)).toEqual([]);
    const [start] = [project(view, at(1.5, 1.2))!];
    const wrong = shotOf([ruled("a", start, on(start, pin("main-left"), 0.02))]);
    const [one] = found(wrong, "own-line-wrong", scene);
    expect(one.where).toBe("loft");
    expect(found(one.fix!.shot, "own-line-wrong", scene)).toEqual([]);
  });

  it("that stands on a bare foot while its top runs on is found, and its base edge ruled", () => {
    const [top, foot]: [Vec2, Vec2] = [
      [120, 90],
      [120, 220],
    ];
    const edge = ruled("edge", top, on(top, pin("main-right"), 0.3));
    const bare = shotOf([ruled("post", foot, top), edge]);
    const [one] = found(bare, "own-line-bare");
    expect(found(one.fix!.shot, "own-line-bare")).toEqual([]);
    const added = one.fix!.shot.lines![2] as Extract<SheetLine, { kind: "ruled" }>;
    // It ends under the top edge's end, on its way to the same point.
    expect(added.to[0]).toBeCloseTo((edge as typeof added).to[0], 9);
    expect(found(one.fix!.shot, "own-line-misses")).toEqual([]);
  });
});

describe("a freehand oval", () => {
  const oval = (centre: Vec2, a: number, b: number, tilt: number) =>
    Array.from({ length: 61 }, (_, i): Vec2 => {
      const [t, q] = [(i * Math.PI) / 30, (tilt * Math.PI) / 180];
      const [x, y] = [a * Math.cos(t), b * Math.sin(t)];
      return [centre[0] + x * Math.cos(q) - y * Math.sin(q), centre[1] + x * Math.sin(q) + y * Math.cos(q)];
    });
  const stroke = (places: readonly Vec2[]): SheetLine => ({
    ...{ id: "o", kind: "stroke", weight: "light" },
    samples: places.flatMap(([x, y]) => [x, y, 0.5]),
  });

  it("has the axes of the ellipse that it is", () => {
    fc.assert(
      fc.property(between(5, 60), between(0.1, 0.8), between(-89, 89), (a, ratio, tilt) => {
        const found2 = ovalOf(oval([300, 40], a, a * ratio, tilt));
        expect(found2.axes[0] / a).toBeCloseTo(1, 2);
        expect(found2.axes[1] / (a * ratio)).toBeCloseTo(1, 2);
        expect(Math.abs(found2.fill - 1)).toBeLessThan(1e-6);
        expect(Math.abs(Math.sin(((found2.tilt - tilt) * Math.PI) / 180))).toBeLessThan(1e-6);
      }),
    );
  });

  it("that leans as no level circle there does is found; the true picture of one is not", () => {
    const below: Vec2 = [210, 240];
    expect(found(shotOf([stroke(oval(below, 40, 14, 0))]), "own-oval")).toEqual([]);
    expect(found(shotOf([stroke(oval(below, 40, 14, 12))]), "own-oval")[0]).toMatchObject({ value: 12, unit: "°" });
    // Far to the side even a level circle leans: its true picture is right.
    const view = viewOf(shotWith());
    const circle = Array.from({ length: 61 }, (_, i) => {
      const t = (i * Math.PI) / 30;
      return project(view, [2.2 + 0.7 * Math.cos(t), 5 + 0.7 * Math.sin(t), 0])!;
    });
    expect(found(shotOf([stroke(circle)]), "own-oval")).toEqual([]);
    // A square is no oval.
    const box: Vec2[] = Array.from({ length: 40 }, (_, i) => on([150, 200], [230, 215], (i % 10) / 10));
    expect(found(shotOf([stroke(box)]), "own-oval")).toEqual([]);
  });

  it("whose ends are pointed or flat is found, by moments of area that are known", () => {
    // Two parabolas y = b (1 - x^2 / a^2): the second moment along x is a^2 / 5 of the area, so that the ellipse of the
    // same moments is 2 a / sqrt(5) long: the ends reach 11.8 % farther.
    const lens = (a: number, b: number): Vec2[] =>
      Array.from({ length: 121 }, (_, i) => {
        const t = (i * Math.PI) / 60;
        const x = a * Math.cos(t);
        return [210 + x, 240 + Math.sign(Math.sin(t)) * b * (1 - (x / a) ** 2)];
      });
    expect(ovalOf(lens(40, 15)).reach).toBeCloseTo(Math.sqrt(5) / 2, 2);
    const [pointed] = found(shotOf([stroke(lens(40, 15))]), "own-oval-ends");
    expect(pointed).toMatchObject({ severity: "note", unit: "mm", value: 4.2 });
    expect(inMetric(pointed.message)).toMatch(/^Its ends are pointed: they reach 4\.\d mm too far/);
    // Two half circles joined by straight lines twice as long as their radius.
    const track: Vec2[] = Array.from({ length: 121 }, (_, i) => {
      const t = (i * Math.PI) / 60;
      return [210 + 15 * Math.cos(t) + (Math.cos(t) >= 0 ? 30 : -30), 240 + 15 * Math.sin(t)];
    });
    const [flat] = found(shotOf([stroke(track)]), "own-oval-ends");
    expect(inMetric(flat.message)).toContain("Its ends are flat");
    // A hand that shakes by a quarter of a millimetre draws round ends all the same.
    const shaken = oval([210, 240], 40, 14, 0).map(([x, y], i): Vec2 => [x + 0.25 * Math.sin(7 * i), y]);
    expect(found(shotOf([stroke(shaken)]), "own-oval")).toEqual([]);
  });
});
