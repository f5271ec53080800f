import alfaSlab from "@fontsource/alfa-slab-one/files/alfa-slab-one-latin-400-normal.woff2?url";
import lobster from "@fontsource/lobster/files/lobster-latin-400-normal.woff2?url";
import oswald from "@fontsource/oswald/files/oswald-latin-600-normal.woff2?url";
import oswaldCyrillic from "@fontsource/oswald/files/oswald-cyrillic-600-normal.woff2?url";
import oswaldMore from "@fontsource/oswald/files/oswald-latin-ext-600-normal.woff2?url";
import playfair from "@fontsource/playfair-display/files/playfair-display-latin-700-normal.woff2?url";
import playfairMore from "@fontsource/playfair-display/files/playfair-display-latin-ext-700-normal.woff2?url";
import rubik from "@fontsource/rubik/files/rubik-latin-600-normal.woff2?url";
import rubikArabic from "@fontsource/rubik/files/rubik-arabic-600-normal.woff2?url";
import rubikCyrillic from "@fontsource/rubik/files/rubik-cyrillic-600-normal.woff2?url";
import rubikHebrew from "@fontsource/rubik/files/rubik-hebrew-600-normal.woff2?url";
import rubikMore from "@fontsource/rubik/files/rubik-latin-ext-600-normal.woff2?url";

/** What characters of other scripts, and accents, are taken from where a typeface has none. */
const ELSEWHERE = [rubik, rubikMore, rubikCyrillic, rubikHebrew, rubikArabic];

/** The typefaces that signs are set in, each with its files in the order in which they are asked for a character. */
export const TYPEFACES: Readonly<Record<string, readonly string[]>> = {
  "Oswald, narrow": [oswald, oswaldMore, oswaldCyrillic, ...ELSEWHERE],
  "Rubik, plain": ELSEWHERE,
  "Alfa Slab": [alfaSlab, ...ELSEWHERE],
  "Playfair, with serifs": [playfair, playfairMore, ...ELSEWHERE],
  "Lobster, a script": [lobster, ...ELSEWHERE],
};

export const FIRST_TYPEFACE = "Oswald, narrow";
