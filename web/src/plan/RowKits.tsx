import { asHere, rowKitOf } from "@zanvo/core/kits";
import { sceneMeasure } from "@zanvo/core/schema";
import { fetchKit, keepsKit, useKits } from "../kits/shelfOfKits";
import { Check, Fold, MeasureField, useWork } from "../ui";
import type { RuleProps } from "./RowFields";
import { useStores } from "../stores";

/** So many of a hundred houses are of kits at first. */
const SHARE = 50;

/** The kits that a row rolls houses from, and how many of its houses are of them. */
function KitsOfRow({ row: { kits }, set }: RuleProps) {
  const stores = useStores();
  const work = useWork("Taking over the kit");
  const here = stores.useDocument(({ scene }) => scene.kits) ?? [];
  const onShelf = useKits() ?? [];
  const ids = kits?.ids ?? [];
  // Those of the shelf, and those that are gone from there and are still rolled.
  const all = [
    ...onShelf.map(({ id, title }) => ({ id, name: title })),
    ...here.filter(({ id }) => ids.includes(id) && !onShelf.some((card) => card.id === id)),
  ];
  const put = (next: readonly string[]) =>
    set({ kits: next.length ? { ids: [...next], share: kits?.share ?? SHARE } : undefined });
  const add = (id: string) =>
    work.run(async () => {
      const kit = asHere(stores.useDocument.getState().scene, await fetchKit(id));
      if (!rowKitOf(kit)) return stores.say(`There is no house in “${kit.name}”.`);
      stores.edit(keepsKit(kit));
      put([...ids, id]);
    });
  return (
    <>
      {all.length === 0 && <p className="text-pencil">No kit is kept yet.</p>}
      {all.map(({ id, name }) => (
        <Check
          key={id}
          label={name}
          checked={ids.includes(id)}
          onChange={(on) => (on ? void add(id) : put(ids.filter((one) => one !== id)))}
        />
      ))}
      {kits && (
        <MeasureField
          measure={sceneMeasure("rows/*/kits/share")}
          value={kits.share}
          onChange={(share) => set({ kits: { ...kits, share } })}
        />
      )}
    </>
  );
}

/** The kits of a row, folded away. */
export function RowKits(props: RuleProps) {
  return (
    <Fold title="Houses from kits">
      <KitsOfRow {...props} />
    </Fold>
  );
}
