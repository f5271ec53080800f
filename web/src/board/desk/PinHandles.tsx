import { useMemo, useRef } from "react";
import { distance2, middle, type Vec2, type Vec3 } from "@zanvo/core/geometry";
import type { Orientation, Slope } from "@zanvo/core/scene";
import { LAWS } from "@zanvo/core/lens";
import { nearestAcute, turnedTo, viewOf } from "@zanvo/core/shot";
import { degree, pinPlace } from "@zanvo/core/slip";
import { caughtOnHorizon, movePin, pinsOf, slopeTo, usualKeep, within, type Pin } from "@zanvo/core/vanishing";
import { mm, sentence, type Told } from "@zanvo/core/units";
import { Handle } from "./Handle";
import { toWindow } from "../../canvas/camera";
import { atRest } from "./rest";
import { useBothDiscs } from "./useOtherPanels";
import { PinHead } from "./PinHead";
import { useShownPins } from "./sets";
import { isAway, standIns, type StandIn } from "./standIns";
import type { Recipe } from "../../document";
import { useBoard, type Board } from "../useBoard";

const ARROWS = { left: "←", right: "→", top: "↑", bottom: "↓" } as const;

/** How near to the panel's middle, in mm on the desk, the third point is drawn plumb under it. */
const PLUMB = 4;

/** A pin that lies outside the window: its set, and how far off the sheet it stands. */
const awayTold = ({ name, offSheet }: Pin): Told =>
  offSheet ? sentence`${name} ${ARROWS[offSheet.side]} ${mm(offSheet.distance)}` : name;

/** Where the pins that lie outside the window wait at its edge. */
function useStandIns(pins: readonly Pin[]): ReadonlyMap<string, StandIn> {
  const { useDesk, useMeasures } = useBoard();
  const camera = useDesk((desk) => desk.camera);
  const size = useDesk((desk) => desk.size);
  const measures = useMeasures();
  const away = pins.flatMap((pin) => {
    const at = pin.point.at && toWindow(camera, pin.point.at);
    return at && isAway(at, size) ? [{ id: pin.id, at, text: measures(awayTold(pin)) }] : [];
  });
  return standIns(away, size);
}

/** The pins of the current shot, to be dragged. */
export function PinHandles({ movable }: { readonly movable: boolean }) {
  const { useDocument, useShot, useDesk } = useBoard();
  const orientations = useDocument((document) => document.scene.orientations);
  const shot = useShot();
  const camera = useDesk((desk) => desk.camera);
  const both = useBothDiscs();
  const view = useMemo(() => viewOf(shot), [shot]);
  const pins = useShownPins();
  const standing = useStandIns(pins);
  return pins.map((pin) => {
    const {
      role,
      point: { at },
    } = pin;
    // Uprights belong to every orientation; where one must stay put beside them, it is the first.
    const own = orientations.find(({ id }) => id === pin.orientation) ?? orientations[0];
    // Of two discs the other one has what lies off this one.
    if (!at || (both && !within(view, pin))) return null;
    const shared = { pin, at, standIn: standing.get(pin.id) };
    if (movable && !LAWS[shot.lens.law].straight) return <TurningHandle key={pin.id} {...shared} />;
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
    if (role !== "up" && role !== "down") return <PointHandle key={pin.id} {...shared} role={role} own={own} />;
    const slope = own.slopes?.find(({ id }) => id === pin.slope);
    return slope ? <SlopeHandle key={pin.id} {...shared} role={role} own={own} slope={slope} /> : null;
  });
}

interface PointHandleProps extends PinHandleProps {
  readonly role: "left" | "right" | "upright";
  readonly own: Orientation;
}

/** One of the points that a straight view hangs on, dragged while others or the lens stay. */
function PointHandle({ pin, at, standIn, role, own }: PointHandleProps) {
  const stores = useBoard();
  const { useDocument, useView, useShot, useDesk, onShot, drag, edit } = stores;
  const isMain = useDocument(({ scene }) => scene.orientations[0]?.id === own.id);
  const shot = useShot();
  const keep = useView((view) => view.keep) ?? usualKeep(shot);
  const put = (to: Vec2) => onShot((before) => movePin(own, before, role, to, keep));
  const [plumb] = middle(shot.frame);
  return (
    <Handle
      at={at}
      label={sentence`${role === "upright" ? "third" : role} vanishing
          point${isMain ? "" : ` of ${own.name}`}, ${pinPlace(shot.sheet, pin)}`}
      away={awayTold(pin)}
      standIn={standIn}
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
}

interface PinHandleProps {
  readonly pin: Pin;
  readonly at: Vec2;
  readonly standIn?: StandIn;
}

/** A point in a curved lens: dragged, the whole view turns with it. */
function TurningHandle({ pin, at, standIn }: PinHandleProps) {
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
      away={awayTold(pin)}
      standIn={standIn}
      className="cursor-move"
      onDrag={(to, alt) => {
        taken.current ??= pin.direction;
        drag(put(alt ? to : caughtOnHorizon(shot, pin, to)));
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

interface SlopeHandleProps extends PinHandleProps {
  readonly role: "up" | "down";
  readonly own: Orientation;
  readonly slope: Slope;
}

/** A point of a slope, dragged up and down on the upright through its level one: the slope gets steeper or flatter. */
function SlopeHandle({ pin, at, standIn, role, own, slope }: SlopeHandleProps) {
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
      away={awayTold(pin)}
      standIn={standIn}
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
