import { validateBytes } from "gltf-validator";
import { block, shotWith } from "../../testing";
import { newScene, type Scene } from "../scene";
import { project, viewOf } from "../shot";
import { built, newTurned, type Element } from "../world";
import { toGltf } from ".";

const dome: Element = { id: "d", name: "Dome", ...newTurned("dome", { x: 4, y: 30, z: 0 }) };
const scene: Scene = {
  ...newScene("Quay"),
  elements: [block("loft", -2, 14, 8, 6, 7), dome],
  shots: [
    shotWith({ gaze: { heading: 20, pitch: 5 } }),
    { ...shotWith(), id: "s2", name: "Round", lens: { ...shotWith().lens, law: "stereographic" } },
  ],
};

interface Gltf {
  readonly nodes: { name: string; mesh?: number; camera?: number; matrix?: number[] }[];
  readonly cameras: { perspective: { yfov: number; aspectRatio: number } }[];
  readonly accessors: { count: number; max?: number[] }[];
}
const written = (of: Scene, tolerance?: number) => JSON.parse(toGltf(of, tolerance)) as Gltf;

describe("glTF", () => {
  it("has nothing that Khronos' validator calls wrong, with things and without any", async () => {
    for (const one of [scene, { ...scene, elements: [] }]) {
      const { issues } = await validateBytes(new TextEncoder().encode(toGltf(one)));
      expect(issues.messages.filter(({ severity }) => severity <= 1)).toEqual([]);
    }
  });

  it("has a mesh for each element, y up, and finer round ones for a smaller tolerance", () => {
    const { nodes, accessors } = written(scene);
    expect(nodes.map(({ name }) => name)).toEqual(["loft", "Dome", scene.shots[0].name]);
    const heights = built(scene.elements).solids.flatMap(({ id, vertices }) =>
      id === "loft" ? vertices.map((p) => p[2]) : [],
    );
    expect(accessors[0].max![1]).toBeCloseTo(Math.max(...heights), 5);
    expect(written(scene, 0.001).accessors[2].count).toBeGreaterThan(written(scene, 0.1).accessors[2].count);
  });

  it("has a camera for each straight shot, which sees places where the shot draws them", () => {
    const { nodes, cameras } = written(scene);
    expect(cameras).toHaveLength(1);
    const { matrix } = nodes.find(({ camera }) => camera === 0)!;
    const { yfov } = cameras[0].perspective;
    const [shot] = scene.shots;
    const point = [1, 20, 3] as const;
    // From the world, turned to y up, into the camera's axes: it looks along its own -z.
    const [x, y, z] = [point[0] - matrix![12], point[2] - matrix![13], -point[1] - matrix![14]];
    const along = (o: number) => matrix![o] * x + matrix![o + 1] * y + matrix![o + 2] * z;
    const half = Math.tan(yfov / 2);
    const seen = project(viewOf(shot), point)!;
    const high = Math.max(shot.lens.centre.y - shot.frame.y, shot.frame.y + shot.frame.height - shot.lens.centre.y);
    expect(along(4) / -along(8) / half).toBeCloseTo((shot.lens.centre.y - seen[1]) / high, 9);
    expect(along(0) / -along(8) / half).toBeCloseTo((seen[0] - shot.lens.centre.x) / high, 9);
  });
});
