import { headingDirection, type Vec3 } from "../geometry";
import { frameOn, paperOf, sheetOf, type Shot } from "../scene";
import { project, viewOf } from "../shot";
import { build, type Element } from "../world";

/** From where a kit is looked at: so far beside its front, degrees, and so many times as far off as it is large. */
const [BESIDE, FAR] = [28, 2.4] as const;
/** How high the eye of who stands is, m; so much of the panel a kit fills. */
const [STANDING, FILLED] = [1.6, 0.86] as const;

/** The corners of the upright box around what things are built to. */
function cornersAround(things: readonly Element[]): readonly Vec3[] {
  const all = build(things).flatMap(({ vertices }) => vertices);
  const [xs, ys, zs] = [0, 1, 2].map((axis) => {
    const own = all.map((p) => p[axis]);
    return own.reduce(([low, high], v) => [Math.min(low, v), Math.max(high, v)], [Infinity, -Infinity]);
  });
  return xs.flatMap((x) => ys.flatMap((y) => zs.map((z): Vec3 => [x, y, z])));
}

/** A shot of things at the origin that face south: from before them and a little aside, so that all of them is seen. */
export function shotOfThings(things: readonly Element[]): Shot {
  const sheet = sheetOf(paperOf("A4"), true);
  const frame = frameOn(sheet);
  const box = cornersAround(things);
  const [[x0, y0, z0], [x1, y1, z1]] = [box[0], box[box.length - 1]];
  const [mx, my] = [(x0 + x1) / 2, (y0 + y1) / 2];
  const far = FAR * Math.max(x1 - x0, y1 - y0, z1 - z0);
  const heading = -BESIDE;
  const [ax, ay] = headingDirection(heading);
  const tall = z1 - z0;
  const z = z0 + (tall > STANDING ? STANDING : tall + far / 3);
  const middle = { x: frame.x + frame.width / 2, y: frame.y + frame.height / 2 };
  const shot: Shot = {
    id: "s1",
    name: "As it is kept",
    sheet,
    frame,
    eye: { x: mx - far * ax, y: my - far * ay, z },
    gaze: { heading, pitch: 0, roll: 0 },
    lens: { law: "rectilinear", distance: 100, centre: middle },
    show: { bundles: 0, horizon: 0 },
  };
  const seen = box.flatMap((corner) => {
    const at = project(viewOf(shot), corner);
    return at ? [at] : [];
  });
  const [xs, ys] = [0, 1].map((axis) => seen.map((p) => p[axis]));
  const [[u0, u1], [v0, v1]] = [xs, ys].map((all) => [Math.min(...all), Math.max(...all)]);
  const times = FILLED * Math.min(frame.width / (u1 - u0), frame.height / (v1 - v0));
  // The picture grows about the centre of vision, which is put so that the kit comes to the middle of its panel.
  const centre = {
    x: middle.x - times * ((u0 + u1) / 2 - middle.x),
    y: middle.y - times * ((v0 + v1) / 2 - middle.y),
  };
  return { ...shot, lens: { ...shot.lens, distance: 100 * times, centre } };
}
