import { Dices, Footprints, Users } from "lucide-react";
import { CROWD, kindOf, rolledCrowd, widthOfWay, type Crowd, type Element } from "@zanvo/core/world";
import { measureOf } from "@zanvo/core/fields";
import { newSeed } from "../seed";
import { useStores } from "../stores";
import { Button, Check, MeasureField } from "../ui";
import { CurveFields } from "./CurveFields";
import { GROUND, points, type Change, type ElementView } from "./view";

const RULE = ["number", "spacing", "children", "walking", "heading"] as const;

/** Whether so many were found room for; a sentence where they were not. */
const roomFor = ({ number, people }: Crowd): string =>
  people.length < number
    ? `There is room for ${people.length} of ${number} only: make the area larger, or let them stand nearer.`
    : `${number} people stand there, clear of walls, water and each other.`;

/** The rule of a crowd, and who of it stays when it is rolled again. */
function CrowdFields({ element: crowd, change }: { readonly element: Crowd; readonly change: Change }) {
  const { useDocument } = useStores();
  const elements = useDocument(({ scene }) => scene.elements);
  const roll = (part: Partial<Crowd>, what: string) => change(rolledCrowd({ ...crowd, ...part }, elements), what);
  const kept = crowd.people.filter((one) => one.kept).length;
  const keep = (isKept: boolean) =>
    change({ ...crowd, people: crowd.people.map((one) => ({ ...one, kept: isKept || undefined })) }, "kept");
  return (
    <>
      {crowd.line && (
        <>
          <MeasureField
            measure={measureOf(kindOf(crowd).schema, "wide")}
            value={widthOfWay(crowd)}
            onChange={(wide) => roll({ wide }, "width")}
          />
          <CurveFields element={crowd} change={(to, what) => change(rolledCrowd(to as Crowd, elements), what)} />
        </>
      )}
      {RULE.filter((key) => !crowd.line || key !== "heading").map((key) => (
        <MeasureField
          key={key}
          measure={measureOf(kindOf(crowd).schema, key)}
          value={crowd[key]}
          onChange={(to) => roll({ [key]: to }, key)}
        />
      ))}
      <p className="text-pencil" role="status">
        {roomFor(crowd)}
      </p>
      <Button className="w-full" onClick={() => roll({ seed: newSeed() }, "seed")}>
        <Dices size={14} aria-hidden />
        {kept === 0 ? "Roll them again" : `Roll all but ${kept} again`}
      </Button>
      <Check
        label="All of them stay as they are"
        checked={crowd.people.length > 0 && kept === crowd.people.length}
        onChange={keep}
      />
    </>
  );
}

/** A crowd where it was drawn; a sentence where nobody has room. */
function drawn(where: Pick<Crowd, "footprint" | "heading"> & Partial<Crowd>, elements: readonly Element[]) {
  const rule = { ...CROWD, seed: newSeed(), people: [] };
  const crowd = rolledCrowd({ id: "", name: "", kind: "crowd", ...rule, ...where }, elements);
  return crowd.people.length > 0 ? crowd : "Nobody has room there: draw it larger, or clear of what stands there.";
}

export const crowd: ElementView<Crowd> = {
  kind: "crowd",
  look: { fill: GROUND, fillOpacity: 0.15, order: 3 },
  tools: [
    {
      id: "crowd",
      label: "Crowd",
      icon: <Users size={14} aria-hidden />,
      hint: "Press for each corner of where people are; press the first again, or Enter, to close.",
      gesture: "area",
      draw: (places, heading, elements) => drawn({ footprint: points(places), heading }, elements),
    },
    {
      id: "procession",
      label: "Procession",
      iconOnly: true,
      icon: <Footprints size={14} aria-hidden />,
      hint: "Press for each bend of the line along which people walk; press the last again, or Enter, to end it.",
      gesture: "path",
      draw: (places, heading, elements) =>
        drawn({ footprint: [], line: points(places), heading, walking: 100 }, elements),
    },
  ],
  Fields: CrowdFields,
  // Each as a small cross: where they stand, and across the way they face.
  marks: ({ people }) =>
    people.flatMap(({ x, y, heading }) => {
      const [s, c] = [Math.sin((heading * Math.PI) / 180), Math.cos((heading * Math.PI) / 180)];
      return [
        [[x - 0.25 * c, y + 0.25 * s] as const, [x + 0.25 * c, y - 0.25 * s] as const] as const,
        [[x, y] as const, [x + 0.3 * s, y + 0.3 * c] as const] as const,
      ];
    }),
};
