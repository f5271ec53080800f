import { measureOf } from "@zanvo/core/fields";
import { distance2, wrap } from "@zanvo/core/geometry";
import { sentence, shortMetres, squareMetres } from "@zanvo/core/units";
import {
  areaTwice,
  boxOf,
  BoxSchema,
  holesOf,
  kindOf,
  lengthOf,
  middleOf,
  outlineOf,
  pathOf,
  placesOf,
  requireValid,
  stretched,
  turned,
  withoutPlace,
  withPlace,
  type Element,
} from "@zanvo/core/world";
import { Plus } from "lucide-react";
import type { Change } from "../elements";
import { Parts } from "../elements/Parts";
import { replaceElement } from "../document/elements";
import { Button, Fold, MeasureField } from "../ui";
import { useStores } from "../stores";

/** No more corners than these are listed. */
const MAX_LISTED = 60;

type OnFootprint = Extract<Element, { footprint: unknown }>;
type OnPath = Extract<Element, { path: unknown }>;

/** Length and width along the longest side, and its heading; of a drum, how wide it is. */
function SizeFields({ element, change }: { readonly element: OnFootprint; readonly change: Change }) {
  const { origin, heading, length, width } = boxOf(element);
  const resized = (along: number, across: number, what: string) =>
    change(requireValid(stretched(element, heading, [along, across], [origin.x, origin.y])), what);
  const [x, y] = middleOf(element);
  if ("round" in element && element.round)
    return (
      <MeasureField
        measure={measureOf(BoxSchema, "width")}
        label="Across"
        value={width}
        onChange={(to) => resized(to / width, to / width, "across")}
      />
    );
  return (
    <>
      <MeasureField
        measure={measureOf(BoxSchema, "length")}
        value={length}
        onChange={(to) => resized(to / length, 1, "length")}
      />
      <MeasureField
        measure={measureOf(BoxSchema, "width")}
        value={width}
        onChange={(to) => resized(1, to / width, "width")}
      />
      <MeasureField
        measure={measureOf(BoxSchema, "heading")}
        value={wrap(heading, -180, 360)}
        onChange={(to) => change(requireValid(turned(element, to - heading, [x, y])), "heading")}
      />
    </>
  );
}

/** The places that an element is drawn by, and the field that holds them. */
function drawnBy(element: OnFootprint | OnPath) {
  if ("path" in element) return { field: "path", own: element.path };
  if ("line" in element && element.line) return { field: "line", own: element.line };
  return { field: "footprint", own: element.footprint };
}

/** The places of an element, each to be typed; more of them, or fewer. */
function PlaceList({ element, change }: { readonly element: OnFootprint | OnPath; readonly change: Change }) {
  const { field, own } = drawnBy(element);
  const isLine = field !== "footprint";
  const word = isLine ? "Point" : "Corner";
  const set = (next: Element | null, what: string) => {
    if (!next) throw new Error(`It needs ${isLine ? "two points" : "three corners"}.`);
    change(requireValid(next), what);
  };
  return (
    <Fold title={`${own.length} ${word.toLowerCase()}s`}>
      <Parts
        name={word}
        add={isLine ? "A point at its end" : "A corner"}
        parts={own}
        fields={["x", "y"]}
        measure={(axis) => measureOf(kindOf(element).schema, `${field}/*/${axis}`)}
        fresh={() => own[0]}
        more={(_, __, name) => {
          const at = Number(name.split(" ")[1]) - 1;
          return (
            <Button className="w-full" onClick={() => set(withPlace(element, at), "places")}>
              <Plus size={13} aria-hidden />
              {`One behind ${name.toLowerCase()}`}
            </Button>
          );
        }}
        onChange={(to, what) => {
          if (to.length > own.length) return set(withPlace(element, own.length - 1), what);
          if (to.length < own.length)
            return set(
              withoutPlace(
                element,
                own.findIndex((one, i) => one !== to[i]),
              ),
              what,
            );
          const at = to.findIndex((one, i) => one !== own[i]);
          if (at >= 0) set(kindOf(element).placed(element, at, [to[at].x, to[at].y]), what);
        }}
      />
    </Fold>
  );
}

/** How large the ground is that an element takes, and how long its sides or its path are. */
function Extent({ element }: { readonly element: OnFootprint | OnPath }) {
  const { useMeasures } = useStores();
  const measures = useMeasures();
  if ("path" in element)
    return (
      <p className="measure text-pencil">{measures(sentence`${shortMetres(lengthOf(pathOf(element)), 2)} long`)}</p>
    );
  const outline = outlineOf(element);
  const area = areaTwice(outline) / 2 - holesOf(element).reduce((sum, hole) => sum + areaTwice(hole) / 2, 0);
  const rim = outline.reduce((sum, p, i) => sum + distance2(p, outline[(i + 1) % outline.length]), 0);
  return (
    <p className="measure text-pencil">{measures(sentence`${squareMetres(area)}, ${shortMetres(rim, 2)} around`)}</p>
  );
}

/** Where what is chosen lies on the plan, and how large it is there, all to be typed. */
export function PlaceFields({ element }: { readonly element: Element }) {
  const { edit } = useStores();
  const change: Change = (next, what) => edit(replaceElement(next), `${what} ${element.id}`);
  if (!("footprint" in element) && !("path" in element)) return null;
  return (
    <section aria-label="Chosen on the plan" className="space-y-1.5 border-t border-hair pt-2">
      {"footprint" in element && drawnBy(element).field === "footprint" && (
        <SizeFields element={element} change={change} />
      )}
      <Extent element={element} />
      {placesOf(element).length > 0 && placesOf(element).length <= MAX_LISTED && (
        <PlaceList element={element} change={change} />
      )}
    </section>
  );
}
