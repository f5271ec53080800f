import { arrowBy } from "./arrows";

it("arrow keys move by a step, with Shift by ten of them, down the screen for Down; others do not", () => {
  const key = (name: string, shiftKey = false) => arrowBy({ key: name, shiftKey }, 0.5);
  expect([key("ArrowLeft"), key("ArrowDown"), key("ArrowUp", true), key("ArrowRight", true)]).toEqual([
    [-0.5, 0],
    [0, 0.5],
    [0, -5],
    [5, 0],
  ]);
  expect(key("Enter")).toBeNull();
});
