import { distance2, type Vec2 } from "../geometry";
import type { SheetLine } from "../lines";
import { CATCH, aimsOf, ledTo, missedBy } from "../ruling";
import type { Shot } from "../scene";
import { mm, sentence } from "../units";
import { tenth, type Check } from "./finding";

export type Ruled = Extract<SheetLine, { readonly kind: "ruled" }>;

/** What a pencil can keep, in mm (common practice). */
const PENCIL = 0.5;
/** Farther off than this a line is plainly wrong, mm. */
const PLAIN = 1.5;

export const ruledOf = ({ lines = [] }: Pick<Shot, "lines">): Ruled[] =>
  lines.filter((line): line is Ruled => line.kind === "ruled");

/** The shot with one of its own lines put elsewhere. */
export const withLine = (shot: Shot, line: SheetLine): Shot => ({
  ...shot,
  lines: shot.lines?.map((one) => (one.id === line.id ? line : one)),
});

export const pair = ([x, y]: Vec2): [number, number] => [x, y];

/** An own line that nearly runs to a point, and misses it. */
export const missedPoint: Check = ({ shot, view, pins }) =>
  ruledOf(shot).flatMap((line) => {
    const ends = [line.from, line.to] as const;
    const [aim] = aimsOf(view, pins, ends);
    if (!aim || aim.miss > CATCH) return [];
    const off = missedBy(view, aim.pin, ends);
    if (off <= PENCIL) return [];
    return [
      {
        id: `own-line-misses-${line.id}`,
        severity: off > PLAIN ? ("warning" as const) : ("note" as const),
        where: "A line of your own",
        at: line.to,
        value: tenth(off),
        unit: "mm" as const,
        message: sentence`It misses ${aim.pin.name} by ${aim.miss.toFixed(1)}°, ${mm(off)} at its end after
          ${mm(distance2(line.from, line.to))}.`,
        fix: {
          label: sentence`Lead it to ${aim.pin.name}`,
          shot: withLine(shot, { ...line, to: pair(ledTo(view, aim.pin, ends)) }),
        },
      },
    ];
  });
