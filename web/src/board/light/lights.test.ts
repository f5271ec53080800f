import { produce } from "immer";
import { newScene, type Scene } from "@zanvo/core/scene";
import { lightsOf, type Light } from "@zanvo/core/light";
import { firstLamp, firstSun, lightMeasure, ownLights, replaced, withLights } from "./lights";

const sun: Light = { id: "s", kind: "sun", heading: 120, height: 30 };
const lamp: Light = { id: "l", kind: "lamp", at: { x: 1, y: 2, z: 4 } };

describe("what lights a scene", () => {
  const scene = newScene("Quay");
  const [{ id }] = scene.shots;
  const lit: Scene = produce(
    scene,
    withLights(id, (all) => [...all, sun]),
  );

  it("is the scene's for all shots, until a shot has its own", () => {
    expect(lit.lights).toEqual([sun]);
    const own: Scene = produce(lit, ownLights(id, true));
    expect(own.shots[0].lights).toEqual([sun]);
    const changed: Scene = produce(own, withLights(id, replaced({ ...sun, height: 50 })));
    expect(lightsOf(changed, changed.shots[0])).toMatchObject([{ height: 50 }]);
    expect(changed.lights).toEqual([sun]);
    const back: Scene = produce(changed, ownLights(id, false));
    expect(lightsOf(back, back.shots[0])).toEqual([sun]);
  });

  it("leaves nothing behind where there is none any more", () => {
    expect(
      "lights" in
        produce(
          lit,
          withLights(id, () => []),
        ),
    ).toBe(false);
  });

  it("is changed by its id alone", () => {
    expect(replaced({ ...lamp, off: true })([sun, lamp])).toEqual([sun, { ...lamp, off: true }]);
    expect(
      produce(
        scene,
        withLights("nobody", () => [sun]),
      ),
    ).toBe(scene);
  });

  it("begins over the left shoulder, or a few metres before the eye", () => {
    const shot = { ...scene.shots[0], gaze: { heading: 90, pitch: 0, roll: 0 }, eye: { x: 5, y: 5, z: 1.6 } };
    expect(firstSun("s", shot)).toMatchObject({ kind: "sun", heading: 315, height: 40 });
    expect(firstLamp("l", shot)).toMatchObject({ kind: "lamp", at: { x: 13, y: 5, z: 4 } });
  });

  it("has measures with their limits", () => {
    expect(lightMeasure(sun, "height")).toMatchObject({ unit: "°", max: 90 });
    expect(lightMeasure(lamp, "at/z")).toMatchObject({ unit: "m" });
  });
});
