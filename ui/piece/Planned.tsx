"use client";
import type { ReactNode } from "react";
import { Guarded } from "./Guarded";
import { useOpenPiece } from "./PieceProvider";
import { TakeBack } from "./TakeBack";

/** What shows a plan, or where there is none, why and the way back. */
export function Planned({ children }: { children: ReactNode }) {
  const { plan, fault, head } = useOpenPiece();
  if (plan)
    return (
      <Guarded at={head} instead={<NotDrawn />}>
        {children}
      </Guarded>
    );
  return (
    <main className="mx-auto max-w-2xl p-10" data-unplanned>
      <h1>This piece can’t be planned as it stands</h1>
      <p className="lede my-2">
        That is a fault of Taller, not of the piece, and it is kept with what it takes to repeat it. Nothing you typed
        is lost. Take back the change that brought it, and go on from there.
      </p>
      <p className="text-[13px] text-graphite">{fault?.message}</p>
      <TakeBack />
    </main>
  );
}

/** In place of a page or a part of it that threw while it was drawn. */
export function NotDrawn() {
  return (
    <section role="alert" className="m-5 border border-fix bg-white p-4">
      <h2>This can’t be drawn as the piece stands</h2>
      <p className="lede">
        That is a fault of Taller, not of the piece. Nothing you typed is lost, and the other stages stand.
      </p>
      <TakeBack />
    </section>
  );
}
