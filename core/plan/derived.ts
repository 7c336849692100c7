/** What a plan is: everything derived from a piece. */
import type { Assembly } from "../assembly/part";
import type { TableProposal } from "../brief/propose";
import type { MoistureYear } from "../climate/year";
import type { Meeting } from "../assembly/meeting";
import type { SmallPart } from "../assembly/small";
import type { BaseGeometry } from "../construction/base";
import type { Adhesive } from "../glueup/adhesives";
import type { GlueStage } from "../glueup/stages";
import type { SettingCard } from "../joinery/joint";
import type { Pair } from "../construction/own/joins";
import type { KindOfJoint } from "../joinery/kinds";
import type { Part } from "../layout/cut-list";
import type { SheetPlan } from "../layout/sheets";
import type { CuttingStage } from "../layout/stage";
import type { PanelRecord } from "../learning/records";
import type { Learned } from "../learning/offers";
import type { Breadboards } from "../movement/breadboard";
import type { Fastener } from "../movement/buttons";
import type { Course } from "../movement/course";
import type { Stiffeners, FramedTop, Slats } from "../movement/flat";
import type { InsetMovement } from "../movement/insets";
import type { PartMove } from "../movement/parts";
import type { Stop } from "../movement/restraint";
import type { TopMovement } from "../movement/year";
import type { PlannedPanel } from "../panels/planned";
import type { Failure } from "../stages";
import type { DatedStep } from "../steps/step";
import type { LaidStrip } from "../stock/panel-facts";
import type { Verdict } from "../verdict/verdict";
import type { Species } from "../wood/species";
import type { Woods } from "../wood/woods";

/** Everything derived from a piece. Plain data: it can be cloned, compared and written as JSON. */
export interface Plan {
  species: Species;
  /** of kinds of part that are of another wood */
  woods: Woods;
  proposal: TableProposal;
  geometry: BaseGeometry;
  /** its parts where they stand, with their joints worked, and what they weigh together, kg */
  assembly: Assembly;
  /** what a maker's own parts touch, and the kinds of joint that fit there */
  ownPairs: Pair[];
  weight: number;
  year: MoistureYear;
  top: TopMovement;
  /** moisture through the years of the top and of each kind of part, one course for each distinct thickness */
  courses: Record<string, Course>;
  delivered: string;
  fasteners: Fastener[];
  breadboards: Breadboards | null;
  stiffeners: Stiffeners | null;
  slats: Slats | null;
  framed: FramedTop | null;
  insets: InsetMovement[];
  /** every place where movement is stopped, worst first; `when` counts courses' samples by `STOP_EVERY` */
  stopped: Stop[];
  joints: KindOfJoint[];
  /** where parts meet, and by which of the joints */
  meetings: Meeting[];
  /** what joints bring with them: loose tenons, pins, wedges, screws */
  small: SmallPart[];
  cards: SettingCard[];
  parts: Part[];
  panel: {
    laid: LaidStrip[];
    lines: number[];
    candidates: { board: string; width: number; slide: number }[];
    unfit: { board: string; reason: string }[];
  };
  /** panels beside the top, such as a shelf: where each lies, its boards, its years */
  panels: PlannedPanel[];
  adhesive: Adhesive;
  /** gluings of the top, then of every other panel */
  glueUp: GlueStage[];
  /** gluings of thick parts from leaves */
  blanks: GlueStage[];
  cutting: CuttingStage;
  /** what is cut from sheets, kind by kind of sheet */
  sheets: SheetPlan[];
  steps: DatedStep[];
  /** every panel's years, the top's as Movement would have told them from the first moisture that is known, and the widths it told */
  records: PanelRecord[];
  /** how each kind of part changes, dry and wet */
  partMoves: PartMove[];
  /** coefficients the log's widths speak of, offered beside the table's */
  learned: Learned[];
  verdicts: Verdict[];
  /** stages and rules that threw: faults of Taller, which a verdict tells and the rest of the plan stands beside */
  failures: Failure[];
}
