import { Type } from "@sinclair/typebox";
import { checker } from "@zanvo/core/document";
import { recoverView, type RecoveredView } from "@zanvo/core/recover";
import { jsonIn, type Call } from "./io";

const strict = { additionalProperties: false };
const Side = Type.Number({ exclusiveMinimum: 0, maximum: 1e6 });
const Px = Type.Number({ minimum: -1e7, maximum: 1e7 });
const fitsLines = checker(
  Type.Object(
    {
      image: Type.Object({ width: Side, height: Side }, strict),
      sigma: Type.Optional(Type.Number({ minimum: 0.01, maximum: 1000 })),
      centre: Type.Optional(Type.Object({ x: Px, y: Px }, strict)),
      families: Type.Array(
        Type.Object(
          {
            name: Type.String({ maxLength: 200 }),
            role: Type.Unsafe<"horizontal" | "upright" | "free">({
              type: "string",
              enum: ["horizontal", "upright", "free"],
            }),
            lines: Type.Array(Type.Tuple([Px, Px, Px, Px]), { maxItems: 100_000 }),
          },
          strict,
        ),
        { minItems: 1, maxItems: 50 },
      ),
    },
    strict,
  ),
);

/** `zanvo recover`: vanishing points and the view behind edges traced in a picture, with how sure they are. */
export async function recover(call: Call) {
  const { image, sigma, centre, families } = fitsLines(await jsonIn(call.file, call.io));
  const view = recoverView(
    families.map(({ name, role, lines }) => ({
      name,
      role,
      segments: lines.map(([x1, y1, x2, y2]) => ({ a: [x1, y1], b: [x2, y2] }) as const),
    })),
    { ...image, sigma, centre: centre && [centre.x, centre.y] },
  );
  return told(view, call.io);
}

/** A view as it is answered; what it lacks is said besides. */
export function told(view: RecoveredView, { err }: Call["io"]) {
  if (view.lacking) err(`${view.lacking}\n`);
  return {
    vanishingPoints: view.points.map(({ name, at, angle, covariance, residuals, strays }) => ({
      name,
      x: at?.[0] ?? null,
      y: at?.[1] ?? null,
      atInfinity: at === null,
      ...(angle === null ? {} : { angle }),
      covariance,
      residuals,
      strays,
    })),
    focalLength: view.focalLength,
    centre: { x: view.centre[0], y: view.centre[1] },
    horizon: view.horizon,
    pitch: view.pitch,
    roll: view.roll,
  };
}
