import { showOf } from "@zanvo/core/drawing";
import { ChartLine } from "lucide-react";
import { lazy, Suspense, useState } from "react";
import { middle } from "@zanvo/core/geometry";
import { LAWS } from "@zanvo/core/lens";
import { holding, nearCorner } from "@zanvo/core/construct";
import { toldBy } from "@zanvo/core/problem";
import { type Orientation, type Shot, type Show } from "@zanvo/core/scene";
import { levelled, pitched, viewOf } from "@zanvo/core/shot";
import { isLevel, movePin, pinsOf, usualKeep, type Keep, type Pin } from "@zanvo/core/vanishing";
import { blockCorner, boxOf } from "@zanvo/core/world";
import { HeldToPhoto, OfView } from "./Held";
import { Button, Check, Choice, Fold, lazily, Modal, NumberField } from "../../ui";
import { PinHead } from "../desk/PinHead";
import { nearestBlock } from "../desk/blocks";
import { useStores } from "../../stores";

// What is folded away is fetched when it is first opened.
const DirectionFields = lazily(async () => (await import("./DirectionFields")).DirectionFields);
const LensFields = lazily(async () => (await import("./LensFields")).LensFields);
const LifeFields = lazily(async () => (await import("./LifeFields")).LifeFields);
const SituationFields = lazily(async () => (await import("./SituationFields")).SituationFields);
const SketchFields = lazily(async () => (await import("./SketchFields")).SketchFields);
const ViewFields = lazily(async () => (await import("./ViewFields")).ViewFields);

/** Comes with its chart package when it is first asked for. */
const StretchChart = lazy(() => import("../StretchChart"));

const KEEPS: Readonly<Record<Keep, string>> = { lens: "Lens", pins: "Other pins", centre: "Centre" };
const TELLS: Readonly<Record<Keep, string>> = {
  lens: "The view turns; lens and centre of vision stay.",
  pins: "The other pins stay; lens and centre of vision follow.",
  centre: "Centre of vision and one other pin stay; the lens follows.",
};

/** Left or right pin, by its distance from the centre of vision or beyond the sheet's edge. */
function LevelPin({
  pin,
  main,
  shot,
  keep,
}: {
  readonly pin: Pin;
  readonly main: Orientation;
  readonly shot: Shot;
  readonly keep: Keep;
}) {
  const { edit, onShot } = useStores();
  const { centre } = shot.lens;
  const { at } = pin.point;
  const sign = pin.role === "left" ? -1 : 1;
  const edge = pin.role === "left" ? 0 : shot.sheet.width;
  const role = pin.role === "left" ? "left" : "right";
  const put = (x: number) =>
    edit(
      onShot((before) => movePin(main, before, role, [x, at![1]], keep)),
      `pin ${pin.id}`,
    );
  return (
    <section aria-label={`${pin.role} point`} className="space-y-1.5">
      <h3 className="flex items-center gap-1.5 font-medium">
        <PinHead pin={pin} />
        {pin.role === "left" ? "Left point" : "Right point"}
      </h3>
      {at ? (
        <>
          <NumberField
            label="From the centre"
            unit="mm"
            value={sign * (at[0] - centre.x)}
            min={-1e6}
            max={1e6}
            onChange={(far) => put(centre.x + sign * far)}
          />
          <NumberField
            label="Beyond the edge"
            unit="mm"
            value={sign * (at[0] - edge)}
            min={-1e6}
            max={1e6}
            onChange={(far) => put(edge + sign * far)}
          />
        </>
      ) : (
        <p className="text-pencil">These lines run parallel to the picture: they have no point.</p>
      )}
    </section>
  );
}

/** Uprights parallel or converging; where they converge, the third point by its place. */
function ThirdPin({
  pin,
  main,
  shot,
  keep,
}: {
  readonly pin: Pin;
  readonly main: Orientation;
  readonly shot: Shot;
  readonly keep: Keep;
}) {
  const { useDocument, useSelection, say, edit, onShot } = useStores();
  const elements = useDocument((document) => document.scene.elements);
  const selected = useSelection((chosen) => chosen.selected);
  const { at } = pin.point;
  const change = (how: "parallel" | "converging") => {
    const [, y] = middle(shot.frame);
    if (how === "converging" && shot.gaze.pitch === 0 && Math.abs(shot.lens.centre.y - y) < 1) {
      return say(
        "The horizon lies in the panel’s middle: who looks straight ahead sees uprights parallel. Move the " +
          "horizon first, or type how far to look up.",
      );
    }
    try {
      edit(
        onShot((before) => {
          const after = how === "parallel" ? levelled(before) : pitched(before, y);
          const own = elements.find((one) => one.id === selected);
          const block = own ? boxOf(own) : nearestBlock(elements, before);
          return block ? holding(before, after, blockCorner(block, ...nearCorner(block, viewOf(before).eye))) : after;
        }),
      );
    } catch (wrong) {
      say(toldBy(wrong));
    }
  };
  const put = (x: number, y: number) =>
    edit(
      onShot((before) => movePin(main, before, "upright", [x, y], keep)),
      "pin upright",
    );
  return (
    <section aria-label="third point" className="space-y-1.5">
      <h3 className="flex items-center gap-1.5 font-medium">
        <PinHead pin={pin} />
        Uprights
      </h3>
      <Choice
        label="Uprights"
        value={shot.gaze.pitch === 0 ? "parallel" : "converging"}
        options={{ parallel: "Parallel", converging: "Converging" }}
        onChange={change}
      />
      {at && (
        <>
          <NumberField
            label="From the left"
            unit="mm"
            value={at[0]}
            min={-1e6}
            max={1e6}
            onChange={(x) => put(x, at[1])}
          />
          <NumberField
            label="From the top"
            unit="mm"
            value={at[1]}
            min={-1e6}
            max={1e6}
            onChange={(y) => put(at[0], y)}
          />
        </>
      )}
    </section>
  );
}

/** Other ways to a view: a situation, a sketch, sightings from life, and numbers. */
function OtherWays({ main, shot }: { readonly main: Orientation; readonly shot: Shot }) {
  const { straight } = LAWS[shot.lens.law];
  return (
    <>
      {straight && (
        <>
          <Fold title="Start from a situation">
            <SituationFields main={main} />
          </Fold>
          <Fold title="Points from a sketch">
            <SketchFields main={main} shot={shot} />
          </Fold>
          <Fold title="From life">
            <LifeFields main={main} shot={shot} />
          </Fold>
        </>
      )}
      <Fold title="View in numbers">
        <ViewFields shot={shot} />
      </Fold>
    </>
  );
}

/** Where the points are, what stays while one moves, and the view behind them. */
export function PointsPanel() {
  const { useDocument, useView, useShot, onShot, go, edit } = useStores();
  const orientations = useDocument((document) => document.scene.orientations);
  const shot = useShot();
  const keep = useView((view) => view.keep) ?? usualKeep(shot);
  const [chart, setChart] = useState(false);
  const [main] = orientations;
  const show = showOf(shot);
  const { straight } = LAWS[shot.lens.law];
  const shown = (change: Partial<Show>) => onShot((before) => ({ ...before, show: { ...showOf(before), ...change } }));
  if (!main) return <p className="text-pencil">This scene has no directions, and so no points.</p>;
  return (
    <div className="space-y-3">
      <HeldToPhoto />
      {straight && (
        <section className="space-y-1">
          <h3 className="font-medium">A moving pin keeps</h3>
          <div title={TELLS[keep]}>
            <Choice label="A moving pin keeps" value={keep} options={KEEPS} onChange={(next) => go({ keep: next })} />
          </div>
        </section>
      )}
      <OfView>
        {straight &&
          pinsOf([main], shot)
            .filter((pin) => isLevel(pin))
            .map((pin) => <LevelPin key={pin.id} pin={pin} main={main} shot={shot} keep={keep} />)}
        {straight &&
          pinsOf([], shot).map((pin) => <ThirdPin key={pin.id} pin={pin} main={main} shot={shot} keep={keep} />)}
        {!straight && <p className="text-pencil">Drag any pin: the view turns with it, and all others follow.</p>}
        <Fold title="Lens and curved systems">
          <LensFields main={main} shot={shot} />
        </Fold>
      </OfView>
      <div>
        <Check
          label={straight ? "Cone of vision: 30°, 60°, 90°" : "Rings and spokes, every 15°"}
          checked={show.cone > 0}
          onChange={(on) => edit(shown({ cone: on ? 0.8 : 0 }))}
        />
        {straight && (
          <Check
            label="Measuring and distance points"
            checked={show.measuring > 0}
            onChange={(on) => edit(shown({ measuring: on ? 1 : 0 }))}
          />
        )}
      </div>
      <Button className="w-full" onClick={() => setChart(true)}>
        <ChartLine size={14} aria-hidden />
        Stretch across the panel
      </Button>
      <Modal title="Stretch across the panel" open={chart} onClose={() => setChart(false)}>
        <Suspense fallback={<p className="h-72 text-pencil">Drawing the chart…</p>}>
          <StretchChart shot={shot} />
        </Suspense>
      </Modal>
      <Fold title="Directions and slopes">
        <DirectionFields orientations={orientations} />
      </Fold>
      <OfView>
        <OtherWays main={main} shot={shot} />
      </OfView>
    </div>
  );
}
