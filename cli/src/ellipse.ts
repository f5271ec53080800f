import { Type } from "@sinclair/typebox";
import { byHand, circleInQuad, levelError } from "@zanvo/core/conics";
import { checker } from "@zanvo/core/document";
import type { Vec2 } from "@zanvo/core/geometry";
import { jsonIn, type Call } from "./io";

const Point = Type.Tuple([Type.Number(), Type.Number()]);
const fitsJob = checker(
  Type.Object({ quad: Type.Tuple([Point, Point, Point, Point]) }, { additionalProperties: false }),
);

const place = ([x, y]: Vec2) => ({ x, y });

/** `zanvo ellipse`: the circle in the picture of a square, and how it is drawn by hand. */
export async function ellipse(call: Call) {
  const { quad } = fitsJob(await jsonIn(call.file, call.io));
  const { centre, circleCentre, semiAxes, tilt, points } = circleInQuad(quad);
  const drawn = { centre, semiAxes, tilt };
  return {
    centre: place(centre),
    circleCentre: place(circleCentre),
    semiAxes,
    tilt,
    points: points.map(place),
    byHand: byHand(drawn),
    levelAxis: levelError(drawn),
  };
}
