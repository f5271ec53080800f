import { wrap } from "@zanvo/core/geometry";
import { newId } from "../id";
import type { Stores } from "../stores";

/** Something that slopes: up along a heading, by so many degrees. */
interface Sloping {
  readonly heading: number;
  readonly rise: number;
}

/**
 * Adds a slope to the directions that run with it, so that it has points of its own; directions are added where none
 * do.
 * @param what it is, as it is called: "Roof of Chandler's"
 * @param of whose it is
 */
export function addSlope(stores: Stores, { heading: up, rise }: Sloping, what: string, of: string): void {
  stores.edit((scene) => {
    const off = (heading: number) => Math.abs(wrap(up - heading, -90, 180));
    const own = scene.orientations.find(({ heading }) => Math.min(off(heading), off(heading + 90)) < 0.5);
    const orientation = own ?? { id: `o${newId().slice(0, 8)}`, name: `As ${of}`.slice(0, 200), heading: up };
    if (!own) scene.orientations.push(orientation);
    const axis = off(orientation.heading) < 0.5 ? "along" : "across";
    orientation.slopes = [
      ...(orientation.slopes ?? []),
      { id: newId(), name: what.slice(0, 200), axis, rise: Number(rise.toFixed(3)) },
    ];
  });
  stores.say(`${what}: its slope of ${rise.toFixed(1)}° has points of its own now, see Points.`);
}
