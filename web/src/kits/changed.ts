import { renewed } from "@zanvo/core/kits";
import type { Kit } from "@zanvo/core/scene";
import type { Element } from "@zanvo/core/world";
import { newId } from "../id";
import type { Stores } from "../stores";
import { fetchKit, saveKit } from "./shelfOfKits";

/** What is renewed of a kit besides all its instances. */
interface Renewing {
  /** The one instance that is, where others stay as they are. */
  readonly instance?: string;
  /** Things that become parts of an instance. */
  readonly joining?: readonly Element[];
}

/** Makes instances of a kit as it now is, all of them or one, in one step of undoing. */
export function renew(stores: Stores, kit: Kit, { instance, joining = [] }: Renewing = {}): void {
  const { scene } = stores.useDocument.getState();
  const joined = new Map(joining.map((one) => [one.id, one]));
  const elements = scene.elements.map((one) => joined.get(one.id) ?? one);
  const next = renewed({ ...scene, elements }, kit, newId, instance);
  stores.edit((draft) => void Object.assign(draft, next));
}

/** Changes a kit wherever it is: on the shelf, and in all its instances here. */
export async function changeEverywhere(stores: Stores, now: Kit, joining?: readonly Element[]): Promise<void> {
  const { kit, gone } = await saveKit(now);
  renew(stores, kit, { joining });
  stores.say(
    gone
      ? `“${kit.name}” is changed all over this scene; it is no longer on the shelf of kits.`
      : `“${kit.name}” is changed here and on the shelf: other scenes are offered it.`,
  );
}

/** Takes a kit over as it is on the shelf. */
export async function takeOver(stores: Stores, id: string): Promise<void> {
  renew(stores, await fetchKit(id));
}
