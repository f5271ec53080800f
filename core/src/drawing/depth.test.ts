import fc from "fast-check";
import { Mesh, BoxGeometry, MeshBasicMaterial, DoubleSide, PlaneGeometry, Raycaster, Vector3, Matrix4 } from "three";
import { anyBlocks, anyShot, between, block, shotWith } from "../../testing";
import { add, cross, distance2, norm, scale, sub, type Vec2, type Vec3 } from "../geometry";
import { newScene } from "../scene";
import { unproject, viewOf } from "../shot";
import { OUTLINE, visibleEdges } from "../visibility";
import { build, type Block } from "../world";
import { chordsOf, compose, contextOf } from ".";
import { bandsOf, parted, weightAt } from "./depth";
import { profiled } from "./profile";
import type { Segment, Stretches } from "./stretches";
import { edgesOfClass } from "./visibleLines";

const segmentsOf = ({ ends }: Stretches): Segment[] =>
  Array.from({ length: ends.length / 6 }, (_, i) => {
    const [ax, ay, az, bx, by, bz] = ends.subarray(6 * i, 6 * i + 6);
    return [
      [ax, ay, az],
      [bx, by, bz],
    ];
  });
const lengthOf = (stretches: Stretches) => segmentsOf(stretches).reduce((sum, [a, b]) => sum + norm(sub(b, a)), 0);

/** How long a metre is drawn at least, in each band, mm. */
const LEAST = [7, 2.5, 0];

it("outlines are parted at the depths where a metre is drawn 7 and 2.5 mm long, and none is lost", () => {
  fc.assert(
    fc.property(anyBlocks, anyShot, (blocks, shot) => {
      const view = viewOf(shot);
      const visible = visibleEdges(build(blocks), view.eye);
      const all = edgesOfClass(visible, OUTLINE);
      expect(all.solid).toHaveLength(visible.edgeClass.filter((one) => one === OUTLINE).length);
      const into = bandsOf({}, view.distance, [0.5, 0.35, 0.25]);
      const bands = parted(all, view.eye, into);
      expect(bands.reduce((sum, band) => sum + lengthOf(band), 0)).toBeCloseTo(lengthOf(all), 6);
      bands.forEach((band, depth) => {
        for (const [a, b] of segmentsOf(band)) {
          const far = norm(sub([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2, (a[2] + b[2]) / 2], view.eye));
          const drawn = shot.lens.distance / far;
          expect(drawn).toBeGreaterThan(LEAST[depth] - 1e-9);
          if (depth > 0) expect(drawn).toBeLessThanOrEqual(LEAST[depth - 1] + 1e-9);
        }
      });
    }),
    { numRuns: 60 },
  );
});

it("the near block is drawn with the heavy pen, the far one with the light one; all alike where that is chosen", () => {
  const scene = { ...newScene("Depth"), elements: [block("near", 2, 12, 4, 4, 4), block("far", 30, 300, 20, 20, 30)] };
  const shot = shotWith({ distance: 300, gaze: { heading: 0 } });
  const layers = (even?: boolean, kind = "outlines") => {
    const own = { ...shot, evenOutlines: even };
    const { eye } = viewOf(own);
    return compose(contextOf(scene, own, visibleEdges(build(scene.elements), eye)))
      .filter(({ id }) => id.startsWith(kind))
      .map(({ id, style }) => `${id} ${style.width}`);
  };
  expect(layers()).toEqual(["outlines-far 0.25", "outlines 0.5"]);
  expect(layers(true)).toEqual(["outlines 0.5"]);
  // Inner lines are lighter than profiles at every depth.
  expect(layers(false, "creases")).toEqual(["creases-far 0.18", "creases 0.3"]);
});

it("lines grow thinner and fainter from one distance to another as a shot says, by even shares of the logarithm", () => {
  const depth = { near: 10, far: 160, thin: 0.2, faint: 0.6 };
  expect(weightAt(depth, 3)).toEqual({ width: 1, strength: 1 });
  // Twice doubled is half way to four times doubled.
  expect(weightAt(depth, 40).width).toBeCloseTo(0.6, 9);
  expect(weightAt(depth, 40).strength).toBeCloseTo(0.7, 9);
  expect(weightAt(depth, 1000).width).toBeCloseTo(0.2, 9);
  expect(weightAt(depth, 1000).strength).toBeCloseTo(0.4, 9);
  const scene = { ...newScene("Depth"), elements: [block("long", 2, 4, 400, 4, 4)] };
  const shot = { ...shotWith({ distance: 300, gaze: { heading: 0 } }), depth };
  const visible = visibleEdges(build(scene.elements), viewOf(shot).eye);
  const styles = (own: Partial<typeof shot>) =>
    compose(contextOf(scene, { ...shot, ...own }, visible))
      .filter(({ id }) => id.startsWith("outlines"))
      .map(({ style }) => style);
  const all = styles({});
  expect(all).toHaveLength(10);
  // The farthest comes first and lies under all others.
  all.slice(1).forEach(({ width, opacity }, i) => {
    expect(width).toBeGreaterThan(all[i].width);
    expect(opacity).toBeGreaterThan(all[i].opacity);
  });
  expect(all[0].width).toBeCloseTo(0.1, 9);
  expect(all[9].width).toBe(0.5);
  expect(styles({ pens: { buildings: 1 } })[0].width).toBeCloseTo(0.2, 9);
  // A distance that ends before it begins is a step, not a fault.
  expect(styles({ depth: { ...depth, far: 5 } }).every(({ width }) => Number.isFinite(width))).toBe(true);
});

it("a thing stands free where a ray of three's beside its outline meets no face within half a metre behind it", () => {
  let [free, backed] = [0, 0];
  const ground = new Mesh(new PlaneGeometry(1e5, 1e5), new MeshBasicMaterial({ side: DoubleSide }));
  ground.updateMatrixWorld();
  fc.assert(
    fc.property(anyBlocks, between(0.6, 60), (blocks, z) => {
      const eye: Vec3 = [0, 0, z];
      fc.pre(blocks.every((one) => distance2([one.origin.x, one.origin.y], [0, 0]) > one.length + one.width));
      const visible = visibleEdges(build(blocks), eye);
      const parts = profiled(visible, eye);
      const all = lengthOf(edgesOfClass(visible, OUTLINE));
      expect(lengthOf(parts.free) + lengthOf(parts.backed)).toBeCloseTo(all, 4);
      const meshes = [...blocks.map(meshOf), ground];
      /** How near behind a place, at right angles to it, a face is that is met a little to one side of it. */
      const behind = (at: Vec3, aside: Vec3, turn: number): number => {
        const to = new Vector3(...add(at, scale(aside, turn * norm(sub(at, eye)))))
          .sub(new Vector3(...eye))
          .normalize();
        const far = new Raycaster(new Vector3(...eye), to)
          .intersectObjects(meshes)
          .map(({ face, object, point, distance }) => {
            const normal = face!.normal.clone().transformDirection(object.matrixWorld);
            // Faces that look away are not looked at; what stands before a place hides what is behind it.
            if (object !== ground && normal.dot(to) > 0) return Infinity;
            if (distance < norm(sub(at, eye)) * (1 - 1e-6)) return 0;
            return Math.abs(normal.dot(point.sub(new Vector3(...at))));
          });
        return Math.min(Infinity, ...far);
      };
      const asked = (stretches: Stretches, isFree: boolean) =>
        segmentsOf(stretches)
          .slice(0, 12)
          .forEach(([a, b]) => {
            const at = add(a, scale(sub(b, a), 0.43));
            const across = cross(sub(a, eye), sub(b, eye));
            if (norm(sub(b, a)) < 0.05 || norm(across) < 1e-3 || Math.abs(at[2]) < 1e-3) return;
            const aside = scale(across, 1 / norm(across));
            const aways = [1.6e-4, 2e-4, 2.4e-4].map((turn) =>
              Math.max(behind(at, aside, turn), behind(at, scale(aside, -1), turn)),
            );
            const [first, far, last] = aways;
            // What is just half a metre off, or a face that is seen no wider than that, is not told by a ray.
            if (aways.some((away) => Math.abs(away - 0.5) < 0.02) || first > 0.5 !== last > 0.5) return;
            if (isFree) free++;
            else backed++;
            expect(far > 0.5).toBe(isFree);
          });
      asked(parts.free, true);
      asked(parts.backed, false);
    }),
    { numRuns: 60 },
  );
  expect(Math.min(free, backed)).toBeGreaterThan(20);
});

/** A block as a mesh of `three`, from its own numbers. */
function meshOf({ origin, heading, length, width, height }: Block): Mesh {
  const box = new Mesh(new BoxGeometry(width, length, height), new MeshBasicMaterial({ side: DoubleSide }));
  box.geometry.translate(width / 2, length / 2, height / 2);
  const turn = new Matrix4().makeRotationZ((-heading * Math.PI) / 180);
  box.applyMatrix4(new Matrix4().makeTranslation(origin.x, origin.y, origin.z).multiply(turn));
  box.updateMatrixWorld();
  return box;
}

it("grids and the horizon stop at masses just where a ray of three's meets one", () => {
  let places = 0;
  fc.assert(
    fc.property(anyBlocks, anyShot, (blocks, shot) => {
      const own = { ...shot, stopAtMasses: true };
      const view = viewOf(own);
      const solids = build(blocks);
      // From within a block all is covered; from beside its plane, nothing is certain.
      fc.pre(
        blocks.every(
          (one) => distance2([one.origin.x, one.origin.y], [view.eye[0], view.eye[1]]) > one.length + one.width,
        ),
      );
      const scene = { ...newScene("Stops"), elements: blocks };
      const visible = visibleEdges(solids, view.eye);
      const only = { only: ["horizon", "bundles"] };
      const [whole, cut] = [{ ...own, stopAtMasses: false }, own].map((one) =>
        compose(contextOf(scene, one, visible), only),
      );
      const meshes = blocks.map(meshOf);
      const hits = (at: Vec2) => {
        const rays = new Raycaster(new Vector3(...view.eye), new Vector3(...unproject(view, at)));
        return meshes.some((mesh) => rays.intersectObject(mesh).length > 0);
      };
      for (const layer of whole.slice(0, 4)) {
        const chords = chordsOf(layer);
        const left = chordsOf(cut.find(({ id }) => id === layer.id) ?? { lines: new Float64Array() });
        for (let i = 0; i < Math.min(chords.length, 160); i += 40) {
          const at: Vec2 = [0.37 * chords[i] + 0.63 * chords[i + 2], 0.37 * chords[i + 1] + 0.63 * chords[i + 3]];
          let drawn = false;
          for (let k = 0; k < left.length && !drawn; k += 4) {
            const [p, q]: Vec2[] = [
              [left[k], left[k + 1]],
              [left[k + 2], left[k + 3]],
            ];
            drawn = distance2(p, at) + distance2(at, q) - distance2(p, q) < 1e-7;
          }
          const around: Vec2[] = [
            at,
            [at[0] + 0.05, at[1]],
            [at[0] - 0.05, at[1]],
            [at[0], at[1] + 0.05],
            [at[0], at[1] - 0.05],
          ];
          expect(around.map((one) => !hits(one))).toContain(drawn);
          places++;
        }
      }
    }),
    { numRuns: 25 },
  );
  expect(places).toBeGreaterThan(100);
});
