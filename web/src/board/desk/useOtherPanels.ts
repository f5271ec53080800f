import { useMemo } from "react";
import { panelsOver, type Ring } from "@zanvo/core/drawing";
import { pageOf, type Shot } from "@zanvo/core/scene";
import { useBoard } from "../useBoard";

/** The other panels of the page that lies on the desk. */
export function useOtherPanels(): readonly Shot[] {
  const { useDocument, useShot } = useBoard();
  const scene = useDocument((document) => document.scene);
  const shot = useShot();
  return useMemo(() => pageOf(scene, shot).filter(({ id }) => id !== shot.id), [scene, shot]);
}

/** What lies over a panel on its page: the same list for as long as no panel changes. */
export function useOver(shot: Shot): readonly Ring[] {
  const { useDocument } = useBoard();
  const shots = useDocument((document) => document.scene.shots);
  return useMemo(() => panelsOver({ shots }, shot), [shots, shot]);
}

/** Whether two panels are the two discs of one world. */
export const backToBack = (a: Shot, b: Shot): boolean => a.backOf === b.id || b.backOf === a.id;

/** Whether the disc behind the current one, or the one before it, lies on the desk. */
export function useBothDiscs(): boolean {
  const { useShot } = useBoard();
  const shot = useShot();
  return useOtherPanels().some((other) => backToBack(shot, other));
}
