import { randomUUID } from "node:crypto";
import type { Card, DeletedCard, Version } from "@zanvo/core/answers";
import type { KitKind } from "@zanvo/core/scene";
import { IsNull, LessThan, Not, type EntityManager } from "typeorm";
import { driverOf, patiently, type Writer } from "./connection";
import { NotCommitted, NotFound } from "./errors";
import { openDatabase } from "./open";
import { unpack, type Packed } from "./packing";
import {
  MentionTable,
  SceneTable,
  ThumbnailTable,
  VersionTable,
  type SceneRow,
  type ThumbnailRow,
  type VersionRow,
} from "./tables";
import { toThin } from "./thin";

/** A scene as it is stored. */
export interface Stored {
  readonly card: Card;
  readonly format: number;
  readonly document: Packed;
}

/** A document that was found to be in order, ready to be stored. */
export interface Checked {
  readonly title: string;
  readonly place: string | null;
  readonly template: boolean;
  readonly kit: KitKind | null;
  readonly shots: number;
  readonly elements: number;
  readonly format: number;
  readonly document: Buffer;
  /** The pictures that it names. */
  readonly pictures: readonly string[];
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
export const KEPT_DELETED = 30;
const DAY = 86_400_000;
/** Pages given back to the disk at once: a save is not to wait for more than that. */
const FREED_AT_ONCE = 500;

export type Store = Awaited<ReturnType<typeof openStore>>;

const toCard = ({ deletedAt: _, ...card }: SceneRow): Card => card;

/** The scene's row. @throws NotFound */
async function find(db: EntityManager, id: string, deleted = false): Promise<SceneRow> {
  const row = await db.getRepository(SceneTable).findOneBy({ id, deletedAt: deleted ? Not(IsNull()) : IsNull() });
  if (!row) throw new NotFound("There is no such scene on the shelf.");
  return row;
}

/** A version's document as it is stored. @throws NotFound */
async function documentOf(
  db: EntityManager,
  id: string,
  revision: number,
): Promise<Pick<VersionRow, "format" | "document">> {
  const [row] = (await db.query("SELECT format, document FROM version WHERE sceneId = ? AND revision = ?", [
    id,
    revision,
  ])) as VersionRow[];
  if (!row) throw new NotFound("This version is no longer kept.");
  return row;
}

/** Removes versions that need not be kept. */
async function thin(db: EntityManager, sceneId: string, now: number): Promise<void> {
  const versions = db.getRepository(VersionTable);
  const kept = await versions.find({ where: { sceneId }, order: { revision: "DESC" } });
  const old = toThin(
    kept.map(({ revision, savedAt, bytes }) => ({ revision, savedAt: Date.parse(savedAt), bytes })),
    now,
  );
  for (const { revision } of old) await versions.delete({ sceneId, revision });
}

/** Writes a scene and its newest version. */
async function write(
  db: EntityManager,
  checked: Checked,
  row: Pick<Card, "id" | "revision" | "createdAt">,
  now: Date,
): Promise<Card> {
  const { document, format, pictures, ...told } = checked;
  const { id, revision } = row;
  const savedAt = now.toISOString();
  const card: Card = { ...row, ...told, savedAt };
  await db.getRepository(SceneTable).upsert({ ...card, deletedAt: null }, ["id"]);
  await db
    .getRepository(VersionTable)
    .insert({ sceneId: id, revision, title: told.title, format, document, bytes: document.length, savedAt });
  if (pictures.length)
    await db.getRepository(MentionTable).insert(pictures.map((picture) => ({ sceneId: id, revision, picture })));
  await thin(db, id, now.getTime());
  return card;
}

async function stored(db: EntityManager, row: SceneRow): Promise<Stored> {
  return { card: toCard(row), ...(await documentOf(db, row.id, row.revision)) };
}

/** The scene as it stands, once it is sure that the change was made from it. @throws Stale, NotFound */
async function expect(db: EntityManager, id: string, expected: Expected): Promise<SceneRow> {
  const row = await find(db, id);
  if (expected !== "*" && row.revision !== expected) throw new Stale(await stored(db, row));
  return row;
}

/** How scenes are read and changed. */
interface Access {
  readonly clock: () => Date;
  /** Reads what is committed. */
  readonly read: <T>(work: (db: EntityManager) => Promise<T>) => Promise<T>;
  readonly writer: Writer;
}

/** Changes a scene; it is acknowledged only once the second connection has read what was committed. */
async function save({ writer, read }: Access, work: (db: EntityManager) => Promise<Card>): Promise<Card> {
  const card = await writer.transaction(work);
  const [seen] = await read(
    (db) =>
      db.query(
        `SELECT s.savedAt, v.bytes = length(v.document) AS whole FROM scene s
         JOIN version v ON v.sceneId = s.id AND v.revision = s.revision WHERE s.id = ? AND s.revision = ?`,
        [card.id, card.revision],
      ) as Promise<{ savedAt: string; whole: number }[]>,
  );
  if (seen?.savedAt !== card.savedAt || seen.whole !== 1)
    throw new NotCommitted("What was saved could not be read back.");
  return card;
}

/** Gives the space of removed versions back to the disk, bit by bit, with changes in between. */
async function free({ writer }: Access): Promise<void> {
  const left = () =>
    writer.transaction(async (db) => {
      // A prepared statement would free a single page.
      driverOf(writer.source()).exec(`PRAGMA incremental_vacuum(${FREED_AT_ONCE})`);
      const [{ freelist_count: pages }] = (await db.query("PRAGMA freelist_count")) as { freelist_count: number }[];
      return pages;
    });
  for (let before = Infinity, pages = await left(); pages > 0 && pages < before;)
    [before, pages] = [pages, await left()];
  // The file shrinks when the log is folded into it.
  await patiently(() => writer.source().query("PRAGMA wal_checkpoint(TRUNCATE)"));
}

/** What is asked of the shelf. */
const readingFrom = ({ read }: Access) => ({
  /** The shelf of scenes, or of kits, what was worked on last first; plain rows, since there may be thousands. */
  list: (shelf: "scenes" | "kits" = "scenes"): Promise<Card[]> =>
    read(async (db) => {
      const rows = (await db.query(
        `SELECT id, revision, title, place, template, kit, shots, elements, createdAt, savedAt FROM scene
         WHERE deletedAt IS NULL AND kit IS ${shelf === "kits" ? "NOT NULL" : "NULL"} ORDER BY savedAt DESC`,
      )) as (Omit<Card, "template"> & { readonly template: number })[];
      return rows.map((row) => ({ ...row, template: row.template === 1 }));
    }),
  /** Deleted scenes, the last one deleted first. */
  deleted: (): Promise<DeletedCard[]> =>
    read(
      (db) =>
        db
          .getRepository(SceneTable)
          .find({ where: { deletedAt: Not(IsNull()) }, order: { deletedAt: "DESC" } }) as Promise<DeletedCard[]>,
    ),
  /** Whether nothing was ever put on the shelf. */
  isNew: (): Promise<boolean> => read(async (db) => !(await db.getRepository(SceneTable).exists())),
  /** Whether no kit was ever kept. */
  hasNoKits: (): Promise<boolean> =>
    read(async (db) => !(await db.getRepository(SceneTable).existsBy({ kit: Not(IsNull()) }))),
  card: (id: string): Promise<Card> => read(async (db) => toCard(await find(db, id))),
  read: (id: string): Promise<Stored> => read(async (db) => stored(db, await find(db, id))),
  versions: (id: string): Promise<Version[]> =>
    read(async (db) => {
      await find(db, id);
      return db.getRepository(VersionTable).find({
        select: { revision: true, title: true, savedAt: true },
        where: { sceneId: id },
        order: { revision: "DESC" },
      });
    }),
  version: (id: string, revision: number): Promise<Pick<Stored, "format" | "document">> =>
    read(async (db) => {
      await find(db, id);
      return documentOf(db, id, revision);
    }),
  thumbnail: (id: string): Promise<ThumbnailRow | null> =>
    read((db) => db.getRepository(ThumbnailTable).findOneBy({ sceneId: id })),
  /** Whether any document, or any version of one that is kept, names a picture. */
  names: (picture: string): Promise<boolean> => read((db) => db.getRepository(MentionTable).existsBy({ picture })),
});

/** A scene that has not been on the shelf before. */
const newScene = (now: Date) => ({ id: randomUUID(), revision: 1, createdAt: now.toISOString() });

/** What is changed on the shelf. */
function changesTo(access: Access) {
  const { clock, writer } = access;
  return {
    create: (checked: Checked): Promise<Card> => {
      const now = clock();
      return save(access, (db) => write(db, checked, newScene(now), now));
    },
    /** Puts several scenes on the shelf, all of them or none, the last one on top. */
    createAll: (all: readonly Checked[]): Promise<void> =>
      writer.transaction(async (db) => {
        for (const [i, checked] of all.entries()) {
          const now = new Date(clock().getTime() + i);
          await write(db, checked, newScene(now), now);
        }
      }),
    replace: (id: string, checked: Checked, expected: Expected): Promise<Card> =>
      save(access, async (db) => {
        const { revision, createdAt } = await expect(db, id, expected);
        return write(db, checked, { id, revision: revision + 1, createdAt }, clock());
      }),
    /** Takes a scene off the shelf; it can be brought back for a month. */
    remove: (id: string, expected: Expected): Promise<void> =>
      writer.transaction(async (db) => {
        await expect(db, id, expected);
        await db.getRepository(SceneTable).update({ id }, { deletedAt: clock().toISOString() });
      }),
    restore: (id: string): Promise<Card> =>
      save(access, async (db) => {
        const row = await find(db, id, true);
        await db.getRepository(SceneTable).update({ id }, { deletedAt: null });
        return toCard(row);
      }),
    /** Stores a small picture, unless that of a newer revision is there, or the scene is gone. */
    putThumbnail: (sceneId: string, revision: number, image: Buffer): Promise<void> =>
      writer.transaction(async (db) => {
        await db.query(
          `INSERT INTO thumbnail SELECT id, ?, ? FROM scene WHERE id = ? ON CONFLICT DO UPDATE
           SET revision = excluded.revision, image = excluded.image WHERE excluded.revision >= revision`,
          [revision, image, sceneId],
        );
      }),
    /** Forgets what was deleted more than a month ago, and gives its space back to the disk. */
    forget: async (): Promise<void> => {
      const until = new Date(clock().getTime() - KEPT_DELETED * DAY).toISOString();
      await writer.transaction((db) => db.getRepository(SceneTable).delete({ deletedAt: LessThan(until) }));
      await free(access);
    },
  };
}

/**
 * The database of scenes in one SQLite file (WAL), open for this process alone and brought up to date.
 * @param clock the clock, for tests
 * @throws CannotOpen
 */
export async function openStore(path: string, clock: () => Date = () => new Date()) {
  const { file, writer, reader, close } = await openDatabase(path, clock());
  const [{ value: database }] = (await reader.query("SELECT value FROM meta WHERE key = 'database'")) as {
    value: string;
  }[];
  const access: Access = { clock, writer, read: (work) => patiently(() => work(reader.manager)) };
  /** `database`: the name that this database was given when it was made. */
  return { file, database, writer, ...readingFrom(access), ...changesTo(access), close };
}

/** The text of a stored document. @throws Damaged */
export const textOf = ({ document }: Pick<Stored, "document">): Promise<string> => unpack(document);
