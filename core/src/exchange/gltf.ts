import { scale, type Vec3 } from "../geometry";
import type { Scene, Shot } from "../scene";
import { viewOf } from "../shot";
import { built, roundSolid, USUAL_SAGITTA, type Solid } from "../world";

/** A part of the one buffer: where it begins, and how long it is, bytes. */
interface BufferView {
  readonly buffer: 0;
  readonly byteOffset: number;
  readonly byteLength: number;
  readonly target: number;
}

/** From the world's axes, x east, y north, z up, to glTF's, x right, y up, z to the viewer. */
const turned = ([x, y, z]: Vec3): Vec3 => [x, z, -y];

/** The triangles of some solids: their places with the normals of their faces. */
function trianglesOf(solids: readonly Solid[]): { readonly places: Float32Array; readonly normals: Float32Array } {
  const [places, normals]: [number[], number[]] = [[], []];
  for (const { vertices, faces } of solids)
    for (const { pieces, normal } of faces)
      for (const piece of pieces)
        for (let i = 1; i + 1 < piece.length; i++)
          for (const n of [piece[0], piece[i], piece[i + 1]]) {
            places.push(...turned(vertices[n]));
            normals.push(...turned(normal));
          }
  return { places: Float32Array.from(places), normals: Float32Array.from(normals) };
}

/** The least and the greatest of each axis. */
function rangeOf(places: Float32Array): { readonly min: number[]; readonly max: number[] } {
  const [min, max] = [[0, 0, 0].fill(Infinity), [0, 0, 0].fill(-Infinity)];
  places.forEach((value, i) => {
    min[i % 3] = Math.min(min[i % 3], value);
    max[i % 3] = Math.max(max[i % 3], value);
  });
  return { min, max };
}

/** A shot as a camera: its panel's field of view about the centre of vision. Null for a curved lens, which has none. */
function cameraOf(shot: Shot) {
  const view = viewOf(shot);
  if (!view.law.straight) return null;
  const { frame, lens } = shot;
  // A camera looks through the middle of its picture: one that is shifted sees all of the panel.
  const reach = (from: number, size: number, centre: number) => Math.max(centre - from, from + size - centre);
  const [wide, high] = [reach(frame.x, frame.width, lens.centre.x), reach(frame.y, frame.height, lens.centre.y)];
  const [right, up, back] = [view.right, view.up, scale(view.forward, -1)].map(turned);
  const matrix = [...right, 0, ...up, 0, ...back, 0, ...turned(view.eye), 1];
  const yfov = 2 * Math.atan(Math.max(high, 1e-3) / lens.distance);
  return {
    camera: {
      type: "perspective",
      name: shot.name,
      perspective: { yfov, aspectRatio: wide / high, znear: 0.05, zfar: 1e5 },
    },
    matrix,
  };
}

/** Bytes as base64. */
function base64(bytes: Uint8Array): string {
  let text = "";
  for (let i = 0; i < bytes.length; i += 0x8000) text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(text);
}

const [FLOAT, ARRAY_BUFFER, TRIANGLES] = [5126, 34962, 4] as const;

/**
 * The masses of a scene as glTF 2.0 with its buffer within: metres, a node and a mesh for each element, and the shots
 * with straight lenses as cameras.
 * @param tolerance how far facets may leave round faces, m
 */
export function toGltf({ title, elements, shots }: Scene, tolerance = USUAL_SAGITTA): string {
  const byElement = new Map<string, Solid[]>(elements.map(({ id }) => [id, []]));
  for (const { shape, id, part, ...rest } of built(elements).solids)
    byElement
      .get(id)
      ?.push(
        shape && tolerance !== USUAL_SAGITTA ? roundSolid(id, shape, part, tolerance) : { ...rest, id, part, shape },
      );
  const chunks: Float32Array[] = [];
  const bufferViews: BufferView[] = [];
  const accessors: object[] = [];
  let bytes = 0;
  const accessor = (values: Float32Array, range: object): number => {
    bufferViews.push({ buffer: 0, byteOffset: bytes, byteLength: values.byteLength, target: ARRAY_BUFFER });
    bytes += values.byteLength;
    chunks.push(values);
    const count = values.length / 3;
    return (
      accessors.push({ bufferView: bufferViews.length - 1, componentType: FLOAT, count, type: "VEC3", ...range }) - 1
    );
  };
  const meshes: object[] = [];
  const nodes: object[] = [];
  for (const { id, name } of elements) {
    const { places, normals } = trianglesOf(byElement.get(id) ?? []);
    if (places.length === 0) continue;
    const attributes = { POSITION: accessor(places, rangeOf(places)), NORMAL: accessor(normals, {}) };
    meshes.push({ name, primitives: [{ attributes, mode: TRIANGLES }] });
    nodes.push({ name, mesh: meshes.length - 1 });
  }
  const cameras: object[] = [];
  for (const shot of shots) {
    const found = cameraOf(shot);
    if (!found) continue;
    cameras.push(found.camera);
    nodes.push({ name: shot.name, camera: cameras.length - 1, matrix: found.matrix });
  }
  const all = new Uint8Array(bytes);
  chunks.reduce((at, chunk) => {
    all.set(new Uint8Array(chunk.buffer), at);
    return at + chunk.byteLength;
  }, 0);
  const some = <K extends string>(key: K, list: readonly object[]) => (list.length > 0 ? { [key]: list } : {});
  return `${JSON.stringify({
    asset: { version: "2.0", generator: "Zanvo" },
    scene: 0,
    scenes: [{ name: title, ...(nodes.length > 0 ? { nodes: nodes.map((_, i) => i) } : {}) }],
    ...some("nodes", nodes),
    ...some("meshes", meshes),
    ...some("cameras", cameras),
    ...some("accessors", accessors),
    ...some("bufferViews", bufferViews),
    ...(bytes > 0
      ? { buffers: [{ byteLength: bytes, uri: `data:application/octet-stream;base64,${base64(all)}` }] }
      : {}),
  })}\n`;
}
