import { heightAt, newPerson, POSES, type Person, type Pose } from "@zanvo/core/world";
import { isFloor, type PressedPlace, type Thing } from "./thing";

const REFUSED = "People stand on the ground, on stairs, floors and flat roofs: press there.";

/** Someone who faces the eye, their soles where it was pressed. */
const put =
  (pose: Pose, change: Partial<Person> = {}) =>
  (place: PressedPlace) => {
    const [x, y, z] = place.at;
    return isFloor(place) ? { ...newPerson({ x, y, z }, place.heading, pose), ...change } : REFUSED;
  };

const [CHILD, GIRL] = [8, 12];

export const people: readonly Thing[] = [
  ...(Object.keys(POSES) as Pose[]).map((pose) => ({ id: `person-${pose}`, label: POSES[pose], put: put(pose) })),
  { id: "person-coat", label: "In a coat", put: put("walking", { wear: "coat", height: 1.78 }) },
  { id: "person-skirt", label: "In a skirt", put: put("standing", { wear: "skirt", height: 1.64 }) },
  { id: "child", label: "A child", put: put("walking", { age: CHILD, height: heightAt(CHILD) }) },
  { id: "girl", label: "A girl", put: put("running", { age: GIRL, height: heightAt(GIRL), wear: "skirt" }) },
];
