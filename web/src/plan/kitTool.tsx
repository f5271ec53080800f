import { rowEnds, wayBeside } from "@zanvo/core/construct";
import { degrees, distance2, headingDirection, type Vec2 } from "@zanvo/core/geometry";
import { asHere, hangs, putDown, reachOf, ORIGIN, type Frame } from "@zanvo/core/kits";
import type { Kit, Scene } from "@zanvo/core/scene";
import { outlineOf } from "@zanvo/core/world";
import { newId } from "../id";
import { keepsKit } from "../kits/shelfOfKits";
import type { Stores } from "../stores";
import type { PlanTool } from "./tools";
import { sayWhatIsUnder } from "./under";

/** Places nearer to each other than this are one that was pressed, m. */
const PRESSED = 0.2;

/**
 * Where a kit stands whose front is drawn along from one place to another, away from the street beside it, or where
 * there is none to the right; one that is pressed down stands along its street with its middle there.
 */
export function standingAlong(kit: Kit, { elements, orientations }: Scene, [from, to]: readonly Vec2[]): Frame {
  const pressed = distance2(from, to) < PRESSED;
  const along = wayBeside(elements, from)?.heading ?? orientations[0]?.heading ?? 0;
  const [ux, uy] = headingDirection(along);
  const [a, b] = rowEnds(elements, from, pressed ? [from[0] + ux, from[1] + uy] : to);
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const [left, right] = reachOf(kit.elements, ORIGIN.heading).right;
  // Its one end is where the drawing began, whichever way it then faces.
  const half = pressed ? 0 : Math.max(-left, right);
  const [wx, wy] = [to[0] - from[0], to[1] - from[1]];
  const far = Math.hypot(wx, wy) || 1;
  const at: Vec2 = [from[0] + (half * wx) / far, from[1] + (half * wy) / far];
  return { at, z: 0, heading: degrees(Math.atan2(dx, dy)) - 90 };
}

/** A tool that lays a kit on the plan. */
export function kitTool(kit: Kit): PlanTool {
  const laid = (stores: Stores, places: readonly Vec2[]) => {
    const { scene } = stores.useDocument.getState();
    const here = asHere(scene, kit);
    return putDown(here, standingAlong(here, scene, places), newId);
  };
  return {
    id: `kit ${kit.id}`,
    label: kit.name,
    hint:
      `${kit.name}: press where its front stands, or draw along it from one end. It stands away from the street, or ` +
      "where there is none to your right.",
    gesture: "drawn",
    add: (stores, places) => {
      if (hangs(kit)) return stores.say("It hangs on a wall: put it there in the picture, in Fittings.");
      const { scene: before } = stores.useDocument.getState();
      const { elements } = before;
      const parts = laid(stores, places);
      stores.edit((scene) => {
        scene.elements.push(...parts);
        keepsKit(asHere(before, kit))(scene);
      });
      stores.choose(parts.map(({ id }) => id));
      sayWhatIsUnder(stores, parts.slice(0, 1), elements);
    },
    preview: (stores, places) => laid(stores, places).map(outlineOf),
  };
}
