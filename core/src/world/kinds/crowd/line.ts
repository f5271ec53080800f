import type { Vec2 } from "../../../geometry";
import { pathOf, ribbon } from "../../path";
import { onFootprint, onPath, type Point } from "../kind";
import type { Crowd } from "./schema";

/** A way of people is so wide where nothing is said, m. */
const WIDE = 4;

/** How wide the way of a crowd along a line is, m. */
export const widthOfWay = ({ wide = WIDE }: Pick<Crowd, "wide">): number => wide;

/** The line that a crowd walks along; null for one in an area. */
export const middleLine = ({ line, bend, smooth }: Crowd): readonly Vec2[] | null =>
  line ? pathOf({ path: line, bend, smooth }) : null;

/** A crowd along a line with the ground that it takes, as its line is now. */
export function alongLine(crowd: Crowd): Crowd {
  const line = middleLine(crowd);
  const half = widthOfWay(crowd) / 2;
  return line ? { ...crowd, footprint: ribbon(line, half, -half).map(([x, y]) => ({ x, y })) } : crowd;
}

/** A crowd with its line changed; null where there is none left. */
function withLine(crowd: Crowd, change: (on: { path: Point[] }) => { path: Point[] } | null): Crowd | null {
  const changed = change({ path: crowd.line ?? [] });
  return changed && alongLine({ ...crowd, line: changed.path });
}

/** How a crowd is drawn: by the bends of its line, or by the corners of its area. */
export const crowdPlaces = {
  places: (crowd: Crowd) => (crowd.line ? onPath.places({ path: crowd.line }) : onFootprint.places(crowd)),
  placed: (crowd: Crowd, place: number, at: Vec2): Crowd =>
    crowd.line ? withLine(crowd, (on) => onPath.placed(on, place, at))! : onFootprint.placed(crowd, place, at),
  withPlace: (crowd: Crowd, behind: number): Crowd =>
    crowd.line ? withLine(crowd, (on) => onPath.withPlace(on, behind))! : onFootprint.withPlace(crowd, behind),
  withoutPlace: (crowd: Crowd, place: number): Crowd | null =>
    crowd.line ? withLine(crowd, (on) => onPath.withoutPlace(on, place)) : onFootprint.withoutPlace(crowd, place),
};
