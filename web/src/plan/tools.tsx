import { DoorOpen, Frame, LandPlot, MousePointer2, Rows3, Ruler } from "lucide-react";
import type { ReactNode } from "react";
import { degrees, wrap, type Vec2 } from "@zanvo/core/geometry";
import { sentence, shortMetres } from "@zanvo/core/units";
import { outlineOf } from "@zanvo/core/world";
import { VIEWS, type ElementTool, type Gesture } from "../elements";
import { addRow, housesOf, newRow, type Ruled } from "./rows";
import { addRoom, addYard } from "./yards";
import type { Stores } from "../stores";

/** A tool that lays several things by a rule. */
export interface RuleTool extends Omit<ElementTool, "draw"> {
  readonly add: (stores: Stores, places: readonly Vec2[], seed: number) => void;
  /** The outlines of what it would lay. */
  /** What it drew last stays to be seen while it is taken up. */
  readonly keeps?: boolean;
  readonly preview?: (stores: Stores, places: readonly Vec2[], seed: number) => readonly (readonly Vec2[])[];
}

/** What chooses and moves things. */
interface ChooseTool {
  readonly id: "choose";
  readonly label: string;
  readonly icon?: ReactNode;
  readonly iconOnly?: false;
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

/** Lays houses by the rule of a row, and shows them before. */
const ruled = (what: Ruled): Pick<RuleTool, "add" | "preview"> => ({
  add: (stores, places, seed) => addRow(stores, newRow(stores, what, places, seed)),
  preview: (stores, places, seed) => housesOf(newRow(stores, what, places, seed)).map(outlineOf),
});

/** Measures from one place of the plan to another. */
const TAPE: RuleTool = {
  id: "tape",
  label: "Tape",
  icon: <Ruler size={14} aria-hidden />,
  hint: "Draw from one place to another to measure how far it is, and which way.",
  gesture: "drawn",
  keeps: true,
  add: (stores, [[ax, ay], [bx, by]]) => {
    const heading = wrap(degrees(Math.atan2(bx - ax, by - ay)));
    const far = sentence`${shortMetres(Math.hypot(bx - ax, by - ay), 2)} along the heading ${heading.toFixed(1)}°`;
    const [east, north] = [bx - ax, by - ay];
    const across = sentence`${shortMetres(Math.abs(east), 2)} ${east < 0 ? "west" : "east"}`;
    const along = sentence`${shortMetres(Math.abs(north), 2)} ${north < 0 ? "south" : "north"}`;
    stores.say(sentence`${far}: ${across}, ${along}.`);
  },
};

const RULES: readonly RuleTool[] = [
  {
    id: "row",
    label: "Row of houses",
    icon: <Rows3 size={14} aria-hidden />,
    hint: "Draw along a street side: houses are laid away from the street, or where there is none to your right.",
    gesture: "drawn",
    ...ruled("row"),
  },
  {
    id: "lot",
    label: "Lot",
    icon: <LandPlot size={14} aria-hidden />,
    hint: "Press for each corner of a lot; closed, it is built up around its rim.",
    gesture: "area",
    ...ruled("lot"),
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
  {
    id: "room",
    label: "Room",
    icon: <DoorOpen size={14} aria-hidden />,
    hint: "Draw inside a building, from one corner of a room to the opposite one: near walls it is brought to them.",
    gesture: "drawn",
    shape: "rectangle",
    add: addRoom,
  },
];

const [first, ...rest] = VIEWS.filter(({ tools }) => tools.length > 0);
/** The tools of the plan, in their order: rows stand beside the masses, which come first, and which they lay. */
export const TOOLS: readonly PlanTool[] = [
  CHOOSE,
  TAPE,
  ...first.tools,
  ...RULES,
  ...rest.flatMap(({ tools }) => tools),
];

/** Whether a tool is pressed place by place, and not drawn in one go. */
export const isPressed = ({ gesture }: { readonly gesture: Gesture | "choose" }): boolean =>
  gesture === "area" || gesture === "path";
