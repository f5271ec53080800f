import { compose, contextOf } from "@zanvo/core/drawing";
import { newScene, type Orientation, type Shot } from "@zanvo/core/scene";
import { NOTHING_VISIBLE } from "@zanvo/core/visibility";
import { pathOf } from "../../path";

export const PICTURE_SIZE = { width: 56, height: 44 };
const { orientations, shots } = newScene("");
/** The directions that small pictures are drawn of. */
export const PICTURED: Orientation = orientations[0];

/** A shot on a sheet as small as a picture, as one sees an empty scene. */
export const SMALL_SHOT: Shot = {
  ...shots[0],
  sheet: PICTURE_SIZE,
  frame: { x: 0, y: 0, ...PICTURE_SIZE },
  lens: { law: "rectilinear", distance: 30, centre: { x: PICTURE_SIZE.width / 2, y: PICTURE_SIZE.height / 2 } },
  room: { gap: 1.6, clear: 2.5 },
};

/** One line of a picture, and whether it leads the eye. */
interface Line {
  readonly path: string;
  readonly strong: boolean;
}

/** The lines of a shot. @param only the kinds of layer that are drawn @param strong those that lead the eye */
export const linesOf = (
  shot: Shot,
  only: readonly string[],
  strong: (id: string) => boolean,
  visible = NOTHING_VISIBLE,
): readonly Line[] =>
  compose(contextOf({ orientations: [PICTURED] }, shot, visible), { only }).map((layer) => ({
    path: pathOf(layer),
    strong: strong(layer.id),
  }));

/** A small picture of lines. */
export function ShotPicture({ lines }: { readonly lines: readonly Line[] }) {
  return (
    <svg
      viewBox={`0 0 ${PICTURE_SIZE.width} ${PICTURE_SIZE.height}`}
      aria-hidden
      className="w-full overflow-hidden text-ink"
    >
      {lines.map(({ path, strong }, i) => (
        <path
          key={i}
          d={path}
          fill="none"
          stroke="currentColor"
          strokeWidth={strong ? 1.1 : 0.5}
          strokeOpacity={strong ? 1 : 0.75}
        />
      ))}
    </svg>
  );
}
