import { useSyncExternalStore } from "react";

/** Whether the window is so now, followed as it changes. */
function useMedia(query: string): boolean {
  const media = matchMedia(query);
  return useSyncExternalStore(
    (tell) => {
      media.addEventListener("change", tell);
      return () => media.removeEventListener("change", tell);
    },
    () => media.matches,
  );
}

/** Whether the window is too narrow for a column beside the desk, or too low for a strip of shots under it. */
export const useNarrow = (): boolean => useMedia("(max-width: 1099px)");
export const useLow = (): boolean => useMedia("(max-height: 559px)");
