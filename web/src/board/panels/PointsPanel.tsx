import { movePin, pinsOf } from "@zanvo/core/vanishing";
import { NumberField } from "../../ui";
import { edit, onShot, useBoard, useShot } from "../board";
import { PinHead } from "../desk/PinHandles";

/** Left and right pin, by their distance from the centre of vision or beyond the sheet's edge. */
export function PointsPanel() {
  const orientations = useBoard((board) => board.scene.orientations);
  const shot = useShot();
  const [main] = orientations;
  const { centre } = shot.lens;
  if (!main) return <p className="text-pencil">This scene has no directions, and so no points.</p>;
  return (
    <div className="space-y-3">
      {pinsOf([main], shot).map((pin) => {
        const hand = pin.role;
        if (hand === "upright") return null;
        const { at } = pin.point;
        const sign = hand === "left" ? -1 : 1;
        const edge = hand === "left" ? 0 : shot.sheet.width;
        const put = (x: number) => edit(onShot((before) => movePin(main, before, hand, [x, at![1]])), `pin ${pin.id}`);
        return (
          <section key={pin.id} aria-label={`${hand} point`} className="space-y-1.5">
            <h3 className="flex items-center gap-1.5 font-medium"><PinHead role={hand} />{hand === "left" ? "Left point" : "Right point"}</h3>
            {at ? (
              <>
                <NumberField label="From the centre" unit="mm" value={sign * (at[0] - centre.x)} min={0} max={1e6} onChange={(far) => put(centre.x + sign * far)} />
                <NumberField label="Beyond the edge" unit="mm" value={sign * (at[0] - edge)} min={-1e6} max={1e6} onChange={(far) => put(edge + sign * far)} />
              </>
            ) : <p className="text-pencil">These lines run parallel to the picture: they have no point.</p>}
          </section>
        );
      })}
      <p className="text-pencil">Drag the pins along the horizon. Close together they give violent corners, far apart calm ones.</p>
    </div>
  );
}
