import { newId } from "./id";

// RFC 9562, 5.4: version 4 in the 13th digit, variant 10 in the two highest bits of the 17th.
const V4 = /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;

it("makes names that nothing else has, with the browser's own help and without", () => {
  const names = Array.from({ length: 500 }, newId);
  const whole = crypto.randomUUID;
  Object.defineProperty(crypto, "randomUUID", { value: undefined, configurable: true });
  names.push(...Array.from({ length: 500 }, newId));
  Object.defineProperty(crypto, "randomUUID", { value: whole, configurable: true });
  expect(new Set(names).size).toBe(1000);
  for (const name of names) expect(name).toMatch(V4);
});
