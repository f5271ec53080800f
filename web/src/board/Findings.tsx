import { sentence, metres } from "@zanvo/core/units";
import { useDeferredValue, useMemo, useState } from "react";
import { keepsView } from "@zanvo/core/shot";
import { findings, meaning, toldOf, type Finding } from "@zanvo/core/checks";
import { Button, useWork, Working } from "../ui";
import { replaceElement } from "../document/elements";
import { useBoard, type Board } from "./useBoard";

const MARKS = { error: "!!", warning: "!", note: "·" } as const;

const point = (stores: Board, at: Finding["at"] | null): void => stores.useDesk.setState({ place: at });

interface FoundProps {
  readonly finding: Finding;
  /** Whether all findings are told in full. */
  readonly full: boolean;
  /** Whether a small move is being looked for. */
  readonly busy: boolean;
  /** Frees the shot by a small move of the eye, where that is offered here. */
  readonly onFree?: (rising: boolean) => Promise<void>;
  /** Moves one of two things apart. */
  readonly onPart: (pair: readonly [string, string]) => Promise<void>;
}

/** What can be done about a finding. */
function Fixes({ finding, busy, onFree, onPart }: FoundProps) {
  const { fix, mend, between } = finding;
  const stores = useBoard();
  const { useMeasures, useShot, edit, onShot } = stores;
  const [measures, shot] = [useMeasures(), useShot()];
  return (
    <>
      {onFree && (
        <>
          <Button className="mt-1 w-full" disabled={busy} onClick={() => void onFree(false)}>
            Nudge the eye free
          </Button>
          <Button
            className="mt-1 w-full"
            disabled={busy}
            title="The horizon moves with it"
            onClick={() => void onFree(true)}
          >
            Let it rise or sink, too
          </Button>
        </>
      )}
      {between && (
        <Button className="mt-1 w-full" disabled={busy} onClick={() => void onPart(between)}>
          Nudge the block
        </Button>
      )}
      {fix && keepsView(shot, fix.shot) && (
        <Button
          className="mt-1 h-auto min-h-7 w-full !whitespace-normal py-0.5"
          onClick={() => {
            point(stores, null);
            edit(onShot(() => fix.shot));
          }}
        >
          {measures(fix.label)}
        </Button>
      )}
      {mend && (
        <Button
          className="mt-1 w-full"
          onClick={() => {
            point(stores, null);
            edit(replaceElement(mend.element));
          }}
        >
          {measures(mend.label)}
        </Button>
      )}
      <Button
        className="mt-1 w-full"
        onClick={() => {
          point(stores, null);
          edit(onShot((before) => meaning(before, finding)));
        }}
      >
        It is meant: do not tell it of this shot
      </Button>
    </>
  );
}

/** One finding in one line; pressed, all of it, with what can be done about it. Hovered, it shows its place. */
function Found(props: FoundProps) {
  const stores = useBoard();
  const { useMeasures } = stores;
  const { severity, where, at, message } = props.finding;
  const measures = useMeasures();
  const [opened, setOpened] = useState(false);
  const open = props.full || opened;
  const colour = severity === "note" ? "text-pencil" : "text-accent";
  return (
    <li
      className="flex gap-1.5 py-0.5"
      onPointerEnter={() => point(stores, at)}
      onPointerLeave={() => point(stores, null)}
      onFocus={() => point(stores, at)}
      onBlur={() => point(stores, null)}
    >
      <span aria-label={severity} role="img" className={`measure w-3 shrink-0 text-center font-semibold ${colour}`}>
        {MARKS[severity]}
      </span>
      <div className="min-w-0 grow">
        <button
          type="button"
          aria-expanded={open}
          className={`block min-h-6 w-full rounded text-left leading-snug hover:bg-wash ${open ? "" : "truncate"}`}
          onClick={() => setOpened(!opened)}
        >
          <span className="font-medium">{where[0].toUpperCase() + where.slice(1)}.</span> {measures(message)}
        </button>
        {open && <Fixes {...props} />}
      </div>
    </li>
  );
}

/** What a second pair of eyes would say of this shot, the most serious first; hovered, each shows its place. */
export function Findings() {
  const { useDocument, useShot, useColumn, say, edit, onShot, arrange, useTangents, lookFor } = useBoard();
  const scene = useDocument((document) => document.scene);
  const shot = useShot();
  // While the hand drags, they may come a moment later.
  const [looked, lookedAt] = [useDeferredValue(scene), useDeferredValue(shot)];
  const told = useMemo(() => findings(looked, lookedAt), [looked, lookedAt]);
  const touching = useTangents(scene, shot);
  const { told: found, meant } = toldOf(shot, [...told, ...touching]);
  const all = useColumn((column) => column.findings);
  const work = useWork("The search");
  /** Looks for a small move of the eye that frees the shot of tangents, and makes it. */
  const free = async (rising: boolean) => {
    const nudged = await work.run((signal) => lookFor((thread) => thread.nudgedEye(scene, shot, rising), signal));
    if (nudged === undefined) return;
    if (!nudged)
      return say(
        rising
          ? "No move of the eye by half a metre or less leaves fewer tangents. Move one of the buildings."
          : "No level move of half a metre or less leaves fewer tangents. Let the eye rise or move a building.",
      );
    edit(onShot((before) => ({ ...before, eye: nudged.shot.eye })));
    say(sentence`The eye is moved by ${metres(nudged.far)}; ${nudged.left} tangents are left.`);
  };
  /** Moves one of two things as little as parts them, and makes the move. */
  const part = async (pair: readonly [string, string]) => {
    const nudged = await work.run((signal) => lookFor((thread) => thread.nudgedBlock(scene, shot, pair), signal));
    if (nudged === undefined) return;
    if (!nudged)
      return say("No move of either by two metres or less parts them and leaves fewer tangents. Move the eye.");
    edit(replaceElement(nudged.element));
    say(sentence`${nudged.element.name} is moved by ${metres(nudged.far)}; ${nudged.left} tangents are left.`);
  };
  const worst = found.some(({ severity }) => severity !== "note");
  return (
    <section aria-label="Findings" className="flex max-h-[32%] shrink-0 flex-col border-t border-hair px-3 py-1.5">
      <div className="flex min-h-6 items-center justify-between">
        <h2 className={`font-medium ${worst ? "text-accent" : ""}`}>
          Findings <span className="measure">{found.length}</span>
        </h2>
        {found.length > 0 && (
          <button
            type="button"
            aria-pressed={all}
            className="min-h-6 rounded px-1 text-pencil hover:bg-wash"
            onClick={() => arrange({ findings: !all })}
          >
            {all ? "In one line each" : "In full"}
          </button>
        )}
      </div>
      <Working work={work}>Looking for a small move…</Working>
      {found.length === 0 && <p className="text-pencil">Nothing to point out.</p>}
      <ul className="min-h-0 overflow-y-auto">
        {found.map((one) => (
          <Found
            key={one.id}
            finding={one}
            full={all}
            busy={work.busy}
            onFree={one.id === touching[0]?.id ? free : undefined}
            onPart={part}
          />
        ))}
      </ul>
      {meant > 0 && (
        <p className="text-pencil">
          {meant === 1 ? "One more is meant." : `${meant} more are meant.`}{" "}
          <button
            type="button"
            className="min-h-6 rounded px-1 underline hover:bg-wash"
            onClick={() => edit(onShot((before) => ({ ...before, meant: undefined })))}
          >
            Tell them again
          </button>
        </p>
      )}
    </section>
  );
}
