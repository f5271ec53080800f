import { Package } from "lucide-react";
import { useState } from "react";
import { instancesOf, kitFrom, released } from "@zanvo/core/kits";
import type { Element } from "@zanvo/core/world";
import { replaceMany } from "../document/elements";
import { Button, useWork } from "../ui";
import { useStores } from "../stores";
import { renew } from "./changed";
import { keepThings } from "./keep";
import { KitTools } from "./KitTools";

/** Keeps things as a kit, by a name. */
function Keep({ things }: { readonly things: readonly Element[] }) {
  const stores = useStores();
  const work = useWork("Keeping the kit");
  const [name, setName] = useState((things.length > 1 && things[0].group) || things[0].name);
  return (
    <div className="flex gap-1">
      <input
        aria-label="Name of the kit"
        placeholder="Name of the kit"
        maxLength={200}
        className="h-7 min-w-0 grow rounded border border-hair bg-transparent px-1.5"
        value={name}
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => event.stopPropagation()}
      />
      <Button
        disabled={work.busy || name.trim() === ""}
        onClick={() => void work.run(() => keepThings(stores, things, name.trim()))}
      >
        <Package size={14} aria-hidden />
        Keep as a kit
      </Button>
    </div>
  );
}

/** The kit that chosen things are of, or may be kept as. */
export function KitOf({ things }: { readonly things: readonly Element[] }) {
  const stores = useStores();
  const kits = stores.useDocument(({ scene }) => scene.kits);
  const elements = stores.useDocument(({ scene }) => scene.elements);
  const part = things.find((one) => one.kit)?.kit;
  const kit = kits?.find(({ id }) => id === part?.id);
  const loose = things.filter((one) => !one.kit);
  const single = things.every((one) => !one.kit || one.kit.instance === part?.instance);
  if (!part || !kit || !single) return <Keep key={things[0].id} things={things} />;
  const instances = instancesOf(elements, kit.id);
  const own = instances.find(([first]) => first.kit.instance === part.instance) ?? [];
  const joining = loose.map((one) => ({ ...one, kit: { id: kit.id, instance: part.instance, part: one.id } }));
  const now = () => {
    // What was taken away from it is gone from the kit as well; what is chosen besides belongs to it from then on.
    const next = kitFrom(kit, [...own, ...joining]);
    if (!next) throw new Error("Nothing of the kit is left in it.");
    return next;
  };
  return (
    <KitTools
      kit={kit}
      count={instances.length}
      one={own.length > 1 ? `${own.length} parts in one` : "One"}
      now={now}
      joining={joining}
      again={() => renew(stores, kit, { instance: part.instance })}
      release={() => stores.edit(replaceMany(released(own)))}
    />
  );
}
