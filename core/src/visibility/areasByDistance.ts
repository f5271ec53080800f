import { dot, norm, sub, type Vec2, type Vec3 } from "../geometry";
import { shared, without, type Region } from "../world";
import { AreaBook, type FaceAreas, type PartOf } from "./faceAreas";
import { inWorld, onPlane, planeOfFace } from "./onFace";

/** Discs on planes have so many corners: they leave their circles by less than two ten-thousandths of the radius. */
const CORNERS = 180;

/** What a plane has within some distance of an eye: a disc about its foot. */
function discOf([x, y]: Vec2, radius: number): Region {
  const corner = (i: number): Vec2 => {
    const turn = (2 * Math.PI * i) / CORNERS;
    return [x + radius * Math.cos(turn), y + radius * Math.sin(turn)];
  };
  return [Array.from({ length: CORNERS }, (_, i) => corner(i))];
}

/** The rings of one part of a surface, which follow each other. */
interface Part {
  readonly rings: readonly (readonly Vec3[])[];
  readonly light: number;
  readonly of: PartOf;
}

/** The parts that areas fall into. */
function partsOfAreas(areas: FaceAreas): readonly Part[] {
  const { xyz, starts, light, solid, surface, normals, recess } = areas;
  const parts: { rings: (readonly Vec3[])[]; light: number; of: PartOf }[] = [];
  for (let i = 0; i + 1 < starts.length; i++) {
    const ring = Array.from({ length: starts[i + 1] - starts[i] }, (_, k): Vec3 => {
      const o = 3 * (starts[i] + k);
      return [xyz[o], xyz[o + 1], xyz[o + 2]];
    });
    const normal: Vec3 = [normals[3 * i], normals[3 * i + 1], normals[3 * i + 2]];
    const last = parts.at(-1);
    const goesOn =
      last?.light === light[i] && last.of.surface === surface[i] && last.of.normal.every((n, k) => n === normal[k]);
    if (goesOn) last.rings.push(ring);
    else {
      const of = { solid: solid[i], surface: surface[i], normal, isRecess: recess[i] === 1 };
      parts.push({ rings: [ring], light: light[i], of });
    }
  }
  return parts;
}

/** Puts a part into the books of the bands that it lies in, cut at the spheres between them. */
function putByDistance({ rings, light, of }: Part, eye: Vec3, radii: readonly number[], books: readonly AreaBook[]) {
  const far = Math.max(...rings.flat().map((p) => norm(sub(p, eye))));
  const last = radii.findIndex((radius) => far <= radius);
  const plane = planeOfFace({ normal: of.normal, offset: dot(of.normal, rings[0][0]) });
  const height = Math.abs(dot(of.normal, sub(eye, rings[0][0])));
  const foot = onPlane(plane, eye);
  let left: Region = rings.map((ring) => ring.map((p) => onPlane(plane, p)));
  const put = (region: Region, band: number) =>
    books[band].put(
      region.map((ring) => ring.map((p) => inWorld(plane, p))),
      light,
      of,
    );
  for (const [band, radius] of radii.slice(0, last < 0 ? radii.length : last).entries()) {
    if (radius <= height) continue;
    const disc = discOf(foot, Math.sqrt(radius * radius - height * height));
    put(shared(left, disc), band);
    left = without(left, disc);
    if (left.length === 0) return;
  }
  put(left, last < 0 ? radii.length : last);
}

/** What was parted last, by the areas: they are drawn again with every turn of the view. */
const known = new WeakMap<FaceAreas, { readonly key: string; readonly bands: readonly FaceAreas[] }>();

/** Areas by how far from the eye they lie: those nearer than each radius, m, and at last those beyond all. */
export function areasByDistance(areas: FaceAreas, eye: Vec3, radii: readonly number[]): readonly FaceAreas[] {
  const key = [...eye, ...radii].join(" ");
  const before = known.get(areas);
  if (before?.key === key) return before.bands;
  const books = [...radii, Infinity].map(() => new AreaBook());
  for (const part of partsOfAreas(areas)) putByDistance(part, eye, radii, books);
  const bands = books.map((book) => book.done());
  known.set(areas, { key, bands });
  return bands;
}
