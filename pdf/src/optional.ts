import type { Doc } from "./page";

/** An object of a PDF that others refer to. */
type Ref = ReturnType<Doc["ref"]>;

/** A dictionary of a PDF. */
type Dictionary = Record<string, unknown>;

/** A dictionary within an object of pdfkit that its types do not show. */
function dictionaryOf(owner: object, ...path: readonly string[]): Dictionary {
  const found = path.reduce<unknown>((of, key) => Reflect.get(Object(of), key), owner);
  if (typeof found !== "object" || found === null) throw new Error(`The document has no ${path.join(".")}.`);
  return found as Dictionary;
}

/**
 * Optional content of a document: groups that a viewer lists as layers and shows or hides (ISO 32000-1, 8.11 (from
 * memory)).
 */
export class OptionalContent {
  private readonly groups: Ref[] = [];

  constructor(private readonly doc: Doc) {}

  /** Draws as a group of its own on the page that is open. */
  group(name: string, draw: () => void): void {
    const { doc, groups } = this;
    // pdfkit writes a String object as a text string, a plain one as a name.
    const ref = doc.ref({ Type: "OCG", Name: new String(name) });
    ref.end(Buffer.alloc(0));
    groups.push(ref);
    const resources = dictionaryOf(doc, "page", "resources", "data");
    const properties = (resources.Properties ??= {}) as Dictionary;
    const tag = `OC${groups.length}`;
    properties[tag] = ref;
    doc.addContent(`/OC /${tag} BDC`);
    draw();
    doc.addContent("EMC");
  }

  /** Tells the document which groups it has: all are shown at first, in the order in which they were drawn. */
  close(): void {
    const { doc, groups } = this;
    if (groups.length === 0) return;
    dictionaryOf(doc, "_root", "data").OCProperties = {
      OCGs: groups,
      D: { Name: new String("Layers"), ON: groups, Order: groups },
    };
  }
}
