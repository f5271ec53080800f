import type { Static } from "@sinclair/typebox";
import { Id, millimetresIn, named, offered, strict, Type } from "../fields";

const Side = millimetresIn({ exclusiveMinimum: 0, maximum: 1e5 });
/** A place in a panel, as a share of its frame from the left or the top; what lies outside is less than 0 or more than 1. */
const Share = Type.Number({ minimum: -100, maximum: 100 });
const Place = strict({ x: Share, y: Share });

/** A page as it is trimmed, in the middle of its sheet, and how far beyond that it is printed. */
export const TrimSchema = strict({
  width: named("Trimmed width", offered(20, 5000, Side)),
  height: named("Trimmed height", offered(20, 5000, Side)),
  bleed: named("Bleed", offered(0, 20, millimetresIn({ minimum: 0, maximum: 100 }))),
});

/** What is lettered at the foot of a page. */
export const PageTitleSchema = Type.String({ maxLength: 100 });
export const PageNumberSchema = named("Page", Type.Integer({ minimum: 0, maximum: 99_999 }));

/** The corners of a panel that is no upright rectangle, in order around it; they lie within its frame. */
export const PanelSchema = strict({
  corners: Type.Array(
    strict({ x: Type.Number({ minimum: 0, maximum: 1 }), y: Type.Number({ minimum: 0, maximum: 1 }) }),
    {
      minItems: 3,
      maxItems: 40,
    },
  ),
});

/** Room that is kept for words: an oval by its middle, in shares of the frame, and its size. */
export const BalloonSchema = strict({
  id: Id,
  at: Place,
  width: named("Balloon width", offered(5, 500, Side)),
  height: named("Balloon height", offered(5, 500, Side)),
});

/** No panel has more. */
export const MAX_BALLOONS = 50;

export type Trim = Static<typeof TrimSchema>;
export type Panel = Static<typeof PanelSchema>;
export type Balloon = Static<typeof BalloonSchema>;
