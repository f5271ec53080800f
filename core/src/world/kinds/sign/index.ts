import type { Vec2 } from "../../../geometry";
import { metres, sentence } from "../../../units";
import { heightTags } from "../block";
import { isOutline } from "../../../glyphs";
import { elementKind, hangsAt, type ElementError, type Oddity } from "../kind";
import { depthsOf, extentOf, placesOn, setLetters } from "./layout";
import { SignSchema, type Sign } from "./schema";
export type { Sign } from "./schema";

/** A sign, from its measures. */
export const newSign = (of: Omit<Sign, "kind" | "id" | "name">): Omit<Sign, "id" | "name"> => ({ ...of, kind: "sign" });

export const isSign = (element: { readonly kind: string }): element is Sign => element.kind === "sign";

/** What a sign takes of the plan: as wide and as deep as it is. */
export function signOutline(sign: Sign): readonly Vec2[] {
  const { from, to } = extentOf(sign);
  const { out, back } = depthsOf(sign);
  const at = placesOn(sign);
  return [
    [from[0], -back],
    [from[0], out],
    [to[0], out],
    [to[0], -back],
  ].map(([x, z]): Vec2 => {
    const [px, py] = at([x, 0, z]);
    return [px, py];
  });
}

/** Letters that do not fit on their board. */
function odditiesOf(sign: Sign): readonly Oddity[] {
  const { board, name, text } = sign;
  if (!board) return [];
  const letters = setLetters(sign);
  const [xs, ys] = [0, 1].map((k) => letters.flatMap(({ low, high }) => [low[k], high[k]]));
  const over = Math.max(
    -board.width / 2 - Math.min(...xs),
    Math.max(...xs) - board.width / 2,
    -Math.min(...ys),
    Math.max(...ys) - board.height,
  );
  return letters.length > 0 && over > 1e-6
    ? [
        {
          id: "over",
          value: over,
          told: sentence`The letters of ${name || text || "a sign"} reach over its board by ${metres(over)}.`,
        },
      ]
    : [];
}

/** Why a sign cannot be as it is said to be, and the field; null where it can. */
function validate({ letters }: Sign): ElementError | null {
  const bad = letters.findIndex((outline) => !isOutline(outline));
  return bad < 0 ? null : { field: `letters/${bad}`, message: "cannot be read as the outline of a letter." };
}

export const sign = elementKind<Sign>(SignSchema, {
  kind: "sign",
  word: "Sign",
  stands: true,
  validate,
  outline: signOutline,
  span: (element) => [element.at.z, extentOf(element).to[1]],
  places: () => [],
  placed: (element) => element,
  geoJson: {
    write: (element) => ({ shape: "area", properties: heightTags(element.at.z, extentOf(element).to[1]) }),
  },
  oddities: odditiesOf,
  faces: ({ heading }) => heading,
  hangs: (element) => hangsAt(element, extentOf(element)),
  letsIn: () => true,
});
