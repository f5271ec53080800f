// Sheets that the demo is drawn on.

export const a3 = { sheet: { width: 420, height: 297, paper: "A3" }, frame: { x: 15, y: 15, width: 390, height: 267 } };

/** The grids of the main points, by their strengths. */
export const bundles = (left, right, upright) => [
  { pin: "main-left", spacing: 14, strength: left },
  { pin: "main-right", spacing: 14, strength: right },
  { pin: "upright", spacing: 14, strength: upright },
];
