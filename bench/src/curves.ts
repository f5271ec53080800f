import { geoPath, geoStereographic, type GeoContext } from "d3-geo";
import { compose, contextOf } from "@zanvo/core/drawing";
import { add, scale, sub, cross, norm, unit, type Vec3 } from "@zanvo/core/geometry";
import { newScene, type Scene, type Shot } from "@zanvo/core/scene";
import {
  CurveBook,
  CURVED_SYSTEMS,
  drawGreatCircle,
  inCurvedSystem,
  toEye,
  TOLERANCE,
  viewOf,
  type View,
} from "@zanvo/core/shot";
import { NOTHING_VISIBLE, visibleEdges } from "@zanvo/core/visibility";
import { build } from "@zanvo/core/world";
import { street } from "./browser";
import { medians, row } from "./timing";

/** A tilted disc with three bundles, and squares on the ground and on two walls. */
export function denseDisc(scene = newScene("Bench disc")): Scene {
  const [main] = scene.orientations;
  const plain = inCurvedSystem(
    scene.shots[0],
    main,
    CURVED_SYSTEMS.find(({ id }) => id === "six-disc")!,
  );
  const shot: Shot = {
    ...plain,
    bundles: ["main-left", "main-right", "upright"].map((pin) => ({
      pin,
      spacing: (2 * Math.PI * plain.lens.distance) / 72,
      strength: 0.5,
    })),
    measured: (["level", "left", "right"] as const).map((plane) => ({
      plane,
      at: plane === "level" ? 0 : 6,
      every: 2,
      heavy: 5,
      strength: 0.5,
    })),
  };
  return { ...scene, shots: [shot] };
}

interface Arc {
  readonly u: Vec3;
  readonly v: Vec3;
  readonly from: number;
  readonly to: number;
}

/** Half great circles in eye axes: 72 about each of three points, and forty lines a way on the ground and two walls. */
function arcsOf(view: View): Arc[] {
  const axes: readonly Vec3[] = [
    [Math.sin(0.61), Math.cos(0.61), 0],
    [Math.cos(0.61), -Math.sin(0.61), 0],
    [0, 0, 1],
  ];
  const half = (towards: Vec3, through: Vec3): Arc => {
    const u = unit(toEye(view, towards));
    const side = toEye(view, through);
    const dot = u[0] * side[0] + u[1] * side[1] + u[2] * side[2];
    return { u, v: unit(sub(side, scale(u, dot))), from: 0.02, to: Math.PI - 0.02 };
  };
  const bundles = axes.flatMap((w) =>
    Array.from({ length: 72 }, (_, k) => {
      const [p, turn] = [axes.find((other) => norm(cross(other, w)) > 0.5)!, (2 * Math.PI * k) / 72];
      const q = cross(w, p);
      return half(w, add(scale(p, Math.cos(turn)), scale(q, Math.sin(turn))));
    }),
  );
  const planes = axes.flatMap((n, i) =>
    [1, 2].flatMap((k) => {
      const [along, across] = [axes[(i + k) % 3], axes[(i + 3 - k) % 3]];
      return Array.from({ length: 40 }, (_, j) => half(along, sub(scale(across, (j - 19.5) * 2), scale(n, 1.6))));
    }),
  );
  return [...bundles, ...planes];
}

/** The dense curved grid as polylines within 0.05 mm, against d3-geo's path of the same arcs on the same panel. */
export function curves(): void {
  const scene = denseDisc();
  const [shot] = scene.shots;
  const view = viewOf(shot);
  const arcs = arcsOf(view);
  let ours = 0;
  const job = () => {
    const book = new CurveBook();
    for (const { u, v, from, to } of arcs) drawGreatCircle(view, { u, v }, from, to, book);
    ours = book.curves().t.length;
  };
  const { frame, centre, distance } = view;
  const projection = geoStereographic()
    .scale(2 * distance)
    .translate([centre[0], centre[1]])
    .clipAngle(175)
    .clipExtent([
      [frame.x, frame.y],
      [frame.x + frame.width, frame.y + frame.height],
    ])
    .precision(TOLERANCE);
  const place = ({ u, v }: Arc, t: number): [number, number] => {
    const [a, b, c] = [0, 1, 2].map((i) => Math.cos(t) * u[i] + Math.sin(t) * v[i]);
    return [(Math.atan2(a, c) * 180) / Math.PI, (Math.asin(b) * 180) / Math.PI];
  };
  const lines = {
    type: "MultiLineString" as const,
    coordinates: arcs.map((arc) =>
      [arc.from, (2 * arc.from + arc.to) / 3, (arc.from + 2 * arc.to) / 3, arc.to].map((t) => place(arc, t)),
    ),
  };
  let places: number[] = [];
  const put = (x: number, y: number) => void places.push(x, y);
  const context: GeoContext = {
    beginPath: () => undefined,
    closePath: () => undefined,
    arc: () => undefined,
    moveTo: put,
    lineTo: put,
  };
  const path = geoPath(projection, context);
  const peer = () => {
    places = [];
    path(lines);
  };
  const [us, d3] = medians([job, peer], 9);
  row(
    `dense curved grid, ${arcs.length} arcs at 0.05 mm`,
    `${us.toFixed(1)} ms (${ours} places), d3-geo ${d3.toFixed(1)} ms (${places.length / 2}): ${(d3 / us).toFixed(1)}x`,
    "at least 5x",
  );

  const visible = visibleEdges(build(street(300).elements), view.eye);
  const [grid, buildings] = medians(
    [
      () => void compose(contextOf(scene, shot, NOTHING_VISIBLE), { only: ["bundles", "squares"] }),
      () => void compose(contextOf(scene, shot, visible), { only: ["buildings", "creases", "meetings", "details"] }),
    ],
    9,
  );
  row("such a grid worked out afresh, as while a pin is dragged", `${grid.toFixed(1)} ms`, "under 16 ms");
  row("300 buildings bent into that view", `${buildings.toFixed(1)} ms`, "under 300 ms");
}
