/** Units that a measure can be typed in, each in metres or, for angles, in degrees. */
const LENGTHS: Readonly<Record<string, number>> = {
  mm: 0.001,
  cm: 0.01,
  m: 1,
  in: 0.0254,
  inch: 0.0254,
  inches: 0.0254,
  '"': 0.0254,
  "″": 0.0254,
  "”": 0.0254,
  ft: 0.3048,
  foot: 0.3048,
  feet: 0.3048,
  "'": 0.3048,
  "′": 0.3048,
  "’": 0.3048,
};
const ANGLES: Readonly<Record<string, number>> = { "°": 1, deg: 1, degrees: 1 };

/** The unit a field shows its measure in; nothing for a bare number. */
export type Unit = "mm" | "m" | "in" | "ft" | "°" | "dpi" | "";

const PART = /^\s*(\d+\s+\d+\/\d+|\d+\/\d+|\d*[.,]?\d+|\d+[.,])\s*(°|[a-z]+|["'″′”’])?/i;

/** A whole number, a decimal with point or comma, or a fraction with or without a whole before it. */
function amount(text: string): number {
  return text
    .trim()
    .split(/\s+/)
    .reduce((sum, part) => {
      const [over, under = "1"] = part.replace(",", ".").split("/");
      return sum + Number(over) / Number(under);
    }, 0);
}

/**
 * A measure as people write it, in the unit of its field: "312", "12 5/16 in", "5' 7\"", "35mm", "1,6 m", "-40".
 * Without a unit it is in the field's own.
 * @throws Error with a sentence when it is no such measure
 */
export function readMeasure(text: string, unit: Unit): number {
  const units: Readonly<Record<string, number>> =
    unit === "°" ? ANGLES : unit === "dpi" ? { dpi: 1 } : unit === "" ? { "": 1 } : LENGTHS;
  const own = units[unit];
  const kind =
    unit === "°"
      ? "an angle in degrees"
      : unit === "dpi"
        ? "a number of dpi"
        : unit === ""
          ? "a number"
          : `a length in ${unit}`;
  const [, sign, body] = /^\s*([-−+]?)(.*)$/s.exec(text) ?? [];
  let [rest, total, parts] = [body.trim(), 0, 0];
  while (rest) {
    const [whole = "", number, name] = PART.exec(rest) ?? [];
    const factor = name === undefined ? own : units[name.toLowerCase()];
    const value = number === undefined ? NaN : amount(number);
    // Only the last part may go without its unit, and only when it is the only one.
    if (factor === undefined || !Number.isFinite(value) || (name === undefined && parts > 0)) break;
    total += (value * factor) / own;
    rest = rest.slice(whole.length).trim();
    parts++;
    if (name === undefined) break;
  }
  if (rest || parts === 0) throw new Error(`“${text.trim()}” is not ${kind}.`);
  return sign === "-" || sign === "−" ? -total : total;
}
