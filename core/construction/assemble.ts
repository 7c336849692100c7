import { joined, Meeting } from "../assembly/meeting";
import type { Assembly, AssemblyPart } from "../assembly/part";
import type { KindOfJoint } from "../joinery/kinds";
import type { Breadboards } from "../movement/breadboard";
import type { Stiffeners } from "../movement/flat";
import type { Form } from "../piece/schema";
import type { CurveChoice, EdgeChoice } from "../piece/kinds";
import { BaseGeometry, baseOf } from "./base";
import { curved } from "./curves";
import { edged } from "./edges";
import { seated, shelfParts, shelfPlaces, shelfSlats } from "./fitting/shelf";
import { bevelled } from "./top/bevel";
import { tableTop } from "./top/table-top";

/** What a piece's parts are made from once its joints are sized. */
export interface AssembleFacts {
  form: Form;
  at: BaseGeometry;
  joints: readonly KindOfJoint[];
  meetings: readonly Meeting[];
  breadboards: Breadboards | null;
  stiffeners: Stiffeners | null;
  /** what a maker added */
  own?: readonly AssemblyPart[];
  /** by kind of part; none where all are left square */
  edges?: Readonly<Record<string, EdgeChoice>>;
  /** by kind of part; none where all are straight */
  curves?: Readonly<Record<string, CurveChoice>>;
}

/**
 * Every part of a piece where it stands, with its joints worked: what lies on top, what stands below.
 *
 * @example const { parts } = assemble({ form: piece.form, at: plan.geometry, joints: plan.joints, meetings: plan.meetings, breadboards: plan.breadboards, stiffeners: plan.stiffeners });
 */
export function assemble({ meetings, own = [], edges = {}, curves = {}, ...bare }: AssembleFacts): Assembly {
  const straight = joined([...bareParts(bare), ...own], meetings);
  const parts = Object.keys(curves).length > 0 ? curved(straight, curves) : straight;
  return { parts: Object.keys(edges).length > 0 ? edged(parts, edges) : parts };
}

/** The construction's parts without their joints, as a cut list has them. */
export function bareParts({
  form,
  at,
  joints,
  breadboards,
  stiffeners,
}: Pick<AssembleFacts, "form" | "at" | "joints" | "breadboards" | "stiffeners">): AssemblyPart[] {
  const top = bevelled(tableTop({ form, at, breadboards, stiffeners }), form, at);
  const panel = top.filter((part) => part.role === "panel" || part.role === "slat");
  const ends = top.filter((part) => !panel.includes(part));
  const places = shelfPlaces(form, at.seats);
  const base = seated(baseOf(form.kind).parts({ form, at, joints }), places, form.shelf.gap);
  return [...panel, ...base, ...ends, ...shelfParts(places), ...shelfSlats(form, at.seats)];
}
