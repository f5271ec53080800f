import type { Draft } from "immer";
import { setStyle } from "@zanvo/core/drawing";
import type { Edge, Reference, TracedSet } from "@zanvo/core/scene";
import { drag, edit, type Recipe } from "../board/board";

/** Which set is traced into, and which of its edges is chosen. */
export interface Tracing {
  readonly set: string;
  readonly edge: number | null;
}

/** A change to one set of a reference. */
const onSet = (referenceId: string, setId: string, change: (set: Draft<TracedSet>) => void): Recipe => (scene) => {
  const set = scene.references?.find(({ id }) => id === referenceId)?.sets.find(({ id }) => id === setId);
  if (set) change(set);
};

export const addEdge = (reference: string, set: string, edge: Edge): void => edit(onSet(reference, set, ({ edges }) => void edges.push(edge)));
export const removeEdge = (reference: string, set: string, at: number): void => edit(onSet(reference, set, ({ edges }) => void edges.splice(at, 1)));
export const putAside = (reference: string, set: string, at: number, out: boolean): void => edit(onSet(reference, set, ({ edges }) => {
  if (out) edges[at].out = true;
  else delete edges[at].out;
}));
/** Moves an edge's ends, as part of a drag or as a nudge of its own. */
export const moveEdge = (reference: string, set: string, at: number, to: Partial<Edge>, nudge = false): void => {
  const recipe = onSet(reference, set, ({ edges }) => void Object.assign(edges[at], to));
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
