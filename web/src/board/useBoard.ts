import { createContext, useContext } from "react";
import type { Stores } from "../stores";
import type { createDesk } from "./desk/createDesk";
import type { createDraw } from "./draw/createDraw";
import type { createFittings } from "./fittings/createFittings";

/** What the board works with: the stores of its window, its desk, what is drawn by hand, and what is fitted out. */
export type Board = Stores &
  ReturnType<typeof createDesk> &
  ReturnType<typeof createDraw> &
  ReturnType<typeof createFittings>;

const Current = createContext<Board | null>(null);

/** Gives the components in it their board. */
export const BoardProvider = Current.Provider;

/** The board that a component stands on. */
export function useBoard(): Board {
  const board = useContext(Current);
  if (!board) throw new Error("There is no board around this component.");
  return board;
}
