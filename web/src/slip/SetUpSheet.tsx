import type { Scene, Shot } from "@zanvo/core/scene";
import { CAUTIONS, pageSetUpOf, setUpOf, slipOf, tickNotes, type SetUp } from "@zanvo/core/slip";
import { mm, sentence, sizeInMm } from "@zanvo/core/units";
import { DeskDrawing } from "./DeskDrawing";
import { TickTable } from "./TickTable";
import { useStores } from "../stores";

/** All measures of the slip, group by group. */
function Measures({ scene, shot }: { readonly scene: Scene; readonly shot: Shot }) {
  const { useMeasures } = useStores();
  const measures = useMeasures();
  return slipOf(scene, shot).map(({ title, rows }) => (
    <section key={title} className="mb-2 break-inside-avoid">
      <h2 className="text-[11px] font-semibold uppercase tracking-wide">{title}</h2>
      <dl>
        {rows.map(({ id, label, value }) => (
          <div key={id} className="border-t border-[#cbc6b6] py-0.5">
            <dt className="text-[11px] text-[#5d5a50]">{label}</dt>
            <dd className="measure text-[12px]">{measures(value)}</dd>
          </div>
        ))}
      </dl>
    </section>
  ));
}

/** Ticks for points off the sheet, and how they are used. */
function EdgeTicks({ aids }: { readonly aids: SetUp["aids"] }) {
  const { useMeasures, useUnits } = useStores();
  const measures = useMeasures();
  const system = useUnits((units) => units.system);
  return aids.map(({ pin, aids: one }) => (
    <section key={pin.id} aria-label={`Edge ticks for ${pin.name}`}>
      <h2 className="font-semibold">Edge ticks for {pin.name}</h2>
      <TickTable aids={one} />
      {tickNotes(one, system).map((note, i) => (
        <p key={i} className="mt-1 text-[12px]">
          {measures(note)}
        </p>
      ))}
    </section>
  ));
}

/** What a curved view is drawn with by compass. */
function CompassSheet({ compass }: { readonly compass: NonNullable<SetUp["compass"]> }) {
  const { useMeasures } = useStores();
  const measures = useMeasures();
  const tables = [
    ["Horizons", compass.horizons],
    ["Lines you picked", compass.picked],
    ["Where feet lie", compass.feet],
    ["Lines to each point, by their turn about it", compass.lines],
  ] as const;
  return (
    <section aria-label="Compass sheet" className="mt-4">
      <h2 className="font-semibold">Compass sheet</h2>
      {tables
        .filter(([, rows]) => rows.length > 0)
        .map(([title, rows]) => (
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
        ))}
    </section>
  );
}

/** The set-up on one sheet of the same size, where pins lie too far off for the desk. */
function ScaledSetUp({ scaled: { factor, sheet, named } }: { readonly scaled: SetUp["scaled"] }) {
  const { useMeasures } = useStores();
  const measures = useMeasures();
  const corner = sentence`${mm(sheet.x)} from the left and ${mm(sheet.y)} from the top,
    ${sizeInMm(sheet.width, sheet.height)}`;
  return (
    <section className="mt-4 break-inside-avoid">
      <h2 className="font-semibold">Scaled set-up, 1 : {factor}</h2>
      <p className="text-[12px]">On one sheet of the same size: the sheet’s corner {measures(corner)}.</p>
      <ul className="text-[12px]">
        {named.map(({ name, x, y }) => (
          <li key={name}>
            {name}: <span className="measure">{measures(sentence`${mm(x)} from the left, ${mm(y)} from the top`)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Steps in their order. */
function Steps({ steps }: Pick<SetUp, "steps">) {
  const { useMeasures } = useStores();
  const measures = useMeasures();
  return (
    <ol className="mt-3 list-decimal space-y-1 pl-5">
      {steps.map((step, i) => (
        <li key={i}>{measures(step)}</li>
      ))}
    </ol>
  );
}

/** What one's own tools mean for it. */
function WithTools({ tools }: Pick<SetUp, "tools">) {
  const { useMeasures } = useStores();
  const measures = useMeasures();
  return (
    <section aria-label="With your tools" className="mt-3">
      <h3 className="font-semibold">With your tools</h3>
      {tools.map((note, i) => (
        <p key={i}>{measures(note)}</p>
      ))}
    </section>
  );
}

/** One panel: the desk in small, the steps, all measures, ticks. */
function PanelSetUp({ scene, shot, setUp }: { readonly scene: Scene; readonly shot: Shot; readonly setUp: SetUp }) {
  const { steps, aids, scaled, compass, tools } = setUp;
  return (
    <>
      <div className="mt-3 grid grid-cols-[1fr_1fr] gap-6">
        <div>
          <DeskDrawing scene={scene} shots={[shot]} />
          <Steps steps={steps} />
          {tools.length > 0 && <WithTools tools={tools} />}
        </div>
        <div>
          <Measures scene={scene} shot={shot} />
        </div>
      </div>
      <div className="mt-4 grid grid-cols-2 gap-6">
        <EdgeTicks aids={aids} />
      </div>
      {compass && <CompassSheet compass={compass} />}
      {scaled.factor > 1 && <ScaledSetUp scaled={scaled} />}
    </>
  );
}

/** A page: its sheet with all panels, then panel by panel, each beginning on paper of its own. */
function PageSetUp({ scene, shot, spacing }: SetUpSheetProps) {
  const { steps, panels } = pageSetUpOf(scene, shot, spacing);
  return (
    <>
      <div className="mt-3 grid grid-cols-[1fr_1fr] gap-6">
        <DeskDrawing scene={scene} shots={panels.map((panel) => panel.shot)} />
        <Steps steps={steps} />
      </div>
      {panels.map(({ shot: panel, setUp }) => (
        <section key={panel.id} aria-label={panel.name} className="mt-8 break-before-page">
          <h2 className="text-base font-semibold">{panel.name}</h2>
          <PanelSetUp scene={scene} shot={panel} setUp={setUp} />
        </section>
      ))}
    </>
  );
}

interface SetUpSheetProps {
  readonly scene: Scene;
  readonly shot: Shot;
  /** Mm between edge ticks. */
  readonly spacing: number;
}

/** Everything that is needed to set a shot up by hand, or all panels of its page. */
export function SetUpSheet({ scene, shot, spacing, page }: SetUpSheetProps & { readonly page: boolean }) {
  return (
    <>
      <p className="text-lg font-semibold">
        {scene.title}: {page ? "the whole page" : shot.name}
      </p>
      {scene.place && <p>{scene.place}</p>}
      {page ? (
        <PageSetUp scene={scene} shot={shot} spacing={spacing} />
      ) : (
        <PanelSetUp scene={scene} shot={shot} setUp={setUpOf(scene, shot, spacing)} />
      )}
      <p className="mt-4 text-[10px] text-[#5d5a50]">{CAUTIONS}</p>
    </>
  );
}
