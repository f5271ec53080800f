import { built, validateElement, KINDS, type Element } from "@zanvo/core/world";
import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { newStores } from "../../testing";
import { isPressed, TOOLS } from "../plan/tools";
import { StoresProvider } from "../stores";
import { VIEWS, viewOfElement } from ".";

it("every kind of the core has a view, and every view a kind", () => {
  expect(VIEWS.map(({ kind }) => kind).sort()).toEqual(KINDS.map(({ kind }) => kind).sort());
  for (const view of VIEWS) {
    expect(viewOfElement({ kind: view.kind })).toBe(view);
    expect(view.Fields).toEqual(expect.any(Function));
    expect(view.look.fill).toMatch(/^#[0-9a-f]{6}$/);
  }
});

it("every tool says what the hand does, and stands once on the plan", () => {
  expect(new Set(TOOLS.map(({ id }) => id)).size).toBe(TOOLS.length);
  expect(new Set(TOOLS.map(({ label }) => label)).size).toBe(TOOLS.length);
  for (const tool of TOOLS) expect(tool.hint).toMatch(/^[A-Z].*\.$/);
  expect(TOOLS.filter(isPressed).map(({ id }) => id)).toEqual([
    "polygon",
    "lot",
    "skyline",
    "street",
    "rails",
    "platform",
    "crowd",
    "procession",
    "plant",
    "street-furniture",
    "vehicle",
    "square",
    "park",
    "wall",
    "canal",
    "basin",
    "ground",
  ]);
});

it.each(VIEWS.flatMap(({ kind, tools }) => tools.map((tool) => [tool.id, kind, tool] as const)))(
  "the tool %s lays a %s that can stand",
  (_, kind, tool) => {
    const drawn = tool.draw(
      tool.gesture === "area" || tool.shape
        ? [
            [0, 0],
            [30, 0],
            [30, 20],
            [0, 20],
          ]
        : [
            [0, 0],
            [30, 2],
          ],
      35,
      [],
    );
    if (typeof drawn === "string") throw new Error(drawn);
    const element: Element = { ...drawn, id: "e", name: "Ferry stage" };
    expect(element.kind).toBe(kind);
    expect(validateElement(element)).toBeNull();
    expect(built([element]).solids.length + built([element]).details.length).toBeGreaterThan(0);
    // Every measure that its fields show has a name in its schema.
    const { Fields } = viewOfElement(element);
    const fields = renderToStaticMarkup(
      createElement(
        StoresProvider,
        { value: newStores() },
        createElement(Fields, { element, change: () => undefined }),
      ),
    );
    expect(fields.match(/<label[^>]*>[A-Z][^<]+<\/label>/g)!.length).toBeGreaterThan(0);
  },
);
