import { openStore } from "@zanvo/store";
import { freshFile, titled } from "../../../store/testing";
import { openThumbnails } from "./thumbnails";

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** A store with scenes of some titles, and a thread that draws nothing before it is let. */
async function setUp(titles: readonly string[]) {
  const store = await openStore(freshFile());
  const ids = new Map<string, string>();
  for (const title of titles) ids.set(title, (await store.create(titled(title))).id);
  const drawn: string[] = [];
  let go: () => void = () => undefined;
  const free = new Promise<void>((resolve) => (go = resolve));
  const thumbnail = async (text: string) => {
    drawn.push((JSON.parse(text) as { title: string }).title);
    await free;
    return Buffer.from("picture");
  };
  const thumbnails = openThumbnails(store, { thumbnail }, 10);
  return {
    drawn,
    go: () => go(),
    of: (title: string) => thumbnails.of(ids.get(title)!),
    soon: (title: string) => thumbnails.soon(ids.get(title)!),
    begun: async () => {
      while (drawn.length === 0) await wait(5);
    },
    close: () => store.close(),
  };
}

describe("small pictures", () => {
  it("are drawn one at a time, the latest asked for first, and each once", async () => {
    const { drawn, go, of, begun, close } = await setUp(["Pier", "Lock", "Tram", "Quay"]);
    const asked = [of("Pier")];
    await begun();
    for (const title of ["Lock", "Tram", "Quay", "Lock", "Pier"]) asked.push(of(title));
    await wait(50);
    expect(drawn).toEqual(["Pier"]);
    go();
    for (const { revision, image } of await Promise.all(asked)) {
      expect(revision).toBe(1);
      expect(image.toString()).toBe("picture");
    }
    expect(drawn).toEqual(["Pier", "Lock", "Quay", "Tram"]);
    await close();
  });

  it("of scenes that rest wait behind those that are asked for", async () => {
    const { drawn, go, of, soon, begun, close } = await setUp(["Pier", "Lock", "Tram", "Quay"]);
    for (const title of ["Pier", "Lock", "Tram"]) soon(title);
    await begun();
    await wait(50);
    const asked = ["Tram", "Quay"].map(of);
    await wait(50);
    go();
    await Promise.all(asked);
    await of("Lock");
    expect(drawn).toEqual(["Pier", "Quay", "Tram", "Lock"]);
    await close();
  });
});
