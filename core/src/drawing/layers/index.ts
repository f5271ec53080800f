import type { Show } from "../../scene";
import { balloons } from "./balloons";
import { compass } from "./compass";
import { cone } from "./cone";
import { construction } from "./construction";
import { creases } from "./creases";
import { divisions } from "./divisions";
import { details } from "./details";
import { enlarging } from "./enlarging";
import { faces } from "./faces";
import { frame } from "./frame";
import { grids } from "./grids";
import { hiddenLines } from "./hiddenLines";
import { horizon } from "./horizon";
import { intersections } from "./intersections";
import { liveArea } from "./liveArea";
import { marginAids } from "./marginAids";
import { measuringPoints } from "./measuringPoints";
import { outlines } from "./outlines";
import { ownLines } from "./ownLines";
import { pageMarks } from "./pageMarks";
import { pricks } from "./pricks";
import { seaHorizon } from "./seaHorizon";
import { shadows } from "./shadows";
import { sky } from "./sky";
import { squares } from "./squares";
import { strokes } from "./strokes";
import { tones } from "./tones";
import type { LayerKind } from "./kind";
export type { LayerContext, LayerKind, LayerPart, OwnLines } from "./kind";
export { layerKind } from "./kind";
export { detailSwitch } from "./details";
export { BEYOND_SHEET } from "./compass";
export { aimedAt, edgesWithoutTicks, tickLanes } from "./edgeTicks";

/** Every kind of layer that a drawing can have, from the bottom up. */
export const LAYER_KINDS = [
  sky,
  faces,
  liveArea,
  tones,
  shadows,
  grids,
  construction,
  squares,
  cone,
  horizon,
  seaHorizon,
  measuringPoints,
  hiddenLines,
  details,
  creases,
  intersections,
  outlines,
  divisions,
  ownLines,
  strokes,
  balloons,
  frame,
  pageMarks,
  enlarging,
  pricks,
  marginAids,
  compass,
];

/** The ids of those that make the picture itself, without what helps to draw it. */
export const PICTURE_LAYERS: readonly string[] = LAYER_KINDS.filter((kind: LayerKind) => !kind.construction).map(
  ({ id }) => id,
);

export type LayerId = (typeof LAYER_KINDS)[number]["id"];

/** How strongly each kind of layer is drawn where a shot does not say. */
export const DEFAULT_SHOW = Object.fromEntries(LAYER_KINDS.map(({ id, strength }) => [id, strength])) as Readonly<
  Record<LayerId, number>
>;

/** How strongly a shot draws each kind of layer. */
export const showOf = ({ show }: { readonly show?: Show }): Readonly<Record<LayerId, number>> => ({
  ...DEFAULT_SHOW,
  ...show,
});
