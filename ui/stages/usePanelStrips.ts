"use client";
import type { Strip } from "../../core/piece/schema";
import { usePiece } from "../piece/PieceProvider";

/** The panel's strips, the one way they are changed, and what they would be with one moved to another place. */
export function usePanelStrips() {
  const { piece, edit } = usePiece();
  const panel = piece.panels.top;
  return {
    panel,
    change: (label: string, strips: Strip[]) => edit(label, [{ path: ["panels", "top", "strips"], value: strips }]),
    moved: (from: number, to: number): Strip[] => {
      const strips = panel.strips.slice();
      const [one] = strips.splice(from, 1);
      strips.splice(to, 0, one);
      return strips;
    },
  };
}
