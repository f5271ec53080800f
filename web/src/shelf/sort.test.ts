import type { Card } from "@zanvo/core/answers";
import { sorted } from "./sort";

const card = (title: string, place: string | null, savedAt: string, createdAt = savedAt): Card => ({
  id: title,
  revision: 1,
  title,
  place,
  template: false,
  kit: null,
  shots: 1,
  elements: 0,
  createdAt,
  savedAt,
});
const shelf = [
  card("Page 10", "Lock", "2026-03-01"),
  card("Page 9", null, "2026-05-01", "2026-01-01"),
  card("Clock", "Kestrel Quay", "2026-04-01"),
];
const titles = (wanted: string, sort: Parameters<typeof sorted>[2]) =>
  sorted(shelf, wanted, sort).map(({ title }) => title);

describe("the shelf's order", () => {
  it("is by last work, by age, by name with numbers as numbers, and by place with none last", () => {
    expect(titles("", "saved")).toEqual(["Page 9", "Clock", "Page 10"]);
    expect(titles("", "created")).toEqual(["Clock", "Page 10", "Page 9"]);
    expect(titles("", "title")).toEqual(["Clock", "Page 9", "Page 10"]);
    expect(titles("", "place")).toEqual(["Clock", "Page 10", "Page 9"]);
  });

  it("holds every wanted word, in name or place", () => {
    expect(titles("  QUAY clo ", "title")).toEqual(["Clock"]);
    expect(titles("page lock", "title")).toEqual(["Page 10"]);
  });
});
