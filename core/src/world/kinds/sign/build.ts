import type { Vec2, Vec3 } from "../../../geometry";
import { areasOf, together } from "../../areas";
import { turnAt } from "../../curves";
import type { Detail, DetailItem } from "../../details";
import { putTogether, takenApart } from "../../parts";
import { prism } from "../../shapes";
import { asPart, faceNamed, type Solid } from "../../solid";
import { PAINT, depthsOf, placesOn, setLetters, type SetLetter } from "./layout";
import type { Sign } from "./schema";

/** The outline of a letter turns by less than this along its curves, degrees. */
const CURVED = 40;

/** The curves that the sides of a letter are of, by numbers from one on. */
function letterCurves(ring: readonly Vec2[], first: number): readonly number[] {
  let curve = first;
  return ring.map((p, i) => {
    const before = ring[(i + ring.length - 1) % ring.length];
    if (Math.abs(turnAt(before, p, ring[(i + 1) % ring.length])) > CURVED) curve++;
    return curve;
  });
}

/** A solid on the plane of a sign: an area of it, from one distance from its back to another. */
function onSign(
  sign: Sign,
  area: { outer: readonly Vec2[]; holes: readonly (readonly Vec2[])[] },
  depths: Vec2,
): Solid {
  const flat = prism(
    sign.id,
    area.outer,
    area.holes.map((hole) => [...hole].reverse()),
    depths,
    letterCurves,
  );
  const parts = takenApart(flat);
  const at = placesOn(sign);
  return putTogether(sign.id, { ...parts, vertices: parts.vertices.map(at) });
}

/** A letter that stands out: its face is drawn first, and the rest where there is room. */
const raisedLetter = (sign: Sign, { contours }: SetLetter, item: DetailItem, depths: Vec2, face: "top" | "bottom") =>
  areasOf(together([contours])).map((area): Solid => {
    const solid = onSign(sign, area, depths);
    const front = faceNamed(solid, face);
    const edges = solid.edges.map((edge) => ({
      ...edge,
      detail: { kind: "letter", item, level: edge.faces.includes(front) ? 0 : 1 } as const,
    }));
    return asPart({ ...solid, edges }, "letter");
  });

/** The corners of a board on its sign. */
const boardOf = ({ width, height }: NonNullable<Sign["board"]>): readonly Vec2[] => [
  [-width / 2, 0],
  [width / 2, 0],
  [width / 2, height],
  [-width / 2, height],
];

/** The board of a sign, if it has one, and its letters, if they stand out. */
export function buildSign(sign: Sign): Solid[] {
  const { board, raised, both } = sign;
  const { board: deep } = depthsOf(sign);
  const letters = raised === undefined ? [] : setLetters(sign);
  // A word is drawn whole or not at all.
  const [front, back]: readonly DetailItem[] = [{ index: 0 }, { index: 0 }];
  // Seen from behind, it reads the same.
  const behind = letters.map((letter): SetLetter => ({
    ...letter,
    contours: letter.contours.map((ring) => ring.map(([x, y]): Vec2 => [-x, y]).reverse()),
  }));
  return [
    ...(board ? [asPart(onSign(sign, { outer: boardOf(board), holes: [] }, [0, board.depth]), "board")] : []),
    ...letters.flatMap((letter) => raisedLetter(sign, letter, front, [deep, deep + (raised ?? 0)], "top")),
    ...(both && board
      ? behind.flatMap((letter) => raisedLetter(sign, letter, back, [-(raised ?? 0), 0], "bottom"))
      : []),
  ];
}

/** Lines around a ring on a sign, so far from its back. */
const around = (ring: readonly Vec2[], z: number, at: (place: Vec3) => Vec3): readonly (readonly [Vec3, Vec3])[] =>
  ring.map(([x, y], i) => {
    const [u, v] = ring[(i + 1) % ring.length];
    return [at([x, y, z]), at([u, v, z])] as const;
  });

const boxRing = ({ low, high }: SetLetter): readonly Vec2[] => [low, [high[0], low[1]], high, [low[0], high[1]]];

/** The lines that letters stand on and reach up to, and the boxes around them. */
function guidesOf(sign: Sign, letters: readonly SetLetter[], z: number, on: Detail["on"]): Detail[] {
  const { capital, small, stacked } = sign;
  const at = placesOn(sign);
  const item = { index: 0 };
  const guide = ([a, b]: readonly [Vec3, Vec3]): Detail => ({ kind: "guide", a, b, on, item });
  const rows = stacked ? letters.map((letter) => [letter]) : [letters];
  const lines = rows.flatMap((row) => {
    const [from, to] = [Math.min(...row.map(({ low }) => low[0])), Math.max(...row.map(({ high }) => high[0]))];
    const heights = [0, (small / 1000) * capital, capital].map((up) => row[0].base + up);
    return heights.map((y) => [at([from, y, z]), at([to, y, z])] as const);
  });
  return [...lines, ...letters.flatMap((letter) => around(boxRing(letter), z, at))].map(guide);
}

/** The painted letters of a sign, and its lines of construction. */
export function signDetails(sign: Sign, solids: readonly Solid[]): Detail[] {
  const { board, raised, both, guides } = sign;
  const letters = setLetters(sign);
  if (letters.length === 0) return [];
  const at = placesOn(sign);
  const { board: deep } = depthsOf(sign);
  const own = board && solids.find(({ part }) => part === "board");
  const faceAt = (top: boolean) =>
    own ? { solid: own, face: own.faces.findIndex(({ name }) => name === (top ? "top" : "bottom")) } : undefined;
  const painted = (flip: 1 | -1, z: number, on: Detail["on"]) => {
    const item = { index: 0 };
    return letters.flatMap(({ contours }) =>
      contours.flatMap((ring) => {
        const placed = ring.map(([x, y]): Vec2 => [flip * x, y]);
        return around(placed, z, at).map(([a, b]): Detail => ({ kind: "letter", a, b, on, item, of: sign.id }));
      }),
    );
  };
  const z = board ? deep : PAINT;
  return [
    ...(raised === undefined ? painted(1, z, faceAt(true)) : []),
    ...(raised === undefined && both && board ? painted(-1, 0, faceAt(false)) : []),
    ...(guides ? guidesOf(sign, letters, z, faceAt(true)) : []),
  ];
}
