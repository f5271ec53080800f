import { radians, type Vec2 } from "../../../geometry";
import { inset } from "../../polygon";
import type { Look, Opening } from "./front";
import { cornersIn, headOf, outlineOfOpening, riseOf, type Extent } from "./heads";

/** A place of an opening: m along its wall, up, and behind the wall. */
export type InWall = readonly [along: number, up: number, behind: number];

/** What a line of an opening is of: its outline comes first, and is drawn where there is no room for the others. */
export const LINE_PARTS = ["outline", "reveal", "glazing", "dressing", "leaf"] as const;
export type LinePart = (typeof LINE_PARTS)[number];

/** A line of an opening; what lies behind its wall is seen through its outline only. */
export interface OpeningLine {
  readonly part: LinePart;
  readonly a: InWall;
  readonly b: InWall;
}

/** The handle of a door is so high, so long and so far from its edge, m (common practice). */
const HANDLE = { at: 1.05, long: 0.12, aside: 0.07 } as const;
/** Panels of a door leave so much of their leaf around them, m. */
const STILE = 0.11;
/** Bands under and over an opening reach so far beyond it, m. */
const BEYOND = 0.08;
/** A slat of a shutter that rolls up is so high, m (common practice). */
const SLAT = 0.1;
/** Slats of a shutter: so many (common practice). */
const SLATS = 5;

const around = (ring: readonly Vec2[], depth: number, part: LinePart): OpeningLine[] =>
  ring.map(([s, up], i) => {
    const [t, over] = ring[(i + 1) % ring.length];
    return { part, a: [s, up, depth], b: [t, over, depth] };
  });

const rectangleOf = ({ from, to, low, high }: Extent): readonly Vec2[] => [
  [from, low],
  [to, low],
  [to, high],
  [from, high],
];

/** The part of a line that lies within a convex ring, or null. */
function within(ring: readonly Vec2[], [px, py]: Vec2, [qx, qy]: Vec2): readonly [Vec2, Vec2] | null {
  let [t0, t1] = [0, 1];
  ring.forEach(([ax, ay], i) => {
    const [bx, by] = ring[(i + 1) % ring.length];
    const side = (x: number, y: number) => (bx - ax) * (y - ay) - (by - ay) * (x - ax);
    const [p, q] = [side(px, py), side(qx, qy)];
    if (p < 0 && q < 0) t1 = -1;
    else if (p < 0) t0 = Math.max(t0, p / (p - q));
    else if (q < 0) t1 = Math.min(t1, p / (p - q));
  });
  const at = (t: number): Vec2 => [px + t * (qx - px), py + t * (qy - py)];
  return t1 - t0 > 1e-9 ? [at(t0), at(t1)] : null;
}

/** Lines within an opening's pane, at its depth, as far as they lie in it. */
const inPane = (pane: readonly Vec2[], depth: number, lines: readonly (readonly [Vec2, Vec2])[]): OpeningLine[] =>
  lines.flatMap(([p, q]) => {
    const kept = within(pane, p, q);
    return kept ? [{ part: "glazing" as const, a: [...kept[0], depth] as const, b: [...kept[1], depth] as const }] : [];
  });

/** Glazing bars: so many panes across and up. */
function bars(pane: readonly Vec2[], { from, to, low, high }: Extent, across: number, up: number, depth: number) {
  const at = (k: number, n: number, a: number, b: number) => a + (k / n) * (b - a);
  const upright = Array.from({ length: across - 1 }, (_, k): readonly [Vec2, Vec2] => {
    const s = at(k + 1, across, from, to);
    return [
      [s, low],
      [s, high],
    ];
  });
  const level = Array.from({ length: up - 1 }, (_, k): readonly [Vec2, Vec2] => {
    const z = at(k + 1, up, low, high);
    return [
      [from, z],
      [to, z],
    ];
  });
  return inPane(pane, depth, [...upright, ...level]);
}

/** The panels of one leaf, in one column or two, from the bottom up. */
function panelsOf({ from, to, low, high }: Extent, panels: number): readonly Extent[] {
  const columns = panels > 1 && panels % 2 === 0 ? 2 : 1;
  const rows = panels / columns;
  const [wide, tall] = [(to - from - STILE * (columns + 1)) / columns, (high - low - STILE * (rows + 1)) / rows];
  if (!(wide > 0.05 && tall > 0.05)) return [];
  return Array.from({ length: panels }, (_, i) => {
    const [column, row] = [i % columns, Math.floor(i / columns)];
    const [s, z] = [from + STILE + column * (wide + STILE), low + STILE + row * (tall + STILE)];
    return { from: s, to: s + wide, low: z, high: z + tall };
  });
}

/** Up to where the leaves of a door reach: to its light, or to where its head springs. */
const topOfLeaves = (opening: Opening): number => {
  const { fanlight = 0, head = "flat" } = opening.look;
  return opening.high - Math.max(fanlight, head === "flat" ? 0 : riseOf(head, opening));
};

/** Whether the leaves of a door turn on hinges. */
export const turns = ({ opens = "inwards" }: Look): boolean => opens === "inwards" || opens === "outwards";

/** Which way each leaf of a door runs from its hinge once it is opened: along its wall and behind it, per m. */
export function leafWays({ look }: Opening): readonly (readonly [along: number, behind: number])[] {
  const { leaves = 1, open = 0, opens } = look;
  const behind = opens === "outwards" ? -1 : 1;
  const [cos, sin] = [Math.cos(radians(open)), behind * Math.sin(radians(open))];
  const all: readonly (readonly [number, number])[] = [
    [cos, sin],
    [-cos, sin],
  ];
  return all.slice(0, leaves);
}

/** A leaf that is opened: the places of its hinge and of its free edge, m along its wall and behind it, and its top. */
export interface OpenedLeaf {
  readonly hinge: Vec2;
  readonly free: Vec2;
  readonly top: number;
}

/** Farther than this a leaf is opened only where it hangs behind its jamb, degrees. */
const ACROSS = 90;

/**
 * The leaves of an opened door, about the jambs that they hang on: what opens outwards hangs on the face of its wall.
 * @param thick how deep its jambs are, m
 */
export function openedLeaves(opening: Opening, thick = opening.look.reveal ?? 0): readonly OpenedLeaf[] {
  const { from, to, look } = opening;
  const { reveal = 0, open = 0, opens } = look;
  if (open <= 0 || !turns(look)) return [];
  const wide = (to - from) / (look.leaves ?? 1);
  const depth = opens === "outwards" ? 0 : open > ACROSS ? thick : reveal;
  const top = topOfLeaves(opening);
  return leafWays(opening).map(([along, behind], leaf) => {
    const s = leaf === 0 ? from : to;
    return { hinge: [s, depth], free: [s + wide * along, depth + wide * behind], top };
  });
}

/** The lines of leaves that are opened inwards: their free edge, their top and their foot; others are solids. */
const linesOfLeaves = (opening: Opening): OpeningLine[] =>
  (opening.look.opens === "outwards" ? [] : openedLeaves(opening)).flatMap(
    ({ hinge: [s, back], free: [t, far], top }): OpeningLine[] => [
      { part: "leaf", a: [t, opening.low, far], b: [t, top, far] },
      { part: "leaf", a: [s, top, back], b: [t, top, far] },
      { part: "leaf", a: [s, opening.low, back], b: [t, opening.low, far] },
    ],
  );

/** What still closes a door that slides or rolls up: rectangles of its wall, one for each leaf. */
export function closedStill(opening: Opening): readonly Extent[] {
  const { from, to, low, look } = opening;
  const { leaves = 1, clear = 0, opens } = look;
  const [top, open] = [topOfLeaves(opening), clear / 100];
  if (turns(look) || open >= 1) return [];
  if (opens === "rolls") return [{ from, to, low: low + open * (top - low), high: top }];
  const wide = ((to - from) / leaves) * (1 - open);
  // One leaf slides to the right; of two, each to its own side.
  const left = { from, to: from + wide, low, high: top };
  const right = { from: to - wide, to, low, high: top };
  return leaves === 2 ? [left, right] : [right];
}

/** The slats of a shutter that rolls up. */
function slatsOf({ from, to, low, high }: Extent): (readonly [Vec2, Vec2])[] {
  const n = Math.max(1, Math.round((high - low) / SLAT));
  return Array.from({ length: n }, (_, i): readonly [Vec2, Vec2] => {
    const z = low + (i / n) * (high - low);
    return [
      [from, z],
      [to, z],
    ];
  });
}

/**
 * The leaves of a door with their panels and handles, and the light over them; none where nothing is said of its
 * leaves.
 */
function leavesOf(opening: Opening, pane: readonly Vec2[], depth: number): OpeningLine[] {
  const { from, to, low, high, look } = opening;
  if (look.opens === "rolls") return inPane(pane, depth, closedStill(opening).flatMap(slatsOf));
  if (look.panels === undefined) return [];
  const { leaves = 1, panels = 0, open = 0, clear = 0 } = look;
  const top = topOfLeaves(opening);
  const wide = (to - from) / leaves;
  const lines: (readonly [Vec2, Vec2])[] = [];
  /** How far a leaf has slid aside. */
  const slid = (leaf: number) => (turns(look) ? 0 : (clear / 100) * wide * (leaves === 2 && leaf === 0 ? -1 : 1));
  // Two leaves meet in the true middle: perspective puts it where it is seen.
  if (leaves === 2 && slid(0) === 0) lines.push(freeEdge(from + wide));
  if (top < high - 1e-9)
    lines.push([
      [from, top],
      [to, top],
    ]);
  if (open > 0 && turns(look))
    return [...inPane(pane, depth, lines.slice(leaves === 2 ? 1 : 0)), ...linesOfLeaves(opening)];
  for (let leaf = 0; leaf < leaves; leaf++) {
    const aside = slid(leaf);
    const own = { from: from + leaf * wide + aside, to: from + (leaf + 1) * wide + aside, low, high: top };
    // What has slid leaves its free edge to be seen.
    if (aside !== 0) lines.push(freeEdge(aside > 0 ? own.from : own.to));
    // The handle is at the edge that opens: where two leaves meet, or to the right.
    const edge = leaf === 0 ? own.to - HANDLE.aside : own.from + HANDLE.aside;
    const inwards = leaf === 0 ? -HANDLE.long : HANDLE.long;
    const z = low + HANDLE.at;
    if (z < top)
      lines.push([
        [edge, z],
        [edge + inwards, z],
      ]);
    for (const panel of panelsOf(own, panels))
      rectangleOf(panel).forEach((p, i, ring) => lines.push([p, ring[(i + 1) % 4]]));
  }
  return inPane(pane, depth, lines);

  function freeEdge(s: number): readonly [Vec2, Vec2] {
    return [
      [s, low],
      [s, top],
    ];
  }
}

/** So much of its band a keystone stands out of it, an impost is high, and reaches beyond it. */
const [KEYSTONE, IMPOST, REACHES] = [0.35, 0.5, 0.2] as const;

/** The place so far along a line of places, as a part of their number. */
function placeAlong(line: readonly Vec2[], part: number): Vec2 {
  const at = part * (line.length - 1);
  const i = Math.min(line.length - 2, Math.floor(at));
  const [[s, z], [t, up]] = [line[i], line[i + 1]];
  return [s + (at - i) * (t - s), z + (at - i) * (up - z)];
}

/**
 * The stones of a band over a head: the joints between them, square to it, a keystone that stands out of it, and
 * imposts under its ends.
 * @param inner its lower edge and `outer` its upper one, from right to left, with as many places
 */
function stonesOf({ look }: Opening, inner: readonly Vec2[], outer: readonly Vec2[], high: number): OpeningLine[] {
  const { voussoirs = 0, keystone, imposts } = look;
  const line = ([s, z]: Vec2, [t, up]: Vec2): OpeningLine => ({ part: "dressing", a: [s, z, 0], b: [t, up, 0] });
  // A middle stone there is only among an odd number.
  const n = Math.max(voussoirs, keystone ? 5 : 0);
  const count = n % 2 === 0 && keystone ? n + 1 : n;
  const at = (k: number, beyond = 0): readonly [Vec2, Vec2] => {
    const [p, q] = [placeAlong(inner, k / count), placeAlong(outer, k / count)];
    return [p, [q[0] + beyond * (q[0] - p[0]), q[1] + beyond * (q[1] - p[1])]];
  };
  const first = (count - 1) / 2;
  const isKey = (k: number) => keystone && (k === first || k === first + 1);
  const joints = voussoirs > 0 ? Array.from({ length: count - 1 }, (_, i) => i + 1) : [];
  const drawn = [...joints.filter((k) => !isKey(k)).map((k) => line(...at(k)))];
  if (keystone) {
    const [right, left] = [at(first, KEYSTONE), at(first + 1, KEYSTONE)];
    drawn.push(line(...right), line(...left), line(right[1], left[1]));
  }
  if (imposts)
    for (const [end, way] of [
      [inner[0], 1],
      [inner[inner.length - 1], -1],
    ] as const) {
      const [s, z] = end;
      const far = s + way * high * (1 + REACHES);
      const ring: readonly Vec2[] = [
        [s, z - IMPOST * high],
        [far, z - IMPOST * high],
        [far, z],
        [s, z],
      ];
      drawn.push(...ring.map((p, i) => line(p, ring[(i + 1) % 4])));
    }
  return drawn;
}

/** The band over a head: a lintel, or an arch that follows it. */
function lintelOf(opening: Opening, high: number): OpeningLine[] {
  const { from, to, low, look } = opening;
  const head = look.head ?? "flat";
  if (head === "circle") {
    const grown = { from: from - high, to: to + high, low: low - high, high: opening.high + high };
    return around(outlineOfOpening(head, grown), 0, "dressing");
  }
  if (head === "flat") {
    const band = rectangleOf({ from: from - BEYOND, to: to + BEYOND, low: opening.high, high: opening.high + high });
    const lower: readonly Vec2[] = [
      [to, opening.high],
      [from, opening.high],
    ];
    return [...around(band, 0, "dressing"), ...stonesOf(opening, lower, band.slice(2), high)];
  }
  const springs = opening.high - riseOf(head, opening);
  const grown = { from: from - high, to: to + high, low: springs, high: opening.high + high };
  const arch = headOf(head, grown);
  return [
    ...around(arch, 0, "dressing").slice(0, -1),
    ...[arch[0], arch[arch.length - 1]].map(([s, z]) => level(s, z)),
    ...stonesOf(opening, headOf(head, opening), arch, high),
  ];

  function level(s: number, z: number): OpeningLine {
    const inner = s > (from + to) / 2 ? to : from;
    return { part: "dressing", a: [s, z, 0], b: [inner, springs, 0] };
  }
}

function shuttersOf({ from, to, low, high }: Opening): OpeningLine[] {
  const half = (to - from) / 2;
  return [from - half, to].flatMap((s) => {
    const leaf = { from: s, to: s + half, low, high };
    const slats = Array.from({ length: SLATS }, (_, i): OpeningLine => {
      const z = low + ((i + 1) / (SLATS + 1)) * (high - low);
      return { part: "dressing", a: [s + half * 0.15, z, 0], b: [s + half * 0.85, z, 0] };
    });
    return [...around(rectangleOf(leaf), 0, "dressing"), ...slats];
  });
}

/**
 * The lines of an opening: its outline on the wall, the corners of its reveal, its frame, panes or leaves at the
 * reveal's depth, and the bands and shutters around it. A door has none at its foot on the wall, where the ground goes
 * on.
 */
export function linesOfOpening(opening: Opening): readonly OpeningLine[] {
  const { kind, low, look } = opening;
  const { head = "flat", reveal = 0, frame = 0, across = 1, up = 1, ledge, lintel, shutters } = look;
  const outline = outlineOfOpening(head, opening);
  const foot = (line: OpeningLine) => kind === "door" && line.a[1] === low && line.b[1] === low;
  const pane = (frame > 0 ? inset(outline, frame) : null) ?? outline;
  const behind: OpeningLine[] =
    reveal > 0
      ? [
          ...cornersIn(outline).map(([s, z]): OpeningLine => ({ part: "reveal", a: [s, z, 0], b: [s, z, reveal] })),
          ...around(outline, reveal, "reveal"),
        ]
      : [];
  return [
    ...around(outline, 0, "outline").filter((line) => !foot(line)),
    ...behind,
    ...(pane === outline ? [] : around(pane, reveal, "glazing")),
    ...(kind === "window" ? bars(pane, opening, across, up, reveal) : leavesOf(opening, pane, reveal)),
    ...(ledge === undefined
      ? []
      : around(
          rectangleOf({ from: opening.from - BEYOND, to: opening.to + BEYOND, low: low - ledge, high: low }),
          0,
          "dressing",
        )),
    ...(lintel === undefined ? [] : lintelOf(opening, lintel)),
    ...(shutters && head !== "circle" ? shuttersOf(opening) : []),
  ];
}
