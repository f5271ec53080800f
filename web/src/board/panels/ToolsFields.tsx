import type { Tools } from "@zanvo/core/scene";
import { sceneMeasure } from "@zanvo/core/schema";
import { toolNotes, pinsOf } from "@zanvo/core/vanishing";
import { Check, MeasureField } from "../../ui";
import { useStores } from "../../stores";

/** What most people have: a 50 cm ruler, a school compass, set squares and tape. */
const USUAL: Tools = { ruler: 500, compass: 250, setSquares: true, tape: true };

const KINDS = { setSquares: "Set squares", tape: "Tape and paper", lightTable: "Light table" } as const;

/** A compass that opens so far is a beam compass, mm. */
const BEAM = 600;

/** What somebody draws with: the set-up sheet and the constructions ask for nothing else. */
export function ToolsFields() {
  const { useDocument, useShot, edit, useMeasures } = useStores();
  const tools = useDocument((document) => document.scene.tools);
  const orientations = useDocument((document) => document.scene.orientations);
  const shot = useShot();
  const measures = useMeasures();
  const put = (next: Tools | undefined) =>
    edit((scene) => {
      if (next) scene.tools = next;
      else delete scene.tools;
    }, "tools");
  return (
    <>
      <Check
        label="I draw with these alone"
        checked={tools !== undefined}
        onChange={(on) => put(on ? USUAL : undefined)}
      />
      {tools && (
        <>
          <MeasureField
            measure={sceneMeasure("tools/ruler")}
            value={tools.ruler ?? 0}
            onChange={(ruler) => put({ ...tools, ruler })}
          />
          <MeasureField
            measure={sceneMeasure("tools/compass")}
            value={tools.compass ?? 0}
            onChange={(compass) => put({ ...tools, compass })}
          />
          <Check
            label="A beam compass"
            checked={tools.beam !== undefined}
            onChange={(on) => put({ ...tools, beam: on ? BEAM : undefined })}
          />
          {tools.beam !== undefined && (
            <MeasureField
              measure={sceneMeasure("tools/beam")}
              value={tools.beam}
              onChange={(beam) => put({ ...tools, beam })}
            />
          )}
          {(Object.keys(KINDS) as (keyof typeof KINDS)[]).map((kind) => (
            <Check
              key={kind}
              label={KINDS[kind]}
              checked={tools[kind] ?? false}
              onChange={(on) => put({ ...tools, [kind]: on || undefined })}
            />
          ))}
          {toolNotes(shot, tools, pinsOf(orientations, shot)).map((note, i) => (
            <p key={i} className="text-pencil">
              {measures(note)}
            </p>
          ))}
        </>
      )}
    </>
  );
}
