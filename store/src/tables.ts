import type { KitKind } from "@zanvo/core/scene";
import { EntitySchema } from "typeorm";

/** What the shelf shows of a scene; its document is that of its newest version. Times are ISO 8601 in UTC. */
export interface SceneRow {
  id: string;
  revision: number;
  title: string;
  place: string | null;
  template: boolean;
  kit: KitKind | null;
  shots: number;
  elements: number;
  createdAt: string;
  savedAt: string;
  deletedAt: string | null;
}

/** A scene as it was once saved. */
export interface VersionRow {
  sceneId: string;
  revision: number;
  title: string;
  /** The format version of the document. */
  format: number;
  /** The document: gzipped, or as plain text in rows of older stores. */
  document: Buffer | string;
  /** The stored size of the document in bytes. */
  bytes: number;
  savedAt: string;
}

/** That a version of a scene names a picture. */
export interface MentionRow {
  sceneId: string;
  revision: number;
  picture: string;
}

/** The small picture of a scene on the shelf, as of a revision. */
export interface ThumbnailRow {
  sceneId: string;
  revision: number;
  image: Buffer;
}

export const SceneTable = new EntitySchema<SceneRow>({
  name: "scene",
  columns: {
    id: { type: "text", primary: true },
    revision: { type: "integer" },
    title: { type: "text" },
    place: { type: "text", nullable: true },
    template: { type: "boolean" },
    kit: { type: "text", nullable: true },
    shots: { type: "integer" },
    elements: { type: "integer" },
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
    format: { type: "integer" },
    document: { type: "blob", select: false },
    bytes: { type: "integer" },
    savedAt: { type: "text" },
  },
});

export const MentionTable = new EntitySchema<MentionRow>({
  name: "mention",
  columns: {
    sceneId: { type: "text", primary: true },
    revision: { type: "integer", primary: true },
    picture: { type: "text", primary: true },
  },
});

export const ThumbnailTable = new EntitySchema<ThumbnailRow>({
  name: "thumbnail",
  columns: {
    sceneId: { type: "text", primary: true },
    revision: { type: "integer" },
    image: { type: "blob" },
  },
});

export const TABLES = [SceneTable, VersionTable, MentionTable, ThumbnailTable];
