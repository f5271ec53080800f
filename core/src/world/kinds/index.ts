import { ToldError } from "../../problem";
import { sentence, type Told } from "../../units";
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
import type { ElementError, ElementKind } from "./kind";
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
import { streetFurniture } from "./street-furniture";
import { turned } from "./turned";
import { vehicle } from "./vehicle";
import { wall } from "./wall";
export type { Box, ElementError, ElementKind, Figure, Hanging } from "./kind";
export type { LanePlace, LevelCircle, Oddity, RoadwayEnd } from "./kind";

/** Every kind of element. */
export const KINDS = [
  block,
  building,
  turned,
  columns,
  arches,
  crate,
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
  street,
  steps,
  canal,
  basin,
  bridge,
  square,
  rails,
  platform,
  wall,
  ground,
  skyline,
] as const;

export type Element = Parameters<(typeof KINDS)[number]["outline"]>[0];

const byName: ReadonlyMap<string, ElementKind<Element>> = new Map(KINDS.map((kind) => [kind.kind, kind]));

/** All that is known of an element's kind. */
export const kindOf = (element: Element): ElementKind<Element> => byName.get(element.kind)!;

/** Why an element cannot be built, and the field; null where it can. */
export const validateElement = (element: Element): ElementError | null => kindOf(element).validate?.(element) ?? null;

/** What is wrong with an element, or with a rule, as a sentence. */
export const whyInvalid = ({ field, message }: ElementError): Told =>
  sentence`The ${field.split("/")[0].replace("setbacks", "set-back")} ${message}`;

/** An element that can stand as it is said to. @throws ToldError with why it cannot */
export function requireValid<T extends Element>(element: T): T {
  const invalid = validateElement(element);
  if (invalid) throw new ToldError(whyInvalid(invalid));
  return element;
}
