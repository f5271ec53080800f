/**
 * Every roof: what it is called, whether it needs a rectangle, corners that all bend outwards, or few corners, and
 * whether it has a ridge or valleys that may run either way over a rectangle.
 */
export const ROOFS = {
  flat: { name: "Flat", needs: null, ridged: false, sloped: false },
  shed: { name: "Shed", needs: "rectangle", ridged: true, sloped: true },
  gable: { name: "Gable", needs: "corners", ridged: true, sloped: true },
  hip: { name: "Hip", needs: "corners", ridged: true, sloped: true },
  pyramid: { name: "Pyramid", needs: "convex", ridged: false, sloped: true },
  mansard: { name: "Mansard", needs: null, ridged: false, sloped: true },
  "saw-tooth": { name: "Saw-tooth", needs: "rectangle", ridged: true, sloped: true },
  barrel: { name: "Barrel", needs: "rectangle", ridged: true, sloped: false },
  dome: { name: "Dome", needs: "convex", ridged: false, sloped: false },
  cone: { name: "Cone", needs: "convex", ridged: false, sloped: false },
  spire: { name: "Spire", needs: "convex", ridged: false, sloped: true },
} as const;
export type RoofKind = keyof typeof ROOFS;

/** What slopes of roofs are laid with: pieces so wide, in courses so high, m; every second one moved on by a half. */
export const COVERS = {
  // EN 1304 (from memory): plain tiles of 265 x 165 mm, laid double.
  tiles: { label: "Plain tiles", wide: 0.165, gauge: 0.1 },
  // Common practice.
  pantiles: { label: "Pantiles", wide: 0.22, gauge: 0.32 },
  slates: { label: "Slates", wide: 0.25, gauge: 0.2 },
  sheet: { label: "Sheets with standing seams", wide: 0.5, gauge: Infinity },
} as const;
export type CoverId = keyof typeof COVERS;
