import { notFound } from "next/navigation";
import type { ReactNode } from "react";
import { rack } from "../../../store/boards";
import { bench, openPiece } from "../../../store/pieces";
import { currentWorkshop } from "../../../store/workshops";
import { LitProvider } from "../../../ui/piece/lit";
import { PieceProvider } from "../../../ui/piece/PieceProvider";
import { PieceBar } from "../../../ui/piece/PieceBar";
import { isId, isoToday } from "../../api/answer";

export const dynamic = "force-dynamic";

export default async function PieceLayout({ children, params }: { children: ReactNode; params: Promise<{ id: string }> }) {
  const { id } = await params;
  const workshop = await currentWorkshop();
  const opened = isId(id) ? await openPiece(workshop.id, id) : null;
  if (!opened) notFound();
  const [boards, pieces] = await Promise.all([rack(workshop.id, id, opened.piece.species), bench(workshop.id)]);
  return (
    <PieceProvider key={id} opened={opened} shop={workshop.shop} rack={boards} ownSpecies={workshop.ownSpecies} today={isoToday()}>
      <LitProvider>
        <PieceBar pieces={pieces.map((each) => ({ id: each.id, name: each.piece.name, commission: each.piece.commission }))} />
        {children}
      </LitProvider>
    </PieceProvider>
  );
}
