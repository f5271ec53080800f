import type { Draft } from "immer";
import { setStyle } from "@zanvo/core/drawing";
import { fromStretch, type Quad, type Vec2 } from "@zanvo/core/geometry";
import type { DividedQuad } from "@zanvo/core/lines";
import type { HeightLine } from "@zanvo/core/recover";
import type { Edge, Reference, TracedSet, Wall } from "@zanvo/core/scene";
import { newId } from "../id";
import { freeName, type Recipe } from "../document";
import type { Stores } from "../stores";

/** Which set is traced into, and which of its edges is chosen. */
export interface Tracing {
  readonly set: string;
  readonly edge: number | null;
}

/**
 * What is traced into where it is no set of parallels: things that stand on the ground, walls, bowed edges, the
 * horizon, found edges, quadrilaterals that are divided.
 */
export const HEIGHTS = "heights";
export const WALLS = "walls";
export const BOWED = "bowed";
export const HORIZON = "horizon";
export const BRUSH = "brush";
export const QUADS = "quads";

/** A line drawn on the picture: an edge of a set, a height from its foot to its top, a wall from corner to corner. */
export type Drawn = Pick<Edge, "x1" | "y1" | "x2" | "y2">;

/** What is traced into. */
export function linesOf({ sets, heights = [], walls = [], horizon }: Reference, set: string): readonly Drawn[] {
  if (set === HEIGHTS) return heights;
  if (set === WALLS) return walls;
  if (set === HORIZON) return horizon ? [horizon] : [];
  return sets.find(({ id }) => id === set)?.edges ?? [];
}

/** A change to what is taken for granted of a reference, or to what its sets are. */
export const onReference =
  (reference: string, change: (one: Draft<Reference>) => void): Recipe =>
  (scene) => {
    const one = scene.references?.find(({ id }) => id === reference);
    if (one) change(one);
  };

/** A change to the lines of one set of a reference, or to its heights or walls. */
const onLines = <T extends Drawn>(referenceId: string, setId: string, change: (lines: Draft<T>[]) => void): Recipe =>
  onReference(referenceId, (reference) => {
    const lines =
      setId === HEIGHTS
        ? (reference.heights ??= [])
        : setId === WALLS
          ? (reference.walls ??= [])
          : reference.sets.find(({ id }) => id === setId)?.edges;
    // Whoever changes them knows which kind of lines the set has.
    if (lines) change(lines as Drawn[] as Draft<T>[]);
  });

/**
 * The level set that a wall drawn from one place to another most likely runs along: that of the side it is drawn to.
 */
function levelSet({ sets }: Reference, { x1, x2 }: Drawn): string {
  const role = x2 < x1 ? "left" : "right";
  return (
    (
      sets.find((set) => set.role === role) ??
      sets.find((set) => set.role !== "upright" && set.role !== "free") ??
      sets[0]
    )?.id ?? ""
  );
}

/** Adds what was drawn to what is traced into. @returns which of its lines is chosen then */
export function addEdge(stores: Stores, reference: Reference, set: string, { hand, ...ends }: Edge): number | null {
  let chosen: number | null = null;
  if (set === HORIZON)
    stores.edit(
      onReference(reference.id, (one) => {
        one.horizon = ends;
        chosen = 0;
      }),
    );
  else if (set === WALLS)
    // Walls share corners: the next one may well begin at an end of this one, so that none is chosen.
    stores.edit(
      onReference(reference.id, (one) => {
        const walls = (one.walls ??= []);
        walls.push({ id: newId(), name: freeName("Wall", walls), along: levelSet(reference, ends), ...ends });
      }),
    );
  else
    stores.edit(
      onLines<Edge>(reference.id, set, (lines) => {
        chosen = lines.push(set === HEIGHTS ? ends : { ...ends, hand }) - 1;
      }),
    );
  return chosen;
}
export const removeEdge = (stores: Stores, reference: string, set: string, at: number): void =>
  stores.edit(
    set === HORIZON
      ? onReference(reference, (one) => void delete one.horizon)
      : onLines(reference, set, (lines) => void lines.splice(at, 1)),
  );
/** Says how high a thing is, or that it is to be measured again. */
export const sayHeight = (stores: Stores, reference: string, at: number, metres: number | undefined): void =>
  stores.edit(
    onLines<HeightLine>(reference, HEIGHTS, (lines) => {
      lines[at].metres = metres;
    }),
  );
export const onWall = (stores: Stores, reference: string, at: number, change: (wall: Draft<Wall>) => void): void =>
  stores.edit(onLines<Wall>(reference, WALLS, (walls) => change(walls[at])));
export const putAside = (stores: Stores, reference: string, set: string, at: number, out: boolean): void =>
  stores.edit(
    onLines<Edge>(reference, set, (edges) => {
      if (out) edges[at].out = true;
      else delete edges[at].out;
    }),
  );
/** Moves an edge's ends, as part of a drag or as a nudge of its own. */
export const moveEdge = (
  stores: Stores,
  reference: string,
  set: string,
  at: number,
  { hand, ...to }: Partial<Edge>,
  nudge = false,
): void => {
  const own = hand === undefined || set === HEIGHTS || set === WALLS ? {} : { hand };
  const recipe =
    set === HORIZON
      ? onReference(reference, (one) => void Object.assign(one.horizon ?? {}, to))
      : onLines(reference, set, (lines) => void Object.assign(lines[at], to, own));
  if (nudge) stores.edit(recipe, `edge ${set} ${at}`);
  else stores.drag(recipe);
};

/** Adds an edge that ought to be straight, as it was drawn along. */
export const addBowed = (stores: Stores, reference: string, places: readonly Vec2[]): void =>
  stores.edit(
    onReference(reference, (one) => {
      one.bowed = [...(one.bowed ?? []), { points: places.map(([x, y]) => ({ x, y })) }];
    }),
  );

/** Adds four corners, in equal halves at first. @returns which of the quadrilaterals they are */
export function addQuad(stores: Stores, reference: string, corners: Quad): number {
  let at = 0;
  const [a, b, c, d] = corners.map(([x, y]): [number, number] => [x, y]);
  stores.edit(
    onReference(reference, (one) => {
      const quads = (one.quads ??= []);
      at = quads.push({ id: newId(), corners: [a, b, c, d], columns: "2" }) - 1;
    }),
  );
  return at;
}
export const changeQuad = (reference: string, at: number, change: (quad: Draft<DividedQuad>) => void): Recipe =>
  onReference(reference, ({ quads }) => {
    if (quads?.[at]) change(quads[at]);
  });
export const removeQuad = (stores: Stores, reference: string, at: number): void =>
  stores.edit(onReference(reference, ({ quads }) => void quads?.splice(at, 1)));

/** How far a place is from a line, px of the photo. */
export const away = ({ x1, y1, x2, y2 }: Drawn, at: Vec2): number => fromStretch(at, [x1, y1], [x2, y2]);

/** The look of a set: that of the points its edges go to. */
export const lookOf = ({ role }: Pick<TracedSet, "role">, at: number) =>
  setStyle({ set: role === "upright" ? null : role === "left" ? 0 : role === "right" ? 1 : 2 + (at % 4) });
