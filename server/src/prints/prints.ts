import type { PrintStatus } from "@zanvo/core/answers";
import { randomUUID } from "node:crypto";
import { mkdirSync, readdirSync, rmSync, statSync } from "node:fs";
import { join } from "node:path";
import { Worker } from "node:worker_threads";
import { codeOf, NotFound } from "@zanvo/store";
import { Busy } from "../jobs";
import { kindOf, type Order, type Report } from "./order";

interface Job {
  print: PrintStatus;
  readonly scene: string;
  readonly file: string;
  readonly worker: Worker;
  /** Of the finished file. */
  bytes: number;
}

/** What prints may take. */
export interface PrintLimits {
  /** How many are worked on at once: more would only slow each other down. */
  readonly atOnce: number;
  readonly seconds: number;
  readonly megabytes: number;
  /** How many finished ones are kept, and how many bytes of them; the oldest go first. */
  readonly kept: number;
  readonly keptBytes: number;
}
const LIMITS: PrintLimits = { atOnce: 2, seconds: 600, megabytes: 1024, kept: 20, keptBytes: 512 * 2 ** 20 };

/** A finished print is kept this long for being fetched, in ms. */
const KEPT = 10 * 60_000;
/** The files that are ours in the folder of prints. */
const OURS = /^print-[0-9a-f-]{36}\.(pdf|zip)$/;

/** Prints that are worked on, each in a thread of its own, and kept on the disk until they are fetched. */
export class Prints {
  readonly #jobs = new Map<string, Job>();
  readonly #limits: PrintLimits;

  /**
   * @param script the built worker
   * @param folder where finished files are kept; what an earlier run left of its own there is removed
   */
  constructor(
    private readonly script: string,
    private readonly folder: string,
    limits: Partial<PrintLimits> = {},
  ) {
    this.#limits = { ...LIMITS, ...limits };
    mkdirSync(folder, { recursive: true });
    for (const name of readdirSync(folder)) if (OURS.test(name)) rmSync(join(folder, name), { force: true });
  }

  /** Starts a print. @throws Busy when too many are going on */
  start(sceneId: string, order: Omit<Order, "file">): PrintStatus {
    const { atOnce, seconds, megabytes } = this.#limits;
    if ([...this.#jobs.values()].filter(({ print }) => print.state === "working").length >= atOnce) {
      throw new Busy(`${atOnce} prints are being made already. Wait for one, or stop it.`);
    }
    const id = randomUUID();
    const kind = kindOf(order as Order);
    const file = join(this.folder, `print-${id}.${kind}`);
    const worker = new Worker(this.script, {
      workerData: { ...order, file },
      resourceLimits: { maxOldGenerationSizeMb: megabytes },
    });
    const job: Job = { print: { id, state: "working", kind, done: 0, of: 0 }, scene: sceneId, file, worker, bytes: 0 };
    this.#jobs.set(id, job);
    const fail = (message: string) => this.#end(job, { ...job.print, state: "failed", message });
    const limit = setTimeout(() => {
      fail(`This print takes more than ${seconds / 60} minutes, so it was given up. Print fewer sheets.`);
      void worker.terminate();
    }, seconds * 1000);
    limit.unref();
    worker.on("message", (report: Report) => {
      if ("ready" in report) this.#finish(job);
      else if ("failed" in report)
        fail(report.errors?.map(({ path, message }) => `${path}: ${message}`).join(" ") ?? report.failed);
      else job.print = { ...job.print, ...report };
    });
    worker.on("error", (error) =>
      fail(
        codeOf(error) === "ERR_WORKER_OUT_OF_MEMORY"
          ? `This print takes more than ${megabytes} MB of memory, so it was given up. Print fewer sheets.`
          : error.message,
      ),
    );
    worker.on("exit", () => clearTimeout(limit));
    return job.print;
  }

  #finish(job: Job): void {
    job.bytes = statSync(job.file).size;
    this.#end(job, { ...job.print, state: "ready" });
    const ready = [...this.#jobs.values()].filter(({ print }) => print.state === "ready");
    let bytes = ready.reduce((sum, one) => sum + one.bytes, 0);
    for (const [i, old] of ready.entries()) {
      if (old === job || (ready.length - i <= this.#limits.kept && bytes <= this.#limits.keptBytes)) break;
      bytes -= old.bytes;
      this.#forget(old);
    }
  }

  #end(job: Job, print: PrintStatus): void {
    if (job.print.state !== "working") return;
    job.print = print;
    setTimeout(() => this.#forget(job), KEPT).unref();
  }

  #forget({ print, file }: Job): void {
    this.#jobs.delete(print.id);
    rmSync(file, { force: true });
  }

  #job(sceneId: string, id: string): Job {
    const job = this.#jobs.get(id);
    if (job?.scene !== sceneId)
      throw new NotFound("There is no such print; it may have been stopped, or fetched long ago.");
    return job;
  }

  /** @throws NotFound */
  status = (sceneId: string, id: string): PrintStatus => this.#job(sceneId, id).print;

  /** Where the finished file is, or null while it is not. @throws NotFound */
  file = (sceneId: string, id: string): string | null => {
    const { print, file } = this.#job(sceneId, id);
    return print.state === "ready" ? file : null;
  };

  /** Gives a print up. @throws NotFound */
  async stop(sceneId: string, id: string): Promise<void> {
    const job = this.#job(sceneId, id);
    await job.worker.terminate();
    this.#forget(job);
  }

  /** Ends all that is going on. */
  async close(): Promise<void> {
    await Promise.all(
      [...this.#jobs.values()].map(async (job) => {
        await job.worker.terminate();
        this.#forget(job);
      }),
    );
  }
}
