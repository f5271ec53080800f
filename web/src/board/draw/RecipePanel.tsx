import { ChevronLeft, ChevronRight, Pause, Play, X } from "lucide-react";
import { useEffect, useState } from "react";
import { RECIPES, type RecipeId } from "@zanvo/core/recipes";
import { fileName, FAINT, type Scene, type Shot } from "@zanvo/core/scene";
import { stands } from "@zanvo/core/world";
import { fetchRecipe } from "../../api";
import { linesOf } from "../../document/lines";
import { download } from "../../files";
import { Button, IconButton, Select, useWork, Working } from "../../ui";
import { useBoard } from "../useBoard";
import { ConstructionFields } from "./ConstructionFields";
import { nameOf } from "./names";
import { useSteps } from "./useSteps";

/** How long a step is shown while they are played, ms. */
const PLAYED = 2200;
/** No more things than these are listed: of more, the one that is chosen among the masses is taken. */
const MAX_LISTED = 300;

/** What a construction can be shown of: things that stand, and own lines that can be divided or are round. */
function thingsIn(scene: Scene, shot: Shot): readonly (readonly [string, string])[] {
  const lines = linesOf(scene, shot).filter(({ kind }) => kind === "spacing" || kind === "quad" || kind === "circle");
  return [
    ...lines.map((line, i) => [line.id, `${nameOf(line)} ${i + 1}`] as const),
    ...scene.elements
      .filter(stands)
      .slice(0, MAX_LISTED)
      .map(({ id, name }) => [id, name] as const),
  ];
}

/** Files of the construction that is shown: small pictures by themselves, or after the set-up sheet. */
function Files({ recipe, of }: { readonly recipe: RecipeId; readonly of?: string }) {
  const { useDocument, useShot, useUnits, saving } = useBoard();
  const id = useDocument((document) => document.id);
  const title = useDocument((document) => document.scene.title);
  const shot = useShot();
  const units = useUnits(({ system }) => system);
  const work = useWork("The small pictures");
  const save = (withSlip: boolean) =>
    work.run(async (signal) => {
      await saving.savedFirst();
      const file = await fetchRecipe(id, { recipe, shot: shot.id, of }, units, withSlip, signal);
      download(file, `${fileName(`${title} ${shot.name} ${recipe}`)}.pdf`);
    });
  return (
    <>
      <div className="flex gap-1">
        <Button className="grow" disabled={work.busy} onClick={() => void save(false)}>
          Small pictures
        </Button>
        <Button className="grow" disabled={work.busy} onClick={() => void save(true)}>
          With the slip
        </Button>
      </div>
      <Working work={work}>Drawing the small pictures…</Working>
    </>
  );
}

/** The step that is shown, and the way back and forth. */
function Steps() {
  const { useDraw, drawWith, useMeasures } = useBoard();
  const shown = useDraw((draw) => draw.shown);
  const found = useSteps();
  const measures = useMeasures();
  const [playing, setPlaying] = useState(false);
  const count = found?.steps.length ?? 0;
  const at = Math.min(shown?.step ?? 0, Math.max(0, count - 1));
  const last = at >= count - 1;
  useEffect(() => {
    if (!playing || !shown || last) return undefined;
    const timer = setTimeout(() => drawWith({ shown: { ...shown, step: at + 1 } }), PLAYED);
    return () => clearTimeout(timer);
  }, [playing, shown, at, last, drawWith]);
  if (!shown || !found) return null;
  if (found.wrong !== null)
    return (
      <p role="alert" className="text-accent">
        {measures(found.wrong)}
      </p>
    );
  const go = (step: number) => {
    setPlaying(false);
    drawWith({ shown: { ...shown, step } });
  };
  const play = () => {
    if (last && !playing) drawWith({ shown: { ...shown, step: 0 } });
    setPlaying(!playing || last);
  };
  const running = playing && !last;
  return (
    <div className="space-y-1.5 rounded border border-hair p-2">
      <div className="flex items-center justify-between">
        <p className="font-medium">
          Step {at + 1} of {count}
        </p>
        <div className="flex">
          <IconButton label="Step back" disabled={at === 0} onClick={() => go(at - 1)}>
            <ChevronLeft size={16} />
          </IconButton>
          <IconButton label={running ? "Pause" : "Play"} onClick={play}>
            {running ? <Pause size={15} /> : <Play size={15} />}
          </IconButton>
          <IconButton label="Step forward" disabled={last} onClick={() => go(at + 1)}>
            <ChevronRight size={16} />
          </IconButton>
          <IconButton label="Close the construction" onClick={() => drawWith({ shown: null })}>
            <X size={15} />
          </IconButton>
        </div>
      </div>
      <p aria-live="polite">{measures(found.steps[at].text)}</p>
    </div>
  );
}

/** How things are drawn by hand, step by step, beside the drawing. */
export function RecipePanel() {
  const { useDraw, drawWith, useDocument, useShot, useSelection } = useBoard();
  const scene = useDocument((document) => document.scene);
  const shot = useShot();
  const shown = useDraw((draw) => draw.shown);
  const [line] = useDraw((draw) => draw.chosen);
  const element = useSelection(({ selected }) => selected);
  const things = thingsIn(scene, shot);
  const needs = RECIPES.find(({ id }) => id === shown?.recipe)?.needs;
  const usual = [line, element, things[0]?.[0]].find((id) => id && things.some(([one]) => one === id)) ?? undefined;
  const of = shown?.of ?? usual;
  return (
    <div className="space-y-2">
      <Select
        label="Construction"
        value={shown?.recipe ?? ""}
        options={[["", "Choose a construction"], ...RECIPES.map(({ id, label }) => [id, label] as const)]}
        onChange={(recipe) => drawWith({ shown: recipe === "" ? null : { recipe, of, step: 0 } })}
      />
      {shown && needs && things.length > 0 && (
        <Select
          labelled
          label="Of"
          className="min-w-0 grow"
          value={of ?? ""}
          options={things}
          onChange={(to) => drawWith({ shown: { ...shown, of: to, step: 0 } })}
        />
      )}
      <Steps />
      {shown && <Files recipe={shown.recipe} of={shown.of} />}
      <ConstructionFields of={of} faint={FAINT} />
    </div>
  );
}
