import { Lightbulb, Sun as SunIcon, X } from "lucide-react";
import { showOf } from "@zanvo/core/drawing";
import { sceneMeasure } from "@zanvo/core/schema";
import { lightsOf, MAX_LIGHTS, type Light } from "@zanvo/core/light";
import type { Shot, Show } from "@zanvo/core/scene";
import { metres, sentence } from "@zanvo/core/units";
import { SHADOW_REACH } from "@zanvo/core/visibility";
import { fromEdge, lightName, lightPoints } from "@zanvo/core/vanishing";
import { newId } from "../../id";
import { useStores } from "../../stores";
import { Button, Check, Fold, IconButton, MeasureField, Strength } from "../../ui";
import { firstLamp, firstSun, lightMeasure, ownLights, replaced, withLights } from "./lights";
import { SunByDate } from "./SunByDate";

/** Shadows of a sun lower than this run on beyond what is drawn, degrees. */
const LOW = 2;

/** One light: where it stands, whether it is on, and where its points are for drawing by hand. */
function LightFields({ light }: { readonly light: Light }) {
  const { useShot, useMeasures, edit } = useStores();
  const measures = useMeasures();
  const shot = useShot();
  const set = (next: Light, what: string) => edit(withLights(shot.id, replaced(next)), `${what} ${light.id}`);
  const name = lightName(light);
  return (
    <section aria-label={name} className="space-y-1 rounded border border-hair p-1.5">
      <div className="flex items-center justify-between">
        <Check
          label={name}
          checked={!light.off}
          onChange={(on) => set({ ...light, off: on ? undefined : true }, "off")}
        />
        <IconButton
          label={`Delete ${name}`}
          onClick={() => edit(withLights(shot.id, (all) => all.filter(({ id }) => id !== light.id)))}
        >
          <X size={14} />
        </IconButton>
      </div>
      {light.kind === "sun" ? (
        <>
          {(["heading", "height"] as const).map((key) => (
            <MeasureField
              key={key}
              measure={lightMeasure(light, key)}
              value={light[key]}
              onChange={(to) => set({ ...light, [key]: to }, key)}
            />
          ))}
          {light.height < LOW && (
            <p className="text-pencil" role="status">
              {measures(
                sentence`So low a sun casts shadows without an end: they are cut ${metres(SHADOW_REACH, 0)} from the eye.`,
              )}
            </p>
          )}
          <SunByDate onSun={(sun) => set({ ...light, ...sun }, "date")} />
        </>
      ) : (
        (["x", "y", "z"] as const).map((key) => (
          <MeasureField
            key={key}
            measure={lightMeasure(light, `at/${key}`)}
            value={light.at[key]}
            onChange={(to) => set({ ...light, at: { ...light.at, [key]: to } }, key)}
          />
        ))
      )}
      <Fold title="Points for drawing by hand">
        {lightPoints(shot, light).map((point) => (
          <p key={point.id} className="text-pencil">
            {point.name}:{" "}
            <span className="measure">
              {measures(point.at ? fromEdge(shot.sheet, ...point.at) : sentence`not on the desk`)}
            </span>
          </p>
        ))}
      </Fold>
    </section>
  );
}

/** Hatching at first: its angle, degrees, and from line to line, mm (common practice). */
const HATCH = { angle: 45, spacing: 1.2 } as const;

/** How strongly shadows and tones are drawn, and in how many steps. */
function ToneFields() {
  const { useShot, onShot, edit, drag, beginGesture, endGesture } = useStores();
  const shot = useShot();
  const show = showOf(shot);
  const shown = (change: Partial<Show>) => onShot((before) => ({ ...before, show: { ...showOf(before), ...change } }));
  const strengths = [
    ["shadows", "Shadows"],
    ["tones", "Tone of planes"],
  ] as const;
  const steps = sceneMeasure("shots/*/tone/steps");
  const hatch = shot.tone?.hatch;
  const toned = (change: Partial<NonNullable<Shot["tone"]>>, what: string) =>
    edit(
      onShot((before) => ({ ...before, tone: { ...before.tone, ...change } })),
      what,
    );
  return (
    <section className="space-y-0.5 border-t border-hair pt-2">
      {strengths.map(([id, label]) => (
        <Strength
          key={id}
          label={label}
          value={show[id]}
          onChange={(strength) => drag(shown({ [id]: strength }))}
          onHold={beginGesture}
          onRelease={endGesture}
        />
      ))}
      <Check
        label="Hatched"
        checked={hatch !== undefined}
        onChange={(on) => toned({ hatch: on ? HATCH : undefined }, "hatching")}
      />
      {hatch &&
        (["angle", "spacing"] as const).map((key) => (
          <MeasureField
            key={key}
            measure={sceneMeasure(`shots/*/tone/hatch/${key}`)}
            value={hatch[key]}
            onChange={(to) => toned({ hatch: { ...hatch, [key]: to } }, `hatching ${key}`)}
          />
        ))}
      {show.tones > 0 && (
        <MeasureField
          measure={steps}
          value={shot.tone?.steps ?? steps.fallback ?? 0}
          onChange={(to) => toned({ steps: to }, "steps of tone")}
        />
      )}
    </section>
  );
}

/** What lights the picture: suns and lamps, whose shadows are cast on all that stands there. */
export function LightPanel() {
  const { useDocument, useShot, edit } = useStores();
  const scene = useDocument((document) => document.scene);
  const shot = useShot();
  const lights = lightsOf(scene, shot);
  const add = (light: Light) => edit(withLights(shot.id, (all) => [...all, light]));
  return (
    <div className="space-y-2">
      {lights.length === 0 && (
        <p className="text-pencil">There is no light yet, so there are no shadows: put up a sun or a lamp.</p>
      )}
      {lights.map((light) => (
        <LightFields key={light.id} light={light} />
      ))}
      <div className="flex gap-1.5">
        <Button
          className="grow"
          disabled={lights.length >= MAX_LIGHTS}
          onClick={() => add({ ...firstSun(newId(), shot), ...named(lights, "sun") })}
        >
          <SunIcon size={14} aria-hidden />A sun
        </Button>
        <Button
          className="grow"
          disabled={lights.length >= MAX_LIGHTS}
          onClick={() => add({ ...firstLamp(newId(), shot), ...named(lights, "lamp") })}
        >
          <Lightbulb size={14} aria-hidden />A lamp
        </Button>
      </div>
      <Check
        label="This shot has a light of its own"
        checked={shot.lights !== undefined}
        onChange={(own) => edit(ownLights(shot.id, own))}
      />
      {lights.length > 0 && <ToneFields />}
      <p className="text-pencil">
        Drag a sun in the picture: over the horizon it stands before you; under it, it stands behind you, and that is
        the point to which its rays run.
      </p>
    </div>
  );
}

/** A name for one more light of a kind: a number from the second on. */
function named(lights: readonly Light[], kind: Light["kind"]): { readonly name?: string } {
  const count = lights.filter((one) => one.kind === kind).length;
  return count === 0 ? {} : { name: `${kind === "sun" ? "Sun" : "Lamp"} ${count + 1}` };
}
