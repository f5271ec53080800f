import { Brush, Eraser, ScanSearch } from "lucide-react";
import { Button, Working } from "../ui";
import { nameOf, type Finding } from "./edges";
import { BRUSH, type Tracing } from "./tracing";

interface FindPanelProps {
  readonly finding: Finding;
  readonly tracing: Tracing;
  readonly onTracing: (next: Tracing) => void;
  readonly brush: "use" | "ignore";
  readonly onBrush: (brush: "use" | "ignore") => void;
}

/** The photo's own edges: found, told apart by set, brushed over, and taken into the sets. */
export function FindPanel({ finding, tracing, onTracing, brush, onBrush }: FindPanelProps) {
  const { work, found, off, accept } = finding;
  if (work.busy) {
    return (
      <section aria-label="Edges of the photo">
        <Working work={work} label="Edges looked for">
          Looking for edges…
        </Working>
      </section>
    );
  }
  if (!found)
    return (
      <section aria-label="Edges of the photo">
        <Button className="w-full" onClick={() => void finding.find()}>
          <ScanSearch size={14} aria-hidden />
          Find the edges in the photo
        </Button>
      </section>
    );
  const left = found.groups.flatMap(({ role, members }, at) =>
    members.length ? [{ role, at, count: members.filter((i) => !off.has(i)).length, members }] : [],
  );
  const brushing = (what: "use" | "ignore") => {
    onBrush(what);
    onTracing({ set: BRUSH, edge: null });
  };
  const all = left.flatMap(({ members }) => members);
  return (
    <section aria-label="Edges of the photo" className="space-y-1.5 rounded border border-hair p-1.5">
      <p className="text-pencil">
        {found.edges.length} edges found
        {left.length
          ? "; take those that are right into the sets."
          : found.groups.length
            ? ", all that go together are in the sets."
            : ", but no number of them run to one point: trace the sets by hand, the lines settle on them."}
      </p>
      {left.map(({ role, at, count }) => (
        <div key={at} className="flex items-center justify-between gap-1">
          <span>
            {nameOf(role)} <span className="measure text-pencil">{count}</span>
          </span>
          <Button
            aria-label={`Take ${count} edges into ${nameOf(role)}`}
            disabled={count === 0}
            onClick={() => accept([at])}
          >
            Take
          </Button>
        </div>
      ))}
      {left.length > 0 && (
        <>
          <Button primary className="w-full" onClick={() => accept(left.map(({ at }) => at))}>
            Take all into the sets
          </Button>
          <div className="grid grid-cols-2 gap-1">
            <Button on={tracing.set === BRUSH && brush === "ignore"} onClick={() => brushing("ignore")}>
              <Eraser size={14} aria-hidden />
              Brush out
            </Button>
            <Button on={tracing.set === BRUSH && brush === "use"} onClick={() => brushing("use")}>
              <Brush size={14} aria-hidden />
              Brush in
            </Button>
            <Button onClick={() => finding.put(all, false)}>None</Button>
            <Button onClick={() => finding.put(all, true)}>All</Button>
          </div>
        </>
      )}
      <Button className="w-full" onClick={finding.forget}>
        Put the found edges away
      </Button>
    </section>
  );
}
