import { promisify } from "node:util";
import { gunzip } from "node:zlib";
import { BadInput } from "@zanvo/core/problem";
import { VERSION } from "@zanvo/core/scene";
import { Damaged, textOf, type Stored } from "@zanvo/store";
import type { Request, Response } from "express";
import type { Jobs } from "../jobs";
import { Unreadable } from "./problem";

const unzip = promisify(gunzip);
const WAYS_OUT = "It can be downloaded as it is, brought back from an earlier version, or deleted.";

/**
 * The text of a stored document, as this program's version has it. What was packed by it was checked then, and its
 * checksum tells whether it is whole; anything else is checked now.
 * @throws Unreadable where it is damaged or of a newer version
 */
export async function readable(jobs: Jobs, stored: Pick<Stored, "format" | "document">): Promise<string> {
  try {
    const text = await textOf(stored);
    return typeof stored.document !== "string" && stored.format === VERSION ? text : await jobs.current(text);
  } catch (error) {
    if (error instanceof Damaged) throw new Unreadable(`This document is damaged. ${WAYS_OUT}`);
    if (error instanceof BadInput)
      throw new Unreadable(`This document cannot be read (${error.message.replace(/\.$/, "")}). ${WAYS_OUT}`);
    throw error;
  }
}

/** Sends a document as JSON; one that is stored gzipped goes out so to whoever takes that. */
export async function sendDocument(
  req: Request,
  res: Response,
  jobs: Jobs,
  stored: Pick<Stored, "format" | "document">,
): Promise<void> {
  const { document, format } = stored;
  res.type("application/json").vary("Accept-Encoding");
  if (typeof document === "string" || format !== VERSION || !req.acceptsEncodings("gzip")) {
    res.send(await readable(jobs, stored));
    return;
  }
  // Unpacked once to be sure that it is whole.
  await unzip(document).catch(() => {
    throw new Unreadable(`This document is damaged. ${WAYS_OUT}`);
  });
  res.set("Content-Encoding", "gzip").send(document);
}
