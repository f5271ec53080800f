import { Lock, LockOpen } from "lucide-react";
import { toldBy } from "@zanvo/core/problem";
import type { Shot } from "@zanvo/core/scene";
import { isHeld } from "@zanvo/core/shot";
import type { ReactNode } from "react";
import { Button } from "../../ui";
import { useStores, type Stores } from "../../stores";

const withHeld = (stores: Stores, held: boolean) =>
  stores.onShot((before) => ({ ...before, under: before.under && { ...before.under, held: held || undefined } }));

/** Gives the current shot the view of the photo that lies under it again, and holds it there. */
async function holdAgain(stores: Stores): Promise<void> {
  const { shotFrom } = await import("@zanvo/core/recover");
  const { scene } = stores.useDocument.getState();
  const reference = scene.references?.find(({ id }) => id === stores.currentShot().under?.reference);
  const [main] = scene.orientations;
  if (!reference || !main) return;
  try {
    const { gaze, lens, frame, eye, under } = shotFrom(stores.currentShot(), main, reference);
    stores.edit(stores.onShot((before: Shot) => ({ ...before, gaze, lens, frame, eye, under })));
  } catch (wrong) {
    stores.say(toldBy(wrong));
  }
}

/** Whether the shot is held to the photo under it, and one press to release it or to bring it back. */
export function HeldToPhoto() {
  const stores = useStores();
  const { useShot, useDocument, edit } = stores;
  const shot = useShot();
  const reference = useDocument(({ scene }) => scene.references?.find(({ id }) => id === shot.under?.reference));
  if (!shot.under || !reference) return null;
  return isHeld(shot) ? (
    <div className="space-y-1 rounded border border-hair p-1.5">
      <p className="flex items-center gap-1.5">
        <Lock size={14} aria-hidden className="shrink-0" />
        The view is held to {reference.name}: its points and its lens do not move.
      </p>
      <Button className="w-full" onClick={() => edit(withHeld(stores, false))}>
        <LockOpen size={14} aria-hidden />
        Release the view
      </Button>
    </div>
  ) : (
    <Button className="w-full" onClick={() => void holdAgain(stores)}>
      <Lock size={14} aria-hidden />
      Return to the view of {reference.name}
    </Button>
  );
}

/** Tools that would change the view: they do nothing while it is held to its photo. */
export function OfView({ children }: { readonly children: ReactNode }) {
  const { useShot } = useStores();
  return (
    <fieldset className="min-w-0 space-y-3" disabled={isHeld(useShot())}>
      {children}
    </fieldset>
  );
}
