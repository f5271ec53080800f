import { PerspectiveCamera, Vector3 } from "three";
import { newScene } from "@zanvo/core/scene";
import { projectMany, viewOf } from "@zanvo/core/shot";
import { visibleEdges } from "@zanvo/core/visibility";
import { build, type Block, type Solid } from "@zanvo/core/world";
import { medians, row, seeded } from "./timing";

/**
 * A million points through the straight lens, against three's Vector3.project: a hundred batches of ten thousand, as a
 * scene has them, so that the processor is measured and not its memory.
 */
export function projecting(): void {
  const view = viewOf(newScene("Bench").shots[0]);
  const random = seeded(1);
  const [batches, n] = [100, 10_000];
  const points = Float64Array.from({ length: 3 * n }, (_, i) =>
    i % 3 === 1 ? 5 + 100 * random() : 40 * random() - 20,
  );
  const out = new Float64Array(2 * n);
  const job = () => {
    for (let batch = 0; batch < batches; batch++) projectMany(view, points, out);
  };
  const camera = new PerspectiveCamera(60, 1.4, 0.1, 1000);
  camera.up.set(0, 0, 1);
  camera.position.set(0, 0, 1.6);
  camera.lookAt(0, 1, 1.6);
  camera.updateMatrixWorld();
  const v = new Vector3();
  const peer = () => {
    for (let batch = 0; batch < batches; batch++) {
      for (let i = 0, o = 0; i < points.length; i += 3, o += 2) {
        v.set(points[i], points[i + 1], points[i + 2]).project(camera);
        out[o] = v.x;
        out[o + 1] = v.y;
      }
    }
  };
  const [ours, three] = medians([job, peer]);
  row(
    "a million points, straight lens",
    `${ours.toFixed(1)} ms, three ${three.toFixed(1)} ms: ${(three / ours).toFixed(1)}x`,
    "at least 3x",
  );
}

/** A town of n blocks in rows, as streets leave it. */
function town(n: number): Block[] {
  const random = seeded(n);
  const side = Math.ceil(Math.sqrt(n));
  return Array.from({ length: n }, (_, i): Block => ({
    id: `b${i}`,
    kind: "block",
    name: `b${i}`,
    heading: 20,
    origin: { x: ((i % side) - side / 2) * 18 + 4 * random(), y: 20 + Math.floor(i / side) * 22 + 4 * random(), z: 0 },
    length: 8 + 6 * random(),
    width: 8 + 6 * random(),
    height: 5 + 20 * random(),
  }));
}

/** How much of every edge is hidden, by plain sampling: each sample's ray against each solid's half-spaces. */
function sampled(solids: readonly Solid[], eye: readonly [number, number, number], samples: number): number {
  let hidden = 0;
  for (const { vertices, edges } of solids) {
    for (const { a, b } of edges) {
      for (let k = 0; k < samples; k++) {
        const t = (k + 0.5) / samples;
        const [dx, dy, dz] = [0, 1, 2].map((i) => vertices[a][i] + t * (vertices[b][i] - vertices[a][i]) - eye[i]);
        const stopped = solids.some(({ faces }) => {
          let [near, far] = [0, 1 - 1e-6];
          for (const {
            normal: [nx, ny, nz],
            offset,
          } of faces) {
            const rate = nx * dx + ny * dy + nz * dz;
            const room = offset - nx * eye[0] - ny * eye[1] - nz * eye[2];
            if (rate < 0) near = Math.max(near, room / rate);
            else if (rate > 0) far = Math.min(far, room / rate);
            else if (room < 0) return false;
          }
          return near < far;
        });
        if (stopped) hidden++;
      }
    }
  }
  return hidden;
}

/** Hidden lines of 50 blocks against ray sampling at 1 % of an edge, and how the time grows with the town. */
export function visibility(): void {
  const eye = [0, 0, 1.6] as const;
  const solids = build(town(50));
  const [ours, peer] = medians([() => visibleEdges(solids, eye), () => sampled(solids, eye, 100)], 5);
  row(
    "hidden lines, 50 blocks",
    `${ours.toFixed(2)} ms, ray sampling at 1 % ${peer.toFixed(0)} ms: ${(peer / ours).toFixed(0)}x`,
    "",
  );
  const towns = [100, 400, 1600].map((n) => build(town(n)));
  const each = medians(
    towns.map((many) => () => visibleEdges(many, eye)),
    7,
  );
  row(
    "hidden lines, 100 / 400 / 1600 blocks",
    `${each.map((ms) => ms.toFixed(1)).join(" / ")} ms: ${(each[2] / 16 / each[0]).toFixed(2)}x per block`,
    "grows less than 1.3x per block",
  );
}
