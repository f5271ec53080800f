import { composer, contextOf } from "@zanvo/core/drawing";
import { dividedOwn } from "@zanvo/core/dividing";
import { levelAt, type SheetLine, type WorldLine } from "@zanvo/core/lines";
import { aimsOf, keptSamples, ledTo, smoothed, snapIndexOf } from "@zanvo/core/ruling";
import { newScene, type Scene } from "@zanvo/core/scene";
import { viewOf } from "@zanvo/core/shot";
import { pinsOf } from "@zanvo/core/vanishing";
import { visibleEdges } from "@zanvo/core/visibility";
import { built } from "@zanvo/core/world";
import { street } from "./browser";
import { medians, row } from "./timing";

const LINES = 2000;
const SAMPLES = 10_000;

/** Half of the lines on the sheet, half on the ground of a street of 50 buildings. */
function drawn(): Scene {
  const scene = { ...street(50) };
  const ruled = (i: number): SheetLine => ({
    ...{ id: `s${i}`, kind: "ruled", weight: "medium" },
    from: [20 + (i % 40) * 9, 20 + Math.floor(i / 40) * 9],
    to: [60 + (i % 37) * 9, 24 + Math.floor(i / 37) * 9],
  });
  const onGround = (i: number): WorldLine => ({
    ...{ id: `w${i}`, kind: "ruled", weight: "light", plane: levelAt("Ground", 0) },
    from: [(i % 40) - 20, 5 + Math.floor(i / 40)],
    to: [(i % 40) - 18, 6 + Math.floor(i / 40)],
  });
  const half = Array.from({ length: LINES / 2 }, (_, i) => i);
  const [shot] = scene.shots;
  return { ...scene, lines: half.map(onGround), shots: [{ ...shot, lines: half.map(ruled) }] };
}

/** Lines of one's own: ruled among many others, divided, and drawn freely. */
export function drawingByHand(): void {
  const scene = drawn();
  const [shot] = scene.shots;
  const view = viewOf(shot);
  const pins = pinsOf(scene.orientations, shot);
  const { solids, details } = built(scene.elements);
  const visible = visibleEdges(solids, view.eye, details);
  const context = contextOf(scene, shot, visible);
  const compose = composer();
  const layers = compose(context);
  const index = snapIndexOf(layers);
  const quad: SheetLine = {
    ...{ id: "q", kind: "quad", weight: "light", columns: "100", after: 2 },
    corners: [
      [40, 240],
      [200, 220],
      [200, 120],
      [40, 60],
    ],
  };
  const others = context.lines.sheet.slice(1);
  let n = 0;
  const [follow, move, divide, make] = medians(
    [
      () => {
        const from = [100, 200] as const;
        const to = [200 + (n++ % 40), 180] as const;
        const [aim] = aimsOf(view, pins, [from, to]);
        const led = aim ? ledTo(view, aim.pin, [from, to]) : to;
        void index.across(from, led, 4);
        void index.at(to, 4);
      },
      () => {
        const moved = { ...context.lines.sheet[0], id: `m${n++}` };
        void compose({ ...context, lines: { ...context.lines, sheet: [moved, ...others] } });
      },
      () => void dividedOwn(quad),
      () => void snapIndexOf(layers),
    ],
    30,
  );
  row(
    `ruling among ${LINES.toLocaleString("en")} own lines`,
    `led and snapped in ${follow.toFixed(2)} ms, one moved in ${move.toFixed(1)} ms, what it is led to found anew in ` +
      `${make.toFixed(0)} ms`,
    "within a frame, 17 ms",
  );
  row("four corners in 300 columns", `${divide.toFixed(2)} ms`, "within a frame, 17 ms");
  const samples = Array.from({ length: SAMPLES }, (_, i) => [
    200 + 150 * Math.cos(i / 300),
    150 + 100 * Math.sin(i / 170),
    (i % 100) / 100,
  ]).flat();
  const empty = newScene("Stroke");
  const one = composer({ only: ["strokes"] });
  const [keep, fill] = medians(
    [
      () => void keptSamples(smoothed(samples, 1)),
      () => {
        const stroke: SheetLine = { id: `k${n++}`, kind: "stroke", weight: "medium", samples };
        void one({ ...contextOf(empty, empty.shots[0], visible), lines: { sheet: [stroke], world: [] } });
      },
    ],
    10,
  );
  row(
    `a stroke of ${SAMPLES.toLocaleString("en")} samples`,
    `kept in ${keep.toFixed(1)} ms, its outline made in ${fill.toFixed(1)} ms`,
    "within a frame each, 17 ms",
  );
}
