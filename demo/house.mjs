/** A building on the plan from its south-west corner, m. */
export const house = (id, name, [x, y], [wide, deep], height, roof, more = {}) => ({
  id,
  kind: "building",
  name,
  footprint: [
    { x, y },
    { x: x + wide, y },
    { x: x + wide, y: y + deep },
    { x, y: y + deep },
  ],
  base: 0,
  height,
  roof,
  ...more,
});
