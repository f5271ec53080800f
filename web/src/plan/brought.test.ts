import { fromGeoJson, toGeoJson } from "@zanvo/core/exchange";
import { newScene } from "@zanvo/core/scene";
import { DEFAULT_ROW, fillRow, kindOf, rowBoundaries, type Row } from "@zanvo/core/world";
import { takenIn } from "./brought";

const row: Row = {
  ...DEFAULT_ROW,
  id: "r",
  name: "Ferry row",
  from: { x: 0, y: 0 },
  to: { x: 40, y: 0 },
  seed: 3,
  front: { depth: 2, of: "railing" },
};
const houses = fillRow(row, [], (n) => `h${n}`);
const scene = { ...newScene("Row"), rows: [row], elements: [...houses, ...rowBoundaries(row, houses, (n) => `w${n}`)] };
const found = fromGeoJson(toGeoJson(scene), undefined, (n) => `new ${n}`);
const rowsOf = (elements: readonly Parameters<typeof kindOf>[0][]) =>
  new Set(elements.map((one) => kindOf(one).row?.(one)));

it("a scene takes the rule of a row with what it laid", () => {
  const { elements, rows } = takenIn(newScene("Empty"), found, 1000);
  expect(rows).toEqual([row]);
  expect(rowsOf(elements)).toEqual(new Set(["r"]));
});

it("brought in again, the same things are no longer the rule's, which lays its own; no more are taken than fit", () => {
  const { elements, rows } = takenIn(scene, found, 3);
  expect(rows).toEqual([]);
  expect(elements).toHaveLength(3);
  expect(rowsOf(elements)).toEqual(new Set([undefined]));
});
