import { zipSync } from "fflate";

/** Files by their names in one ZIP, packed quickly. */
export const zipOf = (files: Readonly<Record<string, Uint8Array>>): Uint8Array => zipSync(files, { level: 1 });
