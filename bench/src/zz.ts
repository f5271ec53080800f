import { curves } from "./curves";
curves();
