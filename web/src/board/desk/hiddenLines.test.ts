import type { Vec3 } from "@zanvo/core/geometry";
import { block } from "../../../testing";
import { NOTHING_VISIBLE, type VisibleEdges } from "@zanvo/core/visibility";
import type { Element } from "@zanvo/core/world";
import { createHiddenLines } from "./hiddenLines";

/** What is visible, told apart by a number in it. */
const edges = (n: number): VisibleEdges => ({
  ...NOTHING_VISIBLE,
  ends: new Float64Array(6),
  solid: Uint32Array.of(n),
  edgeClass: new Uint8Array(1),
  detail: new Uint8Array(1),
});

interface Run {
  readonly asker: string;
  readonly elements: readonly Element[];
  readonly tell?: (part: VisibleEdges) => void;
  readonly end: (found: VisibleEdges | null) => void;
  readonly fail: (error: Error) => void;
}

/** A worker whose runs end when the test says so. */
function heldWorker() {
  const runs: Run[] = [];
  const givenUp: string[] = [];
  const lines = createHiddenLines({
    visibleEdges: (asker, { elements }, tell) =>
      new Promise((resolve, reject) => runs.push({ asker, elements, tell, end: resolve, fail: reject })),
    giveUp: (asker) => void givenUp.push(asker),
  });
  return { runs, givenUp, lines };
}

const EYE: Vec3 = [0, 0, 1.6];
const states = [0, 1, 2, 3].map((n) => [block(`b${n}`)]);
const settle = () => jest.advanceTimersByTimeAsync(0);

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

describe("hidden lines beside the page", () => {
  it("are worked out one run at a time, and of what waits only the newest is taken up", async () => {
    const { runs, lines } = heldWorker();
    const shown: VisibleEdges[] = [];
    const asker = lines.asker("board", (one) => shown.push(one));
    for (const state of states) asker.want({ elements: state, eye: EYE });
    expect(runs.map((run) => run.elements)).toEqual([states[0]]);
    runs[0].end(edges(0));
    await settle();
    expect(runs.map((run) => run.elements)).toEqual([states[0], states[3]]);
    runs[1].end(edges(3));
    await settle();
    expect(shown.map(({ solid }) => solid[0])).toEqual([0, 3]);
    asker.want({ elements: states[1], eye: EYE });
    expect(runs).toHaveLength(3);
  });

  it("show what comes first where nothing is shown yet, and only there", async () => {
    const { runs, lines } = heldWorker();
    const shown: VisibleEdges[] = [];
    const asker = lines.asker("board", (one) => shown.push(one));
    asker.want({ elements: states[0], eye: EYE });
    runs[0].tell!(edges(1));
    expect(shown).toEqual([]);
    jest.advanceTimersByTime(130);
    runs[0].tell!(edges(2));
    expect([...shown[0].solid]).toEqual([1, 2]);
    // There is more to draw now: it is waited twice as long.
    jest.advanceTimersByTime(130);
    runs[0].tell!(edges(3));
    expect(shown).toHaveLength(1);
    jest.advanceTimersByTime(120);
    runs[0].tell!(edges(4));
    expect([...shown[1].solid]).toEqual([1, 2, 3, 4]);
    runs[0].end(edges(9));
    await settle();
    asker.want({ elements: states[1], eye: EYE });
    expect(runs[1].tell).toBeUndefined();
  });

  it("give up a run of more than a second for a newer state, and for none", async () => {
    const { runs, givenUp, lines } = heldWorker();
    const shown: VisibleEdges[] = [];
    const asker = lines.asker("board", (one) => shown.push(one));
    asker.want({ elements: states[0], eye: EYE });
    jest.advanceTimersByTime(5000);
    expect(givenUp).toEqual([]);
    asker.want({ elements: states[1], eye: EYE });
    jest.advanceTimersByTime(1);
    expect(givenUp).toEqual(["board"]);
    runs[0].end(null);
    await settle();
    expect(runs[1].elements).toBe(states[1]);
    jest.advanceTimersByTime(400);
    asker.want({ elements: states[2], eye: EYE });
    jest.advanceTimersByTime(599);
    expect(givenUp).toHaveLength(1);
    jest.advanceTimersByTime(2);
    expect(givenUp).toHaveLength(2);
    expect(shown).toEqual([]);
  });

  it("say that they are old when the worker dies, and are worked out again on request", async () => {
    const { runs, lines } = heldWorker();
    const asker = lines.asker("board", () => undefined);
    lines.tellTrouble(true);
    asker.want({ elements: states[0], eye: EYE });
    runs[0].fail(new Error("gone"));
    await settle();
    expect(lines.useTrouble.getState()).toEqual({ stale: true, gaveUp: true, tries: 0 });
    lines.lookAgain();
    expect(lines.useTrouble.getState()).toEqual({ stale: true, gaveUp: false, tries: 1 });
    asker.want({ elements: states[0], eye: EYE });
    runs[1].end(edges(1));
    lines.tellTrouble(false);
    await settle();
    expect(lines.useTrouble.getState().stale).toBe(false);
  });

  it("are no longer wanted by who leaves", () => {
    const { givenUp, lines } = heldWorker();
    const [board, other] = [lines.asker("board", () => undefined), lines.asker("other", () => undefined)];
    board.want({ elements: states[0], eye: EYE });
    other.want({ elements: states[0], eye: EYE });
    board.leave();
    expect(givenUp).toEqual(["board"]);
  });
});
