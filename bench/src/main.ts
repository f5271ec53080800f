import { dragging, firstLoad } from "./browser";
import { projecting, visibility } from "./core";
import { row } from "./timing";

row("what", "measured", "target");
projecting();
visibility();
firstLoad();
await dragging(20);
await dragging(300);
