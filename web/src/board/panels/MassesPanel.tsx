import { ToldError } from "@zanvo/core/problem";
import { detailSwitch, LAYER_KINDS, showOf } from "@zanvo/core/drawing";
import { DETAIL_KINDS } from "@zanvo/core/world";
import { MousePointer2, MoveUp } from "lucide-react";
import { FAINT } from "@zanvo/core/scene";
import { Button, Check, Fold, NumberField, Select, Strength, useTypedDigits } from "../../ui";
import { LEAST, stepsOf, type Raising, type StepId } from "../desk/raise";
import { ChosenFields } from "./ChosenFields";
import { useBoard } from "../useBoard";

/** What buildings are drawn with, and what is drawn on their surfaces. */
const SWITCHES = [
  ...LAYER_KINDS.filter(({ id }) => id === "buildings"),
  ...LAYER_KINDS.filter(({ partOf }) => partOf === "buildings"),
  ...DETAIL_KINDS.map(({ id, label }) => ({ id: detailSwitch(id), label, strength: 1 })),
];

const ASKS: Readonly<Record<StepId, string>> = {
  distance: "Away: distance from the eye",
  height: "Up: height",
  left: "Out along the left set",
  right: "Out along the right set",
};

/** The measure that is being drawn, to be typed instead: a digit typed anywhere goes here. */
function RaisingFields({ raising }: { readonly raising: Raising }) {
  const { takeMeasure, setRaising } = useBoard();
  const field = useTypedDigits();
  return (
    <div className="space-y-2 rounded border border-accent p-2">
      <p className="font-medium">Step {stepsOf(raising).indexOf(raising.step) + 1} of 3</p>
      <p className="text-pencil">Along {raising.name}</p>
      <NumberField
        key={raising.step}
        inputRef={field}
        label={ASKS[raising.step]}
        unit="m"
        digits={2}
        min={LEAST}
        max={10000}
        step={0.1}
        value={raising.measures[raising.step]}
        onChange={(metres) => {
          const lack = takeMeasure(metres);
          if (lack) throw new ToldError(lack);
          if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
        }}
        onCancel={() => setRaising(null)}
      />
      {raising.step === "left" && raising.measures.height >= LEAST && (
        <Button className="w-full" onClick={() => [0, 1].forEach(() => takeMeasure(raising.measures.height))}>
          A true cube
        </Button>
      )}
      <Button className="w-full" onClick={() => setRaising(null)}>
        Cancel (Esc)
      </Button>
    </div>
  );
}

/** The pair of streets along which a corner is raised that catches nothing. */
function AlongField() {
  const { useDocument, useView, go } = useBoard();
  const orientations = useDocument((document) => document.scene.orientations);
  const along = useView((view) => view.along);
  if (orientations.length < 2) return null;
  return (
    <Select
      labelled
      label="Along"
      className="min-w-0 grow"
      value={orientations.some(({ id }) => id === along) ? along : orientations[0].id}
      options={orientations.map(({ id, name }) => [id, name])}
      onChange={(id) => go({ along: id })}
    />
  );
}

/** Raising buildings by their near corner, choosing and changing them. */
export function MassesPanel() {
  const { useView, useDesk, useDocument, useChosen, useShot, go, edit, onShot, drag, beginGesture, endGesture } =
    useBoard();
  const tool = useView((view) => view.tool);
  const from = useView((view) => view.from);
  const fromTop = useView((view) => view.fromTop);
  const raising = useDesk((desk) => desk.raising);
  const empty = useDocument((document) => document.scene.elements.length === 0);
  const chosen = useChosen();
  const shot = useShot();
  const show = showOf(shot);
  return (
    <div className="space-y-2">
      <div className="flex gap-1">
        <Button className="grow" on={tool === "raise"} title="R" onClick={() => go({ tool: "raise" })}>
          <MoveUp size={14} aria-hidden />
          Raise a corner
        </Button>
        <Button className="grow" on={tool === "select"} title="C" onClick={() => go({ tool: "select" })}>
          <MousePointer2 size={14} aria-hidden />
          Choose
        </Button>
      </div>
      {tool === "raise" && !raising && <AlongField />}
      {tool === "raise" && !raising && (
        <NumberField
          label="Starts at"
          unit="m"
          digits={2}
          min={-100}
          max={1000}
          value={from}
          onChange={(to) => go({ from: to })}
        />
      )}
      {tool === "raise" && !raising && (
        <Check label="From the top downwards" checked={fromTop} onChange={(on) => go({ fromTop: on })} />
      )}
      {raising ? (
        <RaisingFields raising={raising} />
      ) : (
        <p className="text-pencil">
          {tool === "raise"
            ? `${empty ? "Nothing stands here yet. " : ""}Press on the ground for the foot of the near corner and ` +
              "draw up; then out to the left and out to the right. Where the panel shows no ground, press on the " +
              "desk outside it, or press a top and type how far away it is."
            : "Press a building to choose it; drag it over the ground. Alt: do not catch on street lines."}
        </p>
      )}
      <Check
        label="Show hidden lines faintly"
        checked={show.hidden > 0}
        onChange={(checked) =>
          edit(onShot((before) => ({ ...before, show: { ...showOf(before), hidden: checked ? FAINT : 0 } })))
        }
      />
      <Check
        label="Outlines lighter with depth"
        checked={!shot.evenOutlines}
        onChange={(on) => edit(onShot((before) => ({ ...before, evenOutlines: on ? undefined : true })))}
      />
      <Fold title="Strength of their lines">
        {SWITCHES.map(({ id, label, strength: usual }) => (
          <Strength
            key={id}
            label={label}
            value={shot.show?.[id] ?? usual}
            onChange={(strength) =>
              drag(onShot((before) => ({ ...before, show: { ...showOf(before), [id]: strength } })))
            }
            onHold={beginGesture}
            onRelease={endGesture}
          />
        ))}
      </Fold>
      {chosen && !raising && <ChosenFields key={chosen.id} element={chosen} />}
    </div>
  );
}
