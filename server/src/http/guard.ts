import { randomBytes } from "node:crypto";
import type { RequestHandler } from "express";
import helmet from "helmet";
import { Refused } from "./problem";

const LOOPBACK = ["localhost", "127.0.0.1", "[::1]"];

/** The name in a Host header or an origin, without its port. */
const nameOf = (host: string): string => host.replace(/:\d*$/, "").toLowerCase();

/**
 * Answers only requests made to this machine by a name it goes by, so that no other site can borrow its address; and
 * changes only for pages that it served itself.
 */
export const hostCheck = (names: readonly string[]): RequestHandler => {
  const known = new Set([...LOOPBACK, ...names.map((name) => name.toLowerCase())]);
  return (req, _res, next) => {
    if (!known.has(nameOf(req.headers.host ?? "")))
      throw new Refused(421, "Zanvo does not go by this name. Open it by the address it printed.");
    const { origin } = req.headers;
    if (origin && req.method !== "GET" && origin.replace(/^https?:\/\//, "") !== req.headers.host) {
      throw new Refused(403, "Changes are taken only from Zanvo's own pages.");
    }
    next();
  };
};

/** The nonce of an answer, which only express hands on. */
const nonceOf = (res: object): string => {
  const { nonce } = "locals" in res ? (res.locals as { readonly nonce?: string }) : {};
  return nonce ?? "";
};

/** A fresh nonce for each answer, and headers that let a page run nothing but what this server ships. */
export const headers: RequestHandler[] = [
  (_req, res, next) => {
    res.locals.nonce = randomBytes(16).toString("base64");
    next();
  },
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        "default-src": ["'none'"],
        "script-src": ["'self'"],
        "worker-src": ["'self'"],
        "style-src": ["'self'", (_req, res) => `'nonce-${nonceOf(res)}'`],
        "font-src": ["'self'"],
        "img-src": ["'self'", "blob:", "data:"],
        "connect-src": ["'self'"],
        "manifest-src": ["'self'"],
        "base-uri": ["'none'"],
        "form-action": ["'none'"],
        "frame-ancestors": ["'none'"],
      },
    },
    strictTransportSecurity: false,
  }),
];
