import type { MassesFormat } from "./format";

/** GeoJSON (RFC 7946), the masses by their footprints. */
export const geojson: MassesFormat = {
  id: "geojson",
  label: "GeoJSON",
  mime: "application/geo+json",
  extension: "geojson",
  of: "masses",
  write: async (scene) => `${JSON.stringify((await import("@zanvo/core/exchange")).toGeoJson(scene))}\n`,
};
