import { readFileSync } from "node:fs";
import { howSeen } from "@zanvo/core/drawing";
import type { Light } from "@zanvo/core/light";
import type { Scene } from "@zanvo/core/scene";
import { visibilityCache } from "@zanvo/core/visibility";
import { moved } from "@zanvo/core/world";
import { row } from "./timing";

const sun = (heading: number): Light => ({ id: "sun", kind: "sun", heading, height: 35 });

/** Shadows of the demo's quarter: beside its hidden lines, after the sun was moved, and after one building was. */
export function shadows(): void {
  const { elements, shots } = JSON.parse(readFileSync("demo/5-the-whole-quarter.zanvo.json", "utf8")) as Scene;
  const [shot] = shots;
  const see = visibilityCache();
  const look = (world: Scene["elements"], lights?: readonly Light[]) => {
    const begun = performance.now();
    const how = { ...howSeen(shot), ...(lights ? { shading: { lights } } : {}) };
    const parts = see(world, [shot.eye.x, shot.eye.y, shot.eye.z], how);
    let part = parts.next();
    while (!part.done) part = parts.next();
    return [performance.now() - begun, part.value.areas.light.length] as const;
  };
  const [edges] = look(elements);
  const [all, rings] = look(elements, [sun(140)]);
  const [turned] = look(elements, [sun(200)]);
  const at = elements.findIndex(({ kind }) => kind === "building");
  const [after] = look(elements.with(at, moved(elements[at], 0.3, 0)), [sun(200)]);
  row(
    `shadows of the whole quarter, ${rings} areas; its hidden lines take ${edges.toFixed(0)} ms`,
    `${all.toFixed(0)} ms, ${turned.toFixed(0)} ms for another sun, ${after.toFixed(0)} ms after a building moved`,
    "1,500 ms; 300 ms",
  );
}
