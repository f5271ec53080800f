import { spawn, type ChildProcess } from "node:child_process";
import { existsSync, mkdtempSync, readdirSync, writeFileSync } from "node:fs";
import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { openPictures, openStore } from "@zanvo/store";
import { pino } from "pino";
import { startChores } from "./chores";
import { BUILT } from "../testing";

const fresh = () => join(mkdtempSync(join(tmpdir(), "zanvo-")), "zanvo.sqlite");

const children: ChildProcess[] = [];
const track = <C extends ChildProcess>(child: C): C => {
  children.push(child);
  return child;
};
afterAll(() => children.forEach((child) => child.kill("SIGKILL")));

/** Starts the built server, and waits until it is ready or has ended. */
function start(env: Record<string, string>) {
  const child = track(
    spawn(process.execPath, [join(BUILT, "main.js")], {
      env: { ...process.env, PORT: "0", ZANVO_DATA: fresh(), ...env },
    }),
  );
  let [out, err] = ["", ""];
  child.stderr.on("data", (part: Buffer) => (err += part.toString()));
  const ended = new Promise<number | null>((resolve) => child.once("exit", resolve));
  const ready = new Promise<string>((resolve) =>
    child.stdout.on("data", (part: Buffer) => {
      out += part.toString();
      if (out.includes("ready at")) resolve(out);
    }),
  );
  return { child, ready, ended, said: () => err };
}

describe("starting", () => {
  it("says in one sentence what is wrong", async () => {
    const folder = dirname(fresh());
    const garbage = join(folder, "garbage.sqlite");
    writeFileSync(garbage, "no database at all ".repeat(500));
    const taken = createServer().listen(0, "127.0.0.1");
    await new Promise((resolve) => taken.once("listening", resolve));
    const { port } = taken.address() as AddressInfo;
    for (const [env, message] of [
      [{ PORT: "drawing" }, /PORT is "drawing": it must be a whole number/],
      [{ PORT: String(port) }, /Port \d+ is taken\. Set PORT/],
      [{ ZANVO_DATA: folder }, /is a folder, not a database/],
      [{ ZANVO_DATA: "/dev/null/zanvo.sqlite" }, /cannot be made or read \((ENOTDIR|EEXIST)\)/],
      [{ ZANVO_DATA: garbage }, /garbage\.sqlite is damaged\. It was set aside as/],
      [{ HOST: "192.0.2.7" }, /HOST is "192\.0\.2\.7", which is no address of this machine/],
    ] as const) {
      const { ended, said } = start(env);
      expect(await ended).toBe(1);
      expect(said()).toMatch(/^Zanvo cannot start: [^\n]+\n$/);
      expect(said()).toMatch(message);
    }
    taken.close();
  }, 60_000);

  it("is refused to a second server, and ends cleanly", async () => {
    const data = fresh();
    const first = start({ ZANVO_DATA: data });
    await first.ready;
    const second = start({ ZANVO_DATA: data });
    expect(await second.ended).toBe(1);
    expect(second.said()).toMatch(/is in use by another Zanvo/);
    first.child.kill("SIGTERM");
    expect(await first.ended).toBe(0);
    const third = start({ ZANVO_DATA: data });
    expect(await third.ready).toContain("http://127.0.0.1:");
    third.child.kill("SIGKILL");
    await third.ended;
    const fourth = start({ ZANVO_DATA: data });
    await fourth.ready;
    fourth.child.kill("SIGTERM");
    await fourth.ended;
  }, 60_000);

  it("prints links with a key that work, and a warning, where others can reach it", async () => {
    const server = start({ HOST: "0.0.0.0" });
    const links = (await server.ready).match(/http:\S+/g)!;
    const port = new URL(links[0] ?? "http://127.0.0.1").port;
    for (const link of links) {
      const { origin, searchParams } = new URL(link);
      expect((await fetch(`${origin}/api/health`)).status).toBe(401);
      expect((await fetch(link, { redirect: "manual" })).status).toBe(303);
      expect(
        (await fetch(`${origin}/api/health`, { headers: { Authorization: `Bearer ${searchParams.get("key")!}` } }))
          .status,
      ).toBe(200);
    }
    expect(port).toMatch(/^\d+$/);
    expect(server.said()).toMatch(/^Warning: HOST lets other machines reach Zanvo/);
    server.child.kill("SIGTERM");
    await server.ended;
  }, 60_000);
});

describe("what is done every hour", () => {
  it("is the day's backup, and nothing is removed that could still be wanted", async () => {
    const store = await openStore(fresh());
    const pictures = openPictures(store.file, store.database);
    const chores = startChores(store, pictures, join(BUILT, "backup.js"), pino({ level: "silent" }));
    await chores.round();
    chores.stop();
    const folder = store.file.replace(".sqlite", ".backups");
    expect(existsSync(folder) && readdirSync(folder)).toEqual([`${new Date().toISOString().slice(0, 10)}.sqlite`]);
    await store.close();
  });
});
