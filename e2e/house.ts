import { expect, type Page } from "@playwright/test";
import type { Scene } from "@zanvo/core/scene";
import type { Building } from "@zanvo/core/world";
import { saved } from "./table";

/** A building whose near corner stands 12 m straight ahead: its long wall to the left, 12 m, three storeys. */
export const HOUSE: Building = {
  id: "house",
  kind: "building",
  name: "Chandlery",
  footprint: [
    { x: 0, y: 12 },
    { x: 6, y: 20 },
    { x: -2, y: 26 },
    { x: -9.6, y: 16.8 },
  ],
  base: 0,
  height: 9,
  storeys: 3,
  roof: { kind: "flat" },
};
export const withHouse = (scene: Scene) => void scene.elements.push(structuredClone(HOUSE));

export async function fittings(page: Page): Promise<void> {
  await page.getByRole("navigation", { name: "Stages" }).getByRole("button", { name: "Fittings" }).click();
  await expect(page.getByText("Press a wall of a building: it opens flat here, to scale.")).toBeVisible();
}
export const wall = (page: Page) => page.getByRole("region", { name: /^Wall \d+ of Chandlery$/ });
export const house = async (page: Page, id: string) => (await saved<Building>(page, id)).elements[0];
export const bay = (page: Page, n: number, storey: number) =>
  page.getByRole("button", { name: new RegExp(`^Bay ${n}, storey ${storey}: `) });
