import { create } from "zustand";

/** How often each picture was brought in during a visit: one that was missing is to be fetched again then. */
export function createArrivals() {
  const useArrivals = create<Readonly<Record<string, number>>>(() => ({}));
  return {
    tellArrival: (picture: string): void => useArrivals.setState((now) => ({ [picture]: (now[picture] ?? 0) + 1 })),
    useArrival: (picture = ""): number => useArrivals((arrivals) => arrivals[picture] ?? 0),
  };
}
