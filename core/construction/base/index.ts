/** Every base there is. A new one is a folder beside these and a line here. */
import type { BaseName } from "../../piece/base-choices";
import type { Base } from "./base";
import { legAndApron } from "./leg-and-apron";
import type { LegAndApron } from "./leg-and-apron/place";
import { bent } from "./bent";
import type { Bent } from "./bent/place";
import { bought } from "./bought";
import { box } from "./box";
import type { Box } from "./box/place";
import type { Bought } from "./bought/stand";
import { caseBase } from "./case";
import type { Case } from "./case/case";
import { existing } from "./existing";
import type { Existing } from "./existing/place";
import { plank } from "./plank";
import type { Plank } from "./plank/place";
import { splayed } from "./splayed";
import type { Splayed } from "./splayed/place";
import { splayedFrame } from "./splayed-frame";
import type { SplayedFrame } from "./splayed-frame/place";
import { stakedBase } from "./staked";
import type { StakedLegs } from "./staked/place";
import { trestle } from "./trestle";
import type { Trestle } from "./trestle/place";
import { xFrame } from "./x-frame";
import type { XFrame } from "./x-frame/place";

/** A base's own geometry. */
export type BaseGeometry =
  LegAndApron | Trestle | XFrame | Splayed | SplayedFrame | StakedLegs | Plank | Bent | Bought | Existing | Case | Box;

const ALL = {
  "leg-and-apron": legAndApron,
  trestle,
  "x-frame": xFrame,
  splayed,
  "splayed-frame": splayedFrame,
  staked: stakedBase,
  plank,
  bent,
  bought,
  existing,
  case: caseBase,
  box,
} as const;

/** The base of a name. Its functions take the geometry it made itself. */
export const baseOf = (kind: BaseName): Base<BaseGeometry> => ALL[kind] as Base<BaseGeometry>;
export const BASE_LIST: readonly Base<BaseGeometry>[] = Object.values(ALL).map((each) => baseOf(each.kind));
