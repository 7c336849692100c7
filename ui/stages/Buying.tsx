"use client";
import { FileButton } from "../fields/FileButton";
import { useEffect, useState } from "react";
import { Price, priceOf } from "../../core/buying/price-list";
import type { Purchase } from "../../core/buying/propose";
import type { Board } from "../../core/stock/board";
import { ask as send } from "../frame/ask";
import { fractions } from "../frame/fractions";
import { dayName } from "../frame/sentences";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { ShoppingTable } from "./CutList";

interface Order {
  id: string;
  boards: Board[];
  total: number;
  currency: string;
  orderedOn: string;
  dueOn: string;
  received: boolean;
}
interface Look {
  merchant: { name: string; currency: string; deliveryDays: number };
  faults: { line: number; message: string }[];
  came: number;
  orders: Order[];
  prices: Price[];
  currency: string;
  needed: { label: string; length: number; width: number; thickness: number }[];
  purchase: Purchase | null;
  dueOn: string;
}

/** A price list larger than this is none, bytes. */
const PRICES = 1_000_000;

/** What is missing by the sizes sold, what it costs, what the simulated merchant would send for it, and what is on its way. */
export function Buying() {
  const { id, plan, saveState, reloadRack } = usePiece();
  const { length, withUnit } = useUnit();
  const [look, setLook] = useState<Look | null>(null);
  const [message, setMessage] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const ask = async (body: object) => {
    setBusy(true);
    setMessage(null);
    const answer = await send<Look>("POST", `/api/pieces/${id}/buying`, body);
    setBusy(false);
    if (!answer.ok) {
      setMessage(answer.message);
      return;
    }
    setLook(answer.json);
    const { came } = answer.json;
    if (came > 0) {
      setMessage(`${came === 1 ? "An order has" : `${came} orders have`} come: its boards are on the rack.`);
      reloadRack();
    }
  };
  const readPrices = (chosen: File) =>
    chosen.size > PRICES
      ? setMessage(
          `${chosen.name} is ${(chosen.size / 1e6).toFixed(1)} MB; a price list is never over ${PRICES / 1e6} MB. Choose the right CSV.`,
        )
      : void chosen.text().then((text) => ask({ kind: "prices", text }));
  // orders that are due come onto the rack when someone looks
  useEffect(() => {
    if (saveState === "saved") void ask({ kind: "look" });
  }, [saveState, plan.cutting.missing.length]);
  const shopping = plan.cutting.shopping;
  const nothing = shopping.length === 0 && (look === null || (look.needed.length === 0 && look.orders.length === 0));
  if (nothing) return null;
  const listed = look
    ? shopping.map((line) => priceOf(look.prices, line.species, line.thickness, line.cubicMetres))
    : [];
  const known = listed.filter((each): each is number => each !== null);
  return (
    <section aria-label="Buying">
      {shopping.length > 0 && <ShoppingTable plan={plan} factor={look?.purchase?.factor ?? null} />}
      <div className="mt-2 flex flex-wrap items-center gap-2 text-[13.5px]">
        {known.length > 0 && (
          <span>
            By the price list about{" "}
            <b className="font-[560]">
              {known.reduce((a, b) => a + b, 0).toFixed(0)} {look!.currency}
            </b>
            {known.length < shopping.length && `, ${shopping.length - known.length} sizes are not on it`}.
          </span>
        )}
        <FileButton label="Read a price list" accept=".csv,text/csv" name="Price list" onChosen={readPrices} />
      </div>
      {message && (
        <p role="status" className="mt-2 border border-layout bg-white p-2.5">
          {message}
        </p>
      )}
      {look?.faults.map((fault) => (
        <p key={fault.line} role="alert" className="mt-1 text-[13.5px] text-fix">
          Line {fault.line}: {fault.message}
        </p>
      ))}
      {look?.purchase && look.purchase.boards.length > 0 && (
        <>
          <h3 className="mt-3 font-[600]">
            {look.merchant.name}:{" "}
            {look.purchase.boards.length === 1 ? "1 board holds" : `${look.purchase.boards.length} boards hold`}{" "}
            {look.needed.length - look.purchase.missing.length} of{" "}
            {look.needed.length === 1 ? "1 piece" : `${look.needed.length} pieces`}
          </h3>
          <p className="text-[13.5px] text-graphite">
            {fractions(
              look.purchase.boards
                .map(
                  (board) =>
                    `${board.id} ${length(board.length)} by ${length(board.width)} by ${withUnit(board.thickness)}`,
                )
                .join("; "),
            )}
            . {look.purchase.cubicMetres.toFixed(3)} m³, {look.purchase.factor.toFixed(2)} times what the finished
            pieces hold.
            {look.purchase.missing.length > 0 && ` Nothing in stock holds ${look.purchase.missing.join(", ")}.`}
          </p>
          <button
            className="button mt-1"
            disabled={busy}
            onClick={() => void ask({ kind: "order", boards: look.purchase!.boards.map((board) => board.id) })}
          >
            Order {look.purchase.boards.length === 1 ? "it" : "them"} for {look.purchase.price.toFixed(2)}{" "}
            {look.merchant.currency}, here on {dayName(look.dueOn)}
          </button>
        </>
      )}
      {look && look.orders.length > 0 && (
        <ul className="mt-2">
          {look.orders.map((order) => (
            <li
              key={order.id}
              data-order={order.received ? "received" : "open"}
              className="flex items-center gap-3 border-b border-hairline py-1 text-[13.5px]"
            >
              <span>
                {order.boards.map((board) => board.id).join(", ")}, {order.total.toFixed(2)} {order.currency}, ordered
                on {dayName(order.orderedOn)}: {order.received ? "on the rack" : `comes on ${dayName(order.dueOn)}`}
              </span>
              {!order.received && (
                <button
                  className="button button-plain"
                  disabled={busy}
                  onClick={() => void ask({ kind: "receive", order: order.id })}
                >
                  It has come
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
