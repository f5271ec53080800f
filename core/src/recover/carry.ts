import type { Vec2 } from "../geometry";
import type { DividedQuad } from "../lines";
import type { Reference } from "../scene";

/** What a picture that was made of another is called, and where it is kept. */
export type Called = Pick<Reference, "id" | "name" | "picture">;

/** A line drawn on a picture. */
interface Drawn {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
}

/**
 * A reference with all that was traced in it taken over to a picture made of its own.
 * @param place where a place of the old picture is in the new one; null for what is not in it
 */
export function carried(
  reference: Reference,
  place: (p: Vec2) => Vec2 | null,
  { width, height, centre }: { readonly width: number; readonly height: number; readonly centre: Vec2 },
  next: Called,
): Reference {
  const ends = <T extends Drawn>(line: T): T[] => {
    const [a, b] = [place([line.x1, line.y1]), place([line.x2, line.y2])];
    return a && b ? [{ ...line, x1: a[0], y1: a[1], x2: b[0], y2: b[1] }] : [];
  };
  const corners = (quad: DividedQuad): DividedQuad[] => {
    const [a, b, c, d] = quad.corners.map(place);
    if (!a || !b || !c || !d) return [];
    return [{ ...quad, corners: [[...a], [...b], [...c], [...d]] }];
  };
  return {
    ...reference,
    ...next,
    width,
    height,
    centre: { x: centre[0], y: centre[1] },
    cropped: undefined,
    focal35: undefined,
    lens35: undefined,
    bowed: undefined,
    sets: reference.sets.map((set) => ({ ...set, edges: set.edges.flatMap(ends) })),
    heights: reference.heights?.flatMap(ends),
    walls: reference.walls?.flatMap(ends),
    quads: reference.quads?.flatMap(corners),
    horizon: reference.horizon && ends(reference.horizon)[0],
  };
}
