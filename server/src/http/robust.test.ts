import { rmSync } from "node:fs";
import type { AddressInfo } from "node:net";
import { connect } from "node:net";
import { gunzipSync } from "node:zlib";
import Database from "better-sqlite3";
import { VERSION } from "@zanvo/core/scene";
import request from "supertest";
import sharp from "sharp";
import { createServer } from ".";
import { startTestServer, titled, type TestServer } from "../../testing";

let server: TestServer;
const api = () => request(server.app);
const create = async (scene: unknown = titled("Lock")) =>
  (await api().post("/api/scenes").type("json").send(JSON.stringify(scene))).headers.location;
const block = (i: number) => ({
  id: `b${i}`,
  kind: "block",
  name: "House",
  origin: { x: 0, y: 20, z: 0 },
  heading: 0,
  length: 9,
  width: 7,
  height: 12,
});
const close = () => server.close();

describe("a server that is asked for too much", () => {
  beforeEach(async () => {
    server = await startTestServer({ limits: { seconds: 1 } });
  });
  afterEach(close);

  it("gives heavy drawings up with a sentence, and goes on answering meanwhile", async () => {
    // Twenty thousand blocks in one place, each of which hides every other.
    const address = await create({ ...titled("Heap"), elements: Array.from({ length: 20_000 }, (_, i) => block(i)) });
    const heavy = api()
      .get(`${address}/exports/s1.svg`)
      .then((answer) => answer);
    const waits: number[] = [];
    for (let i = 0; i < 10; i++) {
      const begun = performance.now();
      expect((await api().get("/api/health")).status).toBe(200);
      waits.push(performance.now() - begun);
    }
    const { status, body, headers } = await heavy;
    expect([status, body.detail, headers["retry-after"]]).toEqual([
      503,
      expect.stringMatching(/^This takes more than 1 seconds to work out, so it was given up\./),
      "2",
    ]);
    // The median: a busy machine may let any single one wait.
    expect(waits.sort((a, b) => a - b)[5]).toBeLessThan(500);
    // The shelf says that there is no picture, at once when it is asked again.
    expect((await api().get(`${address}/picture`)).status).toBe(404);
    const again = performance.now();
    expect((await api().get(`${address}/picture`)).status).toBe(404);
    expect(performance.now() - again).toBeLessThan(500);
    // The scene itself is as it was.
    expect((await api().get(address)).body.elements).toHaveLength(20_000);
  });

  it("refuses 38 MB of broken JSON and deep nesting, in checking as in saving", async () => {
    const part = `${JSON.stringify(block(0))},`;
    const broken = `{"format":"zanvo-scene","elements":[${part.repeat(Math.floor(38e6 / part.length))}!]}`;
    const deep = JSON.stringify({ ...titled("x"), "x-deep": 0 }).replace(
      '"x-deep":0',
      `"x-deep":${"[".repeat(100_000)}${"]".repeat(100_000)}`,
    );
    for (const [body, detail] of [
      [broken, /^Not JSON: Unexpected token '!'/],
      [deep, /64 deep/],
      ["", /it is empty/],
      [Buffer.from([0x22, 0xff, 0x22]), /not text in UTF-8/],
    ] as const) {
      const answers = await Promise.all(
        ["/api/check", "/api/scenes"].map((path) =>
          api()
            .post(path)
            .type("json")
            .serialize((given: unknown) => given as string)
            .send(body),
        ),
      );
      for (const answer of answers)
        expect([answer.status, answer.body.detail]).toEqual([400, expect.stringMatching(detail)]);
    }
    expect((await api().get("/api/scenes")).body).toEqual([]);
  });
});

describe("whoever has gone", () => {
  beforeEach(async () => {
    server = await startTestServer({ limits: { threads: [0, 1] } });
  });
  afterEach(close);

  it("is not worked for any more", async () => {
    const heap = await create({ ...titled("Heap"), elements: Array.from({ length: 20_000 }, (_, i) => block(i)) });
    const light = await create();
    const heavy = api().get(`${heap}/exports/s1.svg`);
    const sent = heavy.then(
      () => "answered",
      () => "gone",
    );
    await new Promise((resolve) => setTimeout(resolve, 2500));
    heavy.abort();
    // There is one thread: it is free before the heavy drawing would have been given up, at 20 s.
    const begun = performance.now();
    expect((await api().get(`${light}/exports/s1.svg`)).status).toBe(200);
    expect(performance.now() - begun).toBeLessThan(12_000);
    expect(await Promise.race([sent, Promise.resolve("still asking")])).not.toBe("answered");
  });
});

describe("prints", () => {
  beforeEach(async () => {
    server = await startTestServer({ printLimits: { kept: 2, atOnce: 1 } });
  });
  afterEach(close);

  it("are kept on the disk, the last few of them, and no more are made at once than the machine bears", async () => {
    const address = await create();
    const order = () =>
      api()
        .post(`${address}/prints`)
        .type("json")
        .send(JSON.stringify({ shot: "s1", tiling: { paper: "A4", landscape: false, overlap: 10, margin: 10 } }));
    const done = async (print: string) => {
      for (;;) if ((await api().get(print)).body.state === "ready") return;
    };
    const prints: string[] = [];
    for (let i = 0; i < 3; i++) {
      const { headers } = await order();
      if (i === 0) expect((await order()).status).toBe(503);
      prints.push(headers.location);
      await done(headers.location);
    }
    const statuses = await Promise.all(prints.map(async (print) => (await api().get(`${print}/file.pdf`)).status));
    expect(statuses).toEqual([404, 200, 200]);
  });
});

describe("a sturdy server", () => {
  beforeEach(async () => {
    server = await startTestServer();
  });
  afterEach(close);

  it.each([
    ["GET", "/versions/NaN", 400],
    ["GET", "/versions/-1", 400],
    ["GET", "/versions/1e99", 400],
    ["GET", "/versions/99999999999999", 404],
    ["GET", "/versions/9", 404],
    ["PATCH", "", 405],
    ["POST", "", 405],
    ["PUT", "/versions", 405],
    ["DELETE", "/picture", 405],
    ["GET", "/versions/%E0%A4%A", 400],
    ["GET", "/exports/s1", 400],
    ["GET", "/nothing/here", 404],
    ["GET", "/exports/s1.svg?without=a&without=b", 200],
    ["GET", "/slips/s1.pdf?every=NaN", 400],
    ["GET", "/raw", 200],
  ])("answers %s of a scene's %s with %i, in words", async (method, path, status) => {
    const address = await create();
    const answer = await request(server.app)[method.toLowerCase() as "get"](`${address}${path}`).buffer();
    expect(answer.status).toBe(status);
    if (status >= 400) expect(answer.headers["content-type"]).toMatch(/^application\/problem\+json/);
    if (status >= 400) expect(answer.headers["cache-control"]).toBe("no-store");
    if (status === 405) expect(answer.headers.allow).toMatch(/GET/);
  });

  it("refuses bad escapes, and serves nothing from the page's folder but the page and its files", async () => {
    const expected: readonly (readonly [string, number])[] = [
      ["/built", 404],
      ["/index.html", 404],
      ["/assets/", 404],
      ["/assets/none.js", 404],
      ["/assets/%2e%2e/index.html", 403],
      ["/%", 400],
      ["/assets/%zz", 400],
      ["/scenes/any", 200],
      ["/guide", 200],
      ["/", 200],
    ];
    for (const [path, status] of expected) expect([path, (await api().get(path)).status]).toEqual([path, status]);
    expect((await api().get("/built").set("Accept", "text/css")).body.title).toBe("Not found");
    expect((await api().post("/guide")).status).toBe(405);
  });

  it("answers even what is no HTTP in problem details", async () => {
    const listening = createServer(server.app).listen(0, "127.0.0.1");
    await new Promise((resolve) => listening.once("listening", resolve));
    const said = await new Promise<string>((resolve) => {
      const socket = connect((listening.address() as AddressInfo).port, "127.0.0.1", () =>
        socket.write("BREW /pot HTTP/1.1\r\n\r\n"),
      );
      const parts: Buffer[] = [];
      socket.on("data", (part) => parts.push(part)).on("end", () => resolve(Buffer.concat(parts).toString()));
    });
    expect(said).toMatch(
      /^HTTP\/1\.1 400 [^]*application\/problem\+json[^]*"detail":"The request could not be read\."/,
    );
    expect(listening.keepAliveTimeout).toBeGreaterThan(300_000);
    listening.close();
  });

  it("sends scripts as they were compressed when they were built", async () => {
    const answer = await api().get("/assets/built.js").set("Accept-Encoding", "gzip, br");
    expect(answer.headers["content-encoding"]).toBe("br");
    expect(answer.headers["cache-control"]).toContain("immutable");
    expect(answer.headers["content-type"]).toContain("javascript");
    const plain = await api().get("/assets/built.js").set("Accept-Encoding", "identity");
    expect([plain.headers["content-encoding"], plain.text]).toEqual([undefined, "const built = true;"]);
  });

  it("packs what it sends, documents as they are stored", async () => {
    const address = await create({ ...titled("Long"), elements: Array.from({ length: 200 }, (_, i) => block(i)) });
    for (const path of [address, "/assets/app.js"]) {
      const answer = await api().get(path).set("Accept-Encoding", "gzip");
      expect([path, answer.headers["content-encoding"]]).toEqual([path, "gzip"]);
    }
    const plain = await api().get(address).set("Accept-Encoding", "identity");
    expect([plain.headers["content-encoding"], plain.body.title]).toEqual([undefined, "Long"]);
    const { document } = await server.store.read(address.split("/").at(-1)!);
    expect(JSON.parse(gunzipSync(document as Buffer).toString())).toEqual(plain.body);
  });

  it("tells the browser at once what the shelf needs, each part once", async () => {
    const { headers } = await api().get("/").set("Accept", "text/html");
    expect(headers.link).toBe(
      [
        "</api/scenes>; rel=preload; as=fetch; crossorigin=anonymous",
        ...["shelf", "ui", "dates"].map((part) => `</assets/${part}.js>; rel=modulepreload`),
      ].join(", "),
    );
    expect((await api().get("/guide").set("Accept", "text/html")).headers.link).toBeUndefined();
    expect((await api().get("/.vite/manifest.json")).status).toBe(404);
  });

  it("does not send back what it was sent", async () => {
    const address = await create();
    const answer = await api()
      .put(address)
      .set("If-Match", '"1"')
      .type("json")
      .send(JSON.stringify({ ...titled("Next"), "x-pad": "p".repeat(100_000) }));
    expect(answer.body).toMatchObject({ revision: 2, title: "Next" });
    expect(Number(answer.headers["content-length"])).toBeLessThan(500);
  });

  it("lists, downloads, restores and deletes what it cannot read", async () => {
    const address = await create(titled("Good"));
    await api()
      .put(address)
      .set("If-Match", "*")
      .type("json")
      .send(JSON.stringify(titled("Bad")));
    const id = address.split("/").at(-1)!;
    const spoil = (document: unknown, format: number = VERSION) => {
      const database = new Database(server.store.file);
      database
        .prepare("UPDATE version SET document = ?, format = ? WHERE sceneId = ? AND revision = 2")
        .run(document, format, id);
      database.close();
    };
    const newer = JSON.stringify({ ...titled("Bad"), version: 99 });
    for (const [document, format, said] of [
      ["{ broken", VERSION, /cannot be read \(Not JSON/],
      [Buffer.from("no gzip"), VERSION, /is damaged/],
      [newer, 99, /from a newer Zanvo/],
    ] as const) {
      spoil(document, format);
      const answer = await api().get(address);
      expect([answer.status, answer.body.detail]).toEqual([422, expect.stringMatching(said)]);
      expect(answer.headers.etag).toBeUndefined();
      expect((await api().get(`${address}/exports/s1.svg`)).status).toBe(422);
      expect((await api().get(`${address}/raw`).buffer()).body.toString()).toBe(document.toString());
      expect((await api().get("/api/scenes")).body).toMatchObject([{ title: "Bad", revision: 2 }]);
    }
    const back = await api().post(`${address}/versions/1/restore`).set("If-Match", '"2"');
    expect([back.status, back.body.title, back.body.revision]).toEqual([200, "Good", 3]);
    expect((await api().get(address)).body.title).toBe("Good");
    expect((await api().post(`${address}/versions/1/restore`).set("If-Match", '"2"')).status).toBe(412);
    expect((await api().post(`${address}/versions/1/restore`)).status).toBe(428);
    expect((await api().delete(address).set("If-Match", "*")).status).toBe(204);
    expect((await api().get("/api/scenes?deleted")).body).toMatchObject([
      { title: "Good", deletedAt: expect.any(String) },
    ]);
    expect((await api().post(`${address}/restore`)).body.title).toBe("Good");
  });

  it("stores a small picture of a scene, as of its revision, to be kept by the browser", async () => {
    const address = await create({ ...titled("Corner"), elements: [block(1)] });
    const first = await api().get(`${address}/picture?revision=1`).buffer();
    expect([first.type, first.headers.etag, first.headers["cache-control"]]).toEqual([
      "image/webp",
      '"1"',
      "private, max-age=31536000, immutable",
    ]);
    // An A3 sheet is 420 x 297 mm.
    expect(await sharp(first.body).metadata()).toMatchObject({ format: "webp", width: 498, height: 352 });
    expect((await api().get(`${address}/picture`).set("If-None-Match", '"1"')).status).toBe(304);
    await api()
      .put(address)
      .set("If-Match", "*")
      .type("json")
      .send(JSON.stringify({ ...titled("Corner"), elements: [] }));
    const second = await api().get(`${address}/picture`).buffer();
    expect(second.headers.etag).toBe('"2"');
    expect(second.body.equals(first.body)).toBe(false);
  });

  it("never lets a cache keep that a picture is missing, and says in an export that it lacks one", async () => {
    const photo = await sharp({ create: { width: 80, height: 60, channels: 3, background: "#a85" } })
      .jpeg()
      .toBuffer();
    const plain = await create();
    const { picture } = (await api().post(`${plain}/references`).type("application/octet-stream").send(photo)).body as {
      picture: string;
    };
    const scene = titled("With a photo");
    const reference = { id: "r", name: "Quay", picture, width: 80, height: 60, sets: [] };
    const [shot] = scene.shots;
    const address = await create({
      ...scene,
      references: [reference],
      shots: [{ ...shot, under: { reference: "r", strength: 1, at: shot.frame } }],
    });
    expect((await api().get(`${address}/exports/s1.svg`).buffer()).body.toString()).toContain("<image");
    rmSync((await server.pictures.find(picture, false))!);
    const gone = await api().get(`${address}/references/${picture}`);
    expect([gone.status, gone.headers["cache-control"], gone.body.detail]).toEqual([
      404,
      "no-store",
      "This picture is not on this machine: bring it in again.",
    ]);
    const lacking = await api().get(`${address}/exports/s1.svg`).buffer();
    expect([lacking.status, lacking.headers["x-missing-photos"]]).toEqual([200, "Quay"]);
    expect(lacking.body.toString()).toMatch(/<g id="missing"[^]*<path d="M/);
    await api().post(`${plain}/references`).type("application/octet-stream").send(photo);
    expect((await api().get(`${address}/references/${picture}`)).status).toBe(200);
    expect((await api().get(`${address}/exports/s1.svg`)).headers["x-missing-photos"]).toBeUndefined();
  });

  it("says 503 and when to come again while another program holds the database", async () => {
    const other = new Database(server.store.file);
    other.exec("BEGIN IMMEDIATE");
    const saving = api()
      .post("/api/scenes")
      .type("json")
      .send(JSON.stringify(titled("Late")))
      .then((answer) => answer);
    // Reading goes on meanwhile.
    expect((await api().get("/api/scenes")).status).toBe(200);
    const { status, headers, body } = await saving;
    expect([status, headers["retry-after"], body.detail]).toEqual([
      503,
      "2",
      expect.stringContaining("Another program holds the database"),
    ]);
    other.exec("COMMIT");
    other.close();
    expect((await api().get("/api/scenes")).body).toEqual([]);
  });
});

describe("a server that others can reach", () => {
  const key = "k".repeat(32);
  beforeEach(async () => {
    server = await startTestServer({ key, names: ["192.0.2.7"] });
  });
  afterEach(close);

  it("answers nothing without its key, and keeps the key of the link as a cookie that no script sees", async () => {
    const from = (path: string) => api().get(path).set("Host", "192.0.2.7:4310");
    for (const path of ["/", "/api/health", "/api/scenes", "/assets/app.js", `/?key=${"x".repeat(32)}`])
      expect([path, (await from(path)).status]).toEqual([path, 401]);
    expect((await api().get("/api/health").set("Host", "elsewhere.example")).status).toBe(421);
    const linked = await from(`/guide?key=${key}&page=2`);
    expect([linked.status, linked.headers.location]).toEqual([303, "/guide?page=2"]);
    const [cookie] = linked.get("Set-Cookie")!;
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
    expect((await from("/api/scenes").set("Cookie", cookie.split(";")[0])).status).toBe(200);
    expect((await from("/api/scenes").set("Authorization", `Bearer ${key}`)).status).toBe(200);
    expect((await from("/api/scenes").set("Cookie", "zanvo-key=no")).status).toBe(401);
  });
});
