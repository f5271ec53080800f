import { aimedAt, edgesWithoutTicks, LAYER_KINDS, showOf, tickLanes } from "@zanvo/core/drawing";
import { bundleOf, NO_AIDS, lineSpacingOf, type Aids, type LineSpacing, type Shot, type Show } from "@zanvo/core/scene";
import { lightsOf } from "@zanvo/core/light";
import { pinsOf } from "@zanvo/core/vanishing";
import { usualSpacing } from "@zanvo/core/slip";
import { sceneMeasure } from "@zanvo/core/schema";
import { Button, Check, Fold, MeasureField, Strength } from "../../ui";
import { MeasuredFields } from "./MeasuredFields";
import { SetFields } from "./SetFields";
import { useStores } from "../../stores";

/** What buildings are drawn with stands beside them. */
const KINDS = LAYER_KINDS.filter(({ partOf }) => partOf !== "buildings");
const AIDS = {
  ticks: "Numbered edge ticks",
  tilts: "Tilts beside the ticks",
  strips: "Arrows to taped-on pins",
  pegs: "Centrolinead pegs",
  scaled: "Scaled set-up",
} as const satisfies Partial<Record<keyof Aids, string>>;

/** Says which margins are too narrow for the ticks of all far points. */
function NarrowMargins({ shot, aids }: { readonly shot: Shot; readonly aids: Aids }) {
  const { useDocument } = useStores();
  const orientations = useDocument((document) => document.scene.orientations);
  const lights = useDocument((document) => lightsOf(document.scene, shot));
  if (!aids.ticks && !aids.tilts) return null;
  const lanes = tickLanes(shot, aimedAt(shot, pinsOf(orientations, shot), lights), aids.every, aids.tilts);
  const edges = edgesWithoutTicks(lanes);
  if (edges.length === 0) return null;
  return (
    <p className="text-accent">
      No room for the ticks of {lanes.length === 1 ? "a point" : `${lanes.length} points`} on the margin at the{" "}
      {edges.join(", ")}: the set-up sheet has them.
    </p>
  );
}

/** Grids weaker than this are hardly seen. */
const FADED = 0.15;

/** Says so where a shot shows no grid, or hardly any, and offers to show them. */
function HiddenGrids({ shot }: { readonly shot: Shot }) {
  const { useDocument, edit, onShot } = useStores();
  const orientations = useDocument((document) => document.scene.orientations);
  const strength = showOf(shot).bundles;
  const all = pinsOf(orientations, shot).map(({ id }) => bundleOf(shot, id));
  const off = all.every((bundle) => bundle.off || bundle.strength === 0);
  if (strength >= FADED && !off) return null;
  const show = () =>
    edit(
      onShot((before) => ({
        ...before,
        show: { ...showOf(before), bundles: 1 },
        bundles: off
          ? before.bundles?.map((one) => ({ ...one, off: undefined, strength: one.strength || 1 }))
          : before.bundles,
      })),
    );
  return (
    <div className="space-y-1.5 rounded border border-hair p-2">
      <p>{strength === 0 || off ? "The grids of this shot are hidden." : "The grids of this shot are faded."}</p>
      <Button className="w-full" onClick={show}>
        Show the grids
      </Button>
    </div>
  );
}

/**
 * Sets and their bundles, measured squares, the room they leave, aids on the margin, and how strongly each kind of
 * line is drawn.
 */
export function GridPanel() {
  const { useShot, useUnits, onShot, edit, drag, beginGesture, endGesture } = useStores();
  const shot = useShot();
  const show = showOf(shot);
  const room = lineSpacingOf(shot);
  const system = useUnits((units) => units.system);
  const none = { ...NO_AIDS, every: usualSpacing(system) };
  const aids = shot.aids ?? none;
  const shown = (change: Partial<Show>) => onShot((before) => ({ ...before, show: { ...showOf(before), ...change } }));
  const roomed = (change: Partial<LineSpacing>) =>
    edit(
      onShot((before) => ({ ...before, room: { ...lineSpacingOf(before), ...change } })),
      "room",
    );
  const aided = (change: Partial<Aids>) =>
    edit(
      onShot((before) => ({ ...before, aids: { ...none, ...before.aids, ...change } })),
      "aids",
    );
  return (
    <div className="space-y-3">
      <HiddenGrids shot={shot} />
      <SetFields />
      <MeasuredFields shot={shot} />
      <Fold title="Line spacing">
        <MeasureField measure={sceneMeasure("shots/*/room/gap")} value={room.gap} onChange={(gap) => roomed({ gap })} />
        <MeasureField
          measure={sceneMeasure("shots/*/room/clear")}
          value={room.clear}
          onChange={(clear) => roomed({ clear })}
        />
      </Fold>
      <Fold title="Aids on the margin">
        <p className="text-pencil">For points beyond the sheet; all of them stand on the set-up sheet too.</p>
        {Object.entries(AIDS).map(([kind, label]) => (
          <Check
            key={kind}
            label={label}
            checked={aids[kind as keyof typeof AIDS]}
            onChange={(on) => aided({ [kind]: on })}
          />
        ))}
        <NarrowMargins shot={shot} aids={aids} />
        <MeasureField
          measure={sceneMeasure("shots/*/aids/every")}
          value={aids.every}
          onChange={(every) => aided({ every })}
        />
      </Fold>
      <section className="space-y-0.5 border-t border-hair pt-2">
        <Check
          label="The horizon stops at masses"
          checked={shot.stopAtMasses ?? true}
          onChange={(on) => edit(onShot((before) => ({ ...before, stopAtMasses: on ? undefined : false })))}
        />
        <Check
          label="Grids stop at masses"
          checked={shot.stopAtMasses ?? false}
          onChange={(on) => edit(onShot((before) => ({ ...before, stopAtMasses: on || undefined })))}
        />
        <h3 className="font-medium">Strength of lines</h3>
        {KINDS.map(({ id, label }) => (
          <Strength
            key={id}
            label={label}
            value={show[id]}
            onChange={(strength) => drag(shown({ [id]: strength }))}
            onHold={beginGesture}
            onRelease={endGesture}
          />
        ))}
      </section>
    </div>
  );
}
