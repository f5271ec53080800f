import { BadInput } from "../problem";

// What every host of JavaScript has (WHATWG Encoding), and no library of its language tells of.
declare const TextEncoder: new () => { readonly encode: (text: string) => Uint8Array };
declare const TextDecoder: new (
  label: string,
  options: { readonly fatal: boolean },
) => { readonly decode: (bytes: Uint8Array) => string };

const encoder = new TextEncoder();
const decoder = new TextDecoder("utf-8", { fatal: true });

/** Text as bytes in UTF-8. */
export const toUtf8 = (text: string): Uint8Array => encoder.encode(text);

/** Bytes in UTF-8 as text. @throws BadInput where they are not UTF-8 */
export function readUtf8(bytes: Uint8Array): string {
  try {
    return decoder.decode(bytes);
  } catch {
    throw new BadInput([{ path: "", message: "This is not text in UTF-8." }]);
  }
}
