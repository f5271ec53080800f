import { sceneMeasure } from "@zanvo/core/schema";
import { showOf } from "@zanvo/core/drawing";
import { newId } from "../../id";
import { useStores } from "../../stores";
import { Button, Check, Fold, MeasureField } from "../../ui";
import { firstBalloon, RECTANGLE, withBalloon, withCornerMore, withoutCorner } from "./pages";

/** The shape of the panel, whether it has a border, and the room for words in it. */
export function ShapeFields() {
  const { useShot, edit, onShot } = useStores();
  const shot = useShot();
  const { panel, balloons = [] } = shot;
  return (
    <Fold title="Shape and balloons">
      <Check
        label="Bordered"
        checked={showOf(shot).frame > 0}
        onChange={(on) =>
          edit(
            onShot((before) => ({ ...before, show: { ...before.show, frame: on ? 1 : 0 } })),
            "border",
          )
        }
      />
      <Check
        label="Of any shape"
        checked={panel !== undefined}
        onChange={(on) =>
          edit(
            onShot((before) => ({ ...before, panel: on ? RECTANGLE : undefined })),
            "panel shape",
          )
        }
      />
      {panel && (
        <>
          <p className="text-pencil">Drag its corners on the sheet; they stay within the panel’s measures.</p>
          <div className="flex gap-1">
            <Button className="grow" onClick={() => edit(onShot(withCornerMore))}>
              A corner more
            </Button>
            <Button
              className="grow"
              disabled={panel.corners.length < 4}
              onClick={() => edit(onShot((before) => withoutCorner(before, panel.corners.length - 1)))}
            >
              One less
            </Button>
          </div>
        </>
      )}
      {balloons.map((balloon, i) => (
        <fieldset key={balloon.id} className="space-y-1 border-t border-hair pt-1">
          <legend className="font-medium">Balloon {i + 1}</legend>
          {(["width", "height"] as const).map((key) => (
            <MeasureField
              key={key}
              measure={sceneMeasure(`shots/*/balloons/*/${key}`)}
              value={balloon[key]}
              onChange={(to) =>
                edit(
                  onShot((before) => withBalloon(before, balloon.id, { ...balloon, [key]: to })),
                  `balloon ${key}`,
                )
              }
            />
          ))}
          <Button
            className="w-full"
            onClick={() => edit(onShot((before) => withBalloon(before, balloon.id, null)))}
          >{`Delete balloon ${i + 1}`}</Button>
        </fieldset>
      ))}
      <Button
        className="w-full"
        onClick={() =>
          edit(
            onShot((before) => ({ ...before, balloons: [...(before.balloons ?? []), firstBalloon(newId(), before)] })),
          )
        }
      >
        Keep room for a balloon
      </Button>
    </Fold>
  );
}
