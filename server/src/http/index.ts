export { createApp, type AppOptions } from "./app";
export { createServer } from "./server";
