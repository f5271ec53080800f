import { toldBy } from "@zanvo/core/problem";
import { useMemo } from "react";
import { useNavigate } from "react-router";
import { as35, blocksOf, leftTurn, shotFrom, viewOfReference } from "@zanvo/core/recover";
import type { Reference } from "@zanvo/core/scene";
import { degree } from "@zanvo/core/slip";
import { newId } from "../id";
import { Button, Check, NumberField, say, Working, useWork } from "../ui";
import { HORIZON, onReference, type Tracing } from "./tracing";
import { straightenReference } from "./warp";
import { useDocument, edit, go, currentShot } from "../document";

/** Lenses that differ by more than this (ratio) from what the camera noted are worth a word. */
const DISAGREEMENT = 1.15;

/** The view behind the traced edges, what was taken for granted, and the shot that is made of it. */
export function ViewPanel({
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
  const orientations = useDocument((document) => document.scene.orientations);
  const navigate = useNavigate();
  const { busy, run, stop } = useWork();
  const found = useMemo(() => {
    try {
      return viewOfReference(reference);
    } catch (error) {
      return (error as Error).message;
    }
  }, [reference]);
  const view = typeof found === "string" ? null : found;
  const lacking = typeof found === "string" ? found : found.lacking;
  const assume = (key: "level" | "cropped" | "oblique") => (on: boolean) =>
    edit(
      onReference(reference.id, (one) => {
        one[key] = on || undefined;
      }),
    );
  const noted = reference.focal35;
  const [main] = orientations;
  const lens = view?.focalLength ? as35(reference, view.focalLength.px) : null;
  const straighten = async () => {
    const id = await run((signal) => straightenReference(sceneId, reference, signal));
    if (id) void navigate(`/scenes/${sceneId}/references/${id}`);
  };
  const raised = reference.walls?.length ?? 0;
  const left = view && leftTurn(view);
  const knowHorizon = (on: boolean) => {
    edit(
      onReference(reference.id, (one) => {
        one.horizon = on
          ? { x1: 0, y1: reference.height / 2, x2: reference.width, y2: reference.height / 2 }
          : undefined;
      }),
    );
    onTracing({ set: on ? HORIZON : (reference.sets[0]?.id ?? ""), edge: on ? 0 : null });
  };
  const make = () => {
    try {
      const base = currentShot();
      const shot = { ...shotFrom(base, main, reference), id: newId(), name: reference.name };
      const blocks = raised > 0 ? blocksOf(reference, shot, orientations, newId) : [];
      edit((scene) => {
        scene.shots.splice(scene.shots.findIndex(({ id }) => id === base.id) + 1, 0, shot);
        scene.elements.push(...blocks);
      });
      go({ shotId: shot.id, stage: "masses", tool: "raise" });
      void navigate(`/scenes/${sceneId}`);
    } catch (wrong) {
      say(toldBy(wrong));
    }
  };
  return (
    <section aria-label="View" className="space-y-1.5 border-t border-hair pt-2">
      <h2 className="text-sm font-semibold">The view</h2>
      <Check label="The camera was level" checked={reference.level ?? false} onChange={assume("level")} />
      <Check label="The photo was cropped" checked={reference.cropped ?? false} onChange={assume("cropped")} />
      <Check label="Left and right are not square" checked={reference.oblique ?? false} onChange={assume("oblique")} />
      <Check label="The horizon is known" checked={reference.horizon !== undefined} onChange={knowHorizon} />
      {tracing.set === HORIZON && <p className="text-pencil">Draw it across the photo, or drag its ends.</p>}
      <Check
        label="The lens is known"
        checked={reference.lens35 !== undefined}
        onChange={(on) =>
          edit(
            onReference(reference.id, (one) => {
              one.lens35 = on ? (noted ?? 35) : undefined;
            }),
          )
        }
      />
      {reference.lens35 !== undefined && (
        <NumberField
          label="Lens, as on full frame"
          unit="mm"
          fixed
          digits={1}
          value={reference.lens35}
          min={4}
          max={3000}
          onChange={(lens35) =>
            edit(
              onReference(reference.id, (one) => {
                one.lens35 = lens35;
              }),
            )
          }
        />
      )}
      {lacking && <p>{lacking}</p>}
      {view && (
        <dl className="grid grid-cols-[auto_1fr] gap-x-3">
          {view.focalLength && (
            <>
              <dt className="text-pencil">Lens</dt>
              <dd className="measure">
                {lens!.toFixed(1)} mm
                {reference.lens35 === undefined &&
                  ` ± ${((lens! * view.focalLength.sd) / view.focalLength.px).toFixed(1)}`}
              </dd>
            </>
          )}
          {noted !== undefined && (
            <>
              <dt className="text-pencil">Noted</dt>
              <dd className="measure">{noted} mm</dd>
            </>
          )}
          {left !== null && (
            <>
              <dt className="text-pencil">Left runs</dt>
              <dd className="measure">{degree(-left)} left of the gaze</dd>
            </>
          )}
          {view.pitch !== null && (
            <>
              <dt className="text-pencil">Look up</dt>
              <dd className="measure">{degree(view.pitch)}</dd>
            </>
          )}
          {view.roll !== null && (
            <>
              <dt className="text-pencil">Roll</dt>
              <dd className="measure">{degree(view.roll)}</dd>
            </>
          )}
        </dl>
      )}
      {lens !== null && noted !== undefined && Math.max(lens / noted, noted / lens) > DISAGREEMENT && (
        <p className="text-accent">
          The edges tell another lens than the camera noted: an edge may be in the wrong set, or the photo was cropped.
        </p>
      )}
      {busy ? (
        <Working onStop={stop}>Straightening…</Working>
      ) : (
        <Button className="w-full" disabled={!view?.focalLength} onClick={() => void straighten()}>
          Straighten the photo
        </Button>
      )}
      <Button primary className="w-full" disabled={!view?.focalLength || !main} onClick={make}>
        {raised
          ? `Make a shot, with ${raised === 1 ? "the wall" : `${raised} walls`} raised`
          : "Make a shot of this view"}
      </Button>
    </section>
  );
}
