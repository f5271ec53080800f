import type { Card } from "@zanvo/core/answers";

export type SortId = "saved" | "title" | "place" | "created";

type Order = (a: Card, b: Card) => number;
const collator = new Intl.Collator(undefined, { numeric: true });
const words: (of: (card: Card) => string) => Order = (of) => (a, b) => collator.compare(of(a), of(b));
/** Latest first. Times are ISO 8601 in UTC, so their letters stand in the order of time. */
const latest: (of: (card: Card) => string) => Order = (of) => (a, b) => Number(of(a) < of(b)) - Number(of(a) > of(b));

export const SORTS: Readonly<Record<SortId, { readonly label: string; readonly order: Order }>> = {
  saved: { label: "last worked on", order: latest((card) => card.savedAt) },
  created: { label: "newest", order: latest((card) => card.createdAt) },
  title: { label: "name", order: words((card) => card.title) },
  place: { label: "place", order: words((card) => `${card.place ?? "\uffff"} ${card.title}`) },
};

/** The cards whose name or place holds every wanted word, in an order. */
export function sorted(cards: readonly Card[], wanted: string, sort: SortId): Card[] {
  const parts = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  return cards
    .filter(({ title, place }) => parts.every((part) => `${title} ${place ?? ""}`.toLowerCase().includes(part)))
    .sort(SORTS[sort].order);
}
