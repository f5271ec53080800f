import type { FormatInfo } from "@zanvo/core/answers";
import { fileName, pageOf, type Scene, type Shot } from "@zanvo/core/scene";
import { exportPath, fetchExport } from "../../api";
import { download } from "../../files";
import { useStores } from "../../stores";
import { useWork, type Going } from "../../ui";
import { queryOf } from "./createHandOver";

/** What all is saved of: every shot, or the first panel of every page. */
export const allShots = (scene: Scene, pages: boolean): readonly Shot[] =>
  pages ? scene.shots.filter((shot) => pageOf(scene, shot)[0] === shot) : scene.shots;

/** Files of several shots in one ZIP: each is asked for after the other. @returns the ZIP and what they lack */
async function zipped(
  shots: readonly Shot[],
  extension: string,
  fetchOf: (shot: Shot) => ReturnType<typeof fetchExport>,
  tell: (going: Going) => void,
): Promise<{ readonly file: Blob; readonly missing: string }> {
  const { zipSync } = await import("fflate");
  const files: Record<string, [Uint8Array, { level: 0 }]> = {};
  const lacking = new Set<string>();
  for (const [i, shot] of shots.entries()) {
    tell({ done: i, of: shots.length });
    const { file, missing } = await fetchOf(shot);
    // What was drawn is packed already, or is small.
    const name = `${String(i + 1).padStart(2, "0")} ${fileName(shot.name)}.${extension}`;
    files[name] = [new Uint8Array(await file.arrayBuffer()), { level: 0 }];
    if (missing) lacking.add(missing);
  }
  return { file: new Blob([zipSync(files)], { type: "application/zip" }), missing: [...lacking].join(", ") };
}

/** Saves files that the server draws, of what is saved: of one shot, or of all; it can be stopped. */
export function useExport() {
  const { useDocument, useShot, useHandOver, saving, say } = useStores();
  const id = useDocument((document) => document.id);
  const scene = useDocument((document) => document.scene);
  const shot = useShot();
  const choices = useHandOver();
  const work = useWork("The export");
  const save = ({ id: format, extension, dots = false }: FormatInfo) =>
    work.run(async (signal, tell) => {
      await saving.savedFirst();
      const { whole, all } = choices;
      const fetchOf = (one: Shot) => {
        const page: Record<string, string> = whole && pageOf(scene, one).length > 1 ? { page: "1" } : {};
        return fetchExport(exportPath(id, one.id, format, { ...queryOf(choices, dots), ...page }), signal);
      };
      const { file, missing } = all
        ? await zipped(allShots(scene, whole), extension, fetchOf, tell)
        : await fetchOf(shot);
      const name = all ? `${scene.title} all shots` : `${scene.title} ${shot.name}`;
      download(file, `${fileName(name)}.${all ? "zip" : extension}`);
      if (missing) say(`The file lacks a photo that is not on this machine: ${missing}. It says so on its margin.`);
    });
  return { work, save };
}
