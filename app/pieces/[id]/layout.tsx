import { notFound } from "next/navigation";
import type { ReactNode } from "react";
import { speciesUsed } from "../../../core/piece/kinds";
import { boardsNamed } from "../../../core/piece/copy";
import { AT_ONCE, offeredBoards } from "../../../store/offered";
import { openPiece } from "../../../store/opened-pieces";
import { currentWorkshop } from "../../../store/workshops";
import { LitProvider } from "../../../ui/piece/lit";
import { PieceNotes } from "../../../ui/piece/PieceNotes";
import { PieceProvider } from "../../../ui/piece/PieceProvider";
import { PieceBar } from "../../../ui/piece/PieceBar";
import { isId, isoToday } from "../../api/answer";

export const dynamic = "force-dynamic";

export default async function PieceLayout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ id: string }>;
}) {
  const { id } = await params;
  const workshop = await currentWorkshop();
  const opened = isId(id) ? await openPiece(workshop.id, id) : null;
  if (!opened) notFound();
  const boards = await offeredBoards(workshop.id, id, {
    species: speciesUsed(opened.piece),
    uses: boardsNamed(opened.piece),
    most: AT_ONCE,
  });
  return (
    <PieceProvider
      key={id}
      opened={opened}
      shop={workshop.shop}
      rack={boards}
      ownSpecies={workshop.ownSpecies}
      today={isoToday()}
    >
      <LitProvider>
        <PieceBar />
        <PieceNotes />
        {children}
      </LitProvider>
    </PieceProvider>
  );
}
