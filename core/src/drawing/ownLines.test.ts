import fc from "fast-check";
import { between, block, shotWith } from "../../testing";
import { distance2, type Vec2, type Vec3 } from "../geometry";
import { axesOf, inWorld, levelAt, planeThrough, type SheetLine, type WorldLine } from "../lines";
import { newScene, type Scene } from "../scene";
import { project, unproject, viewOf } from "../shot";
import { visibleEdges } from "../visibility";
import { build } from "../world";
import { chordsOf, compose, contextOf, toSvg, type Layer } from ".";
import { strokeOutline } from "./layers/strokes";

const wall = block("hall", -1, 10, 2, 6, 5, 90);
const ruled = (id: string, from: [number, number], to: [number, number]): SheetLine => ({
  id,
  kind: "ruled",
  weight: "medium",
  from,
  to,
});

function layersOf(scene: Scene): Layer[] {
  const [shot] = scene.shots;
  const visible = visibleEdges(build(scene.elements), viewOf(shot).eye);
  return compose(contextOf(scene, shot, visible));
}
const layer = (layers: readonly Layer[], id: string) => layers.find((one) => one.id === id);
const sceneWith = (
  change: Partial<Scene>,
  lines?: SheetLine[],
  law: Scene["shots"][0]["lens"]["law"] = "rectilinear",
) => {
  const shot = { ...shotWith(), lines };
  return { ...newScene("Test"), shots: [{ ...shot, lens: { ...shot.lens, law } }], ...change };
};

describe("own lines of a sheet", () => {
  it("stay where they are drawn, by weight, on layers of their own", () => {
    const lines: SheetLine[] = [ruled("a", [10, 20], [100, 40]), { ...ruled("b", [0, 0], [5, 5]), weight: "heavy" }];
    const layers = layersOf(sceneWith({}, lines));
    expect([...layer(layers, "own-lines-medium")!.lines]).toEqual([10, 20, 100, 40]);
    expect(layer(layers, "own-lines-medium")!.style.width).toBe(0.35);
    expect(layer(layers, "own-lines-heavy")!.style.width).toBe(0.7);
    expect(layer(layersOf(sceneWith({}, [])), "own-lines-medium")).toBeUndefined();
    const hidden = sceneWith({}, lines);
    hidden.shots[0] = { ...hidden.shots[0], show: { "own-lines": 0 } };
    expect(layer(layersOf(hidden), "own-lines-medium")).toBeUndefined();
  });

  it("bend in a curved lens as the line of the world through their ends is seen", () => {
    const [from, to]: [number, number][] = [
      [90, 60],
      [330, 220],
    ];
    const scene = sceneWith({}, [ruled("a", from, to)], "stereographic");
    const view = viewOf(scene.shots[0]);
    const { curves } = layer(layersOf(scene), "own-lines-medium")!;
    const xy = curves!.xy;
    const [a, b] = [from, to].map((at) => unproject(view, at));
    const normal: Vec3 = [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
    expect(distance2([xy[0], xy[1]], from)).toBeLessThan(1e-6);
    expect(distance2([xy[xy.length - 2], xy[xy.length - 1]], to)).toBeLessThan(1e-6);
    for (let i = 0; i < xy.length; i += 2) {
      const ray = unproject(view, [xy[i], xy[i + 1]]);
      expect(Math.abs(ray[0] * normal[0] + ray[1] * normal[1] + ray[2] * normal[2])).toBeLessThan(1e-9);
    }
  });
});

describe("own lines of a plane of the world", () => {
  const across = (z: number, y: number): Extract<WorldLine, { kind: "ruled" }> => ({
    id: "w",
    kind: "ruled",
    weight: "medium",
    plane: planeThrough("Hall, wall", [0, y, z], [0, -1, 0]),
    from: [-20, 0],
    to: [20, 0],
  });
  const scene = (line: WorldLine) => sceneWith({ elements: [wall], lines: [line] });
  const drawn = (line: WorldLine) => [...(layer(layersOf(scene(line)), "own-lines-medium")?.lines ?? [])];

  it("are seen on the wall that they are drawn on, and hidden by what stands before them", () => {
    const view = viewOf(shotWith());
    const on = (x: number, y: number, z: number) => project(view, [x, y, z])!;
    // On the near wall, at y 4: the block runs 2 m east from -1 and 6 m south from y 10.
    const whole = drawn(across(2, 4));
    expect(whole.length).toBe(4);
    // Two metres behind the far wall it is seen beside the hall only.
    const behind = drawn(across(2, 12));
    expect(behind.length).toBe(8);
    const edge = behind.map((value, i) => (i % 2 === 0 ? value : NaN)).filter((value) => !Number.isNaN(value));
    // The near corners of the hall stop it: where the lines of sight past them meet y 12.
    const near = [on(-1, 4, 2)[0], on(1, 4, 2)[0]];
    expect(edge.some((x) => Math.abs(x - near[0]) < 1e-6)).toBe(true);
    expect(edge.some((x) => Math.abs(x - near[1]) < 1e-6)).toBe(true);
    expect(
      drawn({
        ...across(2, 4),
        plane: { ...levelAt("Inside", 2), origin: { x: 0, y: 6, z: 2 } },
        from: [-0.8, 0],
        to: [0.8, 0],
      }),
    ).toEqual([]);
  });

  it("lie in true measure: a circle on the ground is the ellipse of its square (common practice)", () => {
    const circle: WorldLine = {
      id: "c",
      kind: "circle",
      weight: "light",
      plane: levelAt("Ground", 0),
      centre: [0, 9],
      radius: 1.5,
    };
    const lines = layer(layersOf(sceneWith({ lines: [circle] })), "own-lines-light")!.lines;
    const view = viewOf(shotWith());
    for (let i = 0; i < lines.length; i += 4) {
      const ray = unproject(view, [lines[i], lines[i + 1]]);
      const t = -view.eye[2] / ray[2];
      expect(Math.hypot(view.eye[0] + t * ray[0], view.eye[1] + t * ray[1] - 9)).toBeCloseTo(1.5, 6);
    }
  });

  it("have axes that are square, their front where the normal goes, and find the way back", () => {
    fc.assert(
      fc.property(between(-1, 1), between(-1, 1), between(-1, 1), between(-9, 9), (x, y, z, far) => {
        fc.pre(Math.hypot(x, y, z) > 0.1);
        const size = Math.hypot(x, y, z);
        const axes = axesOf(planeThrough("p", [far, 2, 3], [x, y, z]));
        [x, y, z].forEach((value, i) => expect(axes.normal[i]).toBeCloseTo(value / size, 9));
        expect(axes.x[2]).toBe(0);
        const place = inWorld(axes, [2, -3]);
        expect(Math.abs((place[0] - far) * x + (place[1] - 2) * y + (place[2] - 3) * z)).toBeLessThan(1e-9 * size * 10);
      }),
    );
  });
});

describe("freehand strokes", () => {
  const samples = Array.from({ length: 60 }, (_, i) => [50 + i, 100 + 10 * Math.sin(i / 8), i / 59]).flat();
  const stroke: SheetLine = { id: "s", kind: "stroke", weight: "heavy", samples };

  it("are wider where the pen was pressed, and come back from the SVG on a layer of their own", () => {
    const layers = layersOf(sceneWith({}, [stroke]));
    const { areas } = layer(layers, "strokes-heavy")!;
    const svg = toSvg({ title: "t", width: 420, height: 297, layers });
    const group = /<g id="strokes-heavy"[^>]*>.*?<path d="([^"]+)"/s.exec(svg);
    const read = [...group![1].matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]): Vec2 => [Number(x), Number(y)]);
    expect(read).toHaveLength(areas!.xy.length / 2);
    read.forEach((at, i) => expect(distance2(at, [areas!.xy[2 * i], areas!.xy[2 * i + 1]])).toBeLessThan(1e-3));
    // Every sample lies within the outline's width of it; the outline is wider at the pressed end.
    const outline = strokeOutline(stroke as Extract<SheetLine, { kind: "stroke" }>);
    const width = (x: number) => {
      const near = Array.from({ length: outline.length / 2 }, (_, i) => [outline[2 * i], outline[2 * i + 1]]).filter(
        ([at]) => Math.abs(at - x) < 1,
      );
      return Math.max(...near.map(([, y]) => y)) - Math.min(...near.map(([, y]) => y));
    };
    expect(width(100)).toBeGreaterThan(width(56));
  });
});

describe("what a file may hold and a hand does not make", () => {
  it("is drawn in numbers all the same: steps along no line, pressures beyond their limits", () => {
    const [from, to]: [number, number][] = [
      [50, 60],
      [50, 60],
    ];
    const nowhere = { id: "n", kind: "spacing" as const, weight: "light" as const, from, to, parts: "4" };
    const pressed = [100, 100, 500, 150, 100, -500, 200, 120, 0.5];
    const stroke: SheetLine = { id: "p", kind: "stroke", weight: "light", samples: pressed };
    const lines: WorldLine[] = [{ ...nowhere, plane: levelAt("Ground", 0), from: [1, 8], to: [1, 8] }];
    const layers = layersOf(sceneWith({ lines }, [nowhere, stroke]));
    for (const { lines: drawn, areas } of layers)
      expect([...drawn, ...(areas?.xy ?? [])].every(Number.isFinite)).toBe(true);
    // No stroke is wider than its pen pressed fully.
    const ys = [...layer(layers, "strokes-light")!.areas!.xy].filter((_, i) => i % 2 === 1);
    expect(Math.min(...ys)).toBeGreaterThan(99);
  });
});

describe("divisions", () => {
  it("draw a tick at each step towards the point, and nothing but the line where the steps make no sense", () => {
    const scene = sceneWith({});
    const view = viewOf(scene.shots[0]);
    const far = [0.2, 0.4, 0.6, 0.8].map((share) => project(view, [1 + 6 * share, 5 + 8 * share, 0])!);
    const ends = [0, 1].map((share): [number, number] => {
      const [x, y] = project(view, [1 + 6 * share, 5 + 8 * share, 0])!;
      return [x, y];
    });
    const heading = (Math.atan2(6, 8) * 180) / Math.PI;
    const line: SheetLine = {
      ...{ id: "s", kind: "spacing", weight: "light", from: ends[0], to: ends[1], parts: "5" },
      towards: "o-left",
    };
    const own = (parts: string) =>
      layer(
        layersOf({
          ...sceneWith({ orientations: [{ id: "o", name: "O", heading }] }, [{ ...line, parts, towards: "o-right" }]),
        }),
        "divisions-light",
      )!;
    const ticks = chordsOf(own("5"));
    const middles = Array.from({ length: ticks.length / 4 - 1 }, (_, i): Vec2 => {
      const o = 4 * (i + 1);
      return [(ticks[o] + ticks[o + 2]) / 2, (ticks[o + 1] + ticks[o + 3]) / 2];
    });
    far.forEach((at) => expect(middles.some((middle) => distance2(at, middle) < 1e-6)).toBe(true));
    expect(own("5 twice").lines).toHaveLength(4);
  });
});
