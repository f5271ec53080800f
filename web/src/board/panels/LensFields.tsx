import { showOf } from "@zanvo/core/drawing";
import { ToggleGroup } from "radix-ui";
import { useState } from "react";
import { LAWS, type LawId } from "@zanvo/core/lens";
import { type Orientation, type Shot } from "@zanvo/core/scene";
import {
  covered,
  CURVED_SYSTEMS,
  inCurvedSystem,
  rimRadius,
  twoDiscs,
  viewOf,
  withCovered,
  withLaw,
  type CurvedSystem,
} from "@zanvo/core/shot";
import { byCompass } from "@zanvo/core/vanishing";
import { sceneMeasure } from "@zanvo/core/schema";
import { newId } from "../../id";
import { Button, Check, MeasureField, NumberField, Select } from "../../ui";
import { LensPicture } from "./LensPicture";
import { ArcFields } from "./ArcFields";
import { SixFields } from "./SixFields";
import { useStores, type Stores } from "../../stores";

/** Every lens in a plain sentence: what it keeps, and what it bends. */
const LENSES: Readonly<Record<LawId, readonly [name: string, tells: string]>> = {
  rectilinear: [
    "Straight",
    "Straight lines stay straight. Things are drawn longer towards the corners; less than half the world fits.",
  ],
  stereographic: [
    "Stereographic fisheye",
    "Straight lines become exact arcs of circles, and small shapes keep their look: the draughtsman’s disc.",
  ],
  equidistant: [
    "Equidistant fisheye",
    "Equal angles off the gaze are equal steps on the paper: the school of the compass, up to the whole world.",
  ],
  equisolid: [
    "Equal-area fisheye",
    "What fills as much of the view fills as much of the paper; towards the rim it is flattened.",
  ],
  orthographic: [
    "Orthographic fisheye",
    "The half of the world before you as on a ball seen from afar: strong in the middle, narrow at the rim.",
  ],
  cylindrical: [
    "Panorama, around",
    "A drum around the eye, unrolled: uprights stay straight, level lines sway, the horizon runs on all round.",
  ],
  "cylindrical-lying": [
    "Panorama, up and over",
    "The drum on its side: ahead, overhead, behind and below one over the other.",
  ],
  equirectangular: [
    "Panorama, whole sphere",
    "The whole world on a sheet twice as wide as high: equal steps for every turn and every tilt.",
  ],
};

/** Sets a system up in the current panel; of two discs the second takes half of it. */
function setUp(stores: Stores, main: Orientation, system: CurvedSystem): void {
  if (!system.both) return stores.edit(stores.onShot((before) => inCurvedSystem(before, main, system)));
  const { shots } = stores.useDocument.getState().scene;
  const shot = stores.currentShot();
  const pair = twoDiscs(inCurvedSystem(shot, main, system), {
    id: newId(),
    name: `${shot.name}, behind`.slice(0, 200),
    page: shot.page ?? newId(),
  });
  stores.edit((scene) => void scene.shots.splice(shots.indexOf(shot), 1, ...pair));
}

/** A curved system to begin with. */
function SystemFields({ main }: { readonly main: Orientation }) {
  const stores = useStores();
  const [id, setId] = useState(CURVED_SYSTEMS[0].id);
  const system = CURVED_SYSTEMS.find((one) => one.id === id) ?? CURVED_SYSTEMS[0];
  return (
    <>
      <Select
        label="Curved system"
        value={id}
        options={CURVED_SYSTEMS.map((one) => [one.id, one.name])}
        onChange={setId}
      />
      <Button className="w-full" onClick={() => setUp(stores, main, system)}>
        Set up this system
      </Button>
    </>
  );
}

/** The law of the lens, each as a small picture. */
function Laws({ law }: { readonly law: LawId }) {
  const { edit, onShot } = useStores();
  const [name, tells] = LENSES[law];
  return (
    <>
      <ToggleGroup.Root
        type="single"
        aria-label="Lens"
        value={law}
        onValueChange={(next) => next && edit(onShot((before) => withLaw(before, next as LawId)))}
        className="grid grid-cols-4 gap-1"
      >
        {(Object.keys(LENSES) as LawId[]).map((key) => (
          <ToggleGroup.Item
            key={key}
            value={key}
            aria-label={LENSES[key][0]}
            title={LENSES[key][0]}
            className={
              "rounded border border-hair " +
              "p-0.5 hover:bg-wash data-[state=on]:border-accent data-[state=on]:bg-wash"
            }
          >
            <LensPicture law={key} />
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
      <p className="text-pencil">
        <span className="font-medium text-ink">{name}.</span> {tells}
      </p>
    </>
  );
}

/** Compass arcs over the curves, where the lens makes exact circles. */
function Compass({ shot }: { readonly shot: Shot }) {
  const { edit, onShot } = useStores();
  const on = showOf(shot).compass > 0;
  return (
    <>
      <Check
        label="Compass arcs over the curves"
        checked={on}
        onChange={(to) => edit(onShot((before) => ({ ...before, show: { ...showOf(before), compass: to ? 1 : 0 } })))}
      />
      {on && <ArcFields shot={shot} />}
    </>
  );
}

/** Where a disc ends: at an angle off the gaze, and on the paper. */
function DiscFields({ shot }: { readonly shot: Shot }) {
  const { edit, onShot } = useStores();
  const put = (change: (lens: Shot["lens"], before: Shot) => Partial<Shot["lens"]>, what: string) =>
    edit(
      onShot((before) => ({ ...before, lens: { ...before.lens, ...change(before.lens, before) } })),
      what,
    );
  return (
    <>
      <MeasureField
        measure={sceneMeasure("shots/*/lens/within")}
        value={shot.lens.within ?? 360}
        onChange={(within) => put(() => ({ within: within === 360 ? undefined : within }), "within")}
      />
      <NumberField
        label="Rim radius"
        unit="mm"
        value={rimRadius(shot)}
        min={1}
        max={1e6}
        onChange={(radius) =>
          put(({ distance }, before) => ({ distance: (distance * radius) / rimRadius(before) }), "rim")
        }
      />
    </>
  );
}

/** How much of the world a curved lens puts into the panel. */
function Covered({ shot, round }: { readonly shot: Shot; readonly round: boolean }) {
  const { edit, onShot } = useStores();
  return (
    <NumberField
      label={round ? "Across the disc" : "Around"}
      unit="°"
      value={covered(shot)}
      onChange={(angle) =>
        edit(
          onShot((before) => withCovered(before, angle)),
          "covered",
        )
      }
    />
  );
}

/** The lens of a shot: a system to start from, the law by itself, and how much of the world the panel holds. */
export function LensFields({ main, shot }: { readonly main: Orientation; readonly shot: Shot }) {
  const { law } = shot.lens;
  const { straight, shape } = LAWS[law];
  const round = shape === "round";
  return (
    <>
      <SystemFields main={main} />
      <Laws law={law} />
      {byCompass(viewOf(shot)) && <Compass shot={shot} />}
      {!straight && (
        <>
          <Covered shot={shot} round={round} />
          {round && <DiscFields shot={shot} />}
          <SixFields main={main} shot={shot} />
        </>
      )}
    </>
  );
}
