import { PersonStanding } from "lucide-react";
import { degrees } from "@zanvo/core/geometry";
import { heightAt, isPerson, newPerson, POSES, WEARS, type Person, type Pose, type Wear } from "@zanvo/core/world";
import { PersonHandles } from "../board/desk/PersonHandles";
import { useSpoken } from "../stores";
import { Check, Select } from "../ui";
import { Measures } from "./Measures";
import { INK, type Change, type ElementView } from "./view";

const named = <K extends string>(all: Readonly<Record<K, string>>) =>
  (Object.keys(all) as K[]).map((key) => [key, all[key]] as const);

/** A child is so old at first, years. */
const CHILD = 8;

/** What someone does and wears, how tall they are, and where they stand. */
function PersonFields({ element, change }: { readonly element: Person; readonly change: Change }) {
  const spoken = useSpoken();
  const set = (part: Partial<Person>, what: string) => spoken(() => change({ ...element, ...part }, what));
  const { pose, wear = "trousers", age, box = false } = element;
  return (
    <>
      <Select
        labelled
        label="Does"
        className="min-w-0 grow"
        value={pose}
        options={named<Pose>(POSES)}
        onChange={(to) => set({ pose: to }, "pose")}
      />
      <Select
        labelled
        label="Wears"
        className="min-w-0 grow"
        value={wear}
        options={named<Wear>(WEARS)}
        onChange={(to) => set({ wear: to === "trousers" ? undefined : to }, "wear")}
      />
      <Measures element={element} of={["height"]} change={change} />
      <Check
        label="A child"
        checked={age !== undefined}
        onChange={(on) => set(on ? { age: CHILD, height: heightAt(CHILD) } : { age: undefined, height: 1.72 }, "age")}
      />
      {age !== undefined && (
        <Measures
          element={element}
          of={["age"]}
          change={(to, what) =>
            isPerson(to) && change({ ...to, height: Number(heightAt(to.age ?? CHILD).toFixed(2)) }, what)
          }
        />
      )}
      <Check label="As a box to draw into" checked={box} onChange={(on) => set({ box: on || undefined }, "box")} />
      <Measures element={element} of={["heading", "at/z", "at/x", "at/y"]} change={change} />
    </>
  );
}

export const person: ElementView<Person> = {
  kind: "person",
  look: { fill: INK, order: 6 },
  tools: [
    {
      id: "person",
      label: "Person",
      icon: <PersonStanding size={14} aria-hidden />,
      hint: "Press where someone stands, and draw the way they face.",
      gesture: "drawn",
      draw: ([[x, y], [u, v]]) => newPerson({ x, y, z: 0 }, Number(degrees(Math.atan2(u - x, v - y)).toFixed(2))),
    },
  ],
  Fields: PersonFields,
  Handles: PersonHandles,
};
