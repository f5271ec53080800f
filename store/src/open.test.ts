import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import Database from "better-sqlite3";
import { newScene } from "@zanvo/core/scene";
import { backUp, copyDatabase, restoreBackup } from "./backup";
import { backupsOf } from "./files";
import { openStore, textOf } from "./scenes";
import { freshFile, freshFolder, throughAnother, titled } from "../testing";

const now = new Date(Date.UTC(2026, 2, 4, 5, 6, 7));
const made = async (title = "Lock"): Promise<string> => {
  const file = freshFile();
  const store = await openStore(file);
  await store.create(titled(title));
  await store.close();
  return file;
};
const spoil = (file: string) => {
  const bytes = readFileSync(file);
  bytes.fill(0x5a, 0, 2000);
  writeFileSync(file, bytes);
};
const titles = (file: string) =>
  throughAnother<{ title: string }>(file, "SELECT title FROM scene").map(({ title }) => title);

describe("opening a store", () => {
  it("is refused to a second one, by whatever path, until the first has ended", async () => {
    const file = freshFile();
    const first = await openStore(file);
    const link = join(freshFolder(), "link.sqlite");
    symlinkSync(file, link);
    for (const path of [file, link])
      await expect(openStore(path)).rejects.toThrow(/zanvo\.sqlite is in use by another Zanvo\. Stop that one first/);
    await first.close();
    await (await openStore(link)).close();
  });

  it("says in one sentence what stands in the way", async () => {
    const folder = freshFolder();
    await expect(openStore(folder)).rejects.toThrow(/is a folder, not a database/);
    writeFileSync(join(folder, "file"), "");
    await expect(openStore(join(folder, "file/zanvo.sqlite"))).rejects.toThrow(
      /The folder .* cannot be made or read \((ENOTDIR|EEXIST)\)/,
    );
    const others = join(folder, "others.sqlite");
    const database = new Database(others);
    database.exec("CREATE TABLE birds (name TEXT)");
    database.close();
    await expect(openStore(others)).rejects.toThrow(/is a database of another program/);
    const newer = await made();
    const later = new Database(newer);
    later.exec("INSERT INTO migrations (timestamp, name) VALUES (9999999999999, 'Later9999999999999')");
    later.close();
    const before = readFileSync(newer);
    await expect(openStore(newer)).rejects.toThrow(/was written by a newer Zanvo/);
    expect(readFileSync(newer).equals(before)).toBe(true);
  });

  it("sets a damaged database aside, offers the last good backup, and never starts empty in its place", async () => {
    const file = await made();
    const backup = backUp(file, now);
    spoil(file);
    await expect(openStore(file)).rejects.toThrow(
      new RegExp(`is damaged\\. It was set aside as .*\\.damaged-.*The last good backup is ${backup}`),
    );
    expect(existsSync(file)).toBe(false);
    await expect(openStore(file)).rejects.toThrow(/was damaged and is set aside as zanvo\.sqlite\.damaged-/);
    restoreBackup(file, backup, now);
    const store = await openStore(file);
    expect(await store.list()).toMatchObject([{ title: "Lock" }]);
    await store.close();
  });

  it(
    "takes over the tables of an older store with all its documents, what is damaged among " + "them as it is",
    async () => {
      const file = freshFile();
      mkdirSync(dirname(file), { recursive: true });
      const old = new Database(file);
      // The tables as the first migration made them.
      old.exec(`CREATE TABLE migrations (id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, timestamp bigint NOT NULL,
        name varchar NOT NULL);
      INSERT INTO migrations (timestamp, name) VALUES (1764000000000, 'Scenes1764000000000');
      CREATE TABLE scene (id TEXT PRIMARY KEY, revision INTEGER NOT NULL, title TEXT NOT NULL, place TEXT,
        shots INTEGER NOT NULL, elements INTEGER NOT NULL, document TEXT NOT NULL, createdAt TEXT NOT NULL,
        savedAt TEXT NOT NULL, deletedAt TEXT);
      CREATE TABLE version (sceneId TEXT NOT NULL REFERENCES scene(id) ON DELETE CASCADE, revision INTEGER NOT NULL,
        title TEXT NOT NULL, document TEXT NOT NULL, savedAt TEXT NOT NULL, PRIMARY KEY (sceneId, revision))`);
      const picture = "c".repeat(64);
      const text = JSON.stringify({ ...newScene("Tram"), "x-picture": picture });
      const put = old.prepare("INSERT INTO scene VALUES (?, ?, ?, NULL, 1, 0, ?, '2026-01-01', '2026-01-02', NULL)");
      put.run("a", 2, "Tram", text);
      put.run("b", 1, "Broken", "{ broken");
      const keep = old.prepare("INSERT INTO version VALUES (?, ?, ?, ?, '2026-01-01')");
      keep.run("a", 1, "Tram before", JSON.stringify(newScene("Tram before")));
      keep.run("a", 2, "Tram", text);
      keep.run("b", 1, "Broken", "{ broken");
      old.close();

      const store = await openStore(file);
      expect((await store.list()).map(({ title }) => title).sort()).toEqual(["Broken", "Tram"]);
      expect(await textOf(await store.read("a"))).toBe(text);
      expect(await textOf(await store.version("a", 1))).toContain("Tram before");
      expect(await textOf(await store.read("b"))).toBe("{ broken");
      expect(await store.names(picture)).toBe(true);
      const id = store.database;
      await store.close();
      const again = await openStore(file);
      expect(again.database).toBe(id);
      await again.close();
    },
  );
});

describe("backups", () => {
  it("are made of a store that is in use, whole, once a day, and the last seven are kept", async () => {
    const file = freshFile();
    const store = await openStore(file);
    for (let day = 1; day <= 9; day++) {
      await store.create(titled(`Day ${day}`));
      const backup = backUp(file, new Date(Date.UTC(2026, 0, day)));
      expect(titles(backup)).toHaveLength(2 * day - 1);
      await store.create(titled("Later that day"));
      expect(backUp(file, new Date(Date.UTC(2026, 0, day, 9)))).toBe(backup);
    }
    expect(backupsOf(file).map((path) => path.slice(-17))).toEqual(
      [9, 8, 7, 6, 5, 4, 3].map((day) => `2026-01-0${day}.sqlite`),
    );
    await store.close();
  }, 60_000);

  it(
    "are put in the place of a database that is set aside, never under a running one, never one that " + "is damaged",
    async () => {
      const file = await made("Now");
      const backup = join(freshFolder(), "copy.sqlite");
      copyDatabase(file, backup);
      const store = await openStore(file);
      await store.create(titled("Newer"));
      expect(() => restoreBackup(file, backup, now)).toThrow(/in use by another Zanvo/);
      await store.close();
      const aside = restoreBackup(file, backup, now)!;
      expect(aside).toBe(`${file}.replaced-2026-03-04T05-06-07-000Z`);
      expect([titles(file), titles(aside).sort()]).toEqual([["Now"], ["Newer", "Now"]]);
      spoil(backup);
      expect(() => restoreBackup(file, backup, now)).toThrow(/is damaged, or no backup/);
      rmSync(backup);
      expect(() => restoreBackup(file, backup, now)).toThrow(/There is no backup/);
      expect(titles(file)).toEqual(["Now"]);
      expect(readdirSync(dirname(file)).filter((name) => name.endsWith(".part"))).toEqual([]);
    },
  );
});
