import { rowEnds } from "@zanvo/core/construct";
import { beside, kitsOfRow } from "@zanvo/core/kits";
import { sentence, shortMetres } from "@zanvo/core/units";
import { ToldError } from "@zanvo/core/problem";
import type { Vec2 } from "@zanvo/core/geometry";
import type { Scene } from "@zanvo/core/scene";
import {
  DEFAULT_ROW,
  fillRow,
  isBuilding,
  kindOf,
  rowBoundaries,
  validateRow,
  whyInvalid,
  type Building,
  type Element,
  type Row,
} from "@zanvo/core/world";
import { newId } from "../id";
import { newSeed } from "../seed";
import { freeName } from "../document";
import { sayWhatIsUnder } from "./under";
import type { Stores } from "../stores";

const houseOf =
  (row: string) =>
  (element: Element): element is Building =>
    isBuilding(element) && element.row === row;

/** The row that an element was laid in by rule, and the element as a house of it. */
export function rowOf(element: Element, rows: readonly Row[] = []): { row: Row; house: Building } | null {
  const row = isBuilding(element) && rows.find(({ id }) => id === element.row);
  return row ? { row, house: element } : null;
}

/** Builds a row anew: what is kept of it stays, the rest is laid by its rule, from the kits of the scene. */
function rebuild(row: Row, { elements, kits }: Pick<Scene, "elements" | "kits">): Scene["elements"] {
  const own = elements.filter(houseOf(row.id));
  const kept = own.filter((house) => house.kept);
  const gone = new Set(own.filter((house) => !house.kept).flatMap(({ kit }) => kit?.instance ?? []));
  const houses = fillRow(row, kept, newId, kitsOfRow(row, kits));
  const stays = (element: Element) =>
    (kindOf(element).row?.(element) !== row.id || kept.some(({ id }) => id === element.id)) &&
    !(element.kit && gone.has(element.kit.instance));
  // A house of a kit brings its own yard, or none.
  const walled = [...kept, ...houses].filter(({ kit }) => !kit);
  const around = rowBoundaries(row, walled, newId);
  return [...elements.filter(stays), ...houses, ...beside(houses, kits, newId), ...around];
}

const point = ([x, y]: Vec2) => ({ x, y });

/** What is built up by rule: a street side from one place to another, away from its street, or a lot around its rim. */
export type Ruled = "row" | "lot";

/** A row by the rule that is usual, not yet laid. @param places the ends of a street side, or the corners of a lot */
export function newRow(stores: Stores, ruled: Ruled, places: readonly Vec2[], seed: number): Row {
  const { scene } = stores.useDocument.getState();
  const base = { ...DEFAULT_ROW, id: newId(), seed };
  const name = (word: string) => freeName(word, scene.rows ?? []);
  if (ruled === "lot")
    return { ...base, name: name("Lot"), lot: places.map(point), towers: { storeys: 1, roof: "pyramid" } };
  const [from, to] = rowEnds(scene.elements, places[0], places[1]);
  return { ...base, name: name("Row"), from: point(from), to: point(to) };
}

/** The houses that a row would be laid as: none where it cannot be. */
export const housesOf = (row: Row): readonly Building[] =>
  validateRow(row) ? [] : fillRow(row, [], (at) => `${row.id} ${at}`);

/** Lays a row by rule, and chooses its first house. */
export function addRow(stores: Stores, row: Row): void {
  const { scene } = stores.useDocument.getState();
  const invalid = validateRow(row);
  if (invalid) return stores.say(whyInvalid(invalid));
  const elements = rebuild(row, scene);
  const first = elements[scene.elements.length];
  if (!first)
    return stores.say(sentence`Draw it longer: the narrowest house is ${shortMetres(DEFAULT_ROW.fronts.least)} wide.`);
  stores.edit((next) => {
    next.rows = [...(next.rows ?? []), row];
    next.elements = elements;
  });
  stores.choose([first.id]);
  sayWhatIsUnder(stores, elements.slice(scene.elements.length), scene.elements);
}

/** Changes a row's rule, and builds it anew. */
export function changeRow(stores: Stores, id: string, change: Partial<Row>): void {
  stores.edit((scene) => {
    const at = scene.rows?.findIndex((one) => one.id === id) ?? -1;
    if (!scene.rows || at < 0) return;
    const row = { ...(scene.rows[at] as Row), ...change };
    const invalid = validateRow(row);
    if (invalid) throw new ToldError(whyInvalid(invalid));
    scene.rows[at] = row;
    scene.elements = rebuild(row, scene as Scene);
  }, `row ${id}`);
  const { elements } = stores.useDocument.getState().scene;
  if (stores.chosenElements().length === 0)
    stores.choose(
      elements
        .filter(houseOf(id))
        .slice(0, 1)
        .map((house) => house.id),
    );
}

/** Rolls a row again: other houses by the same rule, around those that are kept. */
export const reroll = (stores: Stores, id: string): void => changeRow(stores, id, { seed: newSeed() });
