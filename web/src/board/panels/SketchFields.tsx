import { toldBy } from "@zanvo/core/problem";
import type { Orientation, Shot, Sketch } from "@zanvo/core/scene";
import { sketchFrom, viewOfSketch } from "@zanvo/core/vanishing";
import { Button, MeasureField } from "../../ui";
import { sceneMeasure } from "@zanvo/core/schema";
import { useStores, type Stores } from "../../stores";

const NAMES: Readonly<Record<keyof Sketch & ("left" | "right" | "third"), string>> = {
  left: "Left point",
  right: "Right point",
  third: "Third point",
};

const withSketch = (stores: Stores, sketch: Sketch | undefined) => stores.onShot((before) => ({ ...before, sketch }));

/** Points as a pencil sketch has them: laid on the desk, judged, and taken for the view. */
export function SketchFields({ main, shot }: { readonly main: Orientation; readonly shot: Shot }) {
  const stores = useStores();
  const { edit, onShot, say } = stores;
  const { sketch } = shot;
  const put = (to: Sketch | undefined, key?: string) => edit(withSketch(stores, to), key);
  const begin = () => {
    const now = sketchFrom(main, shot);
    const { frame } = shot;
    const y = frame.y + frame.height / 2;
    put(now ?? { left: { x: frame.x - frame.width, y }, right: { x: frame.x + 2 * frame.width, y } });
  };
  const take = () => {
    try {
      edit(onShot((before) => ({ ...viewOfSketch(main, before, before.sketch!), sketch: undefined })));
      say("The view has the points of the sketch.");
    } catch (wrong) {
      say(toldBy(wrong));
    }
  };
  const third = () => {
    if (!sketch) return;
    const { left, right, third: has, ...rest } = sketch;
    const wide = Math.abs(right.x - left.x);
    put({
      ...rest,
      left,
      right,
      ...(has ? {} : { third: { x: (left.x + right.x) / 2, y: (left.y + right.y) / 2 + wide } }),
    });
  };
  return (
    <>
      {!sketch && (
        <>
          <p className="text-pencil">
            Lay the points of a pencil sketch on the desk; Zanvo says whether an eye can see them, and takes the view
            from them.
          </p>
          <Button className="w-full" onClick={begin}>
            Lay out the points
          </Button>
        </>
      )}
      {sketch && (
        <>
          {(["left", "right", "third"] as const).map(
            (key) =>
              sketch[key] && (
                <section key={key} aria-label={`${NAMES[key]} of the sketch`} className="space-y-1">
                  <h4>{NAMES[key]}</h4>
                  {(["x", "y"] as const).map((axis) => (
                    <MeasureField
                      key={axis}
                      measure={sceneMeasure(`shots/*/sketch/${key}/${axis}`)}
                      value={sketch[key]![axis]}
                      onChange={(to) => put({ ...sketch, [key]: { ...sketch[key], [axis]: to } }, `sketch ${key}`)}
                    />
                  ))}
                </section>
              ),
          )}
          <Button className="w-full" onClick={third}>
            {sketch.third ? "Leave the third point out" : "Add a third point"}
          </Button>
          <Button primary className="w-full" onClick={take}>
            Take this view
          </Button>
          <Button className="w-full" onClick={() => put(undefined)}>
            Put the sketch’s points away
          </Button>
        </>
      )}
    </>
  );
}
