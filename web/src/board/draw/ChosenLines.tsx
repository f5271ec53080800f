import { Trash2 } from "lucide-react";
import {
  asRhythm,
  constructedOwn,
  dividedOwn,
  evenlyOff,
  partsOf,
  spacedOnPlane,
  spacedOnSheet,
} from "@zanvo/core/dividing";
import { distance2, type Vec2 } from "@zanvo/core/geometry";
import { FITS, SCHOOLS, WEIGHTS, type OwnLine, type School, type SheetLine, type Weight } from "@zanvo/core/lines";
import { toldBy } from "@zanvo/core/problem";
import { measureWall } from "@zanvo/core/recover";
import { aimsOf, atLength, ledTo, missedBy } from "@zanvo/core/ruling";
import { viewOf } from "@zanvo/core/shot";
import { mm, sentence, type Told } from "@zanvo/core/units";
import { pinsOf } from "@zanvo/core/vanishing";
import { replaceLines } from "../../document/lines";
import { Button, NumberField, Select, TextField } from "../../ui";
import { useBoard } from "../useBoard";
import { FIT_NAMES } from "./DrawPanel";
import { MeetingPoint } from "./MeetingPoint";
import { nameOf } from "./names";

type Of<K extends OwnLine["kind"]> = Extract<OwnLine, { readonly kind: K }>;

/** Puts a changed line in the place of what it was. */
function useChange() {
  const { edit, useShot } = useBoard();
  const { id } = useShot();
  return (line: OwnLine, key?: string) => edit(replaceLines(id, [line]), key);
}

function LengthField({ line }: { readonly line: Of<"ruled" | "spacing"> }) {
  const change = useChange();
  const onPlane = "plane" in line;
  return (
    <NumberField
      label="Length"
      unit={onPlane ? "m" : "mm"}
      digits={onPlane ? 2 : 1}
      min={0.01}
      max={1e6}
      value={distance2(line.from, line.to)}
      onChange={(length) => {
        const [x, y] = atLength([line.from, line.to], length);
        change({ ...line, to: [x, y] }, `length ${line.id}`);
      }}
    />
  );
}

/** Which set a line of the sheet nearly runs to, and what leads it there. */
function MissField({ line }: { readonly line: Extract<SheetLine, { kind: "ruled" | "spacing" }> }) {
  const { useDocument, useShot, useMeasures } = useBoard();
  const orientations = useDocument((document) => document.scene.orientations);
  const shot = useShot();
  const change = useChange();
  const measures = useMeasures();
  const view = viewOf(shot);
  const [aim] = aimsOf(view, pinsOf(orientations, shot), [line.from, line.to]);
  if (!aim) return null;
  const off = missedBy(view, aim.pin, [line.from, line.to]);
  if (off < 0.005) return <p className="text-pencil">Runs to {aim.pin.name}.</p>;
  const lead = () => {
    const [x, y] = ledTo(view, aim.pin, [line.from, line.to]);
    change({ ...line, to: [x, y] });
  };
  return (
    <>
      <p className="text-pencil">
        {measures(sentence`Misses ${aim.pin.name} by ${aim.miss.toFixed(1)}°, ${mm(off)} at its end.`)}
      </p>
      <Button className="w-full" onClick={lead}>
        Lead it to {aim.pin.name}
      </Button>
    </>
  );
}

/** What a piece of work tells, or why it has no answer. */
function answered(work: () => Told | null): { readonly told: Told | null; readonly wrong: boolean } {
  try {
    return { told: work(), wrong: false };
  } catch (error) {
    return { told: toldBy(error), wrong: true };
  }
}

/** What a division comes to, or why it has no answer. */
function Answer({ work }: { readonly work: () => Told | null }) {
  const { useMeasures } = useBoard();
  const measures = useMeasures();
  const { told, wrong } = answered(work);
  if (told === null) return null;
  return wrong ? (
    <p role="alert" className="text-accent">
      {measures(told)}
    </p>
  ) : (
    <p className="text-pencil">{measures(told)}</p>
  );
}

/** A photographed wall's bays, taken for a rhythm. */
function BaysField({ onTake }: { readonly onTake: (rhythm: string) => void }) {
  const { useDocument, say } = useBoard();
  const references = useDocument((document) => document.scene.references);
  const walls = (references ?? []).flatMap((reference) =>
    (reference.walls ?? []).filter(({ marks }) => marks?.length).map((wall) => ({ reference, wall })),
  );
  if (walls.length === 0) return null;
  return (
    <Select
      labelled
      label="Bays of"
      className="min-w-0 grow"
      value=""
      options={[["", "a traced wall"], ...walls.map(({ wall }, i) => [String(i), wall.name] as const)]}
      onChange={(at) => {
        const one = walls[Number(at)];
        if (at === "" || !one) return;
        try {
          onTake(asRhythm(measureWall(one.reference, one.wall).bays));
        } catch (error) {
          say(toldBy(error));
        }
      }}
    />
  );
}

function SpacingFields({ line }: { readonly line: Of<"spacing"> }) {
  const { useDocument, useShot } = useBoard();
  const orientations = useDocument((document) => document.scene.orientations);
  const shot = useShot();
  const change = useChange();
  const pins = pinsOf(orientations, shot);
  const take = (parts: string) => {
    partsOf(parts, "");
    change({ ...line, parts });
  };
  const told = (): Told | null => {
    if ("plane" in line) return `${spacedOnPlane(line).places.length - 1} parts in true measure.`;
    const spaced = spacedOnSheet(viewOf(shot), pins, line);
    const off = evenlyOff(spaced);
    return line.towards === undefined
      ? "It runs to no set: the parts are even on paper."
      : sentence`Even spacing on paper would be off by up to ${mm(off)}.`;
  };
  return (
    <>
      <TextField label="Parts: a number, or a rhythm" value={line.parts} onChange={take} />
      <BaysField onTake={take} />
      <Select
        labelled
        label="What remains"
        value={line.fit ?? "stretch"}
        options={FITS.map((id) => [id, FIT_NAMES[id]])}
        onChange={(fit) => change({ ...line, fit })}
      />
      {line.fit !== undefined && line.fit !== "stretch" && !("plane" in line) && (
        <NumberField
          label="Length in the parts' unit"
          unit=""
          digits={3}
          min={0.001}
          max={1e6}
          value={line.length ?? 1}
          onChange={(length) => change({ ...line, length })}
        />
      )}
      {!("plane" in line) && (
        <Select
          labelled
          label="Runs to"
          className="min-w-0 grow"
          value={line.towards ?? ""}
          options={[
            ["", "no set"],
            ...pins.filter(({ opposite }) => !opposite).map(({ id, name }) => [id, name] as const),
          ]}
          onChange={(id) => change({ ...line, towards: id || undefined })}
        />
      )}
      <Answer work={told} />
    </>
  );
}

const SCHOOL_NAMES: Readonly<Record<School, string>> = {
  arithmetic: "worked out",
  diagonals: "crossing diagonals",
  marks: "marks and one diagonal",
};

function QuadFields({ line }: { readonly line: Of<"quad"> }) {
  const change = useChange();
  const take = (what: "columns" | "rows") => (text: string) => {
    if (what === "rows" && text === "") return change({ ...line, rows: undefined });
    partsOf(text, "");
    change({ ...line, [what]: text });
  };
  const repeats = (what: "before" | "after", label: string) => (
    <NumberField
      label={label}
      unit=""
      digits={0}
      min={0}
      max={100}
      value={line[what] ?? 0}
      onChange={(times) => {
        const next = { ...line, [what]: Math.round(times) || undefined };
        dividedOwn(next);
        change(next, `${what} ${line.id}`);
      }}
    />
  );
  return (
    <>
      <TextField label="Columns: a number, or a rhythm" value={line.columns} onChange={take("columns")} />
      <TextField label="Rows: a number, a rhythm, or none" value={line.rows ?? ""} onChange={take("rows")} />
      {repeats("before", "Repeats before")}
      {repeats("after", "Repeats after")}
      <Select
        labelled
        label="Drawn by"
        className="min-w-0 grow"
        value={line.school ?? "arithmetic"}
        options={SCHOOLS.map((id) => [id, SCHOOL_NAMES[id]])}
        onChange={(school) => change({ ...line, school })}
      />
      <Answer
        work={() => {
          dividedOwn(line);
          constructedOwn(line);
          return null;
        }}
      />
    </>
  );
}

function CircleFields({ line }: { readonly line: Of<"circle"> }) {
  const change = useChange();
  const onPlane = "plane" in line;
  const arc = line.arc ?? { from: 0, over: 360 };
  return (
    <>
      <NumberField
        label="Radius"
        unit={onPlane ? "m" : "mm"}
        digits={2}
        min={0.01}
        max={1e6}
        value={line.radius}
        onChange={(radius) => change({ ...line, radius }, `radius ${line.id}`)}
      />
      <NumberField
        label="Arc from"
        unit="°"
        min={-360}
        max={360}
        value={arc.from}
        onChange={(from) => change({ ...line, arc: { ...arc, from } }, `arc ${line.id}`)}
      />
      <NumberField
        label="Arc over"
        unit="°"
        min={1}
        max={360}
        value={arc.over}
        onChange={(over) => change({ ...line, arc: { ...arc, over } }, `arc ${line.id}`)}
      />
    </>
  );
}

/** Width and height of a rectangle, which keep its first corner. */
function ShapeFields({ line }: { readonly line: Of<"polyline"> }) {
  const change = useChange();
  const { points, closed } = line;
  const onPlane = "plane" in line;
  const sides = points.slice(1).map((to, i): readonly [Vec2, Vec2] => [points[i], to]);
  const square =
    closed &&
    points.length === 4 &&
    points[0][1] === points[1][1] &&
    points[1][0] === points[2][0] &&
    points[2][1] === points[3][1];
  if (!square)
    return (
      <p className="text-pencil">
        {sides.length} sides{closed ? ", closed" : ""}
      </p>
    );
  const [[x, y], , [u, v]] = points;
  const sized = (width: number, height: number) => {
    const [to, down] = [x + Math.sign(u - x || 1) * width, y + Math.sign(v - y || 1) * height];
    change(
      {
        ...line,
        points: [
          [x, y],
          [to, y],
          [to, down],
          [x, down],
        ],
      },
      `size ${line.id}`,
    );
  };
  const field = (label: string, value: number, onChange: (to: number) => void) => (
    <NumberField
      label={label}
      unit={onPlane ? "m" : "mm"}
      digits={2}
      min={0.01}
      max={1e6}
      value={value}
      onChange={onChange}
    />
  );
  return (
    <>
      {field("Width", Math.abs(u - x), (width) => sized(width, Math.abs(v - y)))}
      {field("Height", Math.abs(v - y), (height) => sized(Math.abs(u - x), height))}
    </>
  );
}

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
