import { inMetric, metres, mm, sentence, sizeInMm, type Told } from "../units";
import { contains, type Rect, type Vec2 } from "../geometry";
import { nearCorner, paperLength } from "../construct";
import { type Scene, type Shot } from "../scene";
import { showOf } from "../drawing";
import { isCaster, lightsOf, towardsSun, type Sun } from "../light";
import { covered, fieldOfView, fullFrame, project, rimRadius, viewOf, type View } from "../shot";
import {
  dipOf,
  fromEdge,
  heightAt,
  horizon,
  horizonDistance,
  isLevel,
  lightName,
  lightPoints,
  measuringPoints,
  pinsOf,
  shadowPoint,
  type Pin,
} from "../vanishing";
import { blockCorner, boxOf, type Block, type Element } from "../world";
import { circlesOfThing, ownCircles } from "./circles";

/** One measure, as one would pencil it down. */
export interface SlipRow {
  readonly id: string;
  readonly label: string;
  readonly value: Told;
}

/** Measures that belong together. */
export interface SlipSection {
  readonly title: string;
  readonly rows: readonly SlipRow[];
}

export const degree = (value: number): string => `${Number(value.toFixed(1))}°`;

/** Where a pin stands, in words; a set without a point says how its lines run. */
export function pinPlace(sheet: Pick<Rect, "width" | "height">, { point }: Pin): Told {
  if (point.at) return fromEdge(sheet, ...point.at);
  if (point.angle === null) return "beyond what this lens shows";
  if (Math.abs(point.angle - 90) < 1e-9) return "none: drawn upright, parallel";
  return Math.abs(point.angle) < 1e-9
    ? "none: drawn level, parallel"
    : `none: drawn parallel at ${degree(point.angle)}`;
}

function horizonRows(shot: Shot): SlipRow[] {
  const view = viewOf(shot);
  if (!view.law.straight) return [{ id: "horizon", label: "Horizon", value: "a curve in this lens" }];
  const line = horizon(view);
  const [left, right] = [0, shot.sheet.width].map((x) => line && heightAt(line, x));
  if (left === null || right === null) return [{ id: "horizon", label: "Horizon", value: "none on this sheet" }];
  const row = (id: string, label: string, y: number): SlipRow => ({
    id,
    label,
    value:
      y < 0
        ? sentence`${mm(-y)} above the sheet`
        : y > shot.sheet.height
          ? sentence`${mm(y - shot.sheet.height)} below the sheet`
          : sentence`${mm(y)} from top, ${mm(shot.sheet.height - y)} from bottom`,
  });
  return [row("horizon-left", "Horizon, left edge", left), row("horizon-right", "Horizon, right edge", right)];
}

/** A block's near corner on paper: where its foot stands, and how long its upright and its two base edges are drawn. */
function blockOnPaper(view: View, shot: Shot, block: Block): SlipRow[] {
  const [u, v] = nearCorner(block, view.eye);
  const foot = blockCorner(block, u, v);
  const seen = project(view, foot);
  const edge = (id: string, label: string, size: number, to: readonly [number, number, number]): SlipRow => {
    const drawn = paperLength(view, foot, to);
    return { id, label, value: drawn === null ? metres(size) : sentence`${metres(size)}, drawn ${mm(drawn)}` };
  };
  return [
    edge("building-length", "Length", block.length, blockCorner(block, 1 - u, v)),
    edge("building-width", "Width", block.width, blockCorner(block, u, 1 - v)),
    edge("building-height", "Height, near corner", block.height, [foot[0], foot[1], foot[2] + block.height]),
    {
      id: "building-foot",
      label: "Foot, near corner",
      value: seen
        ? sentence`${contains(shot.frame, seen) ? "" : "off the panel: "}${fromEdge(shot.sheet, ...seen)}`
        : "behind the eye",
    },
  ];
}

/** Where the eye is before the sheet, how much it sees, and where it looks. */
function viewRows(shot: Shot, view: View): SlipRow[] {
  const { sheet, lens, gaze } = shot;
  return [
    { id: "centre", label: "Centre of vision", value: fromEdge(sheet, lens.centre.x, lens.centre.y) },
    { id: "distance", label: "Picture distance", value: mm(lens.distance) },
    ...(view.law.straight
      ? [
          { id: "field", label: "Field of view", value: `${degree(fieldOfView(shot))} across the panel` },
          { id: "full-frame", label: "35 mm equivalent", value: inMetric(mm(fullFrame(shot))) },
        ]
      : [
          {
            id: "field",
            label: view.law.shape === "round" ? "Across the disc in the panel" : "Around in the panel",
            value: degree(covered(shot)),
          },
          ...(view.law.shape === "round"
            ? [
                {
                  id: "rim",
                  label: "Rim, 90° off the gaze",
                  value: sentence`${mm(rimRadius(shot))} from the centre`,
                },
              ]
            : []),
        ]),
    { id: "heading", label: "Heading", value: degree(gaze.heading) },
    ...(gaze.pitch
      ? [
          {
            id: "pitch",
            label: gaze.pitch > 0 ? "Looking up" : "Looking down",
            value: degree(Math.abs(gaze.pitch)),
          },
        ]
      : []),
    ...(gaze.roll ? [{ id: "roll", label: "Roll", value: degree(gaze.roll) }] : []),
  ];
}

/** Where the shadows run, on walls across each level set, of what stands out of them square. */
const wallPoints = ({ orientations }: Scene, shot: Shot, sun: Sun) =>
  pinsOf(orientations, shot)
    .filter((pin) => isLevel(pin) && !pin.opposite)
    .map(({ id, name, direction }) => ({
      id: `${sun.id}-on-${id}`,
      name: `${lightName(sun)}: on walls across ${name}`,
      at: shadowPoint(viewOf(shot), towardsSun(sun), direction, direction),
    }));

/** The points of the lights that are on: by them shadows are drawn by hand. */
function lightSection(scene: Scene, shot: Shot): SlipSection[] {
  const lights = lightsOf(scene, shot).filter(isCaster).filter(({ off }) => !off);
  const value = (at: Vec2 | null) => (at ? fromEdge(shot.sheet, ...at) : "not on the desk");
  const rows = lights.flatMap((light) =>
    [...lightPoints(shot, light), ...(light.kind === "sun" ? wallPoints(scene, shot, light) : [])].map(
      ({ id, name, at }): SlipRow => ({ id, label: name, value: value(at) }),
    ),
  );
  return rows.length > 0 ? [{ title: "Light", rows }] : [];
}

/** Where the horizon of the sea lies: under eye level by so much where the gaze is level, and how far away it is. */
const seaRows = ({ eye, lens }: Shot): SlipRow[] => [
  {
    id: "sea-horizon",
    label: "Horizon of the sea",
    value: sentence`${mm(lens.distance * Math.tan(dipOf(eye.z)))} under eye level,
      ${metres(horizonDistance(eye.z), 0)} away`,
  },
];

/** The slip of a shot: the chosen thing, and all one needs to lay the system out by hand, from the sheet's edges. */
export function slipOf(scene: Scene, shot: Shot, chosen?: Element): SlipSection[] {
  const view = viewOf(shot);
  const { sheet, frame, eye } = shot;
  const pins = pinsOf(scene.orientations, shot);
  const sections: SlipSection[] = [
    {
      title: "Sheet",
      rows: [
        {
          id: "sheet",
          label: sheet.paper ?? "Sheet",
          value: sizeInMm(sheet.width, sheet.height),
        },
        {
          id: "panel",
          label: "Panel",
          value: sentence`${sizeInMm(frame.width, frame.height)}, ${mm(frame.x)} from left, ${mm(frame.y)} from top`,
        },
      ],
    },
    {
      title: "Eye level",
      rows: [
        ...horizonRows(shot),
        { id: "eye-height", label: "Eye height", value: metres(eye.z) },
        ...(showOf(shot).seaHorizon > 0 && eye.z > 0 ? seaRows(shot) : []),
      ],
    },
    { title: "View", rows: viewRows(shot, view) },
    ...lightSection(scene, shot),
    { title: "Points", rows: pins.map((pin) => ({ id: pin.id, label: pin.name, value: pinPlace(sheet, pin) })) },
    ...(showOf(shot).measuring > 0
      ? [
          {
            title: "Measuring points",
            rows: measuringPoints(view, pins).map(({ id, name, at }) => ({
              id,
              label: name,
              value: fromEdge(sheet, ...at),
            })),
          },
        ]
      : []),
  ];
  const circles = ownCircles(scene, shot);
  const all = circles.length > 0 ? [...sections, { title: "Circles", rows: circles }] : sections;
  if (!chosen) return all;
  const rows = [...blockOnPaper(view, shot, boxOf(chosen)), ...circlesOfThing(shot, chosen)];
  return [{ title: chosen.name, rows }, ...all];
}
