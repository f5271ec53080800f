import { isBuilding, type Building, type Element } from "@zanvo/core/world";
import { useMemo } from "react";
import { useBoard } from "../useBoard";

/** The wall that is fitted out: what it is of, and its side; `building` is null where it is none yet. */
export interface Wall {
  readonly element: Element;
  readonly building: Building | null;
  readonly side: number;
}

/** The wall that is fitted out, as long as it stands. */
export function useWall(): Wall | null {
  const { useFittings, useDocument } = useBoard();
  const wall = useFittings((fittings) => fittings.wall);
  const element = useDocument(({ scene }) => (wall ? scene.elements.find(({ id }) => id === wall.id) : undefined));
  return useMemo(
    () => (wall && element ? { element, building: isBuilding(element) ? element : null, side: wall.side } : null),
    [wall, element],
  );
}
