import { existsSync, readdirSync, utimesSync } from "node:fs";
import { join } from "node:path";
import request from "supertest";
import sharp from "sharp";
import { startTestServer, titled, type TestServer } from "../../testing";

let server: TestServer;
let app: TestServer["app"];
const create = async (scene: unknown = titled("Lock")) =>
  request(app).post("/api/scenes").type("json").send(JSON.stringify(scene));

beforeEach(async () => {
  server = await startTestServer();
  ({ app } = server);
});
afterEach(() => server.close());

describe("scenes over HTTP", () => {
  it("are created, listed, read, replaced and deleted, each change made from a known version", async () => {
    const created = await create();
    expect([created.status, created.headers.etag]).toEqual([201, '"1"']);
    const address = created.headers.location;
    const list = await request(app).get("/api/scenes");
    expect(list.body).toMatchObject([{ title: "Lock", revision: 1, shots: 1, elements: 0 }]);
    expect((await request(app).get(address)).body).toEqual(titled("Lock"));

    const saved = await request(app)
      .put(address)
      .set("If-Match", '"1"')
      .type("json")
      .send(JSON.stringify(titled("Canal lock")));
    expect([saved.status, saved.headers.etag]).toEqual([200, '"2"']);
    expect((await request(app).delete(address).set("If-Match", '"2"')).status).toBe(204);
    expect((await request(app).get(address)).status).toBe(404);
    expect((await request(app).post(`${address}/restore`)).body.title).toBe("Canal lock");
    expect((await request(app).get("/api/scenes")).body).toHaveLength(1);
  });

  it("ask for a version (428) and refuse a stale one (412), handing over what stands there now", async () => {
    const address = (await create()).headers.location;
    const put = (match?: string) => {
      const call = request(app).put(address).type("json");
      return (match ? call.set("If-Match", match) : call).send(JSON.stringify(titled("Mine")));
    };
    expect((await put()).status).toBe(428);
    expect(
      (
        await request(app)
          .put(address)
          .set("If-Match", '"1"')
          .type("json")
          .send(JSON.stringify(titled("Theirs")))
      ).status,
    ).toBe(200);
    const stale = await put('"1"');
    expect([stale.status, stale.headers.etag]).toEqual([412, '"2"']);
    expect(stale.headers["content-type"]).toMatch(/^application\/problem\+json/);
    expect(stale.body.current).toMatchObject({ revision: 2, document: { title: "Theirs" } });
    expect((await put('"junk"')).status).toBe(412);
    expect((await request(app).get(address)).body.title).toBe("Theirs");
    expect((await put(stale.headers.etag)).status).toBe(200);
  });

  it("keep every version", async () => {
    const address = (await create(titled("One"))).headers.location;
    await request(app)
      .put(address)
      .set("If-Match", '"1"')
      .type("json")
      .send(JSON.stringify(titled("Two")));
    const versions = await request(app).get(`${address}/versions`);
    expect(versions.body.map((v: { title: string }) => v.title)).toEqual(["Two", "One"]);
    expect((await request(app).get(`${address}/versions/1`)).body.title).toBe("One");
    expect((await request(app).get(`${address}/versions/9`)).status).toBe(404);
  });

  it.each<[string, string, number, string]>([
    ["what is not JSON", "{ title", 400, "Not JSON: line 1"],
    [
      "an unknown field",
      JSON.stringify({ ...titled("x"), colour: 1 }),
      400,
      "colour: is not a field that belongs here.",
    ],
    ["a newer version", JSON.stringify({ ...titled("x"), version: 2 }), 400, "version: is 2, from a newer Zanvo"],
    [
      "a negative size",
      JSON.stringify(titled("x")).replace('"width":420', '"width":-420'),
      400,
      "shots/0/sheet/width: must be > 0.",
    ],
    [
      "an infinite number",
      JSON.stringify(titled("x")).replace('"distance":300', '"distance":1e999'),
      400,
      "shots/0/lens/distance: must be a finite number.",
    ],
    ["a body of 50 MB", JSON.stringify({ ...titled("x"), "x-pad": "p".repeat(50_000_000) }), 413, "larger than 40 MB"],
  ])("answer %s with one sentence and keep what is stored", async (_, body, status, detail) => {
    const address = (await create()).headers.location;
    const answer = await request(app).put(address).set("If-Match", '"1"').type("json").send(body);
    expect(answer.status).toBe(status);
    expect(answer.body).toMatchObject({ status, detail: expect.stringContaining(detail) });
    expect((await request(app).get(address)).body).toEqual(titled("Lock"));
  });

  it("are checked without being kept", async () => {
    const before = (await request(app).get("/api/scenes")).body.length;
    expect((await request(app).post("/api/check").send(titled("x"))).status).toBe(204);
    const answer = await request(app)
      .post("/api/check")
      .send({ ...titled("x"), elements: [{ id: "x", kind: "block" }] });
    expect(answer.body).toMatchObject({ status: 400, detail: expect.stringContaining("elements/0/") });
    expect((await request(app).get("/api/scenes")).body).toHaveLength(before);
  });

  it("name the wrong field in problem details", async () => {
    const answer = await create({ ...titled("x"), orientations: [{ id: "m", name: "M", heading: "north" }] });
    expect(answer.body.errors).toEqual([{ path: "orientations/0/heading", message: "must be a finite number." }]);
  });

  it("say when the disk is full, and keep what is stored", async () => {
    const address = (await create()).headers.location;
    const source = server.store.writer.source();
    const [{ page_count: pages }] = await source.query("PRAGMA page_count");
    await source.query(`PRAGMA max_page_count = ${pages}`);
    const large = { ...titled("Large"), "x-note": Array.from({ length: 40_000 }, (_, i) => Math.sin(i)).join() };
    const answer = await request(app).put(address).set("If-Match", '"1"').type("json").send(JSON.stringify(large));
    expect(answer.status).toBe(507);
    expect(answer.body.detail).toMatch(/disk is full/);
    expect((await request(app).get(address)).body).toEqual(titled("Lock"));
    expect(
      (await request(app).put(address).set("If-Match", '"1"').type("json").send(JSON.stringify(large))).status,
    ).toBe(200);
  });

  it("save one after the other when many come at once", async () => {
    const address = (await create()).headers.location;
    const answers = await Promise.all(
      Array.from({ length: 8 }, (_, i) =>
        request(app)
          .put(address)
          .set("If-Match", '"1"')
          .type("json")
          .send(JSON.stringify(titled(`Hand ${i}`))),
      ),
    );
    expect(answers.map((a) => a.status).sort()).toEqual([200, 412, 412, 412, 412, 412, 412, 412]);
  });
});

describe("exports over HTTP", () => {
  it("are told of as a list of formats, without what writes them", async () => {
    const { body } = await request(app).get("/api/formats").set("Host", "localhost:4310");
    expect(body).toContainEqual({ id: "png", label: "PNG", extension: "png", of: "drawing", dots: true });
    const tolerance = { minimum: 0.1, maximum: 1000, default: 10 };
    expect(body).toContainEqual({ id: "obj", label: "OBJ", extension: "obj", of: "masses", tolerance });
    expect((await request(app).post("/api/formats").set("Host", "localhost:4310")).status).toBe(405);
  });

  it("are SVG in true mm, and PNG with its resolution written in", async () => {
    const address = (await create()).headers.location;
    const svg = await request(app).get(`${address}/exports/s1.svg`).buffer();
    expect(svg.headers["content-type"]).toMatch(/^image\/svg\+xml/);
    expect(svg.body.toString()).toContain('width="420mm"');
    const png = await request(app).get(`${address}/exports/s1.png?dpi=100&without=bundles&download`);
    expect(png.headers["content-disposition"]).toContain("Lock-First-shot.png");
    expect(await sharp(png.body).metadata()).toMatchObject({ width: 1654, height: 1169, density: 100 });
  });

  it("are PNG without paper under the lines, and cut to the panel, when that is asked for", async () => {
    const address = (await create()).headers.location;
    const png = async (query: string) => {
      const { body } = await request(app).get(`${address}/exports/s1.png?dpi=127&${query}`);
      const image = sharp(body as Buffer);
      return { size: await image.metadata(), alpha: (await image.stats()).isOpaque };
    };
    // 127 dpi are 5 px to the mm; the panel is 390 x 267 mm.
    expect(await png("transparent&panel")).toMatchObject({
      size: { width: 1950, height: 1335, density: 127 },
      alpha: false,
    });
    expect(await png("panel")).toMatchObject({ size: { width: 1950, height: 1335 }, alpha: true });
    expect(await png("transparent")).toMatchObject({ size: { width: 2100, height: 1485 }, alpha: false });
  });

  it("are of every format that there is, named with its ending, in groups, inks and sizes", async () => {
    const address = (await create()).headers.location;
    const formats = (await request(app).get("/api/formats")).body as { id: string; extension: string }[];
    expect(formats.length).toBeGreaterThan(8);
    for (const { id, extension } of formats) {
      const { status, headers } = await request(app).get(`${address}/exports/s1.${id}?dpi=40&download`);
      expect([id, status]).toEqual([id, 200]);
      expect(headers["content-disposition"]).toMatch(new RegExp(`\\.${extension}"?$`));
    }
    const png = await request(app).get(`${address}/exports/s1.png?size=400x300&ink=black`);
    expect(await sharp(png.body as Buffer).metadata()).toMatchObject({ width: 400, height: 300 });
    const wrong = await request(app).get(`${address}/exports/s1.png?ink=red`);
    expect(`${wrong.status} ${wrong.body.detail}`).toBe("400 ink: must be one of: colour, grey, black.");
  });

  it("refuse an unknown shot, format or kind of line, and a picture of 2,000,000 px", async () => {
    const address = (await create()).headers.location;
    const detail = async (path: string) => {
      const { status, body } = await request(app).get(`${address}/exports/${path}`);
      return `${status} ${body.detail}`;
    };
    expect(await detail("s9.svg")).toBe('400 shot: there is no shot "s9"; there is "s1".');
    expect(await detail("s1.gif")).toBe(
      "400 format: must be one of: svg, pdf, png, ora, png-set, dxf, obj, gltf, geojson.",
    );
    expect(await detail("s1.svg?without=clouds")).toMatch(/^400 without: there are no lines called "clouds"/);
    expect(await detail("s1.png?dpi=121000")).toMatch(
      /^400 dpi: would make a picture of 2,000,787 x 1,414,843 px; this sheet takes 36 to \d+ dpi\.$/,
    );
    expect(await detail("s1.png?dpi=many")).toMatch(/^400 dpi: is no number/);
    expect(await detail("s1.obj?tolerance=0")).toBe("400 tolerance: must be from 0.1 to 1000 mm.");
  });
});

describe("the door", () => {
  it("answers only to its own names, and takes changes only from its own pages", async () => {
    expect((await request(app).get("/api/scenes").set("Host", "evil.example")).status).toBe(421);
    expect((await request(app).get("/api/health").set("Host", "localhost:4310")).body).toEqual({ status: "ok" });
    const foreign = await request(app)
      .post("/api/scenes")
      .set("Origin", "http://evil.example")
      .type("json")
      .send(JSON.stringify(titled("x")));
    expect(foreign.status).toBe(403);
    expect((await request(app).post("/api/scenes").type("text").send("x")).status).toBe(415);
    expect((await request(app).get("/api/nothing")).status).toBe(404);
  });

  it("serves the page at every address, with a content policy that runs nothing foreign", async () => {
    const page = await request(app).get("/scenes/abc");
    const policy = page.headers["content-security-policy"];
    expect(policy).toContain("default-src 'none'");
    expect(policy).toContain("script-src 'self';");
    expect(policy).not.toContain("unsafe");
    expect(page.text).toContain(`content="${/'nonce-([^']+)'/.exec(policy)![1]}"`);
    expect((await request(app).get("/")).status).toBe(200);
  });
});

describe("prints over HTTP", () => {
  const tiling = { paper: "A4", landscape: false, overlap: 10, margin: 10 };
  const order = (address: string, what: unknown = { shot: "s1", tiling }) =>
    request(app).post(`${address}/prints`).type("json").send(JSON.stringify(what));
  const settled = async (print: string) => {
    for (let i = 0; i < 200; i++) {
      const { body } = await request(app).get(print);
      if (body.state !== "working") return body;
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    return null;
  };

  it("are ordered, watched and fetched, and only below their own scene", async () => {
    const address = (await create()).headers.location;
    const ordered = await order(address);
    expect([ordered.status, ordered.body.state]).toEqual([202, "working"]);
    const print = ordered.headers.location;
    const done = await settled(print);
    expect(done).toMatchObject({ state: "ready" });
    expect(done.done).toBe(done.of);
    const file = await request(app).get(`${print}/file.pdf`).buffer();
    expect([file.status, file.type, file.body.subarray(0, 5).toString()]).toEqual([200, "application/pdf", "%PDF-"]);
    const other = (await create()).headers.location;
    expect((await request(app).get(print.replace(address, other))).status).toBe(404);
  });

  it("make blank grids as one ZIP, and say what is wrong with an order", async () => {
    const address = (await create()).headers.location;
    const print = (await order(address, { shot: "s1", grids: { dpi: 36 } })).headers.location;
    expect(await settled(print)).toMatchObject({ state: "ready", kind: "zip", done: 30, of: 30 });
    const file = await request(app)
      .get(`${print}/file.zip`)
      .buffer()
      .parse((res, done) => {
        const parts: Buffer[] = [];
        res.on("data", (part: Buffer) => parts.push(part));
        res.on("end", () => done(null, Buffer.concat(parts)));
      });
    expect([file.status, file.type, (file.body as Buffer).subarray(0, 2).toString()]).toEqual([
      200,
      "application/zip",
      "PK",
    ]);
    expect((await request(app).get(`${print}/file.pdf`)).status).toBe(404);
    const wrong = await order(address, { shot: "s1", grids: { dpi: 5 } });
    expect([wrong.status, wrong.body.errors[0].path]).toEqual([400, "grids/dpi"]);
  });

  it("are stopped, and gone then", async () => {
    const address = (await create()).headers.location;
    const print = (await order(address)).headers.location;
    expect((await request(app).get(`${print}/file.pdf`)).status).toBe(409);
    expect((await request(app).delete(print)).status).toBe(204);
    expect((await request(app).get(print)).status).toBe(404);
  });

  it("say what is wrong with an order, and why a desk cannot be printed", async () => {
    const address = (await create()).headers.location;
    expect((await order(address, { shot: "s1", tiling: { ...tiling, paper: "A7" } })).body.errors).toEqual([
      { path: "tiling/paper", message: "must be one of: A4, A3, B4, Letter, Legal, Tabloid." },
    ]);
    expect((await order(address, { shot: "s9", tiling })).body.detail).toContain('there is no shot "s9"');
    // Nearly facing a wall, the other point stands kilometres off.
    const scene = titled("Far");
    scene.shots[0].gaze.heading = 35.01;
    const far = (await create(scene)).headers.location;
    expect((await settled((await order(far)).headers.location)).message).toMatch(
      /^desk: would take \d+ × \d+ sheets of A4; 2000 are the most\./,
    );
  });

  it("give drawings and set-up sheets as PDF too", async () => {
    const address = (await create()).headers.location;
    for (const path of ["exports/s1.pdf", "slips/s1.pdf?every=20"]) {
      const { status, type, body } = await request(app).get(`${address}/${path}`).buffer();
      expect([status, type, body.subarray(0, 5).toString()]).toEqual([200, "application/pdf", "%PDF-"]);
    }
    for (const path of ["recipes/square.pdf", "slips/s1.pdf?recipe=square"]) {
      const { status, body } = await request(app).get(`${address}/${path}`).buffer();
      expect([status, body.subarray(0, 5).toString()]).toEqual([200, "%PDF-"]);
    }
    expect(await request(app).get(`${address}/recipes/block.pdf`)).toMatchObject({
      status: 409,
      body: { detail: "Choose a building first." },
    });
    expect((await request(app).get(`${address}/recipes/origami.pdf`)).status).toBe(400);
    expect((await request(app).get(`${address}/slips/s1.pdf?every=0`)).body.detail).toBe(
      "every: must be from 1 to 500 mm.",
    );
  });
});

describe("references over HTTP", () => {
  const bring = (address: string, bytes: Buffer) =>
    request(app).post(`${address}/references`).type("application/octet-stream").send(bytes);
  const photo = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: "#a85" } });

  it("are taken in upright, told the lens they note, and served as one fixed type that is never run", async () => {
    const address = (await create()).headers.location;
    // Orientation 6: the camera was turned, so the picture stands upright with its sides changed (Exif 2.32, tag
    // 0x0112).
    const turned = await photo(90, 60)
      .withExif({ IFD0: { Orientation: "6" }, IFD2: { FocalLengthIn35mmFilm: "28" } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    const { status, body } = await bring(address, turned);
    expect([status, body.width, body.height, body.focal35]).toEqual([201, 60, 90, 28]);
    expect((await bring(address, turned)).body.picture).toBe(body.picture);
    for (const query of ["", "?preview"]) {
      const answer = await request(app).get(`${address}/references/${body.picture}${query}`).buffer();
      expect([
        answer.status,
        answer.type,
        answer.headers["x-content-type-options"],
        answer.headers["content-security-policy"],
      ]).toEqual([200, "image/webp", "nosniff", "default-src 'none'; sandbox"]);
    }
    expect((await request(app).get(`${address}/references/${"0".repeat(64)}`)).body.detail).toBe(
      "This picture is not on this machine: bring it in again.",
    );
    expect((await request(app).get(`${address}/references/..%2F..%2Fdb%2Fzanvo.sqlite`)).status).toBe(404);
  });

  it("that are none are refused with a sentence, and nothing is kept", async () => {
    const address = (await create()).headers.location;
    const whole = await photo(800, 600).jpeg().toBuffer();
    const heic = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from("ftypheic0000"), Buffer.alloc(64)]);
    for (const [bytes, said] of [
      [Buffer.from("<html>no picture</html>"), "picture: is no picture that can be read: JPEG, PNG and WebP are."],
      [
        Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'),
        "picture: is SVG; JPEG, PNG and WebP can be read.",
      ],
      [heic, "picture: is HEIC, which browsers do not show. Save or share it as JPEG first."],
      [whole.subarray(0, whole.length / 2), "picture: is cut off: a part of the file is missing."],
      [await photo(17_000, 20).png().toBuffer(), "picture: is 17,000 px long; up to 16,383 can be taken."],
    ] as const) {
      const { status, body } = await bring(address, bytes);
      expect([status, body.detail]).toEqual([400, said]);
    }
    const bomb = await bring(address, await photo(9000, 6000).png({ compressionLevel: 9 }).toBuffer());
    expect([bomb.status, bomb.body.detail]).toEqual([400, "picture: has 54 megapixels; up to 40 can be taken."]);
    expect(existsSync(await server.pictures.folder())).toBe(false);
    expect((await bring("/api/scenes/none", whole)).status).toBe(404);
  });

  it("are kept while a document or a version of one speaks of them", async () => {
    const address = (await create()).headers.location;
    const { picture } = (await bring(address, await photo(60, 40).jpeg().toBuffer())).body as { picture: string };
    const old = new Date(Date.now() - 2 * 86_400_000);
    const folder = await server.pictures.folder();
    const files = () => readdirSync(folder).filter((file) => file.endsWith(".webp"));
    for (const file of files()) utimesSync(join(folder, file), old, old);
    const named = { ...titled("Lock"), "x-notes": picture };
    await request(app).put(address).set("If-Match", "*").type("json").send(JSON.stringify(named));
    await request(app)
      .put(address)
      .set("If-Match", "*")
      .type("json")
      .send(JSON.stringify(titled("Lock")));
    await server.pictures.sweep(server.store.names);
    expect(files()).toHaveLength(2);
    await server.pictures.sweep(() => Promise.resolve(false));
    expect(files()).toEqual([]);
    expect((await request(app).get("/api/pictures/removed")).body).toMatchObject([{ picture }]);
    expect((await request(app).get(`${address}/references/${picture}`)).status).toBe(200);
    expect((await request(app).get("/api/pictures/removed")).body).toEqual([]);
  });
});
