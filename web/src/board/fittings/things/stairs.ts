import { comfortable, EYE, isSteps, newSteps, STAIRS, type StairPlan, type Steps } from "@zanvo/core/world";
import { isFloor, type PressedPlace, type Thing } from "./thing";

/** Stairs in a house are so wide, and lead up by so many risers, m (common practice). */
const INDOORS = { width: 1, count: 17 } as const;
const RISER = 0.175;

/** In a sample, a few high ones without rails stand for them. */
const SAMPLE = { count: 7, riser: 0.28, tread: 0.36, rails: undefined } as const;

/** What each plan has besides. */
const MORE: Readonly<Record<StairPlan, Partial<Steps>>> = {
  straight: {},
  quarter: { rails: true },
  half: { rails: true },
  spiral: { open: true, rails: true, eye: EYE },
};

const put =
  (plan: StairPlan) =>
  (place: PressedPlace): ReturnType<Thing["put"]> => {
    if (!isFloor(place)) return "Stairs begin on a floor or the ground: press where their foot is.";
    const [x, y, z] = place.at;
    const { riser, tread } = comfortable({ riser: RISER });
    return newSteps({
      foot: { x, y, z },
      // Away from who looks at them.
      heading: (place.heading + 180) % 360,
      riser,
      tread,
      ...INDOORS,
      ...(plan === "straight" ? {} : { plan }),
      ...MORE[plan],
    });
  };

export const stairs: readonly Thing[] = (Object.keys(STAIRS) as StairPlan[]).map((plan) => ({
  id: `stairs-${plan}`,
  label: plan === "straight" ? "Steps" : `${STAIRS[plan]} stairs`,
  put: put(plan),
  plainer: (drawn) => (isSteps(drawn) ? { ...drawn, ...SAMPLE } : drawn),
}));
