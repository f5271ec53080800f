import { moved, newColumns, newTurned, type Element } from "@zanvo/core/world";
import { looking } from "./looked";
import { row } from "./timing";

const EYE = [3, -40, 1.6] as const;

/** Ten colonnades of twenty Corinthian columns, one behind the other, and two rows of ten domes beyond them. */
const square = (): Element[] => [
  ...Array.from({ length: 10 }, (_, i): Element => {
    const columns = newColumns("corinthian", { x: 0, y: 6 * i, z: 0 }, 180);
    return { id: `c${i}`, name: `Colonnade ${i}`, ...columns, height: 6 + i / 2, count: 20 };
  }),
  ...Array.from({ length: 20 }, (_, i): Element => {
    const at = { x: 14 * ((i % 10) - 4.5), y: 80 + 16 * Math.floor(i / 10), z: 0 };
    return { id: `d${i}`, name: `Dome ${i}`, ...newTurned("dome", at) };
  }),
];

/** Columns with capitals and domes as an eye sees them: from nothing, and after a dome was moved. */
export function roundThings(): void {
  const look = looking(EYE);
  const all = square();
  const [first, stretches] = look(all);
  const [again] = look(all.map((one, i) => (i === all.length - 1 ? moved(one, 0.3, 0) : one)));
  row(
    `200 columns with capitals and 20 domes, ${stretches.toLocaleString("en")} stretches`,
    `${first.toFixed(0)} ms from nothing, ${again.toFixed(0)} ms after a dome moved`,
    "1,000 ms; a frame, 17 ms",
  );
}
