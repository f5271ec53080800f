import { newScene } from "../scene";
import { pinsOf } from "../vanishing";
import { byHabit, CONVERGENCE, fieldOfView, HABITS, inSituation, SITUATIONS, type Convergence } from ".";

const {
  orientations: [main],
  shots: [shot],
} = newScene("Test");
const place = (of: typeof shot, role: string) => pinsOf([main], of).find((pin) => pin.role === role)!.point;

describe("situations to start from", () => {
  it("have the convergence that was chosen", () => {
    for (const situation of SITUATIONS) {
      for (const convergence of Object.keys(CONVERGENCE) as Convergence[]) {
        expect(fieldOfView(inSituation(shot, main, situation, convergence))).toBeCloseTo(CONVERGENCE[convergence], 6);
      }
    }
  });

  it("put the point of a wall that is faced into the centre of vision, and the third point where one looks", () => {
    const of = (id: string) =>
      inSituation(
        shot,
        main,
        SITUATIONS.find((one) => one.id === id)!,
        "normal",
      );
    const wall = of("wall");
    expect(place(wall, "left").at![0]).toBeCloseTo(wall.lens.centre.x, 9);
    expect(place(wall, "right").at).toBeNull();
    expect(place(of("up"), "upright").at![1]).toBeLessThan(0);
    expect(place(of("down"), "upright").at![1]).toBeGreaterThan(shot.sheet.height);
    expect(place(of("corner"), "upright").at).toBeNull();
  });
});

describe("habits of setting two points", () => {
  it("put both where the habit has them", () => {
    for (const habit of HABITS) {
      const set = byHabit(shot, main, habit);
      expect(place(set, "left").at![0]).toBeCloseTo(habit.left * shot.sheet.width, 6);
      expect(place(set, "right").at![0]).toBeCloseTo(habit.right * shot.sheet.width, 6);
    }
  });
});
