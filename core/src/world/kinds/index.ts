import { block } from "./block";
import { bridge } from "./bridge";
import { building } from "./building";
import { canal } from "./canal";
import type { ElementFault, ElementKind } from "./kind";
import { skyline } from "./skyline";
import { square } from "./square";
import { steps } from "./steps";
import { street } from "./street";
export type { Box, ElementFault, ElementKind, Figure } from "./kind";

/** Every kind of element. */
export const KINDS = [block, building, street, steps, canal, bridge, square, skyline] as const;

export type Element = Parameters<(typeof KINDS)[number]["build"]>[0];

const byName: ReadonlyMap<string, ElementKind<Element>> = new Map(KINDS.map((kind) => [kind.kind, kind]));

/** All that is known of an element's kind. */
export const kindOf = (element: Element): ElementKind<Element> => byName.get(element.kind)!;

/** Why an element cannot be built, and the field; null where it can. */
export const elementFault = (element: Element): ElementFault | null => kindOf(element).fault?.(element) ?? null;
