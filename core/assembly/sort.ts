/**
 * What becomes of a kind of part: a panel composed of chosen boards, slats, legs left long, posts and feet of thick stock, rails, ends and
 * frames of a top, small blocks that nobody sees; what is bought and comes from no board, what is cut from a sheet.
 */
export type Role =
  "panel" | "slat" | "leg" | "post" | "rail" | "end-board" | "frame" | "block" | "button" | "bought" | "sheet";

/** One stick, two leaves or more, a core with four resawn faces, two boards glued and sawn at 45°. */
export const MAKES = ["solid", "laminated", "three-leaves", "four-leaves", "core-faces", "diagonal"] as const;
export type Make = (typeof MAKES)[number];

/** Of how many leaves each way of gluing them face to face is. */
export const LEAVES = { laminated: 2, "three-leaves": 3, "four-leaves": 4 } as const;
/** One stick, or so many leaves: what thick stock other than table legs may be. */
export const STICKS_OF = ["solid", "laminated", "three-leaves", "four-leaves"] as const satisfies readonly Make[];
