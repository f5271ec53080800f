import { metres, metresBetween, sentence } from "../../../units";
import { pathOf, ribbon } from "../../path";
import { elementKind, onPath, type Figure } from "../kind";
import { measureIn } from "../tags";
import { validatePlatform } from "./build";
import { PlatformSchema, type Platform } from "./schema";
export type { Platform } from "./schema";

/** Platforms are 0.55 or 0.76 m high over the rails (EU regulation 1299/2014, from memory). */
export const PLATFORM_HEIGHTS = [0.55, 0.76] as const;

/** A platform as it is drawn at first, and its canopy, m (common practice). */
export const PLATFORM = { width: 4, height: PLATFORM_HEIGHTS[0] } as const;
export const CANOPY = { clear: 3.4, width: 4.4, every: 8 } as const;

function figuresOf({ name, height: value }: Platform): readonly Figure[] {
  const told = sentence`${name} is ${metres(value)} high.`;
  return [
    { value, limits: PLATFORM_HEIGHTS, told, usual: sentence`Platforms have ${metresBetween(...PLATFORM_HEIGHTS, 2)}` },
  ];
}

export const platform = elementKind<Platform>(PlatformSchema, {
  kind: "platform",
  word: "Platform",
  stands: true,
  validate: validatePlatform,
  outline: (element) => ribbon(pathOf(element), element.width / 2, -element.width / 2),
  span: ({ height }) => [0, height],
  ...onPath,
  geoJson: {
    write: ({ width, height }) => ({ shape: "line", properties: { railway: "platform", width, height } }),
    read: {
      shape: "line",
      is: ({ railway }) => railway === "platform",
      take: ({ places, properties: { width, height } }) => ({
        path: [...places],
        width: measureIn(width) ?? PLATFORM.width,
        height: measureIn(height) ?? PLATFORM.height,
      }),
    },
  },
  figures: figuresOf,
  letsIn: () => true,
});
