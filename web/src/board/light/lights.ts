import { LampSchema, lightsOf, SunSchema, type Caster, type Light } from "@zanvo/core/light";
import { measureOf, type Measure } from "@zanvo/core/fields";
import type { Scene, Shot } from "@zanvo/core/scene";
import type { Recipe } from "../../document";

/** How a number of a light is described. */
export const lightMeasure = ({ kind }: Caster, path: string): Measure =>
  measureOf(kind === "sun" ? SunSchema : LampSchema, path);

/** The morning sun at first: over the left shoulder, at 40 degrees (common practice). */
export const firstSun = (id: string, { gaze }: Pick<Shot, "gaze">): Light => ({
  id,
  kind: "sun",
  heading: Number(((((gaze.heading - 135) % 360) + 360) % 360).toFixed(2)),
  height: 40,
});

/** A lamp at first: some metres before the eye, as high as a street lamp. */
export function firstLamp(id: string, { eye, gaze }: Pick<Shot, "eye" | "gaze">): Light {
  const turn = (gaze.heading * Math.PI) / 180;
  const round = (value: number) => Number(value.toFixed(2));
  const at = { x: round(eye.x + AHEAD * Math.sin(turn)), y: round(eye.y + AHEAD * Math.cos(turn)), z: 4 };
  return { id, kind: "lamp", at };
}

const AHEAD = 8;

/** Changes what lights a shot: the lights of its own, or those of the scene. */
export function withLights(shotId: string, change: (lights: readonly Light[]) => readonly Light[]): Recipe {
  return (scene) => {
    const shot = scene.shots.find(({ id }) => id === shotId);
    if (!shot) return;
    const next = [...change(lightsOf(scene as Scene, shot as Shot))];
    if (shot.lights) shot.lights = next;
    else if (next.length > 0) scene.lights = next;
    else delete scene.lights;
  };
}

/** A light in the place of the one with its id. */
export const replaced =
  (light: Light) =>
  (lights: readonly Light[]): readonly Light[] =>
    lights.map((one) => (one.id === light.id ? light : one));

/** Gives a shot lights of its own, as they are now; or those of the scene again. */
export function ownLights(shotId: string, own: boolean): Recipe {
  return (scene) => {
    const shot = scene.shots.find(({ id }) => id === shotId);
    if (!shot) return;
    if (own) shot.lights = [...(scene.lights ?? [])];
    else delete shot.lights;
  };
}
