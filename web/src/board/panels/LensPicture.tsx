import { LAWS, type LawId } from "@zanvo/core/lens";
import type { Shot } from "@zanvo/core/scene";
import { withCovered } from "@zanvo/core/shot";
import { linesOf, SMALL_SHOT, ShotPicture } from "./ShotPicture";

/** A corner of streets, looked down on a little, through a lens: as much of it as the lens is used for. */
function picture(law: LawId): ReturnType<typeof linesOf> {
  const { straight, shape, limit } = LAWS[law];
  const angle = shape !== "round" ? 240 : Math.min(180, (360 * limit) / Math.PI);
  const shot: Shot = {
    ...SMALL_SHOT,
    gaze: { heading: -10, pitch: shape === "round" ? -24 : 0, roll: 0 },
    lens: { ...SMALL_SHOT.lens, law, within: straight ? undefined : 180 },
    bundles: ["main-left", "main-right", "upright"].map((pin) => ({ pin, spacing: straight ? 9 : 12, strength: 1 })),
  };
  const seen = straight ? shot : withCovered(shot, angle);
  const only = ["bundles", "horizon", ...(shape === "round" && !straight ? ["frame"] : [])];
  return linesOf(seen, only, (id) => !id.startsWith("grid-"));
}

const pictures = new Map<LawId, ReturnType<typeof linesOf>>();

/** What a lens does to a grid of streets and uprights, in small. */
export function LensPicture({ law }: { readonly law: LawId }) {
  const lines = pictures.get(law) ?? picture(law);
  pictures.set(law, lines);
  return <ShotPicture lines={lines} />;
}
