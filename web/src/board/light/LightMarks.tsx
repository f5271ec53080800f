import { Lightbulb, Sun as SunIcon } from "lucide-react";
import type { Vec2 } from "@zanvo/core/geometry";
import { isCaster, lightsOf, type Caster } from "@zanvo/core/light";
import { NoAnswer } from "@zanvo/core/problem";
import { unprojectTo, viewOf } from "@zanvo/core/shot";
import { metres, sentence, type Told } from "@zanvo/core/units";
import { fromEdge, isBehind, lightName, lightPoints, sunFromPoint } from "@zanvo/core/vanishing";
import { useMemo } from "react";
import { Canvas } from "../../canvas/Canvas";
import { Layers } from "../../canvas/Layers";
import { Handle } from "../desk/Handle";
import { ORDER } from "../desk/order";
import { useBoard } from "../useBoard";
import { replaced, withLights } from "./lights";

const MARK = "#a8741a";

const HEAD = "flex size-5 items-center justify-center rounded-full border border-[#fffdf8] bg-[#a8741a] text-[#fffdf8]";

const degree = (value: number): string => `${value.toFixed(1)}°`;

/** The points of a light on the desk, to be taken hold of: of its rays, and of the shadows on the ground. */
function PointsOf({ light }: { readonly light: Caster }) {
  const { useShot, drag, edit } = useBoard();
  const shot = useShot();
  const view = useMemo(() => viewOf(shot), [shot]);
  const [rays, foot] = lightPoints(shot, light);
  const set = (to: Vec2): readonly [Caster, Told] => {
    if (light.kind === "sun") {
      const sun = sunFromPoint(view, to);
      if (!sun) throw new NoAnswer("On the horizon the rays would be level: shadows without an end.");
      const { heading, height } = sun;
      return [{ ...light, heading, height }, sentence`heading ${degree(heading)}, ${degree(height)} over the horizon`];
    }
    // A lamp keeps its depth: it is moved on the upright plane through it that faces the eye.
    const { x, y, z } = light.at;
    const [fx, fy] = view.forward;
    const place = unprojectTo(view, to, [fx, fy, 0], fx * x + fy * y) ?? [x, y, z];
    const at = { x: place[0], y: place[1], z: Math.max(0.05, place[2]) };
    return [{ ...light, at }, sentence`${metres(at.z)} over the ground`];
  };
  const change = (next: Caster) => withLights(shot.id, replaced(next));
  const where = isBehind(view, light) ? "behind the eye" : "before the eye";
  const moved = (to: Vec2): Told => {
    const [next, told] = set(to);
    drag(change(next));
    return told;
  };
  return (
    <>
      {rays.at && (
        <Handle
          at={rays.at}
          label={sentence`${lightName(light)}, ${where}: ${fromEdge(shot.sheet, ...rays.at)}`}
          away={sentence`${lightName(light)}`}
          className="cursor-move"
          onDrag={moved}
          onNudge={([dx, dy]) => edit(change(set([rays.at![0] + dx, rays.at![1] + dy])[0]), `light ${light.id}`)}
        >
          <span className={HEAD}>
            {light.kind === "sun" ? <SunIcon size={13} aria-hidden /> : <Lightbulb size={13} aria-hidden />}
          </span>
        </Handle>
      )}
      {foot.at && <FootMark at={foot.at} name={foot.name} rays={rays.at} />}
    </>
  );
}

/** The foot of a light, and the upright from there to it. */
function FootMark({ at, name, rays }: { readonly at: Vec2; readonly name: string; readonly rays: Vec2 | null }) {
  const { useDesk } = useBoard();
  const size = useDesk((desk) => desk.size);
  const camera = useDesk((desk) => desk.camera);
  const [x, y] = at;
  const cross = [x - 2, y, x + 2, y, x, y - 2, x, y + 2];
  const layers = [
    {
      ...{ id: name, label: name, lines: Float64Array.from(rays ? [...cross, x, y, ...rays] : cross) },
      style: { stroke: MARK, width: 0.2, dash: [2, 1.2], opacity: 1 },
    },
  ];
  return (
    <Canvas {...size} {...camera} className="pointer-events-none absolute inset-0">
      <Layers layers={layers} order={ORDER.marks} />
    </Canvas>
  );
}

/** The points of all lights that are on. */
export function LightMarks() {
  const { useDocument, useShot } = useBoard();
  const scene = useDocument((document) => document.scene);
  const shot = useShot();
  return lightsOf(scene, shot)
    .filter(isCaster)
    .flatMap((light) => (light.off ? [] : [<PointsOf key={light.id} light={light} />]));
}
