import { Type } from "@sinclair/typebox";
import { shadowPlace } from "@zanvo/core/construct";
import { checker } from "@zanvo/core/document";
import { isCaster, lightsOf, raysOf } from "@zanvo/core/light";
import { BadInput, NoAnswer } from "@zanvo/core/problem";
import { shotOf } from "@zanvo/core/scene";
import { built } from "@zanvo/core/world";
import { jsonIn, needed, sceneIn, type Call } from "./io";

const fitsPoints = checker(Type.Array(Type.Tuple([Type.Number(), Type.Number(), Type.Number()])));

/** `zanvo shadow`: where the shadows of world points fall, m; null where a ray meets nothing. */
export async function shadow(call: Call) {
  const points = fitsPoints(await jsonIn(needed(call, "points"), call.io));
  const scene = await sceneIn(call);
  const lights = lightsOf(scene, shotOf(scene, call.options.shot)).filter(isCaster);
  const wanted = call.options.light;
  const light = wanted === undefined ? lights.find(({ off }) => !off) : lights.find(({ id }) => id === wanted);
  if (!light && wanted !== undefined) {
    const ids = lights.map(({ id }) => id).join(", ");
    const there = ids ? `there are ${ids}.` : "the scene has none.";
    throw new BadInput([{ path: "--light", message: `there is no light "${wanted}"; ${there}` }]);
  }
  if (!light) throw new NoAnswer("The scene has no light that is on.");
  const [{ solids }, rays] = [built(scene.elements), raysOf(light)];
  return points.map((p) => {
    const at = shadowPlace(solids, rays, p);
    return at && { x: at[0], y: at[1], z: at[2] };
  });
}
