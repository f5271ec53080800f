import { lazily } from "../../ui";

// Fetched when a six-point system is set up.
export const SixPoints = lazily(async () => (await import("./SixPoints")).SixPoints);
export const SixLayers = lazily(async () => (await import("./SixPoints")).SixLayers);

/** Fetches what six points are set up with, so that the first move of the hand is seen. */
export const preloadSix = async (): Promise<void> =>
  void (await Promise.all([SixPoints.preload(), SixLayers.preload()]));
