import { LineChart } from "echarts/charts";
import { GridComponent, LegendComponent, MarkLineComponent, TooltipComponent } from "echarts/components";
import { init, use as register, type EChartsCoreOption } from "echarts/core";
import { CanvasRenderer } from "echarts/renderers";
import { useEffect, useRef } from "react";

register([LineChart, GridComponent, LegendComponent, TooltipComponent, MarkLineComponent, CanvasRenderer]);

/** The colours of the page, for what is drawn on a chart. */
export interface ChartColours {
  readonly ink: string;
  readonly pencil: string;
  readonly hair: string;
  readonly accent: string;
}

/** A chart of lines in an element of the page. @param make what it shows; the same function until that changes */
export function useChart(make: (colours: ChartColours) => EChartsCoreOption) {
  const holder = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const element = holder.current;
    if (!element) return undefined;
    const style = getComputedStyle(element);
    const colour = (name: string) => style.getPropertyValue(name).trim();
    const colours = {
      ink: colour("--ink"),
      pencil: colour("--pencil"),
      hair: colour("--hair"),
      accent: colour("--accent"),
    };
    const chart = init(element, null, { renderer: "canvas" });
    chart.setOption({
      animation: false,
      textStyle: { fontFamily: style.fontFamily, color: colours.pencil },
      ...make(colours),
    });
    return () => chart.dispose();
  }, [make]);
  return holder;
}
