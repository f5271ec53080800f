import { readFileSync } from "node:fs";
import { CROWD, moved, newPlant, newVehicle, rolledCrowd, type Element } from "@zanvo/core/world";
import { looking } from "./looked";
import { row } from "./timing";

/** Over the middle of the demo's quarter, from a roof. */
const EYE = [0, -30, 12] as const;

/** What the demo's quarter has, with a thousand people, five hundred trees and a hundred cars in it. */
function inhabited(): readonly Element[] {
  const { elements } = JSON.parse(readFileSync("demo/5-the-whole-quarter.zanvo.json", "utf8")) as {
    elements: Element[];
  };
  const crowds = Array.from({ length: 10 }, (_, i): Element => {
    const [x, y] = [60 * ((i % 5) - 2), 30 + 70 * Math.floor(i / 5)];
    const footprint = [
      { x: x - 25, y: y - 25 },
      { x: x + 25, y: y - 25 },
      { x: x + 25, y: y + 25 },
      { x: x - 25, y: y + 25 },
    ];
    const rule = { ...CROWD, number: 100, heading: 0, seed: i, people: [] };
    return rolledCrowd({ id: `crowd-${i}`, name: `Crowd ${i}`, kind: "crowd", footprint, ...rule }, elements);
  });
  const rowOf = (i: number, far: number) => [
    { x: -150 + 30 * i, y: 10 },
    { x: -150 + 30 * i, y: 10 + far },
  ];
  const trees = Array.from({ length: 10 }, (_, i): Element => ({
    ...newPlant("round", rowOf(i, 8 * 49), 100 * i),
    ...{ id: `trees-${i}`, name: `Trees ${i}` },
  }));
  const cars = Array.from({ length: 10 }, (_, i): Element => ({
    ...newVehicle(
      "car",
      rowOf(i, 5.5 * 9).map(({ x, y }) => ({ x: x + 8, y })),
    ),
    ...{ id: `cars-${i}`, name: `Cars ${i}` },
  }));
  return [...elements, ...crowds, ...trees, ...cars];
}

/** An inhabited quarter as an eye sees it: from nothing, and after a row of trees was moved. */
export function inhabitedQuarter(): void {
  const look = looking(EYE);
  const all = inhabited();
  const people = all.reduce((sum, one) => sum + (one.kind === "crowd" ? one.people.length : 0), 0);
  const [first, stretches] = look(all);
  const [again] = look(all.map((one) => (one.id === "trees-4" ? moved(one, 0.3, 0) : one)));
  row(
    `${people.toLocaleString("en")} people, 500 trees and 100 cars, ${stretches.toLocaleString("en")} stretches`,
    `${first.toFixed(0)} ms from nothing, ${again.toFixed(0)} ms after 50 trees moved`,
    "2,000 ms",
  );
}
