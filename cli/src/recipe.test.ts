import { execFileSync } from "node:child_process";
import { join } from "node:path";
import { newScene } from "@zanvo/core/scene";
import { demo, fileOf, folder, run, runAny } from "../testing";

describe("zanvo recipe", () => {
  const block = { id: "b1", kind: "block", name: "Net loft", heading: 20, length: 6, width: 5, height: 3 };
  const scene = fileOf("recipe.json", { ...newScene("Test"), elements: [{ ...block, origin: { x: -2, y: 9, z: 0 } }] });

  it("tells the steps of a construction as text, numbered", async () => {
    const { code, out } = await runAny(["recipe", scene, "--thing", "block", "--of", "b1"], "");
    expect(code).toBe(0);
    expect(out).toMatch(/^A box from its near corner\n\n1\. Mark the foot of the near corner, \d+(\.\d)? mm in/);
    expect(out).toMatch(/\n2\. Rule the near upright from it, \d+(\.\d)? mm: 3\.00 m stand there/);
  });

  it("draws them as small pictures in a PDF", async () => {
    const file = join(folder, "recipe.pdf");
    expect((await run(["recipe", scene, "--thing", "gable", "--of", "b1", "--out", file])).code).toBe(0);
    const words = execFileSync("pdftotext", ["-layout", file, "-"], { encoding: "utf8" });
    expect(words).toContain("A gable over its middle: Net loft");
    expect(words).toContain("Rule its diagonals");
    expect(execFileSync("pdfinfo", [file], { encoding: "utf8" })).toContain("A4");
  });

  it("says what it needs, and what there is", async () => {
    expect(await run(["recipe", scene, "--thing", "block"])).toMatchObject({
      code: 1,
      err: "Choose a building first.\n",
    });
    expect((await run(["recipe", scene, "--thing", "origami"])).err).toMatch(
      /^recipe: there is no construction "origami"; there are horizon, /,
    );
    expect(await run(["recipe", scene, "--thing", "block", "--of", "b9"])).toMatchObject({
      code: 2,
      err: 'of: there is no element or line "b9".\n',
    });
    expect(await run(["recipe", demo])).toMatchObject({ code: 2, err: "--thing: is missing.\n" });
  });
});
