import type { Element } from "@zanvo/core/world";
import { Fold } from "../ui";
import { lazily } from "../ui/lazily";

/** Fetched when it is first looked at. */
const KitOf = lazily(async () => (await import("./KitOf")).KitOf);

/** Things as a kit, folded away at first or not. */
export function KitFields({ things, open }: { readonly things: readonly Element[]; readonly open?: boolean }) {
  return (
    <Fold title="Kit" open={open}>
      <KitOf things={things} />
    </Fold>
  );
}
