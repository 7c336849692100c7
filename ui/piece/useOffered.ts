"use client";
import { useCallback, useEffect, useRef, useState } from "react";
import { boardsNamed } from "../../core/piece/copy";
import { speciesUsed } from "../../core/piece/kinds";
import type { Piece } from "../../core/piece/schema";
import type { RackBoard } from "../../core/stock/board";
import { ask } from "../frame/ask";
import type { SaveResult } from "./saving";

/** Boards a piece looks through, and how many of its wood there are on the rack. */
export interface Offered {
  boards: readonly RackBoard[];
  total: number;
}

/** Names that fit in an address. */
const NAMES = 250;

/** The boards a piece looks through: those that came with the page, then by query as many as a plan takes. */
export function useOffered(id: string, first: Offered, piece: Piece) {
  const [offered, setOffered] = useState(first);
  const at = useRef(piece);
  at.current = piece;
  const also = useRef<string[]>([]);
  const reload = useCallback(async () => {
    const query = new URLSearchParams({
      uses: [...also.current, ...boardsNamed(at.current)].slice(0, NAMES).join(","),
    });
    for (const each of speciesUsed(at.current)) query.append("species", each);
    const answer = await ask<Offered>("GET", `/api/pieces/${id}/rack?${query}`);
    if (answer.ok) setOffered(answer.json);
  }, [id]);
  // boards of the piece's own woods alone, and more than came with the page where there are more
  const woods = speciesUsed(piece).join(" ");
  const species = useRef(woods);
  const few = useRef(first.total > first.boards.length);
  useEffect(() => {
    if (species.current === woods && !few.current) return;
    species.current = woods;
    few.current = false;
    void reload();
  }, [woods, reload]);
  const onSaved = useCallback(
    (result: SaveResult & { kind: "saved" }) => {
      if (result.rackChanged) {
        void reload();
        return;
      }
      if (result.taken.length === 0) return;
      const by = new Map(result.taken.map((each) => [each.board, { piece: each.piece, name: each.name }]));
      setOffered(({ boards, total }) => ({
        total,
        boards: boards.map((board) => (by.has(board.id) ? { ...board, reservedBy: by.get(board.id)! } : board)),
      }));
    },
    [reload],
  );
  /** Brings a board of the rack in by its name; a sentence when that can't be one. */
  const alsoLookAt = useCallback(
    (board: string) => {
      if (!/^[\w.-]{1,40}$/.test(board)) return "Type a board's name as the rack has it, such as B14.";
      also.current = [board, ...also.current.filter((each) => each !== board)].slice(0, 50);
      void reload();
      return null;
    },
    [reload],
  );
  return { ...offered, reload, onSaved, alsoLookAt };
}
