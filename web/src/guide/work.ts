/** A page of the guide in words alone. */
export interface WordsPage {
  readonly id: string;
  readonly title: string;
  readonly text: readonly string[];
  /** Terms and what they mean. */
  readonly terms?: readonly (readonly [term: string, meaning: string])[];
}

/** How one works with the application, stage by stage, and what its words mean. */
export const WORK: readonly WordsPage[] = [
  {
    id: "first-steps",
    title: "First steps",
    text: [
      "Start a new scene on the shelf, or drop a photo there. The stages down the left side are the order of work: " +
        "sheet, eye level, points, grid, draw, masses, fittings, hand-over. Go through them from the top, or enter " +
        "any of them at any time.",
      "A new scene opens with small pictures of situations: press one to begin with it, or a template that you have " +
        "kept: any desk is kept as one by the last button of Sheet.",
      "Choose the paper and lay the panel on it. Drag the horizon by one of its ends: high, and we look " +
        "down on things. " +
        "Drag the points, also off the sheet: press D to see the whole desk, S to see the sheet again.",
      "In Masses press on the ground and draw a corner up, then out to the left and out to the right; or type each " +
        "measure as you go. Everything is saved by itself, and Ctrl+Z takes back every step, also after a reload.",
      "Before a real street, open From life in Points: note how the edges tilt and how the parts compare, by turning " +
        "the hands and moving the marks that lie on the sheet.",
      "Everything can be done without a mouse: with the desk, the plan or a photo in focus, arrow keys move a cursor " +
        "and Enter presses there.",
      "At last, open the set-up sheet: it tells every measure that you need to lay the same view out on paper.",
    ],
  },
  {
    id: "references",
    title: "References",
    text: [
      "A photo that you import is searched for its edges at once. The grid of its view lies over it, and " +
        "one sentence " +
        "says what it is: the lens, how far it looks up or down, and whether it fits. Press Draw in this " +
        "view, and a shot is made " +
        "that looks as the camera did, with the photo under it.",
      "Such a shot is held to its photo: its points and its lens do not move. Release it in Points, " +
        "References or Eye " +
        "level; one press there returns to the photo’s view.",
      "Where the view does not fit, “Something is off?” opens. It names what would help: a photo that was " +
        "cropped, a lens " +
        "or a horizon that is another than was said, or a set that runs another way. You can also leave " +
        "single edges out, or " +
        "trace them yourself: choose a set, press on one end of an edge and draw to the other.",
      "Bounds hold in at least 95 cases of a hundred. Those of a point are in millimetres of your sheet.",
      "One known height gives all other heights and that of the eye. Walls are measured, and shown flat. A " +
        "scan of your own " +
        "drawing is checked: lines settle on the middle of a stroke, and what leans or misses its point is named.",
    ],
  },
  {
    id: "plan",
    title: "Plan",
    text: [
      "The plan shows the world from above, north up. Choose a tool and draw: buildings by their outline, " +
        "streets, canals " +
        "and skylines bend by bend, rows of houses along a street’s side, lots around their rim. Press the " +
        "last place again, " +
        "or Enter, to end a line.",
      "Streets that meet or cross are joined by themselves: draw the end of one near another, and their kerbs turn " +
        "around a radius. Crossings, stop lines and how an end is closed stand under Junctions and ends. A street or " +
        "a canal bends around a radius, or runs smoothly through all its points.",
      "Places catch on what is near: corners, streets, sides, or round measures, and a tag says on what. Alt catches " +
        "nothing; Shift stays on the line that was caught. A tool stays in the hand until Esc puts it down. The tape " +
        "measures from one place to another.",
      "What is drawn is chosen, and its measures can be typed beside the plan. Shift chooses several: they are lined " +
        "up, spread, repeated, grouped, copied and carried to other scenes, and those of one kind share what is typed.",
      "Eyes are dragged as well: the cone shows what each shot sees, and the picture beside the plan follows.",
    ],
  },
  {
    id: "kits",
    title: "Kits",
    text: [
      "A kit is what you would draw again: a building with its signs, a front, a shelter. Choose things on the plan " +
        "or on the board, open Kit, give it a name and press Keep as a kit. A front is kept from its wall, in " +
        "Fittings.",
      "Kits stand on a shelf of their own, beside that of scenes. There they are opened, renamed, duplicated, saved " +
        "as files, deleted and put back; a file of a kit is brought in like that of a scene.",
      "In Fittings, a kit is put where you press in the picture, its front towards you, square to the streets. On " +
        "the plan it is pressed down, or drawn along its front from one end, and stands away from the street.",
      "What was put down is an instance of its kit. Change one and press “Change the kit everywhere”: all instances " +
        "here follow, where they stand, and other scenes are offered it. Or change one alone from then on.",
      "A row rolls houses and fronts from the kits that you tick there.",
    ],
  },
  {
    id: "hand-over",
    title: "Hand-over",
    text: [
      "A drawing is exported as SVG, PDF or DXF in true millimetres, as PNG with as many dots to the inch as you " +
        "say, with paper or " +
        "without, the whole sheet or the panel alone. Leave out whatever layers you like; the choice is remembered.",
      "OpenRaster and a PNG for each layer fall apart into layers to paint on. Pens are chosen by kind of line.",
      "The set-up sheet lists pins, measures and steps, with numbered ticks for the margins: a ruler on " +
        "equal numbers aims at a " +
        "point that lies off the paper. It can be printed, copied as text, or laid over the paper at true " +
        "size in tiles; tiles that you do not need are left out by a press. Where a page has several panels, one " +
        "set-up sheet holds them all, and the corners of buildings are among its steps.",
      "“Save as a file” keeps a scene with its photos, to be opened on another machine.",
    ],
  },
  {
    id: "findings",
    title: "Findings",
    text: [
      "Findings are what a second pair of eyes would point out: points that stand too close together, " +
        "corners that are " +
        "drawn out, an eye inside a wall, doors that are too low, edges that run into one another. Each " +
        "tells where it is: hover " +
        "over it, and its place is marked in the picture.",
      "Two exclamation marks are an error, one is a warning, a dot is a note. Press a finding to read all " +
        "of it; where something " +
        "can be done about it, a button does it, and Ctrl+Z takes it back. All of them may be meant: nothing " +
        "is changed for you.",
    ],
  },
  {
    id: "glossary",
    title: "Glossary",
    text: ["The words of this guide, and what they are called elsewhere."],
    terms: [
      ["Horizon, eye level", "where all level directions end; as high on the sheet as the eye is over the ground"],
      ["Vanishing point, pin", "where lines of one direction meet; a pin is one that you can drag"],
      ["Set", "all lines of one direction"],
      ["Centre of vision", "where you look straight at; also principal point"],
      [
        "Picture distance",
        "how far the eye is from the paper, in millimetres; short is a wide lens, long a narrow one",
      ],
      ["Grid", "the lines of a set as they are drawn on the sheet, as far apart as you say"],
      ["Pitch, roll", "how far the camera looks up or down, and how far it leans to a side"],
      ["35 mm equivalent", "the focal length that sees as much on a full frame of 36 × 24 mm"],
      ["Gradient", "how steep a slope is; its lines have points above and below the horizon"],
      ["Measuring point", "carries true lengths from the edge of the sheet onto a receding line"],
      ["Distance point", "the vanishing point of lines at 45° to the picture; it gives true squares"],
      ["Cone of vision", "what is less than so many degrees off the gaze; beyond 60° across, shapes are stretched"],
      ["Fisheye, disc", "a curved picture of five or six points, round: straight lines are arcs"],
      ["Panorama", "a curved picture of four points: uprights stay straight, and one looks all around"],
      ["Measured squares", "a grid in true metres on the ground, a wall or any level"],
      ["Mass", "a building, or any solid thing, as it stands before it is given its detail"],
      ["Slip, set-up sheet", "the numbers and steps by which a view is laid out by hand"],
    ],
  },
];
