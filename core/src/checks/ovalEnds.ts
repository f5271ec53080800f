import { byHand, templateFor } from "../conics";
import { mm, sentence } from "../units";
import { tenth, type Check } from "./finding";
import { ovalStroke } from "./oval";

/** Ends that reach so far beside those of an ellipse are as a hand draws them; beyond the limits it is no oval. */
const [FLAT, POINTED] = [
  [0.89, 0.96],
  [1.05, 1.19],
] as const;

const isWithin = (value: number, [least, most]: readonly [number, number]): boolean => value > least && value < most;

/** Freehand ovals whose ends are pointed or flat, as those of no circle are. */
export const ovalEnds: Check = ({ shot }) =>
  (shot.lines ?? []).flatMap((line) => {
    const oval = ovalStroke(line);
    const [isPointed, isFlat] = [POINTED, FLAT].map((limits) => oval !== null && isWithin(oval.reach, limits));
    if (!oval || !(isPointed || isFlat)) return [];
    const hand = byHand({ semiAxes: oval.axes });
    const off = Math.abs(oval.reach - 1) * oval.axes[0];
    return [
      {
        id: `own-oval-ends-${line.id}`,
        severity: "note" as const,
        where: "A freehand oval",
        at: oval.centre,
        value: tenth(off),
        unit: "mm" as const,
        message: sentence`Its ends are ${isPointed ? "pointed" : "flat"}: they reach ${mm(off)} too
          ${isPointed ? "far" : "short"} for an ellipse of its area, and a circle is one, round at both ends. It is
          ${mm(hand.size)} long: ${templateFor(hand)}.`,
      },
    ];
  });
