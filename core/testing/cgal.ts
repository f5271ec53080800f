import { readFileSync } from "node:fs";
import { createContext, runInContext } from "node:vm";
import type { SkeletonBuilder } from "straight-skeleton";

/** CGAL's straight skeletons: a build for browsers, which runs where it finds what it needs of one. */
export async function cgalSkeletons(): Promise<typeof SkeletonBuilder> {
  const module = { exports: {} as { SkeletonBuilder: typeof SkeletonBuilder } };
  const browser = {
    ...{ module, exports: module.exports, WebAssembly, atob, TextDecoder, URL, console, setTimeout, performance },
    document: { currentScript: null },
    location: { href: "http://localhost/" },
  };
  Object.assign(browser, { self: browser, window: browser });
  runInContext(readFileSync(require.resolve("straight-skeleton"), "utf8"), createContext(browser));
  await module.exports.SkeletonBuilder.init();
  return module.exports.SkeletonBuilder;
}
