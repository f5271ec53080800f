import { mkdtempSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { accessKey, isLoopback, linksTo, namesOf, portOf } from "./address";

describe("the address of a server", () => {
  it("has a port that is one", () => {
    expect([portOf(), portOf("0"), portOf("65535")]).toEqual([4310, 0, 65_535]);
    for (const text of ["", "80x", "-1", "65536", "4310.5", "1e3"])
      expect(() => portOf(text)).toThrow(`PORT is "${text}": it must be a whole number from 0 to 65535.`);
  });

  it("is free of keys on loopback only", () => {
    for (const host of ["localhost", "127.0.0.1", "127.9.9.9", "::1"]) expect(isLoopback(host)).toBe(true);
    for (const host of ["0.0.0.0", "::", "192.0.2.7", "drawing-table.example", "127.0.0.1.example"])
      expect(isLoopback(host)).toBe(false);
  });

  it("is printed as links that work, with the key where one is needed, and goes by the names that it lists", () => {
    expect(linksTo("127.0.0.1", 4310)).toEqual(["http://127.0.0.1:4310"]);
    expect(linksTo("::1", 80)).toEqual(["http://[::1]:80"]);
    expect(linksTo("192.0.2.7", 4310, "abc")).toEqual(["http://192.0.2.7:4310/?key=abc"]);
    expect(namesOf("192.0.2.7", "table.example, desk")).toEqual(
      expect.arrayContaining(["192.0.2.7", "table.example", "desk"]),
    );
    for (const link of linksTo("0.0.0.0", 4310, "abc")) expect(namesOf("0.0.0.0")).toContain(new URL(link).hostname);
  });

  it("keeps one key beside the database, for its owner only", () => {
    const file = join(mkdtempSync(join(tmpdir(), "zanvo-")), "zanvo.sqlite");
    const key = accessKey(file);
    expect(key).toMatch(/^[\w-]{32}$/);
    expect(accessKey(file)).toBe(key);
    expect(statSync(file.replace(".sqlite", ".key")).mode & 0o077).toBe(0);
  });
});
