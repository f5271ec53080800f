import { ClipboardCopy, FileDown, Printer } from "lucide-react";
import { useState } from "react";
import { Link, useParams } from "react-router";
import useSWR from "swr";
import { fileName } from "@zanvo/core/scene";
import { CAUTIONS, degree, setUpOf, slipOf, slipText } from "@zanvo/core/slip";
import { mm, sentence, sizeInMm } from "@zanvo/core/units";
import { copyText } from "../document/clipboard";
import { openScene, slipPath, type Opened } from "../api";
import { Button, say } from "../ui";
import { useMeasures, useUnits } from "../units";
import { DeskDrawing } from "./DeskDrawing";
import { TickTable } from "./TickTable";

const SPACINGS = [5, 10, 20, 25] as const;

/** The set-up sheet of one shot, to print and take to the drawing table. */
export function SlipPage() {
  const { id = "", shot: shotId } = useParams();
  const { data, error } = useSWR<Opened, Error>(`/slip/${id}`, () => openScene(id));
  const [spacing, setSpacing] = useState(10);
  const system = useUnits((units) => units.system);
  const measures = useMeasures();
  const shot = data?.scene.shots.find((one) => one.id === shotId);
  if (!data || !shot) {
    return (
      <main className="flex h-full flex-col items-center justify-center gap-3">
        <p role={error ? "alert" : undefined}>
          {error ? error.message : data ? "There is no such shot in this scene." : "Writing the slip…"}
        </p>
        <Link className="underline" to={data ? `/scenes/${id}` : "/"}>
          Back
        </Link>
      </main>
    );
  }
  const { scene } = data;
  const { steps, aids, scaled, compass } = setUpOf(scene, shot, spacing);
  const copy = () =>
    void copyText(slipText(scene, shot, spacing, system)).then(
      () => say("The slip is copied as plain text."),
      () => say("The browser does not allow copying here."),
    );
  return (
    <div className="h-full overflow-auto bg-desk print:h-auto print:overflow-visible print:bg-white">
      <header className="flex items-center gap-2 border-b border-hair bg-slip px-4 py-2 print:hidden">
        <Link className="rounded px-1.5 py-1 hover:bg-wash" to={`/scenes/${id}`}>
          Back to the board
        </Link>
        <span className="grow" />
        <label className="flex items-center gap-1.5 text-pencil">
          Ticks every
          <select
            className="h-7 rounded border border-hair bg-slip px-1 text-ink"
            value={spacing}
            onChange={(event) => setSpacing(Number(event.target.value))}
          >
            {SPACINGS.map((one) => (
              <option key={one} value={one}>
                {measures(mm(one))}
              </option>
            ))}
          </select>
        </label>
        <Button onClick={copy}>
          <ClipboardCopy size={14} aria-hidden />
          Copy as plain text
        </Button>
        <a
          className="inline-flex h-7 items-center gap-1.5 rounded border border-hair px-2 hover:bg-wash"
          href={slipPath(id, shot.id, spacing, system)}
          download={`${fileName(`${scene.title} ${shot.name} set-up sheet`)}.pdf`}
        >
          <FileDown size={14} aria-hidden />
          Save as PDF
        </a>
        <Button primary onClick={() => window.print()}>
          <Printer size={14} aria-hidden />
          Print
        </Button>
      </header>
      <main className="mx-auto my-6 w-[210mm] bg-white p-[12mm] text-[#26251f] print:m-0 print:w-auto print:p-0">
        <h1 className="text-lg font-semibold">
          {scene.title}: {shot.name}
        </h1>
        {scene.place && <p>{scene.place}</p>}
        <div className="mt-3 grid grid-cols-[1fr_1fr] gap-6">
          <div>
            <DeskDrawing scene={scene} shot={shot} />
            <ol className="mt-3 list-decimal space-y-1 pl-5">
              {steps.map((step, i) => (
                <li key={i}>{measures(step)}</li>
              ))}
            </ol>
          </div>
          <div>
            {slipOf(scene, shot).map(({ title, rows }) => (
              <section key={title} className="mb-2 break-inside-avoid">
                <h2 className="text-[11px] font-semibold uppercase tracking-wide">{title}</h2>
                <dl>
                  {rows.map(({ id: row, label, value }) => (
                    <div key={row} className="border-t border-[#cbc6b6] py-0.5">
                      <dt className="text-[11px] text-[#5d5a50]">{label}</dt>
                      <dd className="measure text-[12px]">{measures(value)}</dd>
                    </div>
                  ))}
                </dl>
              </section>
            ))}
          </div>
        </div>
        <div className="mt-4 grid grid-cols-2 gap-6">
          {aids.map(({ pin, aids: one }) => (
            <section key={pin.id} aria-label={`Edge ticks for ${pin.name}`}>
              <h2 className="font-semibold">Edge ticks for {pin.name}</h2>
              <p className="text-[12px]">
                Every {measures(mm(one.spacing.near))} on the {one.side} edge, every {measures(mm(one.spacing.far))} on
                the opposite one, in {system === "metric" ? "mm" : "inches"} from the top edge. A ruler on equal numbers
                aims at the point.
              </p>
              <TickTable aids={one} />
              {one.centrolinead && (
                <p className="mt-1 text-[12px]">
                  Centrolinead: pegs on the {one.side} edge, {measures(mm(one.centrolinead.pegs))} above and below the
                  point’s level; legs at {degree(one.centrolinead.angle)} to the ruler.
                </p>
              )}
            </section>
          ))}
        </div>
        {compass && (
          <section aria-label="Compass sheet" className="mt-4">
            <h2 className="font-semibold">Compass sheet</h2>
            {(
              [
                ["Horizons", compass.horizons],
                ["Lines you picked", compass.picked],
                ["Where feet lie", compass.feet],
                ["Lines to each point, by their turn about it", compass.lines],
              ] as const
            ).map(
              ([title, rows]) =>
                rows.length > 0 && (
                  <div key={title} className="mt-2">
                    <h3 className="text-[11px] font-semibold uppercase tracking-wide">{title}</h3>
                    <dl className="columns-2 gap-6 text-[11px]">
                      {rows.map(({ name, how }) => (
                        <div key={name} className="break-inside-avoid py-0.5">
                          <dt className="text-[#5d5a50]">{name}</dt>
                          <dd className="measure">{measures(how)}</dd>
                        </div>
                      ))}
                    </dl>
                  </div>
                ),
            )}
          </section>
        )}
        {scaled.factor > 1 && (
          <section className="mt-4 break-inside-avoid">
            <h2 className="font-semibold">Scaled set-up, 1 : {scaled.factor}</h2>
            <p className="text-[12px]">
              On one sheet of the same size: the sheet’s corner{" "}
              {measures(
                sentence`${mm(scaled.sheet.x)} from the left and ${mm(scaled.sheet.y)} from the top, ${sizeInMm(scaled.sheet.width, scaled.sheet.height)}`,
              )}
              .
            </p>
            <ul className="text-[12px]">
              {scaled.named.map(({ name, x, y }) => (
                <li key={name}>
                  {name}:{" "}
                  <span className="measure">{measures(sentence`${mm(x)} from the left, ${mm(y)} from the top`)}</span>
                </li>
              ))}
            </ul>
          </section>
        )}
        <p className="mt-4 text-[10px] text-[#5d5a50]">{CAUTIONS}</p>
      </main>
    </div>
  );
}
