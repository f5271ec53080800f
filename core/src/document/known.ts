import { BadInput } from "../problem";
import { VERSION, type Scene } from "../scene";
import { MAX_DEPTH, readJson } from "./json";
import { commonEnd, commonStart, isDeeper, placesOfElements, type Places } from "./split";
import { readUtf8, toUtf8 } from "./utf8";
import { checkElement, checkRest, summaryOf, type ElementSummary } from "./validate";

/** How many bytes of documents are remembered; those that were not seen for the longest time are forgotten first. */
const REMEMBERED = 96 * 2 ** 20;
/** So many bytes of changed elements are looked at; with more, a document is left to a full check. */
const MAX_CHANGED = 200_000;

/** A document that was found to be sound. */
interface Known {
  readonly bytes: Uint8Array;
  readonly places: Places;
  readonly elements: readonly ElementSummary[];
  /** The scene with an empty list of elements. */
  readonly rest: Scene;
}

/** A sound document: what of it is told, and how many elements it has. */
export interface Sound {
  readonly scene: Scene;
  readonly elements: number;
}

/**
 * The stretch of elements that a change touches, a neighbour to either side with them, and its places in the new
 * bytes.
 */
function touched(
  { bytes, places: { open, close, starts, ends } }: Known,
  next: Uint8Array,
  start: number,
  end: number,
) {
  const grown = next.length - bytes.length;
  if (start <= open || end > close) return null;
  let first = starts.findIndex((_, i) => ends[i] >= start);
  if (first < 0) first = starts.length;
  first = Math.max(0, first - 1);
  let last = first;
  while (last < starts.length && starts[last] <= end) last += 1;
  // Up to and with the element after the change; one past the end stands for the closing bracket.
  const [from, to] = [first === 0 ? open + 1 : starts[first], last >= starts.length ? close : ends[last]];
  return { first, after: Math.min(last + 1, starts.length), from, to: to + grown, grown };
}

/** Stands in the list of elements while what is around it is read. */
const MARK = "the elements";

/**
 * The scene without its elements, from the bytes around them; null where its elements are another list than the one at
 * those places, since a key stands twice.
 */
function readRest(next: Uint8Array, open: number, close: number): Partial<Scene> | null {
  const mark = toUtf8(JSON.stringify(MARK));
  const bytes = new Uint8Array(open + 1 + mark.length + next.length - close);
  bytes.set(next.subarray(0, open + 1));
  bytes.set(mark, open + 1);
  bytes.set(next.subarray(close), open + 1 + mark.length);
  const rest = readJson(readUtf8(bytes)) as Partial<Record<keyof Scene, unknown>>;
  const found = Array.isArray(rest.elements) && rest.elements.length === 1 && rest.elements[0] === MARK;
  return found ? ({ ...rest, elements: [] } as Partial<Scene>) : null;
}

/** A document of which only elements have changed. */
function withElements(before: Known, next: Uint8Array, start: number, end: number): Known | null {
  const stretch = touched(before, next, start, end);
  if (!stretch || stretch.to - stretch.from > MAX_CHANGED) return null;
  const { first, after, from, to, grown } = stretch;
  const { places, elements } = before;
  // Parsed as a list alone: what would close the list of the whole document is no JSON there.
  const list = `[${readUtf8(next.subarray(from, to))}]`;
  const part = toUtf8(`{"elements":${list}}`);
  if (isDeeper(part, MAX_DEPTH)) return null;
  const changed = (JSON.parse(list) as readonly unknown[]).map((one, i) => checkElement(one, first + i));
  const own = placesOfElements(part);
  if (!own || own.starts.length !== changed.length) return null;
  const shift = from - own.open - 1;
  const all = [...elements.slice(0, first), ...changed, ...elements.slice(after)];
  return {
    bytes: next,
    elements: all,
    rest: checkRest(before.rest, all),
    places: {
      open: places.open,
      close: places.close + grown,
      starts: [
        ...places.starts.slice(0, first),
        ...own.starts.map((at) => at + shift),
        ...places.starts.slice(after).map((at) => at + grown),
      ],
      ends: [
        ...places.ends.slice(0, first),
        ...own.ends.map((at) => at + shift),
        ...places.ends.slice(after).map((at) => at + grown),
      ],
    },
  };
}

/** A document of which all but the elements has changed. */
function withRest(before: Known, next: Uint8Array, start: number, end: number): Known | null {
  const {
    places: { open, close, starts, ends },
    elements,
    bytes,
  } = before;
  // How far the list was moved by a change before it.
  const moved = end <= open ? next.length - bytes.length : 0;
  if (!(end <= open || start > close)) return null;
  const places = {
    open: open + moved,
    close: close + moved,
    starts: starts.map((at) => at + moved),
    ends: ends.map((at) => at + moved),
  };
  const rest = readRest(next, places.open, places.close);
  if (rest?.version !== VERSION) return null;
  return { bytes: next, places, elements, rest: checkRest(rest, elements) };
}

/**
 * Checks documents that change little from one save to the next, each against what it was before: whatever stands
 * unchanged around whole elements, or as whole elements, was found to be sound then, and only the rest is looked at.
 */
export function knownDocuments() {
  const known = new Map<string, Known>();

  const remember = (id: string, document: Known): void => {
    known.delete(id);
    known.set(id, document);
    let size = 0;
    for (const { bytes } of known.values()) size += bytes.length;
    for (const [oldest, { bytes }] of known) {
      if (size <= REMEMBERED || oldest === id) break;
      known.delete(oldest);
      size -= bytes.length;
    }
  };

  return {
    /**
     * Checks the bytes of a document that was known by a name.
     * @returns null where a full check must decide: it is not known, too much has changed, or something about it is
     * wrong
     */
    check(id: string, next: Uint8Array): Sound | null {
      const before = known.get(id);
      if (!before) return null;
      const start = commonStart(before.bytes, next);
      const same = start === next.length && start === before.bytes.length;
      const end = before.bytes.length - commonEnd(before.bytes, next, start);
      try {
        const now = same ? before : (withElements(before, next, start, end) ?? withRest(before, next, start, end));
        if (!now) return null;
        remember(id, now);
        return { scene: now.rest, elements: now.elements.length };
      } catch (error) {
        if (error instanceof BadInput || error instanceof SyntaxError) return null;
        throw error;
      }
    },
    /** Remembers a document that a full check found to be sound, as it is stored. */
    learn(id: string, bytes: Uint8Array): void {
      const places = placesOfElements(bytes);
      if (!places || !readRest(bytes, places.open, places.close)) return;
      const { elements, ...rest } = JSON.parse(readUtf8(bytes)) as Scene;
      if (rest.version === VERSION && elements.length === places.starts.length)
        remember(id, { bytes, places, elements: elements.map(summaryOf), rest: { ...rest, elements: [] } });
    },
  };
}
