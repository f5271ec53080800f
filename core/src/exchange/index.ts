export { fromGeoJson, MAX_FEATURES, toGeoJson, type BroughtIn } from "./geojson";
export { toEarth, toWorld, type Ground } from "./ground";
export { toObj } from "./obj";
