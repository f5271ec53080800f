import { standingOn } from "@zanvo/core/construct";
import { kindOf, standsAt, type Element } from "@zanvo/core/world";
import type { Stores } from "../stores";

/** No more names than these are told at once. */
const NAMED = 3;

const listed = (names: readonly string[]): string =>
  names.length > NAMED
    ? `${names.slice(0, NAMED).join(", ")} and ${names.length - NAMED} more`
    : names.join(", ").replace(/, ([^,]*)$/, " and $1");

/** Says which eyes and other things stand where some things were laid; of what lies on the ground, nothing. */
export function sayWhatIsUnder(stores: Stores, laid: readonly Element[], others: readonly Element[]): void {
  const standing = laid.filter((one) => kindOf(one).stands);
  const { shots } = stores.useDocument.getState().scene;
  const eyes = shots.filter(({ eye }) => standing.some((one) => standsAt(one, [eye.x, eye.y])));
  const things = standingOn(standing, others);
  const over = [...eyes.map(({ name }) => `the eye of ${name}`), ...things.map(({ name }) => name)];
  if (over.length) stores.say(`It was laid over ${listed(over)}. Undo it, or move one of them.`);
}
