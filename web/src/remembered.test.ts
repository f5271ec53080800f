import { remembered } from "./remembered";

/** A storage with room for so many letters. */
function storage(room: number): Storage {
  const kept = new Map<string, string>();
  return {
    length: 0,
    clear: () => kept.clear(),
    key: () => null,
    getItem: (key) => kept.get(key) ?? null,
    removeItem: (key) => void kept.delete(key),
    setItem: (key, text) => {
      if (text.length > room) throw new DOMException("full", "QuotaExceededError");
      kept.set(key, text);
    },
  };
}

afterEach(() => {
  Object.assign(globalThis, { localStorage: undefined, sessionStorage: undefined });
});

it("finds again what was kept, each in its own place", () => {
  Object.assign(globalThis, { localStorage: storage(10), sessionStorage: storage(10) });
  remembered.visits.set("a", "for long");
  remembered.tab.set("a", "for now");
  expect([remembered.visits.get("a"), remembered.tab.get("a"), remembered.tab.get("b")]).toEqual([
    "for long",
    "for now",
    null,
  ]);
  remembered.tab.remove("a");
  expect([remembered.visits.get("a"), remembered.tab.get("a")]).toEqual(["for long", null]);
});

it("goes on where a browser keeps nothing, or has no room", () => {
  remembered.visits.set("a", "lost");
  expect(remembered.visits.get("a")).toBeNull();
  Object.assign(globalThis, { localStorage: storage(3) });
  remembered.visits.set("a", "too long");
  expect(remembered.visits.get("a")).toBeNull();
});
