import "konva/lib/shapes/Image";
import { useEffect, useState } from "react";
import { Group, Image } from "react-konva/lib/ReactKonvaCore";
import type { Shot } from "@zanvo/core/scene";
import { referencePath } from "../../api";
import { useBoard } from "../board";

/** The picture that lies under a drawing, cut at the panel. */
export function UnderPicture({ sceneId, shot: { under, frame } }: { readonly sceneId: string; readonly shot: Shot }) {
  const picture = useBoard((board) => board.scene.references?.find(({ id }) => id === under?.reference)?.picture);
  const [loaded, setLoaded] = useState<{ readonly picture: string; readonly image: HTMLImageElement } | null>(null);
  useEffect(() => {
    if (!picture) return undefined;
    const next = new window.Image();
    next.onload = () => setLoaded({ picture, image: next });
    next.src = referencePath(sceneId, picture);
    return () => {
      next.onload = null;
    };
  }, [sceneId, picture]);
  if (!under || !loaded || loaded.picture !== picture || under.strength === 0) return null;
  return (
    <Group clipX={frame.x} clipY={frame.y} clipWidth={frame.width} clipHeight={frame.height} listening={false}>
      <Image image={loaded.image} x={under.at.x} y={under.at.y} width={under.at.width} height={under.at.height} opacity={under.strength} listening={false} />
    </Group>
  );
}
