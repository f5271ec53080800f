import { readFileSync, statSync } from "node:fs";
import Database from "better-sqlite3";
import { newScene } from "@zanvo/core/scene";
import { driverOf } from "./connection";
import { isBusy, isFull } from "./errors";
import { MIGRATION_NAMES } from "./migrations";
import { openStore, textOf } from "./scenes";
import { checkedOf, freshFile, throughAnother, titled } from "../testing";

const revisions = (file: string) =>
  throughAnother<{ title: string; revision: number }>(file, "SELECT title, revision FROM scene");

const failure = (work: Promise<unknown>): Promise<unknown> =>
  work.then(
    () => null,
    (error: unknown) => error,
  );

describe("the store", () => {
  it(
    "keeps a real file in WAL mode, synced at every commit, brought up to date by migrations, and " + "reads it again",
    async () => {
      const path = freshFile();
      const first = await openStore(path);
      const { id } = await first.create(titled("Tram"));
      const pragma = async (name: string) =>
        Object.values(((await first.writer.source().query(`PRAGMA ${name}`)) as object[])[0])[0];
      // SQLite's own numbers: synchronous 2 is FULL, auto_vacuum 2 is INCREMENTAL (sqlite.org/pragma.html).
      expect([
        await pragma("journal_mode"),
        await pragma("synchronous"),
        await pragma("auto_vacuum"),
        await pragma("foreign_keys"),
      ]).toEqual(["wal", 2, 2, 1]);
      expect(throughAnother(path, "SELECT name FROM migrations").map((row) => (row as { name: string }).name)).toEqual(
        MIGRATION_NAMES,
      );
      await first.close();
      const again = await openStore(path);
      expect(JSON.parse(await textOf(await again.read(id)))).toEqual(JSON.parse(JSON.stringify(newScene("Tram"))));
      await again.close();
      expect(readFileSync(path).subarray(0, 15).toString()).toBe("SQLite format 3");
    },
  );

  it("lists what is kept as a template as one, through its changes", async () => {
    const store = await openStore(freshFile());
    const { id } = await store.create(titled("Desk", { template: true }));
    await store.create(titled("Quay"));
    const templates = async () => (await store.list()).map(({ title, template }) => [title, template]);
    expect(new Map((await templates()) as [string, boolean][])).toEqual(
      new Map([
        ["Desk", true],
        ["Quay", false],
      ]),
    );
    await store.replace(id, titled("Desk"), 1);
    expect((await store.list()).some(({ template }) => template)).toBe(false);
    await store.close();
  });

  it("forgets a deleted scene after a month, not before, and not at the start", async () => {
    const path = freshFile();
    const day = (n: number) => () => new Date(Date.UTC(2026, 0, 1 + n));
    const store = await openStore(path, day(0));
    const { id } = await store.create(titled("Old"));
    await store.remove(id, 1);
    expect(await store.deleted()).toMatchObject([{ id, title: "Old", deletedAt: "2026-01-01T00:00:00.000Z" }]);
    await store.close();
    const soon = await openStore(path, day(20));
    await soon.forget();
    expect((await soon.restore(id)).title).toBe("Old");
    await soon.remove(id, "*");
    await soon.close();
    const late = await openStore(path, day(60));
    expect(await late.deleted()).toHaveLength(1);
    await late.forget();
    expect(await late.deleted()).toEqual([]);
    expect(throughAnother(path, "SELECT * FROM version")).toEqual([]);
    await late.close();
  });

  it(
    "acknowledges nothing that is not committed when the disk is full, and saves again as soon as " + "there is room",
    async () => {
      const path = freshFile();
      const store = await openStore(path);
      const { id } = await store.create(titled("Lock"));
      const large = titled("Large", { "x-note": Array.from({ length: 60_000 }, (_, i) => Math.sin(i)).join() });
      const fill = async () => {
        const [{ page_count: pages }] = (await store.writer.source().query("PRAGMA page_count")) as {
          page_count: number;
        }[];
        await store.writer.source().query(`PRAGMA max_page_count = ${pages}`);
      };
      for (let i = 0; i < 3; i++) {
        await fill();
        expect(isFull(await failure(store.replace(id, large, 1)))).toBe(true);
        expect(revisions(path)).toEqual([{ title: "Lock", revision: 1 }]);
        // Opened anew at the next change: a connection in doubt is not gone on with.
        await store.putThumbnail(id, 1, Buffer.from([1]));
        expect(driverOf(store.writer.source()).inTransaction).toBe(false);
      }
      for (let revision = 1; revision < 4; revision++) {
        expect((await store.replace(id, large, revision)).revision).toBe(revision + 1);
        expect(revisions(path)).toEqual([{ title: "Large", revision: revision + 1 }]);
      }
      await store.close();
    },
  );

  it.each(["SQLITE_IOERR_FSYNC", "SQLITE_FULL", "SQLITE_BUSY"])(
    "takes a commit that fails with %s as none, and leaves no transaction behind",
    async (code) => {
      const path = freshFile();
      const store = await openStore(path);
      const { id } = await store.create(titled("Lock"));
      const source = store.writer.source();
      const query = source.query.bind(source);
      source.query = ((sql: string, ...rest: unknown[]) =>
        sql === "COMMIT"
          ? Promise.reject(Object.assign(new Error("no"), { code }))
          : query(sql, ...(rest as []))) as typeof source.query;
      await expect(store.replace(id, titled("Never"), 1)).rejects.toThrow("no");
      source.query = query;
      expect(revisions(path)).toEqual([{ title: "Lock", revision: 1 }]);
      expect((await store.replace(id, titled("Then"), 1)).revision).toBe(2);
      expect(revisions(path)).toEqual([{ title: "Then", revision: 2 }]);
      await store.close();
    },
  );

  it("takes a commit that did nothing as none", async () => {
    const path = freshFile();
    const store = await openStore(path);
    const { id } = await store.create(titled("Lock"));
    const source = store.writer.source();
    const query = source.query.bind(source);
    // As when a stale savepoint is released in the place of a commit.
    source.query = ((sql: string, ...rest: unknown[]) =>
      sql === "COMMIT" ? Promise.resolve() : query(sql, ...(rest as []))) as typeof source.query;
    await expect(store.replace(id, titled("Never"), 1)).rejects.toMatchObject({ name: "NotCommitted" });
    expect(revisions(path)).toEqual([{ title: "Lock", revision: 1 }]);
    expect((await store.replace(id, titled("Then"), 1)).revision).toBe(2);
    expect(revisions(path)).toEqual([{ title: "Then", revision: 2 }]);
    await store.close();
  });

  it("waits for a database that another holds, and says so when that takes longer than five seconds", async () => {
    const path = freshFile();
    const store = await openStore(path);
    const other = new Database(path);
    other.exec("BEGIN IMMEDIATE");
    const begun = Date.now();
    const waiting = store.create(titled("Patient"));
    setTimeout(() => other.exec("COMMIT"), 300);
    expect((await waiting).revision).toBe(1);
    other.exec("BEGIN IMMEDIATE");
    expect(isBusy(await failure(store.create(titled("Late"))))).toBe(true);
    expect(Date.now() - begun).toBeGreaterThan(5000);
    other.exec("COMMIT");
    other.close();
    expect((await store.create(titled("Again"))).title).toBe("Again");
    await store.close();
  });

  it("keeps every version small and gives the room of forgotten ones back", async () => {
    const path = freshFile();
    const day = { at: Date.UTC(2026, 0, 1) };
    const store = await openStore(path, () => new Date(day.at));
    const house = (i: number) => ({
      id: `b${i}`,
      kind: "block" as const,
      name: `House ${i}`,
      origin: { x: i, y: 2 * i, z: 0 },
      heading: i % 90,
      length: 9,
      width: 7,
      height: 12,
    });
    const scene = { ...newScene("Town"), elements: Array.from({ length: 12_000 }, (_, i) => house(i)) };
    const text = JSON.stringify(scene).length;
    const { id } = await store.create(checkedOf(scene));
    for (let revision = 1; revision < 30; revision++)
      await store.replace(id, checkedOf({ ...scene, title: `Town ${revision}` }), revision);
    await store.forget();
    const size = statSync(path).size;
    expect(text).toBeGreaterThan(1_400_000);
    expect(size).toBeLessThan((30 * text) / 6);
    expect(await store.versions(id)).toHaveLength(30);
    await store.remove(id, "*");
    day.at += 60 * 86_400_000;
    await store.forget();
    expect(statSync(path).size).toBeLessThan(size / 10);
    await store.close();
  });

  it("knows which pictures are named by a document or an earlier version of one", async () => {
    const store = await openStore(freshFile());
    const [picture, other] = ["a".repeat(64), "b".repeat(64)];
    const { id } = await store.create(titled("Lock", { "x-notes": `see ${picture}` }));
    await store.replace(id, titled("Lock"), 1);
    expect([await store.names(picture), await store.names(other)]).toEqual([true, false]);
    expect(driverOf(store.writer.source()).open).toBe(true);
    await store.close();
  });
});
