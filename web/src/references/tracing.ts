import type { Draft } from "immer";
import { setStyle } from "@zanvo/core/drawing";
import type { Standing } from "@zanvo/core/recover";
import type { Edge, Reference, TracedSet } from "@zanvo/core/scene";
import { drag, edit, type Recipe } from "../board/board";

/** Which set is traced into, and which of its edges is chosen. */
export interface Tracing {
  readonly set: string;
  readonly edge: number | null;
}

/** What is traced into where heights are measured: no set of parallels, but things that stand on the ground. */
export const HEIGHTS = "heights";

/** A line drawn on the picture: an edge of a set, or a height from its foot to its top. */
type Drawn = Pick<Edge, "x1" | "y1" | "x2" | "y2">;

/** What is traced into. */
export const linesOf = ({ sets, heights = [] }: Reference, set: string): readonly Drawn[] => (set === HEIGHTS ? heights : sets.find(({ id }) => id === set)?.edges ?? []);

/** A change to the lines of one set of a reference, or to its heights. */
const onLines = <T extends Drawn>(referenceId: string, setId: string, change: (lines: Draft<T>[]) => void): Recipe => (scene) => {
  const reference = scene.references?.find(({ id }) => id === referenceId);
  if (reference && setId === HEIGHTS) change((reference.heights ??= []) as unknown as Draft<T>[]);
  const set = reference?.sets.find(({ id }) => id === setId);
  if (set) change(set.edges as unknown as Draft<T>[]);
};

export const addEdge = (reference: string, set: string, { hand, ...ends }: Edge): void => edit(onLines<Edge>(reference, set, (lines) => void lines.push(set === HEIGHTS ? ends : { ...ends, hand })));
export const removeEdge = (reference: string, set: string, at: number): void => edit(onLines(reference, set, (lines) => void lines.splice(at, 1)));
/** Says how high a thing is, or that it is to be measured again. */
export const sayHeight = (reference: string, at: number, metres: number | undefined): void => edit(onLines<Standing>(reference, HEIGHTS, (lines) => {
  lines[at].metres = metres;
}));
export const putAside = (reference: string, set: string, at: number, out: boolean): void => edit(onLines<Edge>(reference, set, (edges) => {
  if (out) edges[at].out = true;
  else delete edges[at].out;
}));
/** Moves an edge's ends, as part of a drag or as a nudge of its own. */
export const moveEdge = (reference: string, set: string, at: number, { hand, ...to }: Partial<Edge>, nudge = false): void => {
  const recipe = onLines(reference, set, (lines) => void Object.assign(lines[at], to, hand === undefined || set === HEIGHTS ? {} : { hand }));
  if (nudge) edit(recipe, `edge ${set} ${at}`);
  else drag(recipe);
};

/** Changes what is taken for granted of a reference, or what its sets are. */
export const onReference = (reference: string, change: (one: Draft<Reference>) => void): Recipe => (scene) => {
  const one = scene.references?.find(({ id }) => id === reference);
  if (one) change(one);
};

/** The look of a set: that of the points its edges go to. */
export const lookOf = ({ role }: Pick<TracedSet, "role">, at: number) => setStyle({ set: role === "upright" ? null : role === "left" ? 0 : role === "right" ? 1 : 2 + (at % 4) });
