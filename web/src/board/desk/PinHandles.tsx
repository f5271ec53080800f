import { useMemo, useRef } from "react";
import { distance2, middle, type Vec2, type Vec3 } from "@zanvo/core/geometry";
import type { Orientation, Slope } from "@zanvo/core/scene";
import { LAWS } from "@zanvo/core/lens";
import { nearestAcute, turnedTo, viewOf } from "@zanvo/core/shot";
import { degree, pinPlace } from "@zanvo/core/slip";
import { movePin, pinsOf, slopeTo, within, type Pin } from "@zanvo/core/vanishing";
import { mm, sentence } from "@zanvo/core/units";
import { Handle } from "./Handle";
import { toWindow } from "../../canvas/camera";
import { atRest } from "./rest";
import { useBothDiscs } from "./OtherPanels";
import { PinHead } from "./PinHead";
import { useShownPins } from "./sets";
import type { Recipe } from "../../document";
import { useBoard, type Board } from "../useBoard";

const ARROWS = { left: "←", right: "→", top: "↑", bottom: "↓" } as const;

/** How near to the panel's middle, in mm on the desk, the third point is drawn plumb under it. */
const PLUMB = 4;

/** The pins of the current shot, to be dragged. */
export function PinHandles({ movable }: { readonly movable: boolean }) {
  const stores = useBoard();
  const { useDocument, useView, useShot, useDesk, onShot, drag, edit } = stores;
  const orientations = useDocument((document) => document.scene.orientations);
  const keep = useView((view) => view.keep);
  const shot = useShot();
  const camera = useDesk((desk) => desk.camera);
  const [main] = orientations;
  const both = useBothDiscs();
  const view = useMemo(() => viewOf(shot), [shot]);
  return useShownPins().map((pin) => {
    const {
      role,
      point: { at },
    } = pin;
    // Uprights belong to every orientation; where one must stay put beside them, it is the first.
    const own = orientations.find(({ id }) => id === pin.orientation) ?? main;
    // Of two discs the other one has what lies off this one.
    if (!at || (both && !within(view, pin))) return null;
    if (movable && !LAWS[shot.lens.law].straight) return <TurningHandle key={pin.id} pin={pin} at={at} />;
    if (!movable || !own) {
      const [x, y] = toWindow(camera, at);
      return (
        <span
          key={pin.id}
          className={`pointer-events-none absolute ${pin.opposite ? "opacity-55" : ""}`}
          style={{ left: x - 7, top: y - 7 }}
        >
          <PinHead pin={pin} />
        </span>
      );
    }
    const slope = own.slopes?.find(({ id }) => id === pin.slope);
    if (slope && (role === "up" || role === "down"))
      return <SlopeHandle key={pin.id} pin={pin} at={at} role={role} own={own} slope={slope} />;
    if (role === "up" || role === "down") return null;
    const put = (to: Vec2) => onShot((before) => movePin(own, before, role, to, keep));
    const [plumb] = middle(shot.frame);
    return (
      <Handle
        key={pin.id}
        at={at}
        label={sentence`${role === "upright" ? "third" : role} vanishing
          point${own === main ? "" : ` of ${own.name}`}, ${pinPlace(shot.sheet, pin)}`}
        away={pin.offSheet ? sentence`${ARROWS[pin.offSheet.side]} ${mm(pin.offSheet.distance)}` : undefined}
        className={role === "upright" ? "cursor-move" : "cursor-ew-resize"}
        onDrag={([wantedX, wantedY], alt) => {
          const [x, y] = [atRest(wantedX, alt), atRest(wantedY, alt)];
          if (role !== "upright") {
            drag(put([x, y]));
            return sentence`${mm(Math.abs(x - shot.lens.centre.x))} ${role} of C`;
          }
          const caught = !alt && Math.abs(x - plumb) < PLUMB;
          const to: Vec2 = [caught ? plumb : x, y];
          useDesk.setState({ third: keep === "pins" ? to : null });
          drag(put(to));
          return sentence`${mm(to[0])} from left, ${mm(y)} from top${caught ? ", plumb under the middle" : ""}`;
        }}
        onDone={(givenUp) => {
          const wanted = useDesk.getState().third;
          useDesk.setState({ third: null });
          if (wanted && !givenUp) offerNearest(stores, own, wanted);
        }}
        onNudge={([dx, dy]) => edit(put([at[0] + dx, at[1] + dy]), `pin ${pin.id}`)}
      >
        <PinHead pin={pin} />
      </Handle>
    );
  });
}

/** A point in a curved lens: dragged, the whole view turns with it. */
function TurningHandle({ pin, at }: { readonly pin: Pin; readonly at: Vec2 }) {
  const { useShot, onShot, drag, currentShot, edit } = useBoard();
  const shot = useShot();
  // Which of two opposite points comes first may change on the way; the one that was taken up is the one that moves.
  const taken = useRef<Vec3 | null>(null);
  const put = (to: Vec2) => {
    const direction = taken.current ?? pin.direction;
    return onShot((before) => turnedTo(before, direction, to));
  };
  return (
    <Handle
      at={at}
      label={sentence`vanishing point ${pin.name}, ${pinPlace(shot.sheet, pin)}`}
      away={pin.offSheet ? sentence`${ARROWS[pin.offSheet.side]} ${mm(pin.offSheet.distance)}` : undefined}
      className="cursor-move"
      onDrag={(to) => {
        taken.current ??= pin.direction;
        drag(put(to));
        const { gaze } = currentShot();
        return `heading ${degree(gaze.heading)}, look up ${degree(gaze.pitch)}`;
      }}
      onDone={() => {
        taken.current = null;
      }}
      onNudge={([dx, dy]) => edit(put([at[0] + dx, at[1] + dy]), `pin ${pin.id}`)}
    >
      <span className={pin.opposite ? "opacity-55" : ""}>
        <PinHead pin={pin} />
      </span>
    </Handle>
  );
}

/** A point of a slope, dragged up and down on the upright through its level one: the slope gets steeper or flatter. */
function SlopeHandle({
  pin,
  at,
  role,
  own,
  slope,
}: {
  readonly pin: Pin;
  readonly at: Vec2;
  readonly role: "up" | "down";
  readonly own: Orientation;
  readonly slope: Slope;
}) {
  const { useShot, drag, edit } = useBoard();
  const shot = useShot();
  const put = (to: Vec2): [Recipe, number] => {
    const rise = slopeTo(own, slope, shot, role, to);
    return [
      (scene) => {
        const one = scene.orientations.find(({ id }) => id === own.id)?.slopes?.find(({ id }) => id === slope.id);
        if (one) one.rise = rise;
      },
      rise,
    ];
  };
  return (
    <Handle
      at={at}
      label={sentence`point of ${pin.name} lines, ${pinPlace(shot.sheet, pin)}`}
      away={pin.offSheet ? sentence`${ARROWS[pin.offSheet.side]} ${mm(pin.offSheet.distance)}` : undefined}
      className="cursor-ns-resize"
      onDrag={(to) => {
        const [recipe, rise] = put(to);
        drag(recipe);
        return `${slope.name}: ${degree(rise)}`;
      }}
      onNudge={([dx, dy]) => edit(put([at[0] + dx, at[1] + dy])[0], `pin ${pin.id}`)}
    >
      <PinHead pin={pin} />
    </Handle>
  );
}

/** Where the third point was left in an impossible place, the nearest possible one is offered. */
function offerNearest(stores: Board, main: Orientation, wanted: Vec2): void {
  const shot = stores.currentShot();
  const [left, right, third] = pinsOf([main], shot).map((pin) => pin.point.at);
  if (!left || !right || (third && distance2(third, wanted) < 0.5)) return;
  const near = nearestAcute(left, right, wanted);
  stores.say("No eye sees that triangle at right angles.", {
    label: stores.inWords(sentence`Take the nearest that works, ${mm(distance2(near, wanted))} away`),
    run: () => stores.edit(stores.onShot((before) => movePin(main, before, "upright", near, "pins"))),
  });
}
