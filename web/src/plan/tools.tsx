import { Frame, LandPlot, MousePointer2, Rows3 } from "lucide-react";
import type { ReactNode } from "react";
import type { Vec2 } from "@zanvo/core/geometry";
import { VIEWS, type ElementTool, type Gesture } from "../elements";
import { addLot, addRow } from "./rows";
import { addYard } from "./yards";
import type { Stores } from "../stores";

/** A tool that lays several things by a rule. */
interface RuleTool extends Omit<ElementTool, "draw"> {
  readonly add: (stores: Stores, places: readonly Vec2[]) => void;
}

/** What chooses and moves things. */
interface ChooseTool {
  readonly id: "choose";
  readonly label: string;
  readonly icon?: ReactNode;
  readonly hint: string;
  readonly gesture: "choose";
}

/** What the hand does on the plan. */
export type PlanTool = ElementTool | RuleTool | ChooseTool;

export const CHOOSE: ChooseTool = {
  id: "choose",
  label: "Choose",
  icon: <MousePointer2 size={14} aria-hidden />,
  hint:
    "Press a thing to choose it; drag it, its corners, an eye or the end of its gaze. Shift: several, or a " +
    "rectangle of them.",
  gesture: "choose",
};

const RULES: readonly RuleTool[] = [
  {
    id: "row",
    label: "Row of houses",
    icon: <Rows3 size={14} aria-hidden />,
    hint: "Draw along a street side: houses are laid to the right of your way.",
    gesture: "drawn",
    add: (stores, [from, to]) => addRow(stores, from, to),
  },
  {
    id: "lot",
    label: "Lot",
    icon: <LandPlot size={14} aria-hidden />,
    hint: "Press for each corner of a lot; closed, it is built up around its rim.",
    gesture: "area",
    add: addLot,
  },
  {
    id: "courtyard",
    label: "Courtyard",
    icon: <Frame size={14} aria-hidden />,
    hint: "Draw inside a building, from one corner of its courtyard to the opposite one.",
    gesture: "drawn",
    shape: "rectangle",
    add: addYard,
  },
];

const [first, ...rest] = VIEWS.filter(({ tools }) => tools.length > 0);
/** The tools of the plan, in their order: rows stand beside the masses, which come first, and which they lay. */
export const TOOLS: readonly PlanTool[] = [CHOOSE, ...first.tools, ...RULES, ...rest.flatMap(({ tools }) => tools)];

/** Whether a tool is pressed place by place, and not drawn in one go. */
export const isPressed = ({ gesture }: { readonly gesture: Gesture | "choose" }): boolean =>
  gesture === "area" || gesture === "path";
