"use client";
import { useCallback } from "react";
import type { Edit } from "../../core/drawing/scene";
import { usePiece } from "./PieceProvider";

/** Ways to change one input: from a field, or from a dimension on a drawing. The label is what undo will say. */
export function useSet() {
  const { edit } = usePiece();
  const set = useCallback(
    (label: string, path: (string | number)[], value: unknown) => edit(label, [{ path, value }]),
    [edit],
  );
  const fromDrawing = useCallback(
    (target: Edit, mm: number) =>
      edit(`${target.name} to ${Math.round(mm * 10) / 10}`, [{ path: target.path, value: mm }]),
    [edit],
  );
  return { set, fromDrawing };
}
