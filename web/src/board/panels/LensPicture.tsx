import { compose, contextOf } from "@zanvo/core/drawing";
import { LAWS, type LawId } from "@zanvo/core/lens";
import { newScene, type Shot } from "@zanvo/core/scene";
import { withCovered } from "@zanvo/core/shot";
import { NOTHING_VISIBLE } from "@zanvo/core/visibility";
import { pathOf } from "../../path";

const SIZE = { width: 56, height: 44 };

/** A corner of streets, looked down on a little, through a lens: as much of it as the lens is used for. */
function picture(law: LawId): readonly string[] {
  const {
    orientations,
    shots: [base],
  } = newScene("");
  const { straight, shape, limit } = LAWS[law];
  const angle = shape !== "round" ? 240 : Math.min(180, (360 * limit) / Math.PI);
  const shot: Shot = {
    ...base,
    sheet: SIZE,
    frame: { x: 0, y: 0, ...SIZE },
    gaze: { heading: -10, pitch: shape === "round" ? -24 : 0, roll: 0 },
    lens: { law, distance: 30, centre: { x: SIZE.width / 2, y: SIZE.height / 2 }, within: straight ? undefined : 180 },
    room: { gap: 1.6, clear: 2.5 },
    bundles: ["main-left", "main-right", "upright"].map((pin) => ({ pin, spacing: straight ? 9 : 12, strength: 1 })),
  };
  const seen = straight ? shot : withCovered(shot, angle);
  const only = ["bundles", "horizon", ...(shape === "round" && !straight ? ["frame"] : [])];
  return compose(contextOf({ orientations }, seen, NOTHING_VISIBLE), { only }).map(pathOf);
}

const pictures = new Map<LawId, readonly string[]>();

/** What a lens does to a grid of streets and uprights, in small. */
export function LensPicture({ law }: { readonly law: LawId }) {
  const paths = pictures.get(law) ?? picture(law);
  pictures.set(law, paths);
  return (
    <svg viewBox={`0 0 ${SIZE.width} ${SIZE.height}`} aria-hidden className="w-full text-ink">
      {paths.map((path, i) => (
        <path
          key={i}
          d={path}
          fill="none"
          stroke="currentColor"
          strokeWidth={i < 3 ? 0.5 : 1.1}
          strokeOpacity={i < 3 ? 0.75 : 1}
        />
      ))}
    </svg>
  );
}
