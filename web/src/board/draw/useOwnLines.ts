import type { OwnLine } from "@zanvo/core/lines";
import { useMemo } from "react";
import { linesOf } from "../../document/lines";
import { useBoard } from "../useBoard";

/** The own lines that are chosen in the shot that is drawn. */
export function useChosenLines(): readonly OwnLine[] {
  const { useDocument, useShot, useDraw } = useBoard();
  const world = useDocument(({ scene }) => scene.lines);
  const shot = useShot();
  const chosen = useDraw((draw) => draw.chosen);
  return useMemo(() => linesOf({ lines: world }, shot).filter(({ id }) => chosen.includes(id)), [world, shot, chosen]);
}
