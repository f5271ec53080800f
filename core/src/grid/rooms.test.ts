import { shotWith } from "../../testing";
import { compose, contextOf } from "../drawing";
import { dot, headingDirection, type Vec3 } from "../geometry";
import { newScene } from "../scene";
import { project, viewOf } from "../shot";
import { handed } from "../vanishing";
import { NOTHING_VISIBLE } from "../visibility";
import { boundedLines, roomPlanes, ROOMS, type Extent, type RoomId, type Span } from ".";

/** Whether a place lies within an extent about an eye, for the axes of an orientation; to a micrometre. */
const isWithinExtent = ({ left, right, up }: Extent, eye: Vec3, axes: readonly [Vec3, Vec3], place: Vec3): boolean => {
  const off: Vec3 = [place[0] - eye[0], place[1] - eye[1], 0];
  const inside = ({ from, to }: Span, value: number) => value >= from - 1e-6 && value <= to + 1e-6;
  return inside(left, dot(off, axes[0])) && inside(right, dot(off, axes[1])) && inside(up, place[2]);
};

/** A one-point view: the gaze runs along the streets. */
const [main] = newScene("Quay").orientations;
const ahead = shotWith({ gaze: { heading: main.heading, pitch: 0, roll: 0 } });

describe.each(Object.keys(ROOMS) as RoomId[])("a %s of true squares", (id) => {
  const planes = roomPlanes(main, ahead, id);
  const view = viewOf(ahead);
  const hands = handed(main.heading, ahead.gaze.heading);
  const axes = [headingDirection(hands.left), headingDirection(hands.right)] as const;

  it("has planes that end at one another, with no line beyond them", () => {
    expect(planes.map(({ plane }) => plane)).toEqual(
      {
        corridor: ["level", "level", "left", "left"],
        room: ["level", "level", "left", "left", "right"],
        street: ["level", "left", "left"],
      }[id],
    );
    for (const plane of planes) {
      const { lines, rim } = boundedLines(view, main.heading, ahead.gaze.heading, plane, plane.extent!, 0);
      expect(lines.length).toBeGreaterThan(10);
      for (const [a, b] of [...lines.map(({ ends }) => ends), ...rim])
        for (const place of [a, b]) expect(isWithinExtent(plane.extent!, view.eye, axes, place)).toBe(true);
    }
  });

  it("has squares as large as they say, on the paper too, by the rule of the picture plane", () => {
    const [floor] = planes;
    const { lines } = boundedLines(view, main.heading, ahead.gaze.heading, floor, floor.extent!, 0);
    // Lines across, k squares beyond the eye: eye height * distance / depth under the horizon.
    const across = lines.filter(
      ({ ends: [a, b] }) => Math.abs((a[0] - b[0]) * axes[0][0] + (a[1] - b[1]) * axes[0][1]) < 1e-9,
    );
    for (const {
      ends: [a],
    } of across) {
      const depth = (a[0] - view.eye[0]) * axes[0][0] + (a[1] - view.eye[1]) * axes[0][1];
      if (depth < 0.5) continue;
      expect(project(view, a)![1]).toBeCloseTo(148.5 + (300 * 1.6) / depth, 6);
    }
    expect(across.length).toBeGreaterThan(5);
  });

  it("is drawn in a hue for each kind of plane, and loose bundles stand back behind it", () => {
    const draw = (measured: typeof planes) => {
      const scene = { ...newScene("Quay"), shots: [{ ...ahead, measured }] };
      return compose(contextOf(scene, scene.shots[0], NOTHING_VISIBLE));
    };
    const layers = draw(planes);
    const strokes = planes.map((_, i) => layers.find((layer) => layer.id === `measured-${i + 1}`)!.style.stroke);
    expect(new Set(strokes).size).toBe(
      new Set(planes.map(({ plane, at }) => `${plane} ${plane === "level" && at > 0}`)).size,
    );
    const bundle = (all: typeof layers) => all.find((layer) => layer.id.startsWith("grid-"))!.style.opacity;
    expect(bundle(layers)).toBeCloseTo(0.3 * bundle(draw([])), 9);
  });
});

it("a room stands about the eye whichever set runs away from it, and never ends under the eye", () => {
  const turned = shotWith({ gaze: { heading: main.heading + 88, pitch: 0, roll: 0 } });
  const planes = roomPlanes(main, { ...turned, eye: { ...turned.eye, z: 5 } }, "corridor");
  expect(planes.slice(2).every(({ plane }) => plane === planes[2].plane)).toBe(true);
  expect(planes[1].at).toBeCloseTo(5.4, 9);
  const eye: Vec3 = [turned.eye.x, turned.eye.y, 5];
  const hands = handed(main.heading, turned.gaze.heading);
  const axes = [headingDirection(hands.left), headingDirection(hands.right)] as const;
  expect(isWithinExtent(planes[0].extent!, eye, axes, eye)).toBe(true);
});
