import fc from "fast-check";
import { Vector3 } from "three";
import { between } from "../../testing";
import { norm } from "../geometry";
import { rotated, project, unproject } from "./camera";

const vector = fc.tuple(between(-3, 3), between(-3, 3), between(-3, 3));

describe("a direction of a camera", () => {
  it("is rotated as three's Vector3.applyAxisAngle rotates it, to the last digits", () => {
    fc.assert(
      fc.property(vector, vector, (v, turn) => {
        const angle = norm(turn);
        fc.pre(angle > 1e-9);
        const expected = new Vector3(...v).applyAxisAngle(new Vector3(...turn).divideScalar(angle), angle);
        const found = rotated(v, turn);
        expect(found[0]).toBeCloseTo(expected.x, 9);
        expect(found[1]).toBeCloseTo(expected.y, 9);
        expect(found[2]).toBeCloseTo(expected.z, 9);
      }),
    );
    expect(rotated([1, 2, 3], [0, 0, 0])).toEqual([1, 2, 3]);
  });

  it("is found again from its image point", () => {
    fc.assert(
      fc.property(vector, between(0.5, 4), between(-0.3, 0.3), between(-0.3, 0.3), ([x, y, z], f, cx, cy) => {
        const v = [x, y, Math.abs(z) + 0.1] as const;
        const found = unproject(project(v, f, [cx, cy]), f, [cx, cy]);
        for (const i of [0, 1, 2]) expect(found[i]).toBeCloseTo(v[i] / norm(v), 9);
      }),
    );
  });
});
