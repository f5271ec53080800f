import { existsSync, mkdtempSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { newScene } from "@zanvo/core/scene";
import { putDemo } from "../demo";
import { openPictures, openStore } from ".";
import { toThin } from "./thin";

const file = () => join(mkdtempSync(join(tmpdir(), "zanvo-")), "zanvo.sqlite");
const demo = join(__dirname, "../../../demo");

describe("the store", () => {
  it("keeps a real file in WAL mode, brought up to date by migrations, and reads it again", async () => {
    const path = file();
    const first = await openStore(path);
    const { id } = await first.create(newScene("Tram"));
    expect(await first.source.query("PRAGMA journal_mode")).toEqual([{ journal_mode: "wal" }]);
    expect(await first.source.query("SELECT name FROM migrations")).toEqual([{ name: "Scenes1764000000000" }]);
    await first.close();
    const again = await openStore(path);
    expect((await again.read(id)).scene).toEqual(newScene("Tram"));
    await again.close();
    expect(readFileSync(path).subarray(0, 15).toString()).toBe("SQLite format 3");
  });

  it("puts the demo on an empty shelf once, also when it was taken off since", async () => {
    const path = file();
    const store = await openStore(path);
    const pictures = openPictures(join(dirname(path), "pictures"));
    await putDemo(store, pictures, demo);
    const cards = await store.list();
    expect(cards[0]).toMatchObject({ title: "Quay street, the corner", place: "Kestrel Quay" });
    // The photo of its reference was taken in with it, and is kept while the scene may come back.
    const [reference] = (await store.read(cards[0].id)).scene.references!;
    expect(existsSync(pictures.file(reference.picture, false))).toBe(true);
    for (const { id, revision } of cards) await store.remove(id, revision);
    await putDemo(store, pictures, demo);
    expect(await store.list()).toEqual([]);
    await store.close();
  });

  it("forgets a deleted scene after a month, not before", async () => {
    const path = file();
    const day = (n: number) => () => new Date(Date.UTC(2026, 0, 1 + n));
    const store = await openStore(path, day(0));
    const { id } = await store.create(newScene("Old"));
    await store.remove(id, 1);
    await store.close();
    const soon = await openStore(path, day(20));
    expect((await soon.restore(id)).title).toBe("Old");
    await soon.remove(id, "*");
    await soon.close();
    const late = await openStore(path, day(60));
    await expect(late.restore(id)).rejects.toThrow("no such scene");
    await late.close();
  });
});

describe("thinning of versions", () => {
  it("keeps all of an hour, one in ten minutes of a day, one a day of a month, one a month for ever", () => {
    const now = Date.UTC(2026, 5, 1, 12);
    const minute = 60_000;
    const ages = Array.from({ length: 200 * 24 * 6 }, (_, i) => i * 10 * minute - (i % 2) * 4 * minute).filter((age) => age >= 0);
    const versions = ages.map((age) => ({ savedAt: now - age })).sort((a, b) => b.savedAt - a.savedAt);
    const gone = new Set(toThin(versions, now));
    const kept = versions.filter((v) => !gone.has(v)).map((v) => now - v.savedAt);
    const within = (from: number, to: number) => kept.filter((age) => age > from * minute && age <= to * minute).length;
    expect(kept).toContain(0);
    expect(within(-1, 60)).toBe(versions.filter((v) => now - v.savedAt <= 60 * minute).length);
    expect(within(60, 1440)).toBeLessThanOrEqual(139);
    expect(within(60, 1440)).toBeGreaterThan(130);
    expect(within(1440, 30 * 1440)).toBeLessThanOrEqual(31);
    expect(within(30 * 1440, 200 * 1440)).toBeLessThanOrEqual(7);
    expect(within(30 * 1440, 200 * 1440)).toBeGreaterThanOrEqual(5);
  });
});
