import { Cloud, Lightbulb, Sun as SunIcon, X } from "lucide-react";
import { isCaster, lightsOf, MAX_LIGHTS, type Light } from "@zanvo/core/light";
import { metres, sentence } from "@zanvo/core/units";
import { SHADOW_REACH } from "@zanvo/core/visibility";
import { fromEdge, lightName, lightPoints } from "@zanvo/core/vanishing";
import { newId } from "../../id";
import { useStores } from "../../stores";
import { Button, Check, Fold, IconButton, MeasureField } from "../../ui";
import { firstLamp, firstSun, lightMeasure, ownLights, replaced, withLights } from "./lights";
import { SunByDate } from "./SunByDate";
import { ToneFields } from "./ToneFields";

/** Shadows of a sun lower than this run on beyond what is drawn, degrees. */
const LOW = 2;

/** Where a light stands. */
function PlaceFields({ light, set }: { readonly light: Light; readonly set: (next: Light, what: string) => void }) {
  const measures = useStores().useMeasures();
  if (!isCaster(light))
    return <p className="text-pencil">Light from all of the sky: planes have tones, and there are no shadows.</p>;
  if (light.kind === "lamp")
    return (["x", "y", "z"] as const).map((key) => (
      <MeasureField
        key={key}
        measure={lightMeasure(light, `at/${key}`)}
        value={light.at[key]}
        onChange={(to) => set({ ...light, at: { ...light.at, [key]: to } }, key)}
      />
    ));
  return (
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
  );
}

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
      <PlaceFields light={light} set={set} />
      {isCaster(light) && (
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
        <p className="text-pencil">
          There is no light yet, so there are no shadows: put up a sun, a lamp, or a covered sky.
        </p>
      )}
      {lights.map((light) => (
        <LightFields key={light.id} light={light} />
      ))}
      <div className="flex flex-wrap gap-1">
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
        <Button
          className="grow"
          disabled={lights.length >= MAX_LIGHTS || lights.some(({ kind }) => kind === "overcast")}
          onClick={() => add({ id: newId(), kind: "overcast" })}
        >
          <Cloud size={14} aria-hidden />A covered sky
        </Button>
      </div>
      <Check
        label="This shot has a light of its own"
        checked={shot.lights !== undefined}
        onChange={(own) => edit(ownLights(shot.id, own))}
      />
      <ToneFields />
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
