// npm run faults: kills, full disks, I/O errors, two servers, fuzzed requests, shell calls and pictures, and a browser
// that is cut off. Prints what was attempted, what survived and what was lost, and fails on any loss, 5xx or hang. Ten
// minutes at most.
import { Buffer } from "node:buffer";
import { execFileSync } from "node:child_process";
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { Readable } from "node:stream";
import { pathToFileURL } from "node:url";
import { debianPackages } from "./debian.mjs";
import { install } from "./install.mjs";
import { chromiumPath } from "./chromium.mjs";

await install();
debianPackages();
const { build, root } = await import("./build.mjs");
await build();
const { freshFolder, startServer, town } = await import("./server.mjs");
const { default: Database } = await import("better-sqlite3");
const { default: sharp } = await import("sharp");

const KILLS = 200;
const REQUESTS = 5000;
const CALLS = 1000;
const PICTURES = 200;
const HANG = 30_000;
const ENDS = Date.now() + 600_000;

// The same run can be had again by its seed.
const seed = Number(process.env.SEED ?? Date.now() % 1_000_000);
let state = seed;
/** Mulberry32, a small generator of even numbers from 0 to 1. */
function random() {
  state = (state + 0x6d2b79f5) | 0;
  let t = Math.imul(state ^ (state >>> 15), 1 | state);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
}
const below = (n) => Math.floor(random() * n);
const pick = (list) => list[below(list.length)];
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

const rows = [];
const wrongs = [];
const wrong = (what) => {
  wrongs.push(what);
  process.stderr.write(`WRONG: ${what}\n`);
};
const tell = (what, attempted, survived, lost, note = "") => {
  rows.push([what, attempted, survived, lost, note]);
  process.stdout.write(
    `${what.padEnd(46)} attempted ${String(attempted).padStart(5)}   survived ${String(survived).padStart(5)}   ` +
      `lost ${String(lost).padStart(3)}   ${note}\n`,
  );
};
const json = { "Content-Type": "application/json" };
const put = (url, id, revision, scene) =>
  fetch(`${url}/api/scenes/${id}`, {
    method: "PUT",
    headers: { ...json, "If-Match": `"${revision}"` },
    body: JSON.stringify(scene),
  });
const post = (url, scene) => fetch(`${url}/api/scenes`, { method: "POST", headers: json, body: JSON.stringify(scene) });
const rowsOf = (file, sql) => {
  const database = new Database(file, { readonly: true });
  try {
    return database.prepare(sql).all();
  } finally {
    database.close();
  }
};

/** Kills the server at random moments while scenes are saved, pictures brought in and prints made. */
async function kills() {
  const data = join(freshFolder("zanvo-kills-"), "zanvo.sqlite");
  const acknowledged = new Map();
  const pictures = new Set();
  let [saves, lost, done] = [0, 0, 0];
  let server = await startServer({ data });
  for (let i = 0; i < 4; i++) {
    const { id } = await (await post(server.url, town(`Scene ${i}`, 20_000 + 60_000 * i))).json();
    acknowledged.set(id, { revision: 1, title: `Scene ${i}` });
  }
  const ids = [...acknowledged.keys()];
  for (let round = 0; round < KILLS && Date.now() < ENDS - 240_000; round++) {
    let going = true;
    const { url } = server;
    const saver = async (id, n) => {
      while (going) {
        const { revision } = acknowledged.get(id);
        const title = `Scene ${n}, state ${saves++}`;
        const answer = await put(url, id, revision, town(title, 20_000 + 60_000 * n)).catch(() => null);
        const body = answer?.status === 200 ? await answer.json().catch(() => null) : null;
        if (body) acknowledged.set(id, { revision: body.revision, title });
        // Killed between the commit and the answer: the newer state stands, which nobody was promised.
        else if (answer?.status === 412)
          acknowledged.set(id, { revision: JSON.parse(await answer.text()).current.revision, title: null });
      }
    };
    const bringer = async () => {
      while (going) {
        const bytes = await sharp({
          create: { width: 40, height: 30, channels: 3, background: { r: below(256), g: below(256), b: below(256) } },
        })
          .png()
          .toBuffer();
        const answer = await fetch(`${url}/api/scenes/${ids[0]}/references`, { method: "POST", body: bytes }).catch(
          () => null,
        );
        const body = answer?.status === 201 ? await answer.json().catch(() => null) : null;
        if (body) pictures.add(body.picture);
      }
    };
    const printer = async () => {
      await fetch(`${url}/api/scenes/${ids[0]}/prints`, {
        method: "POST",
        headers: json,
        body: JSON.stringify({ shot: "s1", tiling: { paper: "A4", landscape: false, overlap: 10, margin: 10 } }),
      }).catch(() => null);
    };
    const work = [...ids.map(saver), bringer(), round % 5 === 0 ? printer() : null];
    await pause(40 + below(250));
    server.child.kill("SIGKILL");
    await server.ended;
    going = false;
    await Promise.all(work);
    server = await startServer({ data }).catch((error) => {
      wrong(`after kill ${round + 1} the server did not start: ${error.message}`);
      return null;
    });
    if (!server) return tell("random kills during saves, uploads and prints", KILLS, done, lost + 1);
    for (const [id, { revision, title }] of acknowledged) {
      const answer = await fetch(`${server.url}/api/scenes/${id}`);
      const now = Number(answer.headers.get("etag")?.replaceAll('"', ""));
      const scene = answer.ok ? await answer.json() : null;
      if (!scene || now < revision || (now === revision && title !== null && scene.title !== title)) {
        lost += 1;
        wrong(`kill ${round + 1}: ${id} was acknowledged at ${revision} (${title}) and is ${now} (${scene?.title})`);
      }
      // What stands there now is what is gone on from.
      if (scene) acknowledged.set(id, { revision: now, title: scene.title });
    }
    for (const picture of [...pictures].slice(-40)) {
      if ((await fetch(`${server.url}/api/scenes/${ids[0]}/references/${picture}`)).status !== 200) {
        lost += 1;
        wrong(`kill ${round + 1}: picture ${picture} was acknowledged and is gone`);
      }
    }
    done += 1;
  }
  await server.stop();
  const [{ quick_check: sound }] = rowsOf(data, "PRAGMA quick_check");
  if (sound !== "ok") wrong(`after the kills the database is not sound: ${sound}`);
  if (done < KILLS) wrong(`only ${done} of ${KILLS} kills fitted into the time`);
  tell("random kills during saves, uploads and prints", KILLS, done, lost, `${saves} saves, ${pictures.size} pictures`);
}

/** A small file system of its own, which can be filled and made read-only; null where that is not allowed. */
function smallDisk(megabytes) {
  const folder = freshFolder("zanvo-small-");
  try {
    execFileSync("mount", ["-t", "tmpfs", "-o", `size=${megabytes}m`, "zanvo-faults", folder], { stdio: "ignore" });
  } catch {
    return null;
  }
  return { folder, end: () => execFileSync("umount", ["-l", folder], { stdio: "ignore" }) };
}

/** A disk that fails in some way and then works again: every save that was acknowledged must be there. */
async function failingDisk(what, { folder, env, fail, heal, end }) {
  const data = join(folder, "db/zanvo.sqlite");
  mkdirSync(join(folder, "db"));
  const server = await startServer({ data, env });
  let [attempted, lost, revision, title] = [0, 0, 1, "Start"];
  const { id } = await (await post(server.url, town(title, 400_000))).json();
  const save = async () => {
    attempted += 1;
    // Noise, so that nothing is packed away.
    const next = {
      ...town(`State ${attempted}`, 20_000),
      "x-noise": Array.from({ length: 20_000 }, () => random()).join(),
    };
    const answer = await put(server.url, id, revision, next);
    const body = await answer.json();
    if (answer.status === 200) [revision, title] = [body.revision, next.title];
    else if (answer.status !== 507 && answer.status !== 503)
      wrong(`${what}: a save was answered ${answer.status}: ${body.detail}`);
    const [row] =
      answer.status === 200
        ? rowsOf(data, `SELECT revision, title FROM scene WHERE id = '${id}'`)
        : [{ revision, title }];
    if (row.revision !== revision || row.title !== title) {
      lost += 1;
      wrong(
        `${what}: acknowledged ${revision} (${title}), but a second connection reads ${row.revision} (${row.title})`,
      );
    }
    return answer.status;
  };
  try {
    for (let round = 0; round < 3; round++) {
      for (let i = 0; i < 3; i++) await save();
      fail();
      const refused = [];
      for (let i = 0; i < 6; i++) refused.push(await save());
      if (refused.includes(200)) wrong(`${what}: a save was acknowledged on a disk that failed`);
      heal();
      await pause(100);
      if ((await save()) !== 200) wrong(`${what}: it does not save again once the disk works`);
    }
    const reading = await (await fetch(`${server.url}/api/scenes/${id}`)).json();
    if (reading.title !== title) wrong(`${what}: the server reads another state than it acknowledged`);
  } finally {
    await server.stop("SIGKILL");
    await pause(200);
    end();
  }
  tell(what, attempted, attempted - lost, lost);
}

/**
 * Compiled and loaded before the C library: while a flag is there, whatever is written to a database fails with EIO.
 */
const SHIM = `
#define _GNU_SOURCE
#include <dlfcn.h>
#include <errno.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <sys/types.h>
#include <unistd.h>
static int failing(int fd) {
  const char *flag = getenv("FAULT_FLAG");
  char link[64], path[4096];
  if (!flag || access(flag, F_OK) != 0) return 0;
  snprintf(link, sizeof link, "/proc/self/fd/%d", fd);
  ssize_t n = readlink(link, path, sizeof path - 1);
  if (n <= 0) return 0;
  path[n] = 0;
  return strstr(path, "zanvo.sqlite") != NULL;
}
ssize_t pwrite64(int fd, const void *data, size_t size, off64_t at) {
  static ssize_t (*real)(int, const void *, size_t, off64_t);
  if (!real) real = dlsym(RTLD_NEXT, "pwrite64");
  if (failing(fd)) { errno = EIO; return -1; }
  return real(fd, data, size, at);
}
#define SYNC(name) int name(int fd) { \\
  static int (*real)(int); \\
  if (!real) real = dlsym(RTLD_NEXT, #name); \\
  if (failing(fd)) { errno = EIO; return -1; } \\
  return real(fd); }
SYNC(fsync)
SYNC(fdatasync)
`;

/**
 * The environment of a server whose writes to its database fail while a flag file is there; null without a compiler.
 */
function faultingLayer() {
  const folder = freshFolder("zanvo-shim-");
  const [source, library, flag] = ["shim.c", "shim.so", "flag"].map((name) => join(folder, name));
  writeFileSync(source, SHIM);
  try {
    execFileSync("cc", ["-shared", "-fPIC", "-o", library, source, "-ldl"], { stdio: "ignore" });
  } catch {
    return null;
  }
  return {
    env: { LD_PRELOAD: library, FAULT_FLAG: flag },
    fail: () => writeFileSync(flag, ""),
    heal: () => rmSync(flag, { force: true }),
  };
}

const ballast = ({ folder }) => join(folder, "ballast");
async function fullDisk() {
  const what = "a full disk, and room again";
  const disk = smallDisk(24);
  if (!disk) return tell(what, 0, 0, 0, "left out: a file system of its own needs root");
  const fill = () => {
    try {
      writeFileSync(ballast(disk), Buffer.alloc(64 * 2 ** 20));
    } catch {
      // It is full now, as it was meant to be.
    }
  };
  await failingDisk(what, {
    folder: disk.folder,
    fail: fill,
    heal: () => rmSync(ballast(disk), { force: true }),
    end: disk.end,
  });
}

async function ioErrors() {
  const what = "writes and syncs that fail with an I/O error";
  const layer = faultingLayer();
  if (!layer) return tell(what, 0, 0, 0, "left out: the faulting layer needs a C compiler");
  await failingDisk(what, { folder: freshFolder("zanvo-io-"), ...layer, end: () => undefined });
}

async function twoServers() {
  const first = await startServer();
  let refused = 0;
  for (let i = 0; i < 3; i++) {
    await startServer({ data: first.data }).then(
      () => wrong("a second server was let in"),
      (error) => {
        if (/in use by another Zanvo/.test(error.message)) refused += 1;
        else wrong(`a second server was refused without a reason: ${error.message}`);
      },
    );
  }
  first.child.kill("SIGKILL");
  await first.ended;
  const after = await startServer({ data: first.data });
  await after.stop();
  tell("a second server on one database", 3, refused, 0);
}

const WORDS = [
  "api",
  "scenes",
  "versions",
  "exports",
  "slips",
  "prints",
  "references",
  "check",
  "health",
  "picture",
  "raw",
  "restore",
  "assets",
  "guide",
  "deleted",
  "NaN",
  "-1",
  "1e9",
  "%00",
  "%zz",
  "..%2f..",
  "%F0%9F%98%80",
  "s1.svg",
  "s1.png",
  "a".repeat(3000),
  "__proto__",
  "constructor",
  "null",
  "*",
  "x?y=%",
];
const BODIES = [
  "",
  "{",
  "[]",
  "null",
  '"x"',
  "{}",
  '{"format":"zanvo-scene"}',
  '{"format":"zanvo-scene","version":1e999}',
  "[".repeat(10_000),
  `{"__proto__":{"a":1},"format":"zanvo-scene","version":1}`,
  "\uFEFF{}",
  "\u0000",
  "é".repeat(1000),
];

async function requests() {
  const server = await startServer();
  const { id } = await (await post(server.url, town("Fuzzed", 20_000))).json();
  let [answered, bad] = [0, 0];
  const before = (await (await fetch(`${server.url}/api/scenes/${id}`)).json()).title;
  const one = async () => {
    const words = Array.from({ length: below(5) }, () => (random() < 0.3 ? id : pick(WORDS)));
    const steps = random() < 0.8 ? ["api", "scenes", ...words] : words;
    const query = random() < 0.3 ? `?${pick(WORDS)}=${pick(WORDS)}` : "";
    const path = `/${steps.join("/")}${query}`;
    const method = pick(["GET", "GET", "POST", "PUT", "DELETE", "PATCH", "HEAD", "OPTIONS"]);
    // A scene that is asked for by its own name is not to be changed by what fits by chance.
    if (method === "DELETE" && /^\/api\/scenes\/[^/?]+\/?(\?|$)/.test(path)) return;
    const headers = {
      ...(random() < 0.7 ? json : {}),
      ...(random() < 0.3 ? { "If-Match": pick(['"1"', "*", "junk", '"-1"', ""]) } : {}),
      ...(random() < 0.1 ? { Range: "bytes=9-1", Cookie: "=;;=", Accept: "," } : {}),
    };
    const body = method === "GET" || method === "HEAD" ? undefined : pick(BODIES);
    try {
      const answer = await fetch(server.url + path, {
        method,
        headers,
        body,
        signal: AbortSignal.timeout(HANG),
        redirect: "manual",
      });
      const text = await answer.text();
      answered += 1;
      if (
        answer.status >= 500 ||
        (answer.status >= 400 && method !== "HEAD" && !/"detail":"[^"]/.test(text) && !text.startsWith("<"))
      ) {
        bad += 1;
        wrong(`${method} ${path.slice(0, 200)} was answered ${answer.status}: ${text.slice(0, 200)}`);
      }
    } catch (error) {
      if (!/fetch failed|invalid/i.test(error.message)) wrong(`${method} ${path.slice(0, 200)}: ${error.message}`);
    }
  };
  for (let i = 0; i < REQUESTS; i += 10) await Promise.all(Array.from({ length: 10 }, one));
  if ((await (await fetch(`${server.url}/api/scenes/${id}`)).json()).title !== before)
    wrong("a fuzzed request changed the scene");
  await server.stop();
  tell("fuzzed requests", REQUESTS, REQUESTS - bad, bad, `${answered} answered`);
}

async function calls() {
  const { main } = await import(pathToFileURL(join(root, "cli/dist/main.js")).href);
  const demo = join(root, "demo/1-quay-street.zanvo.json");
  const words = [
    "pins",
    "project",
    "solve",
    "recover",
    "detect",
    "check",
    "export",
    "slip",
    "print",
    "divide",
    "backup",
    "restore",
    "--shot",
    "s1",
    "--points",
    "--format",
    "svg",
    "png",
    "--out",
    "--dpi",
    "-9",
    "1e9",
    "NaN",
    "--every",
    "--blank",
    "--page",
    "--strict",
    "--",
    "-",
    "-h",
    "--paper",
    "A7",
    demo,
    root,
    "/dev/null",
    "/no/such",
    "\u0000",
    "é",
  ];
  let bad = 0;
  for (let i = 0; i < CALLS; i++) {
    const args = Array.from({ length: below(7) }, () => pick(words));
    // Whatever is written goes where nothing is.
    const safe = [...args, "--out", "/dev/null/x", "--data", "/dev/null/x.sqlite"];
    let err = "";
    const code = await main(safe, {
      stdin: Readable.from([pick(BODIES)]),
      out: () => undefined,
      err: (text) => (err += text),
    }).catch((error) => `thrown: ${error.stack}`);
    if (![0, 1, 2].includes(code) || /\n\s+at .*:\d+/.test(err) || (code !== 0 && !err.trim())) {
      bad += 1;
      wrong(`zanvo ${JSON.stringify(safe)} ended with ${code}: ${err.slice(0, 300)}`);
    }
  }
  tell("fuzzed calls of the shell", CALLS, CALLS - bad, bad);
}

async function pictures() {
  const server = await startServer();
  const { id } = await (await post(server.url, town("Pictures", 5000))).json();
  const plain = sharp({ create: { width: 120, height: 90, channels: 3, background: "#a85" } });
  const sources = [
    await plain.clone().jpeg().toBuffer(),
    await plain.clone().png().toBuffer(),
    await plain.clone().webp().toBuffer(),
    readFileSync(join(root, "demo/photos/the-corner.jpg")),
  ];
  let [taken, refused, bad] = [0, 0, 0];
  for (let i = 0; i < PICTURES; i++) {
    let bytes = Buffer.from(pick(sources));
    for (let n = below(20); n > 0; n--) bytes[below(bytes.length)] = below(256);
    if (random() < 0.3) bytes = bytes.subarray(0, below(bytes.length) + 1);
    const answer = await fetch(`${server.url}/api/scenes/${id}/references`, {
      method: "POST",
      body: bytes,
      signal: AbortSignal.timeout(HANG),
    });
    if (answer.status === 201) taken += 1;
    else if (answer.status === 400) refused += 1;
    else {
      bad += 1;
      wrong(`a spoilt picture was answered ${answer.status}: ${await answer.text()}`);
    }
  }
  await server.stop();
  tell("spoilt pictures", PICTURES, taken + refused, bad, `${taken} taken, ${refused} refused`);
}

/**
 * A browser that is cut off from its server: for a day, without room of its own, with its workers dead, with 38 MB to
 * keep.
 */
async function browser() {
  const { chromium } = await import("@playwright/test");
  const server = await startServer();
  const chrome = await chromium.launch({
    executablePath: chromiumPath(),
    args: ["--no-sandbox", "--disable-gpu"],
  });
  let [attempted, survived] = [0, 0];
  const scene = async (more = {}) => (await (await post(server.url, { ...town("Cut off", 5000), ...more })).json()).id;
  const titleOf = async (id) => (await (await fetch(`${server.url}/api/scenes/${id}`)).json()).title;
  const cut = (page) =>
    page.route("**/api/scenes/*", (route) => (route.request().method() === "PUT" ? route.abort() : route.continue()));
  const rename = async (page, title) => {
    await page.getByLabel("Title of the scene").fill(title);
    await page.getByLabel("Title of the scene").press("Enter");
  };
  const says = (page, text) =>
    page.getByRole("status", { name: "Saving" }).filter({ hasText: text }).waitFor({ timeout: 60_000 });
  const check = async (what, work) => {
    attempted += 1;
    const context = await chrome.newContext({ viewport: { width: 1280, height: 800 } });
    try {
      await work(context);
      survived += 1;
    } catch (error) {
      wrong(`${what}: ${error.message.split("\n")[0]}`);
    } finally {
      await context.close();
    }
  };
  const opened = async (context, id) => {
    const page = await context.newPage();
    await page.goto(`${server.url}/scenes/${id}`);
    await page.getByRole("application", { name: "Desk" }).waitFor({ timeout: 60_000 });
    return page;
  };
  const expect = (is, what) => {
    if (!is) throw new Error(what);
  };

  await check("offline for a day", async (context) => {
    const id = await scene();
    const page = await context.newPage();
    await page.clock.install();
    await page.goto(`${server.url}/scenes/${id}`);
    await page.getByRole("application", { name: "Desk" }).waitFor({ timeout: 60_000 });
    await cut(page);
    await rename(page, "A day's work");
    await page.clock.runFor(5000);
    await says(page, "server out of reach");
    await page.clock.fastForward(86_400_000);
    await rename(page, "The next morning");
    await page.clock.runFor(5000);
    await page.unroute("**/api/scenes/*");
    await page.clock.runFor(6000);
    await says(page, /^Saved$/);
    expect((await titleOf(id)) === "The next morning", "the day's work did not reach the server");
  });
  await check("two tabs offline", async (context) => {
    const id = await scene();
    const pages = [await opened(context, id), await opened(context, id)];
    for (const [i, page] of pages.entries()) {
      await cut(page);
      await rename(page, ["From the first", "From the second"][i]);
      await says(page, "server out of reach");
      await pause(1000);
    }
    for (const page of pages) await page.close();
    const page = await opened(context, id);
    await says(page, /^Saved$/);
    await page
      .getByRole("alert")
      .filter({ hasText: "unsaved work" })
      .getByRole("button", { name: "Keep it as a copy" })
      .click();
    await page.getByText("It is on the shelf").first().waitFor();
    const titles = (await (await fetch(`${server.url}/api/scenes`)).json()).map(({ title }) => title);
    expect(
      titles.some((title) => title.startsWith("From the first")) &&
        titles.some((title) => title.startsWith("From the second")),
      `only ${titles.join(", ")} are left`,
    );
  });
  await check("no room in the browser", async (context) => {
    const id = await scene();
    const page = await opened(context, id);
    const session = await context.newCDPSession(page);
    await session.send("Storage.overrideQuotaForOrigin", { origin: server.url, quotaSize: 1 });
    await cut(page);
    await rename(page, "No room");
    await says(page, "not kept in the browser either");
    await page.unroute("**/api/scenes/*");
    await says(page, /^Saved$/);
    expect((await titleOf(id)) === "No room", "the work did not reach the server");
  });
  await check("38 MB kept and found again", async (context) => {
    const id = await scene({ "x-pad": "p".repeat(38_000_000) });
    const page = await opened(context, id);
    await cut(page);
    await rename(page, "Heavy");
    await says(page, "server out of reach");
    await pause(2000);
    await page.close();
    const again = await opened(context, id);
    await says(again, /^Saved$/);
    expect((await titleOf(id)) === "Heavy", "the heavy work was not found again");
  });
  await check("dead workers", async (context) => {
    const id = await scene();
    const page = await opened(context, id);
    let last;
    for (let i = 0; i < 2; i++) {
      const next = () => page.workers().findLast((one) => one.url().includes("visibility.worker") && one !== last);
      while (!next()) await pause(100);
      last = next();
      await last.evaluate(() => close()).catch(() => undefined);
      await rename(page, `Round ${i}`);
      await page.getByRole("button", { name: "Eye level" }).click();
      await page.getByLabel("Eye height", { exact: true }).fill(String(2 + i));
      await page.keyboard.press("Enter");
      await page.getByText("The drawing is old").waitFor({ timeout: 30_000 });
      await page.getByText("The drawing is old").waitFor({ state: "detached", timeout: 60_000 });
    }
    await says(page, /^Saved$/);
  });
  await chrome.close();
  await server.stop();
  tell("a browser cut off, full, or with dead workers", attempted, survived, attempted - survived);
}

process.stdout.write(`seed ${seed}\n`);
for (const [name, part] of Object.entries({
  kills,
  fullDisk,
  ioErrors,
  twoServers,
  requests,
  calls,
  pictures,
  browser,
})) {
  if (process.env.ONLY && !process.env.ONLY.split(",").includes(name)) continue;
  const begun = Date.now();
  await part().catch((error) => {
    wrong(`${name} broke off: ${error.stack}`);
    tell(name, 1, 0, 1);
  });
  process.stdout.write(`  ${((Date.now() - begun) / 1000).toFixed(0)} s\n`);
  if (Date.now() > ENDS) wrong("it took more than ten minutes");
}
const failed = wrongs.length > 0 || rows.some(([, , , lost]) => lost > 0);
process.stdout.write(failed ? `\n${wrongs.length} things went wrong; seed ${seed}\n` : "\nnothing was lost\n");
process.exit(failed || !existsSync(root) ? 1 : 0);
