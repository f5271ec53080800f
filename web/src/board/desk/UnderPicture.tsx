import { useCallback, useEffect, useState } from "react";
import { middle, radians } from "@zanvo/core/geometry";
import type { Reference, Shot } from "@zanvo/core/scene";
import { referencePath } from "../../api";
import { bringAgain } from "../../references/bring";
import { usePainter } from "../../canvas";
import { Button } from "../../ui";
import { ORDER } from "./order";
import { useStores } from "../../stores";

interface Under {
  readonly reference: Reference | undefined;
  /** The picture, once it is there. */
  readonly image: HTMLImageElement | null;
  /** It is not on this machine. */
  readonly missing: boolean;
}

/** The picture that lies under a shot's drawing. */
export function useUnderPicture(sceneId: string, { under }: Shot): Under {
  const { useDocument, useArrival } = useStores();
  const reference = useDocument((document) => document.scene.references?.find(({ id }) => id === under?.reference));
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

/** The picture under a drawing, cut at the panel, or at the sheet. */
export function UnderPicture({
  image,
  shot: { under, frame, sheet },
}: {
  readonly image: HTMLImageElement | null;
  readonly shot: Shot;
}) {
  usePainter(
    ORDER.picture,
    useCallback(
      (context) => {
        if (!under || !image || under.strength === 0) return;
        context.beginPath();
        if (under.wholeSheet) context.rect(0, 0, sheet.width, sheet.height);
        else context.rect(frame.x, frame.y, frame.width, frame.height);
        context.clip();
        context.globalAlpha = under.strength;
        const { at, turn = 0 } = under;
        const [cx, cy] = middle(at);
        context.translate(cx, cy);
        context.rotate(radians(turn));
        context.drawImage(image, -at.width / 2, -at.height / 2, at.width, at.height);
      },
      [image, under, frame, sheet],
    ),
  );
  return null;
}

/** Says that the picture under the drawing is not on this machine. */
export function MissingPicture({ sceneId, reference }: { readonly sceneId: string; readonly reference: Reference }) {
  const stores = useStores();
  return (
    <div
      role="alert"
      className="flex items-center gap-2 rounded border border-hair bg-slip px-2 py-1"
      onPointerDown={(event) => event.stopPropagation()}
    >
      <span>The photo “{reference.name}” is not on this machine.</span>
      <Button onClick={() => void bringAgain(stores, sceneId, reference)}>Bring it in again</Button>
    </div>
  );
}
