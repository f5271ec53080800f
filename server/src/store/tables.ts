import { EntitySchema, type MigrationInterface, type QueryRunner } from "typeorm";

/** A scene as it stands now. Times are ISO 8601 in UTC. */
export interface SceneRow {
  id: string;
  revision: number;
  title: string;
  place: string | null;
  shots: number;
  elements: number;
  document: string;
  createdAt: string;
  savedAt: string;
  deletedAt: string | null;
}

/** A scene as it was once saved. */
export interface VersionRow {
  sceneId: string;
  revision: number;
  title: string;
  document: string;
  savedAt: string;
}

export const SceneTable = new EntitySchema<SceneRow>({
  name: "scene",
  columns: {
    id: { type: "text", primary: true },
    revision: { type: "integer" },
    title: { type: "text" },
    place: { type: "text", nullable: true },
    shots: { type: "integer" },
    elements: { type: "integer" },
    document: { type: "text", select: false },
    createdAt: { type: "text" },
    savedAt: { type: "text" },
    deletedAt: { type: "text", nullable: true },
  },
});

export const VersionTable = new EntitySchema<VersionRow>({
  name: "version",
  columns: {
    sceneId: { type: "text", primary: true },
    revision: { type: "integer", primary: true },
    title: { type: "text" },
    document: { type: "text", select: false },
    savedAt: { type: "text" },
  },
});

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

/** In the order in which they are run; a new one is a class and an entry here. */
export const MIGRATIONS = [Scenes1764000000000];
