import { measureOf } from "@zanvo/core/fields";
import { radians, type Vec2 } from "@zanvo/core/geometry";
import { unprojectToGround, viewOf } from "@zanvo/core/shot";
import { kindOf, newPerson } from "@zanvo/core/world";
import { Check, MeasureField } from "../../ui";
import { useBoard } from "../useBoard";

/** As tall as someone at first, m. */
const TALL = 1.75;
/** It stands so far down the panel at first, or so far before the eye, m. */
const [LOW, AHEAD] = [0.85, 10] as const;

/** Whether a ruler stands on the ground, and how tall it is. */
export function RulerFields() {
  const { useFittings, fit, currentShot } = useBoard();
  const ruler = useFittings((fittings) => fittings.ruler);
  const schema = kindOf({ ...newPerson({ x: 0, y: 0, z: 0 }, 0), id: "", name: "" }).schema;
  const stand = () => {
    const shot = currentShot();
    const view = viewOf(shot);
    const { x, y, width, height } = shot.frame;
    const seen = unprojectToGround(view, [x + width / 2, y + LOW * height]);
    const heading = radians(shot.gaze.heading);
    // Where no ground is seen there, it stands before the eye.
    const ahead: Vec2 = seen
      ? [seen[0], seen[1]]
      : [shot.eye.x + AHEAD * Math.sin(heading), shot.eye.y + AHEAD * Math.cos(heading)];
    fit({ ruler: { at: ahead, height: TALL } });
  };
  return (
    <>
      <Check
        label="A ruler on the ground, and lines of heads"
        checked={ruler !== null}
        onChange={(on) => (on ? stand() : fit({ ruler: null }))}
      />
      {ruler && (
        <>
          <MeasureField
            measure={measureOf(schema, "height")}
            value={ruler.height}
            onChange={(height) => fit({ ruler: { ...ruler, height } })}
          />
          <p className="text-pencil">
            Drag its foot over the ground: it keeps its height. Between the lowest line and the others stand people of
            1.27, 1.55, 1.70 and 1.85 m, near and far.
          </p>
        </>
      )}
    </>
  );
}
