"use client";
import Link from "next/link";
import { useMemo } from "react";
import { wasteOf } from "../../core/layout/cutting";
import { templatesOf } from "../../core/templates/templates";
import { FieldRow } from "../fields/fields";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { Buying } from "./Buying";
import { CutDiagrams, CutTable, SmallTable } from "./CutList";
import { SheetCuts } from "./SheetCuts";
import { CuttingChoices } from "./CuttingChoices";
import { LegWays } from "./LegWays";
import { Settings } from "./MachineSettings";
import { Match, Matches } from "./Matches";
import { Measured } from "./Measured";
import { MillingTable } from "./MillingTable";
import { ServerSearch } from "./ServerSearch";
import { Spoil } from "./Spoil";
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
  const templates = useMemo(() => templatesOf(plan.assembly.parts).length, [plan.assembly.parts]);
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
            {templates > 0 && (
              <Link className="button button-plain" href={`/pieces/${id}/templates`}>
                {templates > 1 ? `${templates} templates` : "Its template"}
              </Link>
            )}
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
      <SheetCuts plan={plan} width={null} />
      <FieldRow>
        <CuttingChoices />
        <Spoil />
        <Match />
      </FieldRow>
      <Matches />
      <CutTable plan={plan} />
      <SmallTable plan={plan} times={piece.times} />
      <Buying />
      <MillingTable />
      {piece.form.kind === "leg-and-apron" && <LegWays />}
      <Settings />
      <Measured key={piece.asBuilt.length} />
    </>
  );
}
