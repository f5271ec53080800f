export { MAX_FONT, readFont, type Typeface } from "./font";
export { MAX_TEXT, typeset, type Typeset } from "./typeset";
