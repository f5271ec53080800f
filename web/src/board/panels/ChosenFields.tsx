import { Copy, Trash2 } from "lucide-react";
import type { Element } from "@zanvo/core/world";
import { viewOfElement, type Change } from "../../elements";
import { KitFields } from "../../kits/KitFields";
import { Button } from "../../ui";
import { replaceElement, deleteMany, duplicateElement } from "../../document/elements";
import { useStores } from "../../stores";

/** Name and measures of the chosen building, whatever its kind. */
export function ChosenFields({ element }: { readonly element: Element }) {
  const stores = useStores();
  const { edit } = stores;
  const { Fields } = viewOfElement(element);
  const change: Change = (next, what) => edit(replaceElement(next), `${what} ${element.id}`);
  return (
    <section aria-label="Chosen building" className="space-y-1.5 border-t border-hair pt-2">
      <input
        className="h-7 w-full rounded border border-hair bg-transparent px-1.5 font-medium"
        aria-label="Name of the building"
        maxLength={200}
        value={element.name}
        onChange={(event) => change({ ...element, name: event.target.value }, "name")}
        onKeyDown={(event) => event.stopPropagation()}
      />
      <Fields element={element} change={change} />
      <KitFields things={[element]} />
      <div className="flex gap-2 pt-1">
        <Button className="grow" title="Ctrl+D" onClick={() => duplicateElement(stores, element)}>
          <Copy size={14} aria-hidden />
          Duplicate
        </Button>
        <Button className="grow" title="Delete" onClick={() => deleteMany(stores, [element])}>
          <Trash2 size={14} aria-hidden />
          Delete
        </Button>
      </div>
    </section>
  );
}
