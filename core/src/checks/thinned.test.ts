import { DEFAULT_WINDOWS, newBuilding } from "../world";
import { lineSpacingOf, newScene, type Scene } from "../scene";
import { inMetric } from "../units";
import { seenFindings } from ".";

/** A house of some storeys, 60 m long, so far ahead of the eye, with a window 1 m wide to each 1.3 m. */
const front = (ahead: number): Scene => ({
  ...newScene("Front"),
  elements: [
    newBuilding({
      id: "b",
      name: "Rope walk",
      footprint: [
        { x: -30, y: ahead },
        { x: 30, y: ahead },
        { x: 30, y: ahead + 10 },
        { x: -30, y: ahead + 10 },
      ],
      base: 0,
      height: 12,
      storeys: 4,
      roof: { kind: "flat" },
      windows: { ...DEFAULT_WINDOWS, every: 1.3, width: 1 },
    }),
  ],
});
const thinned = (scene: Scene, gap: number) => {
  const [shot] = scene.shots;
  return seenFindings(scene, { ...shot, room: { ...lineSpacingOf(shot), gap } }).filter(({ id }) =>
    id.startsWith("thinned-"),
  );
};

describe("what is left out of a drawing since it would clot", () => {
  it("is told with how many there are of how many, and where", () => {
    const [found, ...more] = thinned(front(120), 2);
    expect(more).toEqual([]);
    const [, left, all] =
      /^(\d+) of (\d+) are left out here: drawn, lines would come nearer than 2 mm to each other\.$/.exec(
        inMetric(found.message),
      )!;
    expect(found).toMatchObject({ id: "thinned-window", where: "Windows", severity: "note", value: Number(left) });
    // 45 to each of four storeys, on the one wall that is seen: every second one, drawn 0.75 mm from the next.
    expect(Number(all)).toBe(4 * 45);
    expect(Number(left)).toBe(4 * 22);
  });

  it("is nothing where there is room for all, and nothing of what is switched off", () => {
    expect(thinned(front(40), 0.5)).toEqual([]);
    const scene = front(120);
    const [shot] = scene.shots;
    expect(thinned({ ...scene, shots: [{ ...shot, show: { ...shot.show, "details-window": 0 } }] }, 2)).toEqual([]);
    expect(thinned({ ...scene, shots: [{ ...shot, show: { ...shot.show, buildings: 0 } }] }, 2)).toEqual([]);
  });
});
