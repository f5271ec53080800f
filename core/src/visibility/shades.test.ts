import fc from "fast-check";
import { Vector3 } from "three";
import { anyBlocks, between, block } from "../../testing";
import { plainHouse } from "../../testing/houses";
import { boxes, house, REVEAL, TALL, WIDE } from "../../testing/recessed";
import { meshOf, stopped } from "../../testing/rays";
import { add, dot, scale, type Vec3 } from "../geometry";
import { raysOf, towardsLight, type Caster } from "../light";
import { areaTwice, build, built, isWithin, newPerson, newTurned, type Element, type Solid } from "../world";
import { OPEN_GROUND, SEEN, visibleEdges, type FaceAreas } from ".";
import { onPlane, planeOfFace } from "./onFace";

const sun = (heading: number, height: number): Caster => ({ id: "sun", kind: "sun", heading, height });
const lamp = (x: number, y: number, z: number): Caster => ({ id: "lamp", kind: "lamp", at: { x, y, z } });

const ringsOf = ({ xyz, starts }: FaceAreas, ring: number): readonly Vec3[] =>
  Array.from({ length: starts[ring + 1] - starts[ring] }, (_, k): Vec3 => {
    const o = 3 * (starts[ring] + k);
    return [xyz[o], xyz[o + 1], xyz[o + 2]];
  });

/** Whether a place lies in areas of one solid and one light, by the even-odd rule; and how near a side is, m. */
function lies(areas: FaceAreas, solid: number, light: number, face: { normal: Vec3; offset: number }, p: Vec3) {
  const plane = planeOfFace(face);
  const at = onPlane(plane, p);
  let [inside, off] = [false, Infinity];
  areas.light.forEach((of, i) => {
    if (of !== light || areas.solid[i] !== solid) return;
    const ring = ringsOf(areas, i);
    if (Math.abs(dot(face.normal, ring[0]) - face.offset) > 1e-6) return;
    if ([0, 1, 2].some((k) => Math.abs(areas.normals[3 * i + k] - face.normal[k]) > 1e-6)) return;
    const flat = ring.map((q) => onPlane(plane, q));
    if (isWithin(at, flat)) inside = !inside;
    flat.forEach(([ax, ay], k) => {
      const [bx, by] = flat[(k + 1) % flat.length];
      const long2 = (bx - ax) ** 2 + (by - ay) ** 2 || 1;
      const t = Math.min(1, Math.max(0, ((at[0] - ax) * (bx - ax) + (at[1] - ay) * (by - ay)) / long2));
      off = Math.min(off, Math.hypot(at[0] - ax - t * (bx - ax), at[1] - ay - t * (by - ay)));
    });
  });
  return { inside, off };
}

/** Places of all faces of solids, off their rims. */
function placesOf({ vertices, faces }: Solid) {
  return faces.flatMap((face) =>
    face.pieces.flatMap((piece) => {
      const middle = scale(
        piece.reduce<Vec3>((sum, n) => add(sum, vertices[n]), [0, 0, 0]),
        1 / piece.length,
      );
      return [0.15, 0.5, 0.85].flatMap((t) =>
        piece.map((n) => ({ face, p: add(scale(middle, 1 - t), scale(vertices[n], t)) })),
      );
    }),
  );
}

const vector = (p: Vec3) => new Vector3(...p);

/** Compares shadows and what is seen with rays of `three`; off the sides of areas by more than a mm they must agree. */
function compared(solids: readonly Solid[], light: Caster, eye: Vec3): readonly [checked: number, differing: number] {
  const { areas } = visibleEdges(solids, eye, [], undefined, { lights: [light], areas: true });
  const meshes = solids.map(meshOf);
  const rays = raysOf(light);
  let [checked, differing] = [0, 0];
  const check = (solid: number, face: { normal: Vec3; offset: number }, p: Vec3) => {
    const outside = vector(add(p, scale(face.normal, 1e-5)));
    const isSeen = dot(face.normal, eye) - face.offset > 1e-3 && !stopped(meshes, vector(eye), outside, 1e-5);
    const way = towardsLight(rays, p);
    const from = rays.kind === "point" ? rays.at : add(p, scale(way, 500));
    const isDark = dot(face.normal, way) <= 0 || stopped(meshes, vector(from), outside, 1e-5);
    if (Math.abs(dot(face.normal, way)) < 0.02) return;
    const [dark, seen] = [0, SEEN].map((of) => lies(areas, solid, of, face, p));
    if (Math.min(dark.off, seen.off) < 1e-3) return;
    checked++;
    if (dark.inside !== (isSeen && isDark) || (solid !== OPEN_GROUND && seen.inside !== isSeen)) differing++;
  };
  solids.forEach((solid, s) => placesOf(solid).forEach(({ face, p }) => check(s, face, p)));
  for (let x = -40; x <= 40; x += 7.3)
    for (let y = -40; y <= 40; y += 7.1) check(OPEN_GROUND, { normal: [0, 0, 1], offset: 0 }, [x, y, 0]);
  return [checked, differing];
}

describe("shadows", () => {
  it("agree with rays of three from a sun at places of all faces and of the ground of random towns", () => {
    let [checked, differing] = [0, 0];
    fc.assert(
      fc.property(
        anyBlocks,
        between(-60, 60),
        between(1, 30),
        between(0, 360),
        between(8, 80),
        (blocks, x, z, h, up) => {
          const [n, wrong] = compared(build(blocks), sun(h, up), [x, -70, z]);
          [checked, differing] = [checked + n, differing + wrong];
        },
      ),
      { numRuns: 25 },
    );
    expect(checked).toBeGreaterThan(2000);
    expect(differing / checked).toBeLessThan(0.001);
  });

  it("agree with rays of three from a lamp, also within a house, through its doors and windows", () => {
    let [checked, differing] = [0, 0];
    fc.assert(
      fc.property(anyBlocks, between(-30, 30), between(-30, 30), between(3, 25), (blocks, x, y, z) => {
        fc.pre(
          build(blocks).every(({ faces }) => faces.every((f) => Math.abs(dot(f.normal, [x, y, z]) - f.offset) > 0.1)),
        );
        const [n, wrong] = compared(build(blocks), lamp(x, y, z), [-60, 20, 12]);
        [checked, differing] = [checked + n, differing + wrong];
      }),
      { numRuns: 15 },
    );
    const house = build([
      plainHouse({ rooms: { wall: 0.3, slab: 0.3 }, doors: [{ x: 6, y: 0, width: 1.2, height: 2.2 }] }),
    ]);
    const [n, wrong] = compared(house, lamp(5, 4, 2), [6, -14, 1.6]);
    [checked, differing] = [checked + n, differing + wrong];
    expect(checked).toBeGreaterThan(1000);
    expect(differing / checked).toBeLessThan(0.001);
  });

  it("of a post fall as the projective shadow matrix says", () => {
    // A post of 3 m by 0.2 m, a sun in the south-west at 30 degrees: a shadow of 3 / tan 30 m to the north-east.
    const [post] = build([block("post", 0, 0, 0.2, 0.2, 3)]);
    const light = sun(225, 30);
    const { areas } = visibleEdges([post], [-10, 10, 4], [], undefined, { lights: [light] });
    const ground = Array.from(areas.solid.keys()).filter((i) => areas.solid[i] === OPEN_GROUND);
    const corners = ground.flatMap((i) => ringsOf(areas, i));
    // x' = x - z Lx / Lz for parallel rays (Blinn, 1988, from memory).
    const [lx, ly, lz] = towardsLight(raysOf(light), [0, 0, 0]);
    const tops = post.vertices
      .filter(([, , z]) => z > 2)
      .map(([x, y, z]): Vec3 => [x - (z * lx) / lz, y - (z * ly) / lz, 0]);
    const far = tops.reduce((most, p) => (p[0] + p[1] > most[0] + most[1] ? p : most));
    expect(corners.some((p) => Math.hypot(p[0] - far[0], p[1] - far[1]) < 1e-6)).toBe(true);
    // Of its own corner farthest from the sun it is 3 / tan 30 m away.
    const foot = post.vertices.reduce((most, p) => (p[0] + p[1] > most[0] + most[1] ? p : most));
    expect(Math.hypot(far[0] - foot[0], far[1] - foot[1])).toBeCloseTo(3 / Math.tan(Math.PI / 6), 6);
  });

  it("of round things are those of their exact outlines within what the eye can tell", () => {
    // A sphere of 2 m radius whose middle is 5 m up, the sun at 45 degrees: an ellipse of half axes 2 and 2 sqrt 2 m.
    const ball: Element = { id: "b", name: "Ball", ...newTurned("ball", { x: 0, y: 0, z: 3 }) };
    const [solid] = build([ball]);
    const heights = solid.vertices.map(([, , z]) => z);
    const [low, high] = [Math.min(...heights), Math.max(...heights)];
    const [r, up] = [(high - low) / 2, (high + low) / 2];
    const { areas } = visibleEdges([solid], [200, 0, 150], [], 1e-5, { lights: [sun(180, 45)] });
    const rings = Array.from(areas.solid.keys())
      .filter((i) => areas.solid[i] === OPEN_GROUND)
      .map((i) => ringsOf(areas, i).map(([x, y]): [number, number] => [x, y]));
    const area = rings.reduce((sum, ring) => sum + areaTwice(ring) / 2, 0);
    expect(area / (Math.PI * r * r * Math.SQRT2)).toBeCloseTo(1, 2);
    for (const [x, y] of rings.flat()) expect((x / r) ** 2 + ((y - up) / (r * Math.SQRT2)) ** 2).toBeCloseTo(1, 1);
  });

  it("of a reveal fall on the pane and the sides of a window as rays of three say", () => {
    const { solids, details } = built([house, block("kiosk", -3, -6, 2.5, 2, 2.6)]);
    const meshes = [...boxes(), ...solids.filter(({ id }) => id === "kiosk").map(meshOf)];
    const wall = solids.findIndex(({ id }) => id === "house");
    const [w, d] = [WIDE / 2, REVEAL];
    const parts: readonly { normal: Vec3; at: (s: number, t: number) => Vec3 }[] = [
      { normal: [0, -1, 0], at: (s, t) => [w * (2 * s - 1), d, 1 + t * TALL] },
      { normal: [1, 0, 0], at: (s, t) => [-w, s * d, 1 + t * TALL] },
      { normal: [-1, 0, 0], at: (s, t) => [w, s * d, 1 + t * TALL] },
      { normal: [0, 0, 1], at: (s, t) => [w * (2 * s - 1), t * d, 1] },
      { normal: [0, 0, -1], at: (s, t) => [w * (2 * s - 1), t * d, 1 + TALL] },
    ];
    let [checked, differing, dark] = [0, 0, 0];
    fc.assert(
      fc.property(
        between(-9, 9),
        between(0.5, 6),
        between(70, 290),
        between(5, 70),
        fc.boolean(),
        (x, z, h, up, isSun) => {
          const eye: Vec3 = [x, -9, z];
          const light = isSun ? sun(h, up) : lamp(x / 2 + 2, -4, z);
          const { areas } = visibleEdges(solids, eye, details, undefined, { lights: [light], areas: true });
          const rays = raysOf(light);
          for (const { normal, at } of parts)
            for (const s of [0.06, 0.31, 0.55, 0.93])
              for (const t of [0.07, 0.36, 0.61, 0.94]) {
                const p = at(s, t);
                const face = { normal, offset: dot(normal, p) };
                const before = vector(add(p, scale(normal, 1e-5)));
                const way = towardsLight(rays, p);
                const from = rays.kind === "point" ? rays.at : add(p, scale(way, 500));
                const isSeen = dot(normal, eye) > face.offset && !stopped(meshes, vector(eye), before, 1e-5);
                const isDark = dot(normal, way) <= 0 || stopped(meshes, vector(from), before, 1e-5);
                const [shade, seen] = [0, SEEN].map((of) => lies(areas, wall, of, face, p));
                if (Math.min(shade.off, seen.off) < 1e-3 || Math.abs(dot(normal, way)) < 0.01) continue;
                checked++;
                if (isSeen && isDark) dark++;
                if (shade.inside !== (isSeen && isDark) || seen.inside !== isSeen) differing++;
              }
        },
      ),
      { numRuns: 60 },
    );
    expect([checked > 2000, dark > 200]).toEqual([true, true]);
    expect(differing / checked).toBeLessThan(0.001);
  });

  it("of round things end just where their exact surfaces turn away from the light", () => {
    const ball: Element = { id: "b", name: "Ball", ...newTurned("ball", { x: 0, y: 0, z: 3 }) };
    const [solid] = build([ball]);
    const heights = solid.vertices.map(([, , z]) => z);
    const middle: Vec3 = [0, 0, (Math.min(...heights) + Math.max(...heights)) / 2];
    fc.assert(
      fc.property(between(0, 360), between(5, 80), between(3, 20), (h, up, far) => {
        const light = sun(h, up);
        const { areas } = visibleEdges([solid], [0, -far, 5], [], 1e-3, { lights: [light] });
        const way = towardsLight(raysOf(light), middle);
        for (const i of areas.solid.keys()) {
          if (areas.solid[i] === OPEN_GROUND) continue;
          // A place within a facet, moved out on to the ball: it turns away from the sun.
          const ring = ringsOf(areas, i);
          const inner = scale(
            ring.reduce<Vec3>((sum, p) => add(sum, p), [0, 0, 0]),
            1 / ring.length,
          );
          const out = add(inner, scale(middle, -1));
          expect(dot(out, way) / Math.hypot(...out)).toBeLessThan(1e-6);
          for (const p of ring) expect(dot(add(p, scale(middle, -1)), way)).toBeLessThan(1e-5);
        }
      }),
    );
  });

  it("fall on figures, which are dark all over with the light behind them", () => {
    const person = { id: "p", name: "Passer-by", ...newPerson({ x: 0, y: 0, z: 0 }, 180) };
    const eye: Vec3 = [0, -12, 1.6];
    const dark = (elements: readonly Element[], light: Caster) => {
      const solids = build(elements);
      const { areas } = visibleEdges(solids, eye, [], 1e-4, { lights: [light], areas: true });
      const plane = planeOfFace({ normal: [0, -1, 0], offset: 0 });
      const size = (of: number) =>
        Array.from(areas.light.keys())
          .filter((i) => areas.light[i] === of && areas.solid[i] === 0)
          .reduce((sum, i) => sum + areaTwice(ringsOf(areas, i).map((p) => onPlane(plane, p))) / 2, 0);
      return size(0) / size(SEEN);
    };
    expect(dark([person], sun(180, 30))).toBe(0);
    expect(dark([person], sun(0, 30))).toBeCloseTo(1, 9);
    const beside = block("wall", 2, -3, 6, 1, 8);
    expect(dark([person, beside], sun(100, 30))).toBeCloseTo(1, 9);
  });

  it("are none where no light is on, and the parts of faces that are seen fill no more than the faces", () => {
    const solids = build([block("a", 0, 0, 6, 4, 5), block("b", 2, -8, 3, 3, 3)]);
    const { areas } = visibleEdges(solids, [3, -30, 2], [], undefined, {
      lights: [{ ...sun(10, 40), off: true }],
      areas: true,
    });
    expect([...new Set(areas.light)]).toEqual([SEEN]);
    // The nearer block's front is seen whole: 3 by 3 m.
    const front = Array.from(areas.light.keys()).filter((i) => areas.solid[i] === 1 && areas.normals[3 * i + 1] < -0.9);
    const sides = front.map((i) => ringsOf(areas, i).map(([x, , z]): [number, number] => [x, z]));
    expect(Math.abs(sides.reduce((sum, ring) => sum + areaTwice(ring) / 2, 0))).toBeCloseTo(9, 6);
  });

  it("end where the open ground does, for a sun at the horizon", () => {
    const [post] = build([block("post", 0, 0, 2, 2, 300)]);
    const { areas } = visibleEdges([post], [-10, 10, 400], [], undefined, { lights: [sun(200, 0.01)] });
    expect(areas.xyz.every(Number.isFinite)).toBe(true);
    expect(Math.max(...areas.xyz.map(Math.abs))).toBeLessThan(2011);
  });
});

it("the way to a sun has the length of one, its heading and its height", () =>
  fc.assert(
    fc.property(between(0, 360), between(1, 89), (heading, height) => {
      const way = towardsLight(raysOf(sun(heading, height)), [0, 0, 0]);
      expect(dot(way, way)).toBeCloseTo(1, 12);
      expect(Math.asin(way[2])).toBeCloseTo((height * Math.PI) / 180, 12);
      expect(Math.cos(Math.atan2(way[0], way[1]) - (heading * Math.PI) / 180)).toBeCloseTo(1, 12);
    }),
  ));
