import { expose } from "comlink";
import { nudgedBlock, nudgedEye, seenFindings } from "@zanvo/core/checks";

const api = { seenFindings, nudgedEye, nudgedBlock };

export type TangentsWorker = typeof api;
expose(api);
