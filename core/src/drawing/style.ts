import type { Pin } from "../vanishing";

/** How a kind of line is drawn: lengths in mm on paper. */
export interface Style {
  readonly stroke: string;
  /** What areas are filled with; the colour of the lines where it is not said. */
  readonly fill?: string;
  readonly width: number;
  readonly dash: readonly number[];
  /** 0 to 1. */
  readonly opacity: number;
}

const GRAPHITE = "#2b2a27";

/**
 * How a set of parallels is told apart: hue, dash and pin head at once, so that it reads in print and for every eye.
 */
export interface SetStyle {
  readonly stroke: string;
  readonly dash: readonly number[];
  readonly head: "round" | "square" | "diamond" | "ring" | "bar" | "hexagon" | "triangle";
}

const UPRIGHT: SetStyle = { stroke: "#77487b", dash: [1.4, 1.4], head: "triangle" };
const LEVEL: readonly SetStyle[] = [
  { stroke: "#a8741a", dash: [], head: "round" },
  { stroke: "#1d7571", dash: [5, 1.4], head: "square" },
  { stroke: "#8c3f57", dash: [8, 1.4, 1.4, 1.4], head: "diamond" },
  { stroke: "#465a86", dash: [2.6, 1.4], head: "ring" },
  { stroke: "#6a6a1e", dash: [10, 2], head: "bar" },
  { stroke: "#54616a", dash: [5, 1.2, 1.2, 1.2, 1.2, 1.2], head: "hexagon" },
];

/** The look of a pin's set; the level ones come round again after six. */
export const setStyle = ({ set }: Pick<Pin, "set">): SetStyle => (set === null ? UPRIGHT : LEVEL[set % LEVEL.length]);

/** The outline of a pin's head about the origin, as an SVG path of radius r. */
export function headPath(head: SetStyle["head"], r: number): string {
  const disc = (q: number) => `M${-q} 0a${q} ${q} 0 1 0 ${2 * q} 0a${q} ${q} 0 1 0 ${-2 * q} 0Z`;
  const corners = (n: number, turn: number) =>
    Array.from({ length: n }, (_, i) =>
      [r * Math.cos(turn + (2 * Math.PI * i) / n), r * Math.sin(turn + (2 * Math.PI * i) / n)]
        .map((v) => v.toFixed(3))
        .join(" "),
    );
  const polygon = (n: number, turn: number) => `M${corners(n, turn).join("L")}Z`;
  const paths: Readonly<Record<SetStyle["head"], string>> = {
    round: disc(r),
    ring: `${disc(r)}${disc(r / 2)}`,
    square: polygon(4, Math.PI / 4),
    diamond: polygon(4, 0),
    bar: `M${-r} ${-r / 2}h${2 * r}v${r}h${-2 * r}Z`,
    hexagon: polygon(6, 0),
    triangle: polygon(3, -Math.PI / 2),
  };
  return paths[head];
}

export const STYLES = {
  live: { stroke: "#7d8f98", width: 0.18, dash: [3, 2], opacity: 1 },
  bundle: { stroke: GRAPHITE, width: 0.13, dash: [], opacity: 1 },
  /** Floors, and what tells ceilings and the two ways of walls from them. */
  ceiling: { stroke: "#7a5f86", width: 0.13, dash: [], opacity: 1 },
  leftWall: { stroke: "#86653f", width: 0.13, dash: [], opacity: 1 },
  rightWall: { stroke: "#3f6a86", width: 0.13, dash: [], opacity: 1 },
  measured: { stroke: "#5b6b57", width: 0.13, dash: [], opacity: 1 },
  heavy: { stroke: "#5b6b57", width: 0.4, dash: [], opacity: 1 },
  numbers: { stroke: "#3f4d3c", width: 0.2, dash: [], opacity: 1 },
  compass: { stroke: "#b93a17", width: 0.25, dash: [], opacity: 1 },
  feet: { stroke: "#b93a17", width: 0.15, dash: [4, 1.2], opacity: 1 },
  aids: { stroke: GRAPHITE, width: 0.15, dash: [], opacity: 1 },
  cone: { stroke: "#8a5a2b", width: 0.2, dash: [6, 1.5, 1.2, 1.5], opacity: 1 },
  horizon: { stroke: "#46616f", width: 0.25, dash: [], opacity: 1 },
  hidden: { stroke: GRAPHITE, width: 0.15, dash: [1, 0.9], opacity: 1 },
  detail: { stroke: GRAPHITE, width: 0.18, dash: [], opacity: 1 },
  crease: { stroke: GRAPHITE, width: 0.3, dash: [], opacity: 1 },
  meeting: { stroke: GRAPHITE, width: 0.4, dash: [], opacity: 1 },
  outline: { stroke: GRAPHITE, width: 0.5, dash: [], opacity: 1 },
  sky: { stroke: GRAPHITE, fill: "#d5e2ea", width: 0.13, dash: [], opacity: 1 },
  face: { stroke: GRAPHITE, width: 0.13, dash: [], opacity: 1 },
  shadow: { stroke: GRAPHITE, fill: GRAPHITE, width: 0.13, dash: [], opacity: 0.3 },
  tone: { stroke: GRAPHITE, width: 0.13, dash: [], opacity: 1 },
  enlarging: { stroke: "#5f7d95", width: 0.13, dash: [], opacity: 1 },
  pricks: { stroke: "#b93a17", width: 0.18, dash: [], opacity: 1 },
  own: { stroke: GRAPHITE, width: 0.35, dash: [], opacity: 1 },
  balloon: { stroke: GRAPHITE, width: 0.35, dash: [], opacity: 1 },
  page: { stroke: GRAPHITE, width: 0.2, dash: [], opacity: 1 },
  frame: { stroke: GRAPHITE, width: 0.6, dash: [], opacity: 1 },
} as const satisfies Record<string, Style>;
