import { Trash2 } from "lucide-react";
import { WEIGHTS, type OwnLine, type SheetLine, type Weight } from "@zanvo/core/lines";
import { replaceLines } from "../../document/lines";
import { Button, Select } from "../../ui";
import { useBoard } from "../useBoard";
import { QuadFields } from "./fields/QuadFields";
import { LengthField, MissField } from "./fields/RuledFields";
import { CircleFields, ShapeFields } from "./fields/ShapeFields";
import { SpacingFields } from "./fields/SpacingFields";
import { MeetingPoint } from "./MeetingPoint";
import { nameOf } from "./names";

/** What of a line can be typed. */
function LineFields({ line }: { readonly line: OwnLine }) {
  const { takeUp } = useBoard();
  return (
    <>
      {(line.kind === "ruled" || line.kind === "spacing") && <LengthField line={line} />}
      {!("plane" in line) && (line.kind === "ruled" || line.kind === "spacing") && <MissField line={line} />}
      {line.kind === "ruled" && (
        <div className="flex gap-1">
          <Button className="grow" onClick={() => takeUp("trim")}>
            Trim
          </Button>
          <Button className="grow" onClick={() => takeUp("extend")}>
            Extend
          </Button>
        </div>
      )}
      {line.kind === "spacing" && <SpacingFields line={line} />}
      {line.kind === "quad" && <QuadFields line={line} />}
      {line.kind === "circle" && <CircleFields line={line} />}
      {line.kind === "polyline" && <ShapeFields line={line} />}
    </>
  );
}

/** The own lines that are chosen: their weight, and what can be typed of one. */
export function ChosenLines({ lines }: { readonly lines: readonly OwnLine[] }) {
  const { edit, useShot, exchange } = useBoard();
  const { id } = useShot();
  const [line] = lines;
  const weights = Object.keys(WEIGHTS) as Weight[];
  const ruled = lines.filter(
    (one): one is Extract<SheetLine, { kind: "ruled" }> => one.kind === "ruled" && !("plane" in one),
  );
  return (
    <section aria-label="Chosen lines" className="space-y-2 border-t border-hair pt-2">
      <div className="flex items-center justify-between">
        <h3 className="font-medium">{lines.length === 1 ? nameOf(line) : `${lines.length} lines`}</h3>
        <Button
          onClick={() =>
            exchange(
              lines.map((one) => one.id),
              [],
            )
          }
        >
          <Trash2 size={14} aria-hidden />
          Delete
        </Button>
      </div>
      {lines.length === 1 && (
        <p className="text-pencil">
          {"plane" in line ? `On ${line.plane.name}: every shot shows it.` : "On the sheet."}
        </p>
      )}
      <Select
        labelled
        label="Weight"
        value={lines.every(({ weight }) => weight === line.weight) ? line.weight : ""}
        options={[
          ...(lines.some(({ weight }) => weight !== line.weight) ? [["", "mixed"] as const] : []),
          ...weights.map((weight) => [weight, weight] as const),
        ]}
        onChange={(weight) => {
          if (weight !== "")
            edit(
              replaceLines(
                id,
                lines.map((one): OwnLine => ({ ...one, weight })),
              ),
            );
        }}
      />
      {ruled.length > 1 && ruled.length === lines.length && <MeetingPoint lines={ruled} />}
      {lines.length === 1 && <LineFields key={line.id} line={line} />}
    </section>
  );
}
