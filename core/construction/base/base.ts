/** What every base is: choices in, parts and meetings out. A new base is a folder here and a line in `index.ts`. */
import type { Meeting } from "../../assembly/meeting";
import type { AssemblyPart, Pose } from "../../assembly/part";
import type { SmallPart } from "../../assembly/small";
import type { JointSection } from "../../drawing/joint";
import type { Item } from "../../drawing/scene";
import type { KindOfJoint } from "../../joinery/kinds";
import type { PartMove } from "../../movement/parts";
import type { Stop } from "../../movement/restraint";
import type { BaseName } from "../../piece/base-choices";
import type { Patch } from "../../piece/patch";
import type { AsBuilt, Brief, Form, JointChoices } from "../../piece/schema";
import type { Shop } from "../../piece/shop";
import type { Step } from "../../steps/step";
import type { Verdict } from "../../verdict/verdict";
import type { Species } from "../../wood/species";
import type { PieceGeometry } from "../geometry";

/** What a base's parts are made from. */
export interface BaseFacts<G, J = KindOfJoint> {
  form: Form;
  at: G;
  joints: readonly J[];
}

export interface BaseRuleFacts<G, J = KindOfJoint> extends BaseFacts<G, J> {
  choices: JointChoices;
  brief: Brief;
  shop: Shop;
  species: Species;
  /** the longest board of this wood on the rack, mm; 0 when there is none */
  longest: number;
  /** of the whole piece, kg */
  weight: number;
}

/** What the year does to a base's parts: how each kind changes, and where movement is stopped. */
export interface BaseMoveFacts<G> {
  form: Form;
  at: G;
  moves: readonly PartMove[];
  stopped: readonly Stop[];
}

/** A rule: its verdict, or null when it has nothing to judge. */
export type Rule<F> = (facts: F) => Verdict | null;

/** What a base adds to the order of work. Steps that wait for milled wood name `milled`. */
export interface BaseWork {
  steps: Step[];
  /** what is left until the base stands: feet levelled */
  levelling: Step[];
  /** the steps at which parts are last each by itself, and the one that closes the base round whatever lies inside it */
  apart: string[];
  closing: string;
  /** after these the base can be finished, and after these the top goes on */
  closed: string[];
  standing: string[];
  /** how the top goes on, where it is not fastened but joined or hung */
  attach?: Pick<Step, "title" | "detail" | "check">;
  /** kinds of part that are finished with the top */
  seen: string[];
}

export interface WorkFacts<G> extends BaseFacts<G> {
  choices: JointChoices;
  /** steps after which thick stock, and everything else, is ready to be jointed */
  thick: string[];
  milled: string[];
  /** what is cut in the bearers for the top's fastenings, before they are glued; null where nothing is */
  grooved: Pick<Step, "title" | "detail" | "hours"> | null;
  /** until the adhesive has its full strength, and until its clamps may come off */
  fullHours: number;
  clampHours: number;
  /** legs stay long at the foot until the base stands */
  long: boolean;
}

export interface Base<G extends PieceGeometry> {
  kind: BaseName;
  name: string;
  /** places its parts; sizes may come out at or below 0, which its rules judge */
  place(form: Form, asBuilt: readonly AsBuilt[]): G;
  /** its joints, sized a group at a time */
  joints(at: G, form: Form, choices: JointChoices, shop: Shop): KindOfJoint[];
  /** its parts where they stand, without their joints */
  parts(facts: BaseFacts<G>): AssemblyPart[];
  /** where they meet, and by which joint: all that joints cut, hold and look like follows from these */
  meetings(facts: BaseFacts<G>): Meeting[];
  formRules: readonly Rule<BaseRuleFacts<G>>[];
  jointRules: readonly Rule<BaseRuleFacts<G>>[];
  /** of its own parts through the year, where they run in one another */
  moveRules?: readonly Rule<BaseMoveFacts<G>>[];
  /** what it wants beside what its joints bring, and comes from no board: pins, hinges */
  small?(at: G): SmallPart[];
  /** how else it may stand: opened, drawn out */
  poses?(at: G, parts: readonly AssemblyPart[]): Pose[];
  /** parts that only lie against one another, and are kept there by what holds them elsewhere */
  against?(at: G, form: Form): { a: string; b: string }[];
  /** choices that make a kind of part so much shorter between its shoulders, mm: what saves one that came out too short */
  shorter?(form: Form, kind: string, by: number): Patch[];
  work(facts: WorkFacts<G>): BaseWork;
  /** dimensions a maker may type on each view; what only says a size has no path */
  dimensions(form: Form, at: G): { plan: Item[]; front: Item[]; side: Item[] };
  /** drawings it has beside the sections of its joints: what is set out full size, a joint with what may be typed on it */
  setOuts(facts: BaseFacts<G> & { species: Species }): JointSection[];
  /** one sentence over the drawing */
  describe(form: Form, at: G): string;
  /** its sizes for the sheets: a name and what it measures, mm written as “12 mm” */
  sizes(form: Form, at: G): [string, string][];
}
