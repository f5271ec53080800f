export * from "./changed";
export * from "./outline";
export * from "./plane";
export * from "./schema";
