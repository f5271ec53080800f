import type { Scene, Shot } from "../schema";

/** The panels of a shot's page in their order: the shot alone where it has a sheet for itself. */
export const pageOf = (scene: Pick<Scene, "shots">, shot: Shot): readonly Shot[] =>
  shot.page === undefined ? [shot] : scene.shots.filter(({ page }) => page === shot.page);
