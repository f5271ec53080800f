import "konva/lib/shapes/Image";
import { useEffect, useState } from "react";
import { Group, Image } from "react-konva/lib/ReactKonvaCore";
import type { Reference, Shot } from "@zanvo/core/scene";
import { referencePath } from "../../api";
import { useArrival } from "../../references/arrivals";
import { bringAgain } from "../../references/bring";
import { Button } from "../../ui";
import { useBoard } from "../board";

interface Under {
  readonly reference: Reference | undefined;
  /** The picture, once it is there. */
  readonly image: HTMLImageElement | null;
  /** It is not on this machine. */
  readonly missing: boolean;
}

/** The picture that lies under a shot's drawing. */
export function useUnderPicture(sceneId: string, { under }: Shot): Under {
  const reference = useBoard((board) => board.scene.references?.find(({ id }) => id === under?.reference));
  const picture = reference?.picture;
  const arrival = useArrival(picture);
  const [loaded, setLoaded] = useState<{ readonly picture: string; readonly image: HTMLImageElement | null } | null>(
    null,
  );
  useEffect(() => {
    if (!picture) return undefined;
    const next = new window.Image();
    next.onload = () => setLoaded({ picture, image: next });
    next.onerror = () => setLoaded({ picture, image: null });
    next.src = referencePath(sceneId, picture);
    return () => {
      next.onload = next.onerror = null;
    };
  }, [sceneId, picture, arrival]);
  const known = loaded?.picture === picture ? loaded : null;
  return {
    reference,
    image: known?.image ?? null,
    missing: known !== null && known.image === null && (under?.strength ?? 0) > 0,
  };
}

/** The picture under a drawing, cut at the panel. */
export function UnderPicture({
  image,
  shot: { under, frame },
}: {
  readonly image: HTMLImageElement | null;
  readonly shot: Shot;
}) {
  if (!under || !image || under.strength === 0) return null;
  return (
    <Group clipX={frame.x} clipY={frame.y} clipWidth={frame.width} clipHeight={frame.height} listening={false}>
      <Image
        image={image}
        x={under.at.x}
        y={under.at.y}
        width={under.at.width}
        height={under.at.height}
        opacity={under.strength}
        listening={false}
      />
    </Group>
  );
}

/** Says that the picture under the drawing is not on this machine. */
export function MissingPicture({ sceneId, reference }: { readonly sceneId: string; readonly reference: Reference }) {
  return (
    <div
      role="alert"
      className="flex items-center gap-2 rounded border border-hair bg-slip px-2 py-1"
      onPointerDown={(event) => event.stopPropagation()}
    >
      <span>The photo “{reference.name}” is not on this machine.</span>
      <Button onClick={() => void bringAgain(sceneId, reference)}>Bring it in again</Button>
    </div>
  );
}
