import { execFileSync } from "node:child_process";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { readScene, writeScene } from "@zanvo/core/document";
import { newScene, PAPERS, sheetOf, frameOn } from "@zanvo/core/scene";
import { blankGrids } from "@zanvo/core/shot";
import { strFromU8, unzipSync } from "fflate";
import sharp from "sharp";
import { blankGridFiles, SHEET_FORMATS, formatOf, FORMATS } from ".";

const [shot] = newScene("Test").shots;

describe("blank grids", () => {
  it("can be read back as a scene, on whatever sheet", () => {
    for (const paper of PAPERS) {
      const sheet = sheetOf(paper, false);
      const scene = blankGrids({ sheet, frame: frameOn(sheet) });
      expect(readScene(writeScene(scene))).toEqual(JSON.parse(JSON.stringify(scene)));
      expect(scene.shots.map(({ lens }) => lens.law)).toEqual(
        expect.arrayContaining(["stereographic", "cylindrical", "cylindrical-lying", "equirectangular"]),
      );
    }
  });

  it("are each there as SVG, PDF and PNG, curves as Beziers, all in true millimetres", async () => {
    const told: number[] = [];
    const zip = unzipSync(await blankGridFiles(shot, { dpi: 36 }, (done) => told.push(done)));
    const names = Object.keys(zip);
    expect(names).toHaveLength(10 * SHEET_FORMATS.length);
    expect(told.at(-1)).toBe(names.length);
    const bare = (folder: string) =>
      names
        .filter((name) => name.startsWith(`${folder}/`))
        .map((name) => name.slice(folder.length + 1).replace(/\.[a-z]+$/, ""));
    expect(bare("pdf")).toEqual(bare("svg"));
    expect(bare("png")).toEqual(bare("svg"));
    const folder = mkdtempSync(join(tmpdir(), "zanvo-grids-"));
    for (const name of names) {
      if (name.endsWith(".svg")) expect(strFromU8(zip[name])).toMatch(/width="420mm" height="297mm"[^]*C[-\d]/);
      // 420 mm at 36 dpi is 595.3 px.
      if (name.endsWith(".png"))
        expect(await sharp(zip[name]).metadata()).toMatchObject({ width: 595, height: 421, density: 36 });
      if (name.endsWith(".pdf")) {
        const path = join(folder, "grid.pdf");
        writeFileSync(path, zip[name]);
        // 420 x 297 mm is 1190.55 x 841.89 pt, as poppler reads it.
        expect(execFileSync("pdfinfo", [path], { encoding: "utf8" })).toMatch(/Page size: +1190\.5\d* x 841\.8\d* pts/);
      }
    }
  });
});

describe("formats", () => {
  it("are each declared in full, under an id of their own", () => {
    for (const { id, label, mime, extension, of, write } of FORMATS) {
      expect(FORMATS.filter((other) => other.id === id || other.label === label)).toHaveLength(1);
      expect(mime).toMatch(/^[a-z]+\/[a-z+.]+$/);
      expect(extension).toMatch(/^[a-z]+$/);
      expect(["drawing", "masses"]).toContain(of);
      expect(write).toEqual(expect.any(Function));
    }
  });

  it("are refused by name where there is none such", () => {
    expect(() => formatOf("toString", "format")).toThrow(
      `format: must be one of: ${FORMATS.map(({ id }) => id).join(", ")}.`,
    );
  });
});
