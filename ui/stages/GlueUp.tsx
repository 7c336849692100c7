"use client";
import Link from "next/link";
import { useState } from "react";
import { glueScene } from "../../core/drawing/glue-up";
import { ADHESIVES } from "../../core/glueup/adhesives";
import { AIDS } from "../../core/glueup/stages";
import { SceneView } from "../drawing/SceneView";
import { Choice, FieldRow, NumberField } from "../fields/fields";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { GlueRunner, Rehearsal } from "./GlueRehearsal";
import { StageHead } from "./StageHead";

/** The gluings in order: strips, clamps and cauls drawn at their places, and the moves against the glue's clock. */
export function GlueUpStage() {
  const { id, piece, plan } = usePiece();
  const { set } = useSet();
  const { say, withUnit } = useUnit();
  const [at, setAt] = useState(0);
  const stages = [...plan.glueUp, ...plan.blanks];
  const stage = stages[Math.min(at, stages.length - 1)];
  const fields = (
    <FieldRow>
      <Choice
        label="Glue"
        value={plan.adhesive.id}
        options={ADHESIVES.map((each) => ({ value: each.id, name: each.name }))}
        onTake={(value) => set("Glue", ["glueUp", "adhesive"], value)}
      />
      <Choice
        label="Stages"
        value={piece.choices.stages}
        options={[
          { value: "all-at-once", name: "All at once" },
          { value: "halves", name: "In parts that fit the planer" },
        ]}
        onTake={(value) => set("Glue-up stages", ["choices", "stages"], value)}
      />
      <NumberField
        label="Pairs of hands"
        value={piece.glueUp.hands}
        onTake={(value) => set("Hands", ["glueUp", "hands"], value)}
      />
      <Choice
        label="Alignment"
        value={piece.choices.alignment}
        options={[
          { value: "none", name: "Bare edges" },
          { value: "loose-tenons", name: "Loose tenons" },
          { value: "dowels", name: "Dowels" },
          { value: "biscuits", name: "Biscuits" },
        ]}
        onTake={(value) => set("Alignment", ["choices", "alignment"], value)}
      />
      <Choice
        label="Edges from"
        value={piece.choices.edges}
        options={[
          { value: "jointer", name: "The jointer" },
          { value: "folded-pairs", name: "Folded pairs" },
          { value: "track-saw", name: "The track saw" },
        ]}
        onTake={(value) => set("Edges", ["choices", "edges"], value)}
      />
      <Choice
        label="Squeeze-out"
        value={piece.choices.squeezeOut}
        options={[
          { value: "scrape-rubbery", name: "Scraped rubbery" },
          { value: "wipe-wet", name: "Wiped wet" },
          { value: "scrape-dry", name: "Scraped after a day" },
        ]}
        onTake={(value) => set("Squeeze-out", ["choices", "squeezeOut"], value)}
      />
    </FieldRow>
  );
  if (!stage)
    return (
      <>
        <StageHead title="Gluing the top">There is nothing to glue yet.</StageHead>
        <p>
          <Link className="button" href={`/pieces/${id}/boards`}>
            Choose the boards first
          </Link>
        </p>
        {fields}
      </>
    );
  return (
    <>
      <StageHead
        title="Gluing up"
        actions={
          stages.length > 1 &&
          stages.map((each, i) => (
            <button
              key={each.id}
              className={`button ${each === stage ? "bg-wash" : "button-plain"}`}
              aria-pressed={each === stage}
              onClick={() => setAt(i)}
            >
              {i + 1}. {each.name}
            </button>
          ))
        }
      >
        {stages.length === 1 ? "All in one go" : `${stages.length} gluings`},{" "}
        {Math.ceil(stages.reduce((sum, each) => sum + each.grams, 0))} g of{" "}
        {plan.adhesive.name[0].toLowerCase() + plan.adhesive.name.slice(1)} in all. Clamps stand below and above in
        turn; cauls press the seams level. {plan.adhesive.note}
      </StageHead>
      <SceneView scene={glueScene(plan, stage)} height={Math.round(Math.min(372, 110 + (stage.width + 140) * 0.3))} />
      <div className="grid grid-cols-[1fr_1fr] gap-8 max-md:grid-cols-1">
        <section>
          <h2>
            The moves, {stage.minutes.toFixed(1)} of {plan.adhesive.open} min
          </h2>
          <Clock moves={stage.moves} open={plan.adhesive.open} />
          <ol className="mt-1 list-inside list-decimal text-[13.5px]">
            {stage.moves.map((move) => (
              <li key={move.what} className="border-b border-hairline py-1">
                {move.what}, {move.minutes.toFixed(1)} min
              </li>
            ))}
          </ol>
        </section>
        <section>
          <h2>{stage.name}</h2>
          <dl className="text-[13.5px]">
            {[
              ["Order, front first", stage.strips.join(", ")],
              ["Width in the clamps", withUnit(stage.width)],
              [
                "Clamps",
                say(
                  `${stage.clamps.places.length}, every ${Math.round(stage.clamps.spacing)} mm, opening ${stage.clamps.reach} mm`,
                ),
              ],
              [
                "Force asked",
                `${Math.round(stage.clamps.forceNeeded)} kN, about ${(stage.clamps.forceNeeded / stage.clamps.places.length).toFixed(1)} kN a clamp`,
              ],
              ["Cauls", `${stage.cauls.length} pairs, crowned ${withUnit(stage.crown, true)} in the middle`],
              ...(stage.alignment.length > 0
                ? [
                    [
                      "Alignment",
                      say(`${stage.alignment.length} ${AIDS[piece.choices.alignment]}, none within 50 mm of a cut`),
                    ],
                  ]
                : []),
              ["Glue", `${Math.ceil(stage.grams)} g`],
              ["Weight", `about ${Math.round(stage.weight)} kg`],
              [
                "Clamp, then rest",
                `${plan.adhesive.clampHours} h, ${plan.adhesive.fullHours} h before it is worked on`,
              ],
            ].map(([what, value]) => (
              <div key={what} className="flex justify-between gap-3 border-b border-hairline py-1">
                <dt className="text-graphite">{what}</dt>
                <dd className="text-right font-[560]">{value}</dd>
              </div>
            ))}
          </dl>
        </section>
      </div>
      <Rehearsal stage={stage} />
      <GlueRunner key={stage.id} stage={stage} />
      {fields}
    </>
  );
}

/** The sequence against the open time, one bar. */
function Clock({ moves, open }: { moves: { what: string; minutes: number }[]; open: number }) {
  const total = moves.reduce((sum, move) => sum + move.minutes, 0);
  const most = Math.max(total, open) * 1.05;
  let at = 0;
  return (
    <svg
      className="my-1.5 h-5 w-full"
      role="img"
      aria-label={`${total.toFixed(1)} minutes of work in ${open} minutes of open time`}
    >
      <rect x="0" y="4" width={`${(100 * open) / most}%`} height="12" fill="#cfe0d4" />
      {moves.map((move, i) => {
        const x = at;
        at += move.minutes;
        return (
          <rect
            key={move.what}
            x={`${(100 * x) / most}%`}
            y="6"
            width={`${(100 * move.minutes) / most}%`}
            height="8"
            fill={i % 2 ? "#51605a" : "#14201c"}
          />
        );
      })}
      <line
        x1={`${(100 * open) / most}%`}
        x2={`${(100 * open) / most}%`}
        y1="0"
        y2="20"
        stroke={total > open ? "#ab2018" : "#2c6a3e"}
        strokeWidth="2"
      />
    </svg>
  );
}
