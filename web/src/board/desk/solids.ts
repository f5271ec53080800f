import { pickSolid } from "@zanvo/core/construct";
import type { Vec2 } from "@zanvo/core/geometry";
import type { View } from "@zanvo/core/shot";
import { visibleEdges, type VisibleEdges } from "@zanvo/core/visibility";
import { build, type Element } from "@zanvo/core/world";

/** The element that is seen at a place of the picture. */
export const pick = (view: View, elements: readonly Element[], at: Vec2): string | null =>
  pickSolid(view, build(elements), at);

/** An element as it would be seen by itself. */
export const alone = (view: View, element: Element): VisibleEdges => visibleEdges(build([element]), view.eye);
