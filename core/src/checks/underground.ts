import { metres, sentence } from "../units";
import { groundAt, terrainOf } from "../world";
import { tenth, type Check } from "./finding";

/** The height of the eye of someone who stands, m (common practice). */
const STANDING = 1.6;

/** The eye lies under raised ground: nothing is seen but the ground from within. */
export const underground: Check = ({ scene, shot }) => {
  const { x, y, z } = shot.eye;
  const over = groundAt(terrainOf(scene.elements), [x, y]);
  if (over <= 0 || z <= 0 || z > over) return [];
  return [
    {
      id: "eye-underground",
      severity: "warning",
      where: "eye",
      at: null,
      value: tenth(over - z),
      unit: "m",
      message: sentence`The eye lies ${metres(over - z)} under the ground, which rises to ${metres(over)} here.`,
      fix: {
        label: sentence`Stand on it: raise the eye to ${metres(over + STANDING)}`,
        shot: { ...shot, eye: { x, y, z: over + STANDING } },
      },
    },
  ];
};
