import type { Vec2, Vec3 } from "../../../geometry";
import type { DetailItem } from "../../details";
import { extrude } from "../../shapes";
import { sideOf } from "../../polygon";
import { asPart, type EdgeDetail, type Solid } from "../../solid";
import { putTogether, takenApart, type Parts } from "../../parts";
import type { Opening } from "./front";
import { cornersIn, outlineOfOpening } from "./heads";
import { closedStill, LINE_PARTS, openedLeaves, type OpenedLeaf } from "./openingLines";
import { clearOpenings, OVER, roomsOf, type Room, type Rooms } from "./rooms";
import type { Building } from "./schema";
import { faceOf, placeIn, type FittedTier, type Wall } from "./wallOpenings";

/** Doorways between rooms are so wide and high, and leave so much wall over them, m (common practice). */
const DOORWAY = { width: 0.9, height: 2.05, over: 0.15 } as const;
/** What the faces around an opening are called after it, before their number. */
const SIDE = ", side ";
/** Nearer than this two places are one, m. */
const SAME = 1e-6;
/** The leaf of a door is so thick, and keeps so far from what is around it, m. */
const LEAF = { thick: 0.04, clear: 0.004 } as const;

/** What an opening is called among those of its building. */
export const keyOf = ({ p, u }: Wall, { kind, storey, index, from }: Opening): string =>
  ["opening", kind, storey, index, ...[p[0] + from * u[0], p[1] + from * u[1]].map((at) => at.toFixed(4))].join(" ");

/** A solid that is hollowed out: its parts, and what edges between two of its faces are drawn as. */
interface Hollow {
  readonly parts: Parts;
  /** By the number of a face around an opening: what is drawn of its rim outside, and of all else of it. */
  readonly rims: Map<number, { readonly outer: number; readonly rim: EdgeDetail; readonly inside: EdgeDetail }>;
}

/** Adds the faces of a room, which look into it. @returns the number of the first of its walls */
function addRoom({ parts }: Hollow, { name, ring, floor, ceiling }: Room): number {
  const { vertices, loops, round, names, holes } = parts;
  const [low, n] = [vertices.length, ring.length];
  for (const z of [floor, ceiling]) vertices.push(...ring.map(([x, y]): Vec3 => [x, y, z]));
  const add = (loop: number[], face: string) => {
    round.push(undefined);
    names.push(`${name} ${face}`);
    holes.push([]);
    return loops.push(loop) - 1;
  };
  const around = ring.map((_, i) => low + i);
  add(around, "floor");
  add(around.map((i) => i + n).reverse(), "ceiling");
  const walls = around.map((a, i) => add([around[(i + 1) % n], a, a + n, around[(i + 1) % n] + n], `wall ${i}`));
  return walls[0];
}

/** A hole from one face to another, by its rim on the first, counter-clockwise as it is seen from before it. */
interface Through {
  readonly rim: readonly Vec3[];
  readonly far: readonly Vec3[];
  /** Whether the rim turns sharply at each of its corners. */
  readonly sharp: readonly boolean[];
  readonly faces: readonly [near: number, far: number];
  readonly kind: "window" | "door";
  readonly item: DetailItem;
  readonly name: string;
}

/** Cuts a hole through what stands between two faces, and closes it all around. */
function cut({ parts, rims }: Hollow, { rim, far, sharp, faces: [near, behind], kind, item, name }: Through): void {
  const { vertices, loops, round, names, holes } = parts;
  const first = vertices.push(...rim, ...far) - 2 * rim.length;
  const n = rim.length;
  const around = rim.map((_, i) => first + i);
  holes[near].push([...around].reverse());
  holes[behind].push(around.map((i) => i + n));
  const level = LINE_PARTS.indexOf("reveal");
  // No other surface of a building has these numbers.
  let curve = 10_000 + loops.length;
  around.forEach((a, i) => {
    const b = around[(i + 1) % n];
    if (sharp[i]) curve++;
    const isThreshold = kind === "door" && i === 0;
    const inside: EdgeDetail = { kind: "reveal", item, level };
    rims.set(loops.length, { outer: near, rim: isThreshold ? inside : { kind, item, level: 0 }, inside });
    loops.push([a, b, b + n, a + n]);
    round.push(curve);
    names.push(`${name}${SIDE}${i}`);
    holes.push([]);
  });
}

/** A room whose faces have been added; `first` is the number of the first of its walls. */
interface Placed {
  readonly room: Room;
  readonly first: number;
}

/** Cuts an opening of a wall through to a face of the room behind it. */
function openWall(hollow: Hollow, tier: FittedTier, { wall, opening, faces, floor, thick }: OpenedWall): void {
  const at = placeIn(wall, tier.z);
  const outline = outlineOfOpening(opening.look.head ?? "flat", {
    ...opening,
    low: Math.max(opening.low, floor + OVER - tier.z),
  });
  const corners = new Set(cornersIn(outline));
  cut(hollow, {
    rim: outline.map(([s, up]) => at([s, up, 0])),
    far: outline.map(([s, up]) => at([s, up, thick])),
    sharp: outline.map((place) => corners.has(place)),
    faces,
    kind: opening.kind,
    item: { index: opening.index },
    name: keyOf(wall, opening),
  });
}

/** An opening of a wall, the faces that it is cut through, the floor behind it, and how thick the wall is, m. */
interface OpenedWall extends Pick<Through, "faces"> {
  readonly wall: Wall;
  readonly opening: Opening;
  readonly floor: number;
  readonly thick: number;
}

/** No wall between two rooms that has a doorway is thicker than this, m. */
const THICKEST = 0.6;

/** A wall between two rooms: their sides, and of the first, m along it, from where to where they stand face to face. */
interface Partition {
  readonly sides: readonly [number, number];
  readonly from: number;
  readonly to: number;
  readonly thick: number;
}

/** The longest wall between two rooms of a storey; null where they have none that a doorway goes through. */
function partitionOf(one: Room, other: Room): Partition | null {
  const found = one.ring.flatMap((_, side) => {
    const { p, u, long } = sideOf(one.ring, side);
    return other.ring.flatMap((__, facing): Partition[] => {
      const { p: q, u: v, long: far } = sideOf(other.ring, facing);
      const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
      const thick = dx * u[1] - dy * u[0];
      if (u[0] * v[0] + u[1] * v[1] > SAME - 1 || thick < SAME || thick > THICKEST) return [];
      // The other room's side runs the other way.
      const start = dx * u[0] + dy * u[1];
      const [from, to] = [Math.max(0, start - far), Math.min(long, start)];
      return to - from < 2 * DOORWAY.width ? [] : [{ sides: [side, facing], from, to, thick }];
    });
  });
  return found.reduce<Partition | null>(
    (best, one) => (best && best.to - best.from >= one.to - one.from ? best : one),
    null,
  );
}

/** Cuts a doorway through each wall between two rooms that stand side by side. */
function openPartitions(hollow: Hollow, rooms: readonly Placed[]): void {
  rooms.forEach(({ room, first }, i) => {
    rooms.slice(i + 1).forEach((next) => {
      if (next.room.floor !== room.floor) return;
      const high = Math.min(DOORWAY.height, room.ceiling - room.floor - DOORWAY.over);
      const wall = high < 2 * DOORWAY.over ? null : partitionOf(room, next.room);
      if (!wall) return;
      const { p, u } = sideOf(room.ring, wall.sides[0]);
      // From the room, the wall runs from right to left.
      const middle = (wall.from + wall.to) / 2;
      const ring: readonly Vec2[] = [
        [middle + DOORWAY.width / 2, OVER],
        [middle - DOORWAY.width / 2, OVER],
        [middle - DOORWAY.width / 2, high],
        [middle + DOORWAY.width / 2, high],
      ];
      const at = ([s, up]: Vec2, off: number): Vec3 => [
        p[0] + s * u[0] + off * u[1],
        p[1] + s * u[1] - off * u[0],
        room.floor + up,
      ];
      cut(hollow, {
        rim: ring.map((place) => at(place, 0)),
        far: ring.map((place) => at(place, wall.thick)),
        sharp: ring.map(() => true),
        faces: [first + wall.sides[0], next.first + wall.sides[1]],
        kind: "door",
        item: { index: i },
        name: `opening ${room.name} ${next.room.name}`,
      });
    });
  });
}

/** A part of a building with its rooms cut out of it, and what opens cut through to them. */
export function roomed(solid: Solid, rooms: Rooms, tier: FittedTier): Solid {
  const hollow: Hollow = { parts: takenApart(solid), rims: new Map() };
  const all = roomsOf(rooms, tier);
  const placed = all.map((room): Placed => ({ room, first: addRoom(hollow, room) }));
  for (const { wall, opening, behind } of clearOpenings(all, tier, rooms.wall)) {
    const near = faceOf(solid, wall);
    if (near < 0 || !behind) continue;
    const { room, first } = placed[behind.room];
    const faces = [near, first + behind.side] as const;
    openWall(hollow, tier, { wall, opening, faces, floor: room.floor, thick: rooms.wall });
  }
  openPartitions(hollow, placed);
  const whole = putTogether(solid.id, hollow.parts);
  return {
    ...whole,
    edges: whole.edges.map((edge) => {
      const of = edge.faces.flatMap((face) => hollow.rims.get(face) ?? [])[0];
      if (!of) return edge;
      return { ...edge, detail: edge.faces.includes(of.outer) ? of.rim : of.inside };
    }),
  };
}

/**
 * A leaf of a door that stands open, as a solid.
 * @param floor of what it opens over, m from the foot of its wall
 */
function leafOf(id: string, opening: Opening, wall: Wall, z: number, floor: number, leaf: OpenedLeaf): Solid {
  const at = placeIn(wall, z);
  const outwards = opening.look.opens === "outwards" ? -1 : 1;
  const {
    hinge: [s, depth],
    free: [t, far],
    top,
  } = leaf;
  const back = outwards < 0 ? depth - LEAF.clear : depth;
  // Its thickness lies on the side of the jamb that it hangs on.
  const long = Math.hypot(t - s, far - back);
  const [du, db] = [(t - s) / long, (far - back) / long];
  const inwards = s < (opening.from + opening.to) / 2 ? 1 : -1;
  const side = inwards * outwards;
  const [nu, nb] = [side * db * LEAF.thick, -side * du * LEAF.thick];
  const clear = inwards * LEAF.clear;
  const corners: readonly Vec2[] = [
    [s + clear, back],
    [t + clear, far],
    [t + clear + nu, far + nb],
    [s + clear + nu, back + nb],
  ];
  const ring = side > 0 ? [...corners].reverse() : corners;
  const solid = extrude(id, ring, ([along, behindIt], end) => at([along, end ? top - LEAF.clear : floor, behindIt]));
  return asPart(solid, "leaf");
}

/** What still closes a door that slides or rolls up, as solids just behind where it is drawn. */
function stillClosed(id: string, opening: Opening, wall: Wall, z: number): Solid[] {
  const at = placeIn(wall, z);
  const { reveal = 0 } = opening.look;
  return closedStill(opening).map(({ from, to, low, high }) => {
    const ring: readonly Vec2[] = [
      [from + LEAF.clear, reveal + LEAF.clear],
      [from + LEAF.clear, reveal + LEAF.thick],
      [to - LEAF.clear, reveal + LEAF.thick],
      [to - LEAF.clear, reveal + LEAF.clear],
    ];
    const solid = extrude(id, ring, ([along, behindIt], end) =>
      at([along, end ? high - LEAF.clear : low + 2 * LEAF.clear, behindIt]),
    );
    return asPart(solid, "leaf");
  });
}

/** The leaves of doors that stand open before rooms. */
export function leavesBefore(id: string, rooms: Rooms, tier: FittedTier): Solid[] {
  const all = roomsOf(rooms, tier);
  return clearOpenings(all, tier, rooms.wall).flatMap(({ wall, opening, behind }) => {
    if (!behind || opening.kind !== "door") return [];
    const floor = all[behind.room].floor + OVER - tier.z + LEAF.clear;
    return [
      ...openedLeaves(opening, rooms.wall).map((leaf) => leafOf(id, opening, wall, tier.z, floor, leaf)),
      ...stillClosed(id, opening, wall, tier.z),
    ];
  });
}

/** Whether a building has doors that may stand open before its walls. */
export const opensOutwards = ({ fronts = [] }: Building): boolean =>
  fronts.some(({ own }) => own?.some(({ opens, open }) => opens === "outwards" && open));

/** The leaves of doors that stand open before walls without rooms. */
export const leavesOutside = (id: string, { walls, z }: FittedTier): Solid[] =>
  walls.flatMap(({ wall, openings }) =>
    openings
      .filter(({ kind, look }) => kind === "door" && look.opens === "outwards")
      .flatMap((one) => openedLeaves(one).map((leaf) => leafOf(id, one, wall, z, one.low + LEAF.clear, leaf))),
  );

/** The openings that are cut through a solid, by what they are called: what each is drawn as. */
export function cutThrough({ faces, edges }: Solid): ReadonlyMap<string, DetailItem> {
  const found = new Map<string, DetailItem>();
  for (const { detail, faces: around } of edges)
    for (const face of around) {
      const [name, side] = (faces[face].name ?? "").split(SIDE);
      if (detail?.item && side !== undefined) found.set(name, detail.item);
    }
  return found;
}
