import type { View } from "../shot";
import { SEEN, type FaceAreas } from "../visibility";
import { areaTwice } from "../world";
import { hemisphere } from "./hemisphere";
import { areasOnPaper } from "./paperAreas";
import { asOneRegion, regionWithout, ringsOf, type Ring } from "./regions";

/** What fills a panel: each surface that is seen as a region of its own, what is left of the ground, and of the sky. */
export interface SeenFaces {
  /** The regions of surfaces, each turned counter-clockwise but for its holes, mm; and the solid of each. */
  readonly faces: readonly (readonly Ring[])[];
  readonly solids: readonly number[];
  readonly ground: readonly Ring[];
  readonly sky: readonly Ring[];
}

/** Rings that are less than this on paper are none, square mm. */
const SLIVER = 1e-6;

const known = new WeakMap<FaceAreas, { readonly view: View; readonly found: SeenFaces }>();

/** Rings so that the outer ones turn one way around. @param flipped whether they turn the other way now */
const turned = (rings: readonly Ring[], flipped: boolean): readonly Ring[] =>
  flipped ? rings.map((ring) => [...ring].reverse()) : rings;

/** The regions of the surfaces that are seen, by surface. */
function facesOn(view: View, areas: FaceAreas): ReadonlyMap<number, readonly Ring[]> {
  const rings = new Map<number, number[]>();
  areas.light.forEach((light, ring) => {
    if (light !== SEEN) return;
    const own = rings.get(areas.surface[ring]);
    if (own) own.push(ring);
    else rings.set(areas.surface[ring], [ring]);
  });
  const regions = new Map<number, readonly Ring[]>();
  for (const [surface, own] of rings) {
    const of = new Set(own);
    const drawn = ringsOf(areasOnPaper(view, areas, (ring) => of.has(ring)));
    const size = drawn.reduce((sum, ring) => sum + areaTwice(ring), 0);
    const flat = turned(drawn, size < 0);
    // The facets of a round surface are one.
    const isRound = own.some((ring) =>
      [0, 1, 2].some((k) => areas.normals[3 * ring + k] !== areas.normals[3 * own[0] + k]),
    );
    const whole = (isRound ? asOneRegion(flat) : flat).filter((ring) => Math.abs(areaTwice(ring)) > SLIVER);
    if (whole.length > 0) regions.set(surface, whole);
  }
  return regions;
}

/** What fills a panel, of which the parts of surfaces that are seen are known. */
export function seenFaces(view: View, areas: FaceAreas): SeenFaces {
  const before = known.get(areas);
  if (before?.view === view) return before.found;
  const regions = facesOn(view, areas);
  const solidOf = new Map(Array.from(areas.surface, (surface, ring) => [surface, areas.solid[ring]]));
  const all = asOneRegion([...regions.values()].flat());
  const [sky, ground] = [true, false].map((isUpper) => regionWithout(hemisphere(view, isUpper), all));
  const found = {
    faces: [...regions.values()],
    solids: [...regions.keys()].map((surface) => solidOf.get(surface)!),
    sky,
    ground,
  };
  known.set(areas, { view, found });
  return found;
}
