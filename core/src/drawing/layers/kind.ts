import type { Rect } from "../../geometry";
import type { Light } from "../../light";
import type { SheetLine, WorldLine } from "../../lines";
import type { Orientation, Shot } from "../../scene";
import type { View } from "../../shot";
import type { Pin } from "../../vanishing";
import type { VisibleEdges } from "../../visibility";
import type { Element } from "../../world";
import type { Shapes } from "../layer";
import type { Ring } from "../regions";
import type { Looseness } from "../loose";
import type { Style } from "../style";

/** Lines of one's own that a shot shows. */
export interface OwnLines {
  readonly sheet: readonly SheetLine[];
  readonly world: readonly WorldLine[];
}

/** What the layers of a shot are worked out from. */
export interface LayerContext {
  readonly orientations: readonly Orientation[];
  readonly shot: Shot;
  readonly view: View;
  /** The pins whose lines are drawn. */
  readonly pins: readonly Pin[];
  /** The visible edges of what stands in the scene. */
  readonly visible: VisibleEdges;
  /** What stands in the scene. */
  readonly elements: readonly Element[];
  /** What lights the shot, in the order by which the visible areas name them. */
  readonly lights: readonly Light[];
  /** Lines of one's own: those of the shot's sheet, and those of the world. */
  readonly lines: OwnLines;
  /** Panels of the page that lie over this one, and balloons of others: polygons on the sheet, mm. */
  readonly over?: readonly Ring[];
  /** As far as this, in sheet mm, what goes on beyond the panel is drawn. */
  readonly within: Rect;
}

/** A part of a layer that is told apart in files: by default it has the id, the label and the style of its kind. */
export interface LayerPart extends Shapes {
  readonly id?: string;
  readonly label?: string;
  readonly style?: Partial<Style>;
}

/**
 * A kind of layer. Its switch in a shot's `show`, its slider, its group in an SVG and its place in a PDF follow from
 * this.
 */
export interface LayerKind<Id extends string = string> {
  /** Its name in a shot's `show`, and in what is left out of a file. */
  readonly id: Id;
  readonly label: string;
  /** Its place among the layers, from the bottom up. */
  readonly order: number;
  /** Its opacity is multiplied by the strength with which a shot shows it. */
  readonly style: Style;
  /** The strength where a shot does not say, 0 to 1; 0 leaves the layer out. */
  readonly strength: number;
  /** The kind whose strength is multiplied with its own. */
  readonly partOf?: string;
  /** Whether it helps to draw and is no part of the picture itself. */
  readonly construction?: boolean;
  /** Whether it is worked out from the visible edges, so that it changes with them. */
  readonly ofEdges?: boolean;
  /** Whether it is areas that fill all of what is seen, under everything that is drawn of things. */
  readonly ofAreas?: boolean;
  /** Whether it is worked out from own lines, so that it changes with them. */
  readonly ofLines?: boolean;
  /** Whether it is worked out from the elements themselves. */
  readonly ofElements?: boolean;
  /** Whether it is worked out from what lights the shot, so that it changes with that. */
  readonly ofLights?: boolean;
  /** Whether there is nothing of it without a light. */
  readonly onlyLit?: boolean;
  /** Whether it stops at masses where a shot does not say, or only where one wants it. */
  readonly stops?: "usually" | "where wished";
  /**
   * How far it reaches: it lies in the panel, and ends at its shape, at balloons and at panels that lie over it; or it
   * ends at balloons and such panels alone; or it goes on over the desk and is not cut.
   */
  readonly reach?: "panel" | "rim" | "desk";
  /** Whether it belongs to the sheet, so that it is drawn once for all panels of a page. */
  readonly ofSheet?: boolean;
  /** How loosely it is drawn where a shot wants a loose hand. */
  readonly loose?: Looseness;
  readonly compute: (context: LayerContext) => LayerPart | readonly LayerPart[];
}

/** Declares a kind of layer, keeping its id as a type of its own. */
export const layerKind = <const Id extends string>(kind: LayerKind<Id>): LayerKind<Id> => kind;
