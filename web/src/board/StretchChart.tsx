import { useCallback } from "react";
import type { Shot } from "@zanvo/core/scene";
import { stretchAcross } from "@zanvo/core/shot";
import { degree } from "@zanvo/core/slip";
import { useStores } from "../stores";
import { useChart, type ChartColours } from "./useChart";

/** Beyond this a round thing looks like an egg (common practice). */
const ROUND = 1.2;

/** How much larger things are drawn from side to side of the panel than in the middle of the picture, as a chart. */
export default function StretchChart({ shot }: { readonly shot: Shot }) {
  const { useUnits } = useStores();
  const system = useUnits((units) => units.system);
  const all = stretchAcross(shot);
  const [left, right] = [all[0], all[all.length - 1]];
  const told =
    `Outward ${left.radial.toFixed(2)} at the left side (${degree(left.angle)} off the gaze), ` +
    `${right.radial.toFixed(2)} at the right (${degree(right.angle)}); across ${left.tangential.toFixed(2)} and ` +
    `${right.tangential.toFixed(2)}.`;
  const make = useCallback(
    ({ ink, pencil, hair, accent }: ChartColours) => {
      const across = stretchAcross(shot);
      const [unit, size] = system === "metric" ? ["mm", 1] : ["in", 25.4];
      const series = (name: string, of: "radial" | "tangential", dash: "solid" | "dashed") => ({
        name,
        type: "line" as const,
        showSymbol: false,
        data: across.map((one) => [one.at / size, one[of]]),
        lineStyle: { type: dash, width: 2, color: of === "radial" ? accent : ink },
        itemStyle: { color: of === "radial" ? accent : ink },
      });
      return {
        grid: { left: 44, right: 16, top: 34, bottom: 42 },
        legend: { top: 0, textStyle: { color: ink } },
        tooltip: { trigger: "axis", valueFormatter: (value: unknown) => Number(value).toFixed(2) },
        xAxis: {
          type: "value",
          name: `${unit} from the panel’s left side`,
          nameLocation: "middle",
          nameGap: 26,
          min: 0,
          max: shot.frame.width / size,
          axisLine: { lineStyle: { color: pencil } },
          splitLine: { show: false },
        },
        yAxis: {
          type: "value",
          min: 1,
          axisLine: { show: true, lineStyle: { color: pencil } },
          splitLine: { lineStyle: { color: hair } },
        },
        series: [
          {
            ...series("outward", "radial", "solid"),
            markLine: {
              silent: true,
              symbol: "none",
              lineStyle: { color: pencil, type: "dotted" },
              label: { formatter: "1.2: balls look like eggs", position: "insideMiddleTop", color: pencil },
              data: [{ yAxis: ROUND }],
            },
          },
          series("across", "tangential", "dashed"),
        ],
      };
    },
    [shot, system],
  );
  const holder = useChart(make);
  return (
    <>
      <div ref={holder} role="img" aria-label={`Stretch across the panel. ${told}`} className="h-64 w-full" />
      <p className="mt-2 text-pencil">{told} The middle of the picture is 1.</p>
    </>
  );
}
