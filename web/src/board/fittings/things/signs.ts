import type { Vec2 } from "@zanvo/core/geometry";
import { newSign, type Sign } from "@zanvo/core/world";
import { FIRST_LETTERS } from "./firstLetters";
import { headingOf, isFloor, isWall, type PressedPlace, type Thing } from "./thing";

type Look = Pick<Sign, "capital"> & Partial<Sign>;

/** A sign on a wall, its middle where that was pressed: flat on it, or standing out from it by an arm. */
const onWall =
  (look: Look, arm?: number) =>
  (place: PressedPlace): ReturnType<Thing["put"]> => {
    if (!isWall(place)) return "This sign hangs on a wall: press one.";
    const [nx, ny] = place.normal;
    const [x, y, z] = place.at;
    const off = arm === undefined ? 0 : arm + (look.board?.width ?? look.capital) / 2;
    const out = headingOf(nx, ny);
    // What stands out is read by who comes along the wall.
    const heading = arm === undefined ? out : out + 90;
    const high = look.board?.height ?? look.capital;
    const [ax, ay]: Vec2 = [x + off * nx, y + off * ny];
    return newSign({ ...FIRST_LETTERS, ...look, at: { x: ax, y: ay, z: z - high / 2 }, heading });
  };

const onRoof =
  (look: Look) =>
  (place: PressedPlace): ReturnType<Thing["put"]> => {
    const [x, y, z] = place.at;
    return isFloor(place)
      ? newSign({ ...FIRST_LETTERS, ...look, at: { x, y, z }, heading: place.heading })
      : "These letters stand on a flat roof or the ground: press one.";
  };

/** Between a wall and a sign that stands out from it, m (common practice). */
const ARM = 0.15;

export const signs: readonly Thing[] = [
  {
    id: "fascia",
    label: "Fascia board",
    put: onWall({ capital: 0.3, raised: 0.03, board: { width: 3, height: 0.55, depth: 0.06 } }),
  },
  {
    id: "blade",
    label: "Blade sign",
    put: onWall({ capital: 0.22, both: true, board: { width: 0.9, height: 0.6, depth: 0.05 } }, ARM),
  },
  {
    id: "banner",
    label: "Banner",
    put: onWall({ capital: 0.35, both: true, stacked: true, board: { width: 0.7, height: 2.4, depth: 0.02 } }, ARM),
  },
  { id: "painted", label: "Painted on the wall", put: onWall({ capital: 0.6 }) },
  { id: "roof-letters", label: "Roof letters", put: onRoof({ capital: 1.2, raised: 0.2 }) },
];
