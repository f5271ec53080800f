import { useCallback } from "react";
import { STYLES, weightAt } from "@zanvo/core/drawing";
import type { Depth } from "@zanvo/core/scene";
import { useStores } from "../../stores";
import { useChart, type ChartColours } from "../useChart";

/** So many distances are marked on the curve. */
const PLACES = 60;

interface DepthChartProps {
  readonly depth: Depth;
  /** The pen of outlines, mm. */
  readonly pen?: number;
}

/** How wide, and how strong, outlines are at each distance from the eye, as a chart. */
export default function DepthChart({ depth, pen = STYLES.outline.width }: DepthChartProps) {
  const { useUnits } = useStores();
  const system = useUnits((units) => units.system);
  const make = useCallback(
    ({ ink, pencil, hair, accent }: ChartColours) => {
      const [unit, size] = system === "metric" ? ["m", 1] : ["ft", 0.3048];
      const [from, to] = [depth.near / 3, Math.max(depth.far, depth.near) * 3];
      const places = Array.from({ length: PLACES + 1 }, (_, i) => from * (to / from) ** (i / PLACES));
      const axis = { axisLine: { show: true, lineStyle: { color: pencil } } };
      const line = (name: string, yAxisIndex: number, color: string, of: (at: number) => number) => ({
        name,
        type: "line" as const,
        yAxisIndex,
        showSymbol: false,
        data: places.map((at) => [at / size, of(at)]),
        lineStyle: { width: 2, color, type: yAxisIndex ? ("dashed" as const) : ("solid" as const) },
        itemStyle: { color },
      });
      return {
        grid: { left: 34, right: 34, top: 28, bottom: 36 },
        legend: { top: 0, textStyle: { color: ink }, itemWidth: 18 },
        tooltip: { trigger: "axis", valueFormatter: (value: unknown) => Number(value).toFixed(2) },
        xAxis: {
          ...axis,
          type: "log",
          min: from / size,
          max: to / size,
          name: `${unit} from the eye`,
          nameLocation: "middle",
          nameGap: 20,
          axisLabel: { formatter: (value: number) => String(Number(value.toPrecision(2))), hideOverlap: true },
          splitLine: { show: false },
        },
        yAxis: [
          {
            ...axis,
            type: "value",
            min: 0,
            max: Number((pen * 1.2).toFixed(1)),
            splitLine: { lineStyle: { color: hair } },
          },
          { ...axis, type: "value", min: 0, max: 1.2, splitLine: { show: false } },
        ],
        series: [
          line("mm wide", 0, accent, (at) => pen * weightAt(depth, at).width),
          line("strength", 1, ink, (at) => weightAt(depth, at).strength),
        ],
      };
    },
    [depth, pen, system],
  );
  const holder = useChart(make);
  const [near, far] = [depth.near, depth.far].map((at) => `${(pen * weightAt(depth, at).width).toFixed(2)} mm`);
  return (
    <div
      ref={holder}
      role="img"
      aria-label={`Width of outlines by distance: ${near} near, ${far} far away.`}
      className="h-40 w-full"
    />
  );
}
