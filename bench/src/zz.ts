import { towns } from "./city";
towns();
