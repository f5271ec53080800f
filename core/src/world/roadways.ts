import { distance2, radians, union, type Interval, type Vec2 } from "../geometry";
import { alongPath, areasOf, overlap, partsOf, shared, together, without, type Region } from "./areas";
import { clearBeside } from "./bends";
import { CURVED, curvesOf, turnAt } from "./curves";
import { joinedAt, LEAST_ANGLE, meetingOf, outerOf, type Joined, type Junction } from "./junctions";
import type { Mouths, Roadway } from "./kinds/kind";
import { beside, footOn, lengthened } from "./path";
import { circle } from "./polygon";
import { roundCorners, type Rounding } from "./roundCorners";
import { prism } from "./shapes";
import { asPart, type Solid } from "./solid";

/** The radius of kerbs at junctions where nothing is said, and what is usual, m (common practice). */
export const KERB_RADIUS = 3;
/** A turning head reaches so far beyond the carriageway on either side, and has at least such a radius, m. */
const HEAD = { beyond: 2.5, least: 6 } as const;
/** What is cut out reaches so far over the ends of the path, so that no sliver is left there, m. */
const OVER_END = 1e-3;
/** Kerbs are looked at from so far beside them, m. */
const BESIDE = 0.002;
/** Nearer than this is the same place; nearer than that it is the corner that a stretch of open kerb ends at, m. */
const SAME = 1e-3;
const NEAR_CORNER = 0.05;
/** Circles of the ground have so many corners. */
const ROUND = 64;

const isRaised = ({ pavement, kerb }: Roadway): boolean => pavement > 0 && kerb > 0;
const headRadius = ({ half }: Roadway): number => Math.max(HEAD.least, half + HEAD.beyond);

/** Whether a roadway is built by areas even where it meets no other. */
export const needsJoining = (one: Roadway): boolean =>
  one.tangled || one.ends.some((end) => end === "pavement" || end === "turning head");

/** The places of a path's two ends. */
const endsOf = (path: readonly Vec2[]): readonly [Vec2, Vec2] => [path[0], path[path.length - 1]];

/** A roadway with its path as it is joined with others. */
interface Laid {
  readonly one: Roadway;
  readonly path: readonly Vec2[];
  readonly joined: Joined["joined"][number];
}

/** How an end is closed, where it meets no other way. */
const closure = (one: Roadway, joined: Joined["joined"][number], end: 0 | 1) =>
  joined[end] ? undefined : one.ends[end];

/** How far beyond a roadway's ends its ground reaches, m. @param closed of ends that are closed by pavement */
const ledOn = ({ one, path, joined }: Laid, closed: number, open: number): readonly Vec2[] => {
  const [first, last] = ([0, 1] as const).map((end) => (closure(one, joined, end) === "pavement" ? closed : open));
  const to = lengthened(path, last);
  return [lengthened(path, first)[0], ...path.slice(1, -1), to[to.length - 1]];
};

const headsOf = ({ one, path, joined }: Laid, beyond: number): Region =>
  ([0, 1] as const).flatMap((end) =>
    closure(one, joined, end) === "turning head" ? [circle(endsOf(path)[end], headRadius(one) + beyond, ROUND)] : [],
  );

const carriagewayOf = (laid: Laid): Region =>
  together([alongPath(ledOn(laid, 0, OVER_END), laid.one.half), headsOf(laid, 0)]);
const groundOf = (laid: Laid): Region =>
  together([alongPath(ledOn(laid, laid.one.pavement, 0), outerOf(laid.one)), headsOf(laid, laid.one.pavement)]);

/** The ground around corners at which two roadways end, as wide as the narrower of both: of each place, the widest. */
function cornersAt(junctions: readonly Junction[], wide: (way: number) => number): Region {
  const discs = junctions.flatMap(({ at, of, ends }) => (ends ? [{ at, reach: Math.min(...of.map(wide)) }] : []));
  const covered = ({ at, reach }: (typeof discs)[number], i: number) =>
    discs.some(
      (other, k) => distance2(other.at, at) < SAME && (other.reach > reach || (other.reach === reach && k < i)),
    );
  return discs.filter((disc, i) => !covered(disc, i)).map(({ at, reach }) => circle(at, reach, ROUND));
}

/** A corner at which kerbs turn, and the radii of the kerb and of the back of the pavement there, m. */
interface KerbCorner {
  readonly at: Vec2;
  readonly radius: number;
}

const isInward = (ring: readonly Vec2[], i: number): boolean =>
  turnAt(ring[(i + ring.length - 1) % ring.length], ring[i], ring[(i + 1) % ring.length]) < -CURVED;

/** The inward corners of a region at which the sides of two roadways cross, or one runs into its turning head. */
function kerbCornersOf(
  region: Region,
  laid: readonly Laid[],
  junctions: readonly Junction[],
  wide: (way: number) => number,
  radiusOf: (ways: readonly number[]) => number,
): KerbCorner[] {
  const heads = laid.flatMap(({ one, path, joined }, i) =>
    ([0, 1] as const).flatMap((end) =>
      closure(one, joined, end) === "turning head"
        ? [{ at: endsOf(path)[end], reach: headRadius(one) + wide(i) - one.half, way: i }]
        : [],
    ),
  );
  const liesBeside = (at: Vec2, way: number) => Math.abs(footOn(at, laid[way].path).off - wide(way)) < SAME;
  const waysAt = (at: Vec2): readonly number[] | null => {
    const head = heads.find((one) => distance2(one.at, at) < one.reach + SAME && liesBeside(at, one.way));
    if (head) return [head.way];
    const found = junctions.find(
      (one) =>
        one.angle >= LEAST_ANGLE &&
        distance2(one.at, at) < Math.max(...one.of.map(wide)) / Math.sin(radians(one.angle / 2)) + SAME &&
        one.of.every((way) => liesBeside(at, way)),
    );
    return found ? found.of : null;
  };
  return region.flatMap((ring) =>
    ring.flatMap((at, i) => {
      const ways = isInward(ring, i) ? waysAt(at) : null;
      return ways ? [{ at, radius: radiusOf(ways) }] : [];
    }),
  );
}

/** The radius at a place: of the corner that it is, or 0. */
function radiusAt(corners: readonly KerbCorner[]): (at: Vec2) => number {
  const key = ([x, y]: Vec2) => `${Math.round(x * 1e5)} ${Math.round(y * 1e5)}`;
  const radii = new Map(corners.map(({ at, radius }) => [key(at), radius]));
  return (at) => radii.get(key(at)) ?? 0;
}

/** Roadways as they are built where they meet. */
export interface JoinedRoadways {
  readonly solids: readonly Solid[];
  /** The lines of level kerbs. */
  readonly kerbs: readonly (readonly Vec2[])[];
  /** Where the carriageway of each opens to others. */
  readonly mouths: readonly Mouths[];
}

/** Pavements by their heights, the highest first: where bands of several heights meet, the higher one goes on. */
function byHeight(laid: readonly Laid[], all: Region): readonly { readonly height: number; readonly region: Region }[] {
  const heights = [...new Set(laid.map(({ one }) => one.kerb))].sort((a, b) => b - a);
  let rest = all;
  return heights.map((height, i) => {
    if (i === heights.length - 1) return { height, region: rest };
    const own = together(laid.filter(({ one }) => one.kerb === height).map(groundOf));
    const region = shared(rest, own);
    rest = without(rest, own);
    return { height, region };
  });
}

/**
 * Where the kerb of a roadway opens, as stretches of its own path, m: where it lies in what others take, and as far as
 * the arcs of the corners there reach.
 */
function openAlong({ one, path }: Laid, side: 1 | -1, others: Region, roundings: readonly Rounding[]): Interval[] {
  const by = side * (one.half + BESIDE);
  const kerb = one.tangled ? clearBeside(path, by) : [beside(path, by)];
  const along = (at: Vec2) => footOn(at, one.path).along;
  return union(
    partsOf(kerb, others, "within").map((part): Interval => {
      const ends = [part[0], part[part.length - 1]];
      const arcs = roundings.filter(({ corner }) => ends.some((end) => distance2(end, corner) < NEAR_CORNER));
      const reached = arcs.flatMap(({ tangents }) =>
        tangents.filter((at) => Math.abs(footOn(at, path).off - one.half) < SAME),
      );
      const places = [...part, ...reached].map(along);
      return [Math.min(...places), Math.max(...places)];
    }),
  );
}

/** What other roadways take of the ground that one lies on: their carriageways, one over the other. */
const othersOf = (i: number, laid: readonly Laid[], grounds: readonly Region[], near: readonly Junction[]): Region =>
  [...new Set(near.filter(({ of }) => of.includes(i)).flatMap(({ of }) => of))]
    .filter((k) => k !== i || laid[i].one.tangled)
    .flatMap((k) => grounds[k]);

/**
 * Roadways that meet, as one: carriageways run into one another, kerbs turn around a radius, pavements go around them
 * and keep their width, and both end at what takes the ground.
 * @param id of whom the solids are
 * @param taken what roadways end at
 */
export function joinRoadways(id: string, roadways: readonly Roadway[], taken: Region): JoinedRoadways {
  const { paths, joined, junctions } = joinedAt(roadways.map(meetingOf));
  const laid = roadways.map((one, i): Laid => ({ one, path: paths[i], joined: joined[i] }));
  const kerbRadius = (ways: readonly number[]) => {
    const said = ways.flatMap((i) => roadways[i].radius ?? []);
    return said.length ? Math.max(...said) : KERB_RADIUS;
  };
  const backRadius = (ways: readonly number[]) =>
    Math.max(0, kerbRadius(ways) - Math.min(...ways.map((i) => roadways[i].pavement)));
  const half = (i: number) => roadways[i].half;
  const outer = (i: number) => outerOf(roadways[i]);

  const own = laid.map(carriagewayOf);
  const carriageway = together([...own, cornersAt(junctions, half)]);
  const kerbCorners = kerbCornersOf(carriageway, laid, junctions, half, kerbRadius);
  /** The ground of roadways with their pavements, and the corners of its back. */
  const groundsOf = (of: readonly Laid[]) => {
    const among = new Set(of.map((one) => laid.indexOf(one)));
    const theirs = junctions.filter(({ of: ways }) => ways.every((i) => among.has(i)));
    const region = together([...of.map(groundOf), cornersAt(theirs, outer)]);
    return { region, corners: kerbCornersOf(region, laid, theirs, outer, backRadius) };
  };
  const raised = laid.filter(({ one }) => isRaised(one));
  const walked = groundsOf(raised);
  const kept = raised.map(({ one }) => {
    // Another carriageway, or what takes the ground, leaves no room for a driveway that it lies on.
    const others = [...taken, ...laid.flatMap((other, i) => (other.one === one ? [] : own[i]))];
    return one.driveways.filter(({ rings }) => !overlap(rings, others));
  });
  const openings = kept.flat().map(({ rings }) => rings);
  const pavement = without(walked.region, together([carriageway, taken, ...openings]));
  const radius = radiusAt([...kerbCorners, ...walked.corners]);
  // Rounded before it is parted by heights: an arc may run from one band into another.
  const turned = pavement.map((ring) => roundCorners(ring, radius).ring);
  const solids = byHeight(raised, turned).flatMap(({ height, region }) =>
    areasOf(region).map(({ outer: ring, holes }) =>
      prism(
        id,
        ring,
        holes.map((hole) => [...hole].reverse()),
        [0, height],
        curvesOf,
      ),
    ),
  );
  const kerbs = carriageway.map((ring) => roundCorners(ring, radius));
  const roundings = kerbs.flatMap((one) => one.roundings);
  const opened = (side: 1 | -1) =>
    laid.map((one, i) => openAlong(one, side, [...othersOf(i, laid, own, junctions), ...taken], roundings));
  const [right, left] = [opened(1), opened(-1)];
  return {
    solids: [
      ...solids.map((solid, i) => asPart(solid, `paving ${i}`)),
      ...kept.flat().flatMap(({ solids: ramps }) => ramps()),
      ...roadways.flatMap(({ standing }, i) => standing(joined[i])),
    ],
    kerbs: levelKerbs(
      laid,
      kerbs.map(({ ring }) => ring),
      together([walked.region, taken]),
      groundsOf,
    ),
    mouths: roadways.map((_, i) => ({ right: right[i], left: left[i] })),
  };
}

/** The rims of a region as lines. */
const rimsOf = (region: Region): Vec2[][] => region.map((ring) => [...ring, ring[0]]);

/** Lines across the open ends of roadways, where nothing is drawn: as thin regions. */
const acrossEnds = (laid: readonly Laid[], wide: (one: Roadway) => number): Region =>
  laid.flatMap(({ one, path, joined }) =>
    ([0, 1] as const).flatMap((end) => {
      if (closure(one, joined, end) === "pavement" || closure(one, joined, end) === "turning head") return [];
      const [back, on] = [-2 * OVER_END, 2 * OVER_END].map((by) => endsOf(lengthened(path, by))[end]);
      return alongPath([back, on], wide(one) - OVER_END);
    }),
  );

/** Kerbs of roadways without raised pavements, as lines: those that no raised pavement stands at. */
function levelKerbs(
  laid: readonly Laid[],
  carriageway: Region,
  stood: Region,
  groundsOf: (of: readonly Laid[]) => { readonly region: Region; readonly corners: readonly KerbCorner[] },
): readonly (readonly Vec2[])[] {
  const level = laid.filter(({ one }) => !isRaised(one));
  if (level.length === 0) return [];
  const kerbs = partsOf(rimsOf(carriageway), together([stood, acrossEnds(laid, ({ half }) => half)]), "outside");
  const walked = level.filter(({ one }) => one.pavement > 0);
  const { region, corners } = groundsOf(walked);
  const backs = region.map((ring) => roundCorners(ring, radiusAt(corners)).ring);
  const hidden = together([carriageway, stood, acrossEnds(walked, outerOf)]);
  return [...kerbs, ...partsOf(rimsOf(backs), hidden, "outside")];
}
