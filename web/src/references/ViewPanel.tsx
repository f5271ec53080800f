import { toldBy } from "@zanvo/core/problem";
import { Fragment, useMemo } from "react";
import { useNavigate } from "react-router";
import {
  as35,
  blocksOf,
  boundsOf,
  leftTurn,
  shotFrom,
  viewOfReference,
  type Judgement,
  type RecoveredView,
} from "@zanvo/core/recover";
import type { Orientation, Reference } from "@zanvo/core/scene";
import { degree } from "@zanvo/core/slip";
import { newId } from "../id";
import { Button, Working, useWork } from "../ui";
import { onReference } from "./tracing";
import type { Recovered } from "./useRecovered";
import { straightenReference } from "./warp";
import { useStores, type Stores } from "../stores";

/** Lenses that differ by more than this (ratio) from what the camera noted are worth a word. */
const DISAGREEMENT = 1.15;

interface ViewPanelProps {
  readonly sceneId: string;
  readonly reference: Reference;
  readonly recovered: Recovered;
}

/** A gaze that is off by less than this is level, degrees. */
const LEVEL = 0.25;

/** The view in one sentence. */
function sentenceOf(
  reference: Reference,
  { focalLength, pitch, roll }: RecoveredView,
  judgement: Judgement | null,
): string {
  const lens = focalLength && `${as35(reference, focalLength.px).toFixed(0)} mm lens`;
  const looking =
    pitch === null
      ? null
      : Math.abs(pitch) < LEVEL
        ? "looking straight ahead"
        : `looking ${pitch > 0 ? "up" : "down"} ${degree(Math.abs(pitch))}`;
  const tilted = roll === null || Math.abs(roll) < LEVEL ? null : `tilted ${degree(Math.abs(roll))}`;
  const fits = judgement && (judgement.poor ? "does not fit its edges" : "fits well");
  return `${[[lens, looking, tilted].filter(Boolean).join(", "), fits].filter(Boolean).join("; ")}.`;
}

/** The lens that the edges tell where another one is said to be it, in words; null where they tell none. */
function toldByEdges(reference: Reference): string | null {
  try {
    const view = viewOfReference({ ...reference, lens35: undefined });
    const { lens } = boundsOf(view);
    if (!view.focalLength || lens === null) return null;
    const mm = as35(reference, view.focalLength.px);
    return `${mm.toFixed(1)} mm ± ${(lens * mm).toFixed(1)}`;
  } catch {
    return null;
  }
}

const within = (value: number, bound: number | null): string =>
  bound === null ? degree(value) : `${degree(value)} ± ${degree(bound)}`;

/** What the view is, each with its word and how far it may be off (95 %). */
function factsOf(
  reference: Reference,
  view: NonNullable<Recovered["view"]>,
): readonly (readonly [word: string, value: string])[] {
  const { focalLength, pitch, roll } = view;
  const left = leftTurn(view);
  const lens = focalLength && as35(reference, focalLength.px);
  const bounds = boundsOf(view);
  const facts: readonly (readonly [string, string | null])[] = [
    [
      "Lens",
      lens === null
        ? null
        : `${lens.toFixed(1)} mm${bounds.lens === null ? "" : ` ± ${(lens * bounds.lens).toFixed(1)}`}`,
    ],
    ["By its edges", reference.lens35 === undefined ? null : toldByEdges(reference)],
    ["Noted", reference.focal35 === undefined ? null : `${reference.focal35} mm`],
    ["Left runs", left === null ? null : `${degree(-left)} left of the gaze`],
    ["Pitch (look up)", pitch === null ? null : within(pitch, bounds.pitch)],
    ["Roll", roll === null ? null : within(roll, bounds.roll)],
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
function Uses({ sceneId, reference, ready }: Omit<ViewPanelProps, "recovered"> & { ready: boolean }) {
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
      <Button primary className="w-full" disabled={!ready || !orientations.length} onClick={make}>
        {raised
          ? `Draw in this view, with ${raised === 1 ? "the wall" : `${raised} walls`} raised`
          : "Draw in this view"}
      </Button>
      <Working work={work}>Straightening…</Working>
      {!work.busy && (
        <Button className="w-full" disabled={!ready} onClick={() => void straighten()}>
          Straighten the photo
        </Button>
      )}
    </>
  );
}

/** Where the view does not explain its edges: by how much they miss it, and what would mend that. */
function Doubts({ reference, judgement }: { readonly reference: Reference; readonly judgement: Judgement }) {
  const { edit } = useStores();
  const { misfit, suggestions } = judgement;
  const px = Math.sqrt(misfit.chiSquare / Math.max(1, misfit.freedom));
  const whole = (value: number) => Math.round(value).toLocaleString("en");
  return (
    <div role="status" className="space-y-1 rounded border border-accent p-1.5">
      <p>
        No view explains these edges: they miss this one by {px.toFixed(1)} px, chi-square {whole(misfit.chiSquare)}{" "}
        where {whole(misfit.freedom)} is to be expected.
        {suggestions.length > 1 && " One of these may be so:"}
      </p>
      {suggestions.map(({ what, change, chiSquare }) => (
        <Button
          key={what}
          className="h-auto min-h-7 w-full !whitespace-normal py-0.5"
          onClick={() => edit(onReference(reference.id, (one) => void Object.assign(one, change(reference))))}
        >
          {what} <span className="measure text-pencil">(chi-square {whole(chiSquare)} then)</span>
        </Button>
      ))}
    </div>
  );
}

/** The view behind the traced edges in one sentence, how sure it is, and what is made of it. */
export function ViewPanel({ sceneId, reference, recovered: { view, lacking, judgement } }: ViewPanelProps) {
  const { useMeasures } = useStores();
  const measures = useMeasures();
  const facts = useMemo(() => (view ? factsOf(reference, view) : []), [reference, view]);
  return (
    <section aria-label="View" className="space-y-1.5">
      <h2 className="text-sm font-semibold">The view</h2>
      {lacking && <p>{measures(lacking)}</p>}
      {view?.focalLength && <p>{sentenceOf(reference, view, judgement)}</p>}
      {judgement?.poor && <Doubts reference={reference} judgement={judgement} />}
      {facts.length > 0 && (
        <dl className="grid grid-cols-[auto_1fr] gap-x-3" title="Bounds hold in at least 95 cases of 100">
          {facts.map(([word, value]) => (
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
