"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { firstFault } from "../../core/piece/fields";
import type { Shop } from "../../core/piece/shop";
import { Board, boardSchema, DEFECTS, holdersSaid, narrowest, plainBoard, RackBoard } from "../../core/stock/board";
import { boardFaults, millingPlan } from "../../core/stock/milling-plan";
import { findSpecies, Species, SPECIES } from "../../core/wood/species";
import { Choice, DateField, FieldRow, LengthField, NumberField, TextField, Tick } from "../fields/fields";
import { FindAnything } from "../find/FindAnything";
import { fractions } from "../frame/fractions";
import { ShopLinks, TopBar } from "../frame/TopBar";
import { useUnit } from "../frame/unit";
import { BoardHistory, HistoryLine } from "./BoardHistory";
import { BoardPicture } from "./BoardPicture";

interface Given {
  found: RackBoard | null;
  left: string | null;
  history: HistoryLine[];
  shop: Shop;
  ownSpecies: readonly Species[];
  today: string;
}

const fresh = (today: string): Board => ({
  id: "",
  species: "european-ash",
  length: 2400,
  width: 160,
  widthEnd: null,
  thickness: 32,
  ringLeft: -20,
  ringRight: 20,
  bow: 0,
  crook: 0,
  cup: 0,
  twist: 0,
  moisture: 9,
  measuredOn: today,
  tree: "",
  shelf: "",
  price: 0,
  defects: [],
  cutFrom: "",
  tears: false,
  rounded: 0,
});

/** One board: its picture to point defects on, everything known of it, what milling leaves, and what has happened to it. */
export function BoardView({ found, left, history, shop, ownSpecies, today }: Given) {
  const router = useRouter();
  const { say, withUnit } = useUnit();
  const [stands, setStands] = useState<Board | null>(found ? plainBoard(found) : null);
  const [board, setBoard] = useState<Board>(stands ?? fresh(today));
  const [kind, setKind] = useState<(typeof DEFECTS)[number]>("knot");
  const [message, setMessage] = useState<{ text: string; theirs: Board | null } | null>(null);
  const gone = left !== null;
  const changed = JSON.stringify(board) !== JSON.stringify(stands);
  const take = (change: Partial<Board>): string | null => {
    const next = { ...board, ...change };
    const fault = firstFault(boardSchema, { ...next, id: next.id || "new" });
    setBoard(next);
    return fault && Object.keys(change).some((key) => fault.field.startsWith(key)) ? fault.message : null;
  };
  const save = async () => {
    const fault = firstFault(boardSchema, board);
    if (fault) {
      setMessage({ text: `${fault.message} (${fault.field})`, theirs: null });
      return;
    }
    const answer = await fetch(`/api/rack/${encodeURIComponent(board.id)}`, {
      method: "PUT",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ before: stands, board }),
    }).catch(() => null);
    if (!answer) {
      setMessage({ text: "The server does not answer. What you typed is still here; save again.", theirs: null });
      return;
    }
    const json = await answer.json();
    if (!answer.ok) {
      setMessage({ text: json.message, theirs: json.stands ? plainBoard(json.stands) : null });
      return;
    }
    setStands(board);
    setMessage({ text: `${board.id} is kept.`, theirs: null });
    if (found) router.refresh();
    else router.push(`/rack/${encodeURIComponent(board.id)}`);
  };
  const wood = findSpecies(board.species, ownSpecies) ?? SPECIES[0];
  const plan = millingPlan(
    board,
    { length: board.length, width: narrowest(board), thickness: Math.max(6, Math.round(board.thickness * 0.75)) },
    shop,
  );
  const size = (label: string, key: "length" | "width" | "thickness" | "bow" | "crook" | "cup" | "twist") => (
    <LengthField label={label} value={board[key]} onTake={(value) => take({ [key]: value })} />
  );
  return (
    <>
      <TopBar where={<span className="text-white">Rack / {found ? board.id : "a new board"}</span>}>
        <ShopLinks here="rack" />
        <FindAnything />
      </TopBar>
      <main className="mx-auto flex max-w-[1240px] flex-col gap-4 px-5 py-5">
        <div className="flex flex-wrap items-start justify-between gap-3">
          <div>
            <h1>{found ? `Board ${board.id}` : "A board for the rack"}</h1>
            <p className="lede">
              {gone
                ? `It is no longer on the rack: it was ${left}.`
                : found && holdersSaid(found)
                  ? say(`Reserved for ${holdersSaid(found)}.`)
                  : found
                    ? "Free."
                    : "As it stands before you, bark side up."}{" "}
              Point at the picture to place a defect; drag for its size.
            </p>
          </div>
          {!gone && (
            <div className="flex gap-2">
              {changed && found && (
                <button
                  className="button button-plain"
                  onClick={() => {
                    setBoard(stands!);
                    setMessage(null);
                  }}
                >
                  As it was
                </button>
              )}
              <button className="button" disabled={!changed && found !== null} onClick={() => void save()}>
                {found ? "Keep the changes" : "Put it on the rack"}
              </button>
            </div>
          )}
        </div>
        {message && (
          <p
            role={message.theirs ? "alert" : "status"}
            className={`border bg-white p-2.5 ${message.theirs ? "border-fix text-fix" : "border-layout"}`}
          >
            {message.text}
            {message.theirs && (
              <button
                className="button ml-3"
                onClick={() => {
                  setStands(message.theirs);
                  setBoard(message.theirs!);
                  setMessage(null);
                }}
              >
                Load what stands
              </button>
            )}
          </p>
        )}
        <BoardPicture
          board={board}
          colour={wood.colour}
          onPlace={gone ? undefined : (place) => take({ defects: [...board.defects, { kind, ...place }] })}
        />
        <FieldRow>
          <Choice
            label="Next defect"
            value={kind}
            options={DEFECTS.map((each) => ({ value: each, name: each[0].toUpperCase() + each.slice(1) }))}
            onTake={setKind}
          />
          {board.defects.map((d, i) => {
            const change = (part: Partial<typeof d>) =>
              take({ defects: board.defects.map((each, j) => (j === i ? { ...each, ...part } : each)) });
            return (
              <fieldset key={i} className="flex items-end gap-2 border-l border-hairline pl-3" data-defect={d.kind}>
                <legend className="sr-only">
                  {d.kind} {i + 1}
                </legend>
                <LengthField
                  label={`${d.kind[0].toUpperCase()}${d.kind.slice(1)} from the left`}
                  value={d.x}
                  onTake={(x) => change({ x })}
                />
                <LengthField label="long" value={d.length} onTake={(value) => change({ length: value })} />
                <LengthField label="across" value={d.width} onTake={(width) => change({ width })} />
                <button
                  className="button button-plain"
                  onClick={() => take({ defects: board.defects.filter((_, j) => j !== i) })}
                >
                  Remove
                </button>
              </fieldset>
            );
          })}
        </FieldRow>
        <FieldRow>
          {!found && <TextField label="Name" value={board.id} onTake={(id) => take({ id })} />}
          <Choice
            label="Wood"
            value={board.species}
            options={[...ownSpecies, ...SPECIES].map((each) => ({ value: each.id, name: each.name }))}
            onTake={(species) => take({ species })}
          />
          {size("Length", "length")}
          {size("Width, left end", "width")}
          <LengthField
            label="Width, right end"
            value={board.widthEnd ?? board.width}
            onTake={(value) => take({ widthEnd: Math.abs(value - board.width) < 0.5 ? null : value })}
          />
          {size("Thickness", "thickness")}
          {size("Bow", "bow")}
          {size("Crook", "crook")}
          {size("Cup", "cup")}
          {size("Twist", "twist")}
        </FieldRow>
        <FieldRow>
          <NumberField
            label="Rings at the left edge"
            suffix="°"
            value={board.ringLeft}
            onTake={(ringLeft) => take({ ringLeft })}
          />
          <NumberField
            label="Rings at the right edge"
            suffix="°"
            value={board.ringRight}
            onTake={(ringRight) => take({ ringRight })}
          />
          <button
            className="button button-plain self-end"
            onClick={() => take({ ringLeft: -board.ringRight, ringRight: -board.ringLeft })}
          >
            Pith on the other side
          </button>
          <NumberField label="Moisture" suffix="%" value={board.moisture} onTake={(moisture) => take({ moisture })} />
          <DateField
            label="Measured on"
            value={board.measuredOn}
            onTake={(measuredOn) => take({ measuredOn: measuredOn ?? today })}
          />
          <TextField label="Tree or bundle" value={board.tree} onTake={(tree) => take({ tree })} />
          <TextField label="Shelf" value={board.shelf} onTake={(shelf) => take({ shelf })} />
          <NumberField label={`Price, ${shop.currency}`} value={board.price} onTake={(price) => take({ price })} />
          <LengthField label="Rounded corners" value={board.rounded} onTake={(rounded) => take({ rounded })} />
          <Tick label="Tears under the planer" checked={board.tears} onTake={(tears) => take({ tears })} />
        </FieldRow>
        {boardFaults(board, shop).map((fault) => (
          <p key={fault} role="alert" className="border border-tight bg-white p-2.5 text-tight">
            {say(fault)}
          </p>
        ))}
        <div className="grid grid-cols-2 gap-8 max-md:grid-cols-1">
          <section>
            <h2>What milling leaves of the whole board</h2>
            <p className="mt-1 text-[13.5px]">
              {fractions(
                `${withUnit(Math.max(0, plan.milled.thickness), true)} of ${withUnit(board.thickness)}: cup takes ${withUnit(plan.milled.lost.cup, true)}, bow ${withUnit(plan.milled.lost.bow, true)}, twist ${withUnit(plan.milled.lost.twist, true)}, cleaning ${withUnit(plan.milled.lost.cleaning, true)}. Skip-planed on one face it stays ${withUnit(Math.max(0, plan.skipPlaned), true)}.`,
              )}
            </p>
            <ol className="mt-2 list-decimal pl-5 text-[13.5px] text-graphite">
              {plan.steps.map((step) => (
                <li key={step}>{say(step)}</li>
              ))}
            </ol>
          </section>
          <BoardHistory history={history} />
        </div>
      </main>
    </>
  );
}
