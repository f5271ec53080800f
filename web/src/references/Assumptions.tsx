import type { Reference } from "@zanvo/core/scene";
import { sceneMeasure } from "@zanvo/core/schema";
import { Check, MeasureField } from "../ui";
import { HORIZON, onReference, type Tracing } from "./tracing";
import { useStores } from "../stores";

interface AssumptionsProps {
  readonly reference: Reference;
  readonly tracing: Tracing;
  readonly onTracing: (next: Tracing) => void;
}

/** What is known of the picture besides its edges, and what is taken for granted. */
export function Assumptions({ reference, tracing, onTracing }: AssumptionsProps) {
  const { edit } = useStores();
  const { id, width, height, focal35, lens35 } = reference;
  const put = (change: Partial<Reference>) => edit(onReference(id, (one) => void Object.assign(one, change)));
  const assume = (key: "level" | "cropped" | "oblique") => (on: boolean) => put({ [key]: on || undefined });
  const knowHorizon = (on: boolean) => {
    put({ horizon: on ? { x1: 0, y1: height / 2, x2: width, y2: height / 2 } : undefined });
    onTracing({ set: on ? HORIZON : (reference.sets[0]?.id ?? ""), edge: on ? 0 : null });
  };
  return (
    <section aria-label="What is taken for granted" className="space-y-1.5 border-t border-hair pt-2">
      <h2 className="text-sm font-semibold">What is taken for granted</h2>
      <Check label="The camera was level" checked={reference.level ?? false} onChange={assume("level")} />
      <Check label="The photo was cropped" checked={reference.cropped ?? false} onChange={assume("cropped")} />
      <Check label="Left and right are not square" checked={reference.oblique ?? false} onChange={assume("oblique")} />
      <Check label="The horizon is known" checked={reference.horizon !== undefined} onChange={knowHorizon} />
      {tracing.set === HORIZON && <p className="text-pencil">Draw it across the photo, or drag its ends.</p>}
      <Check
        label="The lens is known"
        checked={lens35 !== undefined}
        onChange={(on) => put({ lens35: on ? (focal35 ?? 35) : undefined })}
      />
      {lens35 !== undefined && (
        <MeasureField
          measure={sceneMeasure("references/*/lens35")}
          fixed
          value={lens35}
          onChange={(to) => put({ lens35: to })}
        />
      )}
    </section>
  );
}
