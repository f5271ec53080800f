/** What a scene document says of itself. */
export const FORMAT = "zanvo-scene";
export const VERSION = 1;

/** How many elements a scene holds. */
export const MAX_ELEMENTS = 20_000;
