import { contains, distance2, type Vec2 } from "../geometry";
import type { Scene, Shot } from "../scene";
import { project, type View } from "../shot";
import { metres, mm, sentence } from "../units";
import { isPerson, kindOf, raisedBy, terrainOf, upperFacesOf, type Element, type Person, type Solid } from "../world";
import { tenth, type Finding } from "./finding";

/** Soles within this of what is under them stand on it, m. */
const STANDS = 0.02;
/** What lies higher over the soles than this is over someone, not under them, m. */
const OVER = 0.6;
/** Someone this near to a door would go through it, m; a head clears it by so much. */
const [NEAR, CLEAR] = [2.5, 0.02] as const;
/** What is mended leaves so much over a head, m. */
const MENDED = 0.1;
/** No more of each than these. */
const MAX_FINDINGS = 4;

/** The height of a face over a place of the plan, m. */
function heightOf({ solid, face }: { readonly solid: Solid; readonly face: number }, [x, y]: Vec2): number {
  const { normal, offset } = solid.faces[face];
  return (offset - normal[0] * x - normal[1] * y) / normal[2];
}

/** How far the soles of someone are over what they stand on, m: less than nothing where they sink into it. */
function floats({ id, at }: Person, soles: number, ground: number, solids: readonly Solid[]): number {
  const place: Vec2 = [at.x, at.y];
  const under = solids.flatMap((solid) =>
    solid.id === id || solid.shape?.kind === "hulls"
      ? []
      : upperFacesOf(solid).flatMap(({ on, covers }) => (covers(place) ? [heightOf(on, place)] : [])),
  );
  const reached = [ground, ...under].filter((z) => z < soles + OVER);
  return soles - Math.max(...reached);
}

/** People whose feet float over what is under them, or sink into it. */
export function feetOff({ elements }: Scene, { frame }: Shot, view: View, solids: readonly Solid[]): Finding[] {
  const terrain = terrainOf(elements);
  return elements
    .flatMap((element): readonly Finding[] => {
      if (!isPerson(element) || element.hidden || element.pose === "sitting") return [];
      const { at, name } = element;
      const ground = raisedBy(element, [at.x, at.y], terrain);
      const off = floats(element, ground + at.z, ground, solids);
      const seen = [0, off].map((down) => project(view, [at.x, at.y, ground + at.z - down]));
      if (Math.abs(off) < STANDS || !seen[0] || !seen[1] || !contains(frame, seen[0])) return [];
      const drawn = distance2(seen[0], seen[1]);
      const what = off > 0 ? "float over" : "sink into";
      return [
        {
          id: `feet-${element.id}`,
          severity: "warning",
          where: name,
          at: seen[0],
          value: tenth(drawn),
          unit: "mm",
          message: sentence`Their feet ${what} what is under them by ${metres(Math.abs(off))}: ${mm(drawn)} on paper.`,
          mend: {
            label: "Put them on their feet",
            element: { ...element, at: { ...at, z: Number((at.z - off).toFixed(4)) } },
          },
        },
      ];
    })
    .slice(0, MAX_FINDINGS);
}

/** A door: where its middle is, the height of its foot, how high it is, and of what. */
interface Door {
  readonly of: string;
  readonly middle: Vec2;
  readonly foot: number;
  readonly high: number;
}

const doorsOf = (elements: readonly Element[]): readonly Door[] =>
  elements.flatMap((element) =>
    element.hidden
      ? []
      : (kindOf(element).openings?.(element) ?? []).flatMap(({ kind, foot, along, from, to, low, high }) => {
          const s = (from + to) / 2;
          const middle: Vec2 = [foot[0] + s * along[0], foot[1] + s * along[1]];
          return kind === "door" ? [{ of: element.name, middle, foot: foot[2] + low, high: high - low }] : [];
        }),
  );

/** The lowest door that someone stands before. */
function doorBefore({ at }: Person, doors: readonly Door[]): Door | undefined {
  const near = doors.filter(
    ({ middle, foot }) => Math.abs(foot - at.z) < OVER && distance2(middle, [at.x, at.y]) < NEAR,
  );
  return near.sort((p, q) => p.high - q.high)[0];
}

/** People who are taller than the door that they stand before. */
export function tallerThanDoors({ elements }: Scene, { frame }: Shot, view: View): Finding[] {
  const doors = elements.some(isPerson) ? doorsOf(elements) : [];
  return elements
    .flatMap((element): readonly Finding[] => {
      if (!isPerson(element) || element.hidden) return [];
      const door = doorBefore(element, doors);
      const { at, name, height } = element;
      const seen = project(view, [at.x, at.y, at.z + height]);
      if (!door || height <= door.high - CLEAR || !seen || !contains(frame, seen)) return [];
      const top = project(view, [at.x, at.y, at.z + door.high]);
      const drawn = top ? distance2(seen, top) : 0;
      return [
        {
          id: `taller-than-door-${element.id}`,
          severity: "warning",
          where: name,
          at: seen,
          value: tenth(drawn),
          unit: "mm",
          message: sentence`${name} is ${metres(height)} tall before a door of ${door.of} that is ${metres(door.high)}
            high: the head stands ${mm(drawn)} over it.`,
          mend: {
            label: "As tall as goes through it",
            element: { ...element, height: Number(Math.max(0.5, door.high - MENDED).toFixed(2)) },
          },
        },
      ];
    })
    .slice(0, MAX_FINDINGS);
}
