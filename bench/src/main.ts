import { dragging, firstLoad, gridded, street } from "./browser";
import { curves, denseDisc } from "./curves";
import { projecting, visibility } from "./core";
import { tiling } from "./paper";
import { detecting, recovering } from "./recover";
import { row } from "./timing";

row("what", "measured", "target");
projecting();
visibility();
curves();
recovering();
await detecting();
await tiling();
await firstLoad();
await dragging("20 buildings", street(20));
await dragging("300 grid lines, four sets, 50 buildings", gridded());
await dragging("300 buildings", street(300));
await dragging("dense tilted disc, 300 buildings", denseDisc(street(300)));
