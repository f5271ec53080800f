import type { Vec2 } from "@zanvo/core/geometry";
import { toWindow, type Camera } from "../canvas/camera";

/** The colours of what is drawn over a photo; the halo makes it seen on dark and light. */
export const HALO = "#fffdf8";
export const INK = "#26251f";
export const ACCENT = "#c8401f";

/** Places of a photo, px, as the path of an SVG over it. */
export const pathOf = (camera: Camera, points: readonly Vec2[], close = false): string =>
  `M${points.map((p) => toWindow(camera, p).join(" ")).join("L")}${close ? "Z" : ""}`;
