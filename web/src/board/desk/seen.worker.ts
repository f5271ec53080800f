import { expose, transfer } from "comlink";
import type { Vec3 } from "@zanvo/core/geometry";
import { see, type Seen } from "@zanvo/core/visibility";
import { detailsOf, keptBuild, type Element } from "@zanvo/core/world";

const build = keptBuild();

const api = {
  /** The stretches of the elements' edges that an eye sees. */
  see(elements: readonly Element[], eye: Vec3): Seen {
    const seen = see(build(elements), eye, detailsOf(elements));
    return transfer(seen, [seen.ends.buffer, seen.solid.buffer, seen.sight.buffer]);
  },
};

export type SeenWorker = typeof api;
expose(api);
