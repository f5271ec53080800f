import { useEffect, useMemo, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { as35, shotFrom, viewOfReference } from "@zanvo/core/recover";
import type { Reference } from "@zanvo/core/scene";
import { degree } from "@zanvo/core/slip";
import { Button, Check, say } from "../ui";
import { currentShot, edit, go, useBoard } from "../board/board";
import { straightenReference } from "./straighten";
import { onReference } from "./tracing";

/** Lenses that differ by more than this (ratio) from what the camera noted are worth a word. */
const APART = 1.15;

/** The view behind the traced edges, what was taken for granted, and the shot that is made of it. */
export function ViewPanel({ sceneId, reference }: { readonly sceneId: string; readonly reference: Reference }) {
  const orientations = useBoard((board) => board.scene.orientations);
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const stop = useRef<AbortController | null>(null);
  useEffect(() => () => stop.current?.abort(), []);
  const found = useMemo(() => {
    try {
      return viewOfReference(reference);
    } catch (error) {
      return (error as Error).message;
    }
  }, [reference]);
  const view = typeof found === "string" ? null : found;
  const lacking = typeof found === "string" ? found : found.lacking;
  const assume = (key: "level" | "cropped" | "oblique") => (on: boolean) => edit(onReference(reference.id, (one) => {
    one[key] = on || undefined;
  }));
  const [main] = orientations;
  const lens = view?.focalLength ? as35(reference, view.focalLength.px) : null;
  const noted = reference.focal35;
  const straighten = async () => {
    stop.current = new AbortController();
    setBusy(true);
    const id = await straightenReference(sceneId, reference, stop.current.signal);
    setBusy(false);
    if (id) void navigate(`/scenes/${sceneId}/references/${id}`);
  };
  const make = () => {
    const board = useBoard.getState();
    try {
      const base = currentShot(board);
      const shot = { ...shotFrom(base, main, reference), id: crypto.randomUUID(), name: reference.name };
      edit((scene) => void scene.shots.splice(scene.shots.findIndex(({ id }) => id === base.id) + 1, 0, shot as never));
      go({ shotId: shot.id, stage: "masses", tool: "raise" });
      void navigate(`/scenes/${sceneId}`);
    } catch (wrong) {
      say((wrong as Error).message);
    }
  };
  return (
    <section aria-label="View" className="space-y-1.5 border-t border-hair pt-2">
      <h2 className="text-sm font-semibold">The view</h2>
      <Check label="The camera was level" checked={reference.level ?? false} onChange={assume("level")} />
      <Check label="The photo was cropped" checked={reference.cropped ?? false} onChange={assume("cropped")} />
      <Check label="Left and right are not square" checked={reference.oblique ?? false} onChange={assume("oblique")} />
      {lacking && <p>{lacking}</p>}
      {view && (
        <dl className="grid grid-cols-[auto_1fr] gap-x-3">
          {view.focalLength && <><dt className="text-pencil">Lens</dt><dd className="measure">{lens!.toFixed(1)} mm ± {((lens! * view.focalLength.sd) / view.focalLength.px).toFixed(1)}</dd></>}
          {noted !== undefined && <><dt className="text-pencil">Noted</dt><dd className="measure">{noted} mm</dd></>}
          {view.pitch !== null && <><dt className="text-pencil">Look up</dt><dd className="measure">{degree(view.pitch)}</dd></>}
          {view.roll !== null && <><dt className="text-pencil">Roll</dt><dd className="measure">{degree(view.roll)}</dd></>}
        </dl>
      )}
      {lens !== null && noted !== undefined && Math.max(lens / noted, noted / lens) > APART && <p className="text-accent">The edges tell another lens than the camera noted: an edge may be in the wrong set, or the photo was cropped.</p>}
      {busy
        ? <p className="flex items-center justify-between text-pencil">Straightening… <Button onClick={() => stop.current?.abort()}>Stop</Button></p>
        : <Button className="w-full" disabled={!view?.focalLength} onClick={() => void straighten()}>Straighten the photo</Button>}
      <Button primary className="w-full" disabled={!view?.focalLength || !main} onClick={make}>Make a shot of this view</Button>
    </section>
  );
}
