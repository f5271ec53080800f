import { Rainbow } from "lucide-react";
import { ARCHES, newArches, requireValid, type Arches, type ArchForm } from "@zanvo/core/world";
import { useSpoken } from "../stores";
import { Check, Select } from "../ui";
import { Measures } from "./Measures";
import { facingRightOf, INK, type Change, type ElementView } from "./view";

const FORMS = (Object.keys(ARCHES) as ArchForm[]).map((form) => [form, ARCHES[form]] as const);

/** A wall's arches and its measures. */
function ArchesFields({ element, change }: { readonly element: Arches; readonly change: Change }) {
  const spoken = useSpoken();
  const set = (part: Partial<Arches>, what: string) =>
    spoken(() => change(requireValid({ ...element, ...part }), what));
  const { arch, span, voussoirs = 0, keystone = false, vaults } = element;
  return (
    <>
      <Select
        labelled
        label="Arches are"
        className="min-w-0 grow"
        value={arch}
        options={FORMS}
        onChange={(to) => set({ arch: to, rise: undefined }, "arch")}
      />
      <Measures element={element} of={["count", "span", "pier", "springing"]} change={change} />
      {(arch === "segmental" || arch === "basket") && (
        <Measures
          element={{ ...element, rise: element.rise ?? span / (arch === "basket" ? 3 : 6) }}
          of={["rise"]}
          change={change}
        />
      )}
      <Check
        label="Groin vaults behind it"
        checked={vaults !== undefined}
        onChange={(on) => set({ vaults: on ? 1 : undefined }, "vaults")}
      />
      <Measures
        element={element}
        of={["height", vaults === undefined ? "thickness" : "vaults", "voussoirs", "imposts"]}
        change={change}
      />
      {voussoirs > 0 && (
        <Check label="Keystones" checked={keystone} onChange={(on) => set({ keystone: on || undefined }, "keystone")} />
      )}
      <Measures element={element} of={["heading", "at/z", "at/x", "at/y"]} change={change} />
    </>
  );
}

export const arches: ElementView<Arches> = {
  kind: "arches",
  look: { fill: INK, order: 5 },
  tools: [
    {
      id: "arches",
      label: "Arches",
      icon: <Rainbow size={14} aria-hidden />,
      hint: "Draw from the left end of an arcade to its right end: it faces you, who stand below it.",
      gesture: "drawn",
      draw: ([[x, y], [u, v]]) => {
        const heading = facingRightOf([x, y], [u, v]);
        const long = Math.hypot(u - x, v - y);
        const one = newArches({ x: (x + u) / 2, y: (y + v) / 2, z: 0 }, heading, 1);
        const count = Math.min(100, Math.max(1, Math.round((long - one.pier) / (one.span + one.pier))));
        // Spans share what their piers leave of the length that was drawn.
        const span = (long - (count + 1) * one.pier) / count;
        if (span < 0.2) return "Draw it longer: an arch and two piers need more room.";
        const whole = { ...one, count, span: Number(span.toFixed(3)) };
        return { ...whole, height: Number((whole.springing + whole.span / 2 + 0.8).toFixed(3)) };
      },
    },
  ],
  Fields: ArchesFields,
};
