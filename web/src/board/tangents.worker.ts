import { expose } from "comlink";
import { nudgedEye, tangents } from "@zanvo/core/checks";

const api = { tangents, nudgedEye };

export type TangentsWorker = typeof api;
expose(api);
