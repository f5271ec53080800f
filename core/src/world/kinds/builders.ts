import type { Element } from ".";
import { archesBuilder } from "./arches/builder";
import { basinBuilder } from "./basin/builder";
import { blockBuilder } from "./block/builder";
import { boatBuilder } from "./boat/builder";
import { bridgeBuilder } from "./bridge/builder";
import type { ElementBuilder } from "./builder";
import { buildingBuilder } from "./building/builder";
import { canalBuilder } from "./canal/builder";
import { columnsBuilder } from "./columns/builder";
import { crateBuilder } from "./crate/builder";
import { crowdBuilder } from "./crowd/builder";
import { fixtureBuilder } from "./fixture/builder";
import { furnitureBuilder } from "./furniture/builder";
import { groundBuilder } from "./ground/builder";
import { personBuilder } from "./person/builder";
import { plantBuilder } from "./plant/builder";
import { platformBuilder } from "./platform/builder";
import { railsBuilder } from "./rails/builder";
import { signBuilder } from "./sign/builder";
import { skyBuilder } from "./sky/builder";
import { skylineBuilder } from "./skyline/builder";
import { squareBuilder } from "./square/builder";
import { stepsBuilder } from "./steps/builder";
import { streetBuilder } from "./street/builder";
import { streetFurnitureBuilder } from "./street-furniture/builder";
import { turnedBuilder } from "./turned/builder";
import { vehicleBuilder } from "./vehicle/builder";
import { wallBuilder } from "./wall/builder";

type Builders = { readonly [K in Element["kind"]]: ElementBuilder<Extract<Element, { kind: K }>> };

/** What every kind of element is built to. */
const BUILDERS: Builders = {
  block: blockBuilder,
  building: buildingBuilder,
  turned: turnedBuilder,
  columns: columnsBuilder,
  arches: archesBuilder,
  crate: crateBuilder,
  crowd: crowdBuilder,
  fixture: fixtureBuilder,
  furniture: furnitureBuilder,
  person: personBuilder,
  plant: plantBuilder,
  "street-furniture": streetFurnitureBuilder,
  sign: signBuilder,
  street: streetBuilder,
  steps: stepsBuilder,
  canal: canalBuilder,
  basin: basinBuilder,
  bridge: bridgeBuilder,
  square: squareBuilder,
  rails: railsBuilder,
  platform: platformBuilder,
  vehicle: vehicleBuilder,
  boat: boatBuilder,
  sky: skyBuilder,
  wall: wallBuilder,
  ground: groundBuilder,
  skyline: skylineBuilder,
};

const byName: ReadonlyMap<string, ElementBuilder<Element>> = new Map(Object.entries(BUILDERS));

/** What an element's kind is built to. */
export const builderOf = (element: Element): ElementBuilder<Element> => byName.get(element.kind)!;
