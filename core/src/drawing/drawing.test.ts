import fc from "fast-check";
import { distance2 } from "../geometry";
import type { LawId } from "../lens";
import { newScene, type Scene, type Shot, type Show } from "../scene";
import { project, rimRadius, viewOf } from "../shot";
import { anyShot, anyBlocks, block, shotWith } from "../../testing";
import { blockAxes, build, built, DEFAULT_STREET, type Building, type Street } from "../world";
import { HIDDEN, OUTLINE, visibleEdges } from "../visibility";
import { compassArc, horizonPlanes, pickedArcs, pinsOf, vanishingPoint } from "../vanishing";
import { flat } from "./stretches";
import { compassFeet, draw, drawDesk, segmentLines, showOf, thinned, toSvg } from ".";

const sceneOf = (shot = shotWith(), elements: Scene["elements"] = []): Scene => ({
  ...newScene("Quay & <lock>"),
  elements,
  shots: [shot],
});
const drawn = (scene: Scene) =>
  draw(scene, scene.shots[0], visibleEdges(build(scene.elements), viewOf(scene.shots[0]).eye));

describe("a drawing", () => {
  it("keeps every line inside the panel and finite, whatever stands beside or behind the eye", () => {
    fc.assert(
      fc.property(anyShot, anyBlocks, (shot, elements) => {
        const show = { live: 1, frame: 1, horizon: 1, bundles: 1, buildings: 1, hidden: 1 };
        for (const { lines } of drawn(sceneOf({ ...shot, show }, elements)).layers) {
          const inside = (value: number, i: number) => value > 15 - 1e-5 && value < (i % 2 ? 282 : 405) + 1e-5;
          expect(Array.from(lines).filter((value, i) => !inside(value, i))).toEqual([]);
        }
      }),
    );
  });

  it("draws parallel edges to one point", () => {
    fc.assert(
      fc.property(anyShot, anyBlocks, (shot, [house]) => {
        const view = viewOf(shot);
        const [axis] = blockAxes(house);
        const { at } = vanishingPoint(view, axis);
        fc.pre(at !== null && Math.hypot(...at) < 1e5);
        const [solid] = build([house]);
        const parallels = [1, 3, 5, 7].map(
          (n) => [solid.vertices[n], solid.vertices[n === 1 ? 2 : n === 3 ? 0 : n === 5 ? 6 : 4]] as const,
        );
        const { lines } = segmentLines(view, parallels);
        for (let i = 0; i < lines.length; i += 4) {
          const [x1, y1, x2, y2] = lines.subarray(i, i + 4);
          const length = Math.hypot(x2 - x1, y2 - y1);
          if (length < 1) continue;
          const off = Math.abs((x2 - x1) * (at![1] - y1) - (y2 - y1) * (at![0] - x1)) / length;
          expect(off).toBeLessThan(1e-6 * (1 + Math.hypot(at![0] - x1, at![1] - y1)));
        }
      }),
    );
  });

  it("draws a wall that runs past the eye up to the panel's edge", () => {
    // A wall 2 m to the right, from 20 m behind the eye to 20 m before it.
    const wall = drawn(sceneOf(shotWith(), [block("wall", 2, -20, 40, 1, 4)]));
    const lines = wall.layers.flatMap((layer) =>
      layer.id === "outlines" || layer.id === "creases" ? [...layer.lines] : [],
    );
    // Its foot leaves by the panel's lower side, 133.5 mm under the horizon, where those stand for 1.6 m: 2 m to the
    // right are 2 * 133.5 / 1.6 = 166.875 mm right of C.
    const foot = lines.findIndex((y, i) => i % 2 === 1 && Math.abs(y - 282) < 1e-6);
    expect(lines[foot - 1]).toBeCloseTo(210 + 166.875, 6);
  });
});

describe("details", () => {
  it(
    "are thinned where they would clot: none nearer than the gap at both ends to one that is kept, the near ones " +
      "all there",
    () => {
      const street: Street = {
        id: "s",
        kind: "street",
        name: "Quay",
        path: [
          { x: 4, y: 3 },
          { x: 4, y: 160 },
        ],
        ...DEFAULT_STREET,
        dashes: undefined,
        slabs: 1,
      };
      const view = viewOf(shotWith({ gaze: { heading: 0 } }));
      const all = built([street]).details.map(({ a, b, item }) => ({ a, b, index: item!.index }));
      const items = {
        ends: flat(all.map(({ a, b }) => [a, b])),
        starts: Uint32Array.from({ length: all.length + 1 }, (_, i) => i),
        needs: new Int32Array(all.length).fill(-1),
        rank: Uint8Array.from(all, ({ index }) => (index === 0 ? 31 : Math.log2(index & -index))),
        dense: new Uint8Array(all.length),
      };
      const drawnItems = thinned(view, items, 0.8, () => true);
      const kept = all.filter((_, i) => drawnItems[i]);
      // What is not wanted crowds nothing out.
      expect(thinned(view, items, 0.8, (i) => i < 10).reduce((sum, one) => sum + one, 0)).toBe(10);
      expect(all.length).toBe(2 * 156);
      expect(kept.length).toBeLessThan(150);
      expect(kept.slice(0, 10)).toEqual(all.slice(0, 10));
      // An even share: where the least step between those that are kept is 2, 4 or more, all are multiples of it.
      for (let i = 20; i + 2 < kept.length / 2; i++) {
        const step = 2 ** Math.floor(Math.log2(kept[i + 1].index - kept[i].index));
        expect(kept[i].index % step).toBe(0);
      }
      const drawnAt = kept.map(({ a, b }) => [project(view, a)!, project(view, b)!] as const);
      drawnAt.forEach(([a, b], i) =>
        drawnAt
          .slice(i + 1)
          .forEach(([c, d]) => expect(Math.max(distance2(a, c), distance2(b, d))).toBeGreaterThan(0.8 - 1e-9)),
      );
    },
  );
});

describe("the lines within a thing", () => {
  it("are drawn where its outline is and they fit beside it, each level whole or not at all", () => {
    const view = viewOf(shotWith({ gaze: { heading: 0 } }));
    // An upright at 20 m, one 0.5 m beside it, and one that crowds the first; all of 2 m.
    const at = (x: number) => [[x, 20, 0] as const, [x, 20, 2] as const];
    const items = (needs: readonly number[], ...places: readonly number[]) => ({
      ends: flat(places.map((x) => [at(x)[0], at(x)[1]])),
      starts: Uint32Array.from({ length: places.length + 1 }, (_, i) => i),
      rank: Uint8Array.from(places, () => 1),
      needs: Int32Array.from(needs),
      dense: new Uint8Array(places.length),
    });
    const drawnOf = (of: ReturnType<typeof items>, wanted = (_: number) => true) => [...thinned(view, of, 0.8, wanted)];
    expect(drawnOf(items([-1, 0], 0, 0.5))).toEqual([1, 1]);
    expect(drawnOf(items([-1, 0], 0, 0.01))).toEqual([1, 0]);
    // What needs another waits for it, whatever their order, and goes with it.
    expect(drawnOf(items([1, -1], 0, 0.01))).toEqual([0, 1]);
    expect(drawnOf(items([-1, 0], 0, 0.5), (i) => i === 1)).toEqual([0, 0]);
  });

  it("may lie near to each other in letters, which are drawn while they can be read", () => {
    const view = viewOf(shotWith({ gaze: { heading: 0 } }));
    // Two uprights 5 mm apart, of a capital so high, at 20 m: 1 m is drawn 15 mm high there.
    const letter = (high: number, dense: 0 | 1) => ({
      ends: flat([0, 0.005].map((x) => [[x, 20, 1] as const, [x, 20, 1 + high] as const])),
      starts: Uint32Array.from([0, 2]),
      rank: Uint8Array.from([31]),
      needs: Int32Array.from([-1]),
      dense: Uint8Array.from([dense]),
    });
    const drawn = (high: number, dense: 0 | 1 = 1) => [...thinned(view, letter(high, dense), 0.8, () => true)];
    expect([drawn(0.5), drawn(0.5, 0)]).toEqual([[1], [0]]);
    // Four gaps are 3.2 mm: 0.2133 m there.
    expect([drawn(0.22), drawn(0.2)]).toEqual([[1], [0]]);
  });
});

describe("far things", () => {
  it(
    "are thinned to their outline when what is within it would clot; near ones keep creases, details and lines " +
      "of meeting",
    () => {
      const house = (y: number): Building => ({
        id: `h${y}`,
        kind: "building",
        name: "House",
        footprint: [
          [-3, y],
          [4, y],
          [4, y + 6],
          [-3, y + 6],
        ].map(([px, py]) => ({ x: px, y: py })),
        base: 0,
        height: 6,
        storeys: 2,
        roof: { kind: "hip", rise: 2 },
        windows: { every: 3, width: 1, height: 1.2, sill: 0.9 },
        chimneys: [{ x: 0, y: y + 2, side: 0.8, rise: 3 }],
      });
      const layersOf = (y: number, show: Partial<Show> = {}) => {
        const { solids, details } = built([house(y)]);
        const scene = sceneOf(shotWith({ eye: { x: 9, z: 14 }, gaze: { heading: 0, pitch: -10 } }), [house(y)]);
        return draw(
          scene,
          { ...scene.shots[0], show: { ...showOf(scene.shots[0]), ...show } },
          visibleEdges(solids, viewOf(scene.shots[0]).eye, details),
        )
          .layers.map(({ id }) => id.replace(/-(middle|far)$/, ""))
          .filter((id) => ["details", "creases", "meetings", "outlines"].includes(id));
      };
      expect(layersOf(24)).toEqual(["details", "creases", "meetings", "outlines"]);
      expect(layersOf(24, { details: 0, meetings: 0 })).toEqual(["creases", "outlines"]);
      // 7 m wide and 9 m high through 300 mm at 1,000 m: 2 and 3 mm, less than five gaps of 0.8 mm.
      expect(layersOf(1000)).toEqual(["outlines"]);
    },
  );

  it("are told by the size of the whole thing: a near one keeps its creases where its outline is hidden", () => {
    const scene = sceneOf(shotWith({ eye: { x: 9, z: 14 }, gaze: { heading: 0, pitch: -10 } }), [
      block("gate", 0, 25, 6, 6, 6, 30),
    ]);
    const visible = visibleEdges(built(scene.elements).solids, viewOf(scene.shots[0]).eye);
    // As if something stood before all of its outline.
    const hidden = { ...visible, edgeClass: visible.edgeClass.map((as) => (as === OUTLINE ? HIDDEN : as)) };
    const creases = (seen: typeof visible) =>
      draw(scene, scene.shots[0], seen).layers.find(({ id }) => id === "creases")?.lines.length;
    expect(creases(visible)).toBeGreaterThan(0);
    expect(creases(hidden)).toBe(creases(visible));
  });
});

describe("the SVG writer", () => {
  const svg = toSvg(drawn(sceneOf(shotWith(), [block("b", 0, 14, 8, 6, 7, -55)])));

  it("writes true millimetres and one named group per layer, bottom first", () => {
    expect(svg).toContain('width="420mm" height="297mm" viewBox="0 0 420 297"');
    expect([...svg.matchAll(/<g id="([^"]+)"/g)].map((m) => m[1])).toEqual([
      "grid-main-left",
      "grid-main-right",
      "grid-upright",
      "horizon",
      "creases",
      "outlines",
      "frame",
    ]);
    expect(svg).not.toMatch(/NaN|Infinity/);
  });

  it("keeps a title from breaking the document", () => {
    expect(svg).toContain("<title>Quay &amp; &lt;lock&gt;: First shot</title>");
  });
});

describe("curved drawings", () => {
  const curved = (law: LawId, more: Partial<Shot> = {}): Shot => {
    const shot = shotWith({ gaze: { heading: 10, pitch: -25, roll: 8 }, distance: 55 });
    return { ...shot, lens: { ...shot.lens, law }, ...more };
  };

  it("are written as cubic Beziers, in few of them", () => {
    const drawing = drawn(sceneOf(curved("stereographic"), []));
    const svg = toSvg(drawing);
    const grid = /<g id="grid-main-left"[^]*?<\/g>/.exec(svg)![0];
    expect(grid).toMatch(/M[-\d.]+ [-\d.]+C/);
    const chords = drawing.layers.find(({ id }) => id === "grid-main-left")!.curves!.t.length;
    expect(grid.match(/C/g)!.length).toBeLessThan(chords / 3);
  });

  it(
    "have compass arcs from rim to rim, each place of them on its circle, and ticks only where the curve is " +
      "elsewhere",
    () => {
      for (const law of ["stereographic", "equidistant"] as const) {
        const shot = curved(law, {
          show: { live: 0, frame: 1, horizon: 1, bundles: 0, buildings: 1, hidden: 0, compass: 1 },
          arcs: [{ pin: "main-left", through: { x: 200, y: 170 } }],
        });
        const scene = sceneOf(shot, []);
        const view = viewOf(shot);
        const pins = pinsOf(scene.orientations, shot);
        const circles = [
          ...horizonPlanes(pins).map(({ id, normal }) => compassArc(view, normal, id, id)),
          ...pickedArcs(view, pins, shot.arcs).map(({ arc }) => arc),
        ];
        const layers = drawn(scene).layers;
        const { lines } = layers.find(({ id }) => id === "compass-arcs")!;
        const rim = rimRadius(shot);
        let onRim = 0;
        for (let i = 0; i < lines.length; i += 2) {
          const p = [lines[i], lines[i + 1]] as const;
          const off = Math.min(
            ...circles.map(({ foot, radius }) => Math.abs(Math.hypot(p[0] - foot![0], p[1] - foot![1]) - radius)),
          );
          expect(off).toBeLessThan(1e-6);
          const fromRim = Math.hypot(p[0] - view.centre[0], p[1] - view.centre[1]) - rim;
          expect(fromRim).toBeLessThan(1e-6);
          if (Math.abs(fromRim) < 1e-6) onRim++;
        }
        // Both ends of every arc are on the rim, which lies in the panel as a whole.
        expect(onRim).toBe(2 * circles.length);
        expect(layers.some(({ id }) => id === "compass-difference")).toBe(law === "equidistant");
      }
    },
  );
});

it(
  "the desk of a compass sheet holds the feet within reach, each with its cross; in a curved lens no far pin " +
    "behind the eye",
  () => {
    const plain = shotWith({ gaze: { heading: 10, pitch: -25, roll: 0 }, distance: 70 });
    const shot: Shot = {
      ...plain,
      lens: { ...plain.lens, law: "stereographic" },
      show: { live: 0, frame: 1, horizon: 1, bundles: 0, buildings: 0, hidden: 0, compass: 1 },
    };
    const scene = sceneOf(shot, []);
    const pins = pinsOf(scene.orientations, shot);
    const { box, layers } = drawDesk(scene, shot, drawn(scene).layers);
    const feet = compassFeet(shot, pins, viewOf(shot)).filter(([x, y]) => Math.abs(x) < 1000 && Math.abs(y) < 1000);
    expect(feet.some(([, y]) => y > shot.sheet.height)).toBe(true);
    const crosses = layers.find(({ id }) => id === "compass-feet")!.lines;
    for (const [x, y] of feet) {
      expect(box.x <= x && x <= box.x + box.width && box.y <= y && y <= box.y + box.height).toBe(true);
      expect(
        [...Array(crosses.length / 4).keys()].some(
          (i) =>
            Math.abs((crosses[4 * i] + crosses[4 * i + 2]) / 2 - x) < 1e-9 &&
            Math.abs((crosses[4 * i + 1] + crosses[4 * i + 3]) / 2 - y) < 1e-9,
        ),
      ).toBe(true);
    }
    expect(layers.filter(({ id }) => id === "compass-feet")).toHaveLength(1);
    const far = pins.filter(({ opposite, offSheet }) => opposite && offSheet);
    expect(far.length).toBeGreaterThan(0);
    for (const { id } of far) expect(layers.some((layer) => layer.id === `pin-${id}`)).toBe(false);
  },
);
