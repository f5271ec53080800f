import { readFileSync } from "node:fs";
import type { Scene } from "@zanvo/core/scene";
import { city } from "./city";
import { draggingQuarter, firstLoad, memory, street } from "./browser";
await firstLoad();
await draggingQuarter(JSON.parse(readFileSync("demo/5-the-whole-quarter.zanvo.json", "utf8")) as Scene);
await memory("1,600 houses with windows", { ...street(0), elements: city(1600) });
