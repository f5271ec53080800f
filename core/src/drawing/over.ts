import type { Rect } from "../geometry";
import { balloonRing, pageOf, panelRing, type Scene, type Shot } from "../scene";
import type { Ring } from "./regions";

const overlaps = (a: Rect, b: Rect): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

/**
 * What lies over a panel of a page: the panels that are read after it, where their frames overlap, and the balloons of
 * all others.
 */
export function panelsOver(scene: Pick<Scene, "shots">, shot: Shot): readonly Ring[] {
  const page = pageOf(scene, shot);
  const at = page.findIndex(({ id }) => id === shot.id);
  const after = page.slice(at + 1).filter(({ frame }) => overlaps(frame, shot.frame));
  const others = page.filter((_, i) => i !== at);
  return [
    ...after.map(panelRing),
    ...others.flatMap((other) => (other.balloons ?? []).map((balloon) => balloonRing(other, balloon))),
  ];
}
