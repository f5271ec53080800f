import { Copy } from "lucide-react";
import { EyeFields } from "../board/panels/EyeFields";
import { HeldToPhoto, OfView } from "../board/panels/Held";
import { ViewFields } from "../board/panels/ViewFields";
import { addShot } from "../document/shots";
import { Button, Fold } from "../ui";
import { useStores } from "../stores";

/** The eye, look and lens of the current shot in numbers, and a new shot from it. */
export function ShotFields() {
  const stores = useStores();
  const shot = stores.useShot();
  return (
    <Fold title="Eye, look and lens">
      <div className="space-y-2">
        <HeldToPhoto />
        <EyeFields shot={shot} />
        <OfView>
          <ViewFields shot={shot} />
        </OfView>
        <Button className="w-full" onClick={() => addShot(stores)}>
          <Copy size={14} aria-hidden />
          New shot from this one
        </Button>
      </div>
    </Fold>
  );
}
