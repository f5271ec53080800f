import { join } from "node:path";
import request from "supertest";
import { textOf } from "@zanvo/store";
import { putDemo } from "./demo";
import { startTestServer } from "../testing";

it("puts the demo on an empty shelf once, with its photos, also when it was taken off since", async () => {
  const server = await startTestServer();
  const { store, pictures, jobs } = server;
  const demo = join(process.cwd(), "demo");
  await putDemo(store, pictures, jobs, demo);
  const cards = await store.list();
  // Kits stand on a shelf of their own.
  const kits = await store.list("kits");
  expect(kits.map(({ title }) => title)).toEqual([
    ...["Warehouse", "Net loft", "Chandlery", "Terrace house", "Tram shelter", "Customs house", "Corner pub"],
  ]);
  expect(cards.some(({ kit }) => kit !== null)).toBe(false);
  expect((await request(server.app).get("/api/scenes?kits")).body).toEqual(kits);
  expect(cards[0]).toMatchObject({ title: "Quay street, the corner", place: "Kestrel Quay" });
  // The photos of its references were taken in with it, and are kept while the scene may come back.
  const { references } = JSON.parse(await textOf(await store.read(cards[0].id))) as {
    references: { picture: string }[];
  };
  expect(references.length).toBeGreaterThan(0);
  for (const { picture } of references) expect(await pictures.find(picture, false)).not.toBeNull();
  for (const { id, revision } of [...cards, ...kits]) await store.remove(id, revision);
  await putDemo(store, pictures, jobs, demo);
  expect([await store.list(), await store.list("kits")]).toEqual([[], []]);
  expect(await store.names(references[0].picture)).toBe(true);
  await server.close();
});
