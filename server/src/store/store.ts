import { randomUUID } from "node:crypto";
import { mkdirSync } from "node:fs";
import { dirname } from "node:path";
import { readScene } from "@zanvo/core/document";
import type { Scene } from "@zanvo/core/scene";
import { DataSource, IsNull, LessThan, Not, type EntityManager } from "typeorm";
import { MIGRATIONS, SceneTable, VersionTable, type SceneRow, type VersionRow } from "./tables";
import { toThin } from "./thin";

/** What the shelf shows of a scene. */
export type Card = Omit<SceneRow, "document" | "deletedAt">;
/** A scene with its document. */
export interface Stored extends Card {
  readonly scene: Scene;
}

/** There is no such scene, or no such version of it. */
export class NotFound extends Error {
  override readonly name = "NotFound";
}

/** The scene has been saved by somebody else since; `current` is what they saved. */
export class Stale extends Error {
  override readonly name = "Stale";
  constructor(readonly current: Stored) {
    super("This scene was saved elsewhere since it was opened here.");
  }
}

/** Which revision a change was made from: a number, or any. */
export type Expected = number | "*";

/** How long a deleted scene can be brought back, in days. */
const KEPT_DELETED = 30;

export type Store = Awaited<ReturnType<typeof openStore>>;

/**
 * The database of scenes in one SQLite file (WAL), brought up to date.
 * @param now the clock, for tests
 */
export async function openStore(file: string, now: () => Date = () => new Date()) {
  if (file !== ":memory:") mkdirSync(dirname(file), { recursive: true });
  const source = new DataSource({
    type: "better-sqlite3",
    database: file,
    entities: [SceneTable, VersionTable],
    migrations: MIGRATIONS,
    migrationsRun: true,
    migrationsTransactionMode: "each",
    enableWAL: file !== ":memory:",
  });
  await source.initialize();
  await source.query("PRAGMA foreign_keys = ON");
  await source.query("PRAGMA synchronous = NORMAL");

  // SQLite has one connection here: work on it is done one piece after the other, so that transactions never mix.
  let last: Promise<unknown> = Promise.resolve();
  const inTurn = <T>(work: (db: EntityManager) => Promise<T>): Promise<T> => {
    const run = last.then(() => source.transaction(work));
    last = run.catch(() => undefined);
    return run;
  };

  const find = async (db: EntityManager, id: string, deleted = false): Promise<Stored> => {
    const row = await db.getRepository(SceneTable).createQueryBuilder("s").addSelect("s.document")
      .where({ id, deletedAt: deleted ? Not(IsNull()) : IsNull() }).getOne();
    if (!row) throw new NotFound("There is no such scene on the shelf.");
    const { document, deletedAt: _, ...card } = row;
    return { ...card, scene: readScene(document) };
  };

  /** The scene as it stands, once it is sure that the change was made from it. */
  const expect = async (db: EntityManager, id: string, expected: Expected): Promise<Stored> => {
    const current = await find(db, id);
    if (expected !== "*" && current.revision !== expected) throw new Stale(current);
    return current;
  };

  const write = async (db: EntityManager, id: string, revision: number, createdAt: string, scene: Scene): Promise<Stored> => {
    const savedAt = now().toISOString();
    const document = JSON.stringify(scene);
    const card: Card = {
      id, revision, createdAt, savedAt,
      title: scene.title, place: scene.place ?? null, shots: scene.shots.length, elements: scene.elements.length,
    };
    await db.getRepository(SceneTable).save({ ...card, document, deletedAt: null });
    const versions = db.getRepository(VersionTable);
    await versions.insert({ sceneId: id, revision, title: scene.title, document, savedAt });
    const kept = await versions.find({ where: { sceneId: id }, order: { revision: "DESC" } });
    const old = toThin(kept.map((v) => ({ revision: v.revision, savedAt: Date.parse(v.savedAt) })), now().getTime());
    for (const { revision: gone } of old) await versions.delete({ sceneId: id, revision: gone });
    return { ...card, scene };
  };

  const forgetUntil = new Date(now().getTime() - KEPT_DELETED * 86_400_000).toISOString();
  await source.getRepository(SceneTable).delete({ deletedAt: LessThan(forgetUntil) });

  return {
    source,
    list: (): Promise<Card[]> => inTurn(async (db) => {
      const rows = await db.getRepository(SceneTable).find({ where: { deletedAt: IsNull() }, order: { savedAt: "DESC" } });
      return rows.map(({ deletedAt: _, ...card }) => card);
    }),
    /** Whether nothing was ever put on the shelf. */
    isNew: (): Promise<boolean> => inTurn(async (db) => (await db.getRepository(SceneTable).count()) === 0),
    read: (id: string): Promise<Stored> => inTurn((db) => find(db, id)),
    create: (scene: Scene): Promise<Stored> => inTurn((db) => write(db, randomUUID(), 1, now().toISOString(), scene)),
    replace: (id: string, scene: Scene, expected: Expected): Promise<Stored> => inTurn(async (db) => {
      const current = await expect(db, id, expected);
      return write(db, id, current.revision + 1, current.createdAt, scene);
    }),
    /** Takes a scene off the shelf; it can be brought back for a month. */
    remove: (id: string, expected: Expected): Promise<void> => inTurn(async (db) => {
      await expect(db, id, expected);
      await db.getRepository(SceneTable).update({ id }, { deletedAt: now().toISOString() });
    }),
    restore: (id: string): Promise<Stored> => inTurn(async (db) => {
      const stored = await find(db, id, true);
      await db.getRepository(SceneTable).update({ id }, { deletedAt: null });
      return stored;
    }),
    versions: (id: string): Promise<Omit<VersionRow, "document">[]> => inTurn(async (db) => {
      await find(db, id);
      return db.getRepository(VersionTable).find({ where: { sceneId: id }, order: { revision: "DESC" } });
    }),
    version: (id: string, revision: number): Promise<Scene> => inTurn(async (db) => {
      await find(db, id);
      const row = await db.getRepository(VersionTable).createQueryBuilder("v").addSelect("v.document").where({ sceneId: id, revision }).getOne();
      if (!row) throw new NotFound("This version is no longer kept.");
      return readScene(row.document);
    }),
    /** Whether any document, or any earlier version of one, speaks of something by its unique name. */
    names: (name: string): Promise<boolean> => inTurn(async (db) => {
      const [{ found }] = (await db.query("SELECT EXISTS (SELECT 1 FROM scene WHERE instr(document, ?)) OR EXISTS (SELECT 1 FROM version WHERE instr(document, ?)) AS found", [name, name])) as [{ found: number }];
      return found === 1;
    }),
    close: (): Promise<void> => last.then(() => source.destroy()),
  };
}
