import { newScene, type Scene, type Shot } from "../scene";
import { shotWith } from "../../testing";
import { build, built, type Element } from "../world";
import { visibleEdges, visibleEdgesInParts } from "../visibility";
import {
  compose,
  composer,
  contextOf,
  drawnOn,
  drawShot,
  LAYER_KINDS,
  layerKind,
  LEFT_OUT,
  showOf,
  STYLES,
  toSvg,
} from ".";

const shot = shotWith({ gaze: { heading: 10 } });
const scene: Scene = {
  ...newScene("Layers"),
  elements: [
    {
      id: "b",
      kind: "block",
      name: "Net loft",
      origin: { x: -2, y: 14, z: 0 },
      heading: 20,
      length: 8,
      width: 6,
      height: 7,
    },
  ],
  shots: [{ ...shot, measured: [{ plane: "level", at: 0, every: 1, heavy: 5, strength: 1 }], show: { squares: 1 } }],
};
const [only] = scene.shots;
const context = contextOf(scene, only, visibleEdges(build(scene.elements), [0, 0, 1.6]));

/** A square of 20 mm with a square hole of 10 mm in it: 300 square mm. */
const shadow = layerKind({
  id: "shadow",
  label: "Shadow",
  order: 65,
  style: { ...STYLES.outline, fill: "#808080", opacity: 0.5 },
  strength: 0.5,
  compute: () => ({
    lines: new Float64Array(),
    areas: {
      xy: Float64Array.from([100, 100, 120, 100, 120, 120, 100, 120, 105, 105, 115, 105, 115, 115, 105, 115]),
      starts: Uint32Array.from([0, 4, 8]),
    },
  }),
});

describe("the kinds of layer", () => {
  it.each(LAYER_KINDS.map((kind) => [kind.id, kind] as const))("%s says all that follows from it", (id, kind) => {
    expect(kind.label).toMatch(/^[A-Z]/);
    expect(kind.strength).toBeGreaterThanOrEqual(0);
    expect(kind.strength).toBeLessThanOrEqual(1);
    expect(LAYER_KINDS.filter((other) => other.id === id || other.order === kind.order)).toEqual([kind]);
    if ("partOf" in kind && kind.partOf) expect(LAYER_KINDS.map((other) => other.id)).toContain(kind.partOf);
    expect(LEFT_OUT).toContain(id);
    expect(showOf({})[id]).toBe(kind.strength);
    // Left out, none of its layers is drawn, and every other one stays as it was.
    const whole = compose(context).map((layer) => layer.id);
    const own = compose(context, { only: [id] }).map((layer) => layer.id);
    const rest = drawShot(scene, only.id, [id]).layers.map((layer) => layer.id);
    expect(rest.filter((layer) => own.includes(layer))).toEqual([]);
    expect(whole.filter((layer) => !own.includes(layer)).filter((layer) => !rest.includes(layer))).toEqual(
      LAYER_KINDS.filter((other) => "partOf" in other && other.partOf === id).flatMap((part) =>
        compose(context, { only: [part.id] }).map((layer) => layer.id),
      ),
    );
  });

  it("stand in their order", () => {
    const orders = LAYER_KINDS.map(({ order }) => order);
    expect(orders).toEqual([...orders].sort((a, b) => a - b));
  });
});

describe("the composer", () => {
  it("draws a further kind, with its strength and its place, without anything else that names it", () => {
    const kinds = [...LAYER_KINDS, shadow];
    const layers = compose(context, { kinds });
    const at = layers.findIndex(({ id }) => id === "shadow");
    expect(layers[at]).toMatchObject({ label: "Shadow", style: { opacity: 0.25, fill: "#808080" } });
    expect(layers[at - 1].id).toBe("horizon");
    expect(layers[at + 1].id).toBe("creases");
    const stronger = { ...context, shot: { ...only, show: { shadow: 1 } } };
    expect(compose(stronger, { kinds, only: ["shadow"] })[0].style.opacity).toBe(0.5);
    expect(compose({ ...context, shot: { ...only, show: { shadow: 0 } } }, { kinds, only: ["shadow"] })).toEqual([]);
  });

  it("works out again only what depends on a change", () => {
    const again = composer();
    const [before, after] = [
      again(context),
      again({ ...context, visible: visibleEdges(build(scene.elements), [1, 0, 1.6]) }),
    ];
    const kept = after.filter((layer) => before.includes(layer)).map(({ id }) => id);
    expect(kept).toEqual(["grid-main-left", "grid-main-right", "grid-upright", "measured-1", "heavy-1", "frame"]);
    // The horizon stops at masses.
    expect(after.map(({ id }) => id)).toEqual([...kept.slice(0, -1), "horizon", "creases", "outlines", "frame"]);
  });

  it("draws squares as strongly as grids are drawn, and not without them", () => {
    const squares = (show: Record<string, number>) =>
      compose({ ...context, shot: { ...only, show } }, { only: ["squares"] }).map(({ style }) => style.opacity);
    expect(squares({})).toEqual([1, 1]);
    expect(squares({ bundles: 0.5, squares: 0.5 })).toEqual([0.25, 0.25]);
    expect(squares({ bundles: 0 })).toEqual([]);
  });

  it("leaves out what is empty", () => {
    expect(compose(context).every(drawnOn)).toBe(true);
    const bare = { ...scene, elements: [], shots: [{ ...only, show: { bundles: 0, horizon: 0, frame: 0 } }] };
    expect(drawShot(bare).layers).toEqual([]);
  });
});

it("areas are written to SVG as one path with its holes, under the layer's lines", () => {
  const layers = compose(context, { kinds: [shadow] });
  const svg = toSvg({ title: "Areas", width: 420, height: 297, layers });
  expect(svg).toContain(
    '<path d="M100 100L120 100L120 120L100 120ZM105 105L115 105L115 115L105 115Z" fill="#808080" ' +
      'fill-opacity="0.25" fill-rule="evenodd" stroke="none"/>',
  );
  expect(svg).not.toContain('d=""');
});

it("every group of an SVG, a photo's too, is a layer with its name in a vector editor", () => {
  const photo = { picture: "p", name: "Quay & lock", at: only.frame, turn: 0, clip: only.frame, opacity: 1 };
  const drawing = { title: "Layers", width: 420, height: 297, layers: compose(context), photos: [photo] };
  const svg = toSvg(drawing, 1, new Map([["p", "p.webp"]]));
  const groups = svg.match(/<g [^>]*>/g)!;
  expect(groups).toHaveLength(1 + drawing.layers.length);
  expect(svg).toMatch(/^<svg [^>]*xmlns:inkscape="[^"]+"/m);
  expect(groups.map((group) => / inkscape:groupmode="layer" inkscape:label="([^"]*)"/.exec(group)?.[1])).toEqual([
    "Quay &amp; lock",
    ...drawing.layers.map(({ label }) => label.replaceAll("&", "&amp;")),
  ]);
});

describe("details", () => {
  const front: Scene = {
    ...scene,
    elements: [
      {
        id: "f",
        kind: "building",
        name: "Ferry office",
        footprint: [
          { x: -6, y: 15 },
          { x: 6, y: 15 },
          { x: 6, y: 22 },
          { x: -6, y: 22 },
        ],
        base: 0,
        height: 9,
        storeys: 3,
        roof: { kind: "flat" },
        windows: { every: 2.4, width: 1.1, height: 1.2, sill: 0.9 },
        doors: [{ x: 0, y: 15, width: 1, height: 2.1 }],
      },
    ],
  };
  const drawn = (change: Partial<Shot>) => {
    const shots = [{ ...shotWith({ gaze: { heading: 0 } }), ...change }];
    const layers = drawShot({ ...front, shots }).layers.filter(({ id }) => id.startsWith("details"));
    return layers.map(({ id, style, lines }) => [id, style.opacity, lines.length / 4] as const);
  };

  it("have a strength of their own by kind, and are gone at none", () => {
    const [[, , all]] = drawn({});
    // A door is three lines.
    expect(drawn({ show: { "details-door": 0.5 } })).toEqual([
      ["details", 1, all - 3],
      ["details-door", 0.5, 3],
    ]);
    expect(drawn({ show: { "details-window": 0 } })).toEqual([["details", 1, 3]]);
  });

  it("keep the shot's own least gap, on the board as in files", () => {
    // From 45 m away, through 300 mm: windows are 7.3 mm wide and 8 mm high, 8.7 mm from one another and 20 above one
    // another; the door is 6.7 mm wide and 14 mm high. Each is there with all its sides, or not at all.
    const eye = { x: 0, y: -30, z: 1.6 };
    const lines = (gap: number) => drawn({ eye, room: { gap, clear: 4 } }).reduce((sum, [, , n]) => sum + n, 0);
    const [[, , all]] = drawn({ eye });
    expect(all % 4).toBe(3);
    expect(lines(6.5)).toBe(all);
    expect(lines(7)).toBe(all - 3);
    expect(lines(9)).toBe(0);
  });

  it("leave of windows that stand too near to one another every second, each with all its sides", () => {
    const near = (gap: number) => {
      const wall = { ...front.elements[0], windows: { every: 1.4, width: 1.1, height: 1.2, sill: 0.9 }, doors: [] };
      const shots = [{ ...shotWith({ gaze: { heading: 0 }, eye: { y: -30 } }), room: { gap, clear: 4 } }];
      const layer = drawShot({ ...front, elements: [wall as Element], shots }).layers.find(
        ({ id }) => id === "details",
      );
      return layer!.lines.length / 4;
    };
    // Eight bays in three storeys; sides of neighbours are 0.3 m, 2 mm, apart. Four bays have even places.
    expect([near(1.9), near(2.1)]).toEqual([3 * 8 * 4, 3 * 4 * 4]);
  });
});

it("details wait until all that is seen is known; edges are drawn as they come, only the last part is whole", () => {
  const house: Element = {
    id: "h",
    kind: "building",
    name: "House",
    footprint: [
      { x: -5, y: 14 },
      { x: 5, y: 14 },
      { x: 5, y: 22 },
      { x: -5, y: 22 },
    ],
    base: 0,
    height: 6,
    roof: { kind: "flat" },
    windows: { every: 3, width: 1, height: 1.2, sill: 0.9 },
  };
  const { solids, details } = built([house]);
  const whole = visibleEdges(solids, [0, 0, 1.6], details);
  const layersOf = (visible: typeof whole) =>
    compose(contextOf(scene, shot, visible))
      .map(({ id }) => id)
      .filter((id) => /^(details|outlines)/.test(id));
  expect(whole.whole).toBe(true);
  expect(layersOf(whole)).toEqual(["details", "outlines"]);
  expect(layersOf({ ...whole, whole: false })).toEqual(["outlines"]);
  const city = Array.from({ length: 60 }, (_, i) => ({
    ...house,
    id: `h${i}`,
    footprint: house.footprint.map(({ x, y }) => ({ x: x + 12 * (i % 8), y: y + 10 * Math.floor(i / 8) })),
  }));
  const many = built(city);
  const parts = [...visibleEdgesInParts(many.solids, [0, 0, 30], many.details)];
  expect(parts.map((part) => part.whole)).toEqual(parts.map((_, i) => i === parts.length - 1));
  expect(parts.length).toBeGreaterThan(1);
});

describe("the horizon of the sea", () => {
  const drawnY = (z: number) => {
    const high = { ...only, eye: { x: 0, y: 0, z }, show: { ...only.show, seaHorizon: 1 } };
    const [layer] = compose(contextOf(scene, high, visibleEdges([], [0, 0, z])), { only: ["seaHorizon"] });
    return layer ? [...layer.lines].filter((_, i) => i % 2 === 1) : [];
  };

  it("lies under eye level by the picture distance times the tangent of the dip, and lower to the sides", () => {
    // acos(R / (R + h)) by hand for h = 2,000 m: 1.4354 degrees, at 300 mm 7.517 mm; at the sides it is a hyperbola.
    const ys = drawnY(2000).map((y) => y - 148.5);
    expect(Math.min(...ys)).toBeCloseTo(7.517, 2);
    const half = 195 / 300;
    expect(Math.max(...ys)).toBeCloseTo(7.517 * Math.hypot(1, half), 1);
  });

  it("is not there for an eye at the water", () => expect(drawnY(0)).toEqual([]));
});
