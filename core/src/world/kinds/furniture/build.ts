import type { Vec2 } from "../../../geometry";
import type { Detail } from "../../details";
import { loft, ring } from "../../shapes";
import type { Solid } from "../../solid";
import { blockCorner } from "../block";
import { boxOfFurniture, RISES } from "./measures";
import type { Furniture, FurnitureThing } from "./schema";

/** A part of a thing: from where to where, m from its left back corner, and over its foot. */
interface Part {
  readonly across: Vec2;
  readonly deep: Vec2;
  readonly up: Vec2;
}

/** How thick legs, tops, backs and frames are, as parts of what they are on: a thing keeps its look at any size. */
const [LEG, TOP, BACK, FRAME] = [0.1, 0.07, 0.08, 0.1] as const;
/** The boards and sides of a shelf: so thick as a part of its width, and so far apart as another. */
const [BOARD, SHELVES] = [0.035, 0.36] as const;
/** A counter's front stands so far behind its top, and the bedstead so high under a bed, as parts of their size. */
const [TOE, STEAD] = [0.08, 0.5] as const;

type Sizes = Pick<Furniture, "width" | "depth" | "height">;

/** Four legs under a top, in from its corners. */
function legs({ width, depth }: Sizes, top: number): Part[] {
  const thick = LEG * Math.min(width, depth);
  return [0, width - thick].flatMap((s) =>
    [0, depth - thick].map((d): Part => ({ across: [s, s + thick], deep: [d, d + thick], up: [0, top] })),
  );
}

const slab = ({ width, depth }: Sizes, up: Vec2): Part => ({ across: [0, width], deep: [0, depth], up });

/** A top on what carries it. */
const boarded = (sizes: Sizes, carried: (top: number) => readonly Part[]): Part[] => {
  const top = (1 - TOP) * sizes.height;
  return [...carried(top), slab(sizes, [top, sizes.height])];
};

/** A board at the back of a thing, from a height up. */
const back = ({ width, depth }: Sizes, up: Vec2): Part => ({
  across: [0, width],
  deep: [0, BACK * depth],
  up,
});

/** What each thing is put together of. */
const PARTS: Readonly<Record<FurnitureThing, (sizes: Sizes) => readonly Part[]>> = {
  chair: (sizes) => [
    ...boarded(sizes, (top) => legs(sizes, top)),
    back(sizes, [sizes.height, (1 + RISES.chair) * sizes.height]),
  ],
  table: (sizes) => boarded(sizes, (top) => legs(sizes, top)),
  counter: (sizes) =>
    boarded(sizes, (top) => [{ across: [0, sizes.width], deep: [0, (1 - TOE) * sizes.depth], up: [0, top] }]),
  bed: (sizes) => {
    const low = STEAD * sizes.height;
    return [
      ...legs(sizes, low),
      slab(sizes, [low, sizes.height]),
      back(sizes, [sizes.height, (1 + RISES.bed) * sizes.height]),
    ];
  },
  shelf: (sizes) => {
    const { width, depth, height } = sizes;
    const thick = BOARD * Math.min(width, height);
    const rows = Math.max(1, Math.round(height / (SHELVES * width)));
    const boards = Array.from({ length: rows + 1 }, (_, i): Part => {
      const low = (i / rows) * (height - thick);
      return { across: [thick, width - thick], deep: [0, depth], up: [low, low + thick] };
    });
    const sides = [0, width - thick].map((s): Part => ({ across: [s, s + thick], deep: [0, depth], up: [0, height] }));
    return [...sides, ...boards];
  },
  bench: (sizes) =>
    boarded(sizes, (top) => {
      const thick = LEG * sizes.depth;
      return [sizes.width / 10, (9 * sizes.width) / 10 - thick].map((s): Part => ({
        across: [s, s + thick],
        deep: [0, sizes.depth],
        up: [0, top],
      }));
    }),
  carpet: (sizes) => [slab(sizes, [0, sizes.height])],
  picture: (sizes) => [slab(sizes, [0, sizes.height])],
};

/** The solids of a thing: a box for each part of it. */
export function buildFurniture(furniture: Furniture): Solid[] {
  const box = boxOfFurniture(furniture);
  const { width, depth } = furniture;
  return PARTS[furniture.thing](furniture).map(({ across, deep, up }) => {
    // Seen from above, to the right of who faces along the heading lies what follows clockwise.
    const corners = [
      [deep[0], across[0]],
      [deep[0], across[1]],
      [deep[1], across[1]],
      [deep[1], across[0]],
    ].map(([d, s]): Vec2 => {
      const [x, y] = blockCorner(box, d / depth, s / width);
      return [x, y];
    });
    const [low, high] = up.map((z) => furniture.at.z + z);
    return loft(furniture.id, [ring(corners, low), ring(corners, high)], null);
  });
}

/** Pictures have a frame around them. */
export function furnitureDetails(furniture: Furniture, [solid]: readonly Solid[]): Detail[] {
  const { thing, width, height } = furniture;
  const rim = FRAME * Math.min(width, height);
  if (thing !== "picture" || !solid) return [];
  const box = boxOfFurniture(furniture);
  const at = (s: number, up: number) => {
    const [x, y] = blockCorner(box, 1, s / width);
    return [x, y, furniture.at.z + up] as const;
  };
  const face = solid.faces.findIndex(({ normal: [x, y] }) => {
    const [p, q] = [blockCorner(box, 0, 0), blockCorner(box, 1, 0)];
    return (q[0] - p[0]) * x + (q[1] - p[1]) * y > 0.999 * Math.hypot(q[0] - p[0], q[1] - p[1]);
  });
  const corners = [at(rim, rim), at(width - rim, rim), at(width - rim, height - rim), at(rim, height - rim)];
  const item = { index: 0 };
  return face < 0
    ? []
    : corners.map((a, i) => ({ kind: "dressing" as const, a, b: corners[(i + 1) % 4], on: { solid, face }, item }));
}
