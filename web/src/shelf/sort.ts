import type { Card } from "../api";

export type SortId = "saved" | "title" | "place" | "created";

type Order = (a: Card, b: Card) => number;
const words: (of: (card: Card) => string) => Order = (of) => (a, b) => of(a).localeCompare(of(b), undefined, { numeric: true });

export const SORTS: Readonly<Record<SortId, { readonly label: string; readonly order: Order }>> = {
  saved: { label: "last worked on", order: (a, b) => b.savedAt.localeCompare(a.savedAt) },
  created: { label: "newest", order: (a, b) => b.createdAt.localeCompare(a.createdAt) },
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
