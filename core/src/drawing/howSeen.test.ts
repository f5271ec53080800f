import fc from "fast-check";
import { plainHouse } from "../../testing/houses";
import { anyShot, between } from "../../testing";
import { dot, norm, sub } from "../geometry";
import { LAWS } from "../lens";
import { DEFAULT_LINE_SPACING, newScene, type Scene } from "../scene";
import { projectDirection, unproject, viewOf } from "../shot";
import { visibilityCache, visibleEdges } from "../visibility";
import { built, usualFront, withFront, type Element } from "../world";
import { contextOf, drawShot, howSeen } from ".";
import { compose } from "./compose";

/** A brick house with fronts and a tiled roof, so far to the north. */
const houseAt = (far: number): Element => {
  const house = plainHouse({
    footprint: [
      { x: -6, y: far },
      { x: 6, y: far },
      { x: 6, y: far + 9 },
      { x: -6, y: far + 9 },
    ],
    roof: { kind: "gable", rise: 4, cover: "tiles" },
    dress: { plinth: 0.5, pattern: "flemish" },
  });
  return withFront(house, usualFront(house, 0, true));
};

const sceneWith = (elements: Element[]): Scene => ({ ...newScene("Brick"), elements });

/** What is drawn where all is built, however small. */
function drawnWhole(scene: Scene) {
  const [shot] = scene.shots;
  const { solids, details } = built(scene.elements);
  return compose(contextOf(scene, shot, visibleEdges(solids, viewOf(shot).eye, details)));
}

describe("what can be told apart", () => {
  it.each(Object.keys(LAWS) as (keyof typeof LAWS)[])(
    "is an angle that %s draws no wider than the least gap anywhere in a panel",
    (law) => {
      fc.assert(
        fc.property(anyShot, between(0, 1), between(0, 1), between(0, 6.3), (any, s, t, turn) => {
          const shot = { ...any, lens: { ...any.lens, law } };
          const view = viewOf(shot);
          const angle = howSeen(shot).leastAngle;
          const { x, y, width, height } = shot.frame;
          const at = [x + s * width, y + t * height] as const;
          // A short step from a place of the panel, and the angle that it is seen under.
          const to = [at[0] + 0.01 * Math.cos(turn), at[1] + 0.01 * Math.sin(turn)] as const;
          const [p, q] = [unproject(view, at), unproject(view, to)];
          const back = projectDirection(view, p);
          const isShown = back !== null && Math.hypot(back[0] - at[0], back[1] - at[1]) < 1e-6;
          // Around the pole of a drum things are enlarged without end.
          if (!isShown || Math.abs(dot(p, view.up)) > 0.95) return;
          const seen = norm(sub(p, q));
          expect(0.01 / seen).toBeLessThanOrEqual((DEFAULT_LINE_SPACING.gap / angle) * 1.02);
        }),
        { numRuns: 60 },
      );
    },
  );

  it.each([60, 150, 600])("leaves the drawing of a house %d m away as it is, but for a course or two", (far) => {
    const scene = sceneWith([houseAt(far)]);
    const whole = drawnWhole(scene);
    const drawn = drawShot(scene).layers;
    expect(drawn.map(({ id }) => id)).toEqual(whole.map(({ id }) => id));
    drawn.forEach(({ id, lines }, i) => {
      const off = Math.abs(lines.length - whole[i].lines.length) / 4;
      expect(off).toBeLessThanOrEqual(id === "details" ? Math.max(1, whole[i].lines.length / 4 / 50) : 0);
    });
  });

  it("is all that is built: few of the bricks and tiles of far houses, all of near ones", () => {
    const [shot] = sceneWith([]).shots;
    const { leastAngle } = howSeen(shot);
    const count = (far: number) => built([houseAt(far)], { eye: viewOf(shot).eye, leastAngle }).details.length;
    const all = built([houseAt(12)]).details.length;
    expect(count(12)).toBe(all);
    expect(count(150)).toBeLessThan(all / 10);
    expect(count(150)).toBeGreaterThan(0);
    expect(count(20_000)).toBe(0);
  });

  it("is told apart by looks from the same eye through other lenses", () => {
    const look = visibilityCache();
    const elements = [houseAt(150)];
    const seen = (leastAngle?: number) => {
      const parts = look(elements, [0, 0, 1.7], { leastAngle });
      for (let next = parts.next(); ; next = parts.next()) if (next.done) return next.value;
    };
    const [whole, wide] = [seen(), seen(0.002)];
    expect(wide.edgeClass.length).toBeLessThan(whole.edgeClass.length);
    expect([seen() === whole, seen(0.002) === wide]).toEqual([true, true]);
  });
});
