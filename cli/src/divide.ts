import { Type } from "@sinclair/typebox";
import { checker } from "@zanvo/core/document";
import { divideQuad, type Stretch } from "@zanvo/core/dividing";
import { partsOf } from "@zanvo/core/rhythm";
import type { Vec2 } from "@zanvo/core/geometry";
import { jsonIn, type Call } from "./io";

const Point = Type.Tuple([Type.Number(), Type.Number()]);
const Parts = Type.Union([Type.Number(), Type.String({ maxLength: 10_000 })]);
const Times = Type.Optional(Type.Integer({ minimum: 0, maximum: 500 }));
const fitsJob = checker(
  Type.Object(
    {
      quad: Type.Tuple([Point, Point, Point, Point]),
      columns: Parts,
      rows: Type.Optional(Parts),
      repeat: Type.Optional(Type.Object({ before: Times, after: Times }, { additionalProperties: false })),
    },
    { additionalProperties: false },
  ),
);

const place = ([x, y]: Vec2) => ({ x, y });
const ends = (lines: readonly Stretch[]) => lines.map((line) => line.map(place));

/** `zanvo divide`: a drawn quadrilateral divided, and repeated, by the homography from the unit square. */
export async function divide(call: Call) {
  const { quad, columns, rows, repeat } = fitsJob(await jsonIn(call.file, call.io));
  const divided = divideQuad(quad, {
    columns: partsOf(columns, "columns"),
    rows: rows === undefined ? undefined : partsOf(rows, "rows"),
    ...repeat,
  });
  return {
    centre: place(divided.centre),
    columns: ends(divided.columns),
    rows: ends(divided.rows),
    halves: ends(divided.halves),
  };
}
