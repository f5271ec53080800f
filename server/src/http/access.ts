import { createHash, timingSafeEqual } from "node:crypto";
import { parse } from "cookie";
import type { RequestHandler } from "express";
import { Refused } from "./problem";

const COOKIE = "zanvo-key";
const DAYS = 400;

const digest = (text: string): Buffer => createHash("sha256").update(text).digest();
const same = (given: string | undefined, key: string): boolean =>
  given !== undefined && timingSafeEqual(digest(given), digest(key));

/**
 * Answers nothing without the access key: once as `?key=` in a link, which is then kept as a cookie, or as
 * `Authorization: Bearer` of a script.
 */
export const keyCheck =
  (key: string): RequestHandler =>
  (req, res, next) => {
    const url = new URL(req.originalUrl, "http://zanvo.invalid");
    const linked = url.searchParams.get("key");
    if (linked !== null && req.method === "GET" && same(linked, key)) {
      url.searchParams.delete("key");
      res.cookie(COOKIE, key, { httpOnly: true, sameSite: "strict", maxAge: DAYS * 86_400_000, path: "/" });
      return res.set("Cache-Control", "no-store").redirect(303, `${url.pathname}${url.search}`);
    }
    const bearer = /^Bearer (.+)$/.exec(req.get("Authorization") ?? "")?.[1];
    if (same(bearer, key) || same(parse(req.headers.cookie ?? "")[COOKIE], key)) return next();
    throw new Refused(
      401,
      "Zanvo is open on a network here, and needs its key: use the whole link that it printed when it started.",
      { "WWW-Authenticate": "Bearer" },
    );
  };
