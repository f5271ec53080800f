import { createContext, useContext } from "react";
import type { Stores } from "./createStores";

const Current = createContext<Stores | null>(null);

/** Gives the components in it the stores of their window. */
export const StoresProvider = Current.Provider;

/** The stores of the window that a component stands in. */
export function useStores(): Stores {
  const stores = useContext(Current);
  if (!stores) throw new Error("There are no stores around this component.");
  return stores;
}
