// A server of our own for scripts that try it: started on a free port over a database of its own, and ended.
import { spawn } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { root } from "./build.mjs";

export const freshFolder = (name = "zanvo-") => mkdtempSync(join(tmpdir(), name));

/**
 * Starts a server and waits until it is ready.
 * @returns its address, its process, and what it said on standard error
 */
export async function startServer({ data = join(freshFolder(), "zanvo.sqlite"), env = {}, port = "0" } = {}) {
  const child = spawn(process.execPath, [join(root, "server/dist/main.js")], {
    env: { ...process.env, PORT: port, ZANVO_DATA: data, ...env },
    stdio: ["ignore", "pipe", "pipe"],
  });
  let [out, err] = ["", ""];
  child.stderr.on("data", (part) => (err += part));
  const ended = new Promise((resolve) => child.once("exit", (code, signal) => resolve({ code, signal })));
  const url = await new Promise((resolve, reject) => {
    child.stdout.on("data", (part) => {
      out += part;
      const found = /ready at (http:\/\/\S+)/.exec(out);
      if (found) resolve(found[1]);
    });
    ended.then(() => reject(new Error(`The server ended before it was ready: ${err}`)));
  });
  return {
    url,
    child,
    data,
    ended,
    said: () => err,
    stop: async (signal = "SIGTERM") => {
      child.kill(signal);
      return ended;
    },
  };
}

/** A scene of some houses, about so many bytes as JSON. */
export function town(title, bytes) {
  const house = (i) => ({
    id: `b${i}`,
    kind: "building",
    name: `House ${i}`,
    base: 0,
    height: 9 + (i % 7),
    storeys: 3,
    roof: { kind: "flat", rise: 0.5 + (i % 3) / 4 },
    footprint: [
      [0, 0],
      [8.12, 0.4],
      [7.9, 9.3],
      [0.1, 9],
    ].map(([x, y]) => ({
      x: Number((x + 11.37 * (i % 80)).toFixed(3)),
      y: Number((y + 14.21 * Math.floor(i / 80)).toFixed(3)),
    })),
    windows: { every: 2.4 + (i % 5) / 10, width: 1.1, height: 1.5, sill: 0.9 },
  });
  const size = JSON.stringify(house(1000)).length + 1;
  return {
    format: "zanvo-scene",
    version: 1,
    title,
    orientations: [{ id: "main", name: "Main streets", heading: 32 }],
    elements: Array.from({ length: Math.floor(bytes / size) }, (_, i) => house(i)),
    shots: [
      {
        id: "s1",
        name: "Morning",
        sheet: { width: 420, height: 297 },
        frame: { x: 15, y: 15, width: 390, height: 267 },
        eye: { x: 0, y: -20, z: 1.6 },
        gaze: { heading: 0, pitch: 0, roll: 0 },
        lens: { law: "rectilinear", distance: 300, centre: { x: 210, y: 148.5 } },
      },
    ],
  };
}

/** The value below which a share of some numbers lies. */
export const quantile = (values, share) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(share * values.length))];
