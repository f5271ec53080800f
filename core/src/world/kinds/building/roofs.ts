/**
 * Every roof: what it is called, whether it needs a rectangle, corners that all bend outwards, or few corners, and
 * whether it has a ridge or valleys that may run either way over a rectangle.
 */
export const ROOFS = {
  flat: { name: "Flat", needs: null, ridged: false },
  shed: { name: "Shed", needs: "rectangle", ridged: true },
  gable: { name: "Gable", needs: "corners", ridged: true },
  hip: { name: "Hip", needs: "corners", ridged: true },
  pyramid: { name: "Pyramid", needs: "convex", ridged: false },
  mansard: { name: "Mansard", needs: null, ridged: false },
  "saw-tooth": { name: "Saw-tooth", needs: "rectangle", ridged: true },
  barrel: { name: "Barrel", needs: "rectangle", ridged: true },
  dome: { name: "Dome", needs: "convex", ridged: false },
  cone: { name: "Cone", needs: "convex", ridged: false },
  spire: { name: "Spire", needs: "convex", ridged: false },
} as const;
export type RoofKind = keyof typeof ROOFS;
