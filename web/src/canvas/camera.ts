import { around, type Rect, type Vec2 } from "@zanvo/core/geometry";

/** How the desk is looked at: window px = at + scale * desk mm. */
export interface Camera {
  readonly scale: number;
  readonly x: number;
  readonly y: number;
}

export interface Size {
  readonly width: number;
  readonly height: number;
}

const LEAST = 0.005;
const MAX_SCALE = 80;

export const toWindow = ({ scale, x, y }: Camera, [mx, my]: Vec2): Vec2 => [x + scale * mx, y + scale * my];
export const toDesk = ({ scale, x, y }: Camera, [px, py]: Vec2): Vec2 => [(px - x) / scale, (py - y) / scale];

/** The camera that shows a rectangle of the desk as large as it goes: in the middle, or hung from the top. */
export function fit(rect: Rect, { width, height }: Size, pad: number, hung = false): Camera {
  const scale = Math.min(
    MAX_SCALE,
    Math.max(LEAST, Math.min((width - 2 * pad) / rect.width, (height - 2 * pad) / rect.height)),
  );
  return {
    scale,
    x: width / 2 - scale * (rect.x + rect.width / 2),
    y: hung ? pad - scale * rect.y : height / 2 - scale * (rect.y + rect.height / 2),
  };
}

/** The camera after zooming by a factor about a window point. */
export function zoom(camera: Camera, factor: number, [px, py]: Vec2): Camera {
  const scale = Math.min(MAX_SCALE, Math.max(LEAST, camera.scale * factor));
  const k = scale / camera.scale;
  return { scale, x: px - k * (px - camera.x), y: py - k * (py - camera.y) };
}

export const pan = (camera: Camera, dx: number, dy: number): Camera => ({
  ...camera,
  x: camera.x + dx,
  y: camera.y + dy,
});

/** Two fingers, one of which moves: the desk follows both. */
export function pinched(camera: Camera, before: Vec2, now: Vec2, other: Vec2): Camera {
  const middle = (p: Vec2): Vec2 => [(p[0] + other[0]) / 2, (p[1] + other[1]) / 2];
  const spread = (p: Vec2) => Math.max(1, Math.hypot(p[0] - other[0], p[1] - other[1]));
  const [from, to] = [middle(before), middle(now)];
  return zoom(pan(camera, to[0] - from[0], to[1] - from[1]), spread(now) / spread(before), to);
}

/** The wheel zooms about the pointer; a trackpad pans, and zooms when pinched. */
export function wheeled(
  camera: Camera,
  event: Pick<WheelEvent, "deltaMode" | "deltaX" | "deltaY" | "ctrlKey" | "shiftKey">,
  at: Vec2,
): Camera {
  const lines = event.deltaMode === WheelEvent.DOM_DELTA_LINE;
  const notch = lines || (event.deltaX === 0 && Math.abs(event.deltaY) >= 60);
  if (event.ctrlKey || (notch && !event.shiftKey))
    return zoom(
      camera,
      Math.exp(-(lines ? event.deltaY * 33 : event.deltaY) * (event.ctrlKey && !notch ? 0.01 : 0.0018)),
      at,
    );
  return pan(camera, -(event.shiftKey ? event.deltaY : event.deltaX), event.shiftKey ? 0 : -event.deltaY);
}

/** Pins farther off than so many of the sheet's longer sides leave nothing of the sheet to be seen on a small map. */
const FAR = 20;

/** Whether a pin is near enough to be drawn on a small map of the desk. */
export const isOnMap = ({ width, height }: Size, [x, y]: Vec2): boolean =>
  Math.hypot(x, y) < FAR * Math.max(width, height);

/** The part of the desk that holds the sheet and every pin. */
export function wholeDesk(sheet: Size, pins: readonly Vec2[]): Rect {
  return around([[0, 0], [sheet.width, sheet.height], ...pins], 20);
}
