/** Every base there is. A new one is a folder beside these and a line here. */
import type { BaseName } from "../../piece/base-choices";
import type { Base } from "./base";
import { legAndApron } from "./leg-and-apron";
import type { LegRailJoint } from "./leg-and-apron/joints";
import type { LegAndApron } from "./leg-and-apron/place";
import { trestle } from "./trestle";
import type { Trestle } from "./trestle/place";
import { xFrame } from "./x-frame";
import type { XFrame } from "./x-frame/place";
import type { KindOfJoint } from "../../joinery/kinds";

/** A base's own geometry, and its joints. */
export type BaseGeometry = LegAndApron | Trestle | XFrame;
export type BaseJoint = LegRailJoint | KindOfJoint;

const ALL = { "leg-and-apron": legAndApron, trestle, "x-frame": xFrame } as const;

/** The base of a name. Its functions take the geometry and the joints it made itself. */
export const baseOf = (kind: BaseName): Base<BaseGeometry, BaseJoint> => ALL[kind] as Base<BaseGeometry, BaseJoint>;
export const BASE_LIST: readonly Base<BaseGeometry, BaseJoint>[] = Object.values(ALL).map((each) => baseOf(each.kind));
