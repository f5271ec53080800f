import { randomUUID } from "node:crypto";
import type { MigrationInterface, QueryRunner } from "typeorm";
import { picturesNamedIn } from "./names";

const ONE_WAY = "A store is not taken back to an older form: restore a backup instead.";

/** The first tables. */
class Scenes1764000000000 implements MigrationInterface {
  readonly name = "Scenes1764000000000";

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE scene (
      id TEXT PRIMARY KEY, revision INTEGER NOT NULL, title TEXT NOT NULL, place TEXT, shots INTEGER NOT NULL,
      elements INTEGER NOT NULL, document TEXT NOT NULL, createdAt TEXT NOT NULL,
      savedAt TEXT NOT NULL, deletedAt TEXT)`);
    await runner.query(`CREATE TABLE version (
      sceneId TEXT NOT NULL REFERENCES scene(id) ON DELETE CASCADE, revision INTEGER NOT NULL, title TEXT NOT NULL,
      document TEXT NOT NULL, savedAt TEXT NOT NULL, PRIMARY KEY (sceneId, revision))`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query("DROP TABLE version");
    await runner.query("DROP TABLE scene");
  }
}

/**
 * Documents are kept once, in their versions, and may be gzipped there; pictures are found by the versions that name
 * them; small pictures are stored; the database has a name of its own.
 */
class Versions1764200000000 implements MigrationInterface {
  readonly name = "Versions1764200000000";

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE kept (
      sceneId TEXT NOT NULL REFERENCES scene(id) ON DELETE CASCADE, revision INTEGER NOT NULL, title TEXT NOT NULL,
      format INTEGER NOT NULL, document BLOB NOT NULL, bytes INTEGER NOT NULL, savedAt TEXT NOT NULL,
      PRIMARY KEY (sceneId, revision))`);
    // A document that is no JSON at all is taken over as it is: what is damaged can still be downloaded.
    const format = "CASE WHEN json_valid(document) THEN coalesce(document ->> '$.version', 1) ELSE 1 END";
    const columns = `title, ${format}, document, length(CAST(document AS BLOB)), savedAt`;
    await runner.query(`INSERT INTO kept SELECT id, revision, ${columns} FROM scene`);
    await runner.query(`INSERT OR IGNORE INTO kept SELECT sceneId, revision, ${columns} FROM version`);
    await runner.query("DROP TABLE version");
    await runner.query("ALTER TABLE kept RENAME TO version");
    await runner.query("ALTER TABLE scene DROP COLUMN document");
    await runner.query(`CREATE TABLE mention (
      sceneId TEXT NOT NULL, revision INTEGER NOT NULL, picture TEXT NOT NULL,
      PRIMARY KEY (picture, sceneId, revision),
      FOREIGN KEY (sceneId, revision) REFERENCES version(sceneId, revision) ON DELETE CASCADE)`);
    await runner.query("CREATE INDEX mentionOfVersion ON mention (sceneId, revision)");
    await runner.query(`CREATE TABLE thumbnail (
      sceneId TEXT PRIMARY KEY REFERENCES scene(id) ON DELETE CASCADE, revision INTEGER NOT NULL, image BLOB NOT NULL)`);
    await runner.query("CREATE INDEX sceneBySaving ON scene (savedAt)");
    await runner.query("CREATE TABLE meta (key TEXT PRIMARY KEY, value TEXT NOT NULL)");
    await runner.query("INSERT INTO meta VALUES ('database', ?)", [randomUUID()]);
    const rows = (await runner.query("SELECT sceneId, revision FROM version")) as {
      sceneId: string;
      revision: number;
    }[];
    for (const { sceneId, revision } of rows) {
      const [{ document }] = (await runner.query("SELECT document FROM version WHERE sceneId = ? AND revision = ?", [
        sceneId,
        revision,
      ])) as { document: string }[];
      for (const picture of picturesNamedIn(Buffer.from(document))) {
        await runner.query("INSERT INTO mention VALUES (?, ?, ?)", [sceneId, revision, picture]);
      }
    }
  }

  async down(): Promise<void> {
    await Promise.reject(new Error(ONE_WAY));
  }
}

/** Scenes may be kept as templates. */
class Templates1796000000000 implements MigrationInterface {
  readonly name = "Templates1796000000000";

  async up(runner: QueryRunner): Promise<void> {
    await runner.query("ALTER TABLE scene ADD COLUMN template INTEGER NOT NULL DEFAULT 0");
  }

  async down(): Promise<void> {
    await Promise.reject(new Error(ONE_WAY));
  }
}

/** Scenes may be kept as kits. */
class Kits1797000000000 implements MigrationInterface {
  readonly name = "Kits1797000000000";

  async up(runner: QueryRunner): Promise<void> {
    await runner.query("ALTER TABLE scene ADD COLUMN kit TEXT");
  }

  async down(): Promise<void> {
    await Promise.reject(new Error(ONE_WAY));
  }
}

/** In the order in which they are run; a new one is a class and an entry here. */
export const MIGRATIONS = [Scenes1764000000000, Versions1764200000000, Templates1796000000000, Kits1797000000000];

/** Their names, as the database lists those that were run. */
export const MIGRATION_NAMES: readonly string[] = MIGRATIONS.map((Migration) => new Migration().name);
