import fc from "fast-check";
import { cross, dot, norm, type Vec2, type Vec3 } from "../src/geometry";
import { newScene, type Shot } from "../src/scene";
import { inMetric, type Told } from "../src/units";
import { areaTwice, crossingOf, tidy, type Block, type Solid } from "../src/world";

/** A number between two limits, spread evenly but for the limits themselves. */
export const between = (min: number, max: number) =>
  fc.noBias(fc.integer({ min: 0, max: 1e9 })).map((n) => min + ((max - min) * n) / 1e9);

/** Areas of so many corners at the most about the origin, counter-clockwise, which do not cross themselves, m. */
export const anyStar = (most: number): fc.Arbitrary<readonly Vec2[]> =>
  fc
    .array(fc.tuple(between(0.3, 1), between(3, 20)), { minLength: 3, maxLength: most })
    .map((steps) => {
      const whole = steps.reduce((sum, [step]) => sum + step, 0);
      let turn = 0;
      return steps.map(([step, far]): Vec2 => {
        turn += (2 * Math.PI * step) / whole;
        return [far * Math.cos(turn), far * Math.sin(turn)];
      });
    })
    .filter((ring) => tidy(ring).length >= 3 && areaTwice(ring) > 1 && crossingOf(ring) === null);

/** A shot with a given eye, gaze and lens on the default sheet. */
export function shotWith(
  change: {
    eye?: Partial<Shot["eye"]>;
    gaze?: Partial<Shot["gaze"]>;
    distance?: number;
    centre?: Partial<Shot["lens"]["centre"]>;
  } = {},
): Shot {
  const [shot] = newScene("Test").shots;
  return {
    ...shot,
    eye: { ...shot.eye, ...change.eye },
    gaze: { ...shot.gaze, ...change.gaze },
    lens: {
      ...shot.lens,
      distance: change.distance ?? shot.lens.distance,
      centre: { ...shot.lens.centre, ...change.centre },
    },
  };
}

/** Shots with any eye, gaze and lens that leave room to look. */
export const anyShot = fc
  .record({
    x: between(-50, 50),
    y: between(-50, 50),
    z: between(-10, 60),
    heading: between(-180, 180),
    pitch: between(-80, 80),
    roll: between(-180, 180),
    distance: between(50, 2000),
    cx: between(-300, 700),
    cy: between(-300, 600),
  })
  .map(({ x, y, z, heading, pitch, roll, distance, cx, cy }) =>
    shotWith({ eye: { x, y, z }, gaze: { heading, pitch, roll }, distance, centre: { x: cx, y: cy } }),
  );

/** A block from numbers. */
export const block = (
  id: string,
  x: number,
  y: number,
  length: number,
  width: number,
  height: number,
  heading = 0,
  z = 0,
): Block => ({
  id,
  kind: "block",
  name: id,
  origin: { x, y, z },
  heading,
  length,
  width,
  height,
});

/** A town of loose blocks around the origin. */
export const anyBlocks = fc
  .array(
    fc.record({
      x: between(-40, 40),
      y: between(-40, 40),
      z: fc.constantFrom(0, 0, 0, 3),
      length: between(1, 15),
      width: between(1, 15),
      height: between(1, 25),
      heading: between(0, 360),
    }),
    { minLength: 1, maxLength: 12 },
  )
  .map((list) =>
    list.map(({ x, y, z, length, width, height, heading }, i) =>
      block(`b${i}`, x, y, length, width, height, heading, z),
    ),
  );

/** Places of the plan as a document has them. */
export const xy = (places: readonly Vec2[]): { x: number; y: number }[] => places.map(([x, y]) => ({ x, y }));

/** The corners of a rectangle of the plan, as a document has them. */
export const rectangle = (x0: number, y0: number, x1: number, y1: number) =>
  xy([
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ]);

/** The angle between two directions, by atan2, so that small and right angles come out to rounding. */
export const angleOf = (a: Vec3, b: Vec3): number => Math.atan2(norm(cross(a, b)), dot(a, b));

/** What is found, with its sentences in words. */
export const inWords = <T extends { readonly message: Told }>(
  found: readonly T[],
): (Omit<T, "message"> & { readonly message: string })[] =>
  found.map((one) => ({ ...one, message: inMetric(one.message) }));

/**
 * Why a solid is not closed: an edge that does not lie on two faces, once each way, or a sum of Euler and Poincare
 * that is not V - E + F - holes = 2 - 2 genus; null where it is.
 * @param genus how many times it is pierced from top to bottom
 */
export function whyOpen({ vertices, faces, edges }: Solid, genus = 0): string | null {
  const rings = faces.flatMap(({ loop, holes = [] }) => [loop, ...holes]);
  const ways = new Map<string, number>();
  for (const ring of rings)
    ring.forEach((a, i) => {
      const key = `${a} ${ring[(i + 1) % ring.length]}`;
      ways.set(key, (ways.get(key) ?? 0) + 1);
    });
  for (const [key, count] of ways) {
    const [a, b] = key.split(" ");
    if (count !== 1 || ways.get(`${b} ${a}`) !== 1) return `edge ${key}`;
  }
  const sum = vertices.length - edges.length + 2 * faces.length - rings.length;
  return sum === 2 - 2 * genus ? null : `Euler and Poincare's sum is ${sum}`;
}

/** A GeoJSON document as other programs read it: without the members of our own, and what has no place on a map. */
export function plainGeoJson(document: object): object {
  const { features } = document as { readonly features: readonly { properties: object; geometry: object | null }[] };
  return {
    type: "FeatureCollection",
    features: features
      .filter(({ geometry }) => geometry)
      .map((feature) => ({ ...feature, properties: { ...feature.properties, zanvo: undefined } })),
  };
}
