import { wrap } from "../geometry";
import { NoAnswer } from "../problem";
import { frameOn, type Orientation, type Reference, type Shot } from "../scene";
import { leftTurn, viewOfReference } from "./reference";
import { eyeOf } from "./walls";

/**
 * A shot whose view is a reference's: the picture fills a panel of its own shape on the sheet and lies under it, the
 * eye stands where it stood, as high as anything known tells, and the gaze is turned so that the left and right sets
 * run along an orientation.
 * @throws NoAnswer where the picture does not tell its lens
 */
export function shotFrom(base: Shot, { heading }: Pick<Orientation, "heading">, reference: Reference): Shot {
  const view = viewOfReference(reference);
  const { focalLength, centre, horizon, pitch, roll, lacking } = view;
  if (!focalLength || !horizon || pitch === null || roll === null)
    throw new NoAnswer(lacking ?? "The picture does not tell its view.");
  const room = frameOn(base.sheet);
  const k = Math.min(room.width / reference.width, room.height / reference.height);
  const [width, height] = [reference.width * k, reference.height * k];
  const frame = { x: room.x + (room.width - width) / 2, y: room.y + (room.height - height) / 2, width, height };
  const eye = eyeOf(reference, view);
  const left = leftTurn(view);
  const turned =
    left === null
      ? base.gaze.heading
      : [0, 90, 180, 270]
          .map((more) => base.gaze.heading + wrap(heading - left + more - base.gaze.heading, -180, 360))
          .reduce((near, one) => (Math.abs(one - base.gaze.heading) < Math.abs(near - base.gaze.heading) ? one : near));
  return {
    ...base,
    page: undefined,
    backOf: undefined,
    sketch: undefined,
    arcs: undefined,
    frame,
    gaze: { heading: wrap(turned, -180, 360), pitch, roll },
    eye: eye === null ? base.eye : { ...base.eye, z: eye },
    lens: {
      law: "rectilinear",
      distance: focalLength.px * k,
      centre: { x: frame.x + centre[0] * k, y: frame.y + centre[1] * k },
    },
    under: { reference: reference.id, strength: base.under?.strength ?? 0.6, at: frame, held: true },
  };
}
