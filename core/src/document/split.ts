import { toUtf8 } from "./utf8";

const QUOTE = 0x22;
const BACKSLASH = 0x5c;
const COMMA = 0x2c;
const LIST = 0x5b;

const opens = (code: number): boolean => code === LIST || code === 0x7b;
const closes = (code: number): boolean => code === 0x5d || code === 0x7d;
const isSpace = (code: number): boolean => code === 0x20 || code === 0x0a || code === 0x0d || code === 0x09;

/** The closing quote of the string that begins at a quote; the end of the bytes where there is none. */
export function endOfString(json: Uint8Array, from: number): number {
  let at = from + 1;
  while (at < json.length && json[at] !== QUOTE) at += json[at] === BACKSLASH ? 2 : 1;
  return at;
}

/** Whether JSON nests deeper than a limit; it is not parsed for that, so no nesting can exhaust the stack. */
export function isDeeper(json: Uint8Array, limit: number): boolean {
  let depth = 0;
  for (let i = 0; i < json.length; i++) {
    const code = json[i];
    if (code === QUOTE) i = endOfString(json, i);
    else if (opens(code)) {
      if (++depth > limit) return true;
    } else if (closes(code)) depth -= 1;
  }
  return false;
}

/**
 * Where the elements of a document stand in its bytes (UTF-8): their list from its bracket to the closing one, and
 * each of them.
 */
export interface Places {
  readonly open: number;
  readonly close: number;
  /** Where every element begins, and where what follows it begins. */
  readonly starts: readonly number[];
  readonly ends: readonly number[];
}

/** The places in the list that begins at a bracket; null where it does not close. */
function placesIn(json: Uint8Array, open: number): Places | null {
  const [starts, ends]: [number[], number[]] = [[], []];
  let depth = 0;
  let begun = -1;
  for (let i = open + 1; i < json.length; i++) {
    const code = json[i];
    if (depth === 0 && begun < 0 && !isSpace(code) && !closes(code)) begun = i;
    if (code === QUOTE) i = endOfString(json, i);
    else if (opens(code)) depth += 1;
    else if ((closes(code) && depth-- === 0) || (code === COMMA && depth === 0)) {
      if (begun >= 0) {
        starts.push(begun);
        ends.push(i);
      }
      begun = -1;
      if (depth < 0) return { open, close: i, starts, ends };
    }
  }
  return null;
}

const KEY = toUtf8('"elements"');

/** The bracket of the list that follows a key at a place, where that key is `elements`; -1 where it is another. */
function listAfterKey(json: Uint8Array, at: number, end: number): number {
  if (end - at !== KEY.length - 1 || KEY.some((code, i) => json[at + i] !== code)) return -1;
  let next = end + 1;
  while (isSpace(json[next])) next += 1;
  if (json[next] !== 0x3a) return -1;
  next += 1;
  while (isSpace(json[next])) next += 1;
  return json[next] === LIST ? next : -1;
}

/**
 * Where the elements stand in the bytes of a sound document; null where it has no list of them that is laid out
 * plainly.
 */
export function placesOfElements(json: Uint8Array): Places | null {
  let depth = 0;
  for (let i = 0; i < json.length; i++) {
    const code = json[i];
    if (code === QUOTE) {
      const end = endOfString(json, i);
      const open = depth === 1 ? listAfterKey(json, i, end) : -1;
      if (open >= 0) return placesIn(json, open);
      i = end;
    } else if (opens(code)) depth += 1;
    else if (closes(code)) depth -= 1;
  }
  return null;
}

/** The last bytes of a text, in words of four. */
function lastWords(bytes: Uint8Array, count: number): Int32Array {
  const copy = new Uint8Array(4 * count);
  copy.set(bytes.subarray(bytes.length - 4 * count));
  return new Int32Array(copy.buffer);
}

/** How many bytes two texts have in common from their beginning. */
export function commonStart(a: Uint8Array, b: Uint8Array): number {
  const most = Math.min(a.length, b.length);
  let at = 0;
  while (at < most && a[at] === b[at]) at += 1;
  return at;
}

/**
 * How many bytes two texts have in common from their end, but for those that they have in common from their
 * beginning.
 */
export function commonEnd(a: Uint8Array, b: Uint8Array, start: number): number {
  const most = Math.min(a.length, b.length) - start;
  const words = Math.floor(most / 4);
  const [mine, theirs] = [lastWords(a, words), lastWords(b, words)];
  let same = 0;
  while (same < words && mine[words - 1 - same] === theirs[words - 1 - same]) same += 1;
  let at = 4 * same;
  while (at < most && a[a.length - 1 - at] === b[b.length - 1 - at]) at += 1;
  return at;
}
