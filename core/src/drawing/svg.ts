import { middle } from "../geometry";
import type { Curves } from "../shot";
import { cubicsOf, curveCount } from "./bezier";
import { layerGroups, ringCount, type Areas, type Drawing, type Layer, type LayerGroup, type Photo } from "./layer";

const ESCAPES: Readonly<Record<string, string>> = { "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;" };
/** Text that is safe in XML: markup escaped, control characters left out. */
const xml = (text: string): string =>
  text.replace(/[\p{Cc}\p{Cs}\ufffe\uffff]/gu, "").replace(/[&<>"]/g, (c) => ESCAPES[c]);

/** The attributes by which vector editors show a group as a layer; others take them for none of theirs. */
const EDITOR_LAYERS = "http://www.inkscape.org/namespaces/inkscape";

const editorLayer = (label: string): string => `inkscape:groupmode="layer" inkscape:label="${xml(label)}"`;

/** A length in mm to the thousandth. */
const mm = (value: number): string => String(Number(value.toFixed(3)));

function path(lines: Float64Array): string {
  const parts: string[] = [];
  for (let i = 0; i < lines.length; i += 4) {
    parts.push(`M${mm(lines[i])} ${mm(lines[i + 1])}L${mm(lines[i + 2])} ${mm(lines[i + 3])}`);
  }
  return parts.join("");
}

/** A curve as cubics. */
function curvePath(curves: Curves, i: number): string {
  const { from, parts } = cubicsOf(curves, i);
  return `M${mm(from[0])} ${mm(from[1])}${parts.map((part) => `C${part.map(mm).join(" ")}`).join("")}`;
}

/** Filled areas, each ring closed. */
function areaPath(areas: Areas): string {
  const { xy, starts } = areas;
  const ring = (i: number) => {
    const corners = [];
    for (let k = starts[i]; k < starts[i + 1]; k++) corners.push(`${mm(xy[2 * k])} ${mm(xy[2 * k + 1])}`);
    return `M${corners.join("L")}Z`;
  };
  return Array.from({ length: ringCount(areas) }, (_, i) => ring(i)).join("");
}

function filled({ style, areas }: Layer): string[] {
  if (!areas) return [];
  const faint = style.opacity < 1 ? ` fill-opacity="${Number(style.opacity.toFixed(3))}"` : "";
  return [
    `<path d="${areaPath(areas)}" fill="${style.fill ?? style.stroke}"${faint} fill-rule="evenodd" stroke="none"/>`,
  ];
}

const stroked = ({ lines, curves }: Layer): string =>
  path(lines) + (curves ? Array.from({ length: curveCount(curves) }, (_, i) => curvePath(curves, i)).join("") : "");

function group(layer: Layer, weight: number): string {
  const { id, label, style } = layer;
  const dash = style.dash.length ? ` stroke-dasharray="${style.dash.map(mm).join(" ")}"` : "";
  const faint = style.opacity < 1 ? ` stroke-opacity="${Number(style.opacity.toFixed(3))}"` : "";
  const strokes = stroked(layer);
  return [
    `<g id="${xml(id)}" ${editorLayer(label)} fill="none" stroke="${style.stroke}" ` +
      `stroke-width="${mm(style.width * weight)}"${dash}${faint} stroke-linecap="round">`,
    `<title>${xml(label)}</title>`,
    ...filled(layer),
    ...(strokes ? [`<path d="${strokes}"/>`] : []),
    "</g>",
  ].join("\n");
}

/** Layers of one group in one of their own; a layer by itself stands alone. */
function groupOf({ name, layers }: LayerGroup, place: number, weight: number): string {
  const inner = layers.map((layer) => group(layer, weight));
  if (layers[0].group === undefined) return inner.join("\n");
  return [`<g id="part-${place + 1}" ${editorLayer(name)}>`, `<title>${xml(name)}</title>`, ...inner, "</g>"].join(
    "\n",
  );
}

/** A picture under the drawing, cut at its panel. */
function photo({ name, at, turn, clip, opacity }: Photo, href: string, id: string): string {
  const [cx, cy] = middle(at);
  const turned = turn === 0 ? "" : `transform="rotate(${Number(turn.toFixed(4))} ${mm(cx)} ${mm(cy)})" `;
  return [
    `<g ${editorLayer(name)} clip-path="url(#${id})">`,
    `<clipPath id="${id}"><rect x="${mm(clip.x)}" y="${mm(clip.y)}" width="${mm(clip.width)}" ` +
      `height="${mm(clip.height)}"/></clipPath>`,
    `<image x="${mm(at.x)}" y="${mm(at.y)}" width="${mm(at.width)}" height="${mm(at.height)}" ` +
      `preserveAspectRatio="none" opacity="${Number(opacity.toFixed(3))}" ${turned}` +
      `href="${xml(href)}"/>`,
    "</g>",
  ].join("\n");
}

/**
 * A drawing as an SVG document in true millimetres, one named group per layer.
 * @param weight makes all lines heavier, for a drawing that will be shown small
 * @param hrefs addresses of the pictures under the drawing, by what they are called; one that has none is left out
 */
export function toSvg(
  { title, width, height, layers, photos = [] }: Drawing,
  weight = 1,
  hrefs: ReadonlyMap<string, string> = new Map(),
): string {
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" xmlns:inkscape="${EDITOR_LAYERS}" width="${mm(width)}mm" ` +
      `height="${mm(height)}mm" viewBox="0 0 ${mm(width)} ${mm(height)}">`,
    `<title>${xml(title)}</title>`,
    ...photos.flatMap((one, i) => {
      const href = hrefs.get(one.picture);
      return href === undefined ? [] : [photo(one, href, `photo-${i + 1}`)];
    }),
    ...layerGroups(layers).map((one, i) => groupOf(one, i, weight)),
    "</svg>",
    "",
  ].join("\n");
}
