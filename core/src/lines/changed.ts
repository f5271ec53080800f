import type { Vec2 } from "../geometry";
import { placesOf } from "./outline";
import type { OwnLine } from "./schema";

/** An own line with every place of it mapped, angles and radii staying. */
export function mapped<T extends OwnLine>(line: T, to: (place: Vec2) => Vec2): T {
  const pair = (place: Vec2): [number, number] => {
    const [x, y] = to(place);
    return [x, y];
  };
  const change = (one: OwnLine): OwnLine => {
    switch (one.kind) {
      case "ruled":
      case "spacing":
        return { ...one, from: pair(one.from), to: pair(one.to) };
      case "polyline":
        return { ...one, points: one.points.map(pair) };
      case "circle":
        return { ...one, centre: pair(one.centre) };
      case "stroke":
        return {
          ...one,
          samples: placesOf(one.samples).flatMap((place, i) => [...pair(place), one.samples[3 * i + 2]]),
        };
      case "quad": {
        const [a, b, c, d] = one.corners;
        return { ...one, corners: [pair(a), pair(b), pair(c), pair(d)] };
      }
    }
  };
  return change(line) as T;
}

/** An own line moved, in its own units. */
export const movedBy = <T extends OwnLine>(line: T, [dx, dy]: Vec2): T => mapped(line, ([x, y]) => [x + dx, y + dy]);

/** An own line made larger or smaller, and moved, so that one place comes to another. */
export function scaledBy<T extends OwnLine>(line: T, times: number, [fx, fy]: Vec2, [tx, ty]: Vec2): T {
  const there = mapped(line, ([x, y]) => [tx + times * (x - fx), ty + times * (y - fy)]);
  return there.kind === "circle" ? { ...there, radius: there.radius * times } : there;
}

/** The places by which an own line is taken hold of. */
export function gripsOf(line: OwnLine): Vec2[] {
  switch (line.kind) {
    case "ruled":
    case "spacing":
      return [line.from, line.to];
    case "polyline":
      return [...line.points];
    case "circle":
      return [line.centre, [line.centre[0] + line.radius, line.centre[1]]];
    case "stroke":
      return [];
    case "quad":
      return [...line.corners];
  }
}

/** An own line with one of its grips put elsewhere. */
export function gripped<T extends OwnLine>(line: T, grip: number, [x, y]: Vec2): T {
  const to: [number, number] = [x, y];
  const change = (one: OwnLine): OwnLine => {
    switch (one.kind) {
      case "ruled":
      case "spacing":
        return grip === 0 ? { ...one, from: to } : { ...one, to };
      case "polyline":
        return { ...one, points: one.points.map((point, i) => (i === grip ? to : point)) };
      case "circle":
        return grip === 0
          ? { ...one, centre: to }
          : { ...one, radius: Math.max(1e-3, Math.hypot(x - one.centre[0], y - one.centre[1])) };
      case "stroke":
        return one;
      case "quad": {
        const [a, b, c, d] = one.corners.map((corner, i): [number, number] => (i === grip ? to : corner));
        return { ...one, corners: [a, b, c, d] };
      }
    }
  };
  return change(line) as T;
}
