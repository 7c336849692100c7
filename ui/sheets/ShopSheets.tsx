"use client";
import { Printer } from "lucide-react";
import Link from "next/link";
import { ReactNode, useLayoutEffect, useRef, useState } from "react";
import { frontScene, planScene, sideScene } from "../../core/drawing/elevations";
import { glueScene } from "../../core/drawing/glue-up";
import { allLaid } from "../../core/panels/planned";
import { attachStep } from "../../core/steps/fastening";
import { fasteningScene } from "../../core/drawing/fastening";
import { holdingScene } from "../../core/drawing/holding";
import { bevelOf } from "../../core/construction/top/bevel";
import { letsLeavesIn, openTop } from "../../core/construction/parting/parting";
import { baseOf } from "../../core/construction/base";
import type { JointSection } from "../../core/drawing/joint";
import { jointDrawings } from "../../core/drawing/joints";
import { SceneView } from "../drawing/SceneView";
import { shortDay } from "../frame/sentences";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { SheetCuts } from "../stages/SheetCuts";
import { CutDiagrams, CutTable, ShoppingTable, SmallTable } from "../stages/CutList";
import { SettingCards } from "../stages/SettingCards";

/** Width of a drawing on A4 with its margins, CSS pixels. */
const PAPER = 686;

/** Five sheets for the shop, black on white, a page each where it can be read so, with no interface on paper. */
export function ShopSheets() {
  const { id, piece, plan } = usePiece();
  const { withUnit, say } = useUnit();
  const drawable = { ...plan, form: piece.form };
  const base = baseOf(piece.form.kind);
  const sections = jointDrawings(drawable);
  const holding = holdingScene(plan, piece);
  const fastening = fasteningScene(plan, piece);
  const gluings = [...plan.glueUp, ...plan.blanks];
  const laid = allLaid(plan);
  /** Which way boards lie, where they are boards of a panel. */
  const barkOf = (boards: readonly string[]) => {
    const faces = boards.map((board) => laid.find((each) => each.board.id === board)?.strip.face);
    return faces.every((face) => face)
      ? `, front first, ${faces.map((face) => (face === "bark-up" ? "up" : "down")).join(", ")} (bark)`
      : ", best faces out";
  };
  return (
    <main className="sheets mx-auto max-w-[794px] py-4 print:max-w-none print:py-0">
      <div className="mb-3 flex items-center justify-between print:hidden">
        <Link className="button button-plain" href={`/pieces/${id}/cutting`}>
          Back to the piece
        </Link>
        <button className="button" onClick={() => window.print()}>
          <Printer size={15} />
          Print the five sheets
        </button>
      </div>
      <Sheet number={1} name="Drawing">
        <SceneView paper scene={planScene(drawable)} height={310} width={PAPER} />
        <SceneView paper scene={frontScene(drawable)} height={270} width={PAPER} />
        <div className="grid grid-cols-2 gap-4">
          <SceneView paper scene={sideScene(drawable)} height={270} width={PAPER / 2 - 10} />
          <dl className="self-center text-[13px]">
            {[
              ["Wood", plan.species.name],
              [
                "Top",
                `${withUnit(piece.form.top.length)} by ${withUnit(piece.form.top.width)} by ${withUnit(piece.form.top.thickness)}`,
              ],
              [
                "Top edge",
                piece.form.top.edge.kind === "square"
                  ? "square"
                  : bevelOf(piece.form)
                    ? `bevelled below from ${withUnit(bevelOf(piece.form)!.inward)} in, ${withUnit(bevelOf(piece.form)!.rim)} left`
                    : `${piece.form.top.edge.kind.replace("-", " ")}, ${withUnit(piece.form.top.edge.size)}`,
              ],
              ["Height", withUnit(piece.form.height)],
              ...(plan.geometry.lifted
                ? [["On its feet", `they lift the wood by ${withUnit(plan.geometry.lifted.by)}`]]
                : []),
              ...(letsLeavesIn(piece.form)
                ? [
                    [
                      "With its leaves in",
                      `${withUnit(openTop(piece.form).length)} long, ${piece.form.parting.leaves} of ${withUnit(piece.form.parting.leaf)}`,
                    ],
                  ]
                : []),
              ...(plan.geometry.drop
                ? [
                    [
                      "With its leaves up",
                      `${withUnit(openTop(piece.form).width)} wide, ${plan.geometry.drop.sides.length} of ${withUnit(plan.geometry.drop.leaf)}`,
                    ],
                  ]
                : []),
              ...base.sizes(piece.form, plan.geometry).map(([what, sizes]) => [what, say(sizes)]),
              ...(piece.times > 1
                ? [["Made", `${piece.times} alike; joints, cut list and glue-ups are for all of them`]]
                : []),
              ["Must match", piece.brief.match || "nothing named"],
            ].map(([what, value]) => (
              <div key={what} className="flex justify-between gap-4 border-b border-hairline py-1">
                <dt>{what}</dt>
                <dd className="text-right font-[560]">{value}</dd>
              </div>
            ))}
          </dl>
        </div>
      </Sheet>
      <Sheet number={2} name="Joints and settings">
        <div className="grid grid-cols-2 gap-3">
          {drawnOnce(sections).map(({ joint, scene }) => (
            <SceneView key={`${joint}-${scene.id}`} paper scene={scene} height={165} width={PAPER / 2 - 6} />
          ))}
          {fastening && <SceneView paper scene={fastening} height={165} width={PAPER / 2 - 6} />}
        </div>
        <div className="mt-4">
          <SettingCards cards={plan.cards} columns="grid-cols-3" />
        </div>
        <p className="mt-4 text-[13px]">
          {say(
            `${attachStep(piece, plan.geometry).title}. ${attachStep(piece, plan.geometry).detail}${plan.fasteners.length ? ` ${plan.fasteners.length * piece.times} in all.` : ""}`,
          )}
        </p>
        {holding && <SceneView paper scene={holding} height={140} width={PAPER / 2} />}
        {plan.breadboards && (
          <p className="mt-2 text-[13px]">
            {say(
              `End boards ${plan.breadboards.length} mm long. Pegs from the front edge: ${plan.breadboards.pegs.map((peg) => `${Math.round(peg.at)} mm ${peg.fixed ? "fixed" : `slot ${peg.slot.toFixed(1)} mm, set off ${peg.setOff.toFixed(1)} mm`}`).join("; ")}.`,
            )}
          </p>
        )}
      </Sheet>
      <Sheet number={3} name="Cut list and diagrams">
        <CutTable plan={plan} />
        <SmallTable plan={plan} times={piece.times} />
        {plan.cutting.shopping.length > 0 && <ShoppingTable plan={plan} />}
        <div className="mt-3">
          <CutDiagrams plan={plan} width={PAPER / 2 - 12} />
          <SheetCuts plan={plan} width={PAPER / 2 - 12} />
        </div>
      </Sheet>
      <Sheet number={4} name="Glue-up">
        {gluings.length === 0 && (
          <p>{plan.slats ? "Slats are screwed, not glued." : "No boards are chosen for the top yet."}</p>
        )}
        {gluings.map((stage, i) => (
          <section key={stage.id} className="mb-3 break-inside-avoid">
            <h2>
              {i + 1}. {stage.name}
            </h2>
            <SceneView
              paper
              scene={glueScene(plan, stage)}
              height={Math.round(
                Math.min(420, (ROOM - gluings.length * 76) / gluings.length, 130 + (stage.width + 140) * 0.36),
              )}
              width={PAPER}
            />
            <p className="text-[13px]">
              {say(
                `${stage.strips.join(", ")}${barkOf(stage.strips)}. ${stage.clamps.places.length} clamps opening ${stage.clamps.reach} mm, ${stage.cauls.length} pairs of cauls, ${Math.ceil(stage.grams)} g of ${plan.adhesive.name}. ${stage.minutes.toFixed(1)} min of work, open ${plan.adhesive.open} min; clamps off after ${plan.adhesive.clampHours} h, worked on after ${plan.adhesive.fullHours} h.`,
              )}
            </p>
          </section>
        ))}
      </Sheet>
      <Sheet number={5} name="Order of work">
        <ol className="text-[12.5px]">
          {plan.steps.map((step, i) => (
            <li
              key={step.id}
              className="grid grid-cols-[16px_76px_minmax(0,1fr)] gap-2 border-b border-hairline py-[3px] leading-[1.25]"
            >
              <span className="mt-0.5 size-3 border border-ink" />
              <span>{shortDay(step.starts)}</span>
              <span>
                <b className="font-[600]">
                  {i + 1}. {step.title}.
                </b>{" "}
                {say(step.detail)}
                {step.check && ` Check: ${say(step.check)}`}
                {step.wait > 0 &&
                  ` Then wait ${step.wait >= 48 ? `${Math.round(step.wait / 24)} days` : `${step.wait} h`} for ${step.waitFor}.`}
                {step.caution && <b className="font-[600]"> Caution: {step.caution}</b>}
              </span>
            </li>
          ))}
        </ol>
      </Sheet>
    </main>
  );
}

/** Height of A4 within its margins, below a sheet's head, CSS pixels. */
const ROOM = 950;
/** What is set smaller than this is not read at the saw: a case's many joints take a second page instead. By eye, on paper. */
const SMALLEST = 0.62;

function Sheet({ number, name, children }: { number: number; name: string; children: ReactNode }) {
  const { piece, revision } = usePiece();
  const content = useRef<HTMLDivElement>(null);
  const [zoom, setZoom] = useState(1);
  // what is a little longer than a page is set smaller, what is much longer goes on to the next; looked at again whenever it grows, as
  // it does when the letters of our own font come in after the first picture
  useLayoutEffect(() => {
    const fit = () => {
      const height = content.current!.getBoundingClientRect().height;
      if (height > ROOM + 1) setZoom((now) => Math.max(SMALLEST, now * (ROOM / height)));
    };
    const grown = new ResizeObserver(fit);
    grown.observe(content.current!);
    return () => grown.disconnect();
  }, []);
  return (
    <article className="sheet mb-6 bg-white px-[54px] py-[48px] text-[#000] print:mb-0 print:p-0" data-sheet={number}>
      <header className="mb-3 flex items-baseline justify-between border-b-2 border-ink pb-1">
        <h1>
          {piece.name}: {name.toLowerCase()}
        </h1>
        <span className="text-[13px]">
          {piece.commission && `${piece.commission}, `}revision {revision}, sheet {number} of 5
        </span>
      </header>
      <div ref={content} data-sheet-content style={{ zoom }}>
        {children}
      </div>
    </article>
  );
}

/** Sections that show two joints at once are drawn once. */
const drawnOnce = (sections: readonly JointSection[]) =>
  sections.filter(({ scene }, i) => sections.findIndex((each) => each.scene.id === scene.id) === i);
