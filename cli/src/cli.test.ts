import { execFileSync } from "node:child_process";
import { mkdtempSync, readdirSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import fc from "fast-check";
import { unzipSync } from "fflate";
import sharp from "sharp";
import { newScene, splitPanel, type Scene } from "@zanvo/core/scene";
import { openStore } from "@zanvo/store";
import { demo, fileOf, folder, run, runAny } from "../testing";

describe("zanvo pins", () => {
  it("gives horizon, centre, distance and pins, those at infinity by their angle", async () => {
    const { answer } = await run(["pins", "-"], JSON.stringify(newScene("Test")));
    expect(answer).toEqual({
      shot: "s1",
      horizon: { y: 148.5 },
      centre: { x: 210, y: 148.5 },
      distance: 300,
      pins: [
        expect.objectContaining({
          id: "main-left",
          y: expect.closeTo(148.5, 9),
          offSheet: { side: "left", distance: expect.closeTo(300 * Math.tan((55 * Math.PI) / 180) - 210, 9) },
        }),
        expect.objectContaining({ id: "main-right", x: expect.closeTo(210 + 300 * Math.tan((35 * Math.PI) / 180), 9) }),
        { id: "upright", name: "Uprights", direction: [0, 0, 1], x: null, y: null, angle: 90, offSheet: null },
      ],
    });
  });

  it("gives a rolled horizon by its two ends, and none for a view straight down", async () => {
    const scene = newScene("Test");
    scene.shots[0].gaze = { heading: 0, pitch: 0, roll: 10 };
    const rise = 210 * Math.tan(Math.PI / 18);
    expect((await run(["pins", "-"], JSON.stringify(scene))).answer).toMatchObject({
      horizon: {
        from: { x: 0, y: expect.closeTo(148.5 + rise, 6) },
        to: { x: 420, y: expect.closeTo(148.5 - rise, 6) },
      },
    });
    scene.shots[0].gaze = { heading: 0, pitch: -90, roll: 0 };
    expect((await run(["pins", "-"], JSON.stringify(scene))).answer).toMatchObject({ horizon: null });
  });
});

describe("zanvo project", () => {
  it("gives sheet points, null for what lies behind", async () => {
    const points = fileOf("points.json", [
      [0, 10, 0],
      [1, 10, 1.6],
      [0, -5, 0],
    ]);
    const scene = fileOf("scene.json", newScene("Test"));
    // 10 m ahead, 300 mm stand for 10 m: 1.6 m are 48 mm, 1 m is 30 mm.
    expect((await run(["project", scene, "--points", points])).answer).toEqual([
      { x: 210, y: 196.5 },
      { x: 240, y: 148.5 },
      null,
    ]);
  });
});

describe("zanvo solve", () => {
  it(
    "solves through a curved lens: two pins on the rim of a disc, a quarter turn from each other " + "seen from C",
    async () => {
      // Both 45 degrees off C: r = 2d tan 22.5 degrees = 0.8284 d, so 82.84 mm are 100 mm of picture distance.
      const r = 200 * Math.tan(Math.PI / 8);
      const { code, answer } = await run(
        ["solve", "-"],
        JSON.stringify({
          law: "stereographic",
          pins: [
            { x: 200 - r, y: 150 },
            { x: 200 + r, y: 150 },
          ],
        }),
      );
      expect([code, answer]).toEqual([
        0,
        {
          lens: { law: "stereographic", distance: expect.closeTo(100, 6), centre: { x: 200, y: 150 } },
          gaze: { heading: expect.closeTo(45, 6), pitch: expect.closeTo(0, 9), roll: expect.closeTo(0, 9) },
        },
      ]);
    },
  );

  it("gives lens and gaze", async () => {
    const pins = {
      law: "rectilinear",
      pins: [
        { x: 10, y: 148.5 },
        { x: 660, y: 148.5 },
      ],
      centre: { x: 210, y: 148.5 },
    };
    expect((await run(["solve", "-"], JSON.stringify(pins))).answer).toEqual({
      lens: { law: "rectilinear", distance: expect.closeTo(300, 9), centre: { x: 210, y: 148.5 } },
      gaze: { heading: expect.closeTo(33.690067525979785, 9), pitch: 0, roll: 0 },
    });
  });

  it("ends with 1 where there is no answer, saying why", async () => {
    const obtuse = {
      law: "rectilinear",
      pins: [
        { x: 0, y: 0 },
        { x: 400, y: 0 },
        { x: 200, y: 50 },
      ],
    };
    const { code, err } = await run(["solve", "-"], JSON.stringify(obtuse));
    expect([code, err]).toEqual([1, expect.stringMatching(/not acute.*nearest third point that works/)]);
  });
});

describe("zanvo recover", () => {
  const fan = ([vx, vy]: readonly [number, number]) =>
    [
      [1500, 1100],
      [2300, 1900],
      [2600, 900],
      [1900, 2300],
    ].map(([x, y]) => [x, y, x + 0.2 * (vx - x), y + 0.2 * (vy - y)]);
  const image = { width: 4000, height: 3000 };

  it("gives points, focal length and horizon of two level families", async () => {
    // 1,200 and 2,700 px off the middle, on its level: f = sqrt(1200 * 2700) = 1,800 px.
    const { code, answer } = await run(
      ["recover", "-"],
      JSON.stringify({
        image,
        families: [
          { name: "left", role: "horizontal", lines: fan([800, 1500]) },
          { name: "right", role: "horizontal", lines: fan([4700, 1500]) },
        ],
      }),
    );
    expect([code, answer]).toMatchObject([
      0,
      {
        vanishingPoints: [
          { name: "left", x: expect.closeTo(800, 3), y: expect.closeTo(1500, 3), atInfinity: false, strays: [] },
          { name: "right", x: expect.closeTo(4700, 3) },
        ],
        focalLength: { px: expect.closeTo(1800, 2) },
        centre: { x: 2000, y: 1500 },
        pitch: expect.closeTo(0, 6),
        roll: expect.closeTo(0, 6),
      },
    ]);
    const { horizon } = answer as { horizon: { a: number; b: number; c: number } };
    expect(Math.abs(horizon.a * 123 + horizon.b * 1500 + horizon.c)).toBeLessThan(1e-3);
  });

  it("says what one family cannot tell, and what is wrong with an order", async () => {
    const one = await run(
      ["recover", "-"],
      JSON.stringify({ image, families: [{ name: "left", role: "horizontal", lines: fan([800, 1500]) }] }),
    );
    expect([one.code, one.answer]).toMatchObject([0, { focalLength: null, pitch: null }]);
    expect(one.err).toContain("One set only");
    const single = await run(
      ["recover", "-"],
      JSON.stringify({ image, families: [{ name: "left", role: "horizontal", lines: [[0, 0, 5, 5]] }] }),
    );
    expect([single.code, single.err]).toEqual([
      1,
      "left: There is one edge with a length: two at least are needed to meet in a point.\n",
    ]);
    const wrong = await run(
      ["recover", "-"],
      JSON.stringify({ image, families: [{ name: "left", role: "level", lines: [] }] }),
    );
    expect([wrong.code, wrong.err]).toEqual([2, "families/0/role: must be one of: horizontal, upright, free.\n"]);
  });
});

describe("zanvo export of masses", () => {
  it("writes OBJ and GeoJSON, without any view", async () => {
    const [obj, geo] = ["masses.obj", "masses.geojson"].map((name) => join(folder, name));
    expect((await run(["export", demo, "--format", "obj", "--out", obj])).code).toBe(0);
    expect((await run(["export", demo, "--format", "geojson", "--out", geo])).code).toBe(0);
    const { elements } = JSON.parse(readFileSync(demo, "utf8")) as { elements: { name: string }[] };
    expect(readFileSync(obj, "utf8").match(/^o .+$/gm)).toEqual(elements.map(({ name }) => `o ${name}`));
    const { features } = JSON.parse(readFileSync(geo, "utf8")) as {
      features: { properties: { name: string }; geometry: { coordinates: number[][][] } }[];
    };
    expect(features.map(({ properties }) => properties.name)).toEqual(elements.map(({ name }) => name));
    for (const {
      geometry: {
        coordinates: [ring],
      },
    } of features)
      expect([ring.length, ring[0]]).toEqual([5, ring[4]]);
  });
});

describe("zanvo export with a photo", () => {
  const under = { reference: "r", strength: 0.6, at: { x: 15, y: 15, width: 390, height: 267 } };
  const scene = () => {
    const plain = newScene("Test");
    return {
      ...plain,
      shots: [{ ...plain.shots[0], under }],
      references: [{ id: "r", name: "Quay", picture: "0".repeat(64), width: 1200, height: 800, sets: [] }],
    };
  };
  const photo = join(__dirname, "../../demo/photos/the-corner.jpg");

  it("lays it under the drawing in SVG, PNG and PDF, as strong as it is; without it, says so", async () => {
    const file = fileOf("under.json", scene());
    const out = (kind: string) => join(folder, `under.${kind}`);
    for (const kind of ["svg", "png", "pdf"])
      expect(
        (await run(["export", file, "--format", kind, "--out", out(kind), "--dpi", "50", "--photo", photo])).code,
      ).toBe(0);
    expect(readFileSync(out("svg"), "utf8")).toMatch(
      /<image x="15" y="15" width="390" height="267" [^>]*opacity="0.6" [^>]*href="data:image\/jpeg;base64,/,
    );
    // The photo's pavement near its foot, mixed with white: read from the PNG, and from the PDF by poppler.
    const [r, g, b] = await pixelOf(photo, 0.5, 0.9);
    const want = [r, g, b].map((v) => 0.6 * v + 0.4 * 255);
    execFileSync("pdftocairo", ["-png", "-singlefile", "-r", "50", out("pdf"), join(folder, "page")]);
    for (const made of [out("png"), join(folder, "page.png")])
      (await pixelOf(made, 210 / 420, (15 + 0.9 * 267) / 297)).forEach((v, i) =>
        expect(Math.abs(v - want[i])).toBeLessThan(14),
      );
    const bare = await run(["export", file, "--format", "svg", "--out", out("svg")]);
    const lacking = "The photo under the drawing is missing (Quay); give it with --photo FILE.\n";
    expect([bare.code, bare.err, readFileSync(out("svg"), "utf8").includes("<image")]).toEqual([0, lacking, false]);
    expect(readFileSync(out("svg"), "utf8")).toContain('<g id="missing"');
    expect(await run(["export", file, "--format", "svg", "--out", out("svg"), "--strict"])).toMatchObject({
      code: 1,
      err: lacking,
    });
    expect(
      (await run(["export", file, "--format", "svg", "--out", out("svg"), "--strict", "--photo", photo])).code,
    ).toBe(0);
    expect((await run(["export", file, "--format", "svg", "--out", out("svg"), "--without", "photo"])).err).toBe("");
    expect(await run(["export", demo, "--format", "svg", "--out", out("svg"), "--photo", photo])).toMatchObject({
      code: 2,
      err: expect.stringContaining("no photo lies under this drawing"),
    });
  });
});

describe("zanvo export of many", () => {
  const shotCount = (JSON.parse(readFileSync(demo, "utf8")) as Scene).shots.length;

  it("puts every shot into one ZIP, as layers by what is wished, in black dots of just that number", async () => {
    const out = join(folder, "all.zip");
    const call = ["export", demo, "--all", "--format", "png", "--size", "320x240", "--ink", "black", "--out", out];
    const told = await run(call);
    expect([told.code, told.err.split("\n").filter(Boolean).at(-1)]).toEqual([0, `${shotCount} of ${shotCount}`]);
    const files = Object.entries(unzipSync(readFileSync(out)));
    expect(files).toHaveLength(shotCount);
    for (const [name, png] of files) {
      expect(name).toMatch(/^\d\d .+\.png$/);
      expect(await sharp(Buffer.from(png)).metadata()).toMatchObject({ width: 320, height: 240, format: "png" });
    }
    const svg = join(folder, "things.svg");
    expect((await run(["export", demo, "--by", "thing", "--format", "svg", "--out", svg])).code).toBe(0);
    expect(readFileSync(svg, "utf8")).toContain('<g id="part-');
    expect(await run(["export", demo, "--by", "size", "--format", "svg", "--out", svg])).toMatchObject({
      code: 2,
      err: expect.stringContaining("--by: must be one of: kind, depth, thing, panel."),
    });
  });

  it("leaves no half file where it cannot be written, and what stood there as it was", async () => {
    const gone = join(folder, "no such folder", "a.svg");
    expect(await run(["export", demo, "--format", "svg", "--out", gone])).toMatchObject({
      code: 2,
      err: expect.stringContaining("--out: cannot be written"),
    });
    const out = join(folder, "whole.svg");
    expect((await run(["export", demo, "--format", "svg", "--out", out])).code).toBe(0);
    expect(readdirSync(folder).filter((name) => name.endsWith(".part"))).toEqual([]);
  });
});

/** The mean colour around a place of a picture, as shares of its size. */
async function pixelOf(file: string, x: number, y: number): Promise<readonly number[]> {
  const { width = 0, height = 0 } = await sharp(file).metadata();
  const { channels } = await sharp(
    await sharp(file)
      .removeAlpha()
      .extract({ left: Math.round(x * width) - 6, top: Math.round(y * height) - 3, width: 12, height: 6 })
      .png()
      .toBuffer(),
  ).stats();
  return channels.slice(0, 3).map(({ mean }) => mean);
}

describe("zanvo detect", () => {
  it("finds the edges of a photo, their families, and the camera that it was rendered with", async () => {
    const truth = JSON.parse(readFileSync(join(__dirname, "../../demo/photos/the-corner.json"), "utf8")) as {
      focalLength: number;
    };
    const { code, answer } = await run(["detect", join(__dirname, "../../demo/photos/the-corner.jpg")]);
    const { segments, families, focalLength, pitch, vanishingPoints } = answer as {
      segments: number[][];
      families: { role: string; segments: number[] }[];
      focalLength: { px: number };
      pitch: number;
      vanishingPoints: unknown[];
    };
    expect(code).toBe(0);
    expect(segments.length).toBeGreaterThan(100);
    expect(families.map(({ role }) => role)).toEqual(expect.arrayContaining(["left", "right", "upright"]));
    expect(vanishingPoints).toHaveLength(families.filter(({ role }) => role !== "free").length);
    expect(Math.abs(focalLength.px / truth.focalLength - 1)).toBeLessThan(0.005);
    expect(Math.abs(pitch)).toBeLessThan(0.05);
  });

  it("says what is no photo, and where no edges are", async () => {
    expect(await run(["detect", fileOf("no.jpg", "no picture")])).toMatchObject({
      code: 2,
      err: expect.stringContaining("picture: is no picture that can be read"),
    });
    const blank = join(folder, "blank.png");
    await sharp({ create: { width: 300, height: 200, channels: 3, background: "#ccc" } })
      .png()
      .toFile(blank);
    expect(await run(["detect", blank])).toMatchObject({ code: 1, err: expect.stringContaining("No edges stand out") });
  });
});

describe("zanvo check", () => {
  it("checks scanned drawings among the references", async () => {
    const scene = newScene("Test");
    const upright = {
      id: "u",
      name: "Uprights",
      role: "upright" as const,
      edges: [
        { x1: 400, y1: 900, x2: 400, y2: 500 },
        { x1: 800, y1: 900, x2: 816, y2: 500 },
      ],
    };
    const references = [
      {
        id: "r",
        name: "Page 3",
        picture: "0".repeat(64),
        width: 1600,
        height: 1200,
        level: true,
        drawing: { width: 400 },
        sets: [upright],
      },
    ];
    const { answer } = await run(["check", fileOf("drawn.json", { ...scene, references })]);
    expect(answer).toEqual(
      expect.arrayContaining([
        {
          id: "drawn-lean",
          severity: "warning",
          where: "Page 3: edge 2 of Uprights",
          value: 4,
          unit: "mm",
          message: expect.stringContaining("leans 2.29°"),
        },
      ]),
    );
  });

  it("gives findings without their fixes", async () => {
    const scene = newScene("Test");
    scene.shots[0].lens.distance = 200;
    expect((await run(["check", "-"], JSON.stringify(scene))).answer).toContainEqual({
      id: "wide-view",
      severity: "warning",
      where: "panel, top left corner",
      value: 49.8,
      unit: "°",
      message: expect.stringContaining("1.55 times"),
    });
  });
});

describe("zanvo export", () => {
  it("writes blank grids as one ZIP", async () => {
    const zip = join(folder, "grids.zip");
    const { code, err } = await run([
      "export",
      demo,
      "--blank",
      "--format",
      "zip",
      "--paper",
      "A4",
      "--dpi",
      "36",
      "--out",
      zip,
    ]);
    expect([code, err]).toEqual([0, "30 files\n"]);
    expect(readFileSync(zip).subarray(0, 2).toString()).toBe("PK");
  });

  it("writes SVG and PNG, which librsvg draws alike", async () => {
    const [svg, png] = [join(folder, "quay.svg"), join(folder, "quay.png")];
    expect((await run(["export", demo, "--format", "svg", "--out", svg])).code).toBe(0);
    expect((await run(["export", demo, "--format", "png", "--out", png, "--dpi", "127"])).code).toBe(0);
    const peer = execFileSync(
      "rsvg-convert",
      ["--dpi-x", "127", "--dpi-y", "127", "--background-color", "white", svg],
      { maxBuffer: 1e9 },
    );
    // 127 dpi are 5 px to the mm, so that no edge falls between two px.
    const size = { width: 2100, height: 1485 };
    expect(await sharp(png).metadata()).toMatchObject({ ...size, density: 127 });
    const grey = (file: string | Buffer) =>
      sharp(file)
        .resize({ ...size, fit: "fill" })
        .greyscale()
        .raw()
        .toBuffer();
    const [ours, theirs] = [await grey(png), await grey(peer)];
    const off = ours.reduce((sum, v, i) => sum + Math.abs(v - theirs[i]), 0) / ours.length;
    const ink = ours.reduce((sum, v) => sum + 255 - v, 0) / ours.length;
    expect(ink).toBeGreaterThan(2);
    expect(off).toBeLessThan(0.05 * ink);
  });

  it("leaves out what it is told to", async () => {
    const svg = join(folder, "bare.svg");
    await run(["export", demo, "--format", "svg", "--out", svg, "--without", "bundles,horizon"]);
    expect(readFileSync(svg, "utf8")).not.toMatch(/grid-|horizon/);
    expect(readFileSync(svg, "utf8")).toContain('id="outlines"');
  });
});

describe("zanvo slip and zanvo print", () => {
  it("write the set-up sheet as text or PDF, and the desk in tiles, and say how many sheets that takes", async () => {
    const [slip, tiles] = [join(folder, "slip.pdf"), join(folder, "tiles.pdf")];
    const { out: text } = await runAny(["slip", demo, "--every", "20"], "");
    expect(text).toContain("Every 20 mm on the left edge, every 57.8 mm on the opposite one");
    expect((await run(["slip", demo, "--out", slip])).code).toBe(0);
    expect(execFileSync("pdfinfo", [slip], { encoding: "utf8" })).toContain("A4");
    const scene = JSON.parse(readFileSync(demo, "utf8"));
    const [first, second] = splitPanel(scene.shots[0], "beside", 5, { id: "other", name: "Second panel", page: "p" });
    const page = fileOf("page.json", { ...scene, shots: [first, second] });
    expect((await run(["slip", page, "--page", "--out", slip])).code).toBe(0);
    expect(execFileSync("pdftotext", [slip, "-"], { encoding: "utf8" })).toContain("Rule the panel Second panel");
    const print = await run(["print", demo, "--out", tiles, "--paper", "A3"]);
    expect([print.code, print.err]).toEqual([0, "3 sheets of A3\n"]);
    expect(execFileSync("pdfinfo", [tiles], { encoding: "utf8" })).toMatch(/Pages: +4\n/);
    expect((await run(["print", demo, "--out", tiles, "--paper", "A3", "--tiles", "A1"])).err).toContain(
      "1 sheets of A3",
    );
    expect(execFileSync("pdfinfo", [tiles], { encoding: "utf8" })).toMatch(/Pages: +2\n/);
  });
});

describe("a wrong call", () => {
  it.each<[string[], string]>([
    [["print", demo, "--out", "x", "--paper", "A7"], "paper: must be one of: A4, A3, B4, Letter, Legal, Tabloid."],
    [["print", demo, "--out", "x", "--tiles", "A1,Z9"], 'only: there is no sheet "Z9"'],
    [["slip", demo, "--every", "0"], "--every: must be from 1 to 500 mm."],
    [["pins", "/no/such/file"], "/no/such/file: there is no such file."],
    [["pins", demo, "--shot", "s9"], 'shot: there is no shot "s9"'],
    [["project", demo], "--points: is missing."],
    [["export", demo, "--blank", "--format", "svg", "--out", "x"], "--format: must be zip for blank grids"],
    [
      ["export", demo, "--blank", "--format", "zip", "--paper", "A7", "--out", "x"],
      "--paper: must be one of: A5, A4, A3, A2, A1, A0, B5,",
    ],
    [["export", demo, "--blank", "--format", "zip", "--dpi", "7", "--out", "x"], "dpi: must be >= 36."],
    [
      ["export", demo, "--format", "obj", "--tolerance", "fine", "--out", "x"],
      "tolerance: must be from 0.1 to 1000 mm.",
    ],
    [
      ["export", demo, "--format", "gif", "--out", "x"],
      "--format: must be one of: svg, pdf, png, ora, png-set, dxf, obj, gltf, geojson.",
    ],
    [["export", demo, "--format", "svg", "--out", "/no/such/folder/x.svg"], "--out: cannot be written"],
    [["export", demo, "--format", "png", "--out", "x", "--dpi", "121000"], "dpi: would make a picture of 2,000,787 x"],
    [["fly", demo], 'There is no command "fly".'],
    [["pins", demo, "--colour", "red"], "Unknown option '--colour'"],
    [[], "Say what to do."],
  ])("%j ends with 2 and names the place", async (args, message) => {
    expect(await run(args)).toEqual({ code: 2, answer: undefined, err: expect.stringContaining(message) });
  });

  it("names the field of a wrong document", async () => {
    expect((await run(["pins", "-"], '{"format":"zanvo-scene","version":1}')).err).toBe("title: is missing.\n");
    expect((await run(["solve", "-"], '{"law":"rectilinear","pins":[{"x":1}]}')).err).toMatch(
      /^pins: must NOT have fewer than 2 items/,
    );
    expect((await run(["project", demo, "--points", fileOf("bad.json", "[[1,2]]")])).err).toMatch(
      /^0: must NOT have fewer than 3 items/,
    );
  });
});

describe("backups from the shell", () => {
  it("copy the shelf while it is in use, and put it back while it is not", async () => {
    const data = join(mkdtempSync(join(tmpdir(), "zanvo-")), "zanvo.sqlite");
    expect(await run(["backup", "--data", data])).toMatchObject({ code: 2, err: `There is no database ${data}.\n` });
    const store = await openStore(data);
    const copy = join(folder, "copy.sqlite");
    expect(await run(["backup", "--data", data, "--out", copy])).toMatchObject({
      code: 0,
      answer: { database: data, backup: copy },
    });
    expect((await run(["backup", "--data", data])).answer).toMatchObject({
      backup: expect.stringMatching(/zanvo\.backups\/\d{4}-\d\d-\d\d\.sqlite$/),
    });
    expect(await run(["restore", copy, "--data", data])).toMatchObject({
      code: 2,
      err: expect.stringContaining("in use by another Zanvo"),
    });
    await store.close();
    expect(await run(["restore", copy, "--data", data])).toMatchObject({
      code: 0,
      answer: { setAside: expect.stringContaining(".replaced-") },
    });
    expect(await run(["restore", demo, "--data", data])).toMatchObject({
      code: 2,
      err: expect.stringContaining("is damaged, or no backup"),
    });
  });
});

describe("any call at all", () => {
  const words = fc.oneof(
    fc.constantFrom(
      "pins",
      "project",
      "solve",
      "recover",
      "detect",
      "check",
      "export",
      "slip",
      "backup",
      "--shot",
      "--points",
      "--format",
      "--out",
      "--dpi",
      "--every",
      "--blank",
      "--data",
      "-",
      "--",
      "-h",
      "-x",
      demo,
      folder,
      "svg",
      "0",
    ),
    fc.string(),
  );

  it("ends with 0, 1 or 2 and a sentence, never with a stack trace", async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(words, { maxLength: 6 }), fc.oneof(fc.string(), fc.json()), async (args, stdin) => {
        // Files that a call may write go where no folder can be made: under a device.
        const safe = args.map((word) => (word === demo || word.startsWith("-") ? word : word.replaceAll("/", "")));
        const { code, err } = await runAny([...safe, "--out", "/dev/null/x", "--data", "/dev/null/x.sqlite"], stdin);
        expect([0, 1, 2]).toContain(code);
        expect(err).not.toMatch(/\n\s+at .*:\d+/);
        if (code !== 0) expect(err.trim()).not.toBe("");
      }),
      { numRuns: 150 },
    );
  }, 120_000);
});
