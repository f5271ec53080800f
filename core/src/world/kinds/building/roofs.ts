/** Every roof: what it is called, and whether it needs a rectangle, or corners that all bend outwards. */
export const ROOFS = {
  flat: { name: "Flat", needs: null },
  shed: { name: "Shed", needs: "rectangle" },
  gable: { name: "Gable", needs: "rectangle" },
  hip: { name: "Hip", needs: "rectangle" },
  pyramid: { name: "Pyramid", needs: "convex" },
  mansard: { name: "Mansard", needs: null },
  "saw-tooth": { name: "Saw-tooth", needs: "rectangle" },
  barrel: { name: "Barrel", needs: "rectangle" },
  dome: { name: "Dome", needs: "convex" },
  cone: { name: "Cone", needs: "convex" },
  spire: { name: "Spire", needs: "convex" },
} as const;
export type RoofKind = keyof typeof ROOFS;
