import { Waves } from "lucide-react";
import { requireValid, DEFAULT_CANAL, DEFAULT_LOCK, pathOf, placeAlong, type Canal } from "@zanvo/core/world";
import { CurveFields } from "./CurveFields";
import { Measures, measuresOf } from "./Measures";
import { Parts } from "./Parts";
import { points, type Change, type ElementView, WATER } from "./view";

/** Measures of a canal and its locks. */
function CanalFields({ element: canal, change }: { readonly element: Canal; readonly change: Change }) {
  const set = (part: Partial<Canal>, what: string) => change(requireValid({ ...canal, ...part }), what);
  const { width, locks = [] } = canal;
  return (
    <>
      <Measures element={canal} of={["width", "quay", "depth", "coping"]} change={change} />
      <CurveFields element={canal} change={change} />
      <Parts
        name="Lock"
        add="A lock"
        parts={locks}
        fields={["at", "length", "fall"]}
        measure={measuresOf(canal, "locks")}
        fresh={() => ({
          at: locks.length ? locks[locks.length - 1].at + locks[locks.length - 1].length + width : width,
          ...DEFAULT_LOCK,
        })}
        onChange={(to, what) => set({ locks: [...to] }, what)}
      />
    </>
  );
}

/** The gates of a canal's locks. */
const gatesOf = (canal: Canal) =>
  (canal.locks ?? [])
    .flatMap(({ at, length }) => [at, at + length])
    .flatMap((s) => {
      const [a, b] = [-1, 1].map((side) => placeAlong(pathOf(canal), s, (side * canal.width) / 2));
      return a && b ? [[a, b] as const] : [];
    });

export const canal: ElementView<Canal> = {
  kind: "canal",
  look: { fill: WATER, fillOpacity: 0.2, order: 0 },
  tools: [
    {
      id: "canal",
      label: "Canal",
      icon: <Waves size={14} aria-hidden />,
      hint:
        "Press for each bend of its middle line, the way the water falls; press the last again, or Enter, " +
        "to end it.",
      gesture: "path",
      draw: (places) => ({ kind: "canal", path: points(places), ...DEFAULT_CANAL }),
    },
  ],
  Fields: CanalFields,
  marks: gatesOf,
};
