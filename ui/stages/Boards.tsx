"use client";
import { shapedTop } from "../../core/construction/top/outline";
import { isComposed } from "../../core/construction/geometry";
import { useMemo, useRef, useState } from "react";
import { panelScene } from "../../core/drawing/boards";
import { endGrainScene } from "../../core/drawing/top";
import { laidAs, slideBy } from "../../core/layout/lay";
import { stripThickness } from "../../core/layout/strip-thickness";
import { panelScores } from "../../core/layout/scores";
import { toCompose } from "../../core/panels/composing";
import type { Strip } from "../../core/piece/schema";
import { InlayFields } from "./InlayFields";
import { PanelOutline } from "./PanelOutline";
import { UpperFace } from "./UpperFace";
import { SceneView } from "../drawing/SceneView";
import { useUnit } from "../frame/unit";
import { BlankLens, PanelLens } from "../piece/PanelLens";
import { PanelTabs } from "../piece/PanelTabs";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { ComposeAll } from "./ComposeAll";
import { LookedThrough } from "./LookedThrough";
import { PanelRack } from "./PanelRack";
import { SlatBoards } from "./SlatBoards";
import { StageHead } from "./StageHead";
import { StripBar } from "./StripBar";
import { useComposer } from "./useComposer";
import { usePanelStrips } from "./usePanelStrips";

/** A panel to compose, or slats that are sawn one by one. */
export function BoardsStage() {
  const { plan, piece } = usePiece();
  const [at, setAt] = useState("top");
  const other = plan.panels.find(({ place }) => place.id === at);
  const boardsOf = (id: string) =>
    Object.entries(piece.panels).flatMap(([name, { strips }]) => (name === id ? [] : strips.map((each) => each.board)));
  return (
    <>
      {plan.panels.length > 0 && (
        <div className="flex flex-wrap items-center justify-between gap-3">
          <PanelTabs panels={plan.panels} at={other?.place.id ?? "top"} onLook={setAt} />
          <ComposeAll />
        </div>
      )}
      {other ? (
        <PanelLens panel={other} key={other.place.id}>
          <PanelBoards name={other.place.name} elsewhere={boardsOf(other.place.id)} />
        </PanelLens>
      ) : !isComposed(plan.geometry.core) ? (
        <SlatBoards />
      ) : (
        <BlankLens>
          <PanelBoards name="top" elsewhere={boardsOf("top")} />
        </BlankLens>
      )}
    </>
  );
}

/** A panel above, the rack beneath; compose by search or by hand. @param elsewhere  boards of the piece's other panels */
function PanelBoards({ name, elsewhere }: { name: string; elsewhere: readonly string[] }) {
  const { piece, plan, shop, rack, edit } = usePiece();
  const { set, fromDrawing } = useSet();
  const { say, withUnit } = useUnit();
  const [picked, setPicked] = useState<string | null>(null);
  const [order, setOrder] = useState<Strip[] | null>(null);
  const { panel, change, moved } = usePanelStrips();
  const { search, start, stop } = useComposer((best) =>
    edit(`Composed from ${best.strips.map((each) => each.board).join(", ")}`, [
      { path: ["panels", "top", "strips"], value: best.strips },
    ]),
  );
  const resting = useMemo(() => panelScene(plan, piece, shop), [plan, piece, shop]);
  // while a hand drags, the scale stays: what is pulled beyond it is cut off by the frame
  const scene = useMemo(
    () =>
      order
        ? {
            ...panelScene(
              {
                ...plan,
                panel: {
                  ...plan.panel,
                  laid: laidAs(plan.panel.laid, order, shapedTop(piece.form.top, plan.geometry), plan.geometry),
                },
              },
              piece,
              shop,
            ),
            bounds: resting.bounds,
          }
        : resting,
    [plan, piece, order, shop, resting],
  );
  const ends = useMemo(() => endGrainScene(plan, true), [plan]);
  const compose = (pinned = panel.pinned) =>
    start({
      ...toCompose({ name, piece, at: plan.geometry, species: plan.species.id, rack, shop }),
      choice: { ...panel, pinned, banned: [...panel.banned, ...elsewhere] },
    });
  const dropAt = (id: string, y: number) => {
    const from = panel.strips.findIndex((each) => `strip:${each.board}` === id);
    const to = plan.panel.laid.findIndex((each) => y < each.from + each.width);
    return { from, to: to < 0 ? panel.strips.length - 1 : to };
  };
  const best = search.best;
  const grip = useRef<{ id: string; x: number } | null>(null);
  /** Dragged within its own strip a board slides along; dragged past it, it changes places. */
  const dragged = (id: string, to: { x: number; y: number }, done: boolean) => {
    const laid = plan.panel.laid.find((each) => `strip:${each.board.id}` === id);
    if (!laid) return;
    if (grip.current?.id !== id) grip.current = { id, x: to.x };
    const along = to.x - grip.current.x;
    const { from, to: at } = dropAt(id, to.y);
    const slid = slideBy(laid, along, shop);
    const next =
      from !== at
        ? moved(from, at)
        : slid !== panel.strips[from].slide
          ? panel.strips.map((each, i) => (i === from ? { ...each, slide: slid } : each))
          : null;
    if (!done) {
      setOrder(next);
      return;
    }
    grip.current = null;
    setOrder(null);
    if (next)
      change(from !== at ? `${panel.strips[from].board} moved` : `${panel.strips[from].board} slid along`, next);
  };
  const scores = useMemo(
    () => panelScores(plan.panel.laid, plan.geometry, piece, { rack, species: plan.species.id, shop }),
    [plan, piece, rack, shop],
  );
  const waste = scores.find((each) => each.id === "waste")?.said;
  return (
    <>
      <StageHead
        title={`Which boards make the ${name}`}
        actions={
          <>
            <button className="button" disabled={search.running} onClick={() => compose()}>
              {panel.strips.length ? "Compose again" : "Compose from the rack"}
            </button>
            <button
              className="button button-plain"
              onClick={() =>
                set("Ring order", ["choices", "rings"], piece.choices.rings === "alternate" ? "best-face" : "alternate")
              }
            >
              Ring order: {piece.choices.rings === "alternate" ? "alternate" : "best faces up"}
            </button>
          </>
        }
      >
        {best ? (
          <span data-search={search.running ? "running" : "done"}>
            <b className="text-ink">{best.tried.toLocaleString("en")}</b> orders tried, least waste{" "}
            <b className="text-ink">
              {search.running ? `${((100 * (best.cost - best.net)) / best.cost).toFixed(1)} %` : waste}
            </b>
            ;{" "}
            {best.cost - best.bound < 1
              ? "no set of these boards wastes less"
              : `within ${((100 * (best.cost - best.bound)) / (best.bound - best.net)).toFixed(1)} % of the least there is`}
            .{" "}
          </span>
        ) : plan.panel.laid.length ? (
          `${plan.panel.laid.length} boards, ${waste} of the wood used up goes to chips. Drag boards up, down or along.`
        ) : (
          "Nothing is chosen yet."
        )}
        {search.running && (
          <button className="button ml-2" onClick={stop}>
            Stop
          </button>
        )}
      </StageHead>
      {search.running && (
        <div className="h-1.5 bg-hairline" role="progressbar" aria-label="Search">
          <div className="h-full w-full animate-pulse bg-layout" />
        </div>
      )}
      {search.none && (
        <p role="alert" className="border border-fix bg-white p-2.5 text-fix">
          {say(search.none)}
        </p>
      )}
      <SceneView scene={scene} height={286} onEdit={fromDrawing} onPick={setPicked} picked={picked} onDrag={dragged} />
      {order && (
        <p className="text-[13px] text-layout" role="status">
          {order.some((each, i) => each.board !== panel.strips[i].board)
            ? `New order: ${order.map((each) => each.board).join(", ")}`
            : order
                .filter((each, i) => each.slide !== panel.strips[i].slide)
                .map((each) => `${each.board} starts ${withUnit(each.slide)} from its left end`)
                .join()}
        </p>
      )}
      <StripBar picked={picked} onPick={setPicked} />
      <div>
        <p className="text-[13px] text-graphite">
          End grain from the left end, front edge first, planed to{" "}
          {withUnit(stripThickness(plan.panel.laid, plan.geometry.core.thickness, shop))}
        </p>
        <SceneView scene={ends} height={60} onPick={setPicked} picked={picked} />
      </div>
      {scores.length > 0 && (
        <dl className="grid grid-cols-4 gap-x-6 gap-y-1 max-md:grid-cols-2" aria-label="How the panel does">
          {scores.map((score) => (
            <div key={score.id} className="min-w-0 border-b border-hairline py-1 text-[13px]" data-score={score.id}>
              <dt className="text-graphite">{score.name}</dt>
              <dd className="truncate font-[560]" title={say(score.said)}>
                {say(score.said)}
              </dd>
              <dd className="mt-1 h-1 bg-hairline" aria-hidden>
                <span className="block h-full bg-graphite" style={{ width: `${Math.round(100 * score.share)}%` }} />
              </dd>
            </div>
          ))}
        </dl>
      )}
      <UpperFace />
      {name === "top" && <PanelOutline />}
      {name === "top" && <InlayFields />}
      <LookedThrough />
      <PanelRack name={name} elsewhere={elsewhere} />
    </>
  );
}
