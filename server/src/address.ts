import { randomBytes } from "node:crypto";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { hostname, networkInterfaces } from "node:os";
import { CannotOpen, codeOf } from "@zanvo/store";

const LOOPBACK = /^(localhost|127(\.\d+){3}|::1|\[::1\])$/i;
const EVERYWHERE = /^(0\.0\.0\.0|::|\[::\])$/;

/** The port to listen on. @throws CannotOpen for what is none */
export function portOf(text = "4310"): number {
  const port = /^\d{1,5}$/.test(text) ? Number(text) : NaN;
  if (!(port <= 65_535)) throw new CannotOpen(`PORT is "${text}": it must be a whole number from 0 to 65535.`);
  return port;
}

/** Whether only this machine can reach a host. */
export const isLoopback = (host: string): boolean => LOOPBACK.test(host);

/** An address as it stands in a link. */
const inLink = (address: string): string =>
  address.includes(":") && !address.startsWith("[") ? `[${address}]` : address;

/** The addresses of this machine by which a host beyond loopback is reached. */
function reachable(host: string): readonly string[] {
  if (!EVERYWHERE.test(host)) return [host];
  const known = Object.values(networkInterfaces())
    .flat()
    .flatMap((one) => (one && !one.internal && !one.address.startsWith("fe80") ? [one] : []));
  // 0.0.0.0 listens to addresses of version 4 alone, :: to both.
  return known.filter(({ family }) => family === "IPv4" || host !== "0.0.0.0").map(({ address }) => address);
}

/** The names under which a host may be asked: its own, this machine's, and those in ZANVO_NAMES. */
export const namesOf = (host: string, more = ""): readonly string[] => [
  ...reachable(host).map(inLink),
  inLink(host),
  hostname(),
  `${hostname()}.local`,
  ...more
    .split(",")
    .map((name) => name.trim())
    .filter(Boolean),
];

/** The links that reach a server. */
export const linksTo = (host: string, port: number, key?: string): readonly string[] =>
  (isLoopback(host) ? [host] : reachable(host)).map(
    (address) => `http://${inLink(address)}:${port}${key === undefined ? "" : `/?key=${key}`}`,
  );

/** The key of a server that others can reach: made once, and kept beside the database for its owner's eyes only. */
export function accessKey(file: string): string {
  const path = `${file.replace(/\.sqlite$/, "")}.key`;
  try {
    if (existsSync(path)) {
      const key = readFileSync(path, "utf8").trim();
      if (/^[\w-]{20,}$/.test(key)) return key;
    }
    const key = randomBytes(24).toString("base64url");
    writeFileSync(path, `${key}\n`, { mode: 0o600 });
    return key;
  } catch (error) {
    throw new CannotOpen(`The access key could not be kept in ${path} (${codeOf(error)}).`);
  }
}
