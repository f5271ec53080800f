import { splitPanel, type Scene } from "@zanvo/core/scene";
import { byHabit, withCovered, withFieldOfView } from "@zanvo/core/shot";
import { shiftHorizon } from "@zanvo/core/vanishing";

import { LOFT, MAIN, PEOPLE, STAIRS_PICTURE, block, disc, fronted, picture, sparse } from "./pictures";

/** One page of the pocket guide: a few sentences, and a picture that is worked out afresh as its slider moves. */
export interface GuidePage {
  readonly id: string;
  readonly title: string;
  readonly text: readonly string[];
  readonly slider: {
    readonly label: string;
    readonly unit: string;
    readonly min: number;
    readonly max: number;
    readonly step: number;
    readonly start: number;
  };
  /** The scene of the picture, for a value of the slider. */
  readonly scene: (value: number) => Scene;
  /** Shows the desk to both sides of the sheet, where the points are. */
  readonly wide?: boolean;
}

export const PAGES: readonly GuidePage[] = [
  {
    id: "eye-level",
    title: "Eye level",
    text: [
      "The horizon is the height of your eye, everywhere in the picture. Whatever is as high as your eye " +
        "touches it, near or far.",
      "High over the street you look down on roofs; near the ground even a shed towers. Before you draw on, " +
        "check that the horizon is level: measure down from the top edge at both sides.",
    ],
    slider: { label: "Eye height", unit: "m", min: 0.3, max: 14, step: 0.1, start: 1.6 },
    scene: (z) =>
      picture((shot) => ({ ...shot, eye: { ...shot.eye, z }, lens: { ...shot.lens, centre: { x: 195, y: 120 } } })),
  },
  {
    id: "one-point",
    title: "One point",
    text: [
      "You face a wall: everything that runs away from you goes to one point, the centre of vision, straight " +
        "before your eye. Fronts stay level and upright.",
      "Distance points lie on the horizon, as far to both sides of the centre as your eye is from the picture. " +
        "Diagonals of true squares run to them: draw one, and it cuts the depths of all squares.",
    ],
    slider: { label: "Picture distance", unit: "mm", min: 130, max: 700, step: 5, start: 300 },
    scene: (distance) =>
      picture(
        (shot) => ({
          ...shot,
          gaze: { heading: 0, pitch: 0, roll: 0 },
          lens: { ...shot.lens, distance },
          show: { live: 0, frame: 1, horizon: 1, bundles: 1, buildings: 1, hidden: 0, measuring: 1 },
          measured: [{ plane: "level", at: 0, every: 2, heavy: 5, strength: 0.8 }],
          bundles: [
            { pin: "main-left", spacing: 26, strength: 0.5 },
            { pin: "main-right", spacing: 10, strength: 0 },
            { pin: "upright", spacing: 10, strength: 0 },
          ],
        }),
        {
          orientations: [{ ...MAIN, heading: 0 }],
          elements: [block("left", -11, 14, 12, 6, 5, 0), block("right", 4.5, 13, 9, 6, 5.5, 0)],
        },
      ),
  },
  {
    id: "two-points",
    title: "Two points",
    text: [
      "A corner faces you: one street runs to the left point, the other to the right one, both on the horizon. " +
        "Turn, and both wander; the nearer one side faces you, the farther its other point runs off.",
      "Both points belong together: with the centre of vision between them, the square of the picture distance " +
        "is the one gap times the other.",
    ],
    slider: { label: "Turned by", unit: "°", min: 12, max: 78, step: 1, start: 35 },
    scene: (turn) => picture((shot) => ({ ...shot, gaze: { heading: MAIN.heading - turn, pitch: 0, roll: 0 } })),
    wide: true,
  },
  {
    id: "three-points",
    title: "Three points",
    text: [
      "Look up or down and uprights run together too, to a third point above or below. The three points make a " +
        "triangle; the centre of vision is where its altitudes meet.",
      "The triangle must be acute, or no eye sees three right angles there. Near the horizon the third point " +
        "lies far away and uprights are all but parallel.",
    ],
    slider: { label: "Pitch (look up)", unit: "°", min: -45, max: 45, step: 1, start: -28 },
    scene: (pitch) =>
      picture((shot) => ({
        ...shot,
        eye: { ...shot.eye, z: pitch < 0 ? 10 : 1.6 },
        gaze: { heading: 0, pitch, roll: 0 },
        lens: { ...shot.lens, distance: 260, centre: { x: 195, y: 120 } },
      })),
  },
  {
    id: "shifted",
    title: "Uprights kept parallel",
    text: [
      "A panel may look high or low while uprights stay upright: the view is level, and only the panel is cut " +
        "from another part of the picture. The centre of vision then lies off the middle, or off the panel.",
      "It reads as calm and built. Where the horizon leaves the panel altogether, eyes begin to miss the third " +
        "point, and a finding says so.",
    ],
    slider: { label: "Horizon from the top", unit: "mm", min: -60, max: 300, step: 2, start: 200 },
    scene: (y) => picture((shot) => shiftHorizon(shot, y - shot.lens.centre.y)),
  },
  {
    id: "off-the-page",
    title: "Points off the page",
    text: [
      "Points close together tear corners apart; calm ones stand far outside the paper. You do not need a " +
        "longer table: number ticks on both edges of the sheet so that a ruler on equal numbers aims at the point.",
      "Or tape paper on for the pin, set a square by the tilt table, set a centrolinead, draw the whole at a " +
        "smaller scale, or print the desk at true size in tiles.",
    ],
    slider: { label: "Between the points", unit: "panel widths", min: 1, max: 4, step: 0.1, start: 1.4 },
    scene: (wide) => picture((shot) => byHabit(shot, MAIN, { left: 0.5 - wide * 0.45, right: 0.5 + wide * 0.55 })),
    wide: true,
  },
  {
    id: "slopes",
    title: "Roofs, ramps and stairs",
    text: [
      "A line that rises along a street goes to a point straight above that street’s own point; one that falls " +
        "as steeply, to a point as far below.",
      "So a gable needs two more points on one upright, and a second flight of stairs turned the other way " +
        "shares them. Add slopes under Directions, and drag their pins up and down; a street that climbs raised " +
        "ground has its own for a press, under Gradients.",
    ],
    slider: { label: "Gradient", unit: "°", min: 5, max: 55, step: 1, start: 30 },
    scene: (rise) =>
      picture(
        (shot) => ({
          ...shot,
          bundles: [
            { pin: "main-left", spacing: 22, strength: 0.3 },
            { pin: "main-right", spacing: 22, strength: 0.2 },
            { pin: "upright", spacing: 30, strength: 0 },
            { pin: "roof-up", spacing: 18, strength: 0.9 },
            { pin: "roof-down", spacing: 18, strength: 0.9 },
          ],
        }),
        { orientations: [{ ...MAIN, slopes: [{ id: "roof", name: "Roofs", axis: "across", rise }] }] },
      ),
  },
  {
    id: "squares",
    title: "Measured squares",
    text: [
      "A loose bundle is a feel for direction; squares are a measure. They lie on the ground, on any level, and " +
        "on walls, every so many metres, with a heavier line now and then.",
      "Where lines would clot they are thinned by halves, so that what is left is still a whole number of " +
        "squares. Numbers count metres; fading keeps the distance quiet.",
    ],
    slider: { label: "A line every", unit: "m", min: 0.5, max: 4, step: 0.5, start: 1 },
    scene: (every) =>
      picture((shot) => ({
        ...shot,
        eye: { ...shot.eye, z: 3 },
        bundles: ["main-left", "main-right", "upright"].map((pin) => ({ pin, spacing: 10, strength: 0 })),
        measured: [{ plane: "level", at: 0, every, heavy: 5, strength: 0.9, numbered: true, fade: 60 }],
      })),
  },
  {
    id: "drawing",
    title: "Lines of your own",
    text: [
      "Rule a line and it finds the set that it nearly aims at, wherever its point lies. A line stays on the sheet, " +
        "or belongs to a plane of the world: then every shot shows it, as far as nothing stands before it.",
      "Equal steps into the depth are not equal on paper: near the point they crowd. Half way in the world is " +
        "2ab ÷ (a + b) from the point, a and b being the distances of the ends.",
    ],
    slider: { label: "Steps", unit: "", min: 2, max: 16, step: 1, start: 6 },
    scene: (steps) =>
      picture((shot) => shot, {
        elements: [],
        lines: [
          {
            id: "steps",
            kind: "spacing",
            weight: "medium",
            plane: { name: "Ground", origin: { x: -3, y: 7, z: 0 }, heading: 35, tilt: 0 },
            from: [0, 0],
            to: [24, 0],
            parts: String(steps),
            reach: 2,
          },
        ],
      }),
  },
  {
    id: "masses",
    title: "Raising a corner",
    text: [
      "Begin with the near corner: an upright. From its top and foot, lines to the left and right points; cut " +
        "both sides off with uprights; from the cuts, lines to the opposite points close the top where it lies " +
        "below eye level.",
      "The near corner is the biggest. If a side looks too deep for its thing, it is: measure it with squares.",
    ],
    slider: { label: "Height", unit: "m", min: 1, max: 12, step: 0.25, start: 6.5 },
    scene: (height) =>
      picture((shot) => ({ ...shot, eye: { ...shot.eye, z: 5 } }), { elements: [{ ...LOFT[0], height }] }),
  },
  {
    id: "fittings",
    title: "Doors and windows",
    text: [
      "Lines of a front go to its own wall's point; what goes back into the wall, the jambs, the sill and the " +
        "soffit, goes to the opposite one. Only the far jamb shows: the near one hides behind the wall's edge.",
      "Seen from below, a head shows its soffit and no sill; from above, its sill. The panes lie as deep as the " +
        "reveal: a strip of them hides behind the near edge. Two leaves meet in the true middle, nearer to the far " +
        "side than to the near one on paper.",
    ],
    slider: { label: "Reveal", unit: "m", min: 0, max: 0.6, step: 0.02, start: 0.24 },
    scene: (reveal) => picture((shot) => shot, { elements: [fronted(reveal)] }),
  },
  {
    id: "people",
    title: "People and heads",
    text: [
      "On level ground the horizon cuts all who are as tall at one part of their height, however far away: at eye " +
        "height it runs through every head, and only the feet move up and down.",
      "Taller people cut it, children stay below it. From higher up all heads sink under it together: the part of a " +
        "figure under the horizon is the eye height to its height.",
    ],
    slider: { label: "Eye height", unit: "m", min: 0.6, max: 6, step: 0.05, start: 1.6 },
    scene: (z) => picture((shot) => ({ ...shot, eye: { ...shot.eye, z } }), { elements: [...PEOPLE] }),
  },
  {
    id: "light",
    title: "Light and shadow",
    text: [
      "The foot of the sun stands straight under it on the horizon. Rays from the sun through the top of a thing, and " +
        "lines from its foot through the thing’s foot, meet where the shadow ends.",
      "A sun behind you has its point below the horizon, its foot straight above on it; shadows then run away from " +
        "you. Of a lamp the foot lies on the ground under it, and its rays spread.",
    ],
    slider: { label: "Sun over the horizon", unit: "°", min: 8, max: 70, step: 1, start: 35 },
    scene: (height) => picture((shot) => shot, { lights: [{ id: "sun", kind: "sun", heading: 215, height }] }),
  },
  {
    id: "stairs",
    title: "Stairs",
    text: [
      "A flight fits a wedge: equal risers on the near upright, equal treads on the ground, both aimed at the points of " +
        "the house. A tread shows only below your eye level; above it you see risers alone.",
      "Two risers and a tread make a stride, 0.60 to 0.65 m. The second flight takes its heights from the first, " +
        "whichever way it turns: carry them across the landing.",
    ],
    slider: { label: "Eye height", unit: "m", min: 0.4, max: 4, step: 0.1, start: 1.6 },
    scene: (z) => picture((shot) => ({ ...shot, eye: { ...shot.eye, z } }), { elements: [STAIRS_PICTURE] }),
  },
  {
    id: "cone",
    title: "Cone of vision",
    text: [
      "Things near the middle of the picture look as they are. Away from it they are drawn longer: at 30 " +
        "degrees off the gaze by a sixth, at 45 by nearly half, and balls turn into eggs.",
      "Inside 60 degrees across all is calm; 90 is the most one does without meaning it. Nothing is forbidden: " +
        "strong corners are a choice, and the finding tells how strong.",
    ],
    slider: { label: "Across the panel", unit: "°", min: 25, max: 120, step: 1, start: 60 },
    scene: (angle) =>
      picture((shot) =>
        withFieldOfView(
          { ...shot, show: { live: 0, frame: 1, horizon: 1, bundles: 0.6, buildings: 1, hidden: 0, cone: 1 } },
          angle,
        ),
      ),
  },
  {
    id: "sweeps",
    title: "Four points: a panorama",
    text: [
      "Unroll a drum around your eye and the whole street comes onto one strip: four points on the horizon, one " +
        "for each way the streets run. Uprights stay upright; level lines sway, and only the horizon is straight.",
      "Laid on its side, the drum sweeps from the street up over your head and down behind you: ahead, " +
        "overhead, behind and below stand one over the other. Lines along the drum’s axis stay straight.",
    ],
    slider: { label: "Around", unit: "°", min: 90, max: 340, step: 5, start: 200 },
    scene: (angle) =>
      picture((shot) =>
        withCovered(
          {
            ...shot,
            eye: { ...shot.eye, z: 5 },
            lens: { law: "cylindrical", distance: 100, centre: { x: 195, y: 130 } },
            bundles: sparse(16),
          },
          angle,
        ),
      ),
  },
  {
    id: "five-points",
    title: "Five points: a disc",
    text: [
      "Half the world on a disc: four points on the rim, the fifth in the middle. Look ahead and the street " +
        "runs into the middle; look straight down and all walls run to the point below you; look up between " +
        "towers and they meet overhead.",
      "The stereographic disc keeps small shapes as they look and draws every straight line as an arc of a " +
        "circle. The equal-area disc keeps how large things look and presses them flat at the rim; on a ball " +
        "the middle is strong and the rim narrow.",
    ],
    slider: { label: "Pitch (look up)", unit: "°", min: -90, max: 90, step: 2, start: -34 },
    scene: (pitch) =>
      picture((shot) =>
        disc({ ...shot, eye: { ...shot.eye, z: pitch < 0 ? 9 : 1.6 }, gaze: { heading: 0, pitch, roll: 0 } }, 180),
      ),
  },
  {
    id: "six-points",
    title: "Six points: the whole world",
    text: [
      "Turn the gaze off every street and upright, and three points lie within the rim; the three opposite ones " +
        "lie on a second disc, back to back with the first, or outside on one larger disc, or all six on a " +
        "sheet twice as wide as high.",
      "Three gestures set it up: put the first point anywhere on the disc, slide the second along the first " +
        "one’s horizon, and the third follows. Then say which is up, north or east: one set-up gives many pictures.",
    ],
    slider: { label: "Roll", unit: "°", min: -180, max: 180, step: 3, start: 14 },
    scene: (roll) =>
      picture((shot) => disc({ ...shot, eye: { ...shot.eye, z: 9 }, gaze: { heading: -8, pitch: -34, roll } }, 220)),
  },
  {
    id: "schools",
    title: "Exact curves, or the compass",
    text: [
      "One school spaces angles evenly from the middle: equal turns of the head are equal steps on the paper. " +
        "Its curves are no circles, but within the rim they come close, and a compass through three points " +
        "draws them. Zanvo says by how many millimetres the arc is off.",
      "The other school wants circles that are right: on the stereographic disc every arc is exact, and each " +
        "has its foot, opening and line of feet on the set-up sheet. Vermilion lines are the compass’s, ticks " +
        "lead from the arc to the exact curve.",
    ],
    slider: { label: "Pitch (look up)", unit: "°", min: -60, max: 60, step: 2, start: -36 },
    scene: (pitch) =>
      picture((shot) => ({
        ...disc(
          { ...shot, eye: { ...shot.eye, z: pitch < 0 ? 9 : 1.6 }, gaze: { heading: 0, pitch, roll: 0 } },
          180,
          "equidistant",
        ),
        show: { live: 0, frame: 1, horizon: 1, bundles: 0.6, buildings: 0.4, hidden: 0, compass: 1 },
      })),
  },
  {
    id: "tilted",
    title: "Tilted camera",
    text: [
      "Roll the view and the horizon leans; all level points still lie on it. A small roll looks like a slip, a " +
        "large one like a fall: mean it.",
    ],
    slider: { label: "Roll", unit: "°", min: -35, max: 35, step: 1, start: 12 },
    scene: (roll) => picture((shot) => ({ ...shot, gaze: { heading: -3, pitch: 6, roll } })),
  },
  {
    id: "panels",
    title: "Panels and paper",
    text: [
      "A page is one sheet with several panels, each a view of the same place: split a panel, then choose where " +
        "each one looks from. Buildings are raised once and stand in all of them.",
      "Parallel uprights in one panel and converging ones in the next are one switch apart; the near corner " +
        "stays where it is.",
    ],
    slider: { label: "Second panel looks up", unit: "°", min: -40, max: 0, step: 1, start: -24 },
    scene: (pitch) => {
      const base = picture((shot) => ({
        ...shot,
        bundles: shot.bundles?.map((bundle) => ({ ...bundle, strength: 0.3 })),
      }));
      const [first, second] = splitPanel(base.shots[0], "beside", 8, {
        id: "s2",
        name: "From the crane",
        page: "page",
      });
      return {
        ...base,
        shots: [
          first,
          {
            ...second,
            eye: { ...second.eye, z: 9 },
            gaze: { ...second.gaze, pitch },
            lens: { ...second.lens, centre: { x: second.lens.centre.x, y: 120 } },
          },
        ],
      };
    },
  },
];
