import { measureAlong } from "@zanvo/core/construct";
import type { Vec2, Vec3 } from "@zanvo/core/geometry";
import { ToldError } from "@zanvo/core/problem";
import { project, viewOf } from "@zanvo/core/shot";
import { metres, mm, sentence } from "@zanvo/core/units";
import { raisedBy, reachOfPerson, terrainOf, type Person } from "@zanvo/core/world";
import { replaceElement } from "../../document/elements";
import { useStores } from "../../stores";
import { Handle } from "./Handle";

/** Nobody is shorter or taller than these, m. */
const [LEAST, MOST] = [0.5, 2.3] as const;

/** A handle on the head of someone who is chosen, by which they are pulled taller or shorter. */
export function PersonHandles({ element: person }: { readonly element: Person }) {
  const { useShot, useDocument, drag, edit } = useStores();
  const elements = useDocument(({ scene }) => scene.elements);
  const view = viewOf(useShot());
  const { at, height, name } = person;
  const foot: Vec3 = [at.x, at.y, at.z + raisedBy(person, [at.x, at.y], terrainOf(elements))];
  // In their pose they do not reach as high as they are tall.
  const reach = reachOfPerson(person);
  const [from, head] = [project(view, foot), project(view, [foot[0], foot[1], foot[2] + reach])];
  if (!from || !head) return null;
  const pulled = (to: Vec2): Person => {
    const up = measureAlong(view, foot, [0, 0, 1], to);
    const tall = up === null ? 0 : (height * up) / reach;
    if (tall < LEAST || tall > MOST)
      throw new ToldError(sentence`People are between ${metres(LEAST)} and ${metres(MOST)} tall.`);
    return { ...person, height: Number(tall.toFixed(3)) };
  };
  return (
    <Handle
      at={head}
      label={sentence`head of ${name}, ${metres(height)} tall`}
      className="cursor-ns-resize"
      onDrag={(to) => {
        const next = pulled(to);
        drag(replaceElement(next));
        return sentence`${metres(next.height)} · ${mm(Math.hypot(to[0] - from[0], to[1] - from[1]))} on paper`;
      }}
      onNudge={([dx, dy]) => edit(replaceElement(pulled([head[0] + dx, head[1] + dy])), `height ${person.id}`)}
    >
      <span className="block size-2.5 rotate-45 border border-[#fffdf8] bg-accent" />
    </Handle>
  );
}
