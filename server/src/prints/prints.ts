import { randomUUID } from "node:crypto";
import { Worker } from "node:worker_threads";
import { NotFound } from "../store";
import { kindOf, type Order, type Report } from "./order";

/** How a print stands. */
export interface Print {
  readonly id: string;
  readonly state: "working" | "ready" | "failed";
  /** What its file is. */
  readonly kind: "pdf" | "zip";
  /** Pages or files done, and how many there will be; 0 while that is not known yet. */
  readonly done: number;
  readonly of: number;
  readonly message?: string;
}

interface Job {
  print: Print;
  readonly scene: string;
  file: Buffer | null;
  readonly worker: Worker;
}

/** A finished print is kept this long for being fetched, in ms. */
const KEPT = 10 * 60_000;
/** More prints than these at once would only slow each other down. */
const MOST = 4;

/** Too many prints are being worked on. */
export class Busy extends Error {
  override readonly name = "Busy";
}

/** Prints that are worked on, each in a thread of its own. */
export class Prints {
  readonly #jobs = new Map<string, Job>();

  /** @param script the built worker */
  constructor(private readonly script: string) {}

  /** Starts a print. @throws Busy when too many are going on */
  start(sceneId: string, order: Order): Print {
    if ([...this.#jobs.values()].filter(({ print }) => print.state === "working").length >= MOST) throw new Busy(`${MOST} prints are being made already. Wait for one, or stop it.`);
    const id = randomUUID();
    const worker = new Worker(this.script, { workerData: order });
    const job: Job = { print: { id, state: "working", kind: kindOf(order), done: 0, of: 0 }, scene: sceneId, file: null, worker };
    this.#jobs.set(id, job);
    const fail = (message: string) => this.#end(job, { ...job.print, state: "failed", message });
    worker.on("message", (report: Report) => {
      if ("file" in report) {
        job.file = Buffer.from(report.file);
        this.#end(job, { ...job.print, state: "ready" });
      } else if ("failed" in report) fail(report.faults?.map(({ path, message }) => `${path}: ${message}`).join(" ") ?? report.failed);
      else job.print = { ...job.print, ...report };
    });
    worker.on("error", (error) => fail(error.message));
    return job.print;
  }

  #end(job: Job, print: Print): void {
    job.print = print;
    setTimeout(() => this.#jobs.delete(print.id), KEPT).unref();
  }

  #job(sceneId: string, id: string): Job {
    const job = this.#jobs.get(id);
    if (job?.scene !== sceneId) throw new NotFound("There is no such print; it may have been stopped, or fetched long ago.");
    return job;
  }

  /** @throws NotFound */
  status = (sceneId: string, id: string): Print => this.#job(sceneId, id).print;

  /** The finished file, or null while it is not. @throws NotFound */
  file = (sceneId: string, id: string): Buffer | null => this.#job(sceneId, id).file;

  /** Gives a print up. @throws NotFound */
  async stop(sceneId: string, id: string): Promise<void> {
    const { worker } = this.#job(sceneId, id);
    this.#jobs.delete(id);
    await worker.terminate();
  }

  /** Ends all that is going on. */
  async close(): Promise<void> {
    await Promise.all([...this.#jobs.values()].map(({ worker }) => worker.terminate()));
    this.#jobs.clear();
  }
}
