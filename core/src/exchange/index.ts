export { fromGeoJson, MAX_FEATURES, toGeoJson, type BroughtIn, type Reading } from "./geojson";
export { toEarth, toWorld, type Ground } from "./ground";
export { toObj } from "./obj";
export { toGltf } from "./gltf";
