import { remembered } from "../../remembered";
import type { Step } from "../history";
import type { ViewState } from "../view";
import type { DocumentStores } from "./state";
import type { Stretch } from "./drafts";

/** Where a person was in a document, and the steps that led there. */
interface Place {
  readonly view: ViewState;
  readonly selected: string | null;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
}

/** Where a person was, and after how many changes of which visit. */
export interface LeftPlace extends Place {
  readonly visit: string;
  readonly end: number;
  readonly revision: number;
  /** Whether the server had all of it. */
  readonly settled: boolean;
}

/** The last changes of a visit, which were not written yet as the page went away, and the revision they began from. */
export interface Tail extends Stretch {
  readonly revision: number;
}

/** Steps that are remembered, to either side. */
const STEPS = 100;

const placeKey = (id: string): string => `zanvo:place:${id}`;
const tailKey = (id: string): string => `zanvo:tail:${id}`;

function recall<T>(key: string): T | null {
  try {
    return JSON.parse(remembered.tab.get(key) ?? "null") as T | null;
  } catch {
    return null;
  }
}

function keep(key: string, value: unknown): void {
  // Where there is no room for it, the place is forgotten; the work is in the drafts.
  remembered.tab.remove(key);
  remembered.tab.set(key, JSON.stringify(value));
}

export function placeOf({ document, selection, view }: DocumentStores): Place {
  const { past, future } = document.useDocument.getState();
  return {
    view: view.useView.getState(),
    selected: selection.useSelection.getState().selected,
    past: past.slice(-STEPS),
    future: future.slice(0, STEPS),
  };
}

export const recallPlace = (id: string): LeftPlace | null => recall<LeftPlace>(placeKey(id));

/** Has a scene open in a view when it is opened for the first time. */
export const rememberView = (id: string, view: Partial<ViewState>): void => keep(placeKey(id), { view });

/** What was left unwritten in this tab; it is told once. */
export function recallTail(id: string): Tail | null {
  const tail = recall<Tail>(tailKey(id));
  remembered.tab.remove(tailKey(id));
  return tail;
}

/** Remembers a place, and the changes that are not written anywhere yet. */
export function rememberLeaving(id: string, place: LeftPlace, tail: Tail | null): void {
  keep(placeKey(id), place);
  if (tail) keep(tailKey(id), tail);
  else remembered.tab.remove(tailKey(id));
}
