import { FORMAT, VERSION } from "../format";
import { pageOf, type Scene, type Shot } from "../scene";

/**
 * What a shot lays out on the desk, without the photo under it and lines drawn on it, and with the other side only
 * where that goes along.
 */
function setUpOnly({ backOf, ...all }: Shot, page: readonly Shot[]): Shot {
  const shot: Shot = { ...all, under: undefined, lines: undefined, construction: undefined };
  return page.some(({ id }) => id === backOf) ? { ...shot, backOf } : shot;
}

/**
 * The desk of a shot as a template: all panels of its page with their views, grids and papers, and the directions they
 * are laid out for and the tools that they are drawn with, but nothing that stands in the scene.
 */
export function templateOf(scene: Scene, shot: Shot, title: string): Scene {
  const page = pageOf(scene, shot);
  return {
    format: FORMAT,
    version: VERSION,
    title,
    template: true,
    orientations: scene.orientations,
    elements: [],
    shots: page.map((one) => setUpOnly(one, page)),
    ...(scene.tools ? { tools: scene.tools } : {}),
  };
}

/** Whether nothing has been built or traced in a scene yet, so that another desk can be taken for it. */
export const isFresh = ({ elements, references }: Pick<Scene, "elements" | "references">): boolean =>
  elements.length === 0 && !references?.length;

/** What a scene takes over from a template; its own title and place stay. */
export const deskOf = ({ orientations, shots, tools }: Scene): Pick<Scene, "orientations" | "shots" | "tools"> => ({
  orientations,
  shots,
  ...(tools ? { tools } : {}),
});
