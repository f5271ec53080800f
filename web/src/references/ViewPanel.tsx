import { toldBy } from "@zanvo/core/problem";
import { Fragment, useMemo } from "react";
import { useNavigate } from "react-router";
import { as35, blocksOf, leftTurn, shotFrom, viewOfReference, type RecoveredView } from "@zanvo/core/recover";
import type { Orientation, Reference } from "@zanvo/core/scene";
import { degree } from "@zanvo/core/slip";
import { sceneMeasure } from "@zanvo/core/schema";
import { newId } from "../id";
import { Button, Check, MeasureField, Working, useWork } from "../ui";
import { HORIZON, onReference, type Tracing } from "./tracing";
import { straightenReference } from "./warp";
import { useStores, type Stores } from "../stores";

/** Lenses that differ by more than this (ratio) from what the camera noted are worth a word. */
const DISAGREEMENT = 1.15;

interface ViewPanelProps {
  readonly sceneId: string;
  readonly reference: Reference;
  readonly tracing: Tracing;
  readonly onTracing: (next: Tracing) => void;
}

/** What is known of the picture besides its edges, and what is taken for granted. */
function Assumptions({ reference, tracing, onTracing }: Omit<ViewPanelProps, "sceneId">) {
  const { edit } = useStores();
  const { id, width, height, focal35, lens35 } = reference;
  const put = (change: Partial<Reference>) => edit(onReference(id, (one) => void Object.assign(one, change)));
  const assume = (key: "level" | "cropped" | "oblique") => (on: boolean) => put({ [key]: on || undefined });
  const knowHorizon = (on: boolean) => {
    put({ horizon: on ? { x1: 0, y1: height / 2, x2: width, y2: height / 2 } : undefined });
    onTracing({ set: on ? HORIZON : (reference.sets[0]?.id ?? ""), edge: on ? 0 : null });
  };
  return (
    <>
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
    </>
  );
}

/** What the view is, each with its word. */
function factsOf(
  reference: Reference,
  view: ReturnType<typeof viewOfReference>,
): readonly (readonly [word: string, value: string])[] {
  const { focalLength, pitch, roll } = view;
  const left = leftTurn(view);
  const lens = focalLength && as35(reference, focalLength.px);
  const sure = reference.lens35 === undefined;
  const facts: readonly (readonly [string, string | null])[] = [
    [
      "Lens",
      focalLength &&
        `${lens!.toFixed(1)} mm${sure ? ` ± ${((lens! * focalLength.sd) / focalLength.px).toFixed(1)}` : ""}`,
    ],
    ["Noted", reference.focal35 === undefined ? null : `${reference.focal35} mm`],
    ["Left runs", left === null ? null : `${degree(-left)} left of the gaze`],
    ["Look up", pitch === null ? null : degree(pitch)],
    ["Roll", roll === null ? null : degree(roll)],
  ];
  return facts.filter((fact): fact is readonly [string, string] => fact[1] !== null);
}

/** Whether the edges tell quite another lens than the camera noted. */
function disagrees(reference: Reference, view: RecoveredView): boolean {
  const noted = reference.focal35;
  if (!view.focalLength || noted === undefined) return false;
  const lens = as35(reference, view.focalLength.px);
  return Math.max(lens / noted, noted / lens) > DISAGREEMENT;
}

/** Makes a shot of the view of a reference, with its walls raised in it, and goes there. */
function makeShot(stores: Stores, reference: Reference, orientations: readonly Orientation[]): void {
  const base = stores.currentShot();
  const shot = { ...shotFrom(base, orientations[0], reference), id: newId(), name: reference.name };
  const blocks = reference.walls?.length ? blocksOf(reference, shot, orientations, newId) : [];
  stores.edit((scene) => {
    scene.shots.splice(scene.shots.findIndex(({ id }) => id === base.id) + 1, 0, shot);
    scene.elements.push(...blocks);
  });
  stores.go({ shotId: shot.id, stage: "masses", tool: "raise" });
}

/** What is made of the view: a straight photo, and a shot. */
function Uses({ sceneId, reference, ready }: Omit<ViewPanelProps, "tracing" | "onTracing"> & { ready: boolean }) {
  const stores = useStores();
  const { useDocument, say } = stores;
  const orientations = useDocument((document) => document.scene.orientations);
  const navigate = useNavigate();
  const work = useWork("Straightening");
  const straighten = async () => {
    const id = await work.run(async (signal) => straightenReference(stores, sceneId, reference, signal));
    if (id) void navigate(`/scenes/${sceneId}/references/${id}`);
  };
  const make = () => {
    try {
      makeShot(stores, reference, orientations);
      void navigate(`/scenes/${sceneId}`);
    } catch (wrong) {
      say(toldBy(wrong));
    }
  };
  const raised = reference.walls?.length ?? 0;
  return (
    <>
      <Working work={work}>Straightening…</Working>
      {!work.busy && (
        <Button className="w-full" disabled={!ready} onClick={() => void straighten()}>
          Straighten the photo
        </Button>
      )}
      <Button primary className="w-full" disabled={!ready || !orientations.length} onClick={make}>
        {raised
          ? `Make a shot, with ${raised === 1 ? "the wall" : `${raised} walls`} raised`
          : "Make a shot of this view"}
      </Button>
    </>
  );
}

/** The view behind the traced edges, what was taken for granted, and the shot that is made of it. */
export function ViewPanel({ sceneId, ...props }: ViewPanelProps) {
  const { reference } = props;
  const found = useMemo(() => {
    try {
      return viewOfReference(reference);
    } catch (error) {
      return (error as Error).message;
    }
  }, [reference]);
  const view = typeof found === "string" ? null : found;
  const lacking = typeof found === "string" ? found : found.lacking;
  return (
    <section aria-label="View" className="space-y-1.5 border-t border-hair pt-2">
      <h2 className="text-sm font-semibold">The view</h2>
      <Assumptions {...props} />
      {lacking && <p>{lacking}</p>}
      {view && (
        <dl className="grid grid-cols-[auto_1fr] gap-x-3">
          {factsOf(reference, view).map(([word, value]) => (
            <Fragment key={word}>
              <dt className="text-pencil">{word}</dt>
              <dd className="measure">{value}</dd>
            </Fragment>
          ))}
        </dl>
      )}
      {view && disagrees(reference, view) && (
        <p className="text-accent">
          The edges tell another lens than the camera noted: an edge may be in the wrong set, or the photo was cropped.
        </p>
      )}
      <Uses sceneId={sceneId} reference={reference} ready={!!view?.focalLength} />
    </section>
  );
}
