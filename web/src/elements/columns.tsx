import { Columns3 } from "lucide-react";
import { beforeWall } from "@zanvo/core/construct";
import { NoAnswer } from "@zanvo/core/problem";
import { sentence, metres } from "@zanvo/core/units";
import { diameterOf, GAPS, newColumns, ORDERS, requireValid, type Columns, type OrderId } from "@zanvo/core/world";
import { useSpoken, useStores } from "../stores";
import { Button, Check, Choice, Select } from "../ui";
import { Measures } from "./Measures";
import { facingRightOf, INK, type Change, type ElementView } from "./view";

const CHOICES = (Object.keys(ORDERS) as OrderId[]).map((order) => [order, ORDERS[order].label] as const);
const WIDTHS = [["own", "As typed"] as const, ...GAPS.map(([gap, name]) => [String(gap), `${gap} (${name})`] as const)];

/** Sets a row before the middle of the nearest wall, in one press. */
function BeforeWall({ element, change }: { readonly element: Columns; readonly change: Change }) {
  const spoken = useSpoken();
  const { useDocument } = useStores();
  const elements = useDocument((document) => document.scene.elements);
  const set = () =>
    spoken(() => {
      const there = beforeWall(element, elements);
      if (!there) throw new NoAnswer("There is no straight wall to set it before.");
      change(requireValid(there), "before a wall");
    });
  return (
    <Button className="w-full" onClick={set}>
      Set before the nearest wall’s middle
    </Button>
  );
}

/** What columns carry: an entablature, and over a row a pediment. */
function Carried({ element, change }: { readonly element: Columns; readonly change: Change }) {
  const spoken = useSpoken();
  const set = (part: Partial<Columns>, what: string) =>
    spoken(() => change(requireValid({ ...element, ...part }), what));
  const { stand, entablature = false, pediment } = element;
  return (
    <>
      {stand !== "single" && (
        <Check
          label="Entablature"
          checked={entablature}
          onChange={(on) =>
            set({ entablature: on || undefined, ...(on ? {} : { pediment: undefined }) }, "entablature")
          }
        />
      )}
      {stand === "row" && entablature && (
        <Check
          label="Pediment"
          checked={pediment !== undefined}
          onChange={(on) => set({ pediment: on ? 0.2 : undefined }, "pediment")}
        />
      )}
      {pediment !== undefined && <Measures element={element} of={["pediment", "ridge"]} change={change} />}
    </>
  );
}

/** What columns are, how they stand, and what they carry. */
function ColumnsFields({ element, change }: { readonly element: Columns; readonly change: Change }) {
  const spoken = useSpoken();
  const set = (part: Partial<Columns>, what: string) =>
    spoken(() => change(requireValid({ ...element, ...part }), what));
  const { inWords } = useStores();
  const { stand, order, gap = 2.25, half = false, quarter = false, pediment } = element;
  const isRow = stand === "row";
  return (
    <>
      <Select
        labelled
        label="Order"
        className="min-w-0 grow"
        value={order}
        options={CHOICES}
        onChange={(to) => set({ order: to }, "order")}
      />
      <Choice
        label="They stand"
        value={stand}
        options={{ single: "Alone", row: "In a row", ring: "In a ring" }}
        onChange={(to) =>
          set(
            {
              stand: to,
              count: to === "single" ? 1 : Math.max(element.count, to === "ring" ? 8 : 2),
              pediment: to === "row" ? pediment : undefined,
              quarter: to === "single" && quarter ? true : undefined,
              ...(to === "ring" ? { radius: element.radius ?? 5 } : {}),
            },
            "stand",
          )
        }
      />
      <Measures element={element} of={stand === "single" ? ["height"] : ["height", "count"]} change={change} />
      <p className="w-full text-xs text-[#6d6a60]">
        {inWords(sentence`${ORDERS[order].slender} diameters high: ${metres(diameterOf(element))} thick at the foot.`)}
      </p>
      {isRow && (
        <>
          <Select
            labelled
            label="Gaps"
            className="min-w-0 grow"
            value={GAPS.some(([one]) => one === gap) ? String(gap) : "own"}
            options={WIDTHS}
            onChange={(to) => to !== "own" && set({ gap: Number(to) }, "gap")}
          />
          <Measures element={element} of={["gap", "middle", "depth"]} change={change} />
          <BeforeWall element={element} change={change} />
        </>
      )}
      {stand === "ring" && (
        <Measures
          element={{ ...element, radius: element.radius ?? 5, through: element.through ?? 360 }}
          of={["radius", "through"]}
          change={change}
        />
      )}
      <Measures element={element} of={["steps"]} change={change} />
      <Check
        label="Half columns"
        checked={half}
        onChange={(on) => set({ half: on || undefined, quarter: undefined }, "half")}
      />
      {stand === "single" && (
        <Check
          label="A quarter, in a corner"
          checked={quarter}
          onChange={(on) => set({ quarter: on || undefined, half: undefined }, "quarter")}
        />
      )}
      <Carried element={element} change={change} />
      <Measures element={element} of={["heading", "at/z", "at/x", "at/y"]} change={change} />
    </>
  );
}

export const columns: ElementView<Columns> = {
  kind: "columns",
  look: { fill: INK, order: 5 },
  tools: [
    {
      id: "columns",
      label: "Columns",
      icon: <Columns3 size={14} aria-hidden />,
      hint: "Draw from the left end of a row to its right end: it faces you, who stand below it.",
      gesture: "drawn",
      draw: ([[x, y], [u, v]]) => {
        const long = Math.hypot(u - x, v - y);
        // It faces to the right of the way that it is drawn.
        const heading = facingRightOf([x, y], [u, v]);
        const row = newColumns("tuscan", { x: (x + u) / 2, y: (y + v) / 2, z: 0 }, heading);
        const d = row.height / ORDERS.tuscan.slender;
        const count = Math.min(200, Math.max(2, Math.round(long / d / 3.25) + 1));
        return { ...row, count, gap: Math.max(0.5, Number((long / (count - 1) / d - 1).toFixed(3))) };
      },
    },
  ],
  Fields: ColumnsFields,
};
