/** How the parts of a rhythm fill the length that they are laid along. */
export const FITS = ["stretch", "cut", "centre"] as const;
export type Fit = (typeof FITS)[number];
