import { byHand, circleInQuad, howItLies, levelError, type CircleInQuad } from "@zanvo/core/conics";
import type { Quad, Vec2 } from "@zanvo/core/geometry";
import { orNothing } from "@zanvo/core/problem";
import { mm, sentence, type Told } from "@zanvo/core/units";
import { Fold } from "../ui";
import { useStores } from "../stores";

interface EllipseFieldsProps {
  /** The corners of the square around the circle, in their order around. */
  readonly quad: Quad | null;
  /** Whether they are places of a picture, px, rather than of the sheet, mm. */
  readonly pixels?: boolean;
}

const far = ([x, y]: Vec2, [u, v]: Vec2): number => Math.hypot(x - u, y - v);

/** What is told of an ellipse, each with what it is called. */
function rowsOf(circle: CircleInQuad, size: (value: number) => Told): readonly (readonly [string, Told])[] {
  const { centre, circleCentre, semiAxes, tilt } = circle;
  const [long, short] = semiAxes;
  const { seenAt, template, string, trammel } = byHand(circle);
  const { lean, apart } = levelError(circle);
  return [
    ["Long axis", sentence`${size(2 * long)}, ${howItLies(tilt)}`],
    ["Short axis", size(2 * short)],
    ["The circle’s own centre", sentence`${size(far(centre, circleCentre))} off that of the ellipse`],
    ["Seen at", sentence`${seenAt.toFixed(1)}°`],
    [
      "Nearest template",
      sentence`${String(template.angle)}°, ${size(2 * long)} long: its short axis is
        ${size(2 * Math.abs(template.off))} too ${template.off > 0 ? "wide" : "narrow"}`,
    ],
    [
      "Pins and string",
      sentence`pins ${size(string.pins)} to either side of the centre, a loop of ${size(string.loop)}`,
    ],
    [
      "Trammel",
      sentence`marks ${size(trammel.onLong)} and ${size(trammel.onShort)} from the tip, for the long and the short
        axis`,
    ],
    ["With a level long axis", sentence`${lean.toFixed(1)}° wrong, the outline up to ${size(apart)} off`],
  ];
}

/** The circle in four corners as an ellipse, and how that is drawn by hand. */
export function EllipseFields({ quad, pixels }: EllipseFieldsProps) {
  const { useMeasures } = useStores();
  const measures = useMeasures();
  const circle = quad && orNothing(() => [circleInQuad(quad)])[0];
  const size = (value: number): Told => (pixels ? `${value.toFixed(1)} px` : sentence`${mm(value)}`);
  return (
    <Fold title="Its ellipse">
      {circle && <p className="text-pencil">Of the circle in these corners, taken for those of a square.</p>}
      {circle ? (
        <dl aria-label="Its ellipse" className="space-y-1">
          {rowsOf(circle, size).map(([name, told]) => (
            <div key={name}>
              <dt className="text-pencil">{name}</dt>
              <dd className="measure">{measures(told)}</dd>
            </div>
          ))}
        </dl>
      ) : (
        <p className="text-pencil">Of this no ellipse is seen: it reaches behind the eye, or the lens is curved.</p>
      )}
    </Fold>
  );
}
