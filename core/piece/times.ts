/** A piece that is made more than once: how its copies, their parts and their panels are called. The first is called as if it were alone. */
import type { PanelChoice, Piece } from "./schema";

const ORDINALS = "first second third fourth fifth sixth seventh eighth ninth tenth eleventh twelfth".split(" ");

/** The numbers of the copies beside the first: 2, 3 … */
export const copies = (times: number): number[] => Array.from({ length: times - 1 }, (_, i) => i + 2);

/** The mark of a part in its copy. @example markIn(2, "L1") // "2L1" */
export const markIn = (copy: number, mark: string): string => (copy > 1 ? `${copy}${mark}` : mark);

/** A panel's name in the record for its copy. @example panelIn(2, "top") // "2.top" */
export const panelIn = (copy: number, id: string): string => (copy > 1 ? `${copy}.${id}` : id);

/** Which copy a panel of the record belongs to. */
export const copyOfPanel = (id: string): number => Number(/^(\d+)\./.exec(id)?.[1] ?? 1);

/** How a sentence calls what belongs to a copy. @example saidIn(2, "top") // "top of the second" */
export const saidIn = (copy: number, name: string): string =>
  copy > 1 ? `${name} of the ${ORDINALS[copy - 1]}` : name;

/** Panels of the copies that are made; what was chosen for others is kept, and claims no board. */
export const panelsMade = ({ panels, times }: Pick<Piece, "panels" | "times">): [string, PanelChoice][] =>
  Object.entries(panels).filter(([id]) => copyOfPanel(id) <= times);
