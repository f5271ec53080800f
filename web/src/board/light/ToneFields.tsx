import { planeTones, showOf } from "@zanvo/core/drawing";
import { isCaster, lightsOf } from "@zanvo/core/light";
import type { Shot, Show } from "@zanvo/core/scene";
import { sceneMeasure } from "@zanvo/core/schema";
import { useStores } from "../../stores";
import { Check, Fold, MeasureField, Select, Strength } from "../../ui";

type Tone = NonNullable<Shot["tone"]>;

/** Hatching at first: its angle, degrees, and from line to line, mm (common practice). */
const HATCH = { follows: true, angle: 0, spacing: 1.2 } as const;

/** What planes are told apart by. */
const BY = [
  ["light", "the light"],
  ["plane", "kind of plane"],
] as const;

/** Changes of how a shot tones its planes. */
function useTone() {
  const { useShot, onShot, edit, drag } = useStores();
  const { tone } = useShot();
  const change = (next: Partial<Tone>) => onShot((before) => ({ ...before, tone: { ...before.tone, ...next } }));
  return {
    tone,
    set: (next: Partial<Tone>, what: string) => edit(change(next), what),
    dragTo: (next: Partial<Tone>) => drag(change(next)),
  };
}

/** How strongly kinds of layer are drawn. */
function Strengths({ of }: { readonly of: readonly (readonly [keyof Show & string, string])[] }) {
  const { useShot, onShot, drag, beginGesture, endGesture } = useStores();
  const show: Show = showOf(useShot());
  return of.map(([id, label]) => (
    <Strength
      key={id}
      label={label}
      value={show[id] ?? 0}
      onChange={(strength) => drag(onShot((before) => ({ ...before, show: { ...showOf(before), [id]: strength } })))}
      onHold={beginGesture}
      onRelease={endGesture}
    />
  ));
}

/** How planes are told apart: in steps by the light, or each kind in a grey of its own. */
function PlaneFields() {
  const { useShot, beginGesture, endGesture } = useStores();
  const shot = useShot();
  const { tone, set, dragTo } = useTone();
  const steps = sceneMeasure("shots/*/tone/steps");
  return (
    <>
      <Select
        labelled
        label="Told apart by"
        value={tone?.planes ? "plane" : "light"}
        options={BY}
        onChange={(by) => set({ planes: by === "plane" ? {} : undefined }, "what planes are told apart by")}
      />
      {tone?.planes ? (
        <Fold title="How dark each kind is">
          {planeTones(shot).map(({ id, label, dark }) => (
            <Strength
              key={id}
              label={label}
              value={dark}
              onChange={(to) => dragTo({ planes: { ...tone.planes, [id]: to } })}
              onHold={beginGesture}
              onRelease={endGesture}
            />
          ))}
        </Fold>
      ) : (
        <MeasureField
          measure={steps}
          value={tone?.steps ?? steps.fallback ?? 0}
          onChange={(to) => set({ steps: to }, "steps of tone")}
        />
      )}
    </>
  );
}

/** How shadows and tones are hatched. */
function HatchFields() {
  const { tone, set } = useTone();
  const hatch = tone?.hatch;
  return (
    <>
      <Check
        label="Hatched"
        checked={hatch !== undefined}
        onChange={(on) => set({ hatch: on ? HATCH : undefined }, "hatching")}
      />
      {hatch && (
        <>
          <Check
            label="Towards each plane’s points"
            checked={hatch.follows ?? false}
            onChange={(follows) => set({ hatch: { ...hatch, follows, angle: follows ? 0 : 45 } }, "hatching follows")}
          />
          {(["angle", "spacing"] as const).map((key) => (
            <MeasureField
              key={key}
              measure={sceneMeasure(`shots/*/tone/hatch/${key}`)}
              value={hatch[key]}
              onChange={(to) => set({ hatch: { ...hatch, [key]: to } }, `hatching ${key}`)}
            />
          ))}
        </>
      )}
    </>
  );
}

/** How shadows, tones and areas are drawn. */
export function ToneFields() {
  const { useDocument, useShot } = useStores();
  const scene = useDocument((document) => document.scene);
  const shot = useShot();
  const isLit = lightsOf(scene, shot).some(isCaster);
  const isToned = showOf(shot).tones > 0;
  return (
    <section className="space-y-0.5 border-t border-hair pt-2">
      {isLit && <Strengths of={[["shadows", "Shadows"]]} />}
      <Strengths of={[["tones", "Tone of planes"]]} />
      {isToned && <PlaneFields />}
      {(isLit || isToned) && <HatchFields />}
      <Fold title="Areas to fill">
        <Strengths
          of={[
            ["faces", "Faces and ground"],
            ["sky", "Sky"],
          ]}
        />
      </Fold>
    </section>
  );
}
