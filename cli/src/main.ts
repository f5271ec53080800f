import { parseArgs } from "node:util";
import { BadInput, NoAnswer } from "@zanvo/core/problem";
import { check } from "./check";
import { detectIn } from "./detect";
import { exportScene } from "./export";
import type { Call } from "./io";
import { pins } from "./pins";
import { print } from "./print";
import { project } from "./project";
import { recover } from "./recover";
import { slip } from "./slip";
import { solve } from "./solve";

/** What a command does with its call; what it returns is printed as JSON, unless it is nothing. */
type Command = (call: Call) => Promise<unknown>;

const COMMANDS: Readonly<Record<string, Command>> = { pins, project, solve, recover, detect: detectIn, check, export: exportScene, slip, print };

const HELP = `zanvo: perspective from a shell. FILE may be - for standard input.

  zanvo pins SCENE [--shot ID]                     horizon, centre of vision, distance and pins
  zanvo project SCENE --points FILE [--shot ID]    world points [[x,y,z], ...] in m as sheet points in mm
  zanvo solve PINS                                 the view behind two or three vanishing points
  zanvo recover LINES                              vanishing points and view behind edges traced in a picture
  zanvo detect PHOTO                               edges found in a photo, their families, and the view behind them
  zanvo check SCENE [--shot ID]                    findings, the most serious first
  zanvo export SCENE --format svg|png|pdf|obj|geojson --out FILE [--shot ID] [--dpi N] [--without KIND,...] [--page] [--photo FILE]
                                                   a shot (or all masses, as OBJ or GeoJSON), or with --page all panels of its page,
                                                   and with --photo the picture that lies under it
  zanvo export SCENE --blank --format zip --out FILE [--shot ID] [--paper NAME] [--dpi N]
                                                   blank curved grids to trace, on the shot's sheet or a paper,
                                                   each as SVG, PDF and PNG
  zanvo slip SCENE [--out FILE.pdf] [--shot ID] [--every MM]    the set-up sheet, as text or PDF; edge ticks every so many mm
  zanvo print SCENE --out FILE.pdf [--shot ID] [--paper A4|A3|Letter] [--overlap MM] [--margin MM]
                                                   the desk at true size on many sheets

Exit: 0 done, 1 understood but without an answer, 2 wrong input or call.
`;

const OPTIONS = {
  shot: { type: "string" }, points: { type: "string" }, format: { type: "string" }, out: { type: "string" },
  dpi: { type: "string" }, without: { type: "string" }, paper: { type: "string" }, overlap: { type: "string" }, margin: { type: "string" }, every: { type: "string" }, photo: { type: "string" }, page: { type: "boolean" }, blank: { type: "boolean" }, help: { type: "boolean", short: "h" },
} as const;

/** Runs one call of the command line. @returns the exit code */
export async function main(args: readonly string[], io: Call["io"]): Promise<0 | 1 | 2> {
  try {
    const { values, positionals } = parseArgs({ args: [...args], options: OPTIONS, allowPositionals: true });
    const [name, file, ...rest] = positionals;
    if (values.help) {
      io.out(HELP);
      return 0;
    }
    const command = Object.hasOwn(COMMANDS, name ?? "") ? COMMANDS[name] : undefined;
    if (!command || !file || rest.length) {
      io.err(`${command ? "This call takes one file." : name ? `There is no command "${name}".` : "Say what to do."}\n\n${HELP}`);
      return 2;
    }
    const answer = await command({ io, file, options: values });
    if (answer !== undefined) io.out(`${JSON.stringify(answer, null, 2)}\n`);
    return 0;
  } catch (error) {
    io.err(`${(error as Error).message}\n`);
    if (error instanceof NoAnswer) return 1;
    if (error instanceof BadInput || String((error as NodeJS.ErrnoException).code).startsWith("ERR_PARSE_ARGS")) return 2;
    throw error;
  }
}
