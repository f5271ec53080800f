/** What lengths are read in: millimetres and metres, or inches on paper and feet in the world. */
export type System = "metric" | "imperial";

const INCH = 25.4;
const FOOT = 0.3048;
/** The finest division of an inch that a ruler has: a 32nd, 0.8 mm. */
const PARTS = 32;

const plain = (parts: number, of: number): [number, number] =>
  parts % 2 === 0 && of > 1 ? plain(parts / 2, of / 2) : [parts, of];

/** A number of inches as a ruler has it: whole ones and a reduced fraction, to the nearest 32nd. */
function ruled(inches: number): string {
  const all = Math.round(Math.abs(inches) * PARTS);
  const [whole, rest] = [Math.floor(all / PARTS), all % PARTS];
  const [over, under] = plain(rest, PARTS);
  const size = rest === 0 ? String(whole) : whole ? `${whole} ${over}/${under}` : `${over}/${under}`;
  return inches < 0 && all > 0 ? `-${size}` : size;
}

/** A length in mm in inches, without its unit. */
export const inInches = (mm: number): string => ruled(mm / INCH);

/** A length in m in feet and inches, to the nearest quarter of an inch: 5' 7 1/4". */
export function inFeet(metres: number): string {
  const quarters = Math.round((Math.abs(metres) / FOOT) * 48);
  const [feet, inches] = [Math.floor(quarters / 48), (quarters % 48) / 4];
  return `${metres < 0 && quarters > 0 ? "-" : ""}${feet}'${inches ? ` ${ruled(inches)}"` : ""}`;
}
