import { line, MAX_MARKS, rectangle, type Mark, type Marked } from "./marking";
import { placeAlong } from "./path";

/** What rails lie on, where that shows. */
export const BEDS = ["sleepers", "plates"] as const;
export type Bed = (typeof BEDS)[number];

/**
 * The standard gauge, m; sleepers and plates of a track: so wide across, one every so many m, a sleeper so wide along
 * (common practice).
 */
export const GAUGE = 1.435;
const SLEEPER = { across: 2.5, every: 0.65, along: 0.25 } as const;
const PLATE = { across: 2.4, every: 2.5 } as const;
/** How wide a track is with what it lies on, m: narrow ones lie on shorter sleepers. */
export const trackWidth = (gauge = GAUGE): number => (SLEEPER.across * gauge) / GAUGE;

/** Adds the two rails of a track, and what they lie on. */
export function addTrack(way: Marked, add: Mark, bed?: Bed, gauge = GAUGE): void {
  for (const by of [gauge / 2, -gauge / 2]) line(way, add, "rail", by);
  if (bed) addBed(way, add, bed, gauge);
}

/** Adds what a track lies on. */
export function addBed(way: Marked, add: Mark, bed: Bed, gauge = GAUGE): void {
  const { path, length } = way;
  const { every } = bed === "plates" ? PLATE : SLEEPER;
  const [sleeper, plate] = [trackWidth(gauge) / 2, (PLATE.across * gauge) / GAUGE / 2];
  for (let i = 0; i < Math.min(MAX_MARKS, Math.floor(length / every)); i++) {
    const s = (i + 0.5) * every;
    if (bed === "sleepers")
      rectangle(way, add, "bed", [s - SLEEPER.along / 2, s + SLEEPER.along / 2], [-sleeper, sleeper], i);
    else add("bed", placeAlong(path, s, -plate), placeAlong(path, s, plate), { index: i });
  }
  if (bed === "plates") for (const by of [plate, -plate]) line(way, add, "bed", by);
}
