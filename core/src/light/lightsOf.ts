import type { Light } from "./schema";

interface Lit {
  readonly lights?: readonly Light[];
}

const NO_LIGHTS: readonly Light[] = [];

/** What lights a shot: lights of its own, or else those of the scene. */
export const lightsOf = (scene: Lit, shot: Lit): readonly Light[] => shot.lights ?? scene.lights ?? NO_LIGHTS;
