import type { Vec2 } from "../geometry";

/**
 * Outlines of letters are kept as text, as in an SVG's path: M, L, Q, C and Z with absolute places, in thousandths of
 * the height of a capital, x from where the line of letters begins and y up from its base line.
 */
export const UNIT = 1000;

/** What an outline may be written with. */
export const OUTLINE_PATTERN = "^[MLQCZ0-9 .-]*$";

/** How many places each command takes. */
const PLACES: Readonly<Record<string, number>> = { M: 1, L: 1, Q: 2, C: 3, Z: 0 };

/** A curve through its control places, from the last one on, as so many straight stretches. */
function flattened(from: Vec2, control: readonly Vec2[], pieces: number): Vec2[] {
  return Array.from({ length: pieces }, (_, i) => {
    // De Casteljau's construction.
    const t = (i + 1) / pieces;
    let level: readonly Vec2[] = [from, ...control];
    while (level.length > 1)
      level = level.slice(1).map(([x, y], k): Vec2 => {
        const [px, py] = level[k];
        return [px + t * (x - px), py + t * (y - py)];
      });
    return level[0];
  });
}

/** A curve is drawn in no more pieces than this. */
const MOST = 24;

/** Into how many pieces a curve falls so that none strays from it by more than a tolerance. */
function piecesOf(from: Vec2, control: readonly Vec2[], tolerance: number): number {
  const all = [from, ...control];
  const degree = control.length;
  const bend = Math.max(
    ...all
      .slice(2)
      .map(([x, y], i) => Math.hypot(x - 2 * all[i + 1][0] + all[i][0], y - 2 * all[i + 1][1] + all[i][1])),
  );
  // Chords of a curve of degree n stray by n (n - 1) / 8 of its greatest second difference (Wang, 1984 (from
  // memory)).
  return Math.min(MOST, Math.max(1, Math.ceil(Math.sqrt((degree * (degree - 1) * bend) / (8 * tolerance)))));
}

interface Command {
  readonly command: string;
  readonly values: readonly number[];
}

const commandsOf = (outline: string): readonly Command[] =>
  [...outline.matchAll(/([MLQCZ])([^MLQCZ]*)/g)].map(([, command, numbers]) => ({
    command,
    values: numbers.trim() === "" ? [] : numbers.trim().split(/ +/).map(Number),
  }));

const isComplete = (command: string, values: readonly number[]): boolean =>
  values.length === 2 * PLACES[command] && values.every(Number.isFinite);

/** Whether a text is the outline of a letter: each of its commands has its places, and the first moves somewhere. */
export function isOutline(outline: string): boolean {
  const commands = commandsOf(outline);
  return commands.every(({ command, values }, i) => isComplete(command, values) && (i > 0 || command === "M"));
}

/**
 * The closed contours of an outline.
 * @param tolerance how far chords may stray from curves, in the outline's units
 * @throws RangeError for what is no outline
 */
export function contoursOf(outline: string, tolerance = 8): readonly (readonly Vec2[])[] {
  const contours: Vec2[][] = [];
  let now: Vec2[] = [];
  for (const { command, values } of commandsOf(outline)) {
    if (!isComplete(command, values)) throw new RangeError(`"${command}${values.join(" ")}" is no part of an outline.`);
    const places = Array.from({ length: PLACES[command] }, (_, i): Vec2 => [values[2 * i], values[2 * i + 1]]);
    if (command === "M") contours.push((now = [places[0]]));
    else if (command === "L") now.push(places[0]);
    else if (places.length > 1) {
      const from = now[now.length - 1];
      now.push(...flattened(from, places, piecesOf(from, places, tolerance)));
    }
  }
  return contours.map(tidied).filter((ring) => ring.length > 2);
}

/** A ring without places that follow themselves. */
const tidied = (ring: readonly Vec2[]): readonly Vec2[] =>
  ring.filter(([x, y], i) => {
    const [px, py] = ring[(i + ring.length - 1) % ring.length];
    return Math.hypot(x - px, y - py) > 1e-9;
  });
