import type { Static } from "@sinclair/typebox";
import { degreesIn, metresIn, millimetresIn, named, offered, strict, Type } from "../fields";

const Share = Type.Number({ minimum: 0, maximum: 1 });
const Distance = metresIn({ minimum: 0.1, maximum: 1e5 });
const Pen = millimetresIn({ minimum: 0.05, maximum: 3 });

/** How the tone of planes is told apart. */
export const ToneSchema = strict({
  /** In so many steps, of which the first is white. */
  steps: Type.Optional(named("Steps of tone", Type.Integer({ minimum: 3, maximum: 9, default: 4 }))),
  /** Flat by the kind of plane, whatever lights it: how dark each is, where that is not the usual. */
  planes: Type.Optional(
    strict({
      tops: Type.Optional(named("Level tops", Share)),
      slopes: Type.Optional(named("Sloping roofs", Share)),
      walls: Type.Optional(named("Walls along the first set", Share)),
      across: Type.Optional(named("Walls across it", Share)),
      undersides: Type.Optional(named("Undersides", Share)),
      recesses: Type.Optional(named("Recesses", Share)),
    }),
  ),
  /**
   * Shadows and tones are hatched: at which angle, degrees from level, and from line to line, mm. Hatching that follows
   * the sets runs to the vanishing points of each plane: its angle is that on the plane, from its level lines.
   */
  hatch: Type.Optional(
    strict({
      follows: Type.Optional(Type.Boolean()),
      angle: named("Angle of hatching", offered(-90, 90, degreesIn({ minimum: -180, maximum: 180 }))),
      spacing: named("Hatching every", offered(0.3, 10, millimetresIn({ minimum: 0.1, maximum: 100 }))),
    }),
  ),
});

/** Pens that lines are drawn with instead of the usual ones, by kind of layer, mm. */
export const PensSchema = Type.Record(Type.String({ maxLength: 40 }), Pen);

/**
 * How lines change with depth: with the whole pen up to `near` m from the eye, thinner and fainter from there to `far`,
 * where they are `thin` times as wide as the pen, and `faint` of their strength is gone.
 */
export const DepthSchema = strict({
  near: named("The whole pen up to", Distance),
  far: named("Thinnest from", Distance),
  thin: Share,
  faint: Share,
});

/** A loose hand: by how much its lines leave the true ones, mm; the same seed draws the same lines. */
export const HandSchema = strict({
  seed: Type.Integer({ minimum: 0, maximum: 0x7fffffff }),
  wobble: named("Off the true line by up to", offered(0, 2, millimetresIn({ minimum: 0, maximum: 10 }))),
  overshoot: named("Past corners by up to", offered(0, 6, millimetresIn({ minimum: 0, maximum: 50 }))),
  /** How many of the long lines are lifted once on their way. */
  breaks: Type.Optional(Share),
});

/** The pen of lines at which a thing stands free of what is behind it, mm. */
export const ProfileSchema = named("Pen of profile lines", Pen);

/** How many squares the enlargement grid has across the panel. */
export const SquaresSchema = named("Squares across the panel", Type.Integer({ minimum: 2, maximum: 100, default: 8 }));

export type Depth = Static<typeof DepthSchema>;
export type Hand = Static<typeof HandSchema>;
