import { shotWith } from "../../testing";
import { plainHouse } from "../../testing/houses";
import { newScene } from "../scene";
import { inMetric } from "../units";
import { newPerson, newSteps, type Element, type Person } from "../world";
import { seenFindings } from "./seen";

const shot = shotWith({ eye: { x: 6, y: -14, z: 1.6 }, gaze: { heading: 0, pitch: 0, roll: 0 } });
const person = (change: Partial<Person> = {}): Person => ({
  ...newPerson({ x: 6, y: -3, z: 0 }, 180),
  id: "p",
  name: "The pilot",
  ...change,
});
const told = (...elements: Element[]) =>
  seenFindings({ ...newScene("Test"), elements, shots: [shot] }, shot).filter(({ id }) => id.includes("-p"));

describe("people in a picture", () => {
  it("whose feet float are told so in mm, and put on their feet", () => {
    const [found] = told(person({ at: { x: 6, y: -3, z: 0.25 } }));
    expect(found.id).toBe("feet-p");
    // 11 m away, at a picture distance d a height of 0.25 m is drawn 0.25 d / 11 tall.
    expect(found.value).toBeCloseTo((0.25 * shot.lens.distance) / 11, 1);
    expect(inMetric(found.message)).toContain("Their feet float over what is under them by 0.25 m");
    expect(told(found.mend!.element)).toEqual([]);
  });

  it("who stand on steps are on their feet there, and sink into them where they are too low", () => {
    const steps: Element = {
      ...newSteps({
        foot: { x: 6, y: -4, z: 0 },
        heading: 0,
        plan: "straight",
        width: 3,
        count: 4,
        riser: 0.17,
        tread: 0.3,
      }),
      id: "s",
      name: "Steps",
    };
    expect(told(steps, person({ at: { x: 6, y: -3.55, z: 0.34 } }))).toEqual([]);
    const [sunk] = told(steps, person({ at: { x: 6, y: -3.55, z: 0 } }));
    expect(inMetric(sunk.message)).toContain("sink into what is under them by 0.34 m");
    expect(told(steps, sunk.mend!.element)).toEqual([]);
  });

  it("who are taller than the door that they stand before are told by how much, and made to fit", () => {
    const house = plainHouse({ doors: [{ x: 6, y: 0, width: 0.9, height: 1.7 }] });
    const [found] = told(house, person({ at: { x: 6, y: -1, z: 0 }, height: 1.85 }));
    expect(found.id).toBe("taller-than-door-p");
    expect(inMetric(found.message)).toContain("1.85 m tall before a door of Chandlery that is 1.70 m high");
    expect(told(house, found.mend!.element)).toEqual([]);
    // Far from it nobody compares them.
    expect(told(house, person({ at: { x: 6, y: -6, z: 0 }, height: 1.85 }))).toEqual([]);
  });
});
