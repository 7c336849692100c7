"use client";
import Link from "next/link";
import { useState } from "react";
import { woodOf } from "../../core/wood/woods";
import { wasteOf } from "../../core/layout/cutting";
import { legPieces, legSteps, thickestLeg } from "../../core/layout/leg-stock";
import type { AsBuilt } from "../../core/piece/schema";
import { Choice, FieldRow, LengthField, TextField } from "../fields/fields";
import { fractions } from "../frame/fractions";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Buying } from "./Buying";
import { CutDiagrams, CutTable } from "./CutList";
import { CuttingChoices } from "./CuttingChoices";
import { MillingTable } from "./MillingTable";
import { ServerSearch } from "./ServerSearch";
import { StageHead } from "./StageHead";
import { useCuts, useSaw } from "./useCuts";

/** Where everything is cut, by search and by the saw: boards, cards, sizes. */
export function CuttingStage() {
  const { id, plan, piece } = usePiece();
  const { search, start, stop } = useCuts();
  const { saw, whole } = useSaw();
  const { say } = useUnit();
  const { boards, placed, missing } = plan.cutting;
  const { best } = search;
  const open = boards.filter((cut) => !cut.sawn).length;
  return (
    <>
      <StageHead
        title="What is cut from which board"
        actions={
          <>
            {search.running ? (
              <button className="button" onClick={stop}>
                Stop and lay out
              </button>
            ) : (
              <button
                className="button"
                disabled={open === 0 && missing.length === 0}
                onClick={() => start(best !== null)}
              >
                {best ? "Search on" : "Search for less waste"}
              </button>
            )}
            <ServerSearch />
            <Link className="button button-plain" href={`/pieces/${id}/cards`}>
              Cutting cards
            </Link>
            <a className="button button-plain" href={`/api/pieces/${id}/cut-list`}>
              Cut list as CSV
            </a>
          </>
        }
      >
        {best ? (
          <span data-search={search.running ? "running" : "done"}>
            <b className="text-ink">{best.tried.toLocaleString("en")}</b> layouts tried,{" "}
            <b className="text-ink">{(100 * wasteOf(best)).toFixed(1)} %</b> of the wood goes to chips, kerfs and ends
            {best.missing.length > 0 && `; ${best.missing.length} pieces find no board`}.
          </span>
        ) : (
          <>
            {placed.length} pieces and {plan.cutting.strips.length} strips from {boards.length} boards
            {boards.some((cut) => cut.sawn) && `, ${boards.filter((cut) => cut.sawn).length} of them sawn`}, each
            machine set once.{" "}
            {plan.cutting.chosen
              ? "Laid out by a search."
              : "Laid out at once, largest first; a search finds less waste."}
          </>
        )}
      </StageHead>
      {search.running && (
        <div
          className="h-1.5 bg-hairline"
          role="progressbar"
          aria-label="Search"
          aria-valuemin={0}
          aria-valuemax={search.of}
          aria-valuenow={best?.round ?? 0}
        >
          <div className="h-full bg-layout" style={{ width: `${(100 * (best?.round ?? 0)) / search.of}%` }} />
        </div>
      )}
      {search.fault && (
        <p role="alert" className="border border-fix bg-white p-2.5 text-fix">
          {say(search.fault)}
        </p>
      )}
      <CutDiagrams
        plan={plan}
        width={null}
        after={(cut) =>
          cut.sawn ? (
            <>
              <b className="font-semibold text-holds">Sawn</b>
              <button
                className="button button-plain ml-auto whitespace-nowrap"
                aria-label={`Put ${cut.board.id} together again`}
                onClick={() => whole(cut.board.id)}
              >
                Not sawn after all
              </button>
            </>
          ) : (
            <button
              className="button ml-auto whitespace-nowrap"
              aria-label={`${cut.board.id} is sawn`}
              onClick={() => saw(cut.board.id)}
            >
              It is sawn
            </button>
          )
        }
      />
      <FieldRow>
        <CuttingChoices />
        <Spoil />
        <Match />
      </FieldRow>
      <Matches />
      <CutTable plan={plan} />
      <Buying />
      <MillingTable />
      {piece.form.kind === "leg-and-apron" && <LegWays />}
      <Settings />
      <Measured key={piece.asBuilt.length} />
    </>
  );
}

/** A piece that went wrong at the saw is planned again from what is left. */
function Spoil() {
  const { piece } = usePiece();
  const { spoil } = useSaw();
  const [why, setWhy] = useState("");
  const sawn = piece.cutting.sawn.flatMap((each) =>
    each.sections
      .flatMap((section) => section.lanes.flatMap((lane) => lane.pieces))
      .filter((mark) => !piece.cutting.spoiled.some((one) => one.piece === mark && one.board === each.board.id)),
  );
  const [mark, setMark] = useState("");
  if (sawn.length === 0) return null;
  const chosen = sawn.includes(mark) ? mark : sawn[0];
  return (
    <>
      <Choice
        label="Went wrong at the saw"
        value={chosen}
        options={sawn.map((each) => ({ value: each, name: each }))}
        onTake={setMark}
      />
      <TextField
        label="What happened"
        value={why}
        onTake={(value) => {
          setWhy(value);
          return null;
        }}
      />
      <button
        className="button"
        onClick={() => {
          spoil(chosen, why);
          setWhy("");
        }}
      >
        Plan {chosen} again
      </button>
    </>
  );
}

function Match() {
  const { plan, piece, edit } = usePiece();
  const marks = plan.cutting.pieces.map((each) => each.id);
  const [one, setOne] = useState("");
  const [other, setOther] = useState("");
  const options = marks.map((each) => ({ value: each, name: each }));
  if (marks.length < 2) return null;
  const [a, b] = [marks.includes(one) ? one : marks[0], marks.includes(other) ? other : marks[1]];
  return (
    <>
      <Choice label="Matching: cut" value={a} options={options} onTake={setOne} />
      <Choice label="from the board of" value={b} options={options} onTake={setOther} />
      <button
        className="button"
        disabled={a === b}
        onClick={() =>
          edit(`${a} matches ${b}`, [
            { path: ["cutting", "matches", piece.cutting.matches.length], value: { piece: a, as: b } },
          ])
        }
      >
        Match them
      </button>
    </>
  );
}

function Matches() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { matches } = piece.cutting;
  if (matches.length === 0) return null;
  return (
    <ul className="flex flex-wrap gap-x-4">
      {matches.map((each, i) => (
        <li key={`${each.piece} ${each.as} ${i}`} className="flex items-center gap-1 text-[13.5px]">
          {each.piece} from the board of {each.as}
          <button
            className="button button-plain px-2"
            aria-label={`Unmatch ${each.piece} and ${each.as}`}
            onClick={() =>
              set(
                "Match taken back",
                ["cutting", "matches"],
                matches.filter((_, j) => j !== i),
              )
            }
          >
            Unmatch
          </button>
        </li>
      ))}
    </ul>
  );
}

/** How a leg of more than one piece is made, and what other ways would take. */
function LegWays() {
  const { piece, plan, shop, rack } = usePiece();
  const { set } = useSet();
  const { say, length, withUnit } = useUnit();
  const leg = plan.parts.find((part) => part.role === "leg")?.finished;
  const section = leg?.width ?? piece.form.leg.section;
  const size = { width: section, thickness: leg?.thickness ?? section };
  const free = rack.filter(
    (board) => board.species === woodOf(plan.woods, "leg", plan.species).id && !board.reservedBy,
  );
  const rough = plan.parts.find((part) => part.role === "leg")?.rough.length ?? 0;
  const names = {
    solid: "Solid",
    laminated: "From two leaves",
    "core-faces": "Core with four resawn faces",
    diagonal: "Two boards sawn at 45°",
  };
  return (
    <section>
      <h2>Ways to these legs</h2>
      <table className="plain">
        <thead>
          <tr>
            <th>Made</th>
            <th>Sawn for each leg</th>
            <th>The rack gives at most</th>
            <th>How</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {(Object.keys(names) as (keyof typeof names)[]).map((make) => {
            const pieces = legPieces(make, size, shop.kerf);
            const thickest = thickestLeg(make, free, rough, shop);
            return (
              <tr key={make} className={make === piece.form.leg.make ? "font-[560]" : ""}>
                <td className="whitespace-nowrap">{names[make]}</td>
                <td>
                  {fractions(counted(pieces.map((each) => `${length(each.width)} by ${withUnit(each.thickness)}`)))}
                </td>
                <td>
                  {thickest
                    ? fractions(`${withUnit(thickest.section)} square, from ${thickest.board}`)
                    : "nothing long enough"}
                </td>
                <td className="text-[13px] text-graphite">{say(legSteps(make, size, shop).join(" "))}</td>
                <td>
                  {make === piece.form.leg.make ? (
                    "chosen"
                  ) : (
                    <button
                      className="button whitespace-nowrap"
                      aria-label={`Make legs: ${names[make]}`}
                      onClick={() => set("Leg making", ["form", "leg", "make"], make)}
                    >
                      Take it
                    </button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

/** Sizes with how often each is there. */
const counted = (sizes: readonly string[]) =>
  [...new Set(sizes)]
    .map((size) => {
      const n = sizes.filter((each) => each === size).length;
      return n === 1 ? size : `${n} of ${size}`;
    })
    .join(", ");

function Settings() {
  const { plan } = usePiece();
  const { withUnit } = useUnit();
  const NAMES = {
    planer: "Planer, thickness",
    "table saw": "Table saw, width",
    "crosscut stop": "Crosscut stop, finished length",
  };
  return (
    <section>
      <h2>Each setting once</h2>
      <div className="grid grid-cols-3 gap-8 max-md:grid-cols-1">
        {(["planer", "table saw", "crosscut stop"] as const).map((machine) => (
          <div key={machine}>
            <h3 className="text-[13px] text-graphite">{NAMES[machine]}</h3>
            <ol>
              {plan.cutting.settings
                .filter((each) => each.machine === machine)
                .map((each) => (
                  <li
                    key={each.setting}
                    className="flex justify-between gap-3 border-b border-hairline py-1 text-[13.5px]"
                  >
                    <b className="font-[560]">{withUnit(each.setting)}</b>
                    <span className="text-right text-graphite">
                      {each.parts.map((part) => part.marks.join(" ")).join(", ")}
                    </span>
                  </li>
                ))}
            </ol>
          </div>
        ))}
      </div>
    </section>
  );
}

/** A size taken from the work counts before the planned one, everywhere. */
function Measured() {
  const { piece, plan, today, edit } = usePiece();
  const { set } = useSet();
  const { withUnit } = useUnit();
  const [part, setPart] = useState("leg");
  const [dimension, setDimension] = useState<AsBuilt["dimension"]>("width");
  const finished = plan.parts.find((each) => each.id === part)?.finished[dimension] ?? 0;
  return (
    <section>
      <h2>Measured on the work</h2>
      <p className="lede">A measured size counts before the planned one; joints, movement and the rest follow it.</p>
      <FieldRow>
        <Choice
          label="Part"
          value={part}
          options={plan.parts.map((each) => ({ value: each.id, name: each.name }))}
          onTake={setPart}
        />
        <Choice
          label="Size"
          value={dimension}
          options={[
            { value: "length", name: "Length" },
            { value: "width", name: "Width" },
            { value: "thickness", name: "Thickness" },
          ]}
          onTake={setDimension}
        />
        <LengthField
          label="As measured"
          value={finished}
          onTake={(value) =>
            edit(`${part} ${dimension} measured`, [
              { path: ["asBuilt", piece.asBuilt.length], value: { part, dimension, value, on: today } },
            ])
          }
        />
      </FieldRow>
      <ul className="mt-2">
        {piece.asBuilt.map((each, i) => (
          <li key={i} className="flex items-center justify-between border-b border-hairline py-1 text-[13.5px]">
            <span>
              {plan.parts.find((one) => one.id === each.part)?.name ?? each.part}, {each.dimension}:{" "}
              <b className="font-[560]">{withUnit(each.value, true)}</b>, {each.on}
            </span>
            <button
              className="button button-plain"
              onClick={() =>
                set(
                  "Measured size taken back",
                  ["asBuilt"],
                  piece.asBuilt.filter((_, j) => j !== i),
                )
              }
            >
              Plan again
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
