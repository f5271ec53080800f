import type { Element } from "@zanvo/core/world";
import { arches } from "./arches";
import { basin } from "./basin";
import { block } from "./block";
import { boat } from "./boat";
import { bridge } from "./bridge";
import { building } from "./building";
import { canal } from "./canal";
import { columns } from "./columns";
import { crate } from "./crate";
import { crowd } from "./crowd";
import { fixture } from "./fixture";
import { furniture } from "./furniture";
import { ground } from "./ground";
import { person } from "./person";
import { plant } from "./plant";
import { platform } from "./platform";
import { rails } from "./rails";
import { sign } from "./sign";
import { sky } from "./sky";
import { skyline } from "./skyline";
import { square } from "./square";
import { steps } from "./steps";
import { street } from "./street";
import { streetFurniture } from "./streetFurniture";
import { turned } from "./turned";
import { vehicle } from "./vehicle";
import { wall } from "./wall";
import type { ElementView } from "./view";
export {
  ACCENT,
  INK,
  type Change,
  type Drawn,
  type DrawnShape,
  type ElementTool,
  type ElementView,
  type Gesture,
  type PlanLook,
} from "./view";

/** What the screen knows of every kind of element; their tools stand in this order. */
export const VIEWS: readonly ElementView[] = [
  block,
  building,
  turned,
  columns,
  arches,
  crate,
  skyline,
  street,
  rails,
  platform,
  steps,
  fixture,
  furniture,
  person,
  crowd,
  plant,
  streetFurniture,
  vehicle,
  boat,
  sky,
  sign,
  square,
  wall,
  canal,
  basin,
  bridge,
  ground,
];

const byKind: ReadonlyMap<string, ElementView> = new Map(VIEWS.map((view) => [view.kind, view]));

/** What the screen knows of an element's kind. */
export const viewOfElement = ({ kind }: Pick<Element, "kind">): ElementView => byKind.get(kind)!;
