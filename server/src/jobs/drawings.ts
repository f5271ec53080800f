import { readScene } from "@zanvo/core/document";
import { drawPage, drawShot, LAYER_KINDS, tellMissing, toSvg, transferred, type Transfer } from "@zanvo/core/drawing";
import { fileName, shotOf } from "@zanvo/core/scene";
import type { System } from "@zanvo/core/units";
import { formatOf, type Content, type HowWritten } from "@zanvo/files";
import { recipePdf, slipPdf } from "@zanvo/pdf";
import { givenIn, recipeOf } from "@zanvo/core/recipes";
import { jpegOf } from "@zanvo/raster";
import { readFile } from "node:fs/promises";
import sharp from "sharp";
import { answer } from "./answer";

// The script of the threads in which drawings are made: files to save, set-up sheets, and the shelf's small pictures.

/** A file that was asked for of a scene. */
export interface ExportOrder {
  /** The scene's document. */
  readonly text: string;
  readonly shot?: string;
  readonly format: string;
  readonly dpi: number;
  readonly transparent: boolean;
  readonly toPanel: boolean;
  readonly page: boolean;
  /** How it is made ready to be transferred. */
  readonly transfer: Transfer;
  /** How far flat faces may leave round ones, mm. */
  readonly tolerance?: number;
  readonly without?: readonly string[];
  readonly how: HowWritten;
  /** Where the pictures are that may lie under the drawing, by name; null for what is not on this machine. */
  readonly pictures: Readonly<Record<string, string | null>>;
}

export interface Exported {
  readonly content: Content;
  /** What the file could be called, without its ending. */
  readonly name: string;
  /** References whose picture should lie under the drawing, but is not on this machine. */
  readonly missing: readonly string[];
}

async function toFile({
  text,
  shot,
  format,
  page,
  tolerance,
  without,
  pictures,
  transfer,
  how: { by, ...dotted },
  ...dots
}: ExportOrder): Promise<Exported> {
  const scene = readScene(text);
  const wanted = formatOf(format, "format");
  if (wanted.of === "masses") {
    shotOf(scene, shot);
    return { content: await wanted.write(scene, { tolerance }), name: fileName(scene.title), missing: [] };
  }
  const drawing = transferred((page ? drawPage : drawShot)(scene, shot, without, by), transfer);
  const jpegs = new Map<string, Buffer>();
  for (const { picture } of drawing.photos ?? []) {
    const path = pictures[picture];
    if (path) jpegs.set(picture, await jpegOf(await readFile(path)));
  }
  const { drawing: told, missing } = tellMissing(drawing, jpegs);
  return { content: await wanted.write(told, { ...dots, ...dotted, jpegs }), name: fileName(drawing.title), missing };
}

export const exported = (order: ExportOrder) => answer(() => toFile(order));

/** A set-up sheet that is asked for: of a shot, or of all panels of its page. */
export interface SlipOrder {
  readonly text: string;
  readonly shot: string;
  readonly every: number;
  readonly units: System;
  readonly page: boolean;
  /** The construction that is shown after it, and the element or line that it is of. */
  readonly recipe?: string;
  readonly of?: string;
}

export const slip = ({ text, shot, every, units, page, recipe, of }: SlipOrder) =>
  answer(() => {
    const scene = readScene(text);
    const shown = recipe === undefined ? [] : [{ recipe: recipeOf(recipe), given: givenIn(scene, shot, of) }];
    return slipPdf(scene, shotOf(scene, shot), every, units, page, shown);
  });

/** A construction that is asked for as small pictures. */
export interface RecipeOrder {
  readonly text: string;
  readonly recipe: string;
  readonly shot?: string;
  readonly of?: string;
  readonly units: System;
}

export const recipe = ({ text, recipe: id, shot, of, units }: RecipeOrder) =>
  answer(() => recipePdf(recipeOf(id), givenIn(readScene(text), shot, of), units));

/** The size of a card's picture on the shelf, px: twice what it takes there, for fine screens. */
const CARD = { width: 528, height: 352 };
/** Kinds of layers that a small picture is better without. */
const TOO_FINE = ["hidden", ...LAYER_KINDS.filter(({ construction }) => construction).map(({ id }) => id)];

/** What else leads the eye where nothing stands yet. */
const OF_EMPTY = ["bundles", "squares", "horizon"];

/** The first page of a scene as a small picture, in heavy lines. */
export const thumbnail = (text: string) =>
  answer(() => {
    const scene = readScene(text);
    const without = scene.elements.length ? TOO_FINE : TOO_FINE.filter((id) => !OF_EMPTY.includes(id));
    const svg = toSvg(drawPage(scene, undefined, without), scene.elements.length ? 2.5 : 1.6);
    return sharp(Buffer.from(svg), { limitInputPixels: false, unlimited: true })
      .resize({ ...CARD, fit: "inside" })
      .flatten({ background: "#fbf9f3" })
      .webp({ quality: 82 })
      .toBuffer();
  });
