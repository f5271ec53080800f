import { isOnMap, wholeDesk } from "./camera";

it("a small map of the desk is laid out by near pins: one 303 m off would leave the sheet a thousandth of it", () => {
  const sheet = { width: 420, height: 297 };
  const [left, far] = [
    [-735, 148],
    [575, -303_261],
  ] as const;
  expect([isOnMap(sheet, left), isOnMap(sheet, far)]).toEqual([true, false]);
  expect(sheet.height / wholeDesk(sheet, [left, far]).height).toBeLessThan(0.001);
  expect(sheet.height / wholeDesk(sheet, [left]).height).toBeGreaterThan(0.8);
});
