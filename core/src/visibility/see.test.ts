import fc from "fast-check";
import { BoxGeometry, Matrix4, Mesh, Raycaster, Vector3, DoubleSide, MeshBasicMaterial } from "three";
import { distance2, dot, sub, type Vec3 } from "../geometry";
import { anyBlocks, between, block } from "../testing";
import { build, type Block } from "../world";
import { CREASE, HIDDEN, OUTLINE, see, type Seen } from ".";

/** A block as a mesh of `three`, built from its own numbers. */
function mesh({ origin, heading, length, width, height }: Block): Mesh {
  const box = new Mesh(new BoxGeometry(width, length, height), new MeshBasicMaterial({ side: DoubleSide }));
  const turn = new Matrix4().makeRotationZ((-heading * Math.PI) / 180);
  box.geometry.translate(width / 2, length / 2, height / 2);
  box.applyMatrix4(new Matrix4().makeTranslation(origin.x, origin.y, origin.z).multiply(turn));
  box.updateMatrixWorld();
  return box;
}

/** Whether something stands between the eye and a point, up to `short` metres before it. */
function stopped(meshes: readonly Mesh[], eye: Vector3, point: Vector3, short = 1e-4): boolean {
  const way = point.clone().sub(eye);
  const rays = new Raycaster(eye, way.clone().normalize(), 0, way.length() - short);
  return meshes.some((m) => rays.intersectObject(m).length > 0);
}

const stretchesOf = (seen: Seen, wanted: (i: number) => boolean): [Vec3, Vec3][] =>
  [...seen.sight.keys()].filter(wanted).map((i) => {
    const e = seen.ends.subarray(6 * i, 6 * i + 6);
    return [[e[0], e[1], e[2]], [e[3], e[4], e[5]]];
  });

describe("which stretches are seen", () => {
  it("agrees with three's Raycaster at points of the stretches of random towns", () => {
    let [checked, doubtful] = [0, 0];
    fc.assert(fc.property(anyBlocks, between(-60, 60), between(-60, 60), between(0.2, 40), (blocks, x, y, z) => {
      // An eye on the very plane of a wall has no clear answer.
      const walls = build(blocks).flatMap(({ faces }) => faces.map(({ normal, offset }) => Math.abs(dot(normal, [x, y, z]) - offset)));
      fc.pre(Math.min(...walls) > 0.2);
      const eye = new Vector3(x, y, z);
      const meshes = blocks.map(mesh);
      const seen = see(build(blocks), [x, y, z]);
      seen.sight.forEach((sight, i) => {
        const e = seen.ends.subarray(6 * i, 6 * i + 6);
        const length = Math.hypot(e[3] - e[0], e[4] - e[1], e[5] - e[2]);
        if (length < 0.02) return;
        for (const t of [0.13, 0.5, 0.83]) {
          const p = new Vector3(e[0] + t * (e[3] - e[0]), e[1] + t * (e[4] - e[1]), e[2] + t * (e[5] - e[2]));
          const way = p.clone().sub(eye);
          const reach = way.length();
          const hit = stopped(meshes, eye, p);
          if (hit !== (sight === HIDDEN)) {
            // The answers may differ only where a step of 2 mm changes what the other blocks hide, or where the line of
            // sight grazes the block's own silhouette.
            const others = meshes.filter((_, n) => n !== seen.solid[i]);
            const steps = [[0, 0, 0], [2, 0, 0], [-2, 0, 0], [0, 2, 0], [0, -2, 0], [0, 0, 2], [0, 0, -2]];
            const answers = steps.map((step) => stopped(others, eye, p.clone().addScaledVector(new Vector3(...step), 1e-3)));
            const own = [meshes[seen.solid[i]]];
            const side = new Vector3(-way.y, way.x, 0).normalize();
            const over = side.clone().cross(way).normalize();
            const grazes = [side, side.clone().negate(), over, over.clone().negate()].map((s) => stopped(own, eye, p.clone().addScaledVector(s, 1e-4 * reach)));
            expect(new Set(answers).size > 1 || new Set(grazes).size > 1).toBe(true);
            doubtful++;
          }
          checked++;
        }
      });
    }), { numRuns: 150, seed: 11, endOnFailure: true });
    expect(checked).toBeGreaterThan(5000);
    expect(doubtful / checked).toBeLessThan(0.001);
  });

  it("covers every edge exactly once, and answers the same twice", () => {
    fc.assert(fc.property(anyBlocks, between(-60, 60), between(-60, 60), between(0, 40), (blocks, x, y, z) => {
      const solids = build(blocks);
      const seen = see(solids, [x, y, z]);
      const drawn = stretchesOf(seen, () => true).reduce((sum, [a, b]) => sum + Math.hypot(...sub(b, a)), 0);
      const built = solids.flatMap((s) => s.edges.map((e) => Math.hypot(...sub(s.vertices[e.b], s.vertices[e.a])))).reduce((a, b) => a + b, 0);
      expect(Math.abs(drawn / built - 1)).toBeLessThan(1e-6);
      expect(see(solids, [x, y, z])).toEqual(seen);
    }));
  });

  const seenLevels = (eye: number) => {
    const seen = see(build([block("b", 5, 10, 8, 6, 7, 20, 3)]), [0, 0, eye]);
    const level = (z: number) => stretchesOf(seen, (i) => seen.sight[i] !== HIDDEN).filter(([a, b]) => a[2] === z && b[2] === z).length;
    return { top: level(10), bottom: level(3) };
  };

  it("shows the top from above, neither from between, the underside from below", () => {
    expect(seenLevels(14)).toEqual({ top: 4, bottom: 2 });
    expect(seenLevels(6)).toEqual({ top: 2, bottom: 2 });
    expect(seenLevels(1)).toEqual({ top: 2, bottom: 4 });
  });

  it("sees a room from within, and nothing beyond its walls", () => {
    const seen = see(build([block("room", -4, -4, 8, 8, 3), block("outside", 10, 10, 4, 4, 9)]), [0, 0, 1.6]);
    seen.sight.forEach((sight, i) => expect(sight === HIDDEN).toBe(seen.solid[i] === 1));
  });

  it("keeps the seam of two houses that touch, and hides the wall between them", () => {
    // Both run east by 6 m and south by 8 m, to a front at y = 2.
    const seen = see(build([block("a", 0, 10, 6, 8, 9, 90), block("b", 6, 10, 6, 8, 9, 90)]), [3, -10, 1.6]);
    const seams = stretchesOf(seen, (i) => seen.sight[i] !== HIDDEN)
      .filter(([a, b]) => distance2([a[0], a[1]], [6, 2]) < 1e-9 && distance2([b[0], b[1]], [6, 2]) < 1e-9);
    expect(seams.map(([a, b]) => Math.abs(b[2] - a[2]))).toEqual([9, 9]);
    const depth = stretchesOf(seen, (i) => seen.sight[i] !== HIDDEN).filter(([a, b]) => Math.abs(a[1] - b[1]) > 1);
    expect(depth).toEqual([]);
  });

  it("cuts an edge where a nearer block begins to cover it, to the micrometre", () => {
    // A post-like block at y 5 covers x from -1 to 1; seen from the origin it covers x from -2 to 2 at y 10.
    const seen = see(build([block("near", -1, 5, 1, 2, 20), block("far", -6, 10, 1, 12, 2)]), [0, 0, 1]);
    const front = stretchesOf(seen, (i) => seen.solid[i] === 1 && seen.sight[i] !== HIDDEN)
      .filter(([a, b]) => a[1] === 10 && b[1] === 10 && a[2] === 2 && b[2] === 2)
      .map(([a, b]) => [a[0], b[0]].sort((p, q) => p - q));
    expect(front.flat().sort((p, q) => p - q)).toEqual([-6, expect.closeTo(-2, 6), expect.closeTo(2, 6), 6]);
  });

  it("tells outlines from creases", () => {
    const seen = see(build([block("b", 0, 10, 5, 5, 5, 45)]), [0, 0, 9]);
    const count = (sight: number) => seen.sight.filter((s) => s === sight).length;
    expect([count(OUTLINE), count(CREASE), count(HIDDEN)]).toEqual([6, 3, 3]);
  });

  it("answers an empty world with nothing", () => {
    expect(see([], [0, 0, 0]).sight).toHaveLength(0);
  });
});
