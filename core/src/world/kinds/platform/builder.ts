import { elementBuilder } from "../builder";
import { buildPlatform } from "./build";
import type { Platform } from "./schema";

export const platformBuilder = elementBuilder<Platform>({ build: buildPlatform, settle: () => "draped" });
