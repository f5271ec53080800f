import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { pino } from "pino";
import { putDemo } from "./demo";
import { createApp } from "./http";
import { Prints } from "./prints";
import { openPictures, openStore } from "./store";

/** How long open answers may take once the server is told to stop, in ms. */
const GRACE = 5000;

const root = join(dirname(fileURLToPath(import.meta.url)), "../..");
const host = process.env.HOST ?? "127.0.0.1";
const port = Number(process.env.PORT ?? 4310);
const file = process.env.ZANVO_DATA ?? join(root, "data/zanvo.sqlite");
const log = pino({ level: process.env.LOG_LEVEL ?? "warn" }, pino.destination(2));

const store = await openStore(file);
const pictures = openPictures(join(dirname(file), "pictures"));
await pictures.keepOnly(store.names);
await putDemo(store, pictures, join(root, "demo"));
const prints = new Prints(join(dirname(fileURLToPath(import.meta.url)), "worker.js"));
const server = createServer(createApp({ store, prints, pictures, log, web: join(root, "web/dist"), names: [host] }));

server.on("error", (error: NodeJS.ErrnoException) => {
  const why = error.code === "EADDRINUSE" ? `Port ${port} is taken. Set PORT to another one, or stop what runs there.` : error.message;
  process.stderr.write(`Zanvo cannot start: ${why}\n`);
  process.exit(1);
});
server.listen(port, host, () => {
  const { address, port: taken } = server.address() as AddressInfo;
  process.stdout.write(`Zanvo is ready at http://${address.includes(":") ? `[${address}]` : address}:${taken}\n`);
});

let stopping = false;
for (const signal of ["SIGINT", "SIGTERM"] as const) {
  process.on(signal, () => {
    if (stopping) return;
    stopping = true;
    setTimeout(() => server.closeAllConnections(), GRACE).unref();
    server.close(() => void Promise.all([store.close(), prints.close()]).then(() => process.exit(0)));
    server.closeIdleConnections();
  });
}
