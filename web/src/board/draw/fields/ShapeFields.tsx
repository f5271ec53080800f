import { discOn, squareAround } from "@zanvo/core/conics";
import type { Vec2 } from "@zanvo/core/geometry";
import { viewOf } from "@zanvo/core/shot";
import { EllipseFields } from "../../../dividing/EllipseFields";
import { useStores } from "../../../stores";
import { NumberField } from "../../../ui";
import { useChange, type Of } from "./useChange";

/** A circle, or how much of it is drawn. */
export function CircleFields({ line }: { readonly line: Of<"circle"> }) {
  const change = useChange();
  const shot = useStores().useShot();
  const onPlane = "plane" in line;
  const arc = line.arc ?? { from: 0, over: 360 };
  return (
    <>
      <NumberField
        label="Radius"
        unit={onPlane ? "m" : "mm"}
        digits={2}
        min={0.01}
        max={1e6}
        value={line.radius}
        onChange={(radius) => change({ ...line, radius }, `radius ${line.id}`)}
      />
      <NumberField
        label="Arc from"
        unit="°"
        min={-360}
        max={360}
        value={arc.from}
        onChange={(from) => change({ ...line, arc: { ...arc, from } }, `arc ${line.id}`)}
      />
      <NumberField
        label="Arc over"
        unit="°"
        min={1}
        max={360}
        value={arc.over}
        onChange={(over) => change({ ...line, arc: { ...arc, over } }, `arc ${line.id}`)}
      />
      {"plane" in line && (
        <EllipseFields quad={squareAround(viewOf(shot), discOn(line.plane, line.centre, line.radius))} />
      )}
    </>
  );
}

/** Width and height of a rectangle, which keep its first corner. */
export function ShapeFields({ line }: { readonly line: Of<"polyline"> }) {
  const change = useChange();
  const { points, closed } = line;
  const onPlane = "plane" in line;
  const sides = points.slice(1).map((to, i): readonly [Vec2, Vec2] => [points[i], to]);
  const square =
    closed &&
    points.length === 4 &&
    points[0][1] === points[1][1] &&
    points[1][0] === points[2][0] &&
    points[2][1] === points[3][1];
  if (!square)
    return (
      <p className="text-pencil">
        {sides.length} sides{closed ? ", closed" : ""}
      </p>
    );
  const [[x, y], , [u, v]] = points;
  const sized = (width: number, height: number) => {
    const [to, down] = [x + Math.sign(u - x || 1) * width, y + Math.sign(v - y || 1) * height];
    change(
      {
        ...line,
        points: [
          [x, y],
          [to, y],
          [to, down],
          [x, down],
        ],
      },
      `size ${line.id}`,
    );
  };
  const field = (label: string, value: number, onChange: (to: number) => void) => (
    <NumberField
      label={label}
      unit={onPlane ? "m" : "mm"}
      digits={2}
      min={0.01}
      max={1e6}
      value={value}
      onChange={onChange}
    />
  );
  return (
    <>
      {field("Width", Math.abs(u - x), (width) => sized(width, Math.abs(v - y)))}
      {field("Height", Math.abs(v - y), (height) => sized(Math.abs(u - x), height))}
    </>
  );
}
