import { create } from "zustand";

/** How often each picture was brought in during this visit: one that was missing is to be fetched again then. */
const useArrivals = create<Readonly<Record<string, number>>>(() => ({}));

export const tellArrival = (picture: string): void =>
  useArrivals.setState((now) => ({ [picture]: (now[picture] ?? 0) + 1 }));
export const useArrival = (picture = ""): number => useArrivals((arrivals) => arrivals[picture] ?? 0);
