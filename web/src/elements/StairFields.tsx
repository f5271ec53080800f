import { EYE, landingAt, requireValid, STAIRS, type StairPlan, type Steps } from "@zanvo/core/world";
import { useSpoken } from "../stores";
import { Check, Select } from "../ui";
import { Measures } from "./Measures";
import type { Change } from "./view";

const PLANS = (Object.keys(STAIRS) as StairPlan[]).map((plan) => [plan, STAIRS[plan]] as const);

interface StairFieldsProps {
  readonly element: Steps;
  readonly change: Change;
}

/** How stairs run on another plan: what does not go with it is left out. */
function onPlan(steps: Steps, plan: StairPlan): Steps {
  const { eye, landing, ramp, cheeks, ...rest } = steps;
  const straight = plan === "straight";
  return {
    ...rest,
    plan: straight ? undefined : plan,
    ...(plan === "spiral" ? { open: true, eye: eye ?? EYE } : { landing, ramp }),
    ...(straight ? { cheeks } : { count: Math.max(2, steps.count) }),
  };
}

/** How stairs run and turn, and what they are made of. */
export function StairFields({ element: steps, change }: StairFieldsProps) {
  const { plan = "straight", ramp, left, open, rails, cheeks, count } = steps;
  const spoken = useSpoken();
  const put = (next: Steps, what: string) => spoken(() => change(requireValid(next), what));
  const turns = plan !== "straight";
  const landing = landingAt(steps);
  const check = (label: string, on: boolean | undefined, key: "left" | "open" | "rails" | "cheeks" | "ramp") => (
    <Check label={label} checked={on ?? false} onChange={(to) => put({ ...steps, [key]: to || undefined }, key)} />
  );
  return (
    <>
      <Select
        labelled
        label="On plan"
        className="min-w-0 grow"
        value={plan}
        options={PLANS}
        onChange={(to) => put(onPlan(steps, to), "plan")}
      />
      {turns && check("They turn to the left", left, "left")}
      {plan === "straight" && count > 1 && (
        <Check
          label="With a landing"
          checked={landing !== null}
          onChange={(on) => put({ ...steps, landing: on ? Math.ceil(count / 2) : undefined }, "landing")}
        />
      )}
      {landing !== null && <Measures element={{ ...steps, landing }} of={["landing"]} change={change} />}
      {plan === "spiral" && <Measures element={{ ...steps, eye: steps.eye ?? EYE }} of={["eye"]} change={change} />}
      {plan !== "spiral" && check("A ramp", ramp, "ramp")}
      {!ramp && check("Treads hang free", open, "open")}
      {plan === "straight" && check("Walls beside them", cheeks, "cheeks")}
      {check("Rails", rails, "rails")}
    </>
  );
}
