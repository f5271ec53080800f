import { X } from "lucide-react";
import { useMemo } from "react";
import { useNavigate } from "react-router";
import { examineBow } from "@zanvo/core/recover";
import type { Reference } from "@zanvo/core/scene";
import { Button, Fold, IconButton, Working, useWork } from "../ui";
import { BOWED, onReference, type Tracing } from "./tracing";
import { undistortReference } from "./warp";
import { useStores } from "../stores";

const px = (value: number): string => `${value.toFixed(1)} px`;

/** A lens that bows what is straight: drawn along, told, undone. */
export function BowPanel({
  sceneId,
  reference,
  tracing,
  onTracing,
}: {
  readonly sceneId: string;
  readonly reference: Reference;
  readonly tracing: Tracing;
  readonly onTracing: (next: Tracing) => void;
}) {
  const stores = useStores();
  const { edit } = stores;
  const { bow, refusal, spoiler } = useMemo(() => examineBow(reference), [reference]);
  const work = useWork("Undistorting");
  const navigate = useNavigate();
  const { bowed = [] } = reference;
  const drop = (at: number) =>
    edit(
      onReference(reference.id, (one) => {
        one.bowed = one.bowed?.filter((_, i) => i !== at);
      }),
    );
  const undistort = async () => {
    const id = await work.run(async (signal) => undistortReference(stores, sceneId, reference, signal));
    if (id) void navigate(`/scenes/${sceneId}/references/${id}`);
  };
  return (
    <Fold title="A lens that bows">
      <Button className="w-full" on={tracing.set === BOWED} onClick={() => onTracing({ set: BOWED, edge: null })}>
        Draw along bowed edges
      </Button>
      {bowed.map(({ points }, at) => (
        <div key={at} className="flex items-center justify-between">
          <span>
            Bowed edge {at + 1}
            <span className="measure ml-2 text-pencil">{points.length} places</span>
            {at === spoiler && <span className="ml-2 text-accent">spoils the fit</span>}
          </span>
          <IconButton label={`Delete bowed edge ${at + 1}`} onClick={() => drop(at)}>
            <X size={14} />
          </IconButton>
        </div>
      ))}
      {!bow ? (
        <p className="text-pencil">{refusal}</p>
      ) : (
        <>
          <p>
            {bow.k1 < 0 ? "A barrel" : "A pincushion"}: what is straight bows by up to{" "}
            <span className="measure">{px(bow.before)}</span>; undistorted,{" "}
            <span className="measure">{px(bow.after)}</span> are left.
          </p>
          <p className="measure text-[11px] text-pencil">
            k1 {bow.k1.toFixed(4)} ± {bow.sd.toFixed(4)}
            {bow.k2 ? `, k2 ${bow.k2.toFixed(4)}` : ""}
          </p>
          <Working work={work}>Undistorting…</Working>
          {!work.busy && (
            <Button className="w-full" onClick={() => void undistort()}>
              Undistort the photo
            </Button>
          )}
        </>
      )}
    </Fold>
  );
}
