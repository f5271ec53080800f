import type { OwnLine, SheetLine, WorldLine } from "@zanvo/core/lines";
import type { Scene, Shot } from "@zanvo/core/scene";
import type { Recipe } from "./history";

const ofWorld = (line: OwnLine): line is WorldLine => "plane" in line;
const ofSheet = (line: OwnLine): line is SheetLine => !("plane" in line);

/** Every own line that a shot shows: its sheet's, then the world's. */
export const linesOf = (
  { lines: world = [] }: Pick<Scene, "lines">,
  { lines: sheet = [] }: Shot,
): readonly OwnLine[] => [...sheet, ...world];

/** Some lines, with others in the place of those that are gone. */
const changed = <T extends OwnLine>(before: readonly T[], gone: ReadonlySet<string>, next: readonly T[]): T[] => {
  const first = before.findIndex(({ id }) => gone.has(id));
  const kept = before.filter(({ id }) => !gone.has(id));
  // What comes instead of a line lies where it lay: lines drawn later stay over it.
  const at = first < 0 ? kept.length : before.slice(0, first).filter(({ id }) => !gone.has(id)).length;
  return [...kept.slice(0, at), ...next, ...kept.slice(at)];
};

/**
 * A recipe that takes own lines away and puts others in their place: those of the sheet in a shot, those of planes in
 * the world.
 */
export const exchangeLines =
  (shotId: string, gone: readonly string[], next: readonly OwnLine[]): Recipe =>
  (scene) => {
    const ids = new Set(gone);
    const shot = scene.shots.find(({ id }) => id === shotId);
    const [sheet, world] = [next.filter(ofSheet), next.filter(ofWorld)];
    if (shot && (sheet.length > 0 || shot.lines?.some(({ id }) => ids.has(id)))) {
      shot.lines = changed(shot.lines ?? [], ids, sheet);
      if (shot.lines.length === 0) delete shot.lines;
    }
    if (world.length > 0 || scene.lines?.some(({ id }) => ids.has(id))) {
      scene.lines = changed(scene.lines ?? [], ids, world);
      if (scene.lines.length === 0) delete scene.lines;
    }
  };

/** A recipe that puts own lines in the place of those with their ids. */
export const replaceLines = (shotId: string, lines: readonly OwnLine[]): Recipe =>
  exchangeLines(
    shotId,
    lines.map(({ id }) => id),
    lines,
  );
