import type { Vec3 } from "../geometry";
import { solidOf, type Solid } from "./solid";

/** A solid taken apart, to be changed and put together again. */
export interface Parts {
  readonly vertices: Vec3[];
  readonly loops: number[][];
  readonly round: (number | undefined)[];
  readonly names: (string | undefined)[];
  /** The holes of each face. */
  readonly holes: number[][][];
}

/** Takes a solid apart. */
export const takenApart = ({ vertices, faces }: Solid): Parts => ({
  vertices: [...vertices],
  loops: faces.map(({ loop }) => [...loop]),
  round: faces.map(({ round }) => round),
  names: faces.map(({ name }) => name),
  holes: faces.map(({ holes = [] }) => holes.map((hole) => [...hole])),
});

/** Puts a solid together again. */
export const putTogether = (id: string, { vertices, loops, round, names, holes }: Parts): Solid =>
  solidOf(id, vertices, loops, round, names, holes);
