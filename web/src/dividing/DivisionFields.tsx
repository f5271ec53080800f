import { constructedOwn, dividedOwn } from "@zanvo/core/dividing";
import { partsOf } from "@zanvo/core/rhythm";
import { SCHOOLS, type DividedQuad, type School } from "@zanvo/core/lines";
import { NumberField, Select, TextField } from "../ui";
import { Answer } from "./Answer";

const SCHOOL_NAMES: Readonly<Record<School, string>> = {
  arithmetic: "worked out",
  diagonals: "crossing diagonals",
  marks: "marks and one diagonal",
};

/** Into what four corners are divided, and how that is drawn. */
export function DivisionFields<T extends DividedQuad>({
  quad: line,
  onChange: change,
}: {
  readonly quad: T;
  /** Takes the changed one; changes of one `key` after each other are undone as one. */
  readonly onChange: (quad: T, key?: string) => void;
}) {
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
