/** What a scene document says of itself. */
export const FORMAT = "zanvo-scene";
export const VERSION = 1;
