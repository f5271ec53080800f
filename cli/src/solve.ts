import { Type } from "@sinclair/typebox";
import { checker } from "@zanvo/core/document";
import { LAWS, type LawId } from "@zanvo/core/lens";
import { solvePinsThrough } from "@zanvo/core/shot";
import { jsonIn, type Call } from "./io";

const Point = Type.Object({ x: Type.Number(), y: Type.Number() }, { additionalProperties: false });
const fitsPins = checker(
  Type.Object(
    {
      law: Type.Unsafe<LawId>({ type: "string", enum: Object.keys(LAWS) }),
      pins: Type.Array(Point, { minItems: 2, maxItems: 3 }),
      centre: Type.Optional(Point),
      horizonY: Type.Optional(Type.Number()),
    },
    { additionalProperties: false },
  ),
);

/** `zanvo solve`: lens and gaze behind two or three vanishing points. */
export async function solve(call: Call) {
  const { law, pins, centre, horizonY } = fitsPins(await jsonIn(call.file, call.io));
  return solvePinsThrough(
    law,
    pins.map(({ x, y }) => [x, y] as const),
    centre && [centre.x, centre.y],
    horizonY,
  );
}
