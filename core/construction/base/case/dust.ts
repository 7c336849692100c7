/** Sheets between drawers that run one above another: in grooves of the rail in front and of both runners. mm */
import type { AssemblyPart, Worked } from "../../../assembly/part";
import type { Vec } from "../../../assembly/vector";
import { Step, stepOf as step } from "../../../steps/step";
import { fine, grade, mm, round1, set, Verdict, verdict } from "../../../verdict/verdict";
import type { Case } from "./case";
import { cut, PULL } from "./cut";
import { at as path, CaseFacts } from "./facts";
import { framesOf, RUNNER, Runner, runnersOf } from "./frames";

/** A groove's depth, what a sheet is left short in it and loose; what stays of a runner above and below it. @source common practice */
const DUST = { deep: 6, short: 0.5, air: 0.2, wall: { good: 5, least: 3 } };

/** One of them: over which division, where it lies. */
interface Dust {
  id: string;
  kind: string;
  /** the rail in front and the runners beside it */
  front: string;
  beside: Runner[];
  x: { from: number; to: number };
  y: number;
  z: { from: number; to: number };
}

/** Sheets of one bay are alike. */
const dustKind = (bay: number) => (bay > 0 ? `dust-panel-${bay + 1}` : "dust-panel");

/** Where they lie: wherever a rail has a runner on both sides and nothing behind it. */
export function dustOf(at: Case): Dust[] {
  if (at.dust === null) return [];
  const runners = runnersOf(at).filter(({ kind }) => kind === "runner");
  const inside = DUST.deep - DUST.short;
  const all = framesOf(at).flatMap(({ id, bay, at: lies, behind, through }) => {
    const beside = runners.filter(({ front }) => front === id);
    if (behind || through || beside.length !== 2) return [];
    const { from, to } = at.bays[bay];
    return [
      {
        ...{ kind: dustKind(bay), front: id, beside },
        x: { from: from + RUNNER.width - inside, to: to - RUNNER.width + inside },
        y: (lies.from + lies.to) / 2,
        z: { from: beside[0].from, to: at.deep.to - at.rail + inside },
      },
    ];
  });
  return all
    .filter(({ x, z }) => x.to - x.from > 2 * DUST.deep && z.to - z.from > 2 * DUST.deep)
    .map((each, i) => ({ ...each, id: `DP${i + 1}` }));
}

/** The sheets themselves. */
export const dustParts = (at: Case): (Omit<AssemblyPart, "adds" | "cuts"> & { cuts?: Worked[] })[] =>
  dustOf(at).map(({ id, kind, x, y, z }) => ({
    ...{ id, kind, name: "Dust panel", letter: "DP", make: "solid", role: "sheet" },
    note: "Slid in from behind, loose in its grooves.",
    sheet: { material: "plywood", thickness: at.dust!, turns: true },
    shape: { length: x.to - x.from, width: z.to - z.from, thickness: at.dust! },
    place: { at: [x.from, y - at.dust! / 2, z.to], x: [1, 0, 0] as Vec, y: [0, 0, -1] as Vec },
    opens: [0, 0, -PULL.back] as Vec,
  }));

/** Rails and runners with the grooves that dust panels lie in. */
export function withDust<P extends Pick<AssemblyPart, "id" | "place"> & { cuts?: Worked[] }>(
  parts: readonly P[],
  at: Case,
): P[] {
  const all = dustOf(at);
  if (all.length === 0) return [...parts];
  const high = at.dust! + 2 * DUST.air;
  return parts.map((part): P => {
    const cuts = all.flatMap(({ kind, front, beside, x, y, z }): Worked[] => {
      const runner = beside.find(({ id }) => id === part.id);
      const low = y - high / 2;
      if (runner) {
        const from = runner.side < 0 ? runner.x + runner.width - DUST.deep : runner.x;
        return [
          cut(
            kind,
            part.place,
            // on through its tenon, as far as the sheet lies in the rail
            { length: runner.to + DUST.deep - runner.from, width: DUST.deep, thickness: high },
            { at: [from, low, runner.from], x: [0, 0, 1], y: [1, 0, 0] },
          ),
        ];
      }
      if (front !== part.id) return [];
      return [
        cut(
          kind,
          part.place,
          { length: x.to - x.from, width: DUST.deep, thickness: high },
          { at: [x.from, low, z.to + DUST.short], x: [1, 0, 0], y: [0, 0, -1] },
        ),
      ];
    });
    return cuts.length > 0 ? { ...part, cuts: [...(part.cuts ?? []), ...cuts] } : part;
  });
}

/** A groove leaves wood above and below it. */
export function dustLies({ at }: CaseFacts): Verdict | null {
  if (at.dust === null) return null;
  const all = dustOf(at);
  const left = (at.inner - at.dust) / 2 - DUST.air;
  const level = all.length === 0 ? "tight" : grade(left, "at least", DUST.wall.good, DUST.wall.least);
  const thick = Math.ceil(at.dust + 2 * (DUST.wall.good + DUST.air));
  return verdict({
    id: "form.dust",
    stage: "form",
    subject: ["dust-panel", "runner"],
    level,
    text:
      all.length === 0
        ? "No dust panel lies anywhere: no drawer runs on wood above another"
        : level === "holds"
          ? `${all.length} dust panel${all.length > 1 ? "s lie" : " lies"} between the drawers`
          : `A groove for a dust panel leaves ${fine(left)} of a runner above it and below`,
    why: `A sheet of ${fine(at.dust)}, as the back’s, in grooves ${mm(DUST.deep)} deep in the middle of rails and runners ${mm(at.inner)} thick.`,
    limit: DUST.wall.good,
    actual: round1(left),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            ...(all.length > 0 && thick <= 40
              ? [set(`Make bottom, dividers and shelves ${thick} mm thick`, path("inner"), thick)]
              : []),
            set("Leave the dust panels out", path("dust"), false),
          ],
  });
}

/** They go in once the runners are set, from behind. @param after  the step at which those are */
export function dustSteps(at: Case, after: string): Step[] {
  const all = dustOf(at);
  if (all.length === 0) return [];
  return [
    step({
      id: "dust",
      title: "Slide the dust panels in",
      detail: `${all.length === 1 ? "One sheet" : `${all.length} sheets`}, from behind, into the grooves of rails and runners; a touch of glue in front only. They keep dust and hands out of the drawer below.`,
      parts: [...new Set(all.map(({ kind }) => kind))],
      after: [after, "cut-sheets"],
      hours: 0.15 * all.length,
      check: "Flush with the runners or below them: no drawer rubs on one.",
    }),
  ];
}
