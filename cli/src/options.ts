/** The options of every command, as the shell reads them. */
export const OPTIONS = {
  shot: { type: "string" },
  points: { type: "string" },
  light: { type: "string" },
  format: { type: "string" },
  out: { type: "string" },
  dpi: { type: "string" },
  tolerance: { type: "string" },
  without: { type: "string" },
  by: { type: "string" },
  ink: { type: "string" },
  size: { type: "string" },
  paper: { type: "string" },
  overlap: { type: "string" },
  margin: { type: "string" },
  tiles: { type: "string" },
  times: { type: "string" },
  width: { type: "string" },
  every: { type: "string" },
  thing: { type: "string" },
  of: { type: "string" },
  photo: { type: "string" },
  data: { type: "string" },
  page: { type: "boolean" },
  all: { type: "boolean" },
  transparent: { type: "boolean" },
  panel: { type: "boolean" },
  mirrored: { type: "boolean" },
  blue: { type: "boolean" },
  blank: { type: "boolean" },
  strict: { type: "boolean" },
  help: { type: "boolean", short: "h" },
} as const;

/** The options that take no value, but for help. */
export type Switch = "page" | "all" | "transparent" | "panel" | "mirrored" | "blue" | "blank" | "strict";
/** The options that take a value. */
export type Valued = Exclude<keyof typeof OPTIONS, Switch | "help">;
