import { expose } from "comlink";
import { nudgedBlock, nudgedEye, tangents } from "@zanvo/core/checks";

const api = { tangents, nudgedEye, nudgedBlock };

export type TangentsWorker = typeof api;
expose(api);
