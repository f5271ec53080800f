import { workerData } from "node:worker_threads";
import { backUp } from "@zanvo/store";

// The script of the thread that makes the day's backup.
backUp(workerData as string, new Date());
