import fc from "fast-check";
import { Raycaster, Vector3 } from "three";
import { between } from "../../testing";
import { boxes, house, REVEAL, WIDE } from "../../testing/recessed";
import { along, distance2, norm, sub, type Vec3 } from "../geometry";
import { built, DETAIL_KINDS } from "../world";
import { visibleEdges } from ".";
import { DETAIL } from "./visibleEdges";

describe("what lies behind an opening", () => {
  it("is seen through it just where a ray of three's reaches it first", () => {
    const meshes = boxes();
    const { solids, details } = built([house]);
    const behind = details.filter(({ through }) => through);
    let [all, same] = [0, 0];
    fc.assert(
      fc.property(between(-9, 9), between(-12, -0.8), between(0.2, 9), (x, y, z) => {
        const eye: Vec3 = [x, y, z];
        const visible = visibleEdges(solids, eye, details);
        const seen = [...visible.edgeClass.keys()]
          .filter((i) => visible.edgeClass[i] === DETAIL)
          .map((i) => visible.ends.subarray(6 * i, 6 * i + 6));
        for (const { a, b } of behind)
          for (const t of [0.13, 0.37, 0.61, 0.88]) {
            const at = along(a, sub(b, a), t);
            const drawn = seen.some((e) => {
              const [p, q]: Vec3[] = [
                [e[0], e[1], e[2]],
                [e[3], e[4], e[5]],
              ];
              return norm(sub(p, at)) + norm(sub(at, q)) - norm(sub(p, q)) < 1e-9;
            });
            const way = sub(at, eye);
            const far = norm(way);
            const ray = new Raycaster(new Vector3(...eye), new Vector3(...way).normalize());
            const [hit] = ray.intersectObjects(meshes);
            all++;
            if (drawn === (hit === undefined || hit.distance > far - 1e-4)) same++;
          }
      }),
      { numRuns: 120, seed: 7 },
    );
    expect(all).toBeGreaterThan(5000);
    expect(same / all).toBeGreaterThan(0.999);
  });

  it("shows as much of a jamb as plain arithmetic gives", () => {
    // By similar triangles, the line of sight past a front corner goes on 4.25 / 4 times as far aside at the pane.
    const eye: Vec3 = [WIDE / 2 - 2, -4, 1.8];
    const { solids, details } = built([house]);
    const visible = visibleEdges(solids, eye, details);
    const reveal = DETAIL_KINDS.findIndex(({ id }) => id === "reveal");
    const level = [...visible.edgeClass.keys()]
      .filter((i) => visible.detail[i] === reveal)
      .map((i) => visible.ends.subarray(6 * i, 6 * i + 6))
      .filter((e) => Math.abs(e[2] - 1) < 1e-9 && Math.abs(e[5] - 1) < 1e-9 && Math.abs(e[1] - e[4]) < 1e-9);
    expect(level).toHaveLength(1);
    const [x0, x1] = [Math.min(level[0][0], level[0][3]), Math.max(level[0][0], level[0][3])];
    expect(x1).toBeCloseTo(WIDE / 2, 9);
    // On the left, the jamb hides as much as lies outside of the line of sight past its front corner.
    const past = eye[0] + ((-WIDE / 2 - eye[0]) * (4 + REVEAL)) / 4;
    expect(x0).toBeCloseTo(Math.max(-WIDE / 2, past), 5);
    expect(distance2([x0, 0], [x1, 0])).toBeGreaterThan(1);
  });
});
