import type { AddressInfo } from "node:net";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { pino } from "pino";
import { besides, CannotOpen, isDiskError, openPictures, openStore } from "@zanvo/store";
import { accessKey, isLoopback, linksTo, namesOf, portOf } from "./address";
import { startChores } from "./chores";
import { putDemo } from "./demo";
import { createApp, createServer } from "./http";
import { openJobs } from "./jobs";
import { Prints } from "./prints";

/** How long open answers may take once the server is told to stop, in ms. */
const GRACE = 5000;

const here = dirname(fileURLToPath(import.meta.url));
const root = join(here, "../..");

function giveUp(why: string): never {
  process.stderr.write(`Zanvo cannot start: ${why}\n`);
  process.exit(1);
}

/** Opens all that the server works with. */
async function open() {
  const host = process.env.HOST ?? "127.0.0.1";
  const port = portOf(process.env.PORT);
  const file = process.env.ZANVO_DATA ?? join(root, "data/zanvo.sqlite");
  const log = pino({ level: process.env.LOG_LEVEL ?? "warn" }, pino.destination(2));
  const store = await openStore(file);
  const pictures = openPictures(store.file, store.database);
  const jobs = openJobs(here);
  await putDemo(store, pictures, jobs, join(root, "demo"));
  const prints = new Prints(join(here, "print.js"), besides(store.file, "prints"));
  const key = isLoopback(host) ? undefined : accessKey(store.file);
  return { host, port, log, store, pictures, jobs, prints, key };
}

const { host, port, log, store, pictures, jobs, prints, key } = await open().catch((error: unknown) =>
  giveUp(
    error instanceof CannotOpen
      ? error.message
      : isDiskError(error)
        ? "The disk is full, or cannot be written. Make room and start again."
        : String((error as Error).stack),
  ),
);
const chores = startChores(store, pictures, join(here, "backup.js"), log);
const server = createServer(
  createApp({
    store,
    jobs,
    prints,
    pictures,
    log,
    web: join(root, "web/dist"),
    names: namesOf(host, process.env.ZANVO_NAMES),
    key,
  }),
);

const REASONS: Readonly<Record<string, string>> = {
  EADDRINUSE: `Port ${port} is taken. Set PORT to another one, or stop what runs there.`,
  EACCES: `Port ${port} may not be used by this account. Set PORT to one above 1023.`,
  EADDRNOTAVAIL: `HOST is "${host}", which is no address of this machine.`,
  ENOTFOUND: `HOST is "${host}", which is no address of this machine.`,
};
server.on("error", (error: NodeJS.ErrnoException) => giveUp(REASONS[error.code ?? ""] ?? error.message));
server.listen(port, host, () => {
  const { port: taken } = server.address() as AddressInfo;
  const [first, ...others] = linksTo(host, taken, key);
  process.stdout.write(`Zanvo is ready at ${first}\n${others.map((link) => `               or ${link}\n`).join("")}`);
  if (key !== undefined) {
    process.stderr.write(
      "Warning: HOST lets other machines reach Zanvo. Whoever has the whole link, with its key, can read, " +
        "change and delete every scene; the connection is not encrypted.\n",
    );
  }
});

let stopping = false;
for (const signal of ["SIGINT", "SIGTERM"] as const) {
  process.on(signal, () => {
    if (stopping) return;
    stopping = true;
    chores.stop();
    setTimeout(() => server.closeAllConnections(), GRACE).unref();
    server.close(
      () =>
        void Promise.all([jobs.close(), prints.close()])
          .then(() => store.close())
          .then(() => process.exit(0)),
    );
    server.closeIdleConnections();
  });
}
