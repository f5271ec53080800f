import { PRINT_PAPERS } from "@zanvo/core/print";
import { RECIPES } from "@zanvo/core/recipes";
import { FORMATS, SHEET_FORMATS } from "@zanvo/files";

const recipes = RECIPES.map(({ id }) => id).join("|");
const papers = Object.keys(PRINT_PAPERS).join("|");
const ids = FORMATS.map(({ id }) => id).join("|");
const masses = FORMATS.filter((format) => format.of === "masses");
const massesLabels = masses.map(({ label }) => label).join(" or ");
const drawings = SHEET_FORMATS.map(({ id }) => id.toUpperCase());
const drawingLabels = `${drawings.slice(0, -1).join(", ")} and ${drawings.at(-1)}`;

/** What the command line says of itself. */
export const HELP = `zanvo: perspective from a shell. FILE may be - for standard input.

  zanvo pins SCENE [--shot ID]                     horizon, centre of vision, distance and pins
  zanvo project SCENE --points FILE [--shot ID]    world points [[x,y,z], ...] in m as sheet points in mm
  zanvo solve PINS                                 the view behind two or three vanishing points
  zanvo recover LINES                              vanishing points and view behind edges traced in a picture
  zanvo detect PHOTO                               edges found in a photo, their families, and the view behind them
  zanvo check SCENE [--shot ID]                    findings, the most serious first
  zanvo export SCENE --format ${ids} --out FILE [--shot ID] [--dpi N] [--without KIND,...]
                                                   [--page] [--photo FILE] [--strict] [--transparent] [--panel]
                                                   [--mirrored] [--blue] [--all] [--by kind|depth|thing|panel]
                                                   [--ink colour|grey|black] [--size WIDTHxHEIGHT]
                                                   a shot, or with --page all panels of its page (or all
                                                   masses, as ${massesLabels}); OBJ with
                                                   --tolerance MM: how far its facets leave round faces;
                                                   with --photo the picture that lies under it;
                                                   --strict: exit 1 where one is missing;
                                                   a PNG without paper under its lines, or cropped to the panel;
                                                   mirrored or in pale blue, to be transferred to another paper;
                                                   --all: every shot, or with --page every page, in one ZIP;
                                                   --by: what its layers are told apart by; dots in colours,
                                                   greys or black alone, or just so many of them
  zanvo export SCENE --blank --format zip --out FILE [--shot ID] [--paper NAME] [--dpi N]
                                                   blank curved grids to trace, on the shot's sheet or a paper,
                                                   each as ${drawingLabels}
  zanvo divide JOB                                 a drawn quadrilateral divided and repeated, towards its points:
                                                   { "quad": [[x,y] x 4], "columns": N or "2 4 2 4 x3",
                                                   "rows": N, "repeat": { "before": N, "after": N } }
  zanvo ellipse JOB                                the circle in the picture of a square, as an ellipse:
                                                   { "quad": [[x,y] x 4] }, and how it is drawn by hand
  zanvo shadow SCENE --points FILE [--light ID] [--shot ID]
                                                   where the shadows of world points [[x,y,z], ...] in m fall: on
                                                   the first thing, or the ground, that their ray meets
  zanvo recipe SCENE --thing ${recipes} [--of ID] [--shot ID] [--out FILE.pdf]
                                                   how a construction is drawn by hand, step by step, as text or
                                                   as small pictures; of an element or an own line, by its id
  zanvo slip SCENE [--out FILE.pdf] [--shot ID] [--every MM] [--page]
                                                   the set-up sheet of a shot or of its whole page, as text or PDF;
                                                   edge ticks every so many mm
  zanvo print SCENE --out FILE.pdf [--shot ID] [--paper ${papers}] [--overlap MM] [--margin MM]
                                                   [--tiles NAME,...] [--of desk|grid|finder] [--times N] [--width MM]
                                                   the desk at true size on many sheets, or on those that are named;
                                                   or the enlargement grid so many times as large as the panel; or a
                                                   view finder with a window so wide
  zanvo backup [--data FILE] [--out FILE]          a copy of the shelf's database, also while Zanvo runs
  zanvo restore BACKUP [--data FILE]               puts a backup in its place; what stood there is set aside

Exit: 0 done, 1 understood but without an answer, 2 wrong input or call.
`;
