import type { Vec3 } from "../geometry";

/** What the ground is called that nothing else stands for: there is no solid of that number. */
export const OPEN_GROUND = 0xffffffff;

/**
 * Parts of faces that an eye sees, as rings of corners in the world: those that a light does not reach, or all that is
 * seen. Rings of one part follow each other; filled by the even-odd rule, one within another is a hole.
 */
export interface FaceAreas {
  /** x y z of each corner, m. */
  readonly xyz: Float64Array;
  /** Where each ring begins, counted in corners, and at last where the last one ends. */
  readonly starts: Uint32Array;
  /** Of each ring, the light that does not reach it, by its place among the lights; `SEEN` of what is seen. */
  readonly light: Uint8Array;
  /** Of each ring, the solid that it is of; `OPEN_GROUND` of none. */
  readonly solid: Uint32Array;
  /** Of each ring, the unit normal of its face, three numbers. */
  readonly normals: Float32Array;
  /** Of each ring, the number of the surface that it is of: facets of one round surface have the same. */
  readonly surface: Uint32Array;
  /** Of each ring, 1 where it closes a recess at its back, such as the pane of a window; else 0. */
  readonly recess: Uint8Array;
}

/** What stands in the place of a light for parts that are seen, lit or not. */
export const SEEN = 255;

export const NO_AREAS: FaceAreas = {
  xyz: new Float64Array(),
  starts: new Uint32Array([0]),
  light: new Uint8Array(),
  solid: new Uint32Array(),
  normals: new Float32Array(),
  surface: new Uint32Array(),
  recess: new Uint8Array(),
};

/** What is told of the rings of one part of a surface. */
export interface PartOf {
  readonly solid: number;
  readonly surface: number;
  readonly normal: Vec3;
  readonly isRecess?: boolean;
}

/** Gathers rings. */
export class AreaBook {
  private readonly xyz: number[] = [];
  private readonly starts: number[] = [0];
  private readonly light: number[] = [];
  private readonly of: PartOf[] = [];

  put(rings: readonly (readonly Vec3[])[], light: number, of: PartOf): void {
    for (const ring of rings) {
      for (const p of ring) this.xyz.push(...p);
      this.starts.push(this.xyz.length / 3);
      this.light.push(light);
      this.of.push(of);
    }
  }

  done(): FaceAreas {
    return {
      xyz: Float64Array.from(this.xyz),
      starts: Uint32Array.from(this.starts),
      light: Uint8Array.from(this.light),
      solid: Uint32Array.from(this.of, ({ solid }) => solid),
      normals: Float32Array.from(this.of.flatMap(({ normal }) => normal)),
      surface: Uint32Array.from(this.of, ({ surface }) => surface),
      recess: Uint8Array.from(this.of, ({ isRecess }) => (isRecess ? 1 : 0)),
    };
  }
}
